/** The stages of a migration as plain objects; what the command line calls. */
package raftcart.migration;
