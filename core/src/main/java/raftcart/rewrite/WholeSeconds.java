package raftcart.rewrite;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Moments on SQLite, whose functions for them give whole seconds ("Date And Time Functions"). */
final class WholeSeconds {
    private static final Pattern MOMENT = Pattern.compile(
            "\\d{4}-\\d\\d-\\d\\d[ T](\\d\\d:\\d\\d:\\d\\d(?:[.]\\d+)?)(?: ?[+-]\\d\\d(?::?\\d\\d)?|Z)?");

    private final ExprAdapter adapter;

    WholeSeconds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Says where a function of the target drops digits of a second that the value has. */
    void function(Expr.Call call) {
        boolean drops = call.function().startsWith("add_") || call.isAny("sub_days", "timestamp_of", "time_of");
        if (drops && !call.arguments().isEmpty()) {
            dropped(call.arguments().get(0));
        }
    }

    /** The same for a value that is counted on, or cast. */
    void dropped(Expr value) {
        if (isText() && ExprSearch.any(value, e -> digits(e) > 0)) {
            say(value);
        }
    }

    private void say(Expr value) {
        adapter.note(
                FindingCode.IMPLICIT_CAST,
                value.span(),
                "the second's fraction is lost: the target gives whole seconds");
    }

    private boolean isText() {
        return adapter.to.has(SqlFeature.DATES_ARE_TEXTS) && !adapter.from.has(SqlFeature.DATES_ARE_TEXTS);
    }

    /** The cast, or the value itself where that is the same; empty where the target's cast does. */
    Optional<Expr> cast(Expr value, ValueKind kind, LogicalType type) {
        boolean clock = type instanceof LogicalType.Time t && !t.zoned() || type instanceof LogicalType.Duration;
        boolean moment = clock || type instanceof LogicalType.Timestamp instant && !instant.zoned();
        if (!isText() || !moment || kind == ValueKind.NULL) {
            return Optional.empty();
        }
        if (value instanceof Expr.Literal constant) {
            return clock ? clock(constant, type) : constant(constant, type);
        }
        boolean perhaps = kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN;
        if (type instanceof LogicalType.Duration && perhaps) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, value.span(), "the text stays as it is, with its day if it has one");
            return Optional.empty();
        }
        boolean fits = adapter.facts(value)
                .flatMap(Scope.ColumnFacts::type)
                .filter(has -> has.getClass() == type.getClass()
                        && !(has instanceof LogicalType.Timestamp t && t.zoned())
                        && SecondFractions.digits(has) <= SecondFractions.digits(type))
                .isPresent();
        if (fits) {
            return Optional.of(adapter.expr(value));
        }
        int room = SecondFractions.digits(type);
        if (perhaps && room > 0) {
            say(value);
        } else if (room > 0 || !SecondFractions.cuts(room, adapter)) { // else the source cuts it off, too
            dropped(value);
        }
        boolean time = type instanceof LogicalType.Time || clock && kind == ValueKind.TIMESTAMP;
        return time ? Optional.of(Expr.Call.of("time_of", adapter.expr(value)).at(value.span())) : Optional.empty();
    }

    private Optional<Expr> constant(Expr.Literal constant, LogicalType type) {
        Expr.Literal fitted = new ConstantSeconds(adapter).fitted(constant, type);
        return constant.kind() == LiteralKind.TIMESTAMP
                        && MOMENT.matcher(fitted.text()).matches()
                ? Optional.of(adapter.expr(fitted))
                : Optional.empty();
    }

    /** A constant time of day, without the day that may stand before it and the zone behind it. */
    private Optional<Expr> clock(Expr.Literal constant, LogicalType type) {
        if (constant.kind() == LiteralKind.NUMBER) {
            return Optional.of(DateAdapter.timeOfNumber(constant));
        }
        Expr.Literal read = constant.kind() == LiteralKind.STRING
                ? new DateAdapter(adapter).asRead(constant, ValueKind.TIME)
                : constant;
        String text = new ConstantSeconds(adapter).fitted(read, type).text();
        Matcher moment = MOMENT.matcher(text);
        return Optional.of(
                new Expr.Literal(LiteralKind.STRING, moment.matches() ? moment.group(1) : text, constant.span()));
    }

    private int digits(Expr e) {
        return adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(SecondFractions::isMoment)
                .map(SecondFractions::digits)
                .orElse(0);
    }
}
