package raftcart.sql.parse;

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
import raftcart.sql.tree.Statement;

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
            "REASSIGN");

    private final Parsing parsing;
    private final TokenCursor cursor;

    FurnitureParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement command() {
        Token token = cursor.peek();
        Span span = token.span();
        String word = token.value().toUpperCase(Locale.ROOT);
        if (word.equals("SET")) {
            return set(span);
        }
        if (word.equals("LOCK")) {
            return lock(span);
        }
        if (word.equals("DATABASE")) {
            cursor.take();
            return new Statement.UseSchema(parsing.name(), span);
        }
        if (word.equals("USE")) {
            cursor.take();
            cursor.takeAny("DATABASE", "SCHEMA", "WAREHOUSE", "ROLE");
            boolean schema = !cursor.previous().isAnyWord("WAREHOUSE", "ROLE");
            Name name = parsing.qualifiedName().last();
            return schema
                    ? new Statement.UseSchema(name, span)
                    : new Statement.ClientCommand("USE " + name.text(), span);
        }
        if (BY_HAND.contains(word)) {
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
        if (parsing.has(GrammarFeature.COLON_PATHS)
                && cursor.peek().isName()
                && cursor.peek(1).isSymbol("=")) {
            skip();
            return new Statement.NotTranslated("assignment to a variable", false, span);
        }
        if (cursor.peek().kind() == TokenKind.PARAMETER && !cursor.peek().text().startsWith("@@")) {
            if (cursor.peek().text().matches("(?i)@OLD_.*")) {
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
                return new Statement.UseSchema(parsing.name(), span);
            }
        }
        if (!current && cursor.takeWords("SEARCH_PATH")) {
            if (!cursor.takeSymbol("=")) {
                cursor.takeWords("TO");
            }
            if (cursor.peek().isName() && !cursor.peek().isWord("DEFAULT")) {
                Name name = parsing.name();
                while (cursor.takeSymbol(",")) {
                    parsing.name();
                }
                return new Statement.UseSchema(name, span);
            }
        }
        if (cursor.peek().isAnyWord("IDENTITY_INSERT")) {
            return new Statement.ClientCommand("SET " + skip(), span);
        }
        return new Statement.ClientCommand("SET " + skip(), span);
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

    /** {@code IF OBJECT_ID('t') IS NOT NULL DROP TABLE t} and the like: an object dropped if it is there. */
    Optional<Statement> guardedDrop() {
        if (!cursor.peek().isWord("IF")) {
            return Optional.empty();
        }
        int mark = cursor.mark();
        cursor.take();
        boolean catalog = false;
        int open = 0;
        while (!cursor.atEnd() && !(open == 0 && cursor.peek().isAnyWord("DROP", "BEGIN", "ELSE", "EXEC", "SELECT"))) {
            Token token = cursor.take();
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            catalog |= token.isName()
                    && token.value()
                            .toLowerCase(Locale.ROOT)
                            .matches("object_id|sys|sysobjects|information_schema|db_id|schema_id|sysindexes|sysusers");
        }
        boolean begin = catalog && cursor.takeWords("BEGIN");
        if (!catalog || !cursor.peek().isWord("DROP")) {
            cursor.reset(mark);
            return Optional.empty();
        }
        Statement drop = new DropParser(parsing).drop();
        cursor.takeSymbol(";");
        boolean closed = !begin || cursor.takeWords("END");
        if (!(drop instanceof DdlStatement.Drop d) || !closed || cursor.peek().isWord("ELSE")) {
            cursor.reset(mark);
            return Optional.empty();
        }
        return Optional.of(
                new DdlStatement.Drop(d.kind(), List.copyOf(d.names()), true, d.cascade(), d.table(), d.span()));
    }
}
