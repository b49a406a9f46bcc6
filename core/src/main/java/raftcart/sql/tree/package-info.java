/** The syntax tree that all dialects share: the same meaning has the same node, whatever its spelling. */
package raftcart.sql.tree;
