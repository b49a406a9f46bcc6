package raftcart.engines.rewrite;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;

/** Values of every kind that go into columns of every kind: the same is stored on both engines, or a word is said. */
class ChangeEdgesTest {
    private static final Map<String, String> TYPES = new TreeMap<>(Map.ofEntries(
            Map.entry("whole", "INTEGER"),
            Map.entry("small", "SMALLINT"),
            Map.entry("large", "BIGINT"),
            Map.entry("exact", "DECIMAL(6,2)"),
            Map.entry("coarse", "DECIMAL(6,0)"),
            Map.entry("approx", "DOUBLE PRECISION"),
            Map.entry("brief", "VARCHAR(5)"),
            Map.entry("code", "CHAR(5)"),
            Map.entry("born", "DATE"),
            Map.entry("taken", "TIMESTAMP"),
            Map.entry("good", "BOOLEAN"),
            Map.entry("clock", "TIME")));

    private static final List<String> VALUES = List.of(
            "NULL",
            "0",
            "1",
            "2.5",
            "3.5",
            "-2.5",
            "1.005",
            "1e2",
            "99999.99",
            "''",
            "' '",
            "'7'",
            "' 7 '",
            "'2.5'",
            "'-2.5'",
            "'abc'",
            "'abc  '",
            "'true'",
            "'t'",
            "'2026-03-01'",
            "'2026-03-01 10:11:12.7'",
            "'10:11'",
            "'10:11:12'",
            "TRUE",
            "FALSE",
            "DATE '2026-03-01'",
            "TIMESTAMP '2026-03-01 10:11:12'",
            "1 / 2",
            "5 / 2.0",
            "'a' || 'b'",
            "1 = 1",
            "CASE WHEN 1 = 1 THEN 'x' END");
    private static final List<String> READ = List.of(
            "n",
            "d",
            "f",
            "t",
            "c",
            "dt",
            "ts",
            "b",
            "n / 2",
            "n / 2.0",
            "d * 2",
            "d / 3",
            "f * 2",
            "n + d",
            "t || 'x'",
            "UPPER(t)",
            "SUBSTRING(t, 1, 2)",
            "COALESCE(d, 0)",
            "COALESCE(t, 'none')",
            "n > 1",
            "NOT b",
            "dt + 1",
            "(SELECT MAX(o.d) FROM origin o)",
            "CASE WHEN b THEN n ELSE 0 END",
            "CAST(d AS INTEGER)",
            "CAST(n AS VARCHAR(9))",
            "ROUND(d, 1)",
            "LENGTH(t)",
            "NULLIF(t, 'abc')");

    private static final String ORIGIN = "CREATE TABLE origin (id INTEGER PRIMARY KEY, n INTEGER, d DECIMAL(8,3),"
            + " f DOUBLE PRECISION, t VARCHAR(20), c CHAR(5), dt DATE, ts TIMESTAMP, b BOOLEAN)";
    private static final List<String> ROWS = List.of(
            "1, 3, 2.345, 2.5, '12', 'ab', DATE '2026-02-28', TIMESTAMP '2026-02-28 23:59:59', TRUE",
            "2, -3, -2.345, -0.5, 'abc', 'x', DATE '2024-02-29', TIMESTAMP '2024-02-29 00:00:00', FALSE",
            "3, 0, 0.005, 1.5, ' 7 ', '', DATE '2026-12-31', TIMESTAMP '2026-12-31 12:30:15', TRUE",
            "4, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL");

    /**
     * What drivers show otherwise (spans of MariaDB's TIME, times of day without their fraction); DuckDB divides as floating
     * numbers, whose halves become the even number.
     */
    private static final Pattern KNOWN = Pattern.compile("clock|^duckdb to .* (\\w+ / [23]|5 / 2\\.0|1 / 2)");

    private final Edges edges = new Edges();

    private record Change(String statement, String query) {
        static Change of(String column, String statement) {
            return new Change(statement, "SELECT id, " + column + " FROM sink ORDER BY id");
        }
    }

    private static Stream<Change> changes(String column) {
        return Stream.of(
                        VALUES.stream().map(v -> "INSERT INTO sink (id, " + column + ") VALUES (1, " + v + ")"),
                        READ.stream()
                                .map(v -> "INSERT INTO sink (id, " + column + ") SELECT id, " + v + " FROM origin"),
                        READ.stream()
                                .map(v -> "INSERT INTO sink (id, " + column + ") SELECT id, " + v
                                        + " FROM origin WHERE id = 1"),
                        Stream.concat(VALUES.stream(), Stream.of("whole / 2", "exact * 1.5", "brief", "exact", "born"))
                                .map(v -> "UPDATE sink SET " + column + " = " + v + " WHERE id = 9"))
                .flatMap(s -> s)
                .map(s -> Change.of(column, s));
    }

    private static List<String> schema() {
        StringBuilder sink = new StringBuilder("CREATE TABLE sink (id INTEGER PRIMARY KEY");
        TYPES.forEach((name, type) -> sink.append(", ").append(name).append(' ').append(type));
        List<String> all = new ArrayList<>(List.of(sink.append(')').toString(), ORIGIN));
        ROWS.forEach(r -> all.add("INSERT INTO origin VALUES (" + r + ")"));
        all.add("INSERT INTO sink (id, whole, exact, brief, born) VALUES (9, 7, 2.25, 'ab', DATE '2026-05-05')");
        return all;
    }

    @Test
    void storeTheSame() throws SQLException {
        for (String source : Edges.ENGINES) {
            try (SqlEngines engines = new SqlEngines()) {
                for (String statement : schema()) {
                    engines.execute(source, statement);
                }
                for (String target : Edges.ENGINES) {
                    if (!target.equals(source)) {
                        run(engines, source, target);
                    }
                }
            }
        }
        edges.verify(5_000, KNOWN, 550);
    }

    private void run(SqlEngines engines, String source, String target) throws SQLException {
        StatementRewriter rewriter = Edges.rewriter(source, target);
        for (String statement : schema()) {
            for (StatementResult result : rewriter.rewrite(statement, 1, 1)) {
                for (String text : ScriptText.statements(result.text())) {
                    engines.execute(target, text);
                }
            }
        }
        for (String column : TYPES.keySet()) {
            for (Change change : changes(column).toList()) {
                compare(engines, source, target, change, rewriter);
            }
        }
    }

    private void compare(SqlEngines engines, String source, String target, Change change, StatementRewriter rewriter) {
        List<String> expected;
        try {
            expected = engines.rowsAfter(source, List.of(change.statement()), change.query());
        } catch (SQLException e) {
            return; // nothing that the source does
        }
        edges.compare(
                source + " to " + target,
                change.statement(),
                expected,
                rewriter,
                text -> engines.rowsAfter(target, ScriptText.statements(text), change.query()));
    }
}
