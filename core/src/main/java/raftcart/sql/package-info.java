/** Reading SQL text: tokens, the expression tree shared by all dialects, and the machinery to parse and print it. */
package raftcart.sql;
