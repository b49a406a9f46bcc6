package raftcart.catalog;

import java.util.Objects;

/** The expression that computes a column, in the engine's SQL, and whether its value is stored with the row. */
public record Generated(String expression, boolean stored) {
    public Generated {
        Objects.requireNonNull(expression, "expression");
    }
}
