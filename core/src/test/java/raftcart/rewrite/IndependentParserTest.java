package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import net.sf.jsqlparser.JSQLParserException;
import net.sf.jsqlparser.parser.CCJSqlParserUtil;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;

/** Queries and changes for engines that do not run here have to be read by a parser that is not ours. */
class IndependentParserTest {
    private static final Path QUERIES = Path.of("../engines/src/test/resources/raftcart/engines/rewrite");

    private static final String COLUMNS = "\\((?:[^()]|\\([^()]*\\))*\\)";

    @ParameterizedTest
    @CsvSource({
        "postgresql, oracle",
        "postgresql, sqlserver",
        "postgresql, db2",
        "mariadb, oracle",
        "mariadb, sqlserver",
        "mariadb, db2",
        "h2, oracle",
        "h2, sqlserver",
        "duckdb, oracle",
        "duckdb, sqlserver"
    })
    void whatIsWrittenIsSql(String from, String to) throws IOException {
        String text = Files.readString(QUERIES.resolve("schema.sql"));
        Knowledge knowledge = new Knowledge();
        new StatementRewriter(
                        Languages.named("postgresql").orElseThrow(),
                        Languages.named(from).orElseThrow(),
                        knowledge,
                        TokenRules.NONE)
                .rewrite(text, 1, 1);
        List<String> refused = new ArrayList<>();
        int[] read = new int[1];
        new ScriptRewriter(
                        Languages.named(from).orElseThrow(),
                        Languages.named(to).orElseThrow(),
                        knowledge,
                        TokenRules.NONE)
                .rewrite(
                        new BufferedReader(
                                new StringReader(Files.readString(QUERIES.resolve("queries-" + from + ".sql")))),
                        Writer.nullWriter(),
                        result -> {
                            // The other parser reads no SQL/PSM.
                            boolean code = result.text().startsWith("--#SET TERMINATOR");
                            if (result.outcome() != Outcome.BY_HAND && !code) {
                                read[0]++;
                                check(result.text(), to, refused);
                            }
                        });
        assertThat(refused).isEmpty();
        assertThat(read[0]).isGreaterThan(5);
    }

    private static void check(String sql, String to, List<String> refused) {
        // The other parser does not know labelled durations; without their unit they are sums to it. Nor does it know
        // the
        // columns of documents, and constants of more than one unit.
        String known = to.equals("db2") ? sql.replaceAll(" (YEAR|MONTH|DAY|HOUR|MINUTE|(MICRO)?SECOND)S\\b", "") : sql;
        known = known.replace(" DAY TO SECOND", " DAY");
        known = known.replaceAll("(?<=' |\\] |\\) )(COLUMNS|WITH) " + COLUMNS, "");
        try {
            CCJSqlParserUtil.parse(known, parser -> parser.withSquareBracketQuotation(to.equals("sqlserver")));
        } catch (JSQLParserException e) {
            refused.add(sql + "\n  " + e.getMessage().lines().findFirst().orElse(""));
        }
    }
}
