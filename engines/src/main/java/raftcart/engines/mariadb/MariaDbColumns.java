package raftcart.engines.mariadb;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.Column;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.LogicalType;

/** Reads the columns of all tables. */
final class MariaDbColumns {
    private static final String ON_UPDATE = "on update ";

    private final Connection connection;
    private final Dialect dialect;
    private final String schema;
    /** Words that only MariaDB reads, such as how a column is compressed ("Storage-Engine Independent Column Compression"). */
    private static final Pattern VERSIONED = Pattern.compile("\\s*/\\*M?!\\d*\\s*(.*?)\\s*\\*/");

    private final Set<String> jsonColumns;
    private final Map<String, BigInteger> nextNumbers;
    private final Map<String, List<String>> clauses = new HashMap<>();

    MariaDbColumns(
            Connection connection,
            Dialect dialect,
            String schema,
            Set<String> jsonColumns,
            Map<String, BigInteger> nextNumbers) {
        this.connection = connection;
        this.dialect = dialect;
        this.schema = schema;
        this.jsonColumns = jsonColumns;
        this.nextNumbers = nextNumbers;
    }

    Map<String, List<Column>> read() throws SQLException {
        // No joins: names of tables compare without regard to case there, even where two differ in case alone.
        Map<String, List<Column>> columns = new LinkedHashMap<>();
        record Named(String table, Column column) {}
        List<Named> all = Query.list(
                connection,
                "SELECT * FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = ? ORDER BY TABLE_NAME, ORDINAL_POSITION",
                row -> new Named(row.getString("TABLE_NAME"), column(row)),
                schema);
        all.forEach(
                n -> columns.computeIfAbsent(n.table(), k -> new ArrayList<>()).add(n.column()));
        return columns;
    }

    /** What the columns of a table say beyond their types: how they are kept and shown. */
    List<String> clauses(String table) {
        return clauses.getOrDefault(table, List.of());
    }

    private void clause(ResultSet row, String words) throws SQLException {
        clauses.computeIfAbsent(row.getString("TABLE_NAME"), k -> new ArrayList<>())
                .add("column " + row.getString("COLUMN_NAME") + " " + words);
    }

    private Column column(ResultSet row) throws SQLException {
        String name = row.getString("COLUMN_NAME");
        Matcher compressed = VERSIONED.matcher(row.getString("COLUMN_TYPE"));
        String declared = compressed.replaceAll("");
        if (compressed.reset().find()) {
            clause(row, compressed.group(1));
        }
        if (declared.contains("zerofill")) {
            clause(row, "ZEROFILL");
        }
        String extra = Query.orEmpty(row, "EXTRA").toLowerCase(Locale.ROOT);
        boolean json = jsonColumns.contains(row.getString("TABLE_NAME") + "." + name) && declared.equals("longtext");
        LogicalType type = json
                ? new LogicalType.Json(false)
                : dialect.types()
                        .read(TypeNameParser.parse(declared, dialect.grammar().lexical()));
        if (extra.contains("invisible")) {
            clause(row, "INVISIBLE");
        }
        String collation = Query.orEmpty(row, "COLLATION_NAME");
        boolean nullable = "YES".equals(row.getString("IS_NULLABLE"));
        return new Column(
                name,
                json ? "json" : declared,
                type,
                nullable,
                defaultValue(row.getString("COLUMN_DEFAULT")),
                generated(row.getString("GENERATION_EXPRESSION"), extra),
                identity(row, extra),
                !json && collation.contains("_ci"),
                json ? "" : collation,
                onUpdate(extra),
                Query.orEmpty(row, "COLUMN_COMMENT"));
    }

    /** "Information Schema COLUMNS Table": an expression; the word NULL stands for no default. */
    private static Optional<String> defaultValue(String text) {
        return text == null || text.equalsIgnoreCase("NULL") ? Optional.empty() : Optional.of(text);
    }

    private static Optional<Generated> generated(String expression, String extra) {
        return expression == null || expression.isEmpty()
                ? Optional.empty()
                : Optional.of(new Generated(expression, extra.contains("stored"), extra.contains("invisible")));
    }

    private Optional<Identity> identity(ResultSet row, String extra) throws SQLException {
        if (!extra.contains("auto_increment")) {
            return Optional.empty();
        }
        return Optional.of(
                new Identity(1, 1, false, nextNumbers.getOrDefault(row.getString("TABLE_NAME"), BigInteger.ONE)));
    }

    private static Optional<String> onUpdate(String extra) {
        int at = extra.indexOf(ON_UPDATE);
        return at < 0
                ? Optional.empty()
                : Optional.of(extra.substring(at + ON_UPDATE.length()).strip());
    }
}
