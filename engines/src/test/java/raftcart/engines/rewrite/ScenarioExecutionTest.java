package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.TokenRules;

/**
 * Small lives of tables, made, filled, changed and read: each runs on its own engine and, translated, on the others, and
 * the queries on the way have to give the same rows. {@code scenarios/ENGINE.txt} has a statement a line, queries behind a
 * question mark, an empty line between two lives, and ~ in names for what tells them apart.
 */
class ScenarioExecutionTest {
    private final List<String> failures = new ArrayList<>();
    private int compared;
    private int left;

    @Test
    void tablesLiveTheSameLives() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : engines.names()) {
                String[] lives = SampleSchema.resource("scenarios/" + source + ".txt")
                        .strip()
                        .split("\n\n");
                for (int i = 0; i < lives.length; i++) {
                    List<String> lines = List.of(lives[i].replace("~", "_" + source.substring(0, 2) + i)
                            .split("\n"));
                    List<List<String>> expected = expected(engines, source, lines);
                    for (String target : engines.names()) {
                        if (!target.equals(source)) {
                            live(engines, source, target, lines, expected);
                        }
                    }
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).as("queries compared").isGreaterThan(250);
        assertThat(left).as("left to a person, or to be looked at").isLessThan(150);
    }

    private List<List<String>> expected(SqlEngines engines, String source, List<String> lines) {
        List<List<String>> rows = new ArrayList<>();
        for (String line : lines) {
            try {
                if (line.startsWith("? ")) {
                    rows.add(rows(engines, source, line.substring(2)));
                } else {
                    engines.execute(source, line);
                }
            } catch (SQLException e) {
                failures.add(source + " refuses its own " + line + ": " + e.getMessage());
            }
        }
        return rows;
    }

    private static List<String> rows(SqlEngines engines, String engine, String query) throws SQLException {
        return engines.rows(engine, query, SqlEngines.isOrdered(query.toUpperCase(java.util.Locale.ROOT)));
    }

    /** Runs a life as far as it is translated without a remark. */
    private void live(SqlEngines engines, String source, String target, List<String> lines, List<List<String>> expected)
            throws IOException {
        List<StatementResult> results = new ArrayList<>();
        String script = String.join(
                ";\n",
                lines.stream().map(l -> l.startsWith("? ") ? l.substring(2) : l).toList());
        new ScriptRewriter(
                        Languages.named(source).orElseThrow(),
                        Languages.named(target).orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(new StringReader(script + ";\n"), new StringWriter(), results::add);
        int query = 0;
        for (int i = 0; i < lines.size(); i++) {
            StatementResult result = results.get(i);
            if (Edges.isTold(result)) {
                left++;
                return;
            }
            String place = source + " > " + target + ": " + lines.get(i) + " as " + result.text();
            try {
                if (lines.get(i).startsWith("? ")) {
                    List<String> rows = rows(engines, target, result.text());
                    List<String> wanted = expected.get(query++);
                    compared++;
                    if (!rows.equals(wanted)) {
                        failures.add(place + ": " + wanted + " became " + rows);
                        return;
                    }
                } else {
                    List<String> statements =
                            result.text().isBlank() ? List.of() : ScriptText.statements(result.text());
                    for (String statement : statements) {
                        engines.execute(target, statement);
                    }
                }
            } catch (SQLException e) {
                failures.add(place + ": " + e.getMessage());
                return;
            }
        }
    }
}
