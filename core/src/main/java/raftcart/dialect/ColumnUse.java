package raftcart.dialect;

import raftcart.catalog.ObjectName;

/**
 * Circumstances of a column that bear on its type.
 *
 * @param table the table on the target
 * @param column the column's name on the target
 * @param identity true where the engine numbers the column
 * @param keyColumns the number of text or binary columns in the largest key that the column is part of; 0 for none
 * @param otherBytes the bytes of the other columns in that key
 * @param ignoresCase true where the source compares the column without regard to case
 * @param ignoresPadding true where blanks at the end of a text do not count to the source
 */
public record ColumnUse(
        ObjectName table,
        String column,
        boolean identity,
        int keyColumns,
        int otherBytes,
        boolean ignoresCase,
        boolean ignoresPadding) {
    /** A column of which nothing is known. */
    public static final ColumnUse PLAIN = new ColumnUse(new ObjectName("", ""), "", false, 0, 0, false, false);
}
