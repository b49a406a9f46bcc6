package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;

/** Reads one database through information_schema, with a fixed number of queries for all tables together. */
final class MariaDbCatalogReader {
    private final Connection connection;
    private final Dialect dialect;
    private final String schema;

    MariaDbCatalogReader(Connection connection, Dialect dialect, String schema) {
        this.connection = connection;
        this.dialect = dialect;
        this.schema = schema;
    }

    Catalog read(String version) throws SQLException {
        Map<String, List<CheckConstraint>> checks = checks();
        MariaDbColumns columns = new MariaDbColumns(connection, dialect, schema, jsonColumns(checks));
        Map<String, List<Column>> columnsByTable = columns.read();
        MariaDbKeys keys = new MariaDbKeys(connection, schema);
        keys.read();
        List<Table> tables = Query.list(
                connection,
                "SELECT t.TABLE_NAME, t.TABLE_COMMENT, t.TABLE_ROWS, t.DATA_LENGTH, t.ENGINE, t.CREATE_OPTIONS, t.TABLE_TYPE"
                        + " FROM information_schema.TABLES t WHERE t.TABLE_SCHEMA = ?"
                        + " AND t.TABLE_TYPE IN ('BASE TABLE', 'SYSTEM VERSIONED') ORDER BY t.TABLE_NAME",
                row -> table(row, columnsByTable, columns.invisible(row.getString("TABLE_NAME")), keys, checks),
                schema);
        Schema read = new Schema(
                schema, tables, sequences(), List.of(), new MariaDbCodeReader(connection, dialect, schema).read());
        return new Catalog(dialect.name(), version, schema, List.of(read));
    }

    private Table table(
            ResultSet row,
            Map<String, List<Column>> columns,
            List<String> invisible,
            MariaDbKeys keys,
            Map<String, List<CheckConstraint>> checks)
            throws SQLException {
        String name = row.getString("TABLE_NAME");
        Set<String> json = jsonColumns(checks);
        List<CheckConstraint> kept = checks.getOrDefault(name, List.of()).stream()
                .filter(c -> !isJsonCheck(c) || !json.contains(name + "." + c.name()))
                .toList();
        return new Table(
                new ObjectName(schema, name),
                columns.getOrDefault(name, List.of()),
                keys.primaryKey(name),
                keys.uniqueKeys(name),
                keys.foreignKeys(name),
                kept,
                keys.indexes(name),
                Query.orEmpty(row, "TABLE_COMMENT"),
                physical(row, invisible),
                row.getLong("TABLE_ROWS"),
                row.getLong("DATA_LENGTH"));
    }

    /** Only what is out of the ordinary: every table has an engine and a row format. */
    private static List<String> physical(ResultSet row, List<String> invisible) throws SQLException {
        List<String> clauses = new ArrayList<>(invisible);
        String engine = Query.orEmpty(row, "ENGINE");
        if (!engine.isEmpty() && !engine.equals("InnoDB")) {
            clauses.add("ENGINE=" + engine);
        }
        String options = Query.orEmpty(row, "CREATE_OPTIONS").strip();
        if (!options.isEmpty()) {
            clauses.add(options);
        }
        if ("SYSTEM VERSIONED".equals(row.getString("TABLE_TYPE"))) {
            clauses.add("WITH SYSTEM VERSIONING (the history stays behind)");
        }
        return clauses;
    }

    private Map<String, List<CheckConstraint>> checks() throws SQLException {
        record Named(String table, CheckConstraint check) {}
        return Query.list(
                        connection,
                        "SELECT TABLE_NAME, CONSTRAINT_NAME, CHECK_CLAUSE FROM information_schema.CHECK_CONSTRAINTS"
                                + " WHERE CONSTRAINT_SCHEMA = ? ORDER BY TABLE_NAME, CONSTRAINT_NAME",
                        row -> new Named(
                                row.getString("TABLE_NAME"),
                                new CheckConstraint(row.getString("CONSTRAINT_NAME"), row.getString("CHECK_CLAUSE"))),
                        schema)
                .stream()
                .collect(Collectors.groupingBy(Named::table, Collectors.mapping(Named::check, Collectors.toList())));
    }

    /** "JSON Data Type": an alias of LONGTEXT with a check of this form, named like its column. */
    private static Set<String> jsonColumns(Map<String, List<CheckConstraint>> checks) {
        return checks.entrySet().stream()
                .flatMap(e -> e.getValue().stream()
                        .filter(MariaDbCatalogReader::isJsonCheck)
                        .map(c -> e.getKey() + "." + c.name()))
                .collect(Collectors.toSet());
    }

    private static boolean isJsonCheck(CheckConstraint check) {
        return check.expression().equalsIgnoreCase("json_valid(`" + check.name().replace("`", "``") + "`)");
    }

    private List<Sequence> sequences() throws SQLException {
        List<String> names = Query.list(
                connection,
                "SELECT TABLE_NAME FROM information_schema.TABLES WHERE TABLE_SCHEMA = ?"
                        + " AND TABLE_TYPE = 'SEQUENCE' ORDER BY TABLE_NAME",
                row -> row.getString(1),
                schema);
        List<Sequence> sequences = new ArrayList<>();
        for (String name : names) {
            ObjectName qualified = new ObjectName(schema, name);
            sequences.add(Query.list(
                            connection,
                            "SELECT * FROM " + dialect.identifiers().quote(qualified),
                            row -> sequence(qualified, row))
                    .get(0));
        }
        return sequences;
    }

    private static Sequence sequence(ObjectName name, ResultSet row) throws SQLException {
        return new Sequence(
                name,
                row.getBigDecimal("start_value").toBigInteger(),
                row.getBigDecimal("increment").toBigInteger(),
                row.getBigDecimal("minimum_value").toBigInteger(),
                row.getBigDecimal("maximum_value").toBigInteger(),
                row.getBigDecimal("next_not_cached_value").toBigInteger(),
                row.getLong("cache_size"),
                row.getBoolean("cycle_option"));
    }
}
