package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.ChangedRows;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;

/**
 * Reads functions, procedures and triggers of T-SQL ("CREATE FUNCTION", "CREATE PROCEDURE", "CREATE TRIGGER", SQL Server). One
 * whose body cannot be read is left to a person as a whole, for the reason and at the place where reading ended.
 */
final class TsqlRoutineParser {
    /** The statements that fill the table that a function gives. */
    private static final Name FILLING = Name.of("filling_");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TsqlVariables variables = new TsqlVariables();
    private boolean definer;

    TsqlRoutineParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** Reads from the word for the kind of object on. */
    Statement create(boolean replace, Span span) {
        String word = parsing.word().toLowerCase(Locale.ROOT);
        String kind = word.equals("proc") ? "procedure" : word;
        cursor.take();
        Supplier<Statement> reading =
                switch (kind) {
                    case "trigger" -> () -> trigger(replace, span);
                    case "function" -> () -> function(replace, span);
                    default -> () -> procedure(replace, span);
                };
        return RoutineHeads.whole(cursor, kind, reading, span);
    }

    private Statement procedure(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        if (cursor.peek().isSymbol(";")) {
            throw cursor.byHand("one of several procedures of a name");
        }
        boolean parentheses = cursor.takeSymbol("(");
        List<Parameter> parameters =
                TsqlVariables.isVariable(cursor.peek()) ? parsing.list(this::parameter) : List.of();
        if (parentheses) {
            cursor.expectSymbol(")");
        }
        options();
        if (cursor.takeWords("FOR")) {
            throw cursor.byHand("a procedure for replication");
        }
        cursor.expectWords("AS");
        if (cursor.peek().isWord("EXTERNAL")) {
            throw cursor.byHand("code in another language");
        }
        Span place = cursor.peek().span();
        TsqlParser code = new TsqlParser(variables.rest(parsing), variables, false, false);
        Block body = code.body(place);
        return routine(
                name, replace, parameters, Optional.empty(), traits(Access.UNSAID, code.goesOn(body)), body, span);
    }

    private static Statement routine(
            QualifiedName name,
            boolean replace,
            List<Parameter> parameters,
            Optional<TypeName> returns,
            RoutineTraits traits,
            Statement body,
            Span span) {
        return new CodeStatement.CreateRoutine(name, replace, parameters, returns, List.of(), traits, body, span);
    }

    private RoutineTraits traits(Access access, boolean goesOn) {
        return new RoutineTraits(false, access, definer, false, Optional.empty()).goingOn(goesOn);
    }

    private Parameter parameter() {
        Token token = cursor.peek();
        if (!TsqlVariables.isVariable(token)) {
            throw cursor.unexpected("a parameter");
        }
        Name name = variables.declare(cursor.take());
        cursor.takeWords("AS");
        if (cursor.peek().isWord("CURSOR")) {
            throw cursor.byHand("a cursor that is handed on");
        }
        TypeName type = TypeNameParser.parse(cursor);
        if (!cursor.takeWords("NOT", "NULL")) {
            cursor.takeWords("NULL");
        }
        Optional<Expr> initial = cursor.takeSymbol("=") ? Optional.of(initial()) : Optional.empty();
        boolean out = cursor.takeAny("OUT", "OUTPUT");
        if (cursor.peek().isWord("READONLY")) {
            throw cursor.byHand("a parameter that is a table");
        }
        return new Parameter(out ? Mode.INOUT : Mode.IN, name, type, initial);
    }

    /** A constant; a name in its place is a text. */
    private Expr initial() {
        Token token = cursor.peek();
        return token.isName() && !token.isWord("NULL") && !cursor.peek(1).isSymbol("(")
                ? Expr.Literal.string(cursor.take().value())
                : parsing.expressions.expression();
    }

    private void options() {
        if (!cursor.takeWords("WITH")) {
            return;
        }
        parsing.list(() -> {
            if (cursor.takeAny("EXEC", "EXECUTE")) {
                cursor.expectWords("AS");
                definer = !cursor.takeWords("CALLER");
                if (definer && !cursor.takeAny("SELF", "OWNER")) {
                    throw cursor.byHand("a routine with the rights of a user who is named");
                }
                return true;
            }
            boolean plain = cursor.takeAny("RECOMPILE", "ENCRYPTION", "SCHEMABINDING", "VIEW_METADATA")
                    || cursor.takeWords("CALLED", "ON", "NULL", "INPUT");
            if (!plain) {
                throw cursor.byHand("a routine WITH " + parsing.word());
            }
            return true;
        });
    }

    private Statement function(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        cursor.expectSymbol("(");
        List<Parameter> parameters = cursor.peek().isSymbol(")") ? List.of() : parsing.list(this::parameter);
        cursor.expectSymbol(")");
        cursor.expectWords("RETURNS");
        if (TsqlVariables.isVariable(cursor.peek())) {
            return filling(name, replace, parameters, span);
        }
        if (cursor.takeWords("TABLE")) {
            return ofQuery(name, replace, parameters, span);
        }
        TypeName type = TypeNameParser.parse(cursor);
        options();
        cursor.takeWords("AS");
        Span place = cursor.peek().span();
        if (!cursor.peek().isWord("BEGIN")) {
            throw cursor.unexpected("BEGIN");
        }
        TsqlParser code = new TsqlParser(variables.rest(parsing), variables, true, false);
        Block body = code.body(place);
        Access access = code.makesTables() ? Access.UNSAID : Access.READS;
        return routine(name, replace, parameters, Optional.of(type), traits(access, false), body, span);
    }

    /** A function that gives the rows of a query, as a procedure does for its caller. */
    private Statement ofQuery(QualifiedName name, boolean replace, List<Parameter> parameters, Span span) {
        options();
        cursor.takeWords("AS");
        Parsing inner = variables.rest(parsing);
        Span place = inner.cursor.peek().span();
        inner.cursor.expectWords("RETURN");
        Query query = inner.queries.query();
        inner.cursor.takeSymbol(";");
        if (!inner.cursor.atEnd()) {
            throw inner.cursor.unexpected("the end of the function");
        }
        Statement given = new Statement.QueryStatement(query, Optional.empty(), false, place);
        return routine(
                name,
                replace,
                parameters,
                Optional.empty(),
                traits(Access.READS, false),
                Block.of(List.of(given), place),
                span);
    }

    /** A function that fills a table and gives its rows. */
    private Statement filling(QualifiedName name, boolean replace, List<Parameter> parameters, Span span) {
        Name table = variables.table(cursor.peek());
        Parsing inner = variables.rest(parsing);
        Span place = inner.cursor.take().span();
        TsqlParser code = new TsqlParser(inner, variables, true, false);
        inner.cursor.expectWords("TABLE");
        code.table(table, place);
        if (inner.cursor.peek().isWord("WITH")) {
            throw inner.cursor.byHand("a function WITH options");
        }
        inner.cursor.takeWords("AS");
        Block read = code.body(place);
        List<Statement> body = new ArrayList<>(read.body());
        if (!body.isEmpty() && body.get(body.size() - 1) instanceof CodeStatement.Return) {
            body.remove(body.size() - 1);
        }
        if (StatementSearch.anyStatement(body, CodeStatement.Return.class::isInstance)) {
            body = new ArrayList<>(List.of(leaving(body, place)));
        }
        TableRef from =
                new TableRef.Table(new QualifiedName(List.of(table)), Optional.empty(), Optional.empty(), false, place);
        QueryBody rows = QueryBody.Select.of(
                List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), place))),
                List.of(from),
                Optional.empty());
        body.add(new Statement.QueryStatement(Query.of(rows), Optional.empty(), false, place));
        return routine(
                name,
                replace,
                parameters,
                Optional.empty(),
                traits(Access.UNSAID, false),
                new Block(Optional.empty(), read.declarations(), List.of(), body, List.of(), place),
                span);
    }

    /** Statements of which RETURN leaves those behind it, and not the routine. */
    private static Statement leaving(List<Statement> body, Span span) {
        List<Statement> left = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return statement instanceof CodeStatement.Return r
                        ? new CodeStatement.Jump(false, Optional.of(FILLING), Optional.empty(), r.span())
                        : super.statement(statement);
            }
        }.statements(body);
        return new Block(Optional.of(FILLING), List.of(), List.of(), left, List.of(), span);
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        cursor.expectWords("ON");
        if (cursor.peek().isWord("DATABASE") || cursor.atWords("ALL", "SERVER")) {
            throw cursor.byHand("a trigger on the database");
        }
        QualifiedName table = parsing.qualifiedName();
        options();
        if (cursor.atWords("INSTEAD", "OF")) {
            throw cursor.byHand("a trigger INSTEAD OF a change, for all its rows at once");
        }
        if (!cursor.takeAny("FOR", "AFTER")) {
            throw cursor.unexpected("FOR or AFTER");
        }
        List<Event> events = parsing.list(this::event);
        if (cursor.peek().isWord("WITH")) {
            throw cursor.byHand("WITH APPEND");
        }
        cursor.takeWords("NOT", "FOR", "REPLICATION");
        cursor.expectWords("AS");
        Span place = cursor.peek().span();
        TsqlParser code = new TsqlParser(variables.rest(parsing), variables, true, true);
        Block body = code.body(place);
        return new CodeStatement.CreateTrigger(
                name,
                replace,
                Timing.AFTER,
                events,
                table,
                false,
                Optional.of(new ChangedRows(Name.of("deleted"), Name.of("inserted"))),
                Optional.empty(),
                Optional.empty(),
                false,
                false,
                body,
                span);
    }

    private Event event() {
        for (Event.Kind kind : Event.Kind.values()) {
            if (cursor.takeWords(kind.name())) {
                return new Event(kind, List.of());
            }
        }
        throw cursor.unexpected("INSERT, UPDATE or DELETE");
    }
}
