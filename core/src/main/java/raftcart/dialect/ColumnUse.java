package raftcart.dialect;

import raftcart.catalog.ObjectName;

/**
 * Circumstances of a column that bear on its type.
 *
 * @param table the table on the target
 * @param column the column's name on the target
 * @param identity true where the engine numbers the column
 * @param key true where the column is part of the primary key, or refers to another table, as far as that is known
 * @param keyColumns the number of text or binary columns in the largest key that the column is part of; 0 for none
 * @param otherBytes the bytes of the other columns in that key
 * @param ignoresCase true where the source compares the column without regard to case
 * @param ignoresPadding true where blanks at the end of a text do not count to the source
 */
public record ColumnUse(
        ObjectName table,
        String column,
        boolean identity,
        boolean key,
        int keyColumns,
        int otherBytes,
        boolean ignoresCase,
        boolean ignoresPadding) {
    /** A column of which nothing is known. */
    public static final ColumnUse PLAIN = new ColumnUse(new ObjectName("", ""), "", false, false, 0, 0, false, false);
}
