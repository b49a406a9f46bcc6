package raftcart.engines.mariadb;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Partitioning;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;

/** Reads one database through information_schema, with a fixed number of queries for all tables together. */
final class MariaDbCatalogReader {
    private static final String PARTITIONED = "partitioned";

    private final Connection connection;
    private final Dialect dialect;
    private final String schema;
    private final Set<String> roles;

    /** @param roles the roles that were told with other databases and are not told again; this one adds its own */
    MariaDbCatalogReader(Connection connection, Dialect dialect, String schema, Set<String> roles) {
        this.connection = connection;
        this.dialect = dialect;
        this.schema = schema;
        this.roles = roles;
    }

    /**
     * A table, view or sequence as the server lists it.
     *
     * @param next the number that an AUTO_INCREMENT column gets next, if there is one
     */
    private record Listed(
            String name,
            String comment,
            long rows,
            long bytes,
            String engine,
            String options,
            String type,
            Optional<BigInteger> next) {
        private boolean partitioned() {
            return options.contains(PARTITIONED);
        }
    }

    Schema read() throws SQLException {
        List<Listed> listed = listed();
        Map<String, List<CheckConstraint>> checks = checks();
        MariaDbPeriods periods = new MariaDbPeriods();
        periods.read(connection, schema, dialect.identifiers(), checks);
        Set<String> json = jsonColumns(checks);
        Map<String, BigInteger> next = new HashMap<>();
        listed.forEach(l -> l.next().ifPresent(n -> next.put(l.name(), n)));
        MariaDbColumns columns = new MariaDbColumns(connection, dialect, schema, json, next);
        Map<String, List<Column>> columnsByTable = columns.read();
        MariaDbKeys keys = new MariaDbKeys(connection, schema);
        keys.read();
        boolean divided = listed.stream().anyMatch(Listed::partitioned);
        Map<String, Partitioning> partitions = divided ? new MariaDbPartitions(connection, schema).read() : Map.of();
        List<Table> tables = listed.stream()
                .filter(l -> l.type().matches("BASE TABLE|SYSTEM VERSIONED"))
                .map(l -> table(
                        l,
                        columnsByTable,
                        clauses(l.name(), columns, keys, periods),
                        keys,
                        checks,
                        json,
                        partitions.get(l.name())))
                .toList();
        return new Schema(
                schema,
                tables,
                sequences(listed.stream()
                        .filter(l -> l.type().equals("SEQUENCE"))
                        .map(Listed::name)
                        .toList()),
                List.of(),
                new MariaDbCodeReader(connection, dialect, schema, roles).read());
    }

    /** One query for all that TABLES knows, as the server opens every table for each such query. */
    private List<Listed> listed() throws SQLException {
        return Query.list(
                connection,
                "SELECT TABLE_NAME, TABLE_COMMENT, TABLE_ROWS, DATA_LENGTH, ENGINE, CREATE_OPTIONS, TABLE_TYPE,"
                        + " AUTO_INCREMENT FROM information_schema.TABLES WHERE TABLE_SCHEMA = ? ORDER BY TABLE_NAME",
                row -> new Listed(
                        row.getString("TABLE_NAME"),
                        Query.orEmpty(row, "TABLE_COMMENT"),
                        row.getLong("TABLE_ROWS"),
                        row.getLong("DATA_LENGTH"),
                        Query.orEmpty(row, "ENGINE"),
                        Query.orEmpty(row, "CREATE_OPTIONS"),
                        Query.orEmpty(row, "TABLE_TYPE"),
                        Optional.ofNullable(row.getBigDecimal("AUTO_INCREMENT")).map(BigDecimal::toBigInteger)),
                schema);
    }

    private Table table(
            Listed listed,
            Map<String, List<Column>> columns,
            List<String> clauses,
            MariaDbKeys keys,
            Map<String, List<CheckConstraint>> checks,
            Set<String> json,
            Partitioning partitioning) {
        String name = listed.name();
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
                listed.comment(),
                Optional.ofNullable(partitioning),
                physical(listed, clauses),
                listed.rows(),
                listed.bytes());
    }

    private static List<String> clauses(
            String table, MariaDbColumns columns, MariaDbKeys keys, MariaDbPeriods periods) {
        List<String> clauses = new ArrayList<>(columns.clauses(table));
        clauses.addAll(keys.indexClauses(table));
        clauses.addAll(periods.of(table));
        return clauses;
    }

    /** Only what is out of the ordinary: every table has an engine and a row format. */
    private static List<String> physical(Listed listed, List<String> further) {
        List<String> clauses = new ArrayList<>(further);
        if (!listed.engine().isEmpty() && !listed.engine().equals("InnoDB")) {
            clauses.add("ENGINE=" + listed.engine());
        }
        String options = listed.options().replace(PARTITIONED, "").strip();
        if (!options.isEmpty()) {
            clauses.add(options);
        }
        if (listed.type().equals("SYSTEM VERSIONED")) {
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

    private List<Sequence> sequences(List<String> names) throws SQLException {
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
