package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Languages;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.ScriptRewriter;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.TokenRules;

/**
 * Runs every script of the golden corpus, translated, on every engine that runs here. Tables that a script does not
 * make, or that are left by hand, are missing then; but whatever is written has to be the target's SQL.
 */
class ScriptExecutionTest {
    private static final Path SCRIPTS = Path.of("../core/src/test/resources/raftcart/rewrite/golden");
    /** How each engine says that it does not understand a statement, as against that something is missing. */
    private static final Map<String, Pattern> NOT_UNDERSTOOD = Map.of(
            "postgresql",
                    Pattern.compile(
                            "(?s)(42601|0A000(?!.*cannot alter type)|42P16|42P17|42611|42704.*type \"|42939|22P02|22007).*"),
            "mariadb",
                    Pattern.compile(
                            "(?s)(?!.* in a DEFAULT )(\\S+ 1064 .*|.*(syntax|Unknown data type|not supported).*)"),
            "sqlite", Pattern.compile("(?s).*(syntax error|unrecognized token|incomplete input|not supported).*"),
            "h2", Pattern.compile("(?s)(42000|42001|HYC00|HY004).*"),
            "hsqldb", Pattern.compile("(?s)(42581|42582|0A501|42583|42584|42509).*"),
            "derby", Pattern.compile("(?s)(42X01(?!.*\"COMMIT\")|42X02|42Z[129]).*"),
            "duckdb", Pattern.compile("(?s).*(Parser Error|Not implemented Error).*"));

    /** Statements with parameters, which need values to run. */
    private static final Pattern PARAMETERS = Pattern.compile("(?s).*([?]|[^:\\w]:[a-z]\\w*|[$@]\\w+).*");

    private final List<String> failures = new ArrayList<>();
    private int understood;

    @Test
    void whatIsWrittenIsTheSqlOfTheTarget() throws IOException, SQLException {
        List<Path> scripts;
        try (Stream<Path> files = Files.list(SCRIPTS)) {
            scripts = files.filter(f -> f.getFileName().toString().matches("[a-z0-9]+-[a-z0-9]+\\.sql"))
                    .sorted()
                    .toList();
        }
        for (Path script : scripts) {
            try (SqlEngines engines = new SqlEngines()) {
                String from = script.getFileName().toString().replaceFirst("-.*", "");
                for (String target : engines.names()) {
                    if (!target.equals(from)) {
                        run(engines, script, from, target);
                    }
                }
            }
        }
        assertThat(failures).isEmpty();
        assertThat(understood).isGreaterThan(1000);
    }

    private void run(SqlEngines engines, Path script, String from, String target) throws IOException {
        List<StatementResult> results = new ArrayList<>();
        try (Reader in = Files.newBufferedReader(script)) {
            new ScriptRewriter(
                            Languages.named(from).orElseThrow(),
                            Languages.named(target).orElseThrow(),
                            new Knowledge(),
                            TokenRules.NONE)
                    .rewrite(in, new StringWriter(), results::add);
        }
        for (StatementResult result : results) {
            // A function that the tool does not know stands as it was.
            boolean unknown = result.findings().stream().anyMatch(f -> f.code() == FindingCode.FUNCTION_UNKNOWN);
            if (result.outcome() != Outcome.BY_HAND
                    && !unknown
                    && !result.text().isBlank()) {
                for (String statement : ScriptText.statements(result.text())) {
                    if (!PARAMETERS.matcher(statement).matches()) {
                        run(
                                engines,
                                target,
                                statement,
                                script.getFileName() + ":" + result.line() + " " + result.outcome());
                    }
                }
            }
        }
    }

    private void run(SqlEngines engines, String target, String statement, String place) {
        try {
            engines.execute(target, statement);
            understood++;
        } catch (SQLException e) {
            String reason = e.getSQLState() + " " + e.getErrorCode() + " " + e.getMessage();
            if (NOT_UNDERSTOOD.get(target).matcher(reason).matches()) {
                failures.add(place + " " + target + ": " + statement + "\n   -> " + reason);
            } else {
                understood++;
            }
        }
    }
}
