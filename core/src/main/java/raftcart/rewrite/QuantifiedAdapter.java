package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.UnaryOperator;

/** Writes comparisons with ANY or ALL rows of a query with IN and EXISTS, for targets without them. */
final class QuantifiedAdapter {
    private static final Name FOUND = Name.of("found_");
    private static final Name COLUMN = Name.of("value_");

    private final ExprAdapter adapter;

    QuantifiedAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A comparison with any or all of some values, as Oracle has it: {@code x > ALL (1, 2)}. */
    Expr values(Expr.Quantified quantified) {
        Span span = quantified.span();
        List<Expr> items = quantified.right() instanceof Expr.Row row ? row.items() : List.of(quantified.right());
        boolean all = quantified.all();
        adapter.note(
                FindingCode.SYNTAX_ADAPTED, span, "a comparison with " + (all ? "all" : "any") + " of some values");
        if (quantified.operator() == (all ? BinaryOperator.NOT_EQUAL : BinaryOperator.EQUAL)) {
            return adapter.expr(new Expr.InList(quantified.left(), items, all, span));
        }
        List<Expr> compared = items.stream()
                .<Expr>map(i -> new Expr.Binary(quantified.operator(), quantified.left(), i, span))
                .toList();
        return adapter.condition(compared.size() == 1 ? compared.get(0) : new Expr.Junction(all, compared, span));
    }

    Expr adapt(Expr.Quantified quantified, Expr.Subquery rows) {
        Span span = quantified.span();
        boolean all = quantified.all();
        if (quantified.operator() == (all ? BinaryOperator.NOT_EQUAL : BinaryOperator.EQUAL)) {
            return adapter.expr(new Expr.InList(quantified.left(), List.of(rows), all, span));
        }
        if (!adapter.askedForTrue) {
            throw new Untranslatable("a comparison with any or all rows of a query, whose being unknown counts");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "rows compared with by EXISTS");
        Expr compared = new Expr.Binary(
                quantified.operator(), quantified.left(), Expr.Column.of(FOUND.text(), COLUMN.text()), span);
        Expr condition = all ? new Expr.Is(compared, Truth.TRUE, true, span) : compared;
        TableRef found = new TableRef.Derived(
                rows.query(), false, Optional.of(new TableRef.Alias(FOUND, List.of(COLUMN), List.of())), span);
        Expr exists = new Expr.Exists(
                Query.of(QueryBody.Select.of(
                        List.of(QueryBody.Item.of(Expr.Literal.number(1))), List.of(found), Optional.of(condition))),
                span);
        return adapter.condition(all ? new Expr.Unary(UnaryOperator.NOT, exists, span) : exists);
    }
}
