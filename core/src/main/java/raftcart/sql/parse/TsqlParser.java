package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/**
 * Reads the statements of T-SQL ("Control-of-Flow Language", "Variables", SQL Server). What is declared anywhere is declared at
 * the beginning, as a variable is there from its declaration to the end of the routine, whatever block it stands in.
 */
final class TsqlParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TsqlVariables variables;
    private final TsqlErrors errors;
    private final TsqlTransactions transactions;
    private final TsqlCalls calls;
    private final TsqlAssignments assignments;
    private final List<Declaration> declarations = new ArrayList<>();
    private final List<Statement> first = new ArrayList<>();
    private boolean fired;

    /**
     * For one routine.
     *
     * @param endsAtErrors true where a statement that fails ends it
     * @param ofTrigger true where it runs within the change that fired it
     */
    TsqlParser(Parsing parsing, TsqlVariables variables, boolean endsAtErrors, boolean ofTrigger) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.variables = variables;
        this.errors = new TsqlErrors(parsing, endsAtErrors, ofTrigger);
        this.fired = ofTrigger;
        this.transactions = new TsqlTransactions(parsing);
        this.calls = new TsqlCalls(parsing, variables);
        this.assignments = new TsqlAssignments(parsing, variables);
    }

    /** What was declared, and the statements up to the end of the text. */
    CodeStatement.Block body(Span span) {
        List<Statement> all = new ArrayList<>();
        while (!atEnd()) {
            statement(all);
        }
        TsqlCounts.check(all);
        List<Statement> body = new ArrayList<>(first);
        body.addAll(errors.read(errors.followed(all, false)));
        return new CodeStatement.Block(Optional.empty(), declarations, List.of(), body, List.of(), span);
    }

    /** True where a statement that fails, outside of TRY, does not end the routine. */
    boolean goesOn(CodeStatement.Block body) {
        return errors.goesOn(body.body());
    }

    /** A table that is filled by the routine: a temporary one, which is made anew. */
    void table(Name name, Span span) {
        first.add(drop(new QualifiedName(List.of(name)), span));
        List<Token> tokens = new ArrayList<>();
        tokens.add(new Token(TokenKind.WORD, "CREATE", "CREATE", span));
        tokens.add(new Token(TokenKind.WORD, "TABLE", "TABLE", span));
        tokens.add(new Token(TokenKind.WORD, "#" + name.text(), "#" + name.text(), span));
        int mark = cursor.mark();
        parsing.skipParentheses();
        tokens.addAll(cursor.taken(mark));
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        TokenCursor inner = new TokenCursor(tokens);
        DdlStatement.CreateTable made =
                (DdlStatement.CreateTable) StatementParser.nested(new Parsing(inner, parsing.grammar));
        first.add(made.withName(new QualifiedName(List.of(name))));
        if (!inner.atEnd()) {
            throw inner.unexpected("the end of the table");
        }
    }

    private boolean atEnd() {
        while (cursor.takeSymbol(";")) {
            continue;
        }
        return cursor.atEnd();
    }

    /** One statement, or the statements of a block. */
    private List<Statement> one() {
        while (cursor.takeSymbol(";")) {
            continue;
        }
        List<Statement> all = new ArrayList<>();
        statement(all);
        TsqlCounts.check(all);
        return all;
    }

    private void statement(List<Statement> all) {
        if (cursor.atEnd()) {
            throw cursor.unexpected("a statement");
        }
        parsing.nested(() -> {
            Token token = cursor.peek();
            boolean atFirst = fired;
            fired &= token.isWord("BEGIN");
            read(token, token.span(), all);
            if (atFirst && token.isWord("IF") && !all.isEmpty()) {
                TsqlCounts.ofTrigger(all.get(0)).ifPresent(asked -> all.set(0, asked));
            }
            return all;
        });
        cursor.takeSymbol(";");
    }

    private void read(Token token, Span span, List<Statement> all) {
        switch (token.isName() ? token.value().toUpperCase(Locale.ROOT) : token.text()) {
            case "BEGIN" -> begin(span, all);
            case "IF" -> choice(span, all);
            case "WHILE" -> all.add(loop(span));
            case "BREAK", "CONTINUE" -> {
                boolean again = cursor.take().isWord("CONTINUE");
                all.add(new CodeStatement.Jump(again, Optional.empty(), Optional.empty(), span));
            }
            case "DECLARE" -> declare(all);
            case "SET" -> set(span, all);
            case "SELECT", "WITH" -> assignments.select(all);
            case "RETURN" -> {
                cursor.take();
                all.add(new CodeStatement.Return(
                        endsStatement() ? Optional.empty() : Optional.of(parsing.expressions.expression()), span));
            }
            case "PRINT" -> {
                cursor.take();
                all.add(new CodeStatement.Message(parsing.expressions.expression(), span));
            }
            case "RAISERROR" -> all.add(errors.raised(span));
            case "THROW" -> all.add(errors.thrown(span));
            case "COMMIT", "ROLLBACK", "SAVE" -> all.add(transactions.read(span));
            case "EXEC", "EXECUTE" -> all.add(calls.executed(span));
            case "OPEN", "CLOSE", "DEALLOCATE", "FETCH" -> cursorStep(span, all);
            case "GOTO",
                    "WAITFOR",
                    "USE",
                    "BULK",
                    "BACKUP",
                    "RESTORE",
                    "DBCC",
                    "KILL",
                    "RECONFIGURE",
                    "SEND",
                    "RECEIVE" -> throw cursor.byHand(token.text().toUpperCase(Locale.ROOT) + " in a routine");
            default -> {
                Statement change = changed(token);
                madeAnew(change).ifPresent(all::add);
                all.add(change);
            }
        }
    }

    private Statement loop(Span span) {
        cursor.take();
        Expr condition = parsing.expressions.expression();
        return new CodeStatement.Loop(Optional.empty(), Optional.of(condition), Optional.empty(), one(), span);
    }

    /** Temporary tables go with the routine that makes them, so that the next run makes them again. */
    private Optional<Statement> madeAnew(Statement statement) {
        return statement instanceof DdlStatement.CreateTable t && parsing.isTemporary(t.name())
                ? Optional.of(drop(t.name(), t.span()))
                : Optional.empty();
    }

    /** What makes room for a temporary table. */
    static Statement drop(QualifiedName table, Span span) {
        return new DdlStatement.Drop("TABLE", List.of(table), true, false, Optional.empty(), true, span);
    }

    /** True where a table is made, which no function may do that only reads. */
    boolean makesTables() {
        return !first.isEmpty();
    }

    private Statement changed(Token token) {
        if (token.isName() && cursor.peek(1).isSymbol(":")) {
            throw cursor.byHand("a label");
        }
        Statement change = StatementParser.nested(parsing);
        refuseResults(change);
        return change;
    }

    private void refuseResults(Statement change) {
        boolean gives = change instanceof Statement.Insert i && !i.returning().isEmpty()
                || change instanceof Statement.Update u && !u.returning().isEmpty()
                || change instanceof Statement.Delete d && !d.returning().isEmpty()
                || change instanceof Statement.Merge m && !m.returning().isEmpty();
        if (gives) {
            throw cursor.byHand("a change whose rows are given to the caller");
        }
        boolean assigns = change instanceof Statement.Update u
                && u.assignments().stream()
                        .flatMap(a -> a.columns().stream())
                        .anyMatch(c -> c instanceof Expr.Column column && variables.isNamed(column.name()));
        if (assigns) {
            throw cursor.byHand("an UPDATE that assigns variables");
        }
    }

    private boolean endsStatement() {
        return cursor.atEnd() || cursor.peek().isSymbol(";") || TsqlTransactions.begins(cursor.peek());
    }

    private void begin(Span span, List<Statement> all) {
        if (cursor.peek(1).isAnyWord("TRAN", "TRANSACTION", "DISTRIBUTED")) {
            if (cursor.peek(1).isWord("DISTRIBUTED")) {
                throw cursor.byHand("a distributed transaction");
            }
            all.add(transactions.read(span));
            return;
        }
        cursor.take();
        if (cursor.takeWords("TRY")) {
            all.add(tried(span));
            return;
        }
        if (cursor.peek().isWord("ATOMIC") || cursor.peek().isAnyWord("DIALOG", "CONVERSATION")) {
            throw cursor.byHand("BEGIN " + parsing.word());
        }
        all.addAll(upToEnd());
        cursor.expectWords("END");
    }

    private List<Statement> upToEnd() {
        List<Statement> body = new ArrayList<>();
        while (!atEnd() && !cursor.peek().isWord("END")) {
            statement(body);
        }
        TsqlCounts.check(body);
        return body;
    }

    /** TRY and CATCH ("TRY...CATCH"): what was changed before the error stays, unless it is rolled back. */
    private Statement tried(Span span) {
        List<Statement> body = upToEnd();
        cursor.expectWords("END", "TRY");
        cursor.takeSymbol(";");
        Span place = cursor.peek().span();
        cursor.expectWords("BEGIN", "CATCH");
        List<Statement> caught = errors.caught(upToEnd());
        cursor.expectWords("END", "CATCH");
        Handler handler = new Handler(
                true, List.of(new Condition(Condition.Kind.ERROR, "")), CodeStatement.Block.of(caught, place), place);
        return new CodeStatement.Block(Optional.empty(), List.of(), List.of(handler), body, List.of(), span);
    }

    private void choice(Span span, List<Statement> all) {
        cursor.take();
        Expr condition = parsing.expressions.expression();
        List<Statement> body = one();
        boolean otherwise = cursor.peek().isWord("ELSE");
        if (otherwise) {
            cursor.take();
        }
        List<Statement> rest = otherwise ? one() : List.of();
        Statement read = errors.choice(new CodeStatement.If(List.of(new Choice(condition, body)), rest, span));
        boolean nothing = read instanceof CodeStatement.Block b && b.body().isEmpty();
        if (!nothing) {
            all.add(read);
        }
    }

    private void declare(List<Statement> all) {
        Span span = cursor.take().span();
        if (!variables.isAt(cursor.peek())) {
            declareCursor(span);
            return;
        }
        parsing.list(() -> {
            Span place = cursor.peek().span();
            Name name = parsing.name();
            cursor.takeWords("AS");
            if (cursor.takeWords("TABLE")) {
                table(name, place);
                return name;
            }
            if (cursor.peek().isWord("CURSOR")) {
                throw cursor.byHand("a variable for a cursor");
            }
            TypeName type = type();
            declarations.add(new Declaration.Variable(name, type, Optional.empty(), false, place));
            if (cursor.takeSymbol("=")) {
                Expr target = new Expr.Column(new QualifiedName(List.of(name)), false, place);
                all.add(new CodeStatement.Assign(target, parsing.expressions.expression(), place));
            }
            return name;
        });
    }

    private TypeName type() {
        TypeName type = TypeNameParser.parse(cursor);
        if (cursor.takeWords("COLLATE")) {
            parsing.name();
        }
        return type;
    }

    private void declareCursor(Span span) {
        Name name = parsing.name();
        boolean scrolls = false;
        while (!cursor.peek().isWord("FOR")) {
            if (cursor.atEnd()) {
                throw cursor.unexpected("FOR");
            }
            scrolls |= cursor.take().isWord("DYNAMIC");
        }
        if (scrolls) {
            throw cursor.byHand("a cursor that sees what others change");
        }
        cursor.take();
        Query query = parsing.queries.query();
        if (cursor.takeWords("FOR")) {
            cursor.expectWords("READ", "ONLY");
        }
        boolean opened = cursor.peek().isWord("OPEN")
                || cursor.peek().isSymbol(";") && cursor.peek(1).isWord("OPEN");
        if (!opened) {
            throw cursor.byHand("a cursor that is opened later than it is declared, when variables may be others");
        }
        if (declarations.stream().anyMatch(d -> d.name().matches(name))) {
            throw cursor.byHand("a cursor that is declared in several places, " + name.text());
        }
        declarations.add(new Declaration.Cursor(name, List.of(), query, span));
    }

    private void set(Span span, List<Statement> all) {
        cursor.take();
        if (!variables.isAt(cursor.peek())) {
            errors.setting();
            return;
        }
        Expr target = new Expr.Column(parsing.qualifiedName(), false, span);
        Token sign = cursor.take();
        if (sign.isSymbol("=")) {
            if (cursor.peek().isWord("CURSOR")) {
                throw cursor.byHand("a variable for a cursor");
            }
            all.add(new CodeStatement.Assign(target, parsing.expressions.expression(), span));
            return;
        }
        BinaryOperator operator =
                switch (sign.text()) {
                    case "-" -> BinaryOperator.SUBTRACT;
                    case "*" -> BinaryOperator.MULTIPLY;
                    case "/" -> BinaryOperator.DIVIDE;
                    case "%" -> BinaryOperator.MODULO;
                    case "&" -> BinaryOperator.BIT_AND;
                    case "|" -> BinaryOperator.BIT_OR;
                    case "^" -> BinaryOperator.BIT_XOR;
                    default -> throw cursor.unexpectedAt(sign, "'='");
                };
        cursor.expectSymbol("=");
        Expr value = parsing.expressions.expression();
        all.add(new CodeStatement.Assign(target, new Expr.Binary(operator, target, value, span), span));
    }

    private void cursorStep(Span span, List<Statement> all) {
        Token step = cursor.take();
        if (step.isWord("FETCH")) {
            if (cursor.peek().isAnyWord("PRIOR", "FIRST", "LAST", "ABSOLUTE", "RELATIVE")) {
                throw cursor.byHand("FETCH " + parsing.word());
            }
            cursor.takeWords("NEXT");
            cursor.takeWords("FROM");
        }
        cursor.takeWords("GLOBAL");
        if (variables.isAt(cursor.peek())) {
            throw cursor.byHand("a variable for a cursor");
        }
        Name name = parsing.name();
        if (declarations.stream()
                .noneMatch(d -> d instanceof Declaration.Cursor && d.name().matches(name))) {
            throw cursor.byHand("a cursor that is declared elsewhere, " + name.text());
        }
        if (step.isWord("DEALLOCATE")) {
            return;
        }
        if (!step.isWord("FETCH")) {
            all.add(new CodeStatement.CursorStep(step.isWord("OPEN"), name, List.of(), Optional.empty(), span));
            return;
        }
        if (!cursor.takeWords("INTO")) {
            throw cursor.byHand("FETCH of a row for the caller");
        }
        all.add(new CodeStatement.Fetch(
                name,
                parsing.list(() -> {
                    Span place = cursor.peek().span();
                    return new Expr.Column(parsing.qualifiedName(), false, place);
                }),
                span));
    }
}
