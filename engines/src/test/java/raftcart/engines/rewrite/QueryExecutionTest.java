package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/** Runs queries on the engine in whose dialect they are written and, translated, on every other one. */
class QueryExecutionTest {
    private final List<String> failures = new ArrayList<>();
    private final List<String> byHand = new ArrayList<>();
    private int compared;

    private static String resource(String name) throws IOException {
        try (InputStream in = QueryExecutionTest.class.getResourceAsStream("/raftcart/engines/rewrite/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static StatementRewriter rewriter(String from, String to, Knowledge knowledge) {
        return new StatementRewriter(
                Languages.named(from).orElseThrow(), Languages.named(to).orElseThrow(), knowledge, TokenRules.NONE);
    }

    /** The schema in each dialect, made by the tool itself; what a dialect's own queries then know of it. */
    private static Knowledge createSchema(SqlEngines engines, String engine) throws IOException, SQLException {
        StringBuilder own = new StringBuilder();
        for (StatementResult result :
                rewriter("postgresql", engine, new Knowledge()).rewrite(resource("schema.sql"), 1, 1)) {
            assertThat(result.outcome()).as(result.text()).isNotEqualTo(Outcome.BY_HAND);
            for (String statement : result.text().split(";\n")) {
                engines.execute(engine, statement);
            }
            own.append(result.text()).append(";\n");
        }
        Knowledge knowledge = new Knowledge();
        rewriter(engine, engine, knowledge).rewrite(own.toString(), 1, 1);
        return knowledge;
    }

    @Test
    void queriesGiveTheSameRowsOnEveryEngine() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            List<Knowledge> known = new ArrayList<>();
            for (String engine : engines.names()) {
                known.add(createSchema(engines, engine));
            }
            for (String source : engines.names()) {
                Knowledge knowledge = known.get(engines.names().indexOf(source));
                for (String query : resource("queries-" + source + ".sql").split(";\n")) {
                    run(engines, source, query.strip(), knowledge);
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).isGreaterThan(600);
        assertThat(byHand).as("left to a person").hasSizeLessThan(130);
    }

    private void run(SqlEngines engines, String source, String query, Knowledge knowledge) {
        List<String> expected;
        try {
            expected = engines.rows(source, query);
        } catch (SQLException e) {
            failures.add(source + " does not run " + query + ": " + e.getMessage());
            return;
        }
        for (String target : engines.names()) {
            if (!target.equals(source)) {
                compare(engines, source, query, expected, target, knowledge);
            }
        }
    }

    private void compare(
            SqlEngines engines,
            String source,
            String query,
            List<String> expected,
            String target,
            Knowledge knowledge) {
        StatementResult result =
                rewriter(source, target, knowledge).rewrite(query, 1, 1).get(0);
        String pair = source + " to " + target + ": " + query;
        if (result.outcome() == Outcome.BY_HAND) {
            byHand.add(pair + ": " + result.findings().get(0).detail());
            return;
        }
        boolean differs = result.outcome() == Outcome.CHECK;
        try {
            List<String> rows = engines.rows(target, result.text());
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
