/** PostgreSQL's adapter: its catalog, COPY in both directions. */
package raftcart.engines.postgresql;
