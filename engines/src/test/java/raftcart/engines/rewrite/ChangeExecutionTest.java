package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/**
 * Runs scripts that make and change tables on the engine in whose dialect they are written and, translated, on every
 * other one; the tables have to hold the same rows afterwards, and what one refuses the other has to refuse.
 */
class ChangeExecutionTest {
    private static final String ROWS = "-- rows: ";
    private static final String REFUSED = "-- refused: ";

    private final List<String> failures = new ArrayList<>();
    private final List<String> left = new ArrayList<>();
    private int compared;

    /** A script with the statements that have to fail and the query for what it leaves behind. */
    private record Scenario(String source, String title, List<String> script, List<String> refused, String rows) {}

    private static List<Scenario> scenarios() throws IOException {
        List<Scenario> all = new ArrayList<>();
        try (InputStream in = ChangeExecutionTest.class.getResourceAsStream("/raftcart/engines/rewrite/changes.sql")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            for (String part : text.split("(?m)^(?=-- (?!rows|refused)[a-z0-9]+: )")) {
                if (!part.isBlank()) {
                    all.add(scenario(part));
                }
            }
        }
        return all;
    }

    private static Scenario scenario(String part) {
        List<String> lines = part.lines().toList();
        String[] head = lines.get(0).substring(3).split(": ", 2);
        return new Scenario(
                head[0],
                head[1],
                lines.stream()
                        .filter(l -> !l.startsWith("--"))
                        .map(l -> l.replaceFirst(";$", ""))
                        .toList(),
                after(lines, REFUSED),
                after(lines, ROWS).get(0));
    }

    private static List<String> after(List<String> lines, String mark) {
        return lines.stream()
                .filter(l -> l.startsWith(mark))
                .map(l -> l.substring(mark.length()))
                .toList();
    }

    @Test
    void tablesHoldTheSameRowsAfterwards() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (Scenario scenario : scenarios()) {
                List<String> expected = onSource(engines, scenario);
                for (String target : engines.names()) {
                    if (!target.equals(scenario.source())) {
                        onTarget(engines, scenario, target, expected);
                    }
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).isGreaterThan(70);
        assertThat(left).as("left to a person, or to be looked at").hasSizeLessThan(55);
    }

    private List<String> onSource(SqlEngines engines, Scenario scenario) throws SQLException {
        for (String statement : scenario.script()) {
            engines.execute(scenario.source(), statement);
        }
        for (String statement : scenario.refused()) {
            refused(engines, scenario.source(), scenario, statement);
        }
        return engines.rows(scenario.source(), scenario.rows(), SqlEngines.isOrdered(scenario.rows()));
    }

    private void refused(SqlEngines engines, String engine, Scenario scenario, String statement) {
        try {
            engines.execute(engine, statement);
            failures.add(scenario.title() + ": " + engine + " takes " + statement);
        } catch (SQLException e) {
            compared++;
        }
    }

    /** The script in the target's terms; empty where a part is left to a person or has to be looked at. */
    private Optional<List<String>> translated(Scenario scenario, String target) {
        StatementRewriter rewriter = new StatementRewriter(
                Languages.named(scenario.source()).orElseThrow(),
                Languages.named(target).orElseThrow(),
                new Knowledge(),
                TokenRules.NONE);
        List<String> texts = new ArrayList<>();
        for (String statement : scenario.script()) {
            for (StatementResult result : rewriter.rewrite(statement, 1, 1)) {
                if (Edges.isTold(result)) {
                    left.add(scenario.title() + ", " + target + ": " + result.findings());
                    return Optional.empty();
                }
                texts.addAll(ScriptText.statements(result.text()));
            }
        }
        return Optional.of(texts);
    }

    private void onTarget(SqlEngines engines, Scenario scenario, String target, List<String> expected) {
        Optional<List<String>> script = translated(scenario, target);
        if (script.isEmpty()) {
            return;
        }
        String running = "";
        try {
            for (String statement : script.get()) {
                running = statement;
                engines.execute(target, statement);
            }
            for (String statement : scenario.refused()) {
                refused(engines, target, scenario, statement);
            }
            running = scenario.rows();
            List<String> rows = engines.rows(target, running, SqlEngines.isOrdered(running));
            compared++;
            if (!rows.equals(expected)) {
                failures.add(scenario.title() + ", " + target + ": expected " + expected + " but found " + rows
                        + " after\n" + String.join(";\n", script.get()));
            }
        } catch (SQLException e) {
            failures.add(scenario.title() + ": " + target + " refuses " + running + ": " + e.getMessage());
        }
    }
}
