package raftcart.engines.rewrite;

import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Columns of every kind in functions, aggregates, windows, orders and conditions: the same rows on both engines, or a word is said. */
class QueryEdgesTest {
    private static final List<String> STARS = List.of("name", "kind", "magnitude", "planets");
    private static final List<String> READINGS = List.of("taken", "value", "note", "observer_id");

    private static final List<String> AGGREGATES = List.of(
            "COUNT(?)", "COUNT(DISTINCT ?)", "MIN(?)", "MAX(?)", "SUM(?)", "AVG(?)", "STDDEV_POP(?)", "VAR_SAMP(?)");
    private static final List<String> WINDOWS = List.of(
            "ROW_NUMBER() OVER (ORDER BY ?, id)",
            "RANK() OVER (ORDER BY ?)",
            "DENSE_RANK() OVER (ORDER BY ? DESC)",
            "LAG(?) OVER (ORDER BY id)",
            "LEAD(?, 2) OVER (ORDER BY id)",
            "FIRST_VALUE(?) OVER (ORDER BY id)",
            "LAST_VALUE(?) OVER (ORDER BY id ROWS BETWEEN UNBOUNDED PRECEDING AND UNBOUNDED FOLLOWING)",
            "SUM(?) OVER (ORDER BY id ROWS BETWEEN 1 PRECEDING AND CURRENT ROW)",
            "COUNT(?) OVER (PARTITION BY #)",
            "NTILE(2) OVER (ORDER BY ?, id)");
    private static final List<String> VALUES = List.of(
            "UPPER(?)",
            "LENGTH(?)",
            "SUBSTRING(?, 2, 3)",
            "REPLACE(?, 'a', 'b')",
            "TRIM(?)",
            "ABS(?)",
            "ROUND(?, 1)",
            "ROUND(?)",
            "FLOOR(?)",
            "COALESCE(?, #)",
            "NULLIF(?, #)",
            "CASE WHEN ? IS NULL THEN 0 ELSE 1 END",
            "? / 2",
            "? % 3",
            "? + #",
            "? - #",
            "? * #",
            "? || #",
            "CAST(? AS VARCHAR(20))",
            "CAST(? AS INTEGER)",
            "CAST(? AS DECIMAL(8,1))",
            "EXTRACT(YEAR FROM ?)",
            "EXTRACT(MONTH FROM ?)",
            "? = #",
            "? < #",
            "? BETWEEN # AND 5",
            "? IN (#, 3)",
            "? LIKE 'K%'",
            "? IS NOT NULL");

    /** Lengths of time as drivers show them; the mean of moments; how many digits a number or a moment shows as a text. */
    private static final Pattern KNOWN = Pattern.compile(
            "taken - |AVG\\(taken\\)|(LENGTH|SUBSTRING|REPLACE|TRIM|UPPER)\\((value|taken)|(value|taken) \\|\\||\\|\\| value");

    private final Edges edges = new Edges();

    private static Stream<String> each(String pattern, List<String> first, List<String> second) {
        return first.stream()
                .flatMap(a -> second.stream().map(b -> pattern.replace("#", b).replace("?", a)));
    }

    private static Stream<String> of(String table, List<String> columns, List<String> others) {
        String from = " FROM " + table;
        return Stream.of(
                        AGGREGATES.stream().flatMap(a -> each("SELECT " + a + from, columns, List.of(""))),
                        AGGREGATES.stream()
                                .flatMap(a -> each("SELECT " + a + from + " WHERE 1 = 0", columns, List.of(""))),
                        AGGREGATES.stream()
                                .flatMap(a -> each("SELECT #, " + a + from + " GROUP BY #", columns, columns)),
                        WINDOWS.stream().flatMap(w -> each("SELECT id, " + w + from, columns, columns)),
                        VALUES.stream().flatMap(v -> each("SELECT id, " + v + from, columns, others)),
                        each("SELECT id FROM " + table + " ORDER BY ?, id", columns, List.of("")),
                        each("SELECT id FROM " + table + " ORDER BY ? DESC, id LIMIT 3", columns, List.of("")),
                        each("SELECT DISTINCT ? FROM " + table, columns, List.of("")),
                        each(
                                "SELECT id FROM " + table + " WHERE ? NOT IN (SELECT # FROM " + table + ")",
                                columns,
                                columns),
                        each("SELECT id FROM " + table + " WHERE ? > #", columns, others),
                        each("SELECT id FROM " + table + " WHERE NOT (? = #)", columns, others))
                .flatMap(s -> s);
    }

    @Test
    void giveTheSameRows() throws IOException, SQLException {
        List<String> queries = Stream.concat(
                        of(
                                "star",
                                STARS,
                                List.of(
                                        "name",
                                        "kind",
                                        "magnitude",
                                        "planets",
                                        "'Kestra'",
                                        "'8'",
                                        "3",
                                        "0.03",
                                        "NULL")),
                        of(
                                "reading",
                                READINGS,
                                List.of(
                                        "value",
                                        "note",
                                        "observer_id",
                                        "'2026-02-01'",
                                        "DATE '2026-02-15'",
                                        "1",
                                        "NULL")))
                .distinct()
                .toList();
        try (SqlEngines engines = new SqlEngines()) {
            SampleSchema schema = SampleSchema.createOn(engines);
            for (String source : Edges.ENGINES) {
                for (String query : queries) {
                    edges.compareOnAll(engines, source, query, target -> schema.rewriter(source, target));
                }
            }
        }
        edges.verify(9_000, KNOWN, 400);
    }
}
