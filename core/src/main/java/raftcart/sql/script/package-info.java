/** Cuts scripts into statements, with everything that the clients of engines put between them. */
package raftcart.sql.script;
