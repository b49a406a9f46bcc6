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
}
