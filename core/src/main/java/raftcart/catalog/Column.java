package raftcart.catalog;

import java.util.Objects;
import java.util.Optional;
import raftcart.type.LogicalType;

/**
 * A column of a table.
 *
 * @param declaredType the type as the engine prints it, such as {@code int(10) unsigned}
 * @param defaultValue the default as an expression in the engine's SQL
 * @param ignoresCase true where the column's collation holds two texts equal that differ in case alone
 * @param collation the name of the rules by which its texts sort and compare, where the source says it; else empty
 * @param onUpdate an expression that the engine assigns at every update of the row
 */
public record Column(
        String name,
        String declaredType,
        LogicalType type,
        boolean nullable,
        Optional<String> defaultValue,
        Optional<Generated> generated,
        Optional<Identity> identity,
        boolean ignoresCase,
        String collation,
        Optional<String> onUpdate,
        String comment) {
    public Column {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(declaredType, "declaredType");
        Objects.requireNonNull(type, "type");
        Objects.requireNonNull(defaultValue, "defaultValue");
        Objects.requireNonNull(generated, "generated");
        Objects.requireNonNull(identity, "identity");
        Objects.requireNonNull(collation, "collation");
        Objects.requireNonNull(onUpdate, "onUpdate");
        Objects.requireNonNull(comment, "comment");
    }

    /** The same without what the engine puts into it by itself. */
    public Column withoutValues() {
        return new Column(
                name,
                declaredType,
                type,
                nullable,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                ignoresCase,
                collation,
                Optional.empty(),
                "");
    }
}
