package raftcart.dialect.db2;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.CastFunctions;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** What DB2's functions mean where that hangs on a constant or a word among their arguments ("Built-in functions"). */
final class Db2Calls {
    private static final String MONTHS = "the source counts a month as 30 days and a year as 365";

    /** The first argument of TIMESTAMPDIFF: what is counted. */
    private static final Map<String, String> UNITS =
            Map.of("2", "full_seconds", "4", "full_minutes", "8", "full_hours", "16", "full_days");

    /** The words by which CHAR writes a date. */
    private static final Map<String, String> FORMATS =
            Map.of("iso", "YYYY-MM-DD", "usa", "MM/DD/YYYY", "eur", "DD.MM.YYYY", "jis", "YYYY-MM-DD");

    private static final Pattern TEXTS = Pattern.compile("\\d{4}-\\d\\d-\\d\\d \\d\\d([:.])\\d\\d\\1\\d\\d");

    /** The Julian day of the last day before the year 1. */
    private static final long JULIAN_YEAR_1 = 1_721_425;

    private Db2Calls() {}

    private static String text(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING ? l.text() : "";
    }

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        List<Expr> a = call.arguments();
        if (call.canonical()) {
            return CastFunctions.meaning(call);
        }
        if (a.size() == 1) {
            return ofOne(call, a.get(0)).map(e -> CallReading.Meaning.of(e)).or(() -> CastFunctions.meaning(call));
        }
        if (call.function().equals("strip") && a.size() <= 3 && a.get(1) instanceof Expr.Column side) {
            return stripped(call, side.name().key());
        }
        if (a.size() != 2) {
            return CastFunctions.meaning(call);
        }
        if (call.function().equals("timestamp")
                && TEXTS.matcher(text(a.get(0)) + ' ' + text(a.get(1))).matches()) {
            String moment = text(a.get(0)) + ' ' + text(a.get(1)).replaceFirst("(\\d)\\.(\\d\\d)\\.(\\d)", "$1:$2:$3");
            return Optional.of(CallReading.Meaning.of(new Expr.Literal(LiteralKind.TIMESTAMP, moment, call.span())));
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

    /** Numbers that DB2 counts from a day or from midnight. */
    private static Optional<Expr> ofOne(Expr.Call call, Expr value) {
        if (call.function().equals("julian_day")) {
            Expr days = Expr.Call.of("days_since_year_1", value).at(call.span());
            return Optional.of(
                    new Expr.Binary(BinaryOperator.ADD, days, Expr.Literal.number(JULIAN_YEAR_1), call.span()));
        }
        if (call.function().equals("midnight_seconds")) {
            Expr seconds = Expr.Call.of("seconds_of_time", value).at(call.span());
            return Optional.of(Expr.Call.of("truncate", seconds).at(call.span()));
        }
        return Optional.empty();
    }

    /** STRIP with the side at which it takes away a character. */
    private static Optional<CallReading.Meaning> stripped(Expr.Call call, String side) {
        String function =
                switch (side) {
                    case "l", "leading" -> "ltrim_of";
                    case "t", "trailing" -> "rtrim_of";
                    case "b", "both" -> "trim_of";
                    default -> "";
                };
        Expr what = call.arguments().size() == 3 ? call.arguments().get(2) : Expr.Literal.string(" ");
        return function.isEmpty()
                ? Optional.empty()
                : Optional.of(CallReading.Meaning.of(
                        Expr.Call.of(function, call.arguments().get(0), what).at(call.span())));
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
