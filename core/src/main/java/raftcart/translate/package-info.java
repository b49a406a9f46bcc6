/** A catalog in one dialect to the same database in another: names, types, keys, expressions, and what is to be said. */
package raftcart.translate;
