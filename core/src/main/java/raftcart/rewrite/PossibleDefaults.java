package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.TableParts.ColumnDefinition;

/** Tells which defaults of columns a target takes: constants, expressions, values of other columns. */
final class PossibleDefaults {
    private final QueryAdapter adapter;

    PossibleDefaults(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** True for a value that another column of the row goes into. */
    private static boolean readsColumn(Expr value, CreateTable table) {
        return ExprSearch.any(
                value,
                e -> e instanceof Expr.Column c
                        && table.columns().stream()
                                .anyMatch(d -> d.name().matches(c.name().last())));
    }

    /** True for a default that the target takes; says so where it is left out. */
    boolean isOne(Expr value, ColumnDefinition column, CreateTable table) {
        boolean ofRow = adapter.from.has(SqlFeature.DEFAULTS_READ_COLUMNS) && readsColumn(value, table);
        boolean plain = adapter.same()
                || isPlain(value) && !ofRow
                || adapter.to.has(SqlFeature.EXPRESSION_DEFAULTS)
                        && (adapter.to.has(SqlFeature.DEFAULTS_READ_COLUMNS) || !readsColumn(value, table));
        if (!plain) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the default of " + column.name().text()
                            + " is left out; let a trigger or the application give it");
        }
        return plain;
    }

    /** True for a constant, the present, and the name of the user. */
    private static boolean isPlain(Expr value) {
        if (value instanceof Expr.Unary sign) {
            return isPlain(sign.operand());
        }
        if (value instanceof Expr.Cast cast) {
            return cast.value() instanceof Expr.Literal;
        }
        return value instanceof Expr.Literal
                || value instanceof Expr.CurrentTime
                || value instanceof Expr.Column
                || value instanceof Expr.Call call && call.function().matches("(current|session|system)_\\w+|user");
    }
}
