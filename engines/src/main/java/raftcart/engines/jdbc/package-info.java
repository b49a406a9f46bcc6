/** Small helpers over JDBC that all adapters share. */
package raftcart.engines.jdbc;
