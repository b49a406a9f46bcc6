package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Times of day for a target that has other values in their place: intervals, or spans that go beyond midnight. */
final class ClockTimes {
    private static final Pattern CLOCK = Pattern.compile("\\s*-?\\d{1,3}:\\d\\d(:\\d\\d([.]\\d+)?)?\\s*");

    private ClockTimes() {}

    /** A text with a time of day as a constant of that kind; empty where the target reads the text, and for all else. */
    static Optional<Expr> constant(Expr e, ExprAdapter adapter) {
        boolean clock = adapter.to.has(SqlFeature.TIMES_ARE_INTERVALS)
                && !adapter.from.name().equals(adapter.to.name())
                && e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && CLOCK.matcher(l.text()).matches();
        return clock
                ? Optional.of(new Expr.Literal(
                        LiteralKind.TIME, ((Expr.Literal) e).text().strip(), e.span()))
                : Optional.empty();
    }

    /** The same for all that stand beside a time of day. */
    static List<Expr> among(List<Expr> compared, ExprAdapter adapter) {
        boolean times = adapter.to.has(SqlFeature.TIMES_ARE_INTERVALS)
                && compared.stream().anyMatch(e -> adapter.kind(e) == ValueKind.TIME);
        return times
                ? compared.stream().map(e -> constant(e, adapter).orElse(e)).toList()
                : compared;
    }

    /** The cast of a constant to a time of day; other casts to and from one are left to a person. */
    static Optional<Expr> cast(Expr value, ValueKind kind, LogicalType type, ExprAdapter adapter) {
        Optional<Expr> moment = ofMoment(value, kind, type, adapter);
        if (moment.isPresent()) {
            return moment;
        }
        ValueKind wanted = KindFinder.kind(type);
        if (!adapter.to.has(SqlFeature.TIMES_ARE_INTERVALS) || wanted != ValueKind.TIME && kind != ValueKind.TIME) {
            return Optional.empty();
        }
        boolean kept = kind == wanted;
        Optional<Expr> constant = kept ? Optional.of(adapter.expr(value)) : constant(value, adapter);
        if (constant.isEmpty() && kind != ValueKind.NULL) {
            throw new Untranslatable("a cast to or from a time of day, an interval on the target");
        }
        return constant;
    }

    /** The time of day of a moment as the interval that times are on the target, which makes none of a moment by itself. */
    static Optional<Expr> ofMoment(Expr value, ValueKind kind, LogicalType type, ExprAdapter adapter) {
        boolean spans = kind == ValueKind.TIMESTAMP
                && !adapter.from.name().equals(adapter.to.name())
                && (type instanceof LogicalType.Time || type instanceof LogicalType.Duration)
                && adapter.castType(type).name().startsWith("interval")
                && adapter.writes("time_of");
        return spans
                ? Optional.of(new Expr.Cast(
                        Expr.Call.of("time_of", adapter.expr(value)).at(value.span()),
                        adapter.castType(type),
                        false,
                        value.span()))
                : Optional.empty();
    }

    /** The same for a function; what is a time already stays what it is. */
    static Optional<Expr> ofMoment(Expr.Call call, ExprAdapter adapter) {
        if (!call.is("time_of") || adapter.from.name().equals(adapter.to.name())) {
            return Optional.empty();
        }
        Expr value = call.arguments().get(0);
        LogicalType type = adapter.finder.type(TypeName.of("time"));
        boolean kept = adapter.facts(value)
                .flatMap(Scope.ColumnFacts::type)
                .filter(type.getClass()::isInstance)
                .isPresent();
        return kept ? Optional.of(adapter.expr(value)) : ofMoment(value, adapter.kind(value), type, adapter);
    }

    /** A time of day that is counted on, as that of a moment where the target would count beyond midnight. */
    static Optional<Expr> counted(Expr time, Function<Expr, Expr> sum, Span span, ExprAdapter adapter) {
        boolean beyond = adapter.to.has(SqlFeature.TIMES_GO_BEYOND_MIDNIGHT)
                && !adapter.from.has(SqlFeature.TIMES_GO_BEYOND_MIDNIGHT)
                && adapter.kind(time) == ValueKind.TIME;
        if (!beyond) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a time of day begins anew at midnight, as on the source");
        Expr day = new Expr.Literal(LiteralKind.DATE, "2000-01-01", span);
        Expr moment = Expr.Call.of("timestamp_of_parts", day, time).at(span);
        return Optional.of(
                adapter.expr(Expr.Call.of("time_of", sum.apply(moment)).at(span)));
    }

    /** The sum of a time of day and an interval as such, where the target makes a moment of it. */
    static Expr kept(Expr sum, ValueKind kind, ExprAdapter adapter) {
        boolean moment = kind == ValueKind.TIME
                && adapter.to.has(SqlFeature.TIMES_BECOME_MOMENTS)
                && !adapter.from.name().equals(adapter.to.name());
        return moment ? Expr.Call.of("time_of", sum).at(sum.span()) : sum;
    }

    /** The same for a function that adds so many units. */
    static Optional<Expr> counted(Expr.Call add, ExprAdapter adapter) {
        List<Expr> a = add.arguments();
        return add.function().startsWith("add_") && a.size() == 2
                ? counted(a.get(0), m -> add.with(add.function(), List.of(m, a.get(1))), add.span(), adapter)
                : Optional.empty();
    }
}
