package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.UnaryOperator;

/** What a MERGE does to rows that the source does not have, as statements of their own before it. */
final class MergeBySource {
    private MergeBySource() {}

    /** The statements that do the same; empty where the MERGE can stay one, or cannot be taken apart. */
    static Optional<List<Statement>> split(ExprAdapter adapter, Statement.Merge merge) {
        boolean odd = merge.actions().stream().anyMatch(MergeAction::bySource);
        boolean possible = odd
                && !adapter.to.has(SqlFeature.MERGE_BY_SOURCE)
                && merge.with().isEmpty()
                && merge.returning().isEmpty();
        if (!possible) {
            return Optional.empty();
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                merge.span(),
                "rows that the source does not have are changed before the MERGE; run both in one transaction");
        List<Statement> all = new ArrayList<>();
        List<MergeAction> rest = new ArrayList<>();
        List<Expr> earlier = new ArrayList<>();
        for (MergeAction action : merge.actions()) {
            if (action.bySource()) {
                all.add(apart(merge, action, earlier));
                action.condition().ifPresent(c -> earlier.add(new Expr.Is(c, Truth.TRUE, true, c.span())));
            } else {
                rest.add(action);
            }
        }
        if (!rest.isEmpty()) {
            all.add(new Statement.Merge(
                    List.of(), merge.target(), merge.source(), merge.on(), rest, List.of(), merge.span()));
        }
        return Optional.of(all);
    }

    /** A branch takes the rows that those before it left. */
    private static Statement apart(Statement.Merge merge, MergeAction action, List<Expr> earlier) {
        Span span = merge.span();
        Query partners = Query.of(QueryBody.Select.of(
                List.of(QueryBody.Item.of(Expr.Literal.number(1))), List.of(merge.source()), Optional.of(merge.on())));
        List<Expr> conditions = new ArrayList<>(List.of(not(new Expr.Exists(partners, span))));
        action.condition().ifPresent(conditions::add);
        conditions.addAll(earlier);
        Optional<Expr> where = OldForms.and(conditions);
        return action.kind() == MergeAction.Kind.DELETE
                ? new Statement.Delete(
                        List.of(),
                        List.of(),
                        merge.target(),
                        List.of(),
                        where,
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        span)
                : new Statement.Update(
                        List.of(),
                        merge.target(),
                        action.assignments(),
                        List.of(),
                        where,
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        span);
    }

    private static Expr not(Expr condition) {
        return new Expr.Unary(UnaryOperator.NOT, condition, condition.span());
    }
}
