/** Functions as data: what we call them, how dialects spell them, and the templates that lead from one to the other. */
package raftcart.sql.function;
