package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;

/**
 * A query in parentheses with an order or a limit of its own, behind which another one follows: most engines take each
 * of these clauses once, or take no parentheses at all.
 */
final class OrderedTwice {
    private OrderedTwice() {}

    /** The query with the inner one as a table of FROM, or without an order that the outer one makes void. */
    static Query parted(Query query) {
        boolean outer = !query.order().isEmpty() || query.paging().isPresent();
        if (!outer || !(query.body() instanceof QueryBody.Nested nested)) {
            return query;
        }
        Query inner = nested.query();
        boolean isOrdered = !inner.order().isEmpty() || inner.paging().isPresent();
        if (!isOrdered) {
            return query;
        }
        if (inner.paging().isEmpty() && !query.order().isEmpty() && inner.with().isEmpty()) {
            return query.withBody(inner.body());
        }
        TableRef rows = new TableRef.Derived(inner, false, Optional.of(TableRef.Alias.of("ordered_")), nested.span());
        QueryBody.Item all = QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), nested.span()));
        return query.withBody(QueryBody.Select.of(List.of(all), List.of(rows), Optional.empty()));
    }
}
