/** What people see: lines, tables, progress, colours. */
package raftcart.cli.terminal;
