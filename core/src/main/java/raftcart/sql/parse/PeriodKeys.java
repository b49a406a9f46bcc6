package raftcart.sql.parse;

import java.util.Optional;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;

/** Keys of a table whose rows hold for periods that may not overlap; no tree has a place for them. */
final class PeriodKeys {
    private PeriodKeys() {}

    /** The key as it is written; nothing is read where the next constraint is another. */
    static Optional<String> read(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        int mark = cursor.mark();
        StringBuilder text = new StringBuilder();
        boolean periods = false;
        while (!cursor.atEnd() && !cursor.peek().isSymbol(",") && !cursor.peek().isSymbol(")")) {
            periods |= atPeriods(cursor);
            boolean list = cursor.peek().isSymbol("(");
            text.append(text.isEmpty() ? "" : " ")
                    .append(list ? parsing.skipParentheses() : cursor.take().text());
        }
        if (!periods) {
            cursor.reset(mark);
        }
        return periods ? Optional.of(text.toString()) : Optional.empty();
    }

    /** True at columns of which the last is a period that may not overlap another. */
    private static boolean atPeriods(TokenCursor cursor) {
        if (!cursor.peek().isSymbol("(")) {
            return false;
        }
        for (int i = 1; ; i++) {
            if (cursor.peek(i).isSymbol(")") || cursor.peek(i).kind() == TokenKind.END) {
                return cursor.peek(i - 1).isWord("OVERLAPS");
            }
        }
    }
}
