package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.type.LogicalType;

/** The number of rows that the last statement changed, which is a function on some engines and on others is asked for apart. */
final class CodeCounts {
    private final CodeAdapter code;

    CodeCounts(CodeAdapter code) {
        this.code = code;
    }

    /** The statement with a variable in the place of the number; what gives the variable its value is put before it. */
    Statement counted(Statement statement, List<Statement> before) {
        if (statement instanceof CodeStatement.Assign assign && isCount(assign.value())) {
            note(assign.span());
            return new CodeStatement.RowCount(assign.target(), assign.span());
        }
        if (isOfOne(statement) && StatementSearch.anyExpression(List.of(statement), CodeCounts::isCount)) {
            note(statement.span());
            Name counted = code.frame().number(statement.span());
            code.frame().declare(new KnownColumn(counted, Optional.of(new LogicalType.Int(64, false)), false, false));
            code.adapter().scope.add(Scope.Relation.ofVariables("", code.frame().facts()));
            before.add(new CodeStatement.RowCount(Expr.Column.of(counted.text()), statement.span()));
            return replacing(counted).statement(statement);
        }
        Optional<Expr> first = first(statement);
        if (first.filter(e -> ExprSearch.any(e, CodeCounts::isCount)).isEmpty()) {
            return statement;
        }
        note(statement.span());
        Name variable = code.frame().number(statement.span());
        before.add(new CodeStatement.RowCount(Expr.Column.of(variable.text()), statement.span()));
        Expr asked = replaced(first.get(), variable);
        if (statement instanceof CodeStatement.If choice) {
            List<Choice> choices = new ArrayList<>(choice.choices());
            choices.set(0, new Choice(asked, choices.get(0).body()));
            return new CodeStatement.If(choices, choice.otherwise(), choice.span());
        }
        return statement instanceof CodeStatement.Assign assign
                ? new CodeStatement.Assign(assign.target(), asked, assign.span())
                : new CodeStatement.Return(Optional.of(asked), statement.span());
    }

    private static boolean isCount(Expr e) {
        return e instanceof Expr.Call call
                && !call.canonical()
                && call.function().equals("row_count");
    }

    /** The expression that a statement evaluates before it does anything else. */
    private static Optional<Expr> first(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return Optional.of(choice.choices().get(0).condition());
        }
        if (statement instanceof CodeStatement.Assign assign) {
            return Optional.of(assign.value());
        }
        return statement instanceof CodeStatement.Return returned ? returned.value() : Optional.empty();
    }

    /** True for a statement that evaluates all that stands in it at once. */
    private static boolean isOfOne(Statement statement) {
        return statement instanceof Statement.Dml
                || statement instanceof CodeStatement.SelectInto
                || statement instanceof CodeStatement.Signal
                || statement instanceof CodeStatement.Message;
    }

    private static Expr replaced(Expr e, Name variable) {
        return replacing(variable).expr(e);
    }

    private static StatementMapper replacing(Name variable) {
        return new StatementMapper() {
            @Override
            public Expr expr(Expr inner) {
                return isCount(inner) ? Expr.Column.of(variable.text()) : super.expr(inner);
            }
        };
    }

    private void note(Span span) {
        note(code, span);
    }

    static void note(CodeAdapter code, Span span) {
        if (!code.adapter().from.has(SqlFeature.COUNTS_CHANGED_ROWS)) {
            return;
        }
        boolean meets = StatementSearch.anyStatement(
                List.of(code.frame().whole),
                s -> s instanceof Statement.Insert i && i.upsert().isPresent());
        if (meets) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            span,
                            "an INSERT that changes the row which it meets counts 1, on the source 2");
        }
        code.adapter()
                .note(
                        FindingCode.SYNTAX_CHECK,
                        span,
                        "an UPDATE counts the rows that it found, on the source those whose values it changed");
    }
}
