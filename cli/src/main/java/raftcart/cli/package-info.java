/** The command line: options in, one call into the core, results out. No computation lives here. */
package raftcart.cli;
