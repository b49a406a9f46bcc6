package raftcart.catalog;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A base table. {@code rowEstimate} and {@code byteEstimate} are the engine's own guesses, 0 where it has none;
 * {@code physical} lists clauses on storage as the engine prints them.
 */
public record Table(
        ObjectName name,
        List<Column> columns,
        Optional<Key> primaryKey,
        List<Key> uniqueKeys,
        List<ForeignKey> foreignKeys,
        List<CheckConstraint> checks,
        List<Index> indexes,
        String comment,
        Optional<Partitioning> partitioning,
        List<String> physical,
        long rowEstimate,
        long byteEstimate) {
    public Table {
        Objects.requireNonNull(name, "name");
        columns = List.copyOf(columns);
        Objects.requireNonNull(primaryKey, "primaryKey");
        uniqueKeys = List.copyOf(uniqueKeys);
        foreignKeys = List.copyOf(foreignKeys);
        checks = List.copyOf(checks);
        indexes = List.copyOf(indexes);
        Objects.requireNonNull(comment, "comment");
        Objects.requireNonNull(partitioning, "partitioning");
        physical = List.copyOf(physical);
    }

    /** The column of this name, compared exactly. */
    public Optional<Column> column(String columnName) {
        return columns.stream().filter(c -> c.name().equals(columnName)).findFirst();
    }
}
