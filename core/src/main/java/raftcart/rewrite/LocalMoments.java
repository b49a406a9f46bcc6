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
    private static final Set<String> LOCAL = Set.of("to_char", "date_trunc", "date_part");

    private LocalMoments() {}

    static List<Expr> uncast(Expr.Call call, List<Expr> arguments, ExprAdapter adapter) {
        return LOCAL.contains(call.name().last().key())
                ? arguments.stream().map(e -> uncast(e, adapter)).toList()
                : arguments;
    }

    /** The ends of a series, which are moments also where they are given as days. */
    static Expr.Call series(Expr.Call call, ExprAdapter adapter) {
        if (!call.name().last().key().equals("generate_series")) {
            return call;
        }
        List<Expr> ends = call.arguments().stream()
                .map(e -> isInstantOfDay(e, adapter)
                        ? new Expr.Cast(
                                ((Expr.Cast) e).value(),
                                adapter.sourceType(new LogicalType.Timestamp(6, false)),
                                false,
                                e.span())
                        : e)
                .toList();
        return new Expr.Call(call.name(), call.canonical(), ends, call.suffix(), call.span());
    }

    private static Expr uncast(Expr e, ExprAdapter adapter) {
        return isInstantOfDay(e, adapter) ? ((Expr.Cast) e).value() : e;
    }

    private static boolean isInstantOfDay(Expr e, ExprAdapter adapter) {
        return e instanceof Expr.Cast c
                && adapter.finder.type(c.type()) instanceof LogicalType.Timestamp t
                && t.zoned()
                && adapter.kind(c.value()) == ValueKind.DATE;
    }
}
