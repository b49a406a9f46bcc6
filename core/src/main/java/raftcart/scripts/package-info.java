/** Script files as a source: the definitions in them, applied in order, become a catalog like that of a live database. */
package raftcart.scripts;
