package raftcart.sql.parse;

import java.util.HashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Transaction;
import raftcart.sql.tree.Statement.Transaction.Kind;

/**
 * Reads transactions in T-SQL ("BEGIN TRANSACTION", "COMMIT TRANSACTION", "ROLLBACK TRANSACTION", SQL Server), behind which the
 * next statement may follow with nothing between.
 */
final class TsqlTransactions {
    /** Words that begin a statement and are no names, beside those that do so in all dialects. */
    private static final Set<String> BEGINNINGS = Set.of(
            "set",
            "print",
            "break",
            "continue",
            "open",
            "close",
            "fetch",
            "deallocate",
            "return",
            "raiserror",
            "throw",
            "goto",
            "waitfor",
            "if",
            "while",
            "begin",
            "declare",
            "exec",
            "execute",
            "commit",
            "rollback",
            "save",
            "end",
            "else",
            "with");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Set<String> named = new HashSet<>();

    TsqlTransactions(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** True for a word with which a statement begins, or a block ends. */
    static boolean begins(Token token) {
        return Keywords.startsStatement(token)
                || token.isName() && BEGINNINGS.contains(token.value().toLowerCase(Locale.ROOT));
    }

    /** Reads from BEGIN, COMMIT, ROLLBACK or SAVE on. */
    Statement read(Span span) {
        Token verb = cursor.take();
        boolean said = cursor.takeAny("TRAN", "TRANSACTION");
        if (!said) {
            cursor.takeWords("WORK");
        }
        boolean name = said && cursor.peek().isName() && !begins(cursor.peek());
        String called = name ? parsing.name().key() : "";
        if (verb.isWord("BEGIN")) {
            named.add(called);
            if (cursor.takeWords("WITH")) {
                throw cursor.byHand("a transaction with a mark");
            }
            return of(Kind.BEGIN, span);
        }
        if (verb.isWord("SAVE")) {
            throw cursor.byHand("a savepoint in a routine");
        }
        if (verb.isWord("COMMIT")) {
            return of(Kind.COMMIT, span);
        }
        if (name && !named.contains(called)) {
            throw cursor.byHand("ROLLBACK to a savepoint, or of the caller's transaction");
        }
        return of(Kind.ROLLBACK, span);
    }

    private static Statement of(Kind kind, Span span) {
        return new Transaction(kind, Optional.empty(), span);
    }
}
