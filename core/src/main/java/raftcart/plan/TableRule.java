package raftcart.plan;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What is different for some tables. Of the rules that fit a table, the first one that says anything about a matter
 * counts for it.
 *
 * @param table the tables' names, as a pattern for {@code table} or {@code schema.table}
 * @param rows the condition, in the source's SQL, under which rows go
 * @param columns the columns that go, as patterns; empty for all
 * @param without the columns that stay, as patterns
 * @param moves what goes of the table
 * @param key what becomes of a primary key of one number
 * @param since a column that grows: a load that adds to rows of the target reads only what is newer than those
 */
public record TableRule(
        String table,
        Optional<String> rows,
        List<String> columns,
        List<String> without,
        Optional<Moves> moves,
        Optional<KeyStrategy> key,
        Optional<String> since) {
    public TableRule {
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(rows, "rows");
        columns = List.copyOf(columns);
        without = List.copyOf(without);
        Objects.requireNonNull(moves, "moves");
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(since, "since");
    }

    /** What goes of a table. */
    public enum Moves {
        STRUCTURE_AND_ROWS,
        /** The table is made and stays empty. */
        STRUCTURE,
        /** The table is there already; its rows are loaded and compared. */
        ROWS
    }

    /** What becomes of a primary key of one number. */
    public enum KeyStrategy {
        /** Numbered by the engine or not, as on the source. */
        KEEP,
        /** Numbered by the engine; rows that are there keep their numbers. */
        IDENTITY,
        /** A UUID, of which the number is the end in the rows that are there; so are the keys that refer to it. */
        UUID
    }
}
