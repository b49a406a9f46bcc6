package raftcart.rewrite;

import java.io.IOException;
import java.io.Writer;
import raftcart.finding.Outcome;

/** The text that is written: statements with their separators, and what stands between them. */
final class Output {
    private final Writer out;
    private boolean needsBreak;
    private boolean dropBreak;

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
        }
        if (needsBreak && !rest.isEmpty() && !rest.stripLeading().isEmpty() && rest.indexOf('\n') < 0) {
            out.write(' ');
        }
        needsBreak = needsBreak && rest.isEmpty();
        out.write(rest);
    }

    void statement(StatementResult result, boolean separated) throws IOException {
        if (result.text().isEmpty()) {
            dropLine();
            return;
        }
        if (needsBreak) {
            out.write('\n');
        }
        out.write(result.text());
        boolean comment = result.outcome() == Outcome.BY_HAND;
        if (comment) {
            out.write("\n");
        } else if (separated && !result.text().endsWith(";")) {
            out.write(";");
        }
        dropBreak = comment;
        needsBreak = !comment;
    }

    void verbatim(String text) throws IOException {
        if (needsBreak) {
            out.write('\n');
        }
        out.write(text);
        needsBreak = false;
        dropBreak = false;
    }

    /** The line break after something that was left out goes too. */
    void dropLine() {
        dropBreak = true;
    }

    void finish() throws IOException {
        if (needsBreak) {
            out.write('\n');
        }
        out.flush();
    }
}
