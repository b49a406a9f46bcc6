package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/**
 * Reads the statements of PL/SQL ("PL/SQL Language Elements", Oracle; "sql_mode=ORACLE", MariaDB). An exception that a block
 * handles leaves the block and keeps what was changed before, as a handler of SQL/PSM does: it becomes one.
 */
final class PlSqlParser extends PlParser {
    /** The number by which an error of the code's own is told from those of the server. */
    private static final String RAISE = "RAISE_APPLICATION_ERROR";

    /** The name of what happens where a query gives no row. */
    private static final String NO_ROW = "no_data_found";

    private static final String TELLS = "DBMS_OUTPUT";
    private static final Set<String> SAYS_NOTHING = Set.of("ENABLE", "DISABLE", "NEW_LINE");

    private final PlSqlDeclarations declarations;

    PlSqlParser(Parsing parsing, PlSqlDeclarations declarations) {
        super(parsing);
        this.declarations = declarations;
        declarations.within(this);
    }

    /** What a routine declares before its block, and the block with all that. */
    CodeStatement.Block body(Optional<Name> label, Span span) {
        return block(label, declarations(), span);
    }

    @Override
    List<Declaration> declaration() {
        return declarations.declaration();
    }

    @Override
    CodeStatement.Block block(
            Optional<Name> label, List<Declaration> declared, List<Statement> body, List<Rescue> rescues, Span span) {
        List<Handler> handlers = rescues.stream()
                .map(r -> {
                    Span place = r.body().isEmpty() ? span : r.body().get(0).span();
                    return new Handler(
                            true, handled(r.conditions(), body), CodeStatement.Block.of(r.body(), place), place);
                })
                .toList();
        return new CodeStatement.Block(label, declared, handlers, body, List.of(), span);
    }

    /** Where a query without a row raises no error, one by that name is raised by code alone. */
    private List<Condition> handled(List<Condition> conditions, List<Statement> body) {
        boolean raised = wantsRow()
                || StatementSearch.anyStatement(
                        body,
                        s -> s instanceof CodeStatement.Signal signal
                                && signal.state().filter(NO_ROW::equals).isPresent());
        return raised
                ? conditions
                : conditions.stream().filter(c -> !c.value().equals(NO_ROW)).toList();
    }

    @Override
    List<Condition> conditions() {
        Condition error = new Condition(Condition.Kind.ERROR, "");
        Condition end = new Condition(Condition.Kind.NOT_FOUND, "");
        if (cursor.takeWords("OTHERS")) {
            return wantsRow() ? List.of(error) : List.of(error, end);
        }
        if (cursor.takeWords("SQLEXCEPTION")) {
            return List.of(error);
        }
        if (cursor.takeWords("SQLWARNING")) {
            return List.of(new Condition(Condition.Kind.WARNING, ""));
        }
        if (cursor.takeWords("SQLSTATE")) {
            cursor.takeWords("VALUE");
            return List.of(new Condition(Condition.Kind.STATE, parsing.string()));
        }
        if (cursor.peek().kind() == TokenKind.NUMBER) {
            return List.of(new Condition(Condition.Kind.NUMBER, cursor.take().text()));
        }
        Condition named = new Condition(
                Condition.Kind.NAME, parsing.qualifiedName().last().key());
        return named.value().equals(NO_ROW) && !wantsRow() ? List.of(end, named) : List.of(named);
    }

    @Override
    boolean countsDownFromFirst() {
        return false;
    }

    @Override
    boolean hasGoto() {
        return true;
    }

    @Override
    Statement own(String word, Span span) {
        return switch (word) {
            case "RETURN" -> returned(span);
            case "SELECT", "WITH" ->
                new IntoParser(parsing).select(wantsRow() ? Expected.EXACTLY_ONE : Expected.AT_MOST_ONE);
            case "RAISE" -> raised(span);
            case "OPEN", "CLOSE", "FETCH" -> cursorStep(word, span);
            case "EXECUTE" -> dynamic(span);
            case "INSERT", "UPDATE", "DELETE" -> new ChangeIntoParser(parsing).change(span);
            case "SET" -> assigned(span);
            case "SIGNAL", "RESIGNAL" -> SignalParser.read(parsing, span);
            case "GOTO" -> {
                cursor.take();
                yield new CodeStatement.Goto(parsing.name(), span);
            }
            case "FORALL", "PIPE", "PREPARE", "REPEAT", "LEAVE", "ITERATE" ->
                throw cursor.byHand(word + " in a routine");
            case "MERGE",
                    "REPLACE",
                    "TRUNCATE",
                    "COMMIT",
                    "ROLLBACK",
                    "SAVEPOINT",
                    "LOCK",
                    "CALL",
                    "CREATE",
                    "DROP",
                    "ALTER",
                    "START",
                    "DO" -> StatementParser.nested(parsing);
            default -> assignmentOrCall(span);
        };
    }

    private boolean wantsRow() {
        return parsing.has(GrammarFeature.INTO_WANTS_A_ROW);
    }

    private Statement returned(Span span) {
        cursor.take();
        return new CodeStatement.Return(
                cursor.peek().isSymbol(";") ? Optional.empty() : Optional.of(parsing.expressions.expression()), span);
    }

    private Statement raised(Span span) {
        cursor.take();
        Optional<String> name = cursor.peek().isSymbol(";")
                ? Optional.empty()
                : Optional.of(parsing.qualifiedName().last().key());
        return new CodeStatement.Signal(name, Optional.empty(), List.of(), span);
    }

    /** {@code SET x = 1}, which one of the servers takes besides. */
    private Statement assigned(Span span) {
        cursor.take();
        if (!cursor.peek().isName() || cursor.peek().isAnyWord("GLOBAL", "SESSION", "LOCAL", "NAMES", "TRANSACTION")) {
            throw cursor.byHand("a variable or setting of the session");
        }
        Expr target = new Expr.Column(parsing.qualifiedName(), false, span);
        if (!cursor.takeSymbol(":=")) {
            cursor.expectSymbol("=");
        }
        return new CodeStatement.Assign(target, parsing.expressions.expression(), span);
    }

    private Statement assignmentOrCall(Span span) {
        if (!cursor.peek().isName()) {
            throw cursor.unexpected("a statement");
        }
        QualifiedName name = parsing.qualifiedName();
        if (cursor.takeSymbol(":=")) {
            Expr target = new Expr.Column(name, false, span);
            return new CodeStatement.Assign(target, parsing.expressions.expression(), span);
        }
        boolean item = cursor.peek().isSymbol("(")
                && cursor.peek(cursor.closing(0) + 1).kind() == TokenKind.SYMBOL
                && !cursor.peek(cursor.closing(0) + 1).isSymbol(";");
        if (item) {
            throw cursor.byHand("an item of a collection that is assigned");
        }
        return called(name, span);
    }

    private Statement called(QualifiedName name, Span span) {
        String last = name.last().text();
        if (name.parts().get(0).text().equalsIgnoreCase(TELLS) && name.parts().size() == 2) {
            return told(last, span);
        }
        List<Expr> given = given();
        if (last.equalsIgnoreCase(RAISE) && given.size() >= 2) {
            return ownError(given, span);
        }
        return new Statement.CallProcedure(name, given, span);
    }

    private Statement told(String procedure, Span span) {
        List<Expr> given = arguments();
        if (procedure.equalsIgnoreCase("PUT_LINE") && given.size() == 1) {
            return new CodeStatement.Message(given.get(0), span);
        }
        if (!SAYS_NOTHING.contains(procedure.toUpperCase(java.util.Locale.ROOT))) {
            throw cursor.byHand(TELLS + "." + procedure);
        }
        return new CodeStatement.Nothing(span);
    }

    private Statement ownError(List<Expr> given, Span span) {
        if (!(given.get(0) instanceof Expr.Literal number)) {
            throw cursor.byHand("an error whose number is computed");
        }
        return new CodeStatement.Signal(
                Optional.of(PlSqlErrors.state(number.text())), Optional.of(given.get(1)), List.of(), span);
    }

    /** The arguments of a call, some perhaps by their names. */
    private List<Expr> given() {
        if (!cursor.takeSymbol("(") || cursor.takeSymbol(")")) {
            return List.of();
        }
        List<Expr> given = parsing.list(() -> {
            Token token = cursor.peek();
            if (!token.isName() || !cursor.peek(1).isSymbol("=>")) {
                return parsing.expressions.expression();
            }
            Name name = parsing.name();
            cursor.take();
            return new Expr.NamedArgument(name, parsing.expressions.expression(), token.span());
        });
        cursor.expectSymbol(")");
        return given;
    }

    private Statement cursorStep(String word, Span span) {
        cursor.take();
        if (word.equals("FETCH")) {
            cursor.takeWords("FROM");
            Name name = parsing.name();
            if (cursor.peek().isWord("BULK")) {
                throw cursor.byHand("BULK COLLECT");
            }
            cursor.expectWords("INTO");
            return new CodeStatement.Fetch(name, targets(), span);
        }
        Name name = parsing.name();
        List<Expr> given = arguments();
        if (!cursor.takeWords("FOR")) {
            return new CodeStatement.CursorStep(word.equals("OPEN"), name, given, Optional.empty(), span);
        }
        if (!cursor.peek().isAnyWord("SELECT", "WITH")) {
            throw cursor.byHand("a cursor over a computed statement");
        }
        Query query = parsing.queries.query();
        return new CodeStatement.CursorStep(true, name, given, Optional.of(query), span);
    }

    private List<Expr> targets() {
        return parsing.list(() -> {
            Span span = cursor.peek().span();
            return new Expr.Column(parsing.qualifiedName(), false, span);
        });
    }

    private Statement dynamic(Span span) {
        cursor.take();
        cursor.expectWords("IMMEDIATE");
        Expr text = parsing.expressions.expression();
        if (cursor.peek().isWord("BULK")) {
            throw cursor.byHand("BULK COLLECT");
        }
        List<Expr> into = cursor.takeWords("INTO") ? targets() : List.of();
        List<Expr> values = new ArrayList<>();
        if (cursor.takeWords("USING")) {
            values.addAll(parsing.list(this::bound));
        }
        if (cursor.peek().isAnyWord("RETURNING", "RETURN")) {
            throw cursor.byHand("a computed statement that returns values");
        }
        return new CodeStatement.Dynamic(text, into, values, span);
    }

    private Expr bound() {
        if (cursor.peek().isWord("OUT")
                || cursor.peek().isWord("IN") && cursor.peek(1).isWord("OUT")) {
            throw cursor.byHand("a computed statement that returns values");
        }
        if (cursor.peek().isWord("IN") && cursor.peek(1).isName()) {
            cursor.take();
        }
        return parsing.expressions.expression();
    }
}
