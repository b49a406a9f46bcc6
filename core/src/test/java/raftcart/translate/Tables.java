package raftcart.translate;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;
import raftcart.type.LogicalType;

/** Tables of a schema k, made in tests. */
final class Tables {
    private final List<Table> tables = new ArrayList<>();

    /** The tables so far; the list goes on to grow. */
    List<Table> all() {
        return tables;
    }

    static Column column(String name, LogicalType type) {
        return column(name, type, false, Optional.empty());
    }

    static Column column(String name, LogicalType type, boolean ignoresCase, Optional<Identity> identity) {
        Optional<String> none = Optional.empty();
        return new Column(name, "declared", type, true, none, Optional.empty(), identity, ignoresCase, "", none, "");
    }

    static Identity identity() {
        return new Identity(1, 1, false, BigInteger.TEN);
    }

    static ForeignKey reference(String name, String column, String table) {
        return new ForeignKey(
                name,
                List.of(column),
                new ObjectName("k", table),
                List.of("id"),
                ReferentialAction.NO_ACTION,
                ReferentialAction.SET_DEFAULT,
                true,
                true,
                List.of());
    }

    TableBuilder table(String name, Column... columns) {
        return new TableBuilder(new ObjectName("k", name), List.of(columns));
    }

    /** Adds a table to the catalog with its parts. */
    final class TableBuilder {
        private final ObjectName name;
        private final List<Column> columns;
        private Optional<Key> primaryKey = Optional.empty();
        private final List<Key> uniqueKeys = new ArrayList<>();
        private final List<ForeignKey> foreignKeys = new ArrayList<>();
        private final List<CheckConstraint> checks = new ArrayList<>();
        private final List<Index> indexes = new ArrayList<>();

        TableBuilder(ObjectName name, List<Column> columns) {
            this.name = name;
            this.columns = columns;
        }

        TableBuilder primaryKey(String column) {
            primaryKey = Optional.of(new Key("PRIMARY", List.of(KeyPart.ofColumn(column))));
            return this;
        }

        TableBuilder unique(String key, KeyPart... parts) {
            uniqueKeys.add(new Key(key, List.of(parts)));
            return this;
        }

        TableBuilder references(ForeignKey key) {
            foreignKeys.add(key);
            return this;
        }

        TableBuilder check(String check, String expression) {
            checks.add(new CheckConstraint(check, expression));
            return this;
        }

        TableBuilder index(String index, String method, String predicate, KeyPart... parts) {
            return index(index, method, false, predicate, parts);
        }

        TableBuilder index(String index, String method, boolean unique, String predicate, KeyPart... parts) {
            indexes.add(new Index(index, unique, List.of(parts), method, predicate, List.of()));
            return this;
        }

        void add() {
            tables.add(new Table(
                    name,
                    columns,
                    primaryKey,
                    uniqueKeys,
                    foreignKeys,
                    checks,
                    indexes,
                    "",
                    Optional.empty(),
                    List.of(),
                    0,
                    0));
        }
    }
}
