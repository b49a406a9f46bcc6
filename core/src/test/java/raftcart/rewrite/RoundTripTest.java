package raftcart.rewrite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.script.ScriptReader;

/** Texts that were translated stay what they are, and texts that are none do no harm. */
class RoundTripTest {
    private static final Path FOLDER = Path.of("src/test/resources/raftcart/rewrite/golden");

    /** What dialects write and leave to a person when they read it. */
    private static final Pattern KNOWN = Pattern.compile(
            "a cast to (jsonpath|interval \\w+)|(a )?(function|procedure|trigger|block of code)(, which is not written for this target from this source)?|DROP (FUNCTION|PROCEDURE|ROUTINE)|a type of its own( cannot be said in postgresql again)?"
                    + "|an array that is given as a text|SUBSTRING with a pattern|LAST_DAY OF|CONVERT with the style (2|126)"
                    + "|the field WEEK_OF_YEAR of a date|NULL and RETURNING clauses of JSON functions"
                    + "|the function truncate_to with 2 argument.s. has no counterpart in hsqldb again");

    private static List<String> dialects() {
        return Languages.names();
    }

    private static List<StatementResult> rewrite(Language from, Language to, String text, StringWriter out)
            throws IOException {
        List<StatementResult> results = new ArrayList<>();
        new ScriptRewriter(from, to, new Knowledge(), TokenRules.NONE)
                .rewrite(new BufferedReader(new StringReader(text)), out, results::add);
        return results;
    }

    private static String corpus() throws IOException {
        StringBuilder all = new StringBuilder();
        try (Stream<Path> files = Files.list(FOLDER)) {
            for (Path file : files.filter(f -> f.getFileName().toString().matches("[a-z0-9]+-[a-z0-9]+\\.sql"))
                    .sorted()
                    .toList()) {
                all.append(Files.readString(file));
            }
        }
        try (Stream<Path> files = Files.list(FOLDER.resolveSibling("rules"))) {
            for (Path file : files.sorted().toList()) {
                RuleCase.of(Files.readString(file))
                        .forEach(rule -> all.append(rule.source()).append(";\n"));
            }
        }
        return all.toString();
    }

    /** What a dialect writes it reads again; what it cannot say in other words it says so. */
    @ParameterizedTest
    @MethodSource("dialects")
    void whatIsWrittenIsReadAgain(String name) throws IOException {
        Language language = Languages.named(name).orElseThrow();
        List<String> different = new ArrayList<>();
        int statements = 0;
        for (String source : List.of("postgresql", "mysql", "oracle", "sqlserver", "db2", "snowflake", "teradata")) {
            Language from =
                    Languages.named(source).orElseThrow().named(source + " before"); // to itself, all would stay
            try (Stream<Path> files = Files.list(FOLDER)) {
                for (Path file : files.filter(f -> f.getFileName().toString().matches(source + "-[a-z0-9]+\\.sql"))
                        .toList()) {
                    for (StatementResult first : rewrite(from, language, Files.readString(file), new StringWriter())) {
                        boolean usable = first.outcome() != Outcome.BY_HAND
                                && !first.text().isEmpty();
                        if (usable) {
                            statements++;
                            again(language, first.text(), different);
                        }
                    }
                }
            }
        }
        assertThat(statements).isGreaterThan(30);
        assertThat(different).isEmpty();
    }

    private static void again(Language language, String text, List<String> different) throws IOException {
        Language twin = language.named(language.name() + " again");
        StatementRewriter again = new StatementRewriter(language, twin, new Knowledge(), TokenRules.NONE);
        String plain = text.replaceAll("(?s)DELIMITER //\n(.*?)//\nDELIMITER ;", "$1;")
                .replaceAll("(?s)--#SET TERMINATOR @\n(.*?)@\n--#SET TERMINATOR ;", "$1;");
        for (StatementResult second : again.rewrite(plain, 1, 1)) {
            boolean known = second.findings().stream()
                    .anyMatch(f -> KNOWN.matcher(f.detail()).matches());
            if (second.outcome() == Outcome.BY_HAND && !known) {
                different.add(text + "\n  " + second.findings());
            }
        }
    }

    /** Mutated text gives findings with a position, never anything else. */
    @ParameterizedTest
    @MethodSource("dialects")
    void mutatedTextNeverBreaksAnything(String name) throws IOException {
        Language from = Languages.named(name).orElseThrow();
        List<String> targets = dialects();
        String corpus = corpus();
        SplittableRandom random = new SplittableRandom(name.hashCode());
        String[] scraps = {
            "(", ")", "'", "\"", ";", ",", "--", "/*", "*/", "$$", "SELECT", "FROM", "CASE", "END", "\0", "é", "`", "[",
            "]", "{", "::", "||", "BEGIN", "\n/\n"
        };
        for (int i = 0; i < 600; i++) {
            Language to =
                    Languages.named(targets.get(random.nextInt(targets.size()))).orElseThrow();
            int start = random.nextInt(corpus.length() - 400);
            StringBuilder text = new StringBuilder(corpus.substring(start, start + 50 + random.nextInt(350)));
            for (int m = 0; m < 6; m++) {
                int at = random.nextInt(text.length());
                if (random.nextBoolean()) {
                    text.insert(at, scraps[random.nextInt(scraps.length)]);
                } else {
                    text.delete(at, Math.min(text.length() - 1, at + random.nextInt(12)));
                }
            }
            for (StatementResult result : rewrite(from, to, text.toString(), new StringWriter())) {
                assertThat(result.findings()).allSatisfy(f -> {
                    assertThat(f.code()).isNotEqualTo(FindingCode.DEFECT);
                    assertThat(f.line()).isPositive();
                    assertThat(f.column()).isPositive();
                });
            }
        }
    }

    @Test
    void deepNestingAndLongChainsAreRefusedWithAPlace() throws IOException {
        Language from = Languages.named("mysql").orElseThrow();
        Language to = Languages.named("oracle").orElseThrow();
        String deep = "SELECT " + "(".repeat(10_000) + "1" + ")".repeat(10_000) + ";\nSELECT 2;";
        List<StatementResult> results = rewrite(from, to, deep, new StringWriter());
        assertThat(results).hasSize(2);
        assertThat(results.get(0).findings().get(0).code()).isEqualTo(FindingCode.NOT_UNDERSTOOD);
        assertThat(results.get(0).findings().get(0).detail()).contains("nested more than");
        assertThat(results.get(1).outcome()).isNotEqualTo(Outcome.BY_HAND);
        String sums = "SELECT 1" + " + 1".repeat(5_000);
        assertThat(rewrite(from, to, sums, new StringWriter())
                        .get(0)
                        .findings()
                        .get(0)
                        .detail())
                .contains("operators in a row");
        String ors = "SELECT 1 FROM star WHERE id = 0" + " OR id = 1".repeat(20_000);
        assertThat(rewrite(from, to, ors, new StringWriter()).get(0).outcome()).isNotEqualTo(Outcome.BY_HAND);
    }

    @Test
    void openQuotesSayWhereTheyBegin() throws IOException {
        Language from = Languages.named("postgresql").orElseThrow();
        StringWriter out = new StringWriter();
        List<StatementResult> results =
                rewrite(from, Languages.named("mysql").orElseThrow(), "SELECT 1;\nSELECT 'open;\n", out);
        PlacedFinding finding = results.get(1).findings().get(0);
        assertThat(finding.line()).isEqualTo(2);
        assertThat(finding.column()).isEqualTo(8);
        assertThat(finding.detail()).contains("not closed");
        assertThat(out.toString()).contains("-- SELECT 'open;");
    }

    @Test
    void aVeryLongInsertIsCutBetweenItsRows() throws IOException {
        StringBuilder text = new StringBuilder("INSERT INTO star (id, name) VALUES (0, 'first')");
        for (int i = 1; i < 60_000; i++) {
            text.append(", (").append(i).append(", 'a,(b')");
        }
        text.append(";\nSELECT 1;\n");
        List<StatementResult> results = rewrite(
                Languages.named("mysql").orElseThrow(),
                Languages.named("postgresql").orElseThrow(),
                text.toString(),
                new StringWriter());
        assertThat(results).hasSizeBetween(3, 20);
        assertThat(results.get(0).findings()).anyMatch(f -> f.code() == FindingCode.ROWS_SPLIT);
        assertThat(results).allMatch(r -> r.outcome() != Outcome.BY_HAND);
    }

    @Test
    void aTextWithoutEndIsPassedOnInPieces() throws IOException {
        String text = "SELECT '" + "x".repeat(ScriptReader.LONGEST * 2) + "\n";
        StringWriter out = new StringWriter();
        List<StatementResult> results = rewrite(
                Languages.named("postgresql").orElseThrow(),
                Languages.named("mysql").orElseThrow(),
                text,
                out);
        assertThat(results).allMatch(r -> r.outcome() == Outcome.BY_HAND);
        assertThat(out.toString().length()).isGreaterThan(ScriptReader.LONGEST * 2);
    }

    @Test
    void errorsOfOursNameAPlace() {
        Language language = Languages.named("postgresql").orElseThrow();
        assertThatThrownBy(() -> raftcart.sql.parse.ExprParser.parse("a +\n  / b", language.grammar()))
                .isInstanceOf(SqlSyntaxException.class)
                .hasMessageStartingWith("2:3: found '/'");
    }
}
