package raftcart.catalog;

import java.util.Objects;

/** A condition that every row fulfils, in the engine's SQL. */
public record CheckConstraint(String name, String expression) {
    public CheckConstraint {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(expression, "expression");
    }
}
