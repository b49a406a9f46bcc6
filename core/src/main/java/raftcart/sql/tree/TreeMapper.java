package raftcart.sql.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is done to the children of a node. */
public interface TreeMapper {
    /** The expression that takes the place of this one. */
    Expr expr(Expr expression);

    /** The query that takes the place of this one. */
    Query query(Query query);

    /** Each expression in turn. */
    default List<Expr> exprs(List<Expr> expressions) {
        List<Expr> mapped = new ArrayList<>(expressions.size());
        for (Expr e : expressions) {
            mapped.add(expr(e));
        }
        return mapped;
    }

    /** The expression if there is one. */
    default Optional<Expr> optional(Optional<Expr> expression) {
        return expression.map(this::expr);
    }

    /** The same order over other expressions. */
    default List<OrderItem> order(List<OrderItem> items) {
        return items.isEmpty() ? items : items.stream().map(i -> i.map(this)).toList();
    }
}
