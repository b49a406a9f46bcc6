package raftcart.cli.command;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.ObjectKind;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.cli.terminal.TextTable;
import raftcart.finding.Finding;
import raftcart.finding.FindingCatalog;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.migration.BuildStage;
import raftcart.migration.CallStage;
import raftcart.migration.LoadStage;
import raftcart.migration.RoutineCheck;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.TableResult;
import raftcart.verify.TableVerdict;
import raftcart.verify.calls.CallVerdict;

/** Renders the results of stages, the same for a single stage and for a whole run. */
final class StageViews {
    private static final int DIGEST_SHOWN = 12;

    private final Console console;

    StageViews(Console console) {
        this.console = console;
    }

    /** One line for a stage: its name, what it did, how long it took. */
    void stage(String name, String what, double seconds) {
        String time = String.format(Locale.ROOT, "%.1f s", seconds);
        console.line(console.paint(Style.STRONG, String.format("%-10s", name)) + " " + what + "  "
                + console.paint(Style.FAINT, time));
    }

    void survey(SurveyStage.Result result) {
        Map<ObjectKind, Integer> objects = new EnumMap<>(result.objects());
        objects.remove(ObjectKind.SCHEMA);
        int tables = Optional.ofNullable(objects.remove(ObjectKind.TABLE)).orElse(0);
        String data = Stream.of(ObjectKind.INDEX, ObjectKind.FOREIGN_KEY, ObjectKind.SEQUENCE, ObjectKind.TYPE)
                .filter(objects::containsKey)
                .map(kind -> ", " + count(objects.remove(kind), kind.word()))
                .collect(Collectors.joining());
        int others = objects.values().stream().mapToInt(Integer::intValue).sum();
        stage(
                "survey",
                result.server() + ": " + count(tables, "table") + " with about " + count(result.rowEstimate(), "row")
                        + data + (others > 0 ? ", " + count(others, "other object") : ""),
                result.seconds());
    }

    static String count(long number, String word) {
        String plural = word.endsWith("y") && !word.endsWith("ey")
                ? word.substring(0, word.length() - 1) + "ies"
                : word.endsWith("x") ? word + "es" : word + "s";
        return String.format(Locale.ROOT, "%,d %s", number, number == 1 ? word : plural);
    }

    void translate(TranslateStage.Result result) {
        String outcomes = result.outcomes().entrySet().stream()
                .map(e -> e.getValue() + " " + e.getKey().label())
                .collect(Collectors.joining(", "));
        int objects =
                result.outcomes().values().stream().mapToInt(Integer::intValue).sum();
        stage(
                "translate",
                count(objects, "object") + ": " + outcomes + "; " + count(result.scripts(), "script") + " in target/",
                result.seconds());
        for (String kept : result.keptEdits()) {
            console.message("           " + kept + " was edited and is kept as it is");
        }
    }

    /** What there is to know, grouped by code, the most serious first. */
    void findings(TranslateStage.Result result) {
        if (result.findings().isEmpty()) {
            return;
        }
        Map<FindingCode, Long> counts = result.findings().stream()
                .collect(Collectors.groupingBy(Finding::code, TreeMap::new, Collectors.counting()));
        TextTable table =
                new TextTable().text("CODE").text("OUTCOME").number("COUNT").text("FINDING");
        counts.entrySet().stream()
                .sorted((a, b) -> {
                    int worse = b.getKey().outcome().compareTo(a.getKey().outcome());
                    return worse != 0 ? worse : Long.compare(b.getValue(), a.getValue());
                })
                .forEach(e -> table.row(
                        e.getKey().code(),
                        e.getKey().outcome().label(),
                        String.valueOf(e.getValue()),
                        FindingCatalog.get(e.getKey()).title()));
        console.line("");
        console.line(table.render());
        console.line("");
        console.line("`raftcart explain CODE` says more; reports/translate.json lists every object.");
    }

    void build(BuildStage.Result result) {
        String skipped = result.skippedTables().isEmpty()
                ? ""
                : "; used as they are: " + String.join(", ", result.skippedTables());
        String none = result.scripts() == 0 && result.skippedTables().isEmpty()
                ? ": all have run already; `raftcart build --again` runs them again"
                : "";
        stage("build", count(result.scripts(), "script") + " run" + none + skipped, result.seconds());
    }

    void load(LoadStage.Result result) {
        String refused =
                result.refused() == 0 ? "0 refused" : console.paint(Style.BAD, number(result.refused()) + " refused");
        int called = result.routines().called();
        int faulty = result.routines().failures().size();
        String routines = called == 0
                ? ""
                : "; " + count(called, "routine") + " called once"
                        + (faulty == 0 ? "" : ", " + console.paint(Style.BAD, faulty + " cannot work"));
        stage("load", count(result.loaded(), "row") + " loaded, " + refused + routines, result.seconds());
    }

    void loadProblems(LoadStage.Result result) {
        if (!result.open().isEmpty()) {
            console.line(StageViews.count(result.open().size(), "table") + " still to be loaded; indexes, keys and"
                    + " counters follow with the last: " + String.join(", ", result.open()));
        }
        for (TableResult table : result.tables()) {
            if (table.refused() > 0) {
                console.line(
                        console.paint(Style.BAD, count(table.refused(), "row") + " of " + table.table() + " refused")
                                + ": see " + table.refusedFile() + " for the values and the reasons.");
            }
        }
        for (String failure : result.failures()) {
            console.line(console.paint(Style.BAD, "Not made: ") + failure);
        }
        if (!result.failures().isEmpty()) {
            console.line("When the cause is mended, `raftcart load` tries these again; the rows stay as they are.");
        }
        routines(result.routines());
    }

    /** What came of calling each routine once. */
    void routines(RoutineCheck.Result result) {
        int faulty = result.failures().size();
        if (faulty > 0 || !result.notCalled().isEmpty()) {
            console.line("");
        }
        if (faulty > 0) {
            console.line("Of " + count(result.called(), "routine") + ", called once each with NULLs and rolled back, "
                    + console.paint(Style.BAD, faulty + " cannot work") + ":");
            result.failures().forEach(f -> console.line("  " + f));
        }
        if (!result.notCalled().isEmpty()) {
            console.line("Not called, as what "
                    + (result.notCalled().size() == 1 ? "it does" : "they do") + " could not be taken back: "
                    + String.join(", ", result.notCalled()) + ".");
        }
    }

    void verify(VerifyStage.Result result) {
        long same = result.tables().stream().filter(TableVerdict::same).count();
        long differing = result.tables().size() - same;
        String what = result.same()
                ? count(same, "table") + ": " + console.paint(Style.GOOD, "all the same on both sides")
                : same + " of " + count(result.tables().size(), "table") + " the same; "
                        + console.paint(Style.BAD, differing + (differing == 1 ? " differs" : " differ"));
        stage("verify", what, result.seconds());
    }

    /** The load and the proof side by side, a row a table. */
    void tables(LoadStage.Result load, VerifyStage.Result verify) {
        TextTable table = new TextTable()
                .text("TABLE")
                .number("SOURCE ROWS")
                .number("LOADED")
                .number("REFUSED")
                .number("SECONDS")
                .text("CHECKSUM");
        Map<String, TableVerdict> verdicts =
                verify.tables().stream().collect(Collectors.toMap(TableVerdict::table, v -> v));
        UnaryOperator<String> shown = shown(load.tables().stream().map(TableResult::table));
        for (TableResult row : load.tables()) {
            TableVerdict verdict = verdicts.get(row.table());
            table.row(
                    shown.apply(row.table()),
                    number(verdict.sourceRows()),
                    number(row.loaded()),
                    number(row.refused()),
                    String.format(Locale.ROOT, "%.1f", row.seconds()),
                    checksum(verdict));
        }
        console.line("");
        console.line(table.render());
    }

    void loaded(LoadStage.Result load) {
        TextTable table = new TextTable()
                .text("TABLE")
                .number("SOURCE ROWS")
                .number("LOADED")
                .number("REFUSED")
                .number("SECONDS");
        UnaryOperator<String> shown = shown(load.tables().stream().map(TableResult::table));
        for (TableResult row : load.tables()) {
            table.row(
                    shown.apply(row.table()),
                    number(row.read()),
                    number(row.loaded()),
                    number(row.refused()),
                    String.format(Locale.ROOT, "%.1f", row.seconds()));
        }
        console.line("");
        console.line(table.render());
    }

    void verdicts(VerifyStage.Result verify) {
        TextTable table = new TextTable()
                .text("TABLE")
                .number("SOURCE ROWS")
                .number("TARGET ROWS")
                .number("SECONDS")
                .text("CHECKSUM");
        UnaryOperator<String> shown = shown(verify.tables().stream().map(TableVerdict::table));
        for (TableVerdict verdict : verify.tables()) {
            table.row(
                    shown.apply(verdict.table()),
                    number(verdict.sourceRows()),
                    number(verdict.targetRows()),
                    String.format(Locale.ROOT, "%.1f", verdict.seconds()),
                    checksum(verdict));
        }
        console.line("");
        console.line(table.render());
        if (!verify.notCompared().isEmpty()) {
            console.line("By the plan the rows of " + String.join(", ", verify.notCompared())
                    + " stay on the source; they are not compared.");
        }
    }

    /** What came of calls on both sides, a row a case, with what differs below. */
    void calls(CallStage.Result result) {
        long open = result.of(CallVerdict.Outcome.NOT_CALLED);
        long differing = result.of(CallVerdict.Outcome.DIFFERS);
        String what = result.same()
                ? count(result.calls().size(), "call") + ": "
                        + console.paint(Style.GOOD, "all do the same on both sides")
                : result.of(CallVerdict.Outcome.SAME) + " of "
                        + count(result.calls().size(), "call") + " the same; "
                        + console.paint(Style.BAD, differing + (differing == 1 ? " differs" : " differ"))
                        + (open > 0 ? ", " + open + " not compared" : "");
        stage("verify", what, result.seconds());
        TextTable table = new TextTable()
                .text("CALL")
                .text("RESULT")
                .text("TABLES COMPARED")
                .number("SECONDS");
        result.calls()
                .forEach(c -> table.row(
                        c.title(),
                        switch (c.outcome()) {
                            case SAME -> "same";
                            case DIFFERS -> "DIFFERS";
                            case NOT_CALLED -> "not compared";
                        },
                        c.tables().isEmpty() ? "none" : String.join(", ", c.tables()),
                        String.format(Locale.ROOT, "%.1f", c.seconds())));
        console.line("");
        console.line(table.render());
        for (CallVerdict call : result.calls()) {
            if (call.outcome() != CallVerdict.Outcome.SAME) {
                console.line("");
                console.line(console.paint(Style.BAD, call.title()));
                call.details().forEach(d -> console.line("  " + d));
            }
        }
        console.line("");
        console.line("reports/routines.json has it all. The changes of the calls were rolled back.");
    }

    private static String checksum(TableVerdict verdict) {
        if (!verdict.problem().isEmpty()) {
            return "not compared: " + verdict.problem().lines().findFirst().orElse("");
        }
        if (verdict.same()) {
            return "same " + verdict.sourceDigest().substring(0, DIGEST_SHOWN);
        }
        if (verdict.sourceRows() != verdict.targetRows()) {
            return "DIFFERS: " + count(verdict.targetRows(), "row") + " on the target";
        }
        return verdict.differingColumns().isEmpty()
                ? "DIFFERS: values stand in other rows"
                : "DIFFERS in " + String.join(", ", verdict.differingColumns());
    }

    /** Names of tables as they are shown: the schema stands before them only where the tables are of several. */
    private static UnaryOperator<String> shown(Stream<String> tables) {
        long schemas = tables.map(table -> table.substring(0, table.indexOf('.') + 1))
                .distinct()
                .count();
        return table -> schemas > 1 ? table : table.substring(table.indexOf('.') + 1);
    }

    static String number(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }

    /** What is left to a person after the scripts were made. */
    static boolean needsPerson(TranslateStage.Result result) {
        return result.byHand() > 0 || result.outcomes().containsKey(Outcome.BY_HAND);
    }
}
