package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import raftcart.dialect.Languages;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/** Collects what differs between the rows of a statement and those of its translation of which nothing was said. */
final class Edges {
    /** Where texts of any length and moments are compared and computed alike; the others fill texts up, or know no moments. */
    static final List<String> ENGINES = List.of("postgresql", "mariadb", "h2", "duckdb");

    private final List<String> failures = new ArrayList<>();
    private final List<String> refused = new ArrayList<>();
    private int compared;

    /** Runs a translated text and gives the rows that tell what it did. */
    interface Run {
        List<String> rows(String text) throws SQLException;
    }

    static StatementRewriter rewriter(String source, String target) {
        return new StatementRewriter(
                Languages.named(source).orElseThrow(),
                Languages.named(target).orElseThrow(),
                new Knowledge(),
                TokenRules.NONE);
    }

    /** Runs a query on its source and, where that takes it, its translations on every other engine. */
    void compareOnAll(SqlEngines engines, String source, String query, Function<String, StatementRewriter> rewriterTo) {
        boolean ordered = SqlEngines.isOrdered(query);
        List<String> expected;
        try {
            expected = engines.rows(source, query, ordered);
        } catch (SQLException e) {
            return; // nothing that the source does
        }
        for (String target : ENGINES) {
            if (!target.equals(source)) {
                compare(
                        source + " to " + target,
                        query,
                        expected,
                        rewriterTo.apply(target),
                        text -> engines.rows(target, text, ordered));
            }
        }
    }

    /** True for a statement that is left to a person, or of which something is said that its rows may show. */
    static boolean isTold(StatementResult result) {
        // Blanks at the end of stored texts are told at the first table; the tests have none.
        boolean padding = result.source().stripLeading().regionMatches(true, 0, "CREATE", 0, 6)
                && result.findings().stream()
                        .filter(f -> f.outcome().compareTo(Outcome.CHECK) >= 0)
                        .allMatch(f -> f.code() == FindingCode.PADDING);
        return result.outcome().compareTo(Outcome.CHECK) >= 0 && !padding;
    }

    /** @param pair the two engines, for messages */
    void compare(String pair, String sql, List<String> expected, StatementRewriter rewriter, Run run) {
        StatementResult result = rewriter.rewrite(sql, 1, 1).get(0);
        if (result.outcome().compareTo(Outcome.CHECK) >= 0) {
            return;
        }
        String what =
                pair + ": " + sql + " = " + expected + "; " + result.text().replaceAll("\\s+", " ");
        try {
            List<String> rows = run.rows(result.text());
            compared++;
            if (!rows.equals(expected)) {
                failures.add(what + " = " + rows);
            }
        } catch (SQLException e) {
            refused.add(what + ": " + e.getMessage().lines().findFirst().orElse(""));
        }
    }

    /**
     * @param known differences with a reason
     * @param loud how many translations at most the targets may refuse
     */
    void verify(int least, Pattern known, int loud) {
        assertThat(compared).isGreaterThan(least);
        assertThat(failures).filteredOn(f -> !known.matcher(f).find()).isEmpty();
        assertThat(refused)
                .as("refused by the targets, of which nothing was said")
                .hasSizeLessThan(loud);
    }
}
