package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.StatementResult;

/**
 * Random queries and changes of each engine's own dialect, run there and, translated, on every other one. What the
 * translation leaves without a remark has to give the same rows. {@code -Draftcart.random.seed} and
 * {@code -Draftcart.random.queries} (per engine) look elsewhere or longer.
 */
class RandomStatementsTest {
    private static final long SEED = Long.getLong("raftcart.random.seed", 1);
    private static final int QUERIES = Integer.getInteger("raftcart.random.queries", 150);

    /** Of HSQLDB in some groups of groups, of MariaDB for texts that are no numbers (in changes only), of Derby for a part of a part of a text, of H2 for a sum of what is always NULL or the beginning of its month, of Derby's compiled code. */
    private static final Pattern OWN_ERRORS = Pattern.compile(
            "^General error|Truncated incorrect|SUBSTR function is out of range|SUM or AVG on wrong data type"
                    + "|NoSuchMethodError|Invalid value \"NULL\" for parameter \"DATE_TRUNC|\"NULL [+] INTERVAL");

    /** SQLite keeps in a row of the table what its columns have no room for, and others refuse. */
    private static final Pattern UNFIT = Pattern.compile(
            "^\\d+ \\| .{41,} \\| .* \\| .* \\| |\\| -?\\d{5,}(\\.\\d+)? \\| -?\\d+$|\\| -?\\d+\\.\\d{3,} \\| -?\\d+$");

    private final List<String> failures = new ArrayList<>();
    private final Map<String, Integer> compared = new TreeMap<>();

    /** The rows that a statement gives, or leaves behind. */
    private interface Outcomes {
        List<String> of(String engine, String statement) throws SQLException;
    }

    @Test
    void queriesGiveTheSameRows() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            runAll(engines, "query", (engine, sql) -> engines.rows(engine, sql, SqlEngines.isOrdered(sql)));
        }
    }

    @Test
    void changesLeaveTheSameRows() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            runAll(
                    engines,
                    "change",
                    (engine, sql) -> engines.rowsAfter(
                            engine,
                            ScriptText.statements(sql),
                            "SELECT id, name, kind, magnitude, planets FROM entry ORDER BY id"));
        }
    }

    private void runAll(SqlEngines engines, String what, Outcomes outcomes) throws IOException, SQLException {
        SampleSchema schema = SampleSchema.createOn(engines);
        for (String source : engines.names()) {
            RandomStatements statements = new RandomStatements(
                    SEED,
                    SampleSchema.resource("random/common.txt"),
                    SampleSchema.resource("random/" + source + ".txt"));
            for (int i = 0; i < QUERIES; i++) {
                run(engines, schema, source, statements.next(what, 1 + i % 3), outcomes);
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared.values()).allMatch(count -> count > QUERIES / 8);
    }

    /** A statement that its own engine refuses (a division by zero, say) has no meaning to keep. */
    private void run(SqlEngines engines, SampleSchema schema, String source, String statement, Outcomes outcomes) {
        List<String> expected;
        try {
            expected = outcomes.of(source, statement);
        } catch (SQLException e) {
            return;
        }
        if (expected.stream().anyMatch(row -> UNFIT.matcher(row).find())) {
            return;
        }
        for (String target : engines.names()) {
            if (!target.equals(source)) {
                StatementResult result =
                        schema.rewriter(source, target).rewrite(statement, 1, 1).get(0);
                assertThat(result.findings()).as(statement).noneMatch(f -> f.code() == FindingCode.DEFECT);
                if (result.outcome() == Outcome.AS_IS || result.outcome() == Outcome.ADAPTED) {
                    compared.merge(source + " to " + target, 1, Integer::sum);
                    compare(source, statement, expected, target, result.text(), outcomes);
                }
            }
        }
    }

    private void compare(
            String source, String statement, List<String> expected, String target, String text, Outcomes outcomes) {
        String what = source + " to " + target + ": " + statement;
        try {
            List<String> rows = outcomes.of(target, text);
            if (!rows.equals(expected)) {
                failures.add(what + "\n  " + text + "\n  expected " + expected + "\n  found    " + rows);
            }
        } catch (SQLException e) {
            if (OWN_ERRORS.matcher(e.getMessage()).find()) {
                return;
            }
            failures.add(what + "\n  " + text + "\n  refused: "
                    + e.getMessage().lines().findFirst().orElse(""));
        }
    }
}
