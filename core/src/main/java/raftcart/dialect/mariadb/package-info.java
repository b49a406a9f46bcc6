/** MariaDB's SQL; rules from the MariaDB Knowledge Base for 10.6 and later. */
package raftcart.dialect.mariadb;
