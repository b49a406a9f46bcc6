package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.type.LogicalType;

/** Conditions of PL/pgSQL, and values that are computed for what that does. */
final class PlValues {
    private static final int DIGITS = 64;

    private final PlCode pl;
    private final QueryAdapter adapter;

    PlValues(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    /** What is computed for what it does; of a query for each of its rows. */
    List<Statement> evaluated(CodeStatement.Evaluate evaluate) {
        Span span = evaluate.span();
        Expr value = evaluate.value() instanceof Expr.Subquery query ? PlRows.counted(query) : evaluate.value();
        boolean divides = !adapter.from.has(SqlFeature.NULL_FOR_ZERO_DIVISION)
                && ExprSearch.any(
                        value, e -> e instanceof Expr.Binary b && b.operator().divides());
        if (divides && value == evaluate.value()) {
            return ignored(value, span);
        }
        Expr adapted = adapter.expr(pl.meant(value));
        if (!pl.asksForFound()) {
            return List.of(new CodeStatement.Evaluate(adapted, span));
        }
        Expr found = Expr.Column.of(PlCode.FOUND.text());
        return value == evaluate.value()
                ? List.of(
                        new CodeStatement.Evaluate(adapted, span),
                        new CodeStatement.Assign(found, Expr.Literal.number(1), span))
                : List.of(new CodeStatement.Assign(found, adapted, span));
    }

    /** A value that nobody wants, in a variable, as only assignments fail of a division by zero. */
    private List<Statement> ignored(Expr value, Span span) {
        boolean number = adapter.kind(value).isNumber();
        Name variable = Name.of(number ? "ignored_" : "ignored_text_");
        LogicalType type = number ? new LogicalType.Floating(DIGITS) : new LogicalType.Text(0);
        if (pl.added().stream().noneMatch(d -> d.name().equals(variable))) {
            pl.added()
                    .add(new Declaration.Variable(
                            variable, pl.code().written(variable, type), Optional.empty(), false, span));
        }
        List<Statement> all = new ArrayList<>(List.of(
                new CodeStatement.Assign(Expr.Column.of(variable.text()), adapter.expr(pl.meant(value)), span)));
        if (pl.asksForFound()) {
            all.add(new CodeStatement.Assign(Expr.Column.of(PlCode.FOUND.text()), Expr.Literal.number(1), span));
        }
        return all;
    }

    /** A condition; a division by zero makes it unknown on the target, and does not end it there. */
    Expr condition(Expr given) {
        boolean divides = !adapter.from.has(SqlFeature.NULL_FOR_ZERO_DIVISION)
                && adapter.to.has(SqlFeature.NULL_FOR_ZERO_DIVISION)
                && ExprSearch.any(
                        given,
                        e -> e instanceof Expr.Binary b
                                && b.operator().divides()
                                && !(b.right() instanceof Expr.Literal));
        if (divides) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    given.span(),
                    "a division by zero in a condition is an error on the source, on the target the condition is unknown");
        }
        return adapter.condition(pl.meant(given));
    }
}
