package raftcart.catalog;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;

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
    /** Begins a clause that tells how a column was numbered before its default did it. */
    public static final String NUMBERED = "numbered: ";

    private static final Pattern MEANING = Pattern.compile(
            "(?i)(\\w+: )?(partition\\s+by|on commit drop|keys and defaults|default on null|(in|ex)cluding |with system versioning|column .* invisible|with no check option"
                    + "|inherits\\b|constraint |.* without overlaps|disable trigger|enable (always|replica) trigger|enable row level|the counter of .* (cycle|m..value)"
                    + "|set: |with\\s*\\(\\s*system_versioning|period\\b|generated always as (row|transaction)\\b)");

    /** True for a clause without counterpart that says more than where and how rows lie. */
    public static boolean hasMeaning(String clause) {
        return MEANING.matcher(clause).lookingAt();
    }

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
