package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/**
 * What a routine asks of its cursors, and of the statement before ("Named Cursor Attribute", "Implicit Cursor Attribute",
 * PL/SQL). What is asked becomes a variable, which gets its value behind each statement that could change it.
 */
final class CodeCursors {
    private static final String STATEMENT = "sql";

    /** What holds how the last FETCH of any cursor ended: 0 with a row, -1 without ("@@FETCH_STATUS", T-SQL). */
    private static final String FETCH = "fetch_status_";

    private final CodeAdapter code;
    private final Map<String, Name> asked = new LinkedHashMap<>();

    CodeCursors(CodeAdapter code, Statement whole) {
        this.code = code;
        StatementSearch.anyExpression(List.of(whole), e -> {
            if (isAsked(e)) {
                variable((Expr.Call) e);
            }
            return false;
        });
    }

    private static boolean isAsked(Expr e) {
        return e instanceof Expr.Call call && call.function().startsWith("%");
    }

    /** The variable that holds what is asked for; one for being found and one for not. */
    private Name variable(Expr.Call call) {
        String cursor = ((Expr.Column) call.arguments().get(0)).name().last().key();
        String what = call.function().substring(1).replace("not", "");
        if (what.equals("fetch")) {
            return asked.computeIfAbsent(FETCH, Name::of);
        }
        boolean counts = what.equals("rowcount") || cursor.equals(STATEMENT);
        String key = cursor + (counts ? "_rows_" : what.equals("isopen") ? "_open_" : "_found_");
        return asked.computeIfAbsent(key, Name::of);
    }

    /** True where the routine asks how its last FETCH ended. */
    boolean asksForFetch() {
        return asked.containsKey(FETCH);
    }

    /** Declares the variables. */
    void declare(Span span) {
        asked.forEach((key, name) -> {
            LogicalType type = key.equals(FETCH)
                    ? new LogicalType.Int(32, false)
                    : key.endsWith("_rows_") ? new LogicalType.Int(64, false) : new LogicalType.Bool();
            boolean closed = key.endsWith("_open_");
            code.frame().declare(new KnownColumn(name, Optional.of(type), false, false));
            code.frame()
                    .added()
                    .add(new Declaration.Variable(
                            name,
                            code.written(name, type),
                            closed ? Optional.of(truth(false)) : Optional.empty(),
                            false,
                            span));
        });
    }

    /** The statement with variables in the places of what it asks. */
    Statement answered(Statement statement) {
        if (asked.isEmpty()) {
            return statement;
        }
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                return isAsked(e) ? answer((Expr.Call) e) : super.expr(e);
            }
        }.statement(statement);
    }

    private Expr answer(Expr.Call call) {
        Expr variable = Expr.Column.of(variable(call).text());
        boolean ofStatement =
                ((Expr.Column) call.arguments().get(0)).name().last().key().equals(STATEMENT);
        boolean negative = call.function().equals("%notfound");
        if (call.function().equals("%rowcount") || call.function().equals("%fetch")) {
            return variable;
        }
        if (call.function().equals("%isopen")) {
            return ofStatement ? truth(false) : variable;
        }
        if (ofStatement) {
            BinaryOperator operator = negative ? BinaryOperator.EQUAL : BinaryOperator.GREATER;
            return new Expr.Binary(operator, variable, Expr.Literal.number(0), call.span());
        }
        return negative ? new Expr.Unary(UnaryOperator.NOT, variable, call.span()) : variable;
    }

    /** What has to be done behind a statement, so that what is asked later is known. */
    List<Statement> after(Statement statement) {
        if (asked.isEmpty()) {
            return List.of();
        }
        if (statement instanceof CodeStatement.Fetch fetch) {
            return afterFetch(fetch);
        }
        if (statement instanceof CodeStatement.CursorStep step) {
            return afterStep(step);
        }
        boolean counts = statement instanceof Statement.Dml && !(statement instanceof Statement.QueryStatement)
                || statement instanceof CodeStatement.SelectInto
                || statement instanceof CodeStatement.ChangeInto
                || statement instanceof CodeStatement.Dynamic;
        Name rows = asked.get(STATEMENT + "_rows_");
        if (!counts || rows == null || statement instanceof Statement.CallProcedure) {
            return List.of();
        }
        if (code.adapter().from.has(SqlFeature.COUNTS_CHANGED_ROWS) && statement instanceof Statement.Update) {
            CodeCounts.note(code, statement.span());
        }
        return List.of(new CodeStatement.RowCount(Expr.Column.of(rows.text()), statement.span()));
    }

    private List<Statement> afterFetch(CodeStatement.Fetch fetch) {
        List<Statement> all = new ArrayList<>();
        Expr found = Expr.Column.of("found");
        set(fetch.cursor(), "_found_", found, fetch.span(), all);
        if (asked.containsKey(FETCH)) {
            Expr.When row = new Expr.When(found, Expr.Literal.number(0));
            Expr status =
                    new Expr.Case(Optional.empty(), List.of(row), Optional.of(Expr.Literal.number(-1)), fetch.span());
            all.add(new CodeStatement.Assign(Expr.Column.of(FETCH), status, fetch.span()));
        }
        Name rows = asked.get(key(fetch.cursor(), "_rows_"));
        if (rows != null) {
            all.add(new CodeStatement.If(
                    List.of(new Choice(found, List.of(next(rows, fetch.span())))), List.of(), fetch.span()));
        }
        return all;
    }

    private List<Statement> afterStep(CodeStatement.CursorStep step) {
        List<Statement> all = new ArrayList<>();
        set(step.cursor(), "_open_", truth(step.opens()), step.span(), all);
        if (step.opens()) {
            set(step.cursor(), "_found_", Expr.Literal.ofNull(), step.span(), all);
            set(step.cursor(), "_rows_", Expr.Literal.number(0), step.span(), all);
        }
        return all;
    }

    /** What has to be done before a loop over a cursor, which opens it. */
    List<Statement> beforeLoop(Name cursor, Span span) {
        List<Statement> all = new ArrayList<>();
        set(cursor, "_open_", truth(true), span, all);
        set(cursor, "_rows_", Expr.Literal.number(0), span, all);
        return all;
    }

    /** What has to be done in each round of such a loop. */
    List<Statement> inLoop(Name cursor, Span span) {
        List<Statement> all = new ArrayList<>();
        set(cursor, "_found_", truth(true), span, all);
        Name rows = asked.get(key(cursor, "_rows_"));
        if (rows != null) {
            all.add(next(rows, span));
        }
        return all;
    }

    /** What has to be done behind it. */
    List<Statement> afterLoop(Name cursor, Span span) {
        List<Statement> all = new ArrayList<>();
        set(cursor, "_open_", truth(false), span, all);
        return all;
    }

    /** The number of rows of a statement that goes through them: before it, or with each of them. */
    List<Statement> counted(boolean before, Span span) {
        Name rows = asked.get(STATEMENT + "_rows_");
        if (rows == null) {
            return List.of();
        }
        return List.of(
                before
                        ? new CodeStatement.Assign(Expr.Column.of(rows.text()), Expr.Literal.number(0), span)
                        : next(rows, span));
    }

    private static Statement next(Name rows, Span span) {
        Expr variable = Expr.Column.of(rows.text());
        Expr next = new Expr.Binary(BinaryOperator.ADD, variable, Expr.Literal.number(1), span);
        return new CodeStatement.Assign(variable, next, span);
    }

    private void set(Name cursor, String what, Expr value, Span span, List<Statement> all) {
        Name variable = asked.get(key(cursor, what));
        if (variable != null) {
            all.add(new CodeStatement.Assign(Expr.Column.of(variable.text()), value, span));
        }
    }

    private static Expr truth(boolean value) {
        return new Expr.Literal(LiteralKind.BOOLEAN, Boolean.toString(value), Span.NONE);
    }

    private static String key(Name cursor, String what) {
        return cursor.text().toLowerCase(Locale.ROOT) + what;
    }

    /** A cursor with its query in the target's terms. */
    Declaration declared(Declaration.Cursor cursor) {
        QueryAdapter adapter = code.adapter();
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        code.frame().enter();
        try {
            List<Parameter> parameters = new ArrayList<>();
            for (Parameter p : cursor.parameters()) {
                KnownColumn known = code.known(p.name(), p.type());
                code.frame().declare(known);
                parameters.add(new Parameter(
                        p.mode(),
                        p.name(),
                        code.written(p.name(), known.type().orElseThrow()),
                        p.initial().map(adapter::expr)));
            }
            if (cursor.parameters().stream().anyMatch(p -> p.initial().isPresent())) {
                throw CodeAdapter.at(cursor.span(), "a parameter of a cursor with a default value");
            }
            adapter.scope.add(Scope.Relation.ofVariables(
                    cursor.name().text(), code.frame().facts()));
            code.frame().goes(cursor.name(), adapter.finder.columns(cursor.query(), adapter.scope));
            return new Declaration.Cursor(cursor.name(), parameters, adapter.query(cursor.query()), cursor.span());
        } finally {
            code.frame().leave();
            adapter.scope = before;
        }
    }

    /** A cursor that is opened or closed. */
    Statement step(CodeStatement.CursorStep step) {
        QueryAdapter adapter = code.adapter();
        if (step.query().isPresent()) {
            code.frame().goes(step.cursor(), adapter.finder.columns(step.query().get(), adapter.scope));
        }
        return new CodeStatement.CursorStep(
                step.opens(),
                step.cursor(),
                step.arguments().stream().map(adapter::expr).toList(),
                step.query().map(adapter::query),
                step.span());
    }

    /** Refuses a change of the row of a cursor that the routine does not have there, as one of a loop over rows. */
    void refuseUnknown(Statement statement) {
        boolean unknown = StatementSearch.anyExpression(
                List.of(statement),
                e -> e instanceof Expr.Call c
                        && c.is("row_of_cursor")
                        && !code.frame()
                                .isCursor(((Expr.Column) c.arguments().get(0))
                                        .name()
                                        .last()));
        if (unknown && statement instanceof Statement.Dml) {
            throw CodeAdapter.at(code.place(), "WHERE CURRENT OF the cursor of a loop");
        }
    }
}
