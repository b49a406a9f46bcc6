package raftcart.dialect.postgresql;

import java.util.Optional;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.Expr;

/** The function that stands for AT TIME ZONE, as older servers print views ("Date/Time Functions", timezone). */
final class PgCalls {
    private PgCalls() {}

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        return isZone(call) ? Optional.of(CallReading.Meaning.of(atZone(call))) : Optional.empty();
    }

    private static boolean isZone(Expr.Call call) {
        return !call.canonical()
                && call.function().equals("timezone")
                && call.arguments().size() == 2;
    }

    private static Expr atZone(Expr.Call call) {
        Expr value = call.arguments().get(1);
        Expr zone = call.arguments().get(0);
        return new Expr.AtZone(
                value instanceof Expr.Call inner && isZone(inner) ? atZone(inner) : value,
                zone instanceof Expr.Cast cast ? cast.value() : zone,
                call.span());
    }
}
