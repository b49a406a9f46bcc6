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
    private static final Pattern MOMENT = Pattern.compile("\\d{4}-\\d\\d-\\d\\d[ T](\\d\\d:\\d\\d:\\d\\d(?:[.]\\d+)?)");

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
        boolean time =
                type instanceof LogicalType.Time || type instanceof LogicalType.Duration && kind == ValueKind.TIMESTAMP;
        if (!isText() || !time && !(type instanceof LogicalType.Timestamp t && !t.zoned()) || kind == ValueKind.NULL) {
            return Optional.empty();
        }
        if (value instanceof Expr.Literal constant) {
            return constant(constant, type);
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
        boolean unsaid = kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN;
        if (unsaid && SecondFractions.digits(type) > 0) {
            say(value);
        } else if (!SecondFractions.cuts(SecondFractions.digits(type), adapter)) {
            dropped(value); // else SecondFractions has said so
        }
        return time ? Optional.of(Expr.Call.of("time_of", adapter.expr(value)).at(value.span())) : Optional.empty();
    }

    private Optional<Expr> constant(Expr.Literal constant, LogicalType type) {
        Expr.Literal fitted = new ConstantSeconds(adapter).fitted(constant, type);
        Matcher moment = MOMENT.matcher(fitted.text());
        if (type instanceof LogicalType.Time) {
            return moment.matches()
                    ? Optional.of(new Expr.Literal(LiteralKind.STRING, moment.group(1), constant.span()))
                    : Optional.empty();
        }
        return constant.kind() == LiteralKind.TIMESTAMP && moment.matches()
                ? Optional.of(adapter.expr(fitted))
                : Optional.empty();
    }

    private int digits(Expr e) {
        return adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(SecondFractions::isMoment)
                .map(SecondFractions::digits)
                .orElse(0);
    }
}
