package raftcart.plan;

import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import raftcart.catalog.ObjectName;

/**
 * How names become those of the target.
 *
 * @param rename other names by the source's: SCHEMA.TABLE or TABLE, and the same with .COLUMN behind; keys in lower case
 */
public record NameRules(Case letters, String tablePrefix, String tableSuffix, Map<String, String> rename) {
    public NameRules {
        Objects.requireNonNull(letters, "letters");
        Objects.requireNonNull(tablePrefix, "tablePrefix");
        Objects.requireNonNull(tableSuffix, "tableSuffix");
        rename = Map.copyOf(rename);
    }

    /** What becomes of small and capital letters. */
    public enum Case {
        /** Names that the source folds by itself are folded as the target does it, so that no query needs quotes. */
        FOLD,
        KEEP,
        LOWER,
        UPPER
    }

    /** Names without a change, but for the way in which engines fold them. */
    public static NameRules defaults() {
        return new NameRules(Case.FOLD, "", "", Map.of());
    }

    /** The name that the plan gives a table or another object. */
    public Optional<String> named(ObjectName object) {
        return find(object.toString()).or(() -> find(object.name()));
    }

    /** The name that the plan gives a column. */
    public Optional<String> named(ObjectName table, String column) {
        return find(table + "." + column).or(() -> find(table.name() + "." + column));
    }

    private Optional<String> find(String key) {
        return Optional.ofNullable(rename.get(key.toLowerCase(Locale.ROOT)));
    }
}
