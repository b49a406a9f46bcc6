package raftcart.catalog;

import java.util.Objects;

/**
 * Something that the rows of a column have in common and that its type does not say; no value of a row is kept.
 *
 * @param rows the number of rows that were looked at
 * @param before for {@link Kind#DIGITS}, the greatest number of digits before the point
 * @param after for {@link Kind#DIGITS}, the greatest number of digits behind the point
 */
public record Observation(ObjectName table, String column, Kind kind, long rows, int before, int after) {
    public Observation {
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(column, "column");
        Objects.requireNonNull(kind, "kind");
    }

    /** What was observed. */
    public enum Kind {
        /** A number that could be taken for a truth value has others than 0 and 1. */
        MORE_THAN_TRUTH,
        /** How long the numbers of a column without a precision are. */
        DIGITS,
        /** Every text is a JSON document: an object or a list. */
        JSON
    }
}
