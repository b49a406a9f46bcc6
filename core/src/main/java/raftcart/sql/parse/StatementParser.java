package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.RenameObject;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Reads statements, one or several of a text, and goes on after those that it cannot read. */
public final class StatementParser {
    /** The words of a setting that its finding shows. */
    private static final int LONGEST_SETTING = 12;

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final BatchParser batch;

    private StatementParser(TokenCursor cursor, Grammar grammar) {
        this.parsing = new Parsing(cursor, grammar);
        this.cursor = cursor;
        this.batch = new BatchParser(parsing);
    }

    private StatementParser(TokenCursor cursor, Grammar grammar, BatchParser batch) {
        this.parsing = new Parsing(cursor, grammar);
        this.cursor = cursor;
        this.batch = batch;
    }

    /**
     * What was read of one statement: the statement, or why it could not be read.
     *
     * @param start the offset of its first character
     * @param end the offset after its last, without a separator
     * @param tokens what it consists of, without comments; none if it could not be read
     * @param unguarded true where it stood under a condition that the statement does not keep
     */
    public record Parsed(
            Optional<Statement> statement,
            Optional<SqlSyntaxException> failure,
            int start,
            int end,
            List<Token> tokens,
            boolean unguarded) {
        private Parsed under(boolean absent) {
            Optional<Statement> kept = statement.map(s -> BatchParser.unguarded(s, absent));
            boolean lost =
                    statement.filter(s -> BatchParser.losesCondition(s, absent)).isPresent();
            return new Parsed(kept, failure, start, end, tokens, lost);
        }
    }

    /** A text that was read, with the comments and hints that stood in it. */
    public record Result(List<Parsed> statements, List<Token> comments, List<Token> hints) {}

    /** Reads all statements of a text that begins at this line and column of its file. */
    public static Result parse(String text, Grammar grammar, int line, int column) {
        List<Token> tokens =
                new ArrayList<>(16 + text.length() / 4); // most tokens are longer with the blank behind them
        List<Token> comments = new ArrayList<>();
        List<Token> hints = new ArrayList<>();
        Lexer lexer = new Lexer(text, grammar.lexical(), line, column);
        try {
            for (Token token = lexer.next(); ; token = lexer.next()) {
                if (token.kind() == TokenKind.COMMENT) {
                    comments.add(token);
                } else if (token.kind() == TokenKind.HINT) {
                    hints.add(token);
                } else {
                    tokens.add(token);
                    if (token.kind() == TokenKind.END) {
                        break;
                    }
                }
            }
        } catch (SqlSyntaxException e) {
            Parsed failed = new Parsed(Optional.empty(), Optional.of(e), 0, text.length(), List.of(), false);
            return new Result(List.of(failed), comments, hints);
        }
        TokenCursor cursor = new TokenCursor(tokens);
        List<Parsed> statements = new StatementParser(cursor, grammar).statements();
        hints.addAll(cursor.hints());
        return new Result(statements, comments, hints);
    }

    private List<Parsed> statements() {
        List<Parsed> all = new ArrayList<>();
        while (true) {
            while (cursor.takeSymbol(";")) {
                continue;
            }
            if (cursor.atEnd()) {
                return all;
            }
            Optional<BatchParser.Guarded> guarded =
                    parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR) ? batch.guarded() : Optional.empty();
            if (guarded.isPresent()) {
                guarded(guarded.get(), all);
            } else {
                all.add(one());
            }
        }
    }

    private void guarded(BatchParser.Guarded guarded, List<Parsed> all) {
        TokenCursor inner = new TokenCursor(guarded.tokens());
        for (Parsed parsed : new StatementParser(inner, parsing.grammar).statements()) {
            all.add(parsed.under(guarded.absent()));
        }
        cursor.addHints(inner.hints());
    }

    private Parsed one() {
        int mark = cursor.mark();
        int start = cursor.peek().span().start();
        try {
            Statement statement = new StatementParser(cursor, parsing.grammar, batch).statement();
            boolean free = statement instanceof Statement.NotTranslated
                    || statement instanceof Statement.ClientCommand left
                            && left.text().startsWith("EXEC ")
                    || statement instanceof DdlStatement.Comment; // whose variable is the name of the schema
            if (!free && batch.usesVariable(cursor.taken(mark))) {
                throw cursor.byHand("a variable of the batch");
            }
            boolean separated = cursor.atEnd()
                    || cursor.peek().isSymbol(";")
                    || (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                            && Keywords.startsStatement(cursor.peek()));
            if (!separated) {
                boolean known =
                        parsing.has(GrammarFeature.SHORT_VERBS) && cursor.peek().isAnyWord("ELSE", "WITH");
                if (known) {
                    throw cursor.byHand("the clause " + cursor.peek().text() + " after a statement");
                }
                throw cursor.unexpected("the end of the statement");
            }
            return new Parsed(
                    Optional.of(statement),
                    Optional.empty(),
                    start,
                    cursor.previous().span().end(),
                    cursor.taken(mark),
                    false);
        } catch (SqlSyntaxException e) {
            cursor.reset(mark);
            recover();
            return new Parsed(
                    Optional.empty(),
                    Optional.of(e),
                    start,
                    cursor.previous().span().end(),
                    List.of(),
                    false);
        }
    }

    /** Goes to the end of the statement at the cursor. */
    private void recover() {
        boolean code = cursor.peek().isAnyWord("IF", "WHILE", "BEGIN", "DECLARE");
        if (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR) && !code) {
            batch.skipStatement();
            return;
        }
        boolean loose = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
        int open = 0;
        Token last = cursor.take();
        boolean block = last.isAnyWord("IF", "WHILE", "BEGIN", "DECLARE");
        while (!cursor.atEnd()) {
            Token token = cursor.peek();
            if (open <= 0 && token.isSymbol(";") && !block) {
                return;
            }
            boolean newLine =
                    token.span().line() > last.span().line() && token.span().column() <= 2;
            if (loose && open <= 0 && newLine && Keywords.startsStatement(token) && !block) {
                return;
            }
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            last = cursor.take();
        }
    }

    /** Goes to the end of a statement that is not read in detail. */
    static void skipStatement(TokenCursor cursor) {
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            cursor.take();
        }
    }

    /** Reads a statement within the body of a routine. */
    static Statement nested(Parsing parsing) {
        return new StatementParser(parsing.cursor, parsing.grammar).statement();
    }

    private Statement statement() {
        Token token = cursor.peek();
        Span span = token.span();
        if (token.isSymbol("(")) {
            return new DmlParser(parsing).statement();
        }
        if (token.isSymbol("{") && cursor.peek(1).isAnyWord("CALL")
                || token.isSymbol("{") && cursor.peek(1).isSymbol("?")) {
            throw cursor.byHand("an escaped call");
        }
        if (token.kind() != TokenKind.WORD) {
            throw cursor.unexpected("a statement");
        }
        boolean routines = token.isWord("WITH")
                && cursor.peek(1).isAnyWord("FUNCTION", "PROCEDURE")
                && cursor.peek(2).isName()
                && !cursor.peek(2).isWord("AS");
        if (routines) {
            return code(span);
        }
        return switch (token.value().toUpperCase(Locale.ROOT)) {
            case "SELECT",
                    "SEL",
                    "INSERT",
                    "INS",
                    "UPDATE",
                    "UPD",
                    "DELETE",
                    "DEL",
                    "MERGE",
                    "WITH",
                    "LOCKING",
                    "VALUES",
                    "TABLE",
                    "FROM" -> change();
            case "REPLACE" -> parsing.has(GrammarFeature.REPLACE_STATEMENT) ? change() : replaceObject();
            default -> structure(token, span);
        };
    }

    private Statement change() {
        return parsing.grammar.calls().change(new DmlParser(parsing).statement());
    }

    private Statement structure(Token token, Span span) {
        return switch (token.value().toUpperCase(Locale.ROOT)) {
            case "CREATE", "RECREATE" -> new DdlParser(parsing).create();
            case "ALTER" -> alter(span);
            case "DROP" -> new DropParser(parsing).drop();
            case "TRUNCATE" -> new DropParser(parsing).truncate();
            case "COMMENT" -> new DropParser(parsing).comment();
            case "GRANT", "REVOKE" -> new GrantParser(parsing).grant();
            case "RENAME" -> rename(span);
            case "CALL", "EXEC", "EXECUTE" -> new CallStatementParser(parsing).call(span);
            case "BEGIN" -> begin(span);
            case "START", "COMMIT", "ROLLBACK", "SAVEPOINT", "RELEASE", "SAVE", "END", "BT", "ET", "ABORT" ->
                new TransactionParser(parsing).transaction();
            case "DECLARE" -> declare(span);
            case "IF",
                    "WHILE",
                    "DO",
                    "LOOP",
                    "FOR",
                    "RETURN",
                    "RAISERROR",
                    "THROW",
                    "OPEN",
                    "FETCH",
                    "CLOSE",
                    "DEALLOCATE",
                    "WAITFOR",
                    "BLOCK" -> code(span);
            default -> new FurnitureParser(parsing).command();
        };
    }

    private Statement replaceObject() {
        if (cursor.peek(1).isAnyWord("VIEW", "RECURSIVE")) {
            return new DdlParser(parsing).create();
        }
        Span span = cursor.peek().span();
        boolean code = cursor.peek(1).isAnyWord("PROCEDURE", "FUNCTION", "TRIGGER");
        if (code && parsing.has(GrammarFeature.PSM_ROUTINES)) {
            cursor.take();
            return new RoutineParser(parsing).create(true, span);
        }
        skipRest(cursor); // a script is cut behind the whole of it
        return new Statement.NotTranslated("routine", true, span);
    }

    /** Goes to the end of all that is there, which is code and has semicolons of its own. */
    static void skipRest(TokenCursor cursor) {
        while (!cursor.atEnd()) {
            cursor.take();
        }
    }

    /** Passes over an ALTER; over one of a routine with the statements in its body. */
    private void skipAlteration(String kind, int mark) {
        boolean code = kind.matches("FUNCTION|PROCEDURE|TRIGGER|PACKAGE|EVENT|MODULE");
        do {
            skipStatement(cursor);
        } while (code && cursor.taken(mark).stream().anyMatch(t -> t.isWord("BEGIN")) && cursor.takeSymbol(";"));
    }

    private Statement declare(Span span) {
        if (parsing.has(GrammarFeature.PLSQL_ROUTINES)) {
            return new PlSqlRoutineParser(parsing).block(span);
        }
        if (cursor.peek(1).isWord("GLOBAL") || cursor.peek(1).isWord("LOCAL")) {
            return new DdlParser(parsing).create();
        }
        return code(span);
    }

    private Statement code(Span span) {
        boolean text = cursor.peek(1).isString() || cursor.peek(1).isWord("LANGUAGE");
        if (cursor.atWords("DO") && text && parsing.has(GrammarFeature.BODIES_ARE_TEXTS)) {
            return new DollarRoutineParser(parsing).block(span);
        }
        if (cursor.atWords("DO", "SETVAL")) {
            return new EngineCalls(parsing).position(span);
        }
        if (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            Optional<Statement> change = new ConditionalChange(parsing).read();
            if (change.isPresent()) {
                return change.get();
            }
            boolean declares = cursor.peek().isWord("DECLARE");
            batch.skipCode();
            return new Statement.NotTranslated(declares ? "variables" : "code", true, span);
        }
        skipRest(cursor);
        return new Statement.NotTranslated("block of code", true, span);
    }

    private Statement begin(Span span) {
        boolean statement = cursor.peek(1).isAnyWord("TRAN", "TRANSACTION", "WORK")
                || cursor.peek(1).isSymbol(";")
                || cursor.peek(1).kind() == TokenKind.END;
        if (parsing.has(GrammarFeature.PLSQL_ROUTINES) && !statement) {
            return new PlSqlRoutineParser(parsing).block(span);
        }
        return parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                        && !cursor.peek(1).isAnyWord("TRAN", "TRANSACTION")
                ? block(span)
                : new TransactionParser(parsing).transaction();
    }

    private Statement block(Span span) {
        batch.skipBlock();
        return new Statement.NotTranslated("block of code", true, span);
    }

    private Statement alter(Span span) {
        int mark = cursor.mark();
        cursor.take();
        if (cursor.takeWords("TABLE") || cursor.takeWords("FOREIGN", "TABLE")) {
            return new AlterParser(parsing).table(span);
        }
        if (cursor.takeAny("SEQUENCE")) {
            return new DdlParser(parsing).sequence(true, span);
        }
        if (cursor.takeWords("SESSION", "SET", "CURRENT_SCHEMA")) {
            cursor.expectSymbol("=");
            return new Statement.UseSchema(parsing.name(), false, span);
        }
        Optional<Statement> part =
                new RoleParser(parsing).altered(span).or(() -> new DdlParser(parsing).domainCheck(span));
        if (part.isPresent()) {
            return part.get();
        }
        Optional<Statement> renamed =
                cursor.peek().isAnyWord("INDEX", "CONSTRAINT") ? renamedPart(span, "RENAME", "TO") : Optional.empty();
        if (renamed.isPresent()) {
            return renamed.get();
        }
        return altered(mark, span);
    }

    /** ALTER of what is not read in detail, or of a routine, which is replaced as a whole. */
    private Statement altered(int mark, Span span) {
        String kind = parsing.word();
        if (kind.matches("FUNCTION|PROC|PROCEDURE|TRIGGER") && parsing.has(GrammarFeature.TSQL_ROUTINES)) {
            return new TsqlRoutineParser(parsing).create(true, span);
        }
        if (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            cursor.reset(mark);
            batch.skipStatement();
        } else {
            skipAlteration(kind, mark);
        }
        boolean furniture =
                kind.matches("SESSION|SYSTEM|DATABASE|SCHEMA|OWNER|DEFAULT|INDEX|VIEW|MATERIALIZED|TYPE|DOMAIN"
                        + "|FUNCTION|PROCEDURE|TRIGGER|USER|ROLE|EXTENSION|TABLESPACE|LARGE|PACKAGE|AUTHORIZATION");
        if (kind.equals("MODULE")) {
            return new Statement.NotTranslated("ALTER MODULE", true, span);
        }
        if (!furniture && !mentionsOwner()) {
            throw new SqlSyntaxException(span.line(), span.column(), "ALTER " + kind, true);
        }
        List<Token> statement = cursor.taken(mark);
        boolean settings = kind.equals("DATABASE") && isSettingOfDatabase(statement);
        boolean renames = cursor.mark() > 3 && cursor.peek(-2).isWord("TO");
        boolean physical = kind.matches("SESSION|SYSTEM|AUTHORIZATION") || kind.equals("INDEX") && !renames;
        return physical || settings || mentionsOwner()
                ? new Statement.ClientCommand("ALTER " + kind + settings(statement), span)
                : new Statement.NotTranslated("ALTER " + kind, false, span);
    }

    /** ALTER DATABASE x SET ...: compatibility, recovery, statistics; not the schema or the character set. */
    private static boolean isSettingOfDatabase(List<Token> statement) {
        return statement.size() > 4
                && statement.get(3).isWord("SET")
                && !statement.get(4).isAnyWord("DEFAULT", "CHARACTER", "SEARCH_PATH");
    }

    /** What an ALTER SESSION or ALTER DATABASE sets, for the finding. */
    private static String settings(List<Token> statement) {
        String text = statement.stream()
                .dropWhile(t -> !t.isWord("SET"))
                .map(Token::text)
                .limit(LONGEST_SETTING)
                .collect(Collectors.joining(" "));
        return text.isEmpty() ? "" : " " + text;
    }

    /** True where the statement just passed over ended in OWNER TO somebody. */
    private boolean mentionsOwner() {
        int mark = cursor.mark();
        cursor.reset(Math.max(0, mark - 3));
        boolean owner = cursor.atWords("OWNER", "TO")
                || cursor.atWords("COMPILE")
                || cursor.peek(2).isWord("COMPILE");
        cursor.reset(mark);
        return owner;
    }

    /** Another name for an index or a constraint, if these words stand between the two names; nothing is read otherwise. */
    private Optional<Statement> renamedPart(Span span, String... words) {
        int mark = cursor.mark();
        RenameObject.Kind kind = cursor.take().isWord("INDEX") ? RenameObject.Kind.INDEX : RenameObject.Kind.CONSTRAINT;
        if (cursor.peek().isName() && !cursor.atWords("IF", "EXISTS")) {
            QualifiedName index = parsing.qualifiedName();
            if (cursor.takeWords(words)) {
                return Optional.of(new RenameObject(kind, index, parsing.name(), span));
            }
        }
        cursor.reset(mark);
        return Optional.empty();
    }

    private Statement rename(Span span) {
        cursor.take();
        if (cursor.takeWords("COLUMN")) {
            QualifiedName column = parsing.qualifiedName();
            if (column.parts().size() < 2) {
                throw cursor.unexpected("'.' and the name of a column");
            }
            cursor.expectWords("TO");
            AlterAction renamed = new AlterAction.RenameColumn(column.last(), parsing.name());
            return new DdlStatement.AlterTable(new QualifiedName(column.qualifier()), false, List.of(renamed), span);
        }
        if (cursor.peek().isWord("INDEX") && !cursor.peek(1).isWord("TO")) {
            return renamedPart(span, "TO").orElseThrow(() -> cursor.unexpected("TO and the new name"));
        }
        if (cursor.peek().isAnyWord("USER", "TABLESPACE") && !cursor.peek(1).isWord("TO")) {
            String kind = parsing.word();
            skipStatement(cursor);
            return new Statement.NotTranslated("RENAME " + kind, false, span);
        }
        cursor.takeWords("TABLE");
        List<DdlStatement.AlterTable> renames = new ArrayList<>();
        do {
            QualifiedName from = parsing.qualifiedName();
            cursor.expectWords("TO");
            AlterAction to = new AlterAction.RenameTable(parsing.qualifiedName());
            renames.add(new DdlStatement.AlterTable(from, false, List.of(to), span));
        } while (cursor.takeSymbol(","));
        return renames.size() == 1 ? renames.get(0) : new DdlStatement.RenameTables(renames, span);
    }
}
