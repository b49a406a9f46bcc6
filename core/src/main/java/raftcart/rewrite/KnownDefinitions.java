package raftcart.rewrite;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;

/** How the columns of tables were defined by the statements that were read so far, in the source's own words. */
final class KnownDefinitions {
    private final Map<String, Map<String, ColumnDefinition>> tables = new HashMap<>();
    private final Function<QualifiedName, String> keys;

    /** @param keys by which tables are looked up */
    KnownDefinitions(Function<QualifiedName, String> keys) {
        this.keys = keys;
    }

    private static String key(Name name) {
        return name.text().toLowerCase(Locale.ROOT);
    }

    /** A table that is made now; the columns of its primary key refuse NULL whether they say so or not. */
    void add(CreateTable table) {
        tables.remove(keys.apply(table.name()));
        table.columns().forEach(c -> add(table.name(), c));
        table.constraints().stream()
                .filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                .flatMap(c -> TableAdapter.names(c.parts()).stream())
                .forEach(n -> change(table.name(), n, d -> d.withNotNull(Optional.of(true))));
    }

    void add(QualifiedName table, ColumnDefinition column) {
        boolean primary = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        tables.computeIfAbsent(keys.apply(table), k -> new HashMap<>())
                .put(key(column.name()), primary ? column.withNotNull(Optional.of(true)) : column);
    }

    void change(QualifiedName table, Name column, UnaryOperator<ColumnDefinition> how) {
        of(table, column).ifPresent(old -> {
            remove(table, column);
            add(table, how.apply(old));
        });
    }

    void remove(QualifiedName table, Name column) {
        Map<String, ColumnDefinition> columns = tables.get(keys.apply(table));
        if (columns != null) {
            columns.remove(key(column));
        }
    }

    void rename(String from, String to) {
        Map<String, ColumnDefinition> columns = tables.remove(from);
        if (columns != null) {
            tables.put(to, columns);
        }
    }

    Optional<ColumnDefinition> of(QualifiedName table, Name column) {
        return Optional.ofNullable(tables.get(keys.apply(table))).map(t -> t.get(key(column)));
    }
}
