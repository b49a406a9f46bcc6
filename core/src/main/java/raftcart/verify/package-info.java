/** Are both databases the same? Shares nothing with the loader: the engines themselves compute what is compared. */
package raftcart.verify;
