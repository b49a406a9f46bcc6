package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/**
 * Columns with their types, defaults and checks, one table each: its rows have to be the same on every other engine, and
 * what the source refuses the target has to refuse. Lines of {@code columns/ENGINE.txt} are
 * {@code column | value | value ! refused}, with # for the column's name.
 */
class ColumnExecutionTest {
    /** The line breaks off within texts, so that a value may hold one. */
    private static final Pattern LINES = Pattern.compile("\n(?=(?:[^']*'[^']*')*[^']*$)");

    private final List<String> failures = new ArrayList<>();
    private int compared;
    private int left;

    private record Column(String table, String definition, List<String> values, List<String> refused) {
        String create() {
            String full = definition.replace("#", "c");
            return "CREATE TABLE " + table + " (id integer PRIMARY KEY, c " + full + ")";
        }

        String insert(int row, String value) {
            return "INSERT INTO " + table + " (id, c) VALUES (" + row + ", " + value + ")";
        }
    }

    @Test
    void columnsHoldAndRefuseTheSame() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String engine : engines.names()) {
                engines.execute(engine, "CREATE TABLE anchor (id integer NOT NULL PRIMARY KEY)");
                engines.execute(engine, "INSERT INTO anchor VALUES (1), (2)");
            }
            for (String source : engines.names()) {
                for (Column column : columns(source)) {
                    List<String> expected = onSource(engines, source, column);
                    for (String target : engines.names()) {
                        if (!target.equals(source)) {
                            onTarget(engines, source, target, column, expected);
                        }
                    }
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).isGreaterThan(1000);
        assertThat(left).as("left to a person, or to be looked at").isLessThan(400);
    }

    private static List<Column> columns(String source) throws IOException {
        List<Column> all = new ArrayList<>();
        for (String line :
                LINES.split(SampleSchema.resource("columns/" + source + ".txt").strip())) {
            String[] refused = line.split(" ! ");
            String[] values = refused[0].split(" \\| ");
            all.add(new Column(
                    "col_" + source.charAt(0) + source.length() + "_" + all.size(),
                    values[0],
                    List.of(values).subList(1, values.length),
                    List.of(refused).subList(1, refused.length)));
        }
        return all;
    }

    private List<String> onSource(SqlEngines engines, String source, Column column) throws SQLException {
        int row = 0;
        must(engines, source, column.create());
        for (String value : column.values()) {
            must(engines, source, column.insert(++row, value));
        }
        for (String value : column.refused()) {
            String statement = column.insert(++row, value);
            if (!isRefused(engines, source, statement)) {
                failures.add(source + " takes " + statement);
            }
        }
        return engines.rows(source, "SELECT * FROM " + column.table() + " ORDER BY id", true);
    }

    private void must(SqlEngines engines, String source, String statement) {
        try {
            engines.execute(source, statement);
        } catch (SQLException e) {
            failures.add(source + " refuses its own " + statement + ": " + e.getMessage());
        }
    }

    private static boolean isRefused(SqlEngines engines, String engine, String statement) {
        try {
            engines.execute(engine, statement);
            return false;
        } catch (SQLException e) {
            return true;
        }
    }

    private void onTarget(SqlEngines engines, String source, String target, Column column, List<String> expected) {
        StatementRewriter rewriter = new StatementRewriter(
                Languages.named(source).orElseThrow(),
                Languages.named(target).orElseThrow(),
                new Knowledge(),
                TokenRules.NONE);
        List<String> sources = new ArrayList<>(List.of(column.create()));
        int row = 0;
        for (String value : column.values()) {
            sources.add(column.insert(++row, value));
        }
        Optional<List<String>> made = translated(rewriter, sources);
        List<String> refused = new ArrayList<>();
        for (String value : column.refused()) {
            refused.add(column.insert(++row, value));
        }
        Optional<List<String>> wrong = translated(rewriter, refused);
        if (made.isEmpty() || wrong.isEmpty()) {
            left++;
            return;
        }
        String running = "";
        try {
            for (String statement : made.get()) {
                running = statement;
                engines.execute(target, statement);
            }
            for (String statement : wrong.get()) {
                if (!isRefused(engines, target, statement)) {
                    failures.add(source + " to " + target + ": " + column.create() + "\n  " + made.get() + "\n  takes "
                            + statement);
                }
            }
            compare(engines, source, target, column, expected, made.get());
        } catch (SQLException e) {
            failures.add(source + " to " + target + ": " + column.create() + "\n  " + running + "\n  refused: "
                    + e.getMessage().lines().findFirst().orElse(""));
        }
    }

    private void compare(
            SqlEngines engines,
            String source,
            String target,
            Column column,
            List<String> expected,
            List<String> created)
            throws SQLException {
        compared++;
        String table = created.get(0).contains("\"" + column.table()) ? "\"" + column.table() + "\"" : column.table();
        List<String> rows = engines.rows(target, "SELECT * FROM " + table + " ORDER BY id", true);
        if (!rows.equals(expected)) {
            failures.add(source + " to " + target + ": " + column.create() + "\n  " + created + "\n  expected "
                    + expected + "\n  found    " + rows);
        }
    }

    /** Empty where a part is left to a person or has to be looked at. */
    private static Optional<List<String>> translated(StatementRewriter rewriter, List<String> statements) {
        List<String> texts = new ArrayList<>();
        for (String sql : statements) {
            for (StatementResult result : rewriter.rewrite(sql, 1, 1)) {
                if (Edges.isTold(result)) {
                    return Optional.empty();
                }
                texts.addAll(ScriptText.statements(result.text()));
            }
        }
        return Optional.of(texts);
    }
}
