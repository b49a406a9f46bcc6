package raftcart.rewrite;

import java.io.IOException;
import java.io.Writer;
import raftcart.finding.Outcome;

/** The text that is written: statements with their separators, and what stands between them. */
final class Output {
    private final Writer out;
    private boolean needsBreak;
    private boolean dropBreak;
    private boolean atLineStart = true;
    /** Blanks that stand between statements of one line, until it is known whether they stay on one. */
    private String gap = "";
    /** True behind a statement that was laid out in several lines. */
    private boolean behindLines;
    /** True behind a statement that has no separator yet. */
    private boolean unended;

    Output(Writer out) {
        this.out = out;
    }

    /** White space and comments between statements. */
    void blank(String text) throws IOException {
        String rest = text;
        if (dropBreak) {
            int end = text.indexOf('\n');
            boolean empty = end >= 0 && text.substring(0, end).isBlank();
            rest = empty ? text.substring(end + 1) : text;
            dropBreak = false;
            if (atLineStart && rest.isBlank() && rest.indexOf('\n') < 0) {
                return;
            }
        }
        boolean oneLine = rest.indexOf('\n') < 0;
        if (oneLine && rest.isBlank()) {
            gap += rest;
            return;
        }
        if (needsBreak && oneLine) {
            write(" ");
        }
        needsBreak = false;
        write(rest);
    }

    /** A statement with what separates it from the next one; nothing where that is not known. */
    void statement(StatementResult result, String separator) throws IOException {
        if (result.text().isEmpty()) {
            dropLine();
            return;
        }
        boolean comment = result.outcome() == Outcome.BY_HAND;
        boolean lines = result.text().indexOf('\n') >= 0 && !result.text().equals(result.source());
        boolean ownLine = comment || lines || behindLines;
        if (needsBreak && (gap.isEmpty() || ownLine) || ownLine && !atLineStart) {
            gap = "";
            write("\n");
        }
        write(result.text());
        if (comment) {
            write("\n");
        } else if (!separator.equals(";") || !result.text().endsWith(";")) {
            write(separator);
        }
        unended = !comment && separator.isEmpty() && !result.text().endsWith(";");
        dropBreak = comment;
        needsBreak = !comment;
        behindLines = lines && !comment;
    }

    /** The end of a statement that a line for the client says. */
    void end() throws IOException {
        if (unended) {
            write(";");
            unended = false;
        }
    }

    void verbatim(String text) throws IOException {
        if (needsBreak && gap.isEmpty()) {
            write("\n");
        }
        write(text);
        needsBreak = false;
        dropBreak = false;
    }

    /** The line break after something that was left out goes too. */
    void dropLine() {
        dropBreak = true;
    }

    void finish() throws IOException {
        if (needsBreak && gap.isEmpty()) {
            write("\n");
        }
        write("");
        out.flush();
    }

    private void write(String text) throws IOException {
        String whole = gap.isEmpty() ? text : gap + text;
        gap = "";
        if (!whole.isEmpty()) {
            out.write(whole);
            int lastLine = whole.lastIndexOf('\n') + 1;
            atLineStart =
                    (lastLine > 0 || atLineStart) && whole.substring(lastLine).isBlank();
        }
    }
}
