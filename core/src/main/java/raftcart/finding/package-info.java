/** What the tool has to say about an object: outcomes, and findings with stable codes from one catalogue. */
package raftcart.finding;
