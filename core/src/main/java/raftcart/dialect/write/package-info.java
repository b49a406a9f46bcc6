/** Writes trees as text; dialects override what they spell differently. */
package raftcart.dialect.write;
