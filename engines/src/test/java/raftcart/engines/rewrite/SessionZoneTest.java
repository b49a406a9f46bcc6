package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/** SQLite's present is that of UTC, whatever zone the session of the target has. */
class SessionZoneTest {
    private static final Map<String, String> WEST = Map.of(
            "postgresql", "SET TIME ZONE 'America/New_York'",
            "mariadb", "SET time_zone = '-05:00'",
            "h2", "SET TIME ZONE 'America/New_York'",
            "hsqldb", "SET TIME ZONE INTERVAL '-5:00' HOUR TO MINUTE",
            "duckdb", "SET TimeZone = 'America/New_York'");

    private static final List<String> PRESENT = List.of(
            "SELECT strftime('%Y-%m-%d %H', 'now')",
            "SELECT strftime('%H', 'now', '-90 minutes')",
            "SELECT date('now')",
            "SELECT CAST(strftime('%s', 'now') AS INTEGER) / 100");

    private int left;

    @Test
    void thePresentOfSqliteIsThatOfUtcEverywhere() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (Map.Entry<String, String> target : WEST.entrySet()) {
                engines.execute(target.getKey(), target.getValue());
                for (String query : PRESENT) {
                    compare(engines, target.getKey(), query);
                }
            }
        }
        assertThat(left).as("left to a person").isLessThan(2);
    }

    private void compare(SqlEngines engines, String target, String query) throws SQLException {
        StatementResult result = new StatementRewriter(
                        Languages.named("sqlite").orElseThrow(),
                        Languages.named(target).orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(query, 1, 1)
                .get(0);
        if (result.outcome() == Outcome.BY_HAND) {
            left++;
            return;
        }
        List<String> before = engines.rows("sqlite", query, true);
        List<String> found = engines.rows(target, result.text(), true);
        assertThat(found).as(target + ": " + result.text()).isIn(before, engines.rows("sqlite", query, true));
    }
}
