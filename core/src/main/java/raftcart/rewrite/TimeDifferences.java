package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** Parts of the span between two timestamps, which few engines have as a value, by functions of the two. */
final class TimeDifferences {
    private TimeDifferences() {}

    /** The seconds or days of {@code a - b}, if the call is that. */
    static Optional<Expr> of(Expr.Call call, ExprAdapter adapter) {
        Optional<Expr> total = ofTotal(call, adapter);
        if (total.isPresent()) {
            return total;
        }
        boolean part = call.is("extract_epoch") || call.is("extract_day");
        boolean span = part
                && !adapter.from.name().equals(adapter.to.name())
                && call.arguments().get(0) instanceof Expr.Binary b
                && b.operator() == BinaryOperator.SUBTRACT
                && adapter.kind(b.left()) == ValueKind.TIMESTAMP
                && adapter.kind(b.right()) == ValueKind.TIMESTAMP;
        if (!span) {
            return Optional.empty();
        }
        Expr.Binary between = (Expr.Binary) call.arguments().get(0);
        if (call.is("extract_day")) {
            return Optional.of(call.with("full_days", List.of(between.right(), between.left())));
        }
        return Optional.of(new Expr.Binary(
                BinaryOperator.SUBTRACT,
                Expr.Call.of("extract_epoch", between.left()).at(call.span()),
                Expr.Call.of("extract_epoch", between.right()).at(call.span()),
                call.span()));
    }

    /** The difference in a call whose parts were found here. */
    static Expr.Binary between(Expr.Call call) {
        Expr argument = call.arguments().get(0);
        return (Expr.Binary)
                (argument instanceof Expr.Call total ? total.arguments().get(0) : argument);
    }

    /** The seconds of a sum of times are the sum of their seconds; so with a mean, the least and the greatest. */
    private static Optional<Expr> ofTotal(Expr.Call call, ExprAdapter adapter) {
        boolean total = call.is("extract_epoch")
                && !adapter.from.name().equals(adapter.to.name())
                && call.arguments().get(0) instanceof Expr.Call inner
                && inner.arguments().size() == 1
                && inner.function().matches("sum|avg|min|max")
                && inner.arguments().get(0) instanceof Expr.Binary b
                && b.operator() == BinaryOperator.SUBTRACT
                && adapter.kind(b.left()) == ValueKind.TIMESTAMP
                && adapter.kind(b.right()) == ValueKind.TIMESTAMP;
        if (!total) {
            return Optional.empty();
        }
        Expr.Call inner = (Expr.Call) call.arguments().get(0);
        Expr seconds = call.with("extract_epoch", inner.arguments()).at(call.span());
        return Optional.of(
                new Expr.Call(inner.name(), inner.canonical(), List.of(seconds), inner.suffix(), inner.span()));
    }
}
