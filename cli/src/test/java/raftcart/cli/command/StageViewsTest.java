package raftcart.cli.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import raftcart.catalog.ObjectKind;
import raftcart.cli.terminal.Console;
import raftcart.finding.Finding;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.migration.LoadStage;
import raftcart.migration.RoutineCheck;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.TableResult;
import raftcart.verify.TableVerdict;

/** Every line that people read. */
class StageViewsTest {
    private static final String DIGEST = "0123456789abcdef0123456789abcdef";

    private static String shown(Consumer<StageViews> view) {
        PrintStream original = System.out;
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        System.setOut(new PrintStream(bytes, true, StandardCharsets.UTF_8));
        try {
            view.accept(new StageViews(new Console(false, false, true)));
        } finally {
            System.setOut(original);
        }
        return bytes.toString(StandardCharsets.UTF_8).replace("\r\n", "\n");
    }

    private static TableVerdict verdict(
            String table, long target, String digest, List<String> columns, String problem) {
        return new TableVerdict("k." + table, "public." + table, 1200, target, DIGEST, digest, columns, problem, 0.26);
    }

    @Test
    void aSurveyInOneLine() {
        Map<ObjectKind, Integer> objects = new EnumMap<>(ObjectKind.class);
        objects.put(ObjectKind.SCHEMA, 1);
        objects.put(ObjectKind.TABLE, 1);
        objects.put(ObjectKind.INDEX, 2);
        objects.put(ObjectKind.FOREIGN_KEY, 3);
        objects.put(ObjectKind.VIEW, 1);
        objects.put(ObjectKind.TRIGGER, 1);
        assertThat(shown(v -> v.survey(new SurveyStage.Result("MariaDB 10.11.5", objects, 12_345, 0.61))))
                .isEqualTo("survey     MariaDB 10.11.5: 1 table with about 12,345 rows, 2 indexes, 3 foreign keys,"
                        + " 2 other objects  0.6 s\n");
    }

    @Test
    void findingsAreGroupedTheWorstFirst() {
        TranslateStage.Result result = new TranslateStage.Result(
                3,
                new EnumMap<>(Map.of(Outcome.CHECK, 1)),
                1,
                List.of(
                        new Finding(FindingCode.UNSIGNED_RANGE, "k.a.x", ""),
                        new Finding(FindingCode.UNSIGNED_RANGE, "k.a.y", ""),
                        new Finding(FindingCode.CHECK_BY_HAND, "k.a.c", "")),
                List.of(),
                List.of(),
                0.4);
        assertThat(shown(v -> v.translate(result)))
                .isEqualTo("translate  1 object: 1 check; 3 scripts in target/  0.4 s\n");
        assertThat(shown(v -> v.findings(result)))
                .contains(" CODE    OUTCOME  COUNT  FINDING\n", " RC0302  by hand      1  Check for a person\n")
                .containsSubsequence("RC0302", "RC0101  adapted      2  Unsigned range kept by a check")
                .endsWith("reports/translate.json lists every object.\n");
        assertThat(StageViews.needsPerson(result)).isTrue();
    }

    @Test
    void verdictsSayWhatDiffers() {
        VerifyStage.Result result = new VerifyStage.Result(
                List.of(
                        verdict("good", 1200, DIGEST, List.of(), ""),
                        verdict("short", 1199, "f".repeat(32), List.of("a"), ""),
                        verdict("changed", 1200, "f".repeat(32), List.of("a", "b"), ""),
                        verdict("swapped", 1200, "f".repeat(32), List.of(), ""),
                        verdict("gone", 0, "", List.of(), "ERROR: relation does not exist\n  Position: 7")),
                List.of("kestrel.draft"),
                1.5);
        assertThat(shown(v -> v.verify(result))).isEqualTo("verify     1 of 5 tables the same; 4 differ  1.5 s\n");
        assertThat(shown(v -> v.verdicts(result)))
                .contains(
                        " good           1,200        1,200      0.3  same 0123456789ab\n",
                        "DIFFERS: 1,199 rows on the target\n",
                        "DIFFERS in a, b\n",
                        "DIFFERS: values stand in other rows\n",
                        "not compared: ERROR: relation does not exist\n",
                        "By the plan the rows of kestrel.draft stay on the source; they are not compared.\n")
                .doesNotContain("Position");
    }

    @Test
    void refusedRowsAndKeysAreNamedWithTheirPlace() {
        LoadStage.Result result = new LoadStage.Result(
                List.of(new TableResult("k.lamps", "public.lamps", 1001, 998, 3, 0.2, "journal/refused/k.lamps.jsonl")),
                List.of("target/60-foreign-keys/0001-x.sql:2: the target refused a statement: why"),
                new RoutineCheck.Result(3, List.of("public.dim(m numeric): why not"), List.of("public.keep()")),
                2.0,
                List.of());
        assertThat(shown(v -> v.load(result)))
                .isEqualTo("load       998 rows loaded, 3 refused; 3 routines called once, 1 cannot work  2.0 s\n");
        assertThat(shown(v -> v.loaded(result))).contains(" lamps        1,001     998        3      0.2\n");
        assertThat(shown(v -> v.loadProblems(result)))
                .isEqualTo(
                        "3 rows of k.lamps refused: see journal/refused/k.lamps.jsonl for the values and the reasons.\n"
                                + "Not made: target/60-foreign-keys/0001-x.sql:2: the target refused a statement: why\n"
                                + "When the cause is mended, `raftcart load` tries these again; the rows stay as they are.\n"
                                + "\nOf 3 routines, called once each with NULLs and rolled back, 1 cannot work:\n"
                                + "  public.dim(m numeric): why not\n"
                                + "Not called, as what it does could not be taken back: public.keep().\n");
    }

    @Test
    void nothingButJsonStandsOnStandardOutputWhereJsonIsAskedFor() {
        PrintStream original = System.out;
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        System.setOut(new PrintStream(bytes, true, StandardCharsets.UTF_8));
        try {
            StageViews views = new StageViews(new Console(false, true, true));
            views.stage("load", "something", 1);
            views.verdicts(new VerifyStage.Result(List.of(), List.of(), 0));
        } finally {
            System.setOut(original);
        }
        assertThat(bytes.size()).isZero();
    }

    @Test
    void wordsHaveTheirPlurals() {
        assertThat(List.of(
                        StageViews.count(1, "index"),
                        StageViews.count(2, "index"),
                        StageViews.count(2, "foreign key"),
                        StageViews.count(2, "policy"),
                        StageViews.count(1234, "row")))
                .containsExactly("1 index", "2 indexes", "2 foreign keys", "2 policies", "1,234 rows");
    }
}
