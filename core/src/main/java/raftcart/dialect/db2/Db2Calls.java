package raftcart.dialect.db2;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.CastFunctions;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** What DB2's functions mean where that hangs on a constant or a word among their arguments ("Built-in functions"). */
final class Db2Calls {
    private static final String MONTHS = "the source counts a month as 30 days and a year as 365";

    /** The first argument of TIMESTAMPDIFF: what is counted. */
    private static final Map<String, String> UNITS =
            Map.of("2", "full_seconds", "4", "full_minutes", "8", "full_hours", "16", "full_days");

    /** The words by which CHAR writes a date. */
    private static final Map<String, String> FORMATS =
            Map.of("iso", "YYYY-MM-DD", "usa", "MM/DD/YYYY", "eur", "DD.MM.YYYY", "jis", "YYYY-MM-DD");

    private Db2Calls() {}

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        List<Expr> a = call.arguments();
        if (call.canonical() || a.size() != 2) {
            return CastFunctions.meaning(call);
        }
        String format = a.get(1) instanceof Expr.Column c ? FORMATS.get(c.name().key()) : null;
        if (call.function().equals("char") && format != null) {
            return Optional.of(CallReading.Meaning.of(Expr.Call.of("format_date", a.get(0), Expr.Literal.string(format))
                    .at(call.span())));
        }
        if (call.function().equals("timestampdiff") && a.get(0) instanceof Expr.Literal unit) {
            Optional<Expr.Binary> difference = difference(a.get(1));
            String function = UNITS.get(unit.text());
            if (difference.isPresent() && function != null) {
                Expr from = difference.get().right();
                Expr to = difference.get().left();
                return Optional.of(
                        new CallReading.Meaning(Expr.Call.of(function, from, to).at(call.span()), MONTHS));
            }
        }
        return CastFunctions.meaning(call);
    }

    /** The difference of two times that is given as a text. */
    private static Optional<Expr.Binary> difference(Expr text) {
        Expr value = text instanceof Expr.Call c
                        && c.function().equals("char")
                        && c.arguments().size() == 1
                ? c.arguments().get(0)
                : text instanceof Expr.Cast cast ? cast.value() : text;
        return value instanceof Expr.Binary b && b.operator() == BinaryOperator.SUBTRACT
                ? Optional.of(b)
                : Optional.empty();
    }
}
