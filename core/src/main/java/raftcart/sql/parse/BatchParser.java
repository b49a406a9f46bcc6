package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Statement;

/**
 * Reads what T-SQL's batches have around their statements: conditions on whether an object is there, variables, and
 * blocks of code that end before the batch does.
 */
final class BatchParser {
    private static final Set<String> CATALOG = Set.of(
            "object_id",
            "sys",
            "sysobjects",
            "systypes",
            "sysreferences",
            "sysdatabases",
            "information_schema",
            "db_id",
            "schema_id",
            "sysindexes",
            "sysusers",
            "syscolumns",
            "col_length",
            "type_id",
            "indexproperty",
            "columnproperty",
            "objectproperty",
            "database_principal_id",
            "fulltextserviceproperty",
            "has_dbaccess");

    /** Words that begin a statement wherever they stand; others may be a part of one. */
    private static final String[] VERBS =
            "SELECT INSERT UPDATE DELETE MERGE CREATE DROP TRUNCATE DECLARE IF WHILE EXEC EXECUTE PRINT".split(" ");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Set<String> variables = new HashSet<>();

    BatchParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /**
     * What stands under a condition on the engine's catalog.
     *
     * @param tokens the statements
     * @param absent true where they run if the object is not there
     */
    record Guarded(List<Token> tokens, boolean absent) {}

    /** The statements behind an IF that asks only the engine's catalog; empty where it asks for more. */
    Optional<Guarded> guarded() {
        if (!cursor.peek().isWord("IF")) {
            return Optional.empty();
        }
        int mark = cursor.mark();
        cursor.take();
        boolean catalog = false;
        boolean not = false;
        boolean isNull = false;
        int open = 0;
        while (!cursor.atEnd() && !(open == 0 && atStatement())) {
            Token token = cursor.take();
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            catalog |= token.isName() && CATALOG.contains(token.value().toLowerCase(Locale.ROOT));
            not |= token.isWord("NOT") && cursor.peek().isWord("EXISTS");
            isNull |= token.isWord("IS") && cursor.peek().isWord("NULL");
        }
        boolean block = cursor.peek().isWord("BEGIN");
        int inner = cursor.mark() + (block ? 1 : 0);
        if (!catalog || cursor.atEnd()) {
            cursor.reset(mark);
            return Optional.empty();
        }
        skipBody();
        List<Token> tokens = new ArrayList<>(cursor.taken(inner));
        if (block && !tokens.isEmpty()) {
            tokens.remove(tokens.size() - 1);
        }
        if (cursor.peek().isWord("ELSE")
                || cursor.peek().isSymbol(";") && cursor.peek(1).isWord("ELSE")) {
            cursor.reset(mark);
            return Optional.empty();
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        return Optional.of(new Guarded(tokens, not || isNull));
    }

    private boolean atStatement() {
        return Keywords.startsStatement(cursor.peek()) && !cursor.peek().isAnyWord("IF", "UPDATE")
                || cursor.peek().isWord("UPDATE") && cursor.peek(1).isName();
    }

    /** The statement as it is under its condition; it may be there already, or not. */
    static Statement unguarded(Statement statement, boolean absent) {
        if (statement instanceof DdlStatement.Drop d && !absent) {
            return new DdlStatement.Drop(d.kind(), d.names(), true, d.cascade(), d.table(), d.temporary(), d.span());
        }
        if (statement instanceof DdlStatement.CreateTable t && absent) {
            return t.ifAbsent();
        }
        if (statement instanceof DdlStatement.CreateIndex i && absent) {
            return i.ifAbsent();
        }
        if (statement instanceof DdlStatement.CreateSchema s && absent) {
            return new DdlStatement.CreateSchema(s.name(), true, s.database(), s.leftOut(), s.span());
        }
        return statement instanceof DdlStatement.AlterTable a && keepsCondition(a, absent)
                ? new DdlStatement.AlterTable(
                        a.name(),
                        !absent,
                        a.actions().stream().map(BatchParser::conditional).toList(),
                        a.span())
                : statement;
    }

    /** True where parts of a table are dropped, or added, if they are there or not. */
    private static boolean keepsCondition(DdlStatement.AlterTable alter, boolean absent) {
        return alter.actions().stream()
                .allMatch(a -> absent
                        ? a instanceof AlterAction.AddColumn
                        : a instanceof AlterAction.DropConstraint || a instanceof AlterAction.DropColumn);
    }

    private static AlterAction conditional(AlterAction action) {
        if (action instanceof AlterAction.AddColumn add) {
            return new AlterAction.AddColumn(add.column(), true, add.fills());
        }
        return action instanceof AlterAction.DropColumn drop
                ? new AlterAction.DropColumn(drop.column(), true, drop.cascade())
                : ((AlterAction.DropConstraint) action).ifExisting();
    }

    /** True for a statement whose condition is not kept by {@link #unguarded}. */
    static boolean losesCondition(Statement statement, boolean absent) {
        boolean kept = absent
                ? statement instanceof DdlStatement.CreateTable
                        || statement instanceof DdlStatement.CreateIndex
                        || statement instanceof DdlStatement.CreateSchema
                : statement instanceof DdlStatement.Drop;
        kept |= statement instanceof DdlStatement.AlterTable alter && keepsCondition(alter, absent);
        return !kept && !(statement instanceof Statement.ClientCommand || statement instanceof Statement.NotTranslated);
    }

    /** Code as far as it goes: IF and WHILE with what they govern, a declaration, a block. */
    void skipCode() {
        Token verb = cursor.take();
        if (verb.isWord("DECLARE")) {
            declaration();
            return;
        }
        if (verb.isAnyWord("IF", "WHILE")) {
            int open = 0;
            while (!cursor.atEnd()
                    && !(open == 0 && (atStatement() || cursor.peek().isWord("IF")))) {
                Token token = cursor.take();
                open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            }
            skipBody();
            boolean otherwise = cursor.peek().isWord("ELSE")
                    || cursor.peek().isSymbol(";") && cursor.peek(1).isWord("ELSE");
            if (otherwise) {
                cursor.takeSymbol(";");
                cursor.take();
                skipBody();
            }
            return;
        }
        skipStatement();
    }

    /** Variables, cursors and tables of the batch. */
    private void declaration() {
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            Token token = cursor.peek();
            boolean query = token.isWord("SELECT") && cursor.previous().isWord("FOR");
            if (Keywords.startsStatement(token) && !query) {
                return;
            }
            if (token.kind() == TokenKind.PARAMETER) {
                variables.add(token.text().toLowerCase(Locale.ROOT));
            }
            cursor.take();
            if (query) {
                skipStatement();
                return;
            }
            if (token.isSymbol("(")) {
                cursor.reset(cursor.mark() - 1);
                parsing.skipParentheses();
            }
        }
    }

    /** One statement, or a block, or another condition with what it governs. */
    private void skipBody() {
        if (cursor.peek().isWord("BEGIN") && !cursor.peek(1).isAnyWord("TRAN", "TRANSACTION")) {
            skipBlock();
        } else if (cursor.peek().isAnyWord("IF", "WHILE")) {
            skipCode();
        } else {
            skipStatement();
        }
    }

    /** BEGIN up to its END. */
    void skipBlock() {
        int depth = 0;
        do {
            Token token = cursor.take();
            boolean begins = token.isWord("CASE")
                    || token.isWord("BEGIN") && !cursor.peek().isAnyWord("TRAN", "TRANSACTION", "DISTRIBUTED");
            depth += begins ? 1 : token.isWord("END") ? -1 : 0;
        } while (depth > 0 && !cursor.atEnd());
        cursor.takeAny("TRY", "CATCH");
        if (cursor.peek().isWord("BEGIN") && cursor.peek(1).isWord("CATCH")) {
            skipBlock();
        }
    }

    /** One statement, however it is written; ends before the next one. */
    void skipStatement() {
        int open = 0;
        boolean routine = cursor.peek().isAnyWord("CREATE", "ALTER")
                && cursor.peek(1).isAnyWord("PROCEDURE", "PROC", "FUNCTION", "TRIGGER");
        int start = cursor.mark();
        Token first = cursor.take();
        while (!cursor.atEnd()) {
            Token token = cursor.peek();
            boolean ends = open <= 0
                    && !routine
                    && (token.isSymbol(";") || token.isWord("ELSE") || endsBefore(first))
                    && !isBehindTable(cursor.taken(start));
            if (ends) {
                return;
            }
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            cursor.take();
        }
    }

    /** True behind ALTER TABLE and a name, where the change follows, on a line of its own or not. */
    private static boolean isBehindTable(List<Token> statement) {
        boolean names = statement.size() > 2
                && statement.get(0).isWord("ALTER")
                && statement.get(1).isWord("TABLE");
        for (int i = 2; names && i < statement.size(); i++) {
            names = i % 2 == 0 ? statement.get(i).isName() : statement.get(i).isSymbol(".");
        }
        return names && statement.size() % 2 == 1;
    }

    /** True where a new statement begins: not at the SELECT of an INSERT, nor at the SET of an UPDATE. */
    private boolean endsBefore(Token first) {
        Token token = cursor.peek();
        if (!Keywords.startsStatement(token)) {
            return token.isAnyWord("SET", "FETCH", "CLOSE")
                    && !first.isAnyWord("UPDATE", "MERGE", "ALTER", "SELECT", "CREATE", "INSERT", "DELETE");
        }
        boolean part = first.isAnyWord("INSERT", "CREATE", "MERGE", "GRANT", "DENY", "REVOKE", "ALTER", "WITH")
                && token.isAnyWord(
                        "SELECT", "EXEC", "EXECUTE", "INSERT", "UPDATE", "DELETE", "ALTER", "DROP", "CREATE", "WITH");
        Token before = cursor.previous();
        boolean query = token.isAnyWord("SELECT", "WITH")
                        && before.isAnyWord("UNION", "ALL", "EXCEPT", "INTERSECT", "AS", "FOR")
                || token.isAnyWord("INSERT", "UPDATE", "DELETE") && before.isAnyWord("THEN", "ON", "OF", "FOR")
                || before.isSymbol(",")
                || first.isWord("WITH") && before.isSymbol(")");
        boolean newLine = token.span().line() > cursor.previous().span().line();
        boolean weak = !token.isAnyWord(VERBS);
        if (weak && !newLine || first.isWord("ALTER") && token.isWord("WITH")) {
            return false;
        }
        return !query && !(part && !newLine) && !(part && first.isWord("INSERT") && token.isWord("SELECT"));
    }

    /** True where a statement names a variable that the batch declared. */
    boolean usesVariable(List<Token> tokens) {
        return !variables.isEmpty()
                && tokens.stream()
                        .anyMatch(t -> t.kind() == TokenKind.PARAMETER
                                && variables.contains(t.text().toLowerCase(Locale.ROOT)));
    }
}
