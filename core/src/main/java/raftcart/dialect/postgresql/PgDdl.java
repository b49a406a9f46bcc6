package raftcart.dialect.postgresql;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.DdlPrinter;
import raftcart.dialect.Identifiers;
import raftcart.type.LogicalType;

/** Writes PostgreSQL's CREATE statements. */
final class PgDdl implements DdlPrinter {
    private final Identifiers identifiers;

    PgDdl(Identifiers identifiers) {
        this.identifiers = identifiers;
    }

    @Override
    public String createSchema(String schema) {
        return "CREATE SCHEMA IF NOT EXISTS " + identifiers.quote(schema);
    }

    @Override
    public String createRole(String role) {
        return "DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = " + string(role) + ") THEN CREATE ROLE "
                + identifiers.quote(role) + " NOLOGIN; END IF; END $$";
    }

    @Override
    public String createType(EnumeratedType type) {
        String values = type.values().stream().map(PgDdl::string).collect(Collectors.joining(", "));
        return "CREATE TYPE " + identifiers.quote(type.name()) + " AS ENUM (" + values + ")";
    }

    @Override
    public String createSequence(Sequence sequence) {
        return "CREATE SEQUENCE " + identifiers.quote(sequence.name())
                + "\n    START WITH " + sequence.start()
                + "\n    INCREMENT BY " + sequence.increment()
                + "\n    MINVALUE " + sequence.minimum()
                + "\n    MAXVALUE " + sequence.maximum()
                + "\n    CACHE " + Math.max(1, sequence.cache())
                + (sequence.cycle() ? "\n    CYCLE" : "");
    }

    @Override
    public List<String> createTable(Table table) {
        List<String> lines = new ArrayList<>();
        for (Column column : table.columns()) {
            lines.add(column(column));
        }
        table.primaryKey().ifPresent(key -> lines.add(constraint(key.name(), "PRIMARY KEY " + parts(key.parts()))));
        for (CheckConstraint check : table.checks()) {
            lines.add(constraint(check.name(), "CHECK (" + check.expression() + ")"));
        }
        String name = identifiers.quote(table.name());
        List<String> statements = new ArrayList<>();
        String divided =
                table.partitioning().map(p -> "\nPARTITION BY " + p.scheme()).orElse("");
        statements.add("CREATE TABLE " + name + " (\n    " + String.join(",\n    ", lines) + "\n)" + divided);
        table.partitioning().stream()
                .flatMap(p -> p.partitions().stream())
                .map(p -> "CREATE TABLE "
                        + identifiers.quote(new ObjectName(table.name().schema(), p.name()))
                        + " PARTITION OF " + name + " " + p.bounds())
                .forEach(statements::add);
        if (!table.comment().isEmpty()) {
            statements.add("COMMENT ON TABLE " + name + " IS " + string(table.comment()));
        }
        for (Column column : table.columns()) {
            if (!column.comment().isEmpty()) {
                statements.add("COMMENT ON COLUMN " + name + "." + identifiers.quote(column.name()) + " IS "
                        + string(column.comment()));
            }
        }
        return statements;
    }

    private String column(Column column) {
        StringBuilder line =
                new StringBuilder(identifiers.quote(column.name())).append(' ').append(column.declaredType());
        column.generated().ifPresent(g -> line.append(" GENERATED ALWAYS AS (")
                .append(g.expression())
                .append(") STORED"));
        column.identity().ifPresent(i -> line.append(" GENERATED ")
                .append(i.always() ? "ALWAYS" : "BY DEFAULT")
                .append(" AS IDENTITY (START WITH ")
                .append(i.start())
                .append(" INCREMENT BY ")
                .append(i.increment())
                .append(i.start() < 1 && i.increment() > 0 ? " MINVALUE " + i.start() : "")
                .append(')'));
        column.defaultValue().ifPresent(d -> line.append(" DEFAULT ").append(d));
        if (!column.nullable()) {
            line.append(" NOT NULL");
        }
        return line.toString();
    }

    private String constraint(String name, String body) {
        return name.isEmpty() ? body : "CONSTRAINT " + identifiers.quote(name) + " " + body;
    }

    private String parts(List<KeyPart> parts) {
        return parts.stream()
                .map(p -> (p.isExpression() ? "(" + p.expression() + ")" : identifiers.quote(p.column()))
                        + (p.descending() ? " DESC" : ""))
                .collect(Collectors.joining(", ", "(", ")"));
    }

    @Override
    public String addUniqueKey(ObjectName table, Key key) {
        return "ALTER TABLE " + identifiers.quote(table) + "\n    ADD "
                + constraint(key.name(), "UNIQUE " + parts(key.parts()));
    }

    /** "Indexes, Built-in Operator Classes": those of the types that have one by default. */
    @Override
    public boolean indexes(String method, List<LogicalType> columns) {
        return switch (method) {
            case "gin" -> columns.stream().allMatch(PgDdl::hasItems);
            case "gist", "spgist" -> columns.stream().allMatch(PgDdl::isRangeOrShape);
            case "brin" -> columns.stream().noneMatch(c -> hasItems(c) || isRangeOrShape(c));
            default -> false;
        };
    }

    private static boolean hasItems(LogicalType type) {
        return type instanceof LogicalType.Array
                || type instanceof LogicalType.Json json && json.normalized()
                || type instanceof LogicalType.Opaque own && own.nativeName().equals("tsvector");
    }

    private static boolean isRangeOrShape(LogicalType type) {
        return type instanceof LogicalType.Opaque own
                && (own.nativeName().endsWith("range") || own.nativeName().matches("box|point|polygon|circle"));
    }

    @Override
    public String createIndex(ObjectName table, Index index) {
        return "CREATE " + (index.unique() ? "UNIQUE " : "") + "INDEX " + identifiers.quote(index.name()) + " ON "
                + identifiers.quote(table)
                + (index.method().isEmpty() || index.method().equals("btree") ? "" : " USING " + index.method())
                + " " + parts(index.parts())
                + (index.included().isEmpty() ? "" : " INCLUDE (" + identifiers.quoteAll(index.included()) + ")")
                + (index.predicate().isEmpty() ? "" : " WHERE " + index.predicate());
    }

    @Override
    public String addForeignKey(ObjectName table, ForeignKey key) {
        return "ALTER TABLE " + identifiers.quote(table) + "\n    ADD "
                + constraint(
                        key.name(),
                        "FOREIGN KEY (" + identifiers.quoteAll(key.columns()) + ") REFERENCES "
                                + identifiers.quote(key.target()) + " ("
                                + identifiers.quoteAll(key.targetColumns()) + ")")
                + action("ON DELETE", key.onDelete())
                + (key.cleared().isEmpty() ? "" : " (" + identifiers.quoteAll(key.cleared()) + ")")
                + action("ON UPDATE", key.onUpdate())
                + (key.deferrable() ? " DEFERRABLE" : "")
                + (key.initiallyDeferred() ? " INITIALLY DEFERRED" : "");
    }

    private static String action(String event, ReferentialAction action) {
        return action == ReferentialAction.NO_ACTION ? "" : " " + event + " " + action.sql();
    }

    @Override
    public List<String> dropTable(ObjectName table) {
        return List.of("DROP TABLE IF EXISTS " + identifiers.quote(table) + " CASCADE");
    }

    @Override
    public String dropView(ObjectName view) {
        return "DROP VIEW IF EXISTS " + identifiers.quote(view) + " CASCADE";
    }

    @Override
    public String dropSequence(ObjectName sequence) {
        return "DROP SEQUENCE IF EXISTS " + identifiers.quote(sequence) + " CASCADE";
    }

    @Override
    public String dropType(ObjectName type) {
        return "DROP TYPE IF EXISTS " + identifiers.quote(type); // not what else uses it
    }

    @Override
    public String findType(ObjectName type) {
        return "SELECT 1 FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace WHERE n.nspname = "
                + string(type.schema()) + " AND t.typname = " + string(type.name());
    }

    @Override
    public String emptyTable(ObjectName table) {
        return "TRUNCATE TABLE " + identifiers.quote(table);
    }

    @Override
    public String setIdentity(ObjectName table, Column column, BigInteger next) {
        return "ALTER TABLE " + identifiers.quote(table) + " ALTER COLUMN " + identifiers.quote(column.name())
                + " RESTART WITH " + next;
    }

    @Override
    public Optional<String> advanceIdentity(ObjectName table, Column column, BigInteger next) {
        return Optional.of("SELECT setval(pg_get_serial_sequence(" + string(identifiers.quote(table)) + ", "
                + string(column.name()) + "), " + next + ", false)");
    }

    @Override
    public String advanceSequence(ObjectName sequence, BigInteger next) {
        return "SELECT setval(" + string(identifiers.quote(sequence)) + ", " + next + ", false)";
    }

    @Override
    public String setSequence(ObjectName sequence, BigInteger next) {
        return "ALTER SEQUENCE " + identifiers.quote(sequence) + " RESTART WITH " + next;
    }

    @Override
    public String analyze(ObjectName table) {
        return "ANALYZE " + identifiers.quote(table);
    }

    private static String string(String text) {
        return "'" + text.replace("'", "''") + "'";
    }
}
