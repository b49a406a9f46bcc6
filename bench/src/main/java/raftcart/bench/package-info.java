/** Measures speed; nothing here is part of the product. */
package raftcart.bench;
