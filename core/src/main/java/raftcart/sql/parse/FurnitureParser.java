package raftcart.sql.parse;

import java.math.BigInteger;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts;

/** Reads what stands in scripts for the client and the session. */
final class FurnitureParser {
    private static final Set<String> COMMANDS = Set.of(
            "PRAGMA",
            "UNLOCK",
            "ANALYZE",
            "ANALYSE",
            "VACUUM",
            "SHOW",
            "FLUSH",
            "PRINT",
            "RESET",
            "CHECKPOINT",
            "CONNECT",
            "DISCONNECT",
            "EXIT",
            "QUIT",
            "TERMINATE",
            "DESCRIBE",
            "OPTIMIZE",
            "REINDEX",
            "CLUSTER",
            "CHECK",
            "REFRESH",
            "COLLECT",
            "HELP",
            "LIST",
            "ECHO",
            "NOTIFY",
            "LISTEN",
            "DISCARD",
            "SHUTDOWN",
            "PURGE",
            "RUNSTATS",
            "REORG",
            "LABEL",
            "DESC",
            "ATTACH",
            "DETACH",
            "INSTALL",
            "LOAD",
            "SOURCE",
            "REPAIR",
            "KILL",
            "RECONFIGURE",
            "UNLISTEN",
            "LOGON",
            "LOGOFF",
            "BACKUP",
            "RESTORE",
            "INPUT",
            "OUTPUT",
            "GO",
            "OS",
            "SECURITY",
            "AUDIT",
            "NOAUDIT",
            "DISABLE",
            "ENABLE",
            "EXPORT",
            "CHANGE",
            "DENY",
            "CHECKSUM",
            "CACHE",
            "BINLOG",
            "RESTART",
            "CLONE",
            "STOP",
            "UNSET",
            "CANCEL",
            "PAUSE",
            "RESUME",
            "RUN",
            "AUTOCOMMIT",
            "PERFORM",
            "REMOVE",
            "MERGESTATS");
    private static final Set<String> BY_HAND = Set.of(
            "DBCC",
            "COPY",
            "LOAD",
            "EXPLAIN",
            "HANDLER",
            "PREPARE",
            "SIGNAL",
            "UNLOAD",
            "PUT",
            "GET",
            "IMPORT",
            "EXPORT",
            "BULK",
            "PURGE",
            "KILL",
            "FLASHBACK",
            "SHUTDOWN",
            "RESTORE",
            "BACKUP",
            "AUDIT",
            "DENY",
            "REFRESH",
            "SOURCE",
            "INPUT",
            "ENABLE",
            "DISABLE",
            "UNDROP",
            "RUNSCRIPT",
            "SCRIPT",
            "SUMMARIZE",
            "PIVOT",
            "UNPIVOT",
            "UPSERT",
            "EXPERIMENTAL",
            "ASSOCIATE",
            "GOTO",
            "MOVE",
            "INSPECT",
            "REVERT",
            "XA",
            "REASSIGN");

    private final Parsing parsing;
    private final TokenCursor cursor;

    FurnitureParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** Firebird's SET GENERATOR g TO n, after which the next number is the one after n. */
    private Statement generator(Span span) {
        QualifiedName name = parsing.qualifiedName();
        cursor.expectWords("TO");
        BigInteger last = parsing.wholeNumber();
        if (last.bitLength() >= Long.SIZE - 1) {
            throw cursor.error("a number that no sequence has: " + last);
        }
        return new DdlStatement.CreateSequence(
                name,
                true,
                false,
                Optional.empty(),
                TableParts.IdentityOptions.DEFAULT,
                Optional.of(last.longValue() + 1),
                List.of(),
                span);
    }

    Statement command() {
        Token token = cursor.peek();
        Span span = token.span();
        String word = token.value().toUpperCase(Locale.ROOT);
        if (cursor.takeWords("SET", "GENERATOR")) {
            return generator(span);
        }
        if (word.equals("SET")) {
            return set(span);
        }
        if (word.equals("LOCK")) {
            return lock(span);
        }
        if (word.equals("DATABASE")) {
            cursor.take();
            return new Statement.UseSchema(parsing.name(), true, span);
        }
        if (word.equals("USE")) {
            cursor.take();
            cursor.takeAny("DATABASE", "SCHEMA", "WAREHOUSE", "ROLE");
            boolean database = !cursor.previous().isWord("SCHEMA");
            boolean schema = !cursor.previous().isAnyWord("WAREHOUSE", "ROLE");
            Name name = parsing.qualifiedName().last();
            return schema
                    ? new Statement.UseSchema(name, database, span)
                    : new Statement.ClientCommand("USE " + name.text(), span);
        }
        boolean asks = word.equals("SHOW") && !parsing.has(GrammarFeature.SHOW_IS_FOR_CLIENT);
        if (asks || BY_HAND.contains(word)) {
            if (word.equals("BULK")) {
                StatementParser.skipStatement(cursor);
            }
            skip();
            return new Statement.NotTranslated(word, false, span);
        }
        if (COMMANDS.contains(word)) {
            return new Statement.ClientCommand(skip(), span);
        }
        throw cursor.unexpected("a statement");
    }

    /** The locks of a dump go with it; those of an application are a part of what it does. */
    private Statement lock(Span span) {
        boolean dump = cursor.peek(1).isWord("TABLES");
        String text = skip();
        return dump ? new Statement.ClientCommand(text, span) : new Statement.NotTranslated("LOCK TABLE", false, span);
    }

    private Statement set(Span span) {
        cursor.take();
        Optional<Statement> mode =
                parsing.has(GrammarFeature.SQL_MODES) ? new SqlMode(parsing).set(span) : Optional.empty();
        if (mode.isPresent()) {
            return mode.get();
        }
        if (parsing.has(GrammarFeature.COLON_PATHS)
                && cursor.peek().isName()
                && cursor.peek(1).isSymbol("=")) {
            skip();
            return new Statement.NotTranslated("assignment to a variable", false, span);
        }
        if (cursor.peek().kind() == TokenKind.PARAMETER && !cursor.peek().text().startsWith("@@")) {
            boolean setting = cursor.peek(1).isSymbol("=")
                    && cursor.peek(2).text().startsWith("@@")
                    && !cursor.peek(3).isSymbol("+");
            if (setting || cursor.peek().text().matches("(?i)@OLD_.*")) {
                return new Statement.ClientCommand("SET " + skip(), span);
            }
            skip();
            return new Statement.NotTranslated("assignment to a variable", false, span);
        }
        boolean current = cursor.takeWords("CURRENT");
        cursor.takeAny("SESSION", "LOCAL");
        if (cursor.takeWords("SCHEMA") || cursor.takeWords("CURRENT_SCHEMA") || cursor.takeWords("SQLID")) {
            cursor.takeSymbol("=");
            cursor.takeWords("TO");
            if (cursor.peek().isName() || cursor.peek().isString()) {
                return new Statement.UseSchema(parsing.name(), false, span);
            }
        }
        Optional<Statement> path = !current && cursor.takeWords("SEARCH_PATH") ? searchPath(span) : Optional.empty();
        return path.orElseGet(() -> new Statement.ClientCommand("SET " + skip(), span));
    }

    /** The first of the schemas in which names are looked up; empty where it is the usual one. */
    private Optional<Statement> searchPath(Span span) {
        if (!cursor.takeSymbol("=")) {
            cursor.takeWords("TO");
        }
        if (!cursor.peek().isName() || cursor.peek().isWord("DEFAULT")) {
            return Optional.empty();
        }
        Name name = parsing.name();
        while (cursor.takeSymbol(",")) {
            parsing.name();
        }
        return Optional.of(new Statement.UseSchema(name, false, span));
    }

    private String skip() {
        StringBuilder text = new StringBuilder();
        boolean loose = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
        int line = cursor.peek().span().line();
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            boolean next = loose && !text.isEmpty() && Keywords.startsStatement(cursor.peek());
            if (next && cursor.peek().span().line() > line) {
                break;
            }
            if (text.length() < 80) {
                text.append(text.isEmpty() ? "" : " ").append(cursor.peek().text());
            }
            cursor.take();
        }
        return text.toString();
    }
}
