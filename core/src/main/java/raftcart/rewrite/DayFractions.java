package raftcart.rewrite;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Fractions of days that are added to a date, such as {@code SYSDATE + 1/24} ("Datetime Data Types and Time Zone Support", Datetime
 * and Interval Arithmetic), where the target adds whole days only.
 */
final class DayFractions {
    private static final long DAY = 86400;
    private static final Map<Long, String> UNITS = Map.of(24L, "add_hours", 1440L, "add_minutes", DAY, "add_seconds");

    private final ExprAdapter adapter;

    DayFractions(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The date with the days added in smaller units; empty where they are whole, or the target adds fractions. */
    Optional<Expr> add(Expr date, Expr days, boolean minus) {
        boolean possible = adapter.from.has(SqlFeature.DATE_PLUS_DAYS) && !isWhole(days);
        if (!possible) {
            return Optional.empty();
        }
        Quotient parts = quotient(days);
        String unit = UNITS.get(parts.divisor());
        if (unit != null && isWhole(parts.dividend())) {
            return Optional.of(call(unit, date, adapter.expr(parts.dividend()), minus, days));
        }
        if (adapter.to.has(SqlFeature.FRACTIONS_OF_DAYS)) {
            return Optional.empty();
        }
        if (days instanceof Expr.Column || days instanceof Expr.Parameter) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN, days.span(), "taken for whole days; a fraction of a day would be lost");
            return Optional.empty();
        }
        Expr seconds =
                new Expr.Binary(BinaryOperator.MULTIPLY, adapter.expr(days), Expr.Literal.number(DAY), days.span());
        return Optional.of(call("add_seconds", date, seconds, minus, days));
    }

    private static Expr call(String function, Expr date, Expr amount, boolean minus, Expr days) {
        return Expr.Call.of(function, date, minus ? DateAdapter.negative(amount) : amount)
                .at(days.span());
    }

    private boolean isWhole(Expr e) {
        boolean numeral = e instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER;
        boolean divided = e instanceof Expr.Binary b && b.operator().divides();
        return numeral ? ((Expr.Literal) e).text().matches("-?\\d+") : !divided && adapter.kind(e) == ValueKind.INTEGER;
    }

    private record Quotient(Expr dividend, long divisor) {}

    /** Divisions by constants as one by their product. */
    private static Quotient quotient(Expr e) {
        if (e instanceof Expr.Binary b && b.operator().divides()) {
            Optional<Long> constant = constant(b.right());
            if (constant.isPresent()) {
                Quotient inner = quotient(b.left());
                return new Quotient(inner.dividend(), inner.divisor() * constant.get());
            }
        }
        return new Quotient(e, 1);
    }

    private static Optional<Long> constant(Expr e) {
        if (e instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER
                && l.text().matches("[1-9]\\d{0,6}")) {
            return Optional.of(Long.parseLong(l.text()));
        }
        if (e instanceof Expr.Binary b && b.operator() == BinaryOperator.MULTIPLY) {
            return List.of(b.left(), b.right()).stream()
                    .map(DayFractions::constant)
                    .reduce(Optional.of(1L), (x, y) -> x.flatMap(a -> y.map(c -> a * c)));
        }
        return Optional.empty();
    }
}
