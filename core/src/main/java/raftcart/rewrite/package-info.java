/** Translates SQL text: reads statements, finds out what they mean, adapts them to the target and writes them. */
package raftcart.rewrite;
