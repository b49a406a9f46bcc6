package raftcart.catalog;

import java.util.Objects;

/**
 * A part of a key or index: a column, or an expression where {@code column} is empty.
 *
 * @param prefixLength the number of leading characters or bytes that are indexed; 0 for the whole value
 */
public record KeyPart(String column, String expression, int prefixLength, boolean descending) {
    public KeyPart {
        Objects.requireNonNull(column, "column");
        Objects.requireNonNull(expression, "expression");
    }

    /** A part that is a whole column in ascending order. */
    public static KeyPart ofColumn(String column) {
        return new KeyPart(column, "", 0, false);
    }

    /** True where the part is computed. */
    public boolean isExpression() {
        return column.isEmpty();
    }
}
