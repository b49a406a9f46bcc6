package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.type.LogicalType;

/** Moments that go where there is no room for all digits of their second, which one engine cuts off and another rounds. */
final class SecondFractions {
    /** What Oracle makes of a fraction in a DATE. */
    static final String AS_NEWER = "the second without its fraction, as newer versions of the source make it";

    private static final int MOST_DIGITS = 6;

    private final ExprAdapter adapter;

    SecondFractions(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The moment, still the source's, with no more digits than the type has, by the source's way. */
    Expr fitted(Expr value, LogicalType type) {
        int room = digits(type);
        if (value instanceof Expr.Literal moment) {
            return new ConstantSeconds(adapter).fitted(moment, type);
        }
        if (value instanceof Expr.Subquery single) {
            List<Scope.ColumnFacts> columns = adapter.finder.columns(single.query(), adapter.scope);
            return columns.size() == 1 && mayHave(columns.get(0)) > room ? cut(value, type, room) : value;
        }
        boolean text = room < MOST_DIGITS && adapter.kind(value) == ValueKind.TEXT;
        if (text && !(type instanceof LogicalType.Timestamp)) {
            return cut(value, type, room);
        }
        if (text && type instanceof LogicalType.Timestamp t) {
            LogicalType whole = new LogicalType.Timestamp(MOST_DIGITS, t.zoned());
            Expr moment = new Expr.Cast(value, adapter.sourceType(whole), false, value.span());
            Expr cut = cut(moment, type, room);
            return cut == moment ? value : cut;
        }
        boolean more = room < MOST_DIGITS
                && ExprSearch.any(
                        value, e -> adapter.facts(e).filter(f -> has(f) > room).isPresent());
        return more ? cut(value, type, room) : value;
    }

    /** The same for what a query selects. */
    Expr fitted(Expr value, Scope.ColumnFacts facts, LogicalType type) {
        int digits = value instanceof Expr.Binary ? mayHave(facts) : has(facts);
        return digits > digits(type) ? cut(value, type, digits(type)) : value;
    }

    /** The digits that a value has; as many as there are for what is computed, of which no type is known. */
    private int mayHave(Scope.ColumnFacts facts) {
        boolean computed = facts.type().isEmpty()
                && facts.kind() == ValueKind.TIMESTAMP
                && !adapter.from.has(SqlFeature.DATES_HAVE_TIME); // nearly all moments of such a source are whole
        return computed ? MOST_DIGITS : has(facts);
    }

    private Expr cut(Expr value, LogicalType type, int room) {
        boolean date = isDate(room, adapter);
        boolean cuts = cuts(room, adapter);
        boolean keeps = digits(TargetTypes.chosen(type, adapter.to)) > room;
        if (isFitted(value) || !keeps && cuts == adapter.to.has(SqlFeature.FRACTIONS_ARE_CUT)) {
            return value;
        }
        if (keeps && !cuts) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    value.span(),
                    "the target keeps digits of a second that the source rounds off");
            return value;
        }
        boolean timestamp = type instanceof LogicalType.Timestamp;
        if (timestamp && cuts && room == 0 && adapter.writes("trunc_second")) {
            adapter.note(
                    date ? FindingCode.IMPLICIT_CAST : FindingCode.SYNTAX_ADAPTED,
                    value.span(),
                    date ? AS_NEWER : "the second without its fraction, as on the source");
            return Expr.Call.of("trunc_second", value).at(value.span());
        }
        if (timestamp && !cuts && adapter.writes("add_microseconds")) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, value.span(), "the second's fraction rounded, as on the source");
            Expr half = Expr.Literal.number(5 * (long) Math.pow(10, MOST_DIGITS - room - 1.0));
            Expr interval = new Expr.Interval(List.of(new Expr.IntervalPart(half, DateUnit.MICROSECOND)), value.span());
            return new Expr.Binary(BinaryOperator.ADD, value, interval, value.span());
        }
        sayDiffers(value, adapter);
        return value;
    }

    static void sayDiffers(Expr value, ExprAdapter adapter) {
        adapter.note(
                FindingCode.IMPLICIT_CAST,
                value.span(),
                "digits of a second for which there is no room are cut off by one engine and rounded by the other");
    }

    /** True for dates with a time of day that is whole ("DATE Data Type", Oracle), where older versions round. */
    static boolean isDate(int room, ExprAdapter adapter) {
        return room == 0 && adapter.from.has(SqlFeature.DATES_HAVE_TIME);
    }

    /** True where the source cuts the digits off for which there is no room; elsewhere it rounds. */
    static boolean cuts(int room, ExprAdapter adapter) {
        return isDate(room, adapter) || adapter.from.has(SqlFeature.FRACTIONS_ARE_CUT);
    }

    /** True for types that have seconds. */
    static boolean isMoment(LogicalType type) {
        return type instanceof LogicalType.Timestamp
                || type instanceof LogicalType.Time
                || type instanceof LogicalType.Duration;
    }

    /** True for a value that comes from here, so that it is not fitted twice. */
    private static boolean isFitted(Expr value) {
        return value instanceof Expr.Call call && call.is("trunc_second")
                || value instanceof Expr.Binary sum
                        && sum.right() instanceof Expr.Interval i
                        && i.parts().get(0).unit() == DateUnit.MICROSECOND
                        && i.parts().get(0).amount() instanceof Expr.Literal l
                        && l.text().matches("50*");
    }

    /** The digits behind the point that a value of the type has; as many as there are where it has none. */
    static int digits(LogicalType type) {
        return type instanceof LogicalType.Timestamp t
                ? t.precision()
                : type instanceof LogicalType.Time t
                        ? t.precision()
                        : type instanceof LogicalType.Duration d ? d.precision() : MOST_DIGITS;
    }

    /** The digits that a column's values have; none where they are no moments, or nothing is known. */
    private static int has(Scope.ColumnFacts facts) {
        return facts.type()
                .filter(SecondFractions::isMoment)
                .map(SecondFractions::digits)
                .orElse(0);
    }
}
