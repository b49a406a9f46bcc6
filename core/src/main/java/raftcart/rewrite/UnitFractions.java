package raftcart.rewrite;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Expr.IntervalPart;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/**
 * Amounts of units of time that are no whole numbers: some engines count the fraction ("Date/Time Functions and Operators",
 * PostgreSQL), some round the amount ("Date and Time Units", MariaDB), others cut the fraction off ("DATEADD", SQL Server).
 */
final class UnitFractions {
    private static final Pattern NUMBER = Pattern.compile("-?[0-9]*\\.?[0-9]+([eE][-+]?[0-9]+)?");

    private static final Set<String> WHOLE = Set.of("round", "round_even", "truncate", "floor", "ceil");

    private enum Fractions {
        COUNT,
        ROUND,
        CUT
    }

    /** Microseconds of the units whose fractions are a length of their own. */
    private static final Map<DateUnit, Long> LENGTHS = Map.of(
            DateUnit.WEEK, 604_800_000_000L,
            DateUnit.DAY, 86_400_000_000L,
            DateUnit.HOUR, 3_600_000_000L,
            DateUnit.MINUTE, 60_000_000L,
            DateUnit.SECOND, 1_000_000L,
            DateUnit.MILLISECOND, 1_000L,
            DateUnit.MICROSECOND, 1L);

    private final ExprAdapter adapter;

    UnitFractions(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The amounts of an interval as the target has to have them. */
    Expr.Interval interval(Expr.Interval interval) {
        return same()
                ? interval
                : new Expr.Interval(
                        interval.parts().stream()
                                .map(p -> part(p, interval.span(), SqlFeature.INTERVAL_SECONDS_HAVE_PARTS))
                                .toList(),
                        interval.span());
    }

    /** A function that adds so many units, or makes a moment of seconds; empty where its amount may stay. */
    Optional<Expr.Call> call(Expr.Call add) {
        if (add.function().endsWith("_of_epoch")
                && !same()
                && !isWhole(add.arguments().get(0))) {
            lost(add.span());
        }
        Optional<DateUnit> unit =
                add.function().startsWith("add_") && add.arguments().size() == 2
                        ? DateUnit.named(add.function().substring("add_".length()))
                        : Optional.empty();
        if (same() || unit.isEmpty()) {
            return Optional.empty();
        }
        IntervalPart given = new IntervalPart(add.arguments().get(1), unit.get());
        IntervalPart part = part(given, add.span(), SqlFeature.SECONDS_HAVE_PARTS);
        return part == given
                ? Optional.empty()
                : Optional.of(add.with(
                        "add_" + part.unit().name().toLowerCase(Locale.ROOT) + "s",
                        List.of(add.arguments().get(0), part.amount())));
    }

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    private boolean isWhole(Expr amount) {
        ValueKind kind = adapter.kind(amount);
        return constant(amount)
                .map(c -> c.stripTrailingZeros().scale() <= 0)
                .orElse(kind != ValueKind.DECIMAL && kind != ValueKind.FLOAT
                        || amount instanceof Expr.Call c && (c.canonical() && WHOLE.contains(c.function())));
    }

    /** @param seconds where seconds count with their fractions */
    private IntervalPart part(IntervalPart part, Span span, SqlFeature seconds) {
        boolean whole = isWhole(part.amount());
        Optional<BigDecimal> constant = constant(part.amount());
        Fractions source = fractions(adapter.from, part.unit(), seconds);
        if (!whole) {
            lost(span);
        }
        Fractions target = fractions(adapter.to, part.unit(), seconds);
        if (!whole && constant.isEmpty() && target == Fractions.COUNT && adapter.to.has(SqlFeature.PARTS_ARE_LATE)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    "the target is a second late where a part of a second is taken away by a factor below zero");
        }
        if (whole || source == target && source != Fractions.CUT && !otherHalves(source, part.amount())) {
            return part;
        }
        if (source != Fractions.COUNT) {
            RoundingMode mode = source == Fractions.ROUND ? RoundingMode.HALF_UP : RoundingMode.DOWN;
            return new IntervalPart(
                    constant.<Expr>map(c -> number(c.setScale(0, mode), span))
                            .orElseGet(() -> whole(part.amount(), source)),
                    part.unit());
        }
        if (!LENGTHS.containsKey(part.unit())) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "a part of a " + part.unit().word() + " counts on the source alone");
            return part;
        }
        return constant.map(c -> smaller(c, part.unit(), span)).orElseGet(() -> smaller(part, span));
    }

    /** True where both engines round a floating-point number, but its halves in another way. */
    private boolean otherHalves(Fractions source, Expr amount) {
        return source == Fractions.ROUND
                && adapter.kind(amount) == ValueKind.FLOAT
                && adapter.from.has(SqlFeature.FLOAT_HALVES_GO_UP) != adapter.to.has(SqlFeature.FLOAT_HALVES_GO_UP);
    }

    private Expr whole(Expr amount, Fractions source) {
        boolean rounds = source == Fractions.ROUND;
        return rounds && adapter.kind(amount) == ValueKind.FLOAT
                ? Shortening.whole(amount, adapter)
                        .orElseThrow(() -> new Untranslatable("a floating-point number that is rounded"))
                : Expr.Call.of(rounds ? "round" : "truncate", amount).at(amount.span());
    }

    private void lost(Span span) {
        if (adapter.from.has(SqlFeature.MOMENTS_ARE_WHOLE_SECONDS)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, span, "the source cuts fractions of seconds off");
        }
    }

    /** The same length in the greatest unit of which it is a whole number. */
    private static IntervalPart smaller(BigDecimal amount, DateUnit unit, Span span) {
        BigDecimal length =
                amount.multiply(BigDecimal.valueOf(LENGTHS.get(unit))).setScale(0, RoundingMode.HALF_EVEN);
        DateUnit fit =
                List.of(DateUnit.DAY, DateUnit.HOUR, DateUnit.MINUTE, DateUnit.SECOND, DateUnit.MILLISECOND).stream()
                        .filter(u -> length.remainder(BigDecimal.valueOf(LENGTHS.get(u)))
                                        .signum()
                                == 0)
                        .findFirst()
                        .orElse(DateUnit.MICROSECOND);
        return new IntervalPart(number(length.divide(BigDecimal.valueOf(LENGTHS.get(fit))), span), fit);
    }

    private IntervalPart smaller(IntervalPart part, Span span) {
        // A product of a floating-point number is not exact: rounded to microseconds it is what the source has.
        boolean exact = part.unit() == DateUnit.SECOND || adapter.kind(part.amount()) != ValueKind.FLOAT;
        boolean seconds = fractions(adapter.to, DateUnit.SECOND, SqlFeature.SECONDS_HAVE_PARTS) == Fractions.COUNT
                && LENGTHS.get(part.unit()) >= LENGTHS.get(DateUnit.SECOND)
                && exact;
        DateUnit unit = seconds ? DateUnit.SECOND : DateUnit.MICROSECOND;
        long times = LENGTHS.get(part.unit()) / LENGTHS.get(unit);
        Expr amount = times <= 1
                ? part.amount()
                : new Expr.Binary(BinaryOperator.MULTIPLY, part.amount(), Expr.Literal.number(times), span);
        return new IntervalPart(seconds ? amount : rounded(amount).at(span), unit);
    }

    private Expr.Call rounded(Expr amount) {
        return Expr.Call.of(adapter.kind(amount) == ValueKind.FLOAT ? "round_even" : "round", amount);
    }

    private static Fractions fractions(Language engine, DateUnit unit, SqlFeature seconds) {
        if (engine.has(SqlFeature.UNITS_HAVE_PARTS)
                || unit == DateUnit.SECOND && (engine.has(seconds) || engine.has(SqlFeature.SECONDS_HAVE_PARTS))) {
            return Fractions.COUNT;
        }
        return engine.has(SqlFeature.UNITS_ARE_ROUNDED) ? Fractions.ROUND : Fractions.CUT;
    }

    private static Optional<BigDecimal> constant(Expr amount) {
        if (amount instanceof Expr.Unary u && u.operator() == UnaryOperator.MINUS) {
            return constant(u.operand()).map(BigDecimal::negate);
        }
        return amount instanceof Expr.Literal l
                        && l.kind() == LiteralKind.NUMBER
                        && NUMBER.matcher(l.text()).matches()
                ? Optional.of(new BigDecimal(l.text()))
                : Optional.empty();
    }

    private static Expr.Literal number(BigDecimal value, Span span) {
        return new Expr.Literal(LiteralKind.NUMBER, value.toPlainString(), span);
    }
}
