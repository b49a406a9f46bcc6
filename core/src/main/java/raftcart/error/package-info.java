/** The exceptions that carry a user-visible cause: what failed, where, why, and what to do. */
package raftcart.error;
