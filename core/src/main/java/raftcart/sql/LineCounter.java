package raftcart.sql;

import raftcart.error.SqlSyntaxException;

/** Lines and columns of rising offsets in a text. */
final class LineCounter {
    private static final int NOT_SOUGHT = -1;

    private final String text;
    private final int firstColumn;
    private int line;
    private int lineStart;
    private int nextBreak = NOT_SOUGHT;
    private boolean onFirstLine = true;

    LineCounter(String text, int firstLine, int firstColumn) {
        this.text = text;
        this.line = firstLine;
        this.firstColumn = firstColumn;
    }

    /** The span between two offsets, the first of which must not lie before that of the last call. */
    Span span(int start, int end) {
        if (nextBreak == NOT_SOUGHT) {
            nextBreak = breakFrom(0);
        }
        while (nextBreak < start) {
            line++;
            lineStart = nextBreak + 1;
            onFirstLine = false;
            nextBreak = breakFrom(lineStart);
        }
        return new Span(start, end, line, start - lineStart + (onFirstLine ? firstColumn : 1));
    }

    private int breakFrom(int from) {
        int found = text.indexOf('\n', from);
        return found < 0 ? Integer.MAX_VALUE : found;
    }

    SqlSyntaxException error(String message, int at) {
        Span span = span(at, at);
        return new SqlSyntaxException(span.line(), span.column(), message);
    }
}
