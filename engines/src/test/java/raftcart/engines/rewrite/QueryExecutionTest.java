package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.StatementResult;

/** Runs queries on the engine in whose dialect they are written and, translated, on every other one. */
class QueryExecutionTest {
    private final List<String> failures = new ArrayList<>();
    private final List<String> byHand = new ArrayList<>();
    private int compared;

    @Test
    void queriesGiveTheSameRowsOnEveryEngine() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            SampleSchema schema = SampleSchema.createOn(engines);
            for (String source : engines.names()) {
                for (String query :
                        SampleSchema.resource("queries-" + source + ".sql").split(";\n")) {
                    run(engines, source, query.strip(), schema);
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).isGreaterThan(650);
        assertThat(byHand).as("left to a person").hasSizeLessThan(185);
    }

    private void run(SqlEngines engines, String source, String query, SampleSchema schema) {
        List<String> expected;
        try {
            expected = engines.rows(source, query, SqlEngines.isOrdered(query));
        } catch (SQLException e) {
            failures.add(source + " does not run " + query + ": " + e.getMessage());
            return;
        }
        for (String target : engines.names()) {
            if (!target.equals(source)) {
                compare(engines, source, query, expected, target, schema);
            }
        }
    }

    private void compare(
            SqlEngines engines,
            String source,
            String query,
            List<String> expected,
            String target,
            SampleSchema schema) {
        StatementResult result =
                schema.rewriter(source, target).rewrite(query, 1, 1).get(0);
        String pair = source + " to " + target + ": " + query;
        if (result.outcome() == Outcome.BY_HAND) {
            assertThat(result.findings().get(0).code()).as(pair).isNotEqualTo(FindingCode.DEFECT);
            byHand.add(pair + ": " + result.findings().get(0).detail());
            return;
        }
        boolean differs = result.outcome() == Outcome.CHECK;
        try {
            List<String> rows = engines.rows(target, result.text(), SqlEngines.isOrdered(query));
            compared++;
            if (!rows.equals(expected) && !differs) {
                failures.add(pair + "\n  " + result.text() + "\n  expected " + expected + "\n  found    " + rows);
            }
        } catch (SQLException e) {
            if (!differs) {
                failures.add(pair + "\n  " + result.text() + "\n  refused: "
                        + e.getMessage().lines().findFirst().orElse(""));
            }
        }
    }
}
