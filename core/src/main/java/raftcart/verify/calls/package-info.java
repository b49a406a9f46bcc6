/** Routines called on both sides: found by name, called with the same arguments, and what came of it compared. */
package raftcart.verify.calls;
