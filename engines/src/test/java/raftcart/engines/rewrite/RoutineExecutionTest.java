package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.TokenRules;

/**
 * Routines and triggers that run on their own engine and, translated, on another, and have to do the same there. {@code
 * routines/ENGINE.txt} has cases between lines of hyphens: statements that end with a slash, then what is done: {@code ?} a
 * query whose rows are compared, {@code >} a call whose output parameters are, {@code <} one that gives rows, {@code *} one that gives several result sets, {@code !} a statement, and {@code x} one that
 * both engines have to refuse. Of an engine that does not run here a step says behind {@code =>} what its manual has it do.
 */
class RoutineExecutionTest {
    private static final String REFUSED = "refused";
    private static final String NONE = "";

    /** A second MariaDB, for what goes from one engine of its family to another. */
    private static final String TWIN = "mariadb again";

    /** MariaDB's numbers for what cannot be read, and for tables, columns and functions that are not there. */
    private static final Set<Integer> UNREAD = Set.of(1064, 1146, 1054, 1305);

    private static final Pattern STEP = Pattern.compile("[?><*!x] .*");

    /** Cases that HSQLDB cannot run: cursors, computed statements and texts of errors, functions that change rows. */
    private static final int MOST_LEFT = 130;

    private final List<String> failures = new ArrayList<>();
    private int compared;
    private int left;
    /** True for an engine that has few of the statements of the others, to which whole cases do not cross. */
    private boolean few;

    @Test
    void routinesDoTheSameOnBothEngines() throws IOException, SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            run(engines, "mariadb", "mariadb", "mariadb", "postgresql", "");
            engines.add(TWIN, "mariadb");
            run(engines, "mariadb", "mysql", "mariadb", TWIN, "");
            run(engines, "postgresql", "postgresql", "postgresql", "mariadb", "");
            run(engines, "hsqldb", "hsqldb", "hsqldb", "postgresql", "");
            run(engines, "hsqldb", "hsqldb", "hsqldb", "mariadb", "");
            run(engines, "hsqldb-hidden", "hsqldb", "hsqldb", "postgresql", "");
            run(engines, "oracle", "oracle", "mariadb", "postgresql", "ORACLE,EMPTY_STRING_IS_NULL");
            run(engines, "oracle", "mariadb", "mariadb", "postgresql", "ORACLE");
            run(engines, "sqlserver", "sqlserver", NONE, "postgresql", "");
            run(engines, "teradata", "teradata", NONE, "postgresql", "");
            run(engines, "teradata", "teradata", NONE, "mariadb", "");
            run(engines, "firebird", "firebird", NONE, "postgresql", "");
            for (String target : List.of("postgresql", "hsqldb", "sqlite")) {
                run(engines, "triggers", "mariadb", "mariadb", target, "");
            }
            for (String target : List.of("postgresql", "mariadb", "hsqldb")) {
                run(engines, "sqlite", "sqlite", "sqlite", target, "");
            }
            run(engines, "sqlite-rows", "sqlite", "sqlite", "postgresql", "");
            assertThat(left).as("left to a person").isZero();
            few = true;
            run(engines, "mariadb", "mariadb", "mariadb", "hsqldb", "");
            run(engines, "postgresql", "postgresql", "postgresql", "hsqldb", "");
        }
        assertThat(failures).isEmpty();
        assertThat(compared).as("results compared").isGreaterThan(250);
        assertThat(left)
                .as("left to a person, of what an engine of few statements cannot do")
                .isLessThan(MOST_LEFT);
    }

    /**
     * Runs the cases of a file.
     *
     * @param dialect as which they are read
     * @param source where they run; one engine stands in for another in a mode in which it reads what that reads
     */
    private void run(SqlEngines engines, String file, String dialect, String source, String target, String mode)
            throws IOException, SQLException {
        if (!mode.isEmpty()) {
            engines.execute(source, "SET @usual = @@sql_mode, sql_mode = '" + mode + "'");
        }
        String[] cases =
                SampleSchema.resource("routines/" + file + ".txt").strip().split("\n----\n");
        for (int i = 0; i < cases.length; i++) {
            List<String> statements = new ArrayList<>();
            List<String> steps = new ArrayList<>();
            StringBuilder open = new StringBuilder();
            for (String line : cases[i].replace(
                            "~", "_" + file.charAt(file.length() - 1) + dialect.substring(0, 2) + target.charAt(0) + i)
                    .split("\n")) {
                if (line.equals("/")) {
                    statements.add(open.toString().strip());
                    open.setLength(0);
                } else if (open.isEmpty() && STEP.matcher(line).matches()) {
                    steps.add(line);
                } else {
                    open.append(line).append('\n');
                }
            }
            compare(engines, dialect, source, target, statements, steps, mode);
        }
        if (!mode.isEmpty()) {
            engines.execute(source, "SET sql_mode = @usual");
        }
    }

    private void compare(
            SqlEngines engines,
            String dialect,
            String source,
            String target,
            List<String> statements,
            List<String> steps,
            String mode)
            throws IOException {
        try {
            for (String statement : source.equals(NONE) ? List.<String>of() : statements) {
                engines.execute(source, statement);
            }
        } catch (SQLException e) {
            failures.add(source + " refuses its own " + statements + ": " + e.getMessage());
            return;
        }
        List<StatementResult> results = new ArrayList<>();
        new ScriptRewriter(
                        Languages.named(dialect).orElseThrow(),
                        Languages.named(target.equals(TWIN) ? "mariadb" : target)
                                .orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(new StringReader(script(dialect, mode, statements)), new StringWriter(), results::add);
        if (made(engines, target, results)) {
            steps.forEach(step -> compare(engines, source, target, step));
        }
    }

    private static String script(String dialect, String mode, List<String> statements) {
        return switch (dialect) {
            case "postgresql", "hsqldb", "sqlite", "teradata" -> String.join(";\n", statements) + ";\n";
            case "oracle" -> String.join("\n/\n", statements) + "\n/\n";
            case "sqlserver" -> String.join("\nGO\n", statements) + "\nGO\n";
            case "firebird" -> "SET TERM ^ ;\n" + String.join("^\n", statements) + "^\nSET TERM ; ^\n";
            default ->
                (mode.isEmpty() ? "" : "SET sql_mode = '" + mode + "';\n") + "DELIMITER //\n"
                        + String.join("//\n", statements) + "//\nDELIMITER ;\n";
        };
    }

    /** Runs what was written; false where a part of it is left to a person, or refused. */
    private boolean made(SqlEngines engines, String target, List<StatementResult> results) {
        for (StatementResult result : results) {
            if (result.outcome() == Outcome.BY_HAND) {
                left++;
                if (!few) {
                    failures.add(result.findings() + " " + result.source());
                }
                return false;
            }
            try {
                List<String> written = result.text().isBlank() ? List.of() : ScriptText.statements(result.text());
                for (String statement : written) {
                    engines.execute(target, statement);
                }
            } catch (SQLException e) {
                failures.add(result.source() + " as " + result.text() + ": " + e.getMessage());
                return false;
            }
        }
        return true;
    }

    private void compare(SqlEngines engines, String source, String target, String step) {
        String[] said = source.equals(NONE) ? step.split(" => ") : new String[] {step, ""};
        boolean unasked = target.equals("hsqldb") && (step.charAt(0) == '>' || step.charAt(0) == '*');
        if (unasked) {
            return; // output parameters and result sets need more than a text there
        }
        String wanted = source.equals(NONE) ? said[1] : outcome(engines, source, step);
        String given = outcome(engines, target, target.equals("hsqldb") ? ofRow(said[0]) : said[0]);
        compared++;
        boolean unrefused = step.charAt(0) == 'x' && !given.equals(REFUSED);
        if (!wanted.equals(given) || unrefused) {
            failures.add(step + ": " + wanted + " became " + given);
        }
    }

    /** A query without FROM for an engine that wants a row to compute it for. */
    private static String ofRow(String step) {
        boolean bare = step.matches("[?x] SELECT .*") && !step.contains(" FROM ");
        String typed = step.replaceAll("(?<=[(, ])'\\d{4}-\\d\\d-\\d\\d'", "DATE $0");
        return bare ? typed + " FROM (VALUES (0))" : typed;
    }

    /** What a step gives, or that it is refused. */
    private static String outcome(SqlEngines engines, String engine, String step) {
        String text = step.substring(2);
        try {
            switch (step.charAt(0)) {
                case '?':
                    return engines.rows(engine, text, true).toString();
                case '<':
                    String rows = engine.equals("postgresql") ? "SELECT * FROM " : "CALL ";
                    return engines.rows(engine, rows + text, true).toString();
                case '*':
                    return engines.results(engine, text).toString();
                case '>':
                    return called(engines, engine, text);
                default:
                    engines.execute(engine, text);
                    return "done";
            }
        } catch (SQLException e) {
            // What is missing, or cannot be read, is no refusal by the code.
            boolean unread =
                    e.getErrorCode() == 0 ? e.getSQLState().startsWith("42") : UNREAD.contains(e.getErrorCode());
            boolean byCode = step.charAt(0) == 'x' && !unread;
            return byCode ? REFUSED : "refused: " + e.getMessage();
        }
    }

    /** The output parameters of a call: variables of the session on one engine, a row on the other. */
    private static String called(SqlEngines engines, String engine, String call) throws SQLException {
        if (engine.equals("postgresql")) {
            return engines.rows(engine, "CALL " + call.replace("OUT", "NULL"), true)
                    .toString();
        }
        String name = call.substring(0, call.indexOf('('));
        String[] arguments =
                call.substring(call.indexOf('(') + 1, call.lastIndexOf(')')).split(", ");
        List<String> variables = new ArrayList<>();
        for (int i = 0; i < arguments.length; i++) {
            boolean both = arguments.length == 1 && !arguments[0].equals("OUT");
            if (both) {
                engines.execute(engine, "SET @v" + i + " = " + arguments[i]);
            }
            if (arguments[i].equals("OUT")) {
                engines.execute(engine, "SET @v" + i + " = NULL");
            }
            if (both || arguments[i].equals("OUT")) {
                arguments[i] = "@v" + i;
                variables.add("@v" + i);
            }
        }
        engines.execute(engine, "CALL " + name + "(" + String.join(", ", arguments) + ")");
        return engines.rows(engine, "SELECT " + String.join(", ", variables), true)
                .toString();
    }
}
