package raftcart.engines.rewrite;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.demo.servers.DatabaseServer;
import raftcart.demo.servers.TestServers;

/** Connections to every engine that runs here, and rows in a form in which they compare. */
final class SqlEngines implements AutoCloseable {
    private static final List<String> ALL =
            List.of("postgresql", "mariadb", "sqlite", "h2", "hsqldb", "derby", "duckdb");

    private final Map<String, Connection> connections = new LinkedHashMap<>();

    /** Every engine. */
    SqlEngines() throws SQLException {
        this(Set.copyOf(ALL));
    }

    SqlEngines(Set<String> wanted) throws SQLException {
        for (String name : ALL) {
            if (wanted.contains(name)) {
                connections.put(name, open(name));
            }
        }
        if (wanted.contains("sqlite")) {
            execute("sqlite", "PRAGMA foreign_keys = ON");
        }
    }

    /** A further database of an engine, under a name of its own. */
    void add(String name, String engine) throws SQLException {
        connections.put(name, open(engine));
    }

    private static Connection open(String name) throws SQLException {
        String once = "r" + System.nanoTime();
        System.setProperty("derby.stream.error.field", "java.lang.System.err");
        return switch (name) {
            case "postgresql" -> server(TestServers.postgresql());
            case "mariadb" -> server(TestServers.mariadb());
            case "sqlite" -> DriverManager.getConnection("jdbc:sqlite::memory:");
            case "h2" -> DriverManager.getConnection("jdbc:h2:mem:" + once);
            case "hsqldb" -> DriverManager.getConnection("jdbc:hsqldb:mem:" + once, "SA", "");
            case "derby" -> DriverManager.getConnection("jdbc:derby:memory:" + once + ";create=true");
            case "duckdb" -> DriverManager.getConnection("jdbc:duckdb:");
            default -> throw new IllegalArgumentException(name);
        };
    }

    private static Connection server(DatabaseServer server) throws SQLException {
        return server.connect(TestServers.newDatabase(server, "rewrite"));
    }

    List<String> names() {
        return List.copyOf(connections.keySet());
    }

    void execute(String engine, String sql) throws SQLException {
        try (Statement statement = connections.get(engine).createStatement()) {
            statement.execute(sql);
        }
    }

    /** The rows of a query after some changes, which are taken back. */
    List<String> rowsAfter(String engine, List<String> changes, String query) throws SQLException {
        Connection connection = connections.get(engine);
        connection.setAutoCommit(false);
        try {
            for (String change : changes) {
                execute(engine, change);
            }
            return rows(engine, query, true);
        } finally {
            connection.rollback();
            connection.setAutoCommit(true);
        }
    }

    /** The rows of a query as texts; sorted unless they come in an order that was asked for. */
    List<String> rows(String engine, String sql, boolean ordered) throws SQLException {
        try (Statement statement = connections.get(engine).createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            List<String> rows = rows(result);
            if (!ordered) {
                rows.sort(null);
            }
            return rows;
        }
    }

    private static List<String> rows(ResultSet result) throws SQLException {
        List<String> rows = new ArrayList<>();
        int columns = result.getMetaData().getColumnCount();
        while (result.next()) {
            List<String> row = new ArrayList<>();
            for (int i = 1; i <= columns; i++) {
                row.add(text(result.getObject(i)));
            }
            rows.add(String.join(" | ", row));
        }
        return rows;
    }

    /** All result sets of a call: those that the engine gives one after the other, or those of the cursors that it gives. */
    List<List<String>> results(String engine, String call) throws SQLException {
        List<List<String>> all = new ArrayList<>();
        Connection connection = connections.get(engine);
        try (Statement statement = connection.createStatement()) {
            if (engine.equals("postgresql")) {
                connection.setAutoCommit(false);
                for (String cursor : rows(engine, "SELECT CAST(c AS varchar) FROM " + call + " AS c", true)) {
                    all.add(rows(engine, "FETCH ALL IN \"" + cursor + "\"", true));
                }
                connection.commit();
                return all;
            }
            boolean rows = statement.execute("CALL " + call);
            while (rows || statement.getUpdateCount() >= 0) {
                if (rows) {
                    all.add(rows(statement.getResultSet()));
                }
                rows = statement.getMoreResults();
            }
            return all;
        } finally {
            connection.setAutoCommit(true);
        }
    }

    /** True where the last ORDER BY of a query stands in no parentheses. */
    static boolean isOrdered(String sql) {
        int depth = 0;
        boolean ordered = false;
        for (int i = 0; i < sql.length(); i++) {
            depth += sql.charAt(i) == '(' ? 1 : sql.charAt(i) == ')' ? -1 : 0;
            ordered |= depth == 0 && sql.regionMatches(true, i, "ORDER BY", 0, 8);
        }
        return ordered;
    }

    /** Numbers to nine significant digits, truth values as numbers, times without what only the driver adds. */
    private static String text(Object value) {
        if (value == null) {
            return "NULL";
        }
        if (value instanceof Boolean truth) {
            return truth ? "1" : "0";
        }
        if (value instanceof Number number && !value.toString().matches("NaN|-?Infinity")) {
            BigDecimal decimal = new BigDecimal(number.toString()).setScale(5, RoundingMode.HALF_UP);
            return decimal.signum() == 0 ? "0" : decimal.stripTrailingZeros().toPlainString();
        }
        if (value instanceof byte[] bytes) {
            boolean json = bytes.length > 0 && bytes[0] == '{';
            return json
                    ? text(new String(bytes, StandardCharsets.UTF_8))
                    : java.util.HexFormat.of().formatHex(bytes);
        }
        if (value instanceof java.sql.Array array) {
            return items(array);
        }
        if (value instanceof java.sql.Clob clob) {
            return text(whole(clob));
        }
        if (value instanceof java.sql.Blob blob) {
            return text(whole(blob));
        }
        String text = value.toString().stripTrailing();
        if (text.startsWith("{") || text.startsWith("[")) {
            return text.replace(" ", "");
        }
        if (text.matches("-?\\d+\\.\\d+")) {
            return text(new BigDecimal(text));
        }
        return text.replaceFirst(
                        "^(\\d{4}-\\d\\d-\\d\\d)[T ](\\d\\d:\\d\\d)(:\\d\\d)?(?:(\\.\\d*?)0*|\\.0+)?Z?$", "$1 $2$3$4")
                .replaceFirst("^(\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d:\\d\\d)\\.$", "$1")
                .replaceFirst("^(\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d)$", "$1:00")
                .replaceFirst("^(\\d\\d:\\d\\d)$", "$1:00")
                .replaceFirst(" 00:00:00$", "");
    }

    private static String items(java.sql.Array array) {
        try {
            return Stream.of((Object[]) array.getArray())
                    .map(i -> i instanceof Object[] inner ? List.of(inner).toString() : text(i))
                    .collect(Collectors.joining(", ", "{", "}"));
        } catch (SQLException e) {
            // Items that the driver cannot read, as amounts of money, are compared as the engine's text.
            return array.toString();
        }
    }

    private static String whole(java.sql.Clob clob) {
        try {
            return clob.getSubString(1, (int) clob.length());
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] whole(java.sql.Blob blob) {
        try {
            return blob.getBytes(1, (int) blob.length());
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() throws SQLException {
        for (Connection connection : connections.values()) {
            connection.close();
        }
    }
}
