package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Intervals that are computed from a number, in the forms that PostgreSQL has for them ("Date/Time Functions and Operators",
 * make_interval; "Data Types", interval), and comparisons of the time between two moments with one.
 */
final class IntervalForms {
    /** The arguments of make_interval, in their order. */
    private static final Map<String, DateUnit> PARTS = Map.of(
            "years", DateUnit.YEAR,
            "months", DateUnit.MONTH,
            "weeks", DateUnit.WEEK,
            "days", DateUnit.DAY,
            "hours", DateUnit.HOUR,
            "mins", DateUnit.MINUTE,
            "secs", DateUnit.SECOND);

    private static final List<String> ORDER = List.of("years", "months", "weeks", "days", "hours", "mins", "secs");

    private IntervalForms() {}

    /** The interval that an expression computes; empty for anything else. */
    static Optional<Expr.Interval> computed(Expr e) {
        if (e instanceof Expr.Call call && call.function().equals("make_interval") && !call.canonical()) {
            return made(call);
        }
        return e instanceof Expr.Cast cast
                        && cast.type().name().equals("interval")
                        && !cast.type().array()
                ? joined(cast)
                : Optional.empty();
    }

    private static Optional<Expr.Interval> made(Expr.Call call) {
        List<Expr.IntervalPart> parts = new ArrayList<>();
        for (int i = 0; i < call.arguments().size(); i++) {
            Expr argument = call.arguments().get(i);
            boolean named = argument instanceof Expr.NamedArgument;
            String name = named ? ((Expr.NamedArgument) argument).name().key() : i < ORDER.size() ? ORDER.get(i) : "";
            if (!PARTS.containsKey(name)) {
                return Optional.empty();
            }
            Expr amount = named ? ((Expr.NamedArgument) argument).value() : argument;
            boolean zero = amount instanceof Expr.Literal l && l.text().equals("0");
            if (!zero) {
                parts.add(new Expr.IntervalPart(amount, PARTS.get(name)));
            }
        }
        return parts.isEmpty() ? Optional.empty() : Optional.of(new Expr.Interval(parts, call.span()));
    }

    /** A number and the name of a unit put together, {@code (n || ' days')::interval}. */
    private static Optional<Expr.Interval> joined(Expr.Cast cast) {
        Expr inner = cast.value();
        boolean two = inner instanceof Expr.Concat c && c.parts().size() == 2;
        if (!two) {
            return Optional.empty();
        }
        Expr unit = uncast(((Expr.Concat) inner).parts().get(1));
        Expr amount = uncast(((Expr.Concat) inner).parts().get(0));
        return unit instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? unit(l.text().strip())
                        .map(u -> new Expr.Interval(List.of(new Expr.IntervalPart(amount, u)), cast.span()))
                : Optional.empty();
    }

    private static Optional<DateUnit> unit(String word) {
        String one = word.toLowerCase(Locale.ROOT).replaceFirst("s$", "");
        return switch (one) {
            case "year", "month", "week", "day", "hour", "minute", "second" ->
                Optional.of(DateUnit.valueOf(one.toUpperCase(Locale.ROOT)));
            case "min" -> Optional.of(DateUnit.MINUTE);
            case "sec" -> Optional.of(DateUnit.SECOND);
            default -> Optional.empty();
        };
    }

    /** A value without a cast to a text, in which it is put together. */
    private static Expr uncast(Expr e) {
        return e instanceof Expr.Cast cast
                        && cast.type().parameters().isEmpty()
                        && cast.type().name().matches("text|varchar|character varying")
                ? cast.value()
                : e;
    }

    /**
     * {@code a - b > interval} as {@code a > b + interval}, where the target has no value for the time between two moments;
     * not with months or years, whose length hangs on the moment to which they are added.
     */
    static Optional<Expr.Binary> compared(Expr.Binary binary, ExprAdapter adapter) {
        boolean concerns = binary.operator().compares()
                && !adapter.from.name().equals(adapter.to.name())
                && !adapter.to.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS);
        if (!concerns) {
            return Optional.empty();
        }
        boolean turned = isDifference(binary.right(), adapter);
        Expr difference = turned ? binary.right() : binary.left();
        Optional<Expr.Interval> length = DateAdapter.interval(turned ? binary.left() : binary.right())
                .filter(i ->
                        i.parts().stream().noneMatch(p -> p.unit() == DateUnit.MONTH || p.unit() == DateUnit.YEAR));
        if (length.isEmpty() || !isDifference(difference, adapter)) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, binary.span(), "the time between two moments compared by the moments");
        Expr.Binary between = (Expr.Binary) difference;
        Expr later = new Expr.Binary(BinaryOperator.ADD, between.right(), length.get(), binary.span());
        return Optional.of(
                turned
                        ? new Expr.Binary(binary.operator(), later, between.left(), binary.span())
                        : new Expr.Binary(binary.operator(), between.left(), later, binary.span()));
    }

    private static boolean isDifference(Expr e, ExprAdapter adapter) {
        return e instanceof Expr.Binary b
                && b.operator() == BinaryOperator.SUBTRACT
                && (adapter.kind(b.left()) == ValueKind.TIMESTAMP
                                && adapter.kind(b.right()).isDate()
                        || adapter.kind(b.left()).isDate() && adapter.kind(b.right()) == ValueKind.TIMESTAMP);
    }
}
