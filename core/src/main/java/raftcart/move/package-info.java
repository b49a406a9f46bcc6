/** Rows from one database to another: readers, buffers, writers, the order of tables, refused rows. */
package raftcart.move;
