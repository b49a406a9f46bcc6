package raftcart.rewrite;

import raftcart.sql.function.Signature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QueryMapper;

/** Tells functions over groups of rows from others. */
final class Aggregates {
    private Aggregates() {}

    /** True for an aggregate of the source, and for a function over a window. */
    static boolean is(Expr e, ExprAdapter adapter) {
        return e instanceof Expr.Call call
                && (call.suffix().over().isPresent()
                        || call.suffix().distinct()
                        || call.arguments().stream().anyMatch(Expr.Star.class::isInstance)
                        || adapter.from
                                .functions()
                                .recognise(call.name().last().text(), call.arguments(), x -> ValueKind.UNKNOWN)
                                .filter(r -> r.signature().group() == Signature.Group.AGGREGATE)
                                .isPresent());
    }

    /** True where an expression holds one, queries within it aside. */
    static boolean in(Expr expression, ExprAdapter adapter) {
        boolean[] found = {false};
        new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Subquery || e instanceof Expr.Exists) {
                    return e;
                }
                found[0] |= is(e, adapter);
                return super.expr(e);
            }
        }.expr(expression);
        return found[0];
    }
}
