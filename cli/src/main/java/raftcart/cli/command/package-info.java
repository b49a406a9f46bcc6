/** One class a command: reads options, calls one stage, shows the result. */
package raftcart.cli.command;
