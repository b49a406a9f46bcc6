package raftcart.catalog;

import java.util.Objects;

/**
 * How a column is computed.
 *
 * @param expression in the engine's SQL
 * @param stored true where its value is stored with the row
 * @param hidden true where only a query that names the column sees it
 */
public record Generated(String expression, boolean stored, boolean hidden) {
    public Generated {
        Objects.requireNonNull(expression, "expression");
    }
}
