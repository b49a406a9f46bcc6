/** What every engine's adapter offers: connections, catalog readers, and rows in and out. Adapters live elsewhere. */
package raftcart.engine;
