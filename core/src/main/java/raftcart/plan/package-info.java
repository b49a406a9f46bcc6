/** What the user decided about a migration: the file {@code raftcart.yaml} and its meaning. */
package raftcart.plan;
