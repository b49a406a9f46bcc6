/** Kestrel Ridge Observatory, the made-up database of the demo and the tests: its structure and its rows. */
package raftcart.demo.observatory;
