package raftcart.sql;

import raftcart.error.SqlSyntaxException;

/** Lines and columns of rising offsets in a text. */
final class LineCounter {
    private final String text;
    private final int firstColumn;
    private int line;
    private int lineStart;
    private int counted;
    private boolean onFirstLine = true;

    LineCounter(String text, int firstLine, int firstColumn) {
        this.text = text;
        this.line = firstLine;
        this.firstColumn = firstColumn;
    }

    /** The span between two offsets, the first of which must not lie before that of the last call. */
    Span span(int start, int end) {
        for (int i = counted; i < start; i++) {
            if (text.charAt(i) == '\n') {
                line++;
                lineStart = i + 1;
                onFirstLine = false;
            }
        }
        counted = Math.max(counted, start);
        return new Span(start, end, line, start - lineStart + (onFirstLine ? firstColumn : 1));
    }

    SqlSyntaxException error(String message, int at) {
        Span span = span(at, at);
        return new SqlSyntaxException(span.line(), span.column(), message);
    }
}
