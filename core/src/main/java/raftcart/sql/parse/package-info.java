/** Reads the SQL of all dialects into the shared tree; what only some dialects have is decided by their {@code Grammar}. */
package raftcart.sql.parse;
