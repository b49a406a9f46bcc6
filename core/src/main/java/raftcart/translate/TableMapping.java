package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.plan.TableRule.Moves;

/**
 * A table of the source, the table that it becomes, and its columns in order.
 *
 * @param rows the condition, in the source's SQL, under which rows go; empty for all
 * @param moves what goes of the table
 */
public record TableMapping(
        Table source, Table target, List<ColumnMapping> columns, Optional<String> rows, Moves moves) {
    public TableMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
        columns = List.copyOf(columns);
        Objects.requireNonNull(rows, "rows");
        Objects.requireNonNull(moves, "moves");
    }

    /** True where the table is made on the target. */
    public boolean isCreated() {
        return moves != Moves.ROWS;
    }

    /** True where the rows go, and are compared. */
    public boolean isLoaded() {
        return moves != Moves.STRUCTURE;
    }

    /** What stands after FROM to read, on the source, the rows that go, with the values that the plan wants. */
    public String sourceRows(Dialect dialect) {
        return sourceRows(dialect, "");
    }

    /**
     * The same for a part of the rows.
     *
     * @param part a condition in the source's SQL on the table's own columns; empty for all rows
     */
    public String sourceRows(Dialect dialect, String part) {
        String all = dialect.values().rowsOf(source);
        List<String> conditions = new ArrayList<>();
        rows.ifPresent(r -> conditions.add("(" + r + ")"));
        if (!part.isEmpty()) {
            conditions.add(part);
        }
        String from = all + (conditions.isEmpty() ? "" : " WHERE " + String.join(" AND ", conditions));
        boolean plain =
                rows.isEmpty() && columns.stream().allMatch(c -> c.value().isEmpty());
        if (plain) {
            return from;
        }
        String select = columns.stream()
                .map(c -> {
                    String name = dialect.identifiers().quote(c.source().name());
                    return c.value().map(v -> "(" + v + ") AS " + name).orElse(name);
                })
                .collect(Collectors.joining(", "));
        return "(SELECT " + select + " FROM " + from + ") "
                + dialect.identifiers().quote("planned");
    }
}
