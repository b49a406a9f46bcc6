/** PostgreSQL's SQL; rules from the PostgreSQL 16 documentation. */
package raftcart.dialect.postgresql;
