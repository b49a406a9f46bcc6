/** The folder of a migration on disk: where everything stands, what was generated, and the journal of what was done. */
package raftcart.workspace;
