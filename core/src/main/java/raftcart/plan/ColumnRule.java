package raftcart.plan;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import raftcart.catalog.ObjectName;

/**
 * What is different for some columns. The first rule that fits a column counts.
 *
 * @param column the columns' names, as a pattern for {@code table.column} or {@code schema.table.column}
 * @param from their types on the source as declared, as a pattern
 * @param type the type on the target
 * @param nullable whether NULL is allowed
 * @param defaultValue the default in the target's SQL; empty text for none
 * @param value what is read in the place of the column, in the source's SQL
 */
public record ColumnRule(
        String column,
        String from,
        Optional<String> type,
        Optional<Boolean> nullable,
        Optional<String> defaultValue,
        Optional<String> value) {
    public ColumnRule {
        Objects.requireNonNull(column, "column");
        Objects.requireNonNull(from, "from");
        Objects.requireNonNull(type, "type");
        Objects.requireNonNull(nullable, "nullable");
        Objects.requireNonNull(defaultValue, "defaultValue");
        Objects.requireNonNull(value, "value");
    }

    /** True for a column of this table and declared type. */
    public boolean fits(ObjectName table, String name, String declared) {
        boolean named = matches(column, table.name() + "." + name) || matches(column, table + "." + name);
        return named && matches(from, declared);
    }

    private static boolean matches(String pattern, String text) {
        return Selection.compile(pattern).matcher(text.toLowerCase(Locale.ROOT)).matches();
    }
}
