package raftcart.move;

import java.util.Objects;

/**
 * Rows that are moved in one go.
 *
 * @param condition which rows of the table, in the source's SQL; empty for the whole table
 */
record LoadPart(TableProgress table, int number, String condition) {
    LoadPart {
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(condition, "condition");
    }

    boolean isWholeTable() {
        return condition.isEmpty();
    }
}
