package raftcart.engines.rewrite;

import java.sql.SQLException;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;

/** Casts, operators and conditions on values at the edge: each gives on the target what it gives on the source, or a word is said. */
class ExpressionEdgesTest {
    private static final List<String> NUMBERS = List.of("0", "7", "-7", "2", "2.5", "-2.5", "0.005", "1234.5", "NULL");
    private static final List<String> TEXTS = List.of(
            "''",
            "' '",
            "'a'",
            "'A'",
            "'a '",
            "'ab_c%'",
            "'12'",
            "'12abc'",
            "' 12 '",
            "'-3'",
            "'true'",
            "'2026-02-28'",
            "NULL");
    private static final List<String> MOMENTS = List.of(
            "DATE '2024-02-29'",
            "DATE '2026-12-31'",
            "TIMESTAMP '2026-03-15 13:59:59.5'",
            "TIMESTAMP '2026-01-01 00:00:00'");
    private static final List<String> TYPES = List.of(
            "INTEGER",
            "SMALLINT",
            "BIGINT",
            "DECIMAL(10,2)",
            "DECIMAL(5,0)",
            "DOUBLE PRECISION",
            "VARCHAR(3)",
            "VARCHAR(30)",
            "CHAR(5)",
            "DATE",
            "TIMESTAMP",
            "TIME",
            "BOOLEAN");

    /** How drivers show a length of time, or a time of day without its fraction; results that are not finite; texts as truth values. */
    private static final Pattern KNOWN = Pattern.compile(
            "INTERVAL '-?\\d+ \\d|\\d days|\\d (hours|mins|secs)| AS TIME\\)|NaN|Infinity|EXP\\(1234|' AS BOOLEAN\\)");

    private final Edges edges = new Edges();

    /** The patterns over all pairs of values of two lists; {@code ?} stands for the first, {@code #} for the second. */
    private static Stream<String> each(List<String> patterns, List<String> first, List<String> second) {
        return patterns.stream().flatMap(p -> first.stream()
                .flatMap(a -> second.stream().map(b -> p.replace("#", b).replace("?", a))));
    }

    private static List<String> truths(String... conditions) {
        return Stream.of(conditions)
                .map(c -> "CASE WHEN " + c + " THEN 1 WHEN NOT (" + c + ") THEN 0 ELSE 2 END")
                .toList();
    }

    private static List<String> expressions() {
        List<String> sums = List.of("(?) + (#)", "(?) - (#)", "(?) * (#)", "(?) / (#)", "(?) % (#)");
        List<String> comparisons = truths("? = #", "? < #", "? <> #", "? >= #");
        List<String> texts = List.of("'a'", "'12'", "''", "12", "0", "NULL", "'A'");
        List<String> moments = List.of(
                "DATE '2026-03-15'",
                "TIMESTAMP '2026-03-15 12:00:00'",
                "'2026-03-15'",
                "1",
                "INTERVAL '1' DAY",
                "INTERVAL '1' MONTH");
        List<String> patterns = List.of("'a%'", "'_'", "'%\\_%'", "'A'", "''", "'a_%'", "NULL", "'ab!_c!%' ESCAPE '!'");
        List<String> units =
                List.of("YEAR", "MONTH", "DAY", "HOUR", "MINUTE", "SECOND", "WEEK", "QUARTER", "DOW", "DOY", "EPOCH");
        return Stream.of(
                        each(List.of("CAST(? AS #)"), NUMBERS, TYPES),
                        each(List.of("CAST(? AS #)"), TEXTS, TYPES),
                        each(List.of("CAST(? AS #)"), MOMENTS, TYPES),
                        each(sums, NUMBERS, NUMBERS),
                        each(comparisons, NUMBERS, NUMBERS),
                        each(sums, TEXTS, texts),
                        each(comparisons, TEXTS, texts),
                        each(sums, MOMENTS, moments),
                        each(comparisons, MOMENTS, moments),
                        each(truths("? LIKE #", "? NOT LIKE #"), TEXTS, patterns),
                        each(
                                List.of("? || #", "CONCAT(?, #)", "COALESCE(?, #)", "NULLIF(?, #)"),
                                TEXTS,
                                List.of("''", "'a'", "'ab_c%'", "NULL")),
                        each(truths("? IN (#, 'x')", "? NOT IN (#, 'x')", "? BETWEEN 'A' AND #"), TEXTS, texts),
                        each(
                                List.of("ROUND(?, #)", "MOD(?, #)", "POWER(?, #)", "? || #", "COALESCE(?, #)"),
                                NUMBERS,
                                List.of("0", "2", "-1", "NULL")),
                        each(truths("? IN (#, 3)", "? BETWEEN # AND 3"), NUMBERS, List.of("0", "2", "NULL")),
                        each(
                                List.of("#(?)"),
                                NUMBERS,
                                List.of("ABS", "FLOOR", "CEIL", "SIGN", "ROUND", "SQRT", "EXP", "TRUNC")),
                        each(List.of("EXTRACT(# FROM ?)"), MOMENTS, units))
                .flatMap(s -> s)
                .toList();
    }

    @Test
    void giveTheSameOnBothEngines() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : Edges.ENGINES) {
                String table = Languages.named(source).orElseThrow().dummyTable();
                String from = table.isEmpty() ? "" : " FROM " + table;
                for (String expression : expressions()) {
                    edges.compareOnAll(
                            engines, source, "SELECT " + expression + from, target -> Edges.rewriter(source, target));
                }
            }
        }
        edges.verify(20_000, KNOWN, 560);
    }
}
