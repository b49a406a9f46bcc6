package raftcart.rewrite;

import java.util.List;
import java.util.Set;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/**
 * Days before functions that PostgreSQL has for instants alone, and whose casts it prints ("Date/Time Functions and
 * Operators"): they give what the local clock shows, which is what the day says itself.
 */
final class LocalMoments {
    private static final Set<String> LOCAL = Set.of("to_char", "date_trunc", "date_part", "generate_series");

    private LocalMoments() {}

    static List<Expr> uncast(Expr.Call call, List<Expr> arguments, ExprAdapter adapter) {
        return LOCAL.contains(call.name().last().key())
                ? arguments.stream().map(e -> uncast(e, adapter)).toList()
                : arguments;
    }

    private static Expr uncast(Expr e, ExprAdapter adapter) {
        boolean cast = e instanceof Expr.Cast c
                && adapter.finder.type(c.type()) instanceof LogicalType.Timestamp t
                && t.zoned()
                && adapter.kind(c.value()) == ValueKind.DATE;
        return cast ? ((Expr.Cast) e).value() : e;
    }
}
