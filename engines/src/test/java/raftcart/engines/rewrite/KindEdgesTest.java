package raftcart.engines.rewrite;

import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;

/** Columns of the kinds that each server has its own types for: the same rows on both, or a word is said. */
class KindEdgesTest {
    private static final Map<String, List<String>> TABLES = Map.of(
            "postgresql",
            List.of(
                    "CREATE TYPE band AS ENUM ('U', 'B', 'V')",
                    "CREATE TABLE plate (id integer PRIMARY KEY, u uuid, y bytea, j jsonb, z timestamptz, b boolean,"
                            + " n numeric, c char(5), t text, d date, m time, s smallint, r real, e band, i bit(8),"
                            + " v varchar(9))",
                    "INSERT INTO plate VALUES (1, '0f5a1c3e-0000-4000-8000-00000000000a', '\\x00ff41', '{\"a\": 1, \"b\": \"X\"}',"
                            + " '2026-03-29 00:30:00+00', true, 12345.678901, 'ab', 'Äb😀', '2024-02-29', '23:59:59', 7, 1.5,"
                            + " 'V', B'10100000', 'a ')",
                    "INSERT INTO plate VALUES (2, 'ffffffff-0000-4000-8000-00000000000b', '\\x', '{\"a\": null, \"l\": [1, 2]}',"
                            + " '2026-10-25 01:30:00+00', false, -0.5, 'AB', '', '2026-12-31', '00:00:00', -7, -0.25, 'U',"
                            + " B'00000001', 'A')",
                    "INSERT INTO plate (id) VALUES (3)"),
            "mariadb",
            List.of(
                    "CREATE TABLE plate (id int PRIMARY KEY, u uuid, y varbinary(9), j json, z timestamp NULL, b boolean,"
                            + " n decimal(20,6), c char(5), t text, d date, m time, s smallint unsigned, r float,"
                            + " e enum('U', 'B', 'V'), i bit(8), v varchar(9), o year) COLLATE utf8mb4_nopad_bin",
                    "INSERT INTO plate VALUES (1, '0f5a1c3e-0000-4000-8000-00000000000a', x'00ff41', '{\"a\": 1, \"b\": \"X\"}',"
                            + " '2026-03-29 00:30:00', true, 12345.678901, 'ab', 'Äb😀', '2024-02-29', '23:59:59', 7, 1.5,"
                            + " 'V', b'10100000', 'a ', 2026)",
                    "INSERT INTO plate VALUES (2, 'ffffffff-0000-4000-8000-00000000000b', x'', '{\"a\": null, \"l\": [1, 2]}',"
                            + " '2026-10-25 01:30:00', false, -0.5, 'AB', '', '2026-12-31', '00:00:00', 8, -0.25, 'U',"
                            + " b'00000001', 'A', 1999)",
                    "INSERT INTO plate (id) VALUES (3)"));

    private static final List<String> COLUMNS =
            List.of("u", "y", "j", "z", "b", "n", "c", "t", "d", "m", "s", "r", "e", "i", "v");

    private static final List<String> PATTERNS = List.of(
            "SELECT id, ? FROM plate ORDER BY id",
            "SELECT COUNT(DISTINCT ?) FROM plate",
            "SELECT MIN(?), MAX(?) FROM plate",
            "SELECT id FROM plate ORDER BY ?, id",
            "SELECT id FROM plate ORDER BY ? DESC, id",
            "SELECT ?, COUNT(*) FROM plate GROUP BY ?",
            "SELECT id, CASE WHEN ? IS NULL THEN 0 ELSE 1 END FROM plate",
            "SELECT id, COALESCE(?, (SELECT p.? FROM plate p WHERE p.id = 1)) FROM plate",
            "SELECT id FROM plate WHERE ? = (SELECT p.? FROM plate p WHERE p.id = 1)",
            "SELECT id FROM plate WHERE ? > (SELECT p.? FROM plate p WHERE p.id = 2)",
            "SELECT a.id, b.id FROM plate a JOIN plate b ON a.? = b.? ORDER BY 1, 2",
            "SELECT id, UPPER(?) FROM plate",
            "SELECT id, LENGTH(?) FROM plate",
            "SELECT id, CONCAT(?, '-') FROM plate",
            "SELECT id, CAST(? AS CHAR(40)) FROM plate",
            "SELECT id, SUBSTRING(?, 2, 2) FROM plate",
            "SELECT id, REPLACE(?, 'b', 'X') FROM plate",
            "SELECT id, TRIM(?) FROM plate",
            "SELECT id, ? + 1 FROM plate",
            "SELECT id, ? * 2 FROM plate",
            "SELECT id, SUM(?) OVER (ORDER BY id) FROM plate",
            "SELECT id, ROUND(?, 2) FROM plate",
            "SELECT id, ABS(?) FROM plate",
            "SELECT id, EXTRACT(YEAR FROM ?) FROM plate",
            "SELECT id, EXTRACT(HOUR FROM ?) FROM plate",
            "SELECT id FROM plate WHERE ?",
            "SELECT id FROM plate WHERE NOT ?",
            "SELECT id FROM plate WHERE ? LIKE 'a%'",
            "SELECT id FROM plate WHERE ? IN ('ab', 'AB', 'V', 'a ')",
            "SELECT id FROM plate WHERE ? = 'ab'",
            "SELECT id FROM plate WHERE ? = 'V'",
            "SELECT id FROM plate WHERE ? > 'B'",
            "SELECT id FROM plate WHERE ? = 7",
            "SELECT id FROM plate WHERE ? > 0",
            "SELECT id FROM plate WHERE ? = TRUE",
            "SELECT id FROM plate WHERE ? = '2024-02-29'",
            "SELECT id FROM plate WHERE ? < '2026-06-01 00:00:00'",
            "SELECT id FROM plate WHERE ? = '23:59:59'",
            "SELECT id FROM plate WHERE ? = '0f5a1c3e-0000-4000-8000-00000000000a'",
            "SELECT id, NULLIF(?, (SELECT p.? FROM plate p WHERE p.id = 1)) FROM plate",
            "SELECT id, LAG(?) OVER (ORDER BY id) FROM plate",
            "SELECT ? FROM plate UNION SELECT ? FROM plate",
            "SELECT id, (? IS NULL) FROM plate",
            "SELECT id, (? = ?) FROM plate",
            "SELECT id, MD5(?) FROM plate",
            "SELECT id, ? + INTERVAL '1' DAY FROM plate",
            "SELECT id, GREATEST(?, ?) FROM plate");

    /** How drivers show the spans of MariaDB's TIME and of PostgreSQL's intervals, and bits. */
    private static final Pattern KNOWN =
            Pattern.compile("\\d (hours?|mins|secs|days)|SELECT (id, )?(i|LAG\\(i\\))[ ,].*FROM plate");

    private final Edges edges = new Edges();

    @Test
    void giveTheSameRows() throws SQLException {
        for (String source : TABLES.keySet()) {
            try (SqlEngines engines = new SqlEngines()) {
                engines.execute("postgresql", "SET TIME ZONE 'UTC'");
                engines.execute("mariadb", "SET time_zone = '+00:00'");
                for (String statement : TABLES.get(source)) {
                    engines.execute(source, statement);
                }
                String target = source.equals("mariadb") ? "postgresql" : "mariadb";
                StatementRewriter rewriter = Edges.rewriter(source, target);
                for (String statement : TABLES.get(source)) {
                    for (StatementResult result : rewriter.rewrite(statement, 1, 1)) {
                        if (!result.text().isBlank()) {
                            for (String text : ScriptText.statements(result.text())) {
                                engines.execute(target, text);
                            }
                        }
                    }
                }
                for (String query : queries().toList()) {
                    compare(engines, source, target, query, rewriter);
                }
            }
        }
        edges.verify(500, KNOWN, 130);
    }

    private static Stream<String> queries() {
        return PATTERNS.stream().flatMap(p -> COLUMNS.stream().map(c -> p.replace("?", c)));
    }

    private void compare(SqlEngines engines, String source, String target, String query, StatementRewriter rewriter) {
        List<String> expected;
        try {
            expected = engines.rows(source, query, SqlEngines.isOrdered(query));
        } catch (SQLException e) {
            return; // nothing that the source does
        }
        edges.compare(
                source + " to " + target,
                query,
                expected,
                rewriter,
                text -> engines.rows(target, text, SqlEngines.isOrdered(query)));
    }
}
