package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QueryMapper;
import raftcart.type.LogicalType;

/**
 * Has texts compared in small letters where the source ignores the case of a column and the target does not. Only for
 * conditions that no index helps, as checks and computed columns are.
 */
final class CaseFolder extends QueryMapper {
    private final ExprAdapter adapter;

    CaseFolder(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Binary b && b.operator().compares() && ignoring(List.of(b.left(), b.right()))) {
            return folded(e, new Expr.Binary(b.operator(), small(b.left()), small(b.right()), b.span()));
        }
        if (e instanceof Expr.Between b && ignoring(List.of(b.value(), b.low(), b.high()))) {
            return folded(
                    e,
                    new Expr.Between(
                            small(b.value()), small(b.low()), small(b.high()), b.symmetric(), b.negated(), b.span()));
        }
        if (e instanceof Expr.InList in && ignoring(List.of(in.value()))) {
            List<Expr> items = in.items().stream().map(this::small).toList();
            return folded(e, new Expr.InList(small(in.value()), items, in.negated(), in.span()));
        }
        if (e instanceof Expr.Like like && ignoring(List.of(like.value(), like.pattern()))) {
            Expr pattern = small(like.pattern());
            return folded(
                    e, new Expr.Like(small(like.value()), pattern, like.escape(), false, like.negated(), like.span()));
        }
        if (e instanceof Expr.Matches matches && ignoring(List.of(matches.value()))) {
            return new Expr.Matches(
                    super.expr(matches.value()), matches.pattern(), true, matches.negated(), matches.span());
        }
        return super.expr(e);
    }

    private Expr folded(Expr before, Expr after) {
        adapter.note(FindingCode.COMPARISON_FOLDED, before.span(), "compared in small letters");
        return after;
    }

    /** True for texts; what is measured or counted of a text, or compared as a number, has no case. */
    private boolean ignoring(List<Expr> expressions) {
        boolean texts =
                expressions.stream().map(adapter::kind).allMatch(k -> k == ValueKind.TEXT || k == ValueKind.UNKNOWN);
        return texts
                && expressions.stream().flatMap(TextRules::columns).anyMatch(e -> adapter.facts(e)
                        .filter(f -> f.kind() == ValueKind.TEXT && f.ignoresCase())
                        .filter(f -> f.type()
                                .filter(LogicalType.Enumeration.class::isInstance)
                                .isEmpty())
                        .isPresent());
    }

    private Expr small(Expr e) {
        boolean text = e instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING;
        if (text) {
            return new Expr.Literal(
                    LiteralKind.STRING, ((Expr.Literal) e).text().toLowerCase(Locale.ROOT), e.span());
        }
        return e instanceof Expr.Literal || e instanceof Expr.Subquery
                ? super.expr(e)
                : Expr.Call.of("lower", super.expr(e)).at(e.span());
    }
}
