/** Expressions as a tree in which the same meaning has the same node, whatever its spelling. */
package raftcart.sql.expr;
