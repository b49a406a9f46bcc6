/** What a database contains, as immutable records. Source text is kept as it was read; nothing here holds row data. */
package raftcart.catalog;
