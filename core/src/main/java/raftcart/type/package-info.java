/** Data types as ideas: what a column can hold, whatever an engine calls it. */
package raftcart.type;
