package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TypeName;

/**
 * What a routine gives ("CREATE FUNCTION", PostgreSQL): one value, rows, or nothing. An output parameter of a function is its
 * value, which the function has as a variable.
 *
 * @param parameters those that are left
 * @param rows the columns of rows; one without a name where a type says what they are
 * @param output what becomes a variable
 * @param once true where there is one row, of several output parameters
 */
record RoutineResult(
        List<Parameter> parameters,
        Optional<TypeName> returns,
        List<Parameter> rows,
        Optional<Parameter> output,
        boolean once) {
    private RoutineResult(
            List<Parameter> parameters, Optional<TypeName> returns, List<Parameter> rows, Optional<Parameter> output) {
        this(parameters, returns, rows, output, false);
    }

    static RoutineResult read(Parsing parsing, boolean function, List<Parameter> given) {
        TokenCursor cursor = parsing.cursor;
        List<Parameter> outputs =
                given.stream().filter(p -> p.mode() != Mode.IN).toList();
        boolean said = cursor.takeWords("RETURNS");
        if (!function) {
            return new RoutineResult(given, Optional.empty(), List.of(), Optional.empty());
        }
        List<Parameter> left = given.stream()
                .filter(p -> p.mode() != Mode.OUT)
                .map(p -> new Parameter(Mode.IN, p.name(), p.type(), p.initial()))
                .toList();
        if (said && cursor.takeWords("TABLE")) {
            return new RoutineResult(left, Optional.empty(), columns(parsing), Optional.empty());
        }
        boolean several = said && cursor.takeWords("SETOF");
        Optional<TypeName> type = said ? Optional.of(AnchoredTypes.read(parsing)) : Optional.empty();
        if (several) {
            List<Parameter> rows = outputs.isEmpty()
                    ? List.of(new Parameter(Mode.OUT, Name.of(""), type.orElseThrow(), Optional.empty()))
                    : outputs;
            return new RoutineResult(left, Optional.empty(), rows, Optional.empty());
        }
        if (outputs.size() > 1) {
            return new RoutineResult(left, Optional.empty(), outputs, Optional.empty(), true);
        }
        if (outputs.isEmpty() && !said) {
            throw cursor.unexpected("RETURNS");
        }
        return outputs.isEmpty()
                ? new RoutineResult(given, type, List.of(), Optional.empty())
                : new RoutineResult(left, Optional.of(outputs.get(0).type()), List.of(), Optional.of(outputs.get(0)));
    }

    private static List<Parameter> columns(Parsing parsing) {
        parsing.cursor.expectSymbol("(");
        List<Parameter> columns = parsing.list(() -> {
            Name name = parsing.name();
            return new Parameter(Mode.OUT, name, AnchoredTypes.read(parsing), Optional.empty());
        });
        parsing.cursor.expectSymbol(")");
        return columns;
    }

    /** The body, at each of whose ends the row of the outputs is given. */
    private static Statement givingOnce(Statement body) {
        Statement row = new CodeStatement.ReturnRows(
                Query.of(QueryBody.Select.of(List.of(), List.of(), Optional.empty())), body.span());
        Statement inner = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return statement instanceof CodeStatement.Return
                        ? Block.of(List.of(row, statement), statement.span())
                        : super.statement(statement);
            }
        }.statement(body);
        return Block.of(List.of(inner, row), body.span());
    }

    /** The body, at whose end the output is given. */
    Statement giving(Statement body) {
        if (once) {
            return givingOnce(body);
        }
        if (output.isEmpty()) {
            return body;
        }
        Parameter given = output.get();
        Span span = body.span();
        Expr value = new Expr.Column(new QualifiedName(List.of(given.name())), false, span);
        Statement inner = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return statement instanceof CodeStatement.Return
                        ? new CodeStatement.Return(Optional.of(value), statement.span())
                        : super.statement(statement);
            }
        }.statement(body);
        List<Statement> all = new ArrayList<>(List.of(inner));
        all.add(new CodeStatement.Return(Optional.of(value), span));
        List<Declaration> declared = given.mode() == Mode.INOUT
                ? List.of()
                : List.of(new Declaration.Variable(given.name(), given.type(), Optional.empty(), false, span));
        return new Block(Optional.empty(), declared, List.of(), all, List.of(), span);
    }
}
