package raftcart.dialect.mariadb;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Partitioning;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.DdlPrinter;
import raftcart.dialect.Identifiers;
import raftcart.type.LogicalType;

/** Writes MariaDB's CREATE statements. */
final class MariaDbDdl implements DdlPrinter {
    /** Compares every character and does not pad, as other engines do; columns that ignore case say so themselves. */
    private static final String TABLE_OPTIONS = "ENGINE=InnoDB DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin";

    private final Identifiers identifiers;

    MariaDbDdl(Identifiers identifiers) {
        this.identifiers = identifiers;
    }

    @Override
    public String createSchema(String schema) {
        return "CREATE DATABASE IF NOT EXISTS " + identifiers.quote(schema) + " CHARACTER SET utf8mb4";
    }

    @Override
    public String createRole(String role) {
        return "CREATE ROLE IF NOT EXISTS " + identifiers.quote(role);
    }

    @Override
    public String createType(EnumeratedType type) {
        throw new IllegalStateException("MariaDB has no named enumerations");
    }

    @Override
    public String createSequence(Sequence sequence) {
        return "CREATE SEQUENCE " + identifiers.quote(sequence.name())
                + "\n    START WITH " + sequence.start()
                + "\n    MINVALUE " + sequence.minimum().max(BigInteger.valueOf(Long.MIN_VALUE + 1))
                + "\n    MAXVALUE " + sequence.maximum().min(BigInteger.valueOf(Long.MAX_VALUE - 1))
                + "\n    INCREMENT BY " + sequence.increment()
                + "\n    CACHE " + sequence.cache()
                + (sequence.cycle() ? "\n    CYCLE" : "\n    NOCYCLE");
    }

    @Override
    public List<String> createTable(Table table) {
        List<String> lines = new ArrayList<>();
        for (Column column : table.columns()) {
            lines.add(column(column));
        }
        table.primaryKey().ifPresent(key -> lines.add("PRIMARY KEY " + parts(key.parts())));
        numberedWithoutKey(table).ifPresent(c -> lines.add("KEY (" + identifiers.quote(c) + ")"));
        for (CheckConstraint check : table.checks()) {
            String name = check.name().isEmpty() ? "" : "CONSTRAINT " + identifiers.quote(check.name()) + " ";
            lines.add(name + "CHECK (" + check.expression() + ")");
        }
        String comment = table.comment().isEmpty() ? "" : " COMMENT=" + string(table.comment());
        return List.of("CREATE TABLE " + identifiers.quote(table.name()) + " (\n    " + String.join(",\n    ", lines)
                + "\n) " + TABLE_OPTIONS + comment
                + table.partitioning().map(this::partitions).orElse(""));
    }

    private String partitions(Partitioning partitioning) {
        String parts = partitioning.partitions().stream()
                .map(p -> "PARTITION " + identifiers.quote(p.name()) + " " + p.bounds())
                .collect(Collectors.joining(",\n    "));
        return "\nPARTITION BY " + partitioning.scheme() + (parts.isEmpty() ? "" : " (\n    " + parts + "\n)");
    }

    /** "AUTO_INCREMENT": the column must be the first of a key. */
    private static Optional<String> numberedWithoutKey(Table table) {
        return table.columns().stream()
                .filter(c -> c.identity().isPresent())
                .map(Column::name)
                .filter(c -> table.primaryKey().isEmpty()
                        || !table.primaryKey().get().columns().get(0).equals(c))
                .findFirst();
    }

    private String column(Column column) {
        StringBuilder line =
                new StringBuilder(identifiers.quote(column.name())).append(' ').append(column.declaredType());
        if (column.generated().isPresent()) {
            Generated generated = column.generated().get();
            line.append(" GENERATED ALWAYS AS (")
                    .append(generated.expression())
                    .append(generated.stored() ? ") STORED" : ") VIRTUAL")
                    .append(generated.hidden() ? " INVISIBLE" : "");
        } else {
            line.append(column.nullable() ? " NULL" : " NOT NULL");
        }
        column.identity().ifPresent(i -> line.append(" AUTO_INCREMENT"));
        column.defaultValue().ifPresent(d -> line.append(" DEFAULT ").append(defaultValue(d)));
        column.onUpdate().ifPresent(u -> line.append(" ON UPDATE ").append(u));
        if (!column.comment().isEmpty()) {
            line.append(" COMMENT ").append(string(column.comment()));
        }
        return line.toString();
    }

    /** "DEFAULT": an expression that is more than a constant or the current time stands in parentheses. */
    private static String defaultValue(String text) {
        boolean plain = text.matches("(?is)-?[0-9.]+|[xb]?'.*'|NULL|true|false|current_timestamp(\\([0-9]?\\))?");
        return plain ? text : "(" + text + ")";
    }

    private String parts(List<KeyPart> parts) {
        return parts.stream()
                .map(p -> identifiers.quote(p.column())
                        + (p.prefixLength() > 0 ? "(" + p.prefixLength() + ")" : "")
                        + (p.descending() ? " DESC" : ""))
                .collect(Collectors.joining(", ", "(", ")"));
    }

    @Override
    public String addUniqueKey(ObjectName table, Key key) {
        String name = key.name().isEmpty() ? "" : " " + identifiers.quote(key.name());
        return "ALTER TABLE " + identifiers.quote(table) + "\n    ADD UNIQUE KEY" + name + " " + parts(key.parts());
    }

    @Override
    public boolean indexes(String method, List<LogicalType> columns) {
        boolean places = columns.stream().allMatch(c -> c instanceof LogicalType.Opaque own && own.bytes());
        return method.equals("fulltext") || method.equals("spatial") && places;
    }

    @Override
    public String createIndex(ObjectName table, Index index) {
        String kind = index.method().matches("fulltext|spatial")
                ? index.method().toUpperCase(Locale.ROOT) + " "
                : index.unique() ? "UNIQUE " : "";
        return "CREATE " + kind + "INDEX " + identifiers.quote(index.name()) + " ON " + identifiers.quote(table) + " "
                + parts(index.parts());
    }

    @Override
    public String addForeignKey(ObjectName table, ForeignKey key) {
        String name = key.name().isEmpty() ? "" : "CONSTRAINT " + identifiers.quote(key.name()) + " ";
        return "ALTER TABLE " + identifiers.quote(table) + "\n    ADD " + name + "FOREIGN KEY ("
                + identifiers.quoteAll(key.columns()) + ") REFERENCES " + identifiers.quote(key.target()) + " ("
                + identifiers.quoteAll(key.targetColumns()) + ")"
                + action("ON DELETE", key.onDelete())
                + action("ON UPDATE", key.onUpdate());
    }

    private static String action(String event, ReferentialAction action) {
        return action == ReferentialAction.NO_ACTION ? "" : " " + event + " " + action.sql();
    }

    /** "DROP TABLE": a table to which foreign keys lead goes only where they are not looked at. */
    @Override
    public List<String> dropTable(ObjectName table) {
        return List.of(
                "SET FOREIGN_KEY_CHECKS = 0",
                "DROP TABLE IF EXISTS " + identifiers.quote(table),
                "SET FOREIGN_KEY_CHECKS = 1");
    }

    @Override
    public String dropView(ObjectName view) {
        return "DROP VIEW IF EXISTS " + identifiers.quote(view);
    }

    @Override
    public String dropSequence(ObjectName sequence) {
        return "DROP SEQUENCE IF EXISTS " + identifiers.quote(sequence);
    }

    @Override
    public String emptyTable(ObjectName table) {
        return "TRUNCATE TABLE " + identifiers.quote(table);
    }

    @Override
    public String setIdentity(ObjectName table, Column column, BigInteger next) {
        return "ALTER TABLE " + identifiers.quote(table) + " AUTO_INCREMENT = " + next;
    }

    /** "AUTO_INCREMENT Handling in InnoDB": a greater number that a row brings is counted. */
    @Override
    public Optional<String> advanceIdentity(ObjectName table, Column column, BigInteger next) {
        return Optional.empty();
    }

    /** "SETVAL": a number less than the next one is passed over. */
    @Override
    public String advanceSequence(ObjectName sequence, BigInteger next) {
        return "SELECT SETVAL(" + identifiers.quote(sequence) + ", " + next + ", 0)";
    }

    @Override
    public String setSequence(ObjectName sequence, BigInteger next) {
        return "ALTER SEQUENCE " + identifiers.quote(sequence) + " RESTART WITH " + next;
    }

    @Override
    public String analyze(ObjectName table) {
        return "ANALYZE TABLE " + identifiers.quote(table);
    }

    private static String string(String text) {
        return "'" + text.replace("\\", "\\\\").replace("'", "''") + "'";
    }
}
