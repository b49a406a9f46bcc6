package raftcart.rewrite;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;

/** How the columns of tables were defined by the statements that were read so far, in the source's own words. */
final class KnownDefinitions {
    private final Map<String, Map<String, ColumnDefinition>> tables = new HashMap<>();

    private static String key(Name name) {
        return name.text().toLowerCase(Locale.ROOT);
    }

    /** A table that is made now; the columns of its primary key refuse NULL whether they say so or not. */
    void add(CreateTable table) {
        tables.remove(key(table.name().last()));
        table.columns().forEach(c -> add(table.name(), c));
        table.constraints().stream()
                .filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                .flatMap(c -> TableAdapter.names(c.parts()).stream())
                .forEach(n -> change(table.name(), n, d -> d.withNotNull(Optional.of(true))));
    }

    void add(QualifiedName table, ColumnDefinition column) {
        boolean primary = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        tables.computeIfAbsent(key(table.last()), k -> new HashMap<>())
                .put(key(column.name()), primary ? column.withNotNull(Optional.of(true)) : column);
    }

    void change(QualifiedName table, Name column, UnaryOperator<ColumnDefinition> how) {
        of(table, column).ifPresent(old -> {
            remove(table, column);
            add(table, how.apply(old));
        });
    }

    void remove(QualifiedName table, Name column) {
        Map<String, ColumnDefinition> columns = tables.get(key(table.last()));
        if (columns != null) {
            columns.remove(key(column));
        }
    }

    void rename(QualifiedName from, QualifiedName to) {
        Map<String, ColumnDefinition> columns = tables.remove(key(from.last()));
        if (columns != null) {
            tables.put(key(to.last()), columns);
        }
    }

    Optional<ColumnDefinition> of(QualifiedName table, Name column) {
        return Optional.ofNullable(tables.get(key(table.last()))).map(t -> t.get(key(column)));
    }
}
