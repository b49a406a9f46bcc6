package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.dialect.Languages;
import raftcart.finding.FindingCode;

/** Forms inside of each other: the work grows with their number, and does not double at every level. */
class DeepNestingTest {
    private static final int LEVELS = 28;
    private static final String TABLE =
            "CREATE TABLE frame (id INTEGER, flux INTEGER, title VARCHAR(80), taken DATE);\n";

    /** What stands before, in and behind the middle, as often as there are levels. */
    static Stream<String> forms() {
        return Stream.of(
                        new String[] {"SELECT ", "CASE WHEN id = 1 THEN 2 ELSE ", "flux", " END", " FROM frame"},
                        new String[] {"SELECT ", "CASE WHEN id = ", "flux", " THEN 1 ELSE 2 END", " FROM frame"},
                        new String[] {"SELECT * FROM ", "(SELECT * FROM ", "frame", ") q", ""},
                        new String[] {
                            "SELECT id FROM ",
                            "(SELECT id, COUNT(*) AS n FROM ",
                            "frame GROUP BY id",
                            ") q",
                            " GROUP BY id"
                        },
                        new String[] {"SELECT ", "(", "(SELECT 1 FROM frame)", " + 1)", " FROM frame"},
                        new String[] {
                            "SELECT * FROM ", "(", "(SELECT 1 AS id FROM frame) q", " JOIN frame ON 1 = 1)", ""
                        },
                        new String[] {
                            "SELECT 1 FROM frame WHERE id IN ",
                            "((SELECT MAX(id) FROM frame WHERE id IN ",
                            "(1)",
                            ") + 1, 2)",
                            ""
                        },
                        new String[] {"SELECT ", "(SELECT MAX(id) FROM frame WHERE flux = ", "1", ")", " FROM frame"},
                        new String[] {"SELECT ", "SUBSTRING(", "title", ", 1, 2)", " FROM frame"},
                        new String[] {"SELECT ", "POSITION('x' IN CAST(", "id", " AS VARCHAR(9)))", " FROM frame"},
                        new String[] {"SELECT ", "COALESCE(", "id", ", 1)", " FROM frame"},
                        new String[] {"SELECT ", "GREATEST(", "id", ", 1)", " FROM frame"},
                        new String[] {"SELECT 1 FROM frame WHERE ", "(", "id", " = flux)", ""},
                        new String[] {"SELECT 1 FROM frame WHERE ", "NOT (", "id = 1", ")", ""},
                        new String[] {"SELECT * FROM frame f", " JOIN frame", "", " ON 1 = 1", ""})
                .map(f -> f[0] + f[1].repeat(LEVELS) + f[2] + f[3].repeat(LEVELS) + f[4]);
    }

    @ParameterizedTest
    @MethodSource("forms")
    @Timeout(120)
    void aStatementOfManyLevelsComesToAnEnd(String statement) throws IOException {
        for (String from : List.of("oracle", "mysql", "sqlserver", "postgresql")) {
            for (String to : List.of("postgresql", "oracle", "sqlserver", "hsqldb")) {
                List<FindingCode> codes = new ArrayList<>();
                new ScriptRewriter(
                                Languages.named(from).orElseThrow(),
                                Languages.named(to).orElseThrow(),
                                new Knowledge(),
                                TokenRules.NONE)
                        .rewrite(new StringReader(TABLE + statement), Writer.nullWriter(), r -> r.findings()
                                .forEach(f -> codes.add(f.code())));
                assertThat(codes).as(from + " to " + to).doesNotContain(FindingCode.DEFECT, FindingCode.NOT_UNDERSTOOD);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("chains")
    @Timeout(120)
    void commonTablesThatReadEachOtherTwiceAreLeftToAPerson(String statement) throws IOException {
        List<StatementResult> results = new ArrayList<>();
        new ScriptRewriter(
                        Languages.named("postgresql").orElseThrow(),
                        Languages.named("derby").orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(new StringReader(statement), Writer.nullWriter(), results::add);
        assertThat(results.get(0).findings())
                .anySatisfy(f -> assertThat(f.detail()).contains("more than 1000 queries"));
    }

    static Stream<String> chains() {
        StringBuilder text = new StringBuilder("WITH c0 AS (SELECT id FROM frame)");
        for (int i = 1; i < LEVELS; i++) {
            text.append(", c%d AS (SELECT x.id FROM c%d x JOIN c%d y ON x.id = y.id)".formatted(i, i - 1, i - 1));
        }
        return Stream.of(text + " SELECT * FROM c" + (LEVELS - 1));
    }
}
