package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;

/** Sequences give the same numbers on every engine, whatever each takes for the beginning, the end and what comes behind it. */
class SequenceExecutionTest {
    private static final int NUMBERS = 5;

    /** What gives the next number of sequence s. */
    private static final Map<String, String> NEXT = Map.of(
            "postgresql", "SELECT nextval('s')",
            "mariadb", "SELECT NEXTVAL(s)",
            "h2", "SELECT NEXT VALUE FOR s",
            "hsqldb", "CALL NEXT VALUE FOR s",
            "derby", "VALUES NEXT VALUE FOR s",
            "duckdb", "SELECT nextval('s')");

    private final List<String> failures = new ArrayList<>();
    private int compared;

    @Test
    void numbersAreTheSame() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : NEXT.keySet()) {
                for (String options : options()) {
                    compare(engines, source, "CREATE SEQUENCE s" + options);
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(compared).isGreaterThan(300);
    }

    private static List<String> options() {
        List<String> all = new ArrayList<>();
        for (String type : List.of("", " AS smallint")) {
            for (String start : List.of("", " START WITH 3", " START WITH -2")) {
                for (String step : List.of("", " INCREMENT BY 2", " INCREMENT BY -1")) {
                    for (String end :
                            List.of("", " MINVALUE -3", " MAXVALUE 5 CYCLE", " MINVALUE -4 MAXVALUE 4 CYCLE")) {
                        all.add(type + start + step + end);
                    }
                }
            }
        }
        return all;
    }

    private void compare(SqlEngines engines, String source, String create) throws SQLException {
        List<String> expected = isBroken(source, create) ? List.of() : numbers(engines, source, create);
        if (expected.isEmpty()) {
            return; // the source does not take these options
        }
        for (String target : NEXT.keySet()) {
            if (isBroken(target, create)) {
                continue;
            }
            StatementRewriter rewriter = new StatementRewriter(
                    Languages.named(source).orElseThrow(),
                    Languages.named(target).orElseThrow(),
                    new Knowledge(),
                    TokenRules.NONE);
            StatementResult result = rewriter.rewrite(create, 1, 1).get(0);
            if (Edges.isTold(result)) {
                continue;
            }
            List<String> numbers = numbers(engines, target, result.text());
            compared++;
            if (!numbers.equals(expected)) {
                failures.add(source + " > " + target + ": " + create + " as " + result.text() + ": " + expected
                        + " became " + numbers);
            }
        }
    }

    /** Derby fails where a short sequence is to begin anew: it looks for the numbers to keep at hand beyond the end. */
    private static boolean isBroken(String engine, String create) {
        return engine.equals("derby") && create.endsWith("CYCLE");
    }

    /** The first numbers, or "end" where there are no more; none if the statement is refused. */
    private static List<String> numbers(SqlEngines engines, String engine, String create) throws SQLException {
        try {
            engines.execute(engine, create);
        } catch (SQLException e) {
            return List.of();
        }
        List<String> numbers = new ArrayList<>();
        try {
            for (int i = 0; i < NUMBERS; i++) {
                numbers.addAll(engines.rows(engine, NEXT.get(engine), true));
            }
        } catch (SQLException e) {
            numbers.add("end");
        } finally {
            engines.execute(engine, "DROP SEQUENCE s" + (engine.equals("derby") ? " RESTRICT" : ""));
        }
        return numbers;
    }
}
