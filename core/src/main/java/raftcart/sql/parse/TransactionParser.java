package raftcart.sql.parse;

import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Transaction;
import raftcart.sql.tree.Statement.Transaction.Kind;

/** Reads the beginnings and ends of transactions. */
final class TransactionParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    TransactionParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement transaction() {
        Token verb = cursor.take();
        Span span = verb.span();
        switch (parsing.nameOf(verb).key()) {
            case "begin":
                return begin(span);
            case "bt":
                return of(Kind.BEGIN, span);
            case "start":
                return start(span);
            case "et":
                return of(Kind.COMMIT, span);
            case "end":
                return end(span);
            case "commit":
                if (cursor.peek().isWord("PREPARED")) {
                    throw cursor.byHand("a transaction in two phases");
                }
                trailer();
                return of(Kind.COMMIT, span);
            case "rollback", "abort":
                return rollback(span);
            case "save":
                cursor.takeAny("TRANSACTION", "TRAN");
                return named(Kind.SAVEPOINT, span);
            case "release":
                cursor.takeWords("SAVEPOINT");
                return named(Kind.RELEASE, span);
            default:
                Statement savepoint = named(Kind.SAVEPOINT, span);
                if (cursor.takeWords("ON", "ROLLBACK", "RETAIN")) {
                    cursor.takeAny("CURSORS", "LOCKS");
                }
                return savepoint;
        }
    }

    private Statement start(Span span) {
        if (cursor.peek().isAnyWord("SLAVE", "REPLICA", "GROUP_REPLICATION")) {
            StatementParser.skipStatement(cursor);
            return new Statement.ClientCommand("START of replication", span);
        }
        cursor.expectWords("TRANSACTION");
        if (cursor.takeWords("WITH", "CONSISTENT", "SNAPSHOT")) {
            cursor.takeSymbol(",");
        }
        modes();
        return of(Kind.BEGIN, span);
    }

    private Statement end(Span span) {
        if (!parsing.has(GrammarFeature.END_COMMITS)) {
            throw cursor.byHand("the end of a block");
        }
        if (!cursor.takeAny("TRANSACTION", "WORK")
                && !cursor.atEnd()
                && !cursor.peek().isSymbol(";")) {
            throw cursor.unexpected("the end of the statement");
        }
        return of(Kind.COMMIT, span);
    }

    private Statement begin(Span span) {
        boolean transaction = cursor.takeAny("TRANSACTION", "TRAN", "WORK", "IMMEDIATE", "DEFERRED", "EXCLUSIVE");
        if (!transaction
                && !cursor.atEnd()
                && !cursor.peek().isSymbol(";")
                && !cursor.peek().isAnyWord("ISOLATION", "READ")) {
            while (!cursor.atEnd()) {
                cursor.take();
            }
            return new Statement.NotTranslated("block of code", true, span);
        }
        cursor.takeWords("TRANSACTION");
        modes();
        return of(Kind.BEGIN, span);
    }

    /** Isolation and access, which belong to the session's settings. */
    private void modes() {
        while (cursor.peek().isName() && !Keywords.startsStatement(cursor.peek())
                || cursor.peek().isSymbol(",")) {
            cursor.take();
        }
    }

    private void trailer() {
        cursor.takeAny("WORK", "TRANSACTION", "TRAN");
        if (cursor.takeWords("AND")) {
            cursor.takeWords("NO");
            cursor.expectWords("CHAIN");
        }
        if (cursor.takeAny("COMMENT", "WRITE", "RETAIN")) {
            StatementParser.skipStatement(cursor);
        }
    }

    private Statement rollback(Span span) {
        trailer();
        if (cursor.takeWords("TO")) {
            cursor.takeWords("SAVEPOINT");
            return named(Kind.ROLLBACK_TO, span);
        }
        if (cursor.peek().isName() && !Keywords.startsStatement(cursor.peek())) {
            return named(Kind.ROLLBACK_TO, span);
        }
        return of(Kind.ROLLBACK, span);
    }

    private Statement of(Kind kind, Span span) {
        return new Transaction(kind, Optional.empty(), span);
    }

    private Statement named(Kind kind, Span span) {
        Name name = parsing.name();
        return new Transaction(kind, Optional.of(name), span);
    }
}
