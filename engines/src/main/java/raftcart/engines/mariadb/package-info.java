/** MariaDB's adapter: its catalog, a streaming SELECT out and LOAD DATA LOCAL in. */
package raftcart.engines.mariadb;
