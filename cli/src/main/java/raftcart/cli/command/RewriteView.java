package raftcart.cli.command;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.finding.Outcome;
import raftcart.rewrite.PlacedFinding;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.Summary;

/** Shows what became of statements: as lines of findings, side by side, or as JSON. */
final class RewriteView {
    private final Console console;
    private final boolean explain;
    private final boolean sideBySide;
    private Optional<RewriteJson> json = Optional.empty();

    RewriteView(Console console, boolean explain, boolean sideBySide) {
        this.console = console;
        this.explain = explain;
        this.sideBySide = sideBySide;
    }

    /** True where the translated text itself goes to standard output. */
    boolean writesText() {
        return !console.isJson() && !sideBySide;
    }

    void file(String name) {
        if (sideBySide && !console.isJson()) {
            console.line(console.paint(Style.STRONG, name));
        }
    }

    void statement(String file, StatementResult result) {
        if (console.isJson()) {
            json().statement(file, result);
            return;
        }
        for (PlacedFinding finding : result.findings()) {
            boolean wanted = explain || finding.outcome().compareTo(Outcome.CHECK) >= 0;
            if (wanted) {
                console.finding(file + ":" + finding.line() + ":" + finding.column() + ": " + finding.message());
            }
        }
        if (sideBySide && result.outcome() != Outcome.AS_IS) {
            columns(result);
        }
    }

    private RewriteJson json() {
        if (json.isEmpty()) {
            json = Optional.of(new RewriteJson(console.stream()));
        }
        return json.get();
    }

    private void columns(StatementResult result) {
        int width = (Console.width() - 3) / 2;
        List<String> left = wrapped(result.source(), width);
        List<String> right = wrapped(result.text(), width);
        console.line(console.paint(
                Style.FAINT,
                "-- line " + result.line() + ", " + result.outcome().label()));
        for (int i = 0; i < Math.max(left.size(), right.size()); i++) {
            String l = i < left.size() ? left.get(i) : "";
            String r = i < right.size() ? right.get(i) : "";
            console.line(l + " ".repeat(width - l.length()) + " | " + r);
        }
        console.line("");
    }

    private static List<String> wrapped(String text, int width) {
        List<String> lines = new ArrayList<>();
        for (String line : text.split("\\R", -1)) {
            String rest = line.replace("\t", "    ");
            while (rest.length() > width) {
                int blank = rest.lastIndexOf(' ', width);
                int cut = blank > width / 2 ? blank : width;
                lines.add(rest.substring(0, cut));
                rest = rest.substring(cut).stripLeading();
            }
            lines.add(rest);
        }
        return lines;
    }

    void end(Summary summary, int files, int defects) {
        if (console.isJson()) {
            json().end(summary, files);
            return;
        }
        console.message(summary.total() + " statement(s): " + summary.count(Outcome.AS_IS) + " as is, "
                + summary.count(Outcome.ADAPTED) + " adapted, " + summary.count(Outcome.CHECK) + " check, "
                + summary.count(Outcome.BY_HAND) + " by hand");
        if (defects > 0) {
            console.message(defects + " of them met a defect of ours (RC0628); please report them");
        }
    }
}
