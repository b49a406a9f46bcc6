package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;

/** Reads the statements of SQL/PSM (ISO 9075-4; "Programmatic and Compound Statements", MariaDB). */
final class PsmParser {
    /** Variables that one engine sets behind each statement, where they are declared. */
    private static final Set<String> OF_STATEMENTS = Set.of("sqlcode", "sqlstate");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ChoiceParser choices;
    private final PassedStatement passed;

    /** The queries whose rows the caller gets when their cursors are opened. */
    private final Map<String, Query> results = new HashMap<>();

    PsmParser(Parsing parsing) {
        this.parsing = parsing;
        this.passed = new PassedStatement(parsing.cursor, "BEGIN", "IF", "REPEAT", "WHILE", "FOR");
        this.cursor = parsing.cursor;
        this.choices = new ChoiceParser(parsing, this::statements, "ELSEIF");
    }

    /** The one statement of which a routine consists. */
    Statement body() {
        Span span = cursor.peek().span();
        List<Statement> read = new ArrayList<>();
        statement(read);
        return read.size() == 1 ? read.get(0) : CodeStatement.Block.of(read, span);
    }

    /** Statements in parentheses, each with its semicolon. */
    Statement enclosed() {
        Span span = cursor.take().span();
        List<Statement> all = new ArrayList<>();
        while (!cursor.takeSymbol(")")) {
            statement(all);
            cursor.expectSymbol(";");
        }
        return CodeStatement.Block.of(all, span);
    }

    /** Statements up to one of these words, each with its semicolon. */
    private List<Statement> statements(String... ends) {
        List<Statement> all = new ArrayList<>();
        while (!cursor.peek().isAnyWord(ends)) {
            if (cursor.atEnd()) {
                throw cursor.unexpected(String.join(" or ", ends));
            }
            List<Statement> read = new ArrayList<>();
            Statement first = passed.unless(() -> {
                statement(read);
                return read.get(0);
            });
            all.addAll(first instanceof Statement.NotTranslated ? List.of(first) : read);
            cursor.expectSymbol(";");
        }
        return all;
    }

    private void statement(List<Statement> all) {
        Optional<Name> label = Optional.empty();
        if (cursor.peek().isName() && cursor.peek(1).isSymbol(":")) {
            label = Optional.of(parsing.name());
            cursor.take();
        }
        Optional<Name> own = label;
        Token token = cursor.peek();
        if (token.isWord("SET")) {
            assignments(all);
            return;
        }
        all.add(parsing.nested(() -> statement(token, own)));
    }

    private Statement statement(Token token, Optional<Name> label) {
        Span span = token.span();
        return switch (token.isName() ? token.value().toUpperCase(Locale.ROOT) : token.text()) {
            case "BEGIN" -> block(label, span);
            case "IF" -> choices.choice(span);
            case "CASE" -> choices.caseOf(span);
            case "LOOP", "WHILE", "REPEAT" -> loop(label, span);
            case "FOR" -> new PsmLoops(parsing).rows(label, span, () -> statements("END"));
            case "LEAVE", "ITERATE" -> {
                boolean again = cursor.take().isWord("ITERATE");
                yield new CodeStatement.Jump(again, Optional.of(parsing.name()), Optional.empty(), span);
            }
            case "RETURN" -> {
                cursor.take();
                boolean plain = cursor.peek().isSymbol(";") || cursor.peek().isWord("END");
                yield new CodeStatement.Return(
                        plain ? Optional.empty() : Optional.of(parsing.expressions.expression()), span);
            }
            case "OPEN", "CLOSE", "FETCH" -> cursorStep(span);
            case "SIGNAL", "RESIGNAL" -> SignalParser.read(parsing, span);
            case "SELECT", "WITH", "(" -> new IntoParser(parsing).select(CodeStatement.Expected.AT_MOST_ONE);
            case "DECLARE" -> throw cursor.unexpected("a statement; declarations stand at the beginning of a block");
            case "GET" -> diagnosis(span);
            case "VALUES" -> valuesInto(span);
            case "EXECUTE" -> dynamic(span);
            case "PREPARE", "DEALLOCATE" -> prepared(span);
            case "DO" -> {
                cursor.take();
                throw cursor.byHand("DO");
            }
            default -> StatementParser.nested(parsing);
        };
    }

    private Statement block(Optional<Name> label, Span span) {
        cursor.take();
        if (!cursor.takeWords("ATOMIC")) {
            cursor.takeWords("NOT", "ATOMIC");
        }
        List<Declaration> declarations = new ArrayList<>();
        List<Handler> handlers = new ArrayList<>();
        while (cursor.peek().isWord("DECLARE")) {
            declare(declarations, handlers);
            cursor.expectSymbol(";");
        }
        List<Statement> body = statements("END");
        cursor.expectWords("END");
        closing(label);
        return new CodeStatement.Block(label, declarations, handlers, body, List.of(), span);
    }

    /** The label, where it is said again at the end. */
    private void closing(Optional<Name> label) {
        if (label.isPresent() && cursor.peek().isName()) {
            parsing.name();
        }
    }

    private void declare(List<Declaration> declarations, List<Handler> handlers) {
        Span span = cursor.take().span();
        boolean handler = cursor.peek().isAnyWord("EXIT", "CONTINUE", "UNDO")
                && cursor.peek(1).isWord("HANDLER");
        if (handler) {
            handlers.add(handler(span));
            return;
        }
        List<Name> names = parsing.list(parsing::name);
        boolean updated = names.stream().anyMatch(n -> OF_STATEMENTS.contains(n.key()));
        if (updated) {
            throw cursor.byHand("a variable that each statement sets");
        }
        if (cursor.takeWords("CURSOR")) {
            cursor(names.get(0), span).ifPresent(declarations::add);
            return;
        }
        if (cursor.takeWords("CONDITION")) {
            cursor.expectWords("FOR");
            declarations.add(new Declaration.NamedCondition(names.get(0), condition()));
            return;
        }
        var type = new RoutineParser(parsing).type();
        Optional<Expr> initial =
                cursor.takeWords("DEFAULT") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        names.forEach(n -> declarations.add(new Declaration.Variable(n, type, initial, false, span)));
    }

    /** A cursor; nothing where it is there to be given to the caller when it is opened. */
    private Optional<Declaration> cursor(Name name, Span span) {
        List<Parameter> parameters = cursor.peek().isSymbol("(") ? cursorParameters() : List.of();
        cursor.takeWords("WITH", "HOLD");
        cursor.takeWords("WITHOUT", "HOLD");
        boolean given = cursor.takeWords("WITH", "RETURN");
        if (given && cursor.takeWords("TO")) {
            cursor.expectWords("CALLER");
        }
        cursor.expectWords("FOR");
        Query query = parsing.queries.query();
        if (given) {
            results.put(name.key(), query);
            return Optional.empty();
        }
        return Optional.of(new Declaration.Cursor(name, parameters, query, span));
    }

    private List<Parameter> cursorParameters() {
        cursor.expectSymbol("(");
        List<Parameter> all = parsing.list(() -> {
            cursor.takeWords("IN");
            Name name = parsing.name();
            return new Parameter(CodeStatement.Mode.IN, name, new RoutineParser(parsing).type(), Optional.empty());
        });
        cursor.expectSymbol(")");
        return all;
    }

    private Handler handler(Span span) {
        boolean leaves = cursor.peek().isWord("EXIT");
        if (cursor.peek().isWord("UNDO")) {
            throw cursor.byHand("an UNDO handler");
        }
        cursor.take();
        cursor.expectWords("HANDLER", "FOR");
        List<CodeStatement.Condition> conditions = parsing.list(this::condition);
        List<Statement> action = new ArrayList<>();
        statement(action);
        Statement one = action.size() == 1 ? action.get(0) : CodeStatement.Block.of(action, span);
        return new Handler(leaves, conditions, one, span);
    }

    private CodeStatement.Condition condition() {
        if (cursor.takeWords("SQLEXCEPTION")) {
            return new CodeStatement.Condition(CodeStatement.Condition.Kind.ERROR, "");
        }
        if (cursor.takeWords("SQLWARNING")) {
            return new CodeStatement.Condition(CodeStatement.Condition.Kind.WARNING, "");
        }
        if (cursor.takeWords("NOT", "FOUND")) {
            return new CodeStatement.Condition(CodeStatement.Condition.Kind.NOT_FOUND, "");
        }
        if (cursor.takeWords("SQLSTATE")) {
            cursor.takeWords("VALUE");
            return new CodeStatement.Condition(CodeStatement.Condition.Kind.STATE, parsing.string());
        }
        if (cursor.peek().isName()) {
            return new CodeStatement.Condition(
                    CodeStatement.Condition.Kind.NAME, parsing.name().text());
        }
        return new CodeStatement.Condition(
                CodeStatement.Condition.Kind.NUMBER, cursor.take().text());
    }

    private void assignments(List<Statement> all) {
        cursor.take();
        do {
            Span span = cursor.peek().span();
            boolean ofSession = IntoParser.isOfSession(cursor.peek());
            boolean setting = !cursor.peek().isName()
                    || cursor.peek().isAnyWord("GLOBAL", "SESSION", "LOCAL", "NAMES", "TRANSACTION");
            if (!ofSession && setting) {
                throw cursor.byHand("a setting of the session");
            }
            Expr target = ofSession
                    ? new Expr.Parameter(cursor.take().text(), span)
                    : new Expr.Column(parsing.qualifiedName(), false, span);
            if (!cursor.takeSymbol(":=")) {
                cursor.expectSymbol("=");
            }
            all.add(new CodeStatement.Assign(target, parsing.expressions.expression(), span));
        } while (cursor.takeSymbol(","));
    }

    private Statement loop(Optional<Name> label, Span span) {
        Token kind = cursor.take();
        Optional<Expr> before = Optional.empty();
        Optional<Expr> after = Optional.empty();
        if (kind.isWord("WHILE")) {
            before = Optional.of(parsing.expressions.expression());
            cursor.expectWords("DO");
        }
        List<Statement> body = statements(kind.isWord("REPEAT") ? "UNTIL" : "END");
        if (kind.isWord("REPEAT")) {
            cursor.expectWords("UNTIL");
            after = Optional.of(parsing.expressions.expression());
        }
        cursor.expectWords("END", kind.text().toUpperCase(Locale.ROOT));
        closing(label);
        return new CodeStatement.Loop(label, before, after, body, span);
    }

    /** {@code VALUES a, b INTO x, y}, as one engine has assignments. */
    private Statement valuesInto(Span span) {
        cursor.take();
        boolean row = cursor.takeSymbol("(");
        List<Expr> values = parsing.expressions.list();
        if (row) {
            cursor.expectSymbol(")");
        }
        cursor.expectWords("INTO");
        List<Expr> targets = parsing.list(this::target);
        if (targets.size() != values.size()) {
            throw cursor.error("there are other than " + values.size() + " variables for as many values");
        }
        List<Statement> all = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            all.add(new CodeStatement.Assign(targets.get(i), values.get(i), span));
        }
        if (all.size() > 1) {
            throw cursor.byHand("several values assigned at once");
        }
        return all.get(0);
    }

    private Statement dynamic(Span span) {
        cursor.take();
        boolean once = cursor.takeWords("IMMEDIATE");
        Expr text = once ? parsing.expressions.expression() : textOf(parsing.name());
        List<Expr> targets = cursor.takeWords("INTO") ? parsing.list(new IntoParser(parsing)::target) : List.of();
        List<Expr> values = cursor.takeWords("USING") ? parsing.expressions.list() : List.of();
        return new CodeStatement.Dynamic(text, targets, values, CodeStatement.Expected.AT_MOST_ONE, span);
    }

    /** PREPARE and its end: the text is kept under the name of the statement ("PREPARE Statement", MariaDB). */
    private Statement prepared(Span span) {
        boolean ends = cursor.take().isWord("DEALLOCATE");
        if (ends) {
            cursor.expectWords("PREPARE");
        }
        Expr name = textOf(parsing.name());
        if (ends) {
            return new CodeStatement.Assign(name, Expr.Literal.ofNull(), span);
        }
        cursor.expectWords("FROM");
        return new CodeStatement.Assign(name, parsing.expressions.expression(), span);
    }

    private static Expr textOf(Name statement) {
        return Expr.Column.of(CodeStatement.PREPARED + statement.key());
    }

    private Statement cursorStep(Span span) {
        Token step = cursor.take();
        if (!step.isWord("FETCH")) {
            Name name = parsing.name();
            Query given = results.get(name.key());
            if (given != null && step.isWord("OPEN")) {
                return new Statement.QueryStatement(given, Optional.empty(), false, span);
            }
            List<Expr> arguments = List.of();
            if (cursor.takeSymbol("(")) {
                arguments = parsing.expressions.list();
                cursor.expectSymbol(")");
            }
            return new CodeStatement.CursorStep(step.isWord("OPEN"), name, arguments, Optional.empty(), span);
        }
        cursor.takeWords("NEXT");
        cursor.takeWords("FROM");
        Name name = parsing.name();
        cursor.expectWords("INTO");
        return new CodeStatement.Fetch(name, parsing.list(this::target), span);
    }

    private Expr target() {
        Span span = cursor.peek().span();
        if (IntoParser.isOfSession(cursor.peek())) {
            return new Expr.Parameter(cursor.take().text(), span);
        }
        if (!cursor.peek().isName()) {
            throw cursor.byHand("a variable of the session");
        }
        return new Expr.Column(parsing.qualifiedName(), false, span);
    }

    private Statement diagnosis(Span span) {
        cursor.take();
        cursor.takeAny("CURRENT", "STACKED");
        cursor.expectWords("DIAGNOSTICS");
        if (!cursor.takeWords("CONDITION")) {
            Expr target = target();
            cursor.expectSymbol("=");
            cursor.expectWords("ROW_COUNT");
            return new CodeStatement.RowCount(target, span);
        }
        cursor.take();
        List<Expr> targets = new ArrayList<>();
        List<String> items = new ArrayList<>();
        do {
            targets.add(target());
            cursor.expectSymbol("=");
            String item = parsing.word();
            if (!item.equals("MESSAGE_TEXT") && !item.equals("RETURNED_SQLSTATE")) {
                throw cursor.byHand("GET DIAGNOSTICS of " + item);
            }
            cursor.take();
            items.add(item);
        } while (cursor.takeSymbol(","));
        return new CodeStatement.Diagnosis(targets, items, span);
    }
}
