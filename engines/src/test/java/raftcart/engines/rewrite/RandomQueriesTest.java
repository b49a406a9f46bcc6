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
import raftcart.finding.Outcome;
import raftcart.rewrite.StatementResult;

/**
 * Random queries of each engine's own dialect, run there and, translated, on every other one. What the translation
 * leaves without a remark has to give the same rows. {@code -Draftcart.random.seed} and
 * {@code -Draftcart.random.queries} (per engine) look elsewhere or longer.
 */
class RandomQueriesTest {
    private static final long SEED = Long.getLong("raftcart.random.seed", 1);
    private static final int QUERIES = Integer.getInteger("raftcart.random.queries", 150);

    /** Of HSQLDB in some groups of groups, of Derby for a part of a part of a text, of H2 for a sum of what is always NULL. */
    private static final Pattern OWN_ERRORS =
            Pattern.compile("^General error|SUBSTR function is out of range|SUM or AVG on wrong data type");

    private final List<String> failures = new ArrayList<>();
    private final Map<String, Integer> compared = new TreeMap<>();

    @Test
    void whatIsTranslatedWithoutARemarkGivesTheSameRows() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            SampleSchema schema = SampleSchema.createOn(engines);
            for (String source : engines.names()) {
                RandomQueries queries = new RandomQueries(
                        SEED,
                        SampleSchema.resource("random/common.txt"),
                        SampleSchema.resource("random/" + source + ".txt"));
                for (int i = 0; i < QUERIES; i++) {
                    run(engines, schema, source, queries.next(1 + i % 3));
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared.values()).allMatch(count -> count > QUERIES / 3);
    }

    /** A query that its own engine refuses (a division by zero, say) has no meaning to keep. */
    private void run(SqlEngines engines, SampleSchema schema, String source, String query) {
        List<String> expected;
        try {
            expected = engines.rows(source, query, SqlEngines.isOrdered(query));
        } catch (SQLException e) {
            return;
        }
        for (String target : engines.names()) {
            if (!target.equals(source)) {
                StatementResult result =
                        schema.rewriter(source, target).rewrite(query, 1, 1).get(0);
                if (result.outcome() == Outcome.AS_IS || result.outcome() == Outcome.ADAPTED) {
                    compared.merge(source + " to " + target, 1, Integer::sum);
                    compare(engines, source, query, expected, target, result.text());
                }
            }
        }
    }

    private void compare(
            SqlEngines engines, String source, String query, List<String> expected, String target, String text) {
        String what = source + " to " + target + ": " + query;
        try {
            List<String> rows = engines.rows(target, text, SqlEngines.isOrdered(query));
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
