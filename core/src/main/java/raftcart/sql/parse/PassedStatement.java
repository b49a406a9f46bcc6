package raftcart.sql.parse;

import java.util.function.Supplier;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Statement;

/**
 * Passes over a statement of a body that cannot be read, up to its semicolon, so that those behind it are read and told of, too.
 * The routine is left to a person anyway.
 */
final class PassedStatement {
    private final TokenCursor cursor;
    private final String[] openers;

    /** @param openers words that, at the beginning of a statement, begin what ends with END */
    PassedStatement(TokenCursor cursor, String... openers) {
        this.cursor = cursor;
        this.openers = openers;
    }

    /**
     * What is read, or a statement that only says why it is not.
     *
     * @throws SqlSyntaxException as it is, where it cannot be seen how far the statement goes
     */
    Statement unless(Supplier<Statement> read) {
        int start = cursor.mark();
        try {
            return read.get();
        } catch (SqlSyntaxException e) {
            cursor.reset(start);
            if (!pass()) {
                throw e;
            }
            String what = e.isUnderstood() ? e.reason() : "not understood: " + e.reason();
            return new Statement.NotTranslated(what, true, new Span(0, 0, e.line(), e.column()));
        }
    }

    /** Stands before the semicolon afterwards; false where there is none at the depth at which the statement begins. */
    private boolean pass() {
        int depth = 0;
        boolean first = true;
        Token before = null;
        while (!cursor.atEnd()) {
            Token token = cursor.peek();
            if (depth == 0 && token.isSymbol(";")) {
                return true;
            }
            boolean ending = before != null && before.isWord("END");
            boolean opens = token.isWord("CASE") || token.isWord("LOOP") || first && token.isAnyWord(openers);
            if (opens && !ending) {
                depth++;
            } else if (token.isWord("END")) {
                depth--;
            }
            if (depth < 0) {
                return false;
            }
            first = token.isSymbol(";")
                    || token.isSymbol(":")
                    || token.isAnyWord("THEN", "ELSE", "BEGIN", "DO", "LOOP");
            before = cursor.take();
        }
        return false;
    }
}
