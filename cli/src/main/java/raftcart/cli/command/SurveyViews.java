package raftcart.cli.command;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.cli.terminal.TextTable;
import raftcart.finding.Outcome;
import raftcart.migration.Assessment;
import raftcart.migration.Assessment.FindingGroup;
import raftcart.migration.Assessment.KindShare;
import raftcart.migration.ShownObject;

/** Renders what a survey says about the move. */
final class SurveyViews {
    private final Console console;

    SurveyViews(Console console) {
        this.console = console;
    }

    private static String blankIfNone(long number) {
        return number == 0 ? "" : String.format(Locale.ROOT, "%,d", number);
    }

    private static String hours(double hours) {
        return String.format(Locale.ROOT, hours < 10 ? "%.1f" : "%.0f", hours);
    }

    /** One target: the objects by kind, the findings by the time that they take. */
    void assessment(Assessment assessment) {
        TextTable kinds = new TextTable()
                .text("KIND")
                .number("OBJECTS")
                .number("AS IS")
                .number("ADAPTED")
                .number("CHECK")
                .number("BY HAND")
                .number("LINES OF CODE");
        assessment.kinds().forEach(k -> kinds.row(row(k.kind().word(), List.of(k))));
        kinds.row(row("all", assessment.kinds()));
        console.line("");
        console.line(kinds.render());
        code(assessment.kinds().stream().filter(k -> k.allStatements() > 0).toList());
        if (!assessment.findings().isEmpty()) {
            TextTable findings = new TextTable()
                    .text("CODE")
                    .text("OUTCOME")
                    .number("COUNT")
                    .number("HOURS")
                    .text("FINDING");
            assessment.findings().forEach(f -> findings.row(row(f)));
            console.line("");
            console.line(findings.render());
        }
        console.line("");
        console.line("To " + assessment.target() + " a person needs about "
                + console.paint(Style.STRONG, range(assessment))
                + "; `raftcart explain CODE` says why, and the rates stand"
                + " under `effort` in raftcart.yaml.");
    }

    /** The same statement by statement, as one of a hundred that is left to a person leaves its whole routine to them. */
    private void code(List<KindShare> kinds) {
        if (kinds.isEmpty()) {
            return;
        }
        TextTable table = new TextTable()
                .text("STATEMENTS OF")
                .number("ALL")
                .number("AS IS")
                .number("ADAPTED")
                .number("CHECK")
                .number("BY HAND");
        kinds.forEach(k -> table.row(statements(k.kind().word(), List.of(k))));
        table.row(statements("all", kinds));
        console.line("");
        console.line(table.render());
    }

    private static String[] statements(String name, List<KindShare> shares) {
        return Stream.concat(
                        Stream.of(
                                name,
                                blankIfNone(shares.stream()
                                        .mapToLong(KindShare::allStatements)
                                        .sum())),
                        Stream.of(Outcome.values())
                                .map(o -> blankIfNone(shares.stream()
                                        .mapToLong(s -> s.statementsOf(o))
                                        .sum())))
                .toArray(String[]::new);
    }

    private static String range(Assessment assessment) {
        return hours(assessment.hoursLeast()) + " to " + hours(assessment.hoursMost()) + " hours";
    }

    private static String[] row(FindingGroup group) {
        return new String[] {
            group.code().code(),
            group.outcome().label(),
            String.valueOf(group.findings().size()),
            group.hours() == 0 ? "" : hours(group.hours()),
            group.title()
        };
    }

    private static String[] row(String name, List<KindShare> shares) {
        return new String[] {
            name,
            blankIfNone(shares.stream().mapToLong(KindShare::objects).sum()),
            blankIfNone(shares.stream().mapToLong(s -> s.of(Outcome.AS_IS)).sum()),
            blankIfNone(shares.stream().mapToLong(s -> s.of(Outcome.ADAPTED)).sum()),
            blankIfNone(shares.stream().mapToLong(s -> s.of(Outcome.CHECK)).sum()),
            blankIfNone(shares.stream().mapToLong(s -> s.of(Outcome.BY_HAND)).sum()),
            blankIfNone(shares.stream().mapToLong(KindShare::lines).sum())
        };
    }

    /** Several targets side by side. */
    void compared(List<Assessment> assessments) {
        TextTable table = new TextTable().text("");
        assessments.forEach(a -> table.number(a.target().toUpperCase(Locale.ROOT)));
        for (Outcome outcome : Outcome.values()) {
            table.row(line(
                    outcome.label(),
                    assessments.stream()
                            .map(a -> blankIfNone(a.kinds().stream()
                                    .mapToLong(k -> k.of(outcome))
                                    .sum()))));
        }
        table.row(line(
                "findings",
                assessments.stream()
                        .map(a -> blankIfNone(a.findings().stream()
                                .mapToLong(f -> f.findings().size())
                                .sum()))));
        table.row(line(
                "hours of a person",
                assessments.stream().map(a -> hours(a.hoursLeast()) + " to " + hours(a.hoursMost()))));
        console.line("");
        console.line(table.render());
        console.line("");
        console.line("`raftcart survey --against ONE` lists what is behind these numbers.");
    }

    private static String[] line(String name, Stream<String> cells) {
        return Stream.concat(Stream.of(name), cells).toArray(String[]::new);
    }

    /** One object with its source and its translation. */
    void object(ShownObject object) {
        console.line("");
        console.line(console.paint(Style.STRONG, object.kind() + " " + object.name()) + ": "
                + object.outcome().label());
        object.findings()
                .forEach(f -> console.line(
                        "  " + f.code().code() + " " + f.outcome().label() + ": " + f.object() + ": " + f.detail()));
        console.line("");
        console.line(console.paint(Style.FAINT, "-- on the source"));
        console.line(object.source().strip());
        console.line("");
        console.line(console.paint(Style.FAINT, "-- on the target"));
        console.line(
                object.target().isEmpty()
                        ? "-- nothing: it is left to a person"
                        : object.target().strip());
    }
}
