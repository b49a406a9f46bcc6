/** How the tables that ship with the tool are read: kept as YAML for people, read as JSON for speed. */
package raftcart.resource;
