package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Keeps the digits of averages and medians: some engines give no more than the values have. */
final class AverageAdapter {
    private static final Set<String> AVERAGES =
            Set.of("avg", "median", "stddev_pop", "stddev_samp", "var_pop", "var_samp");

    private final ExprAdapter adapter;

    AverageAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The call in the target's terms, whose arguments are adapted already. */
    Expr average(Expr.Call adapted, Expr.Call call) {
        if (adapted.is("sum")) {
            return sum(adapted, call);
        }
        if (!AVERAGES.contains(adapted.function())) {
            return adapted;
        }
        ValueKind kind = adapter.kind(call.arguments().get(0));
        sayDifferences(adapted, call, kind);
        if (kind == ValueKind.UNKNOWN && adapted.is("avg") && isLostOnTarget()) {
            adapter.note(FindingCode.DIVISION, call.span(), "an average with its fraction, whatever it is taken of");
            return widened(adapted, call);
        }
        boolean four = fourMore(adapter.from, adapted, kind);
        boolean sourceCuts = four || cuts(adapter.from, adapted, kind);
        boolean enough = four
                && fourMore(adapter.to, adapted, kind)
                && DivisionDigits.more(adapter.to) >= DivisionDigits.more(adapter.from);
        boolean isShort =
                kind == ValueKind.DECIMAL && adapted.is("avg") && DivisionDigits.isShort(adapter.from, adapter.to);
        boolean targetCuts =
                isShort || !enough && (fourMore(adapter.to, adapted, kind) || cuts(adapter.to, adapted, kind));
        if (enough && DivisionDigits.more(adapter.to) == DivisionDigits.more(adapter.from)
                || sourceCuts && !four && cuts(adapter.to, adapted, kind)) {
            return adapted;
        }
        Expr.Call full = adapted;
        if (targetCuts) {
            adapter.note(FindingCode.DIVISION, call.span(), "an average with all of its digits");
            Expr wide = new Expr.Cast(
                    adapted.arguments().get(0), adapter.castType(DivisionDigits.wide(adapter.to)), false, call.span());
            full = new Expr.Call(adapted.name(), true, List.of(wide), adapted.suffix(), call.span());
        }
        return sourceCuts ? rounded(full, call, kind, four) : new CutQuotients(adapter).average(full, call);
    }

    /** Says where the source may give fewer digits, which depends on types that are not known here. */
    private void sayDifferences(Expr.Call adapted, Expr.Call call, ValueKind kind) {
        Expr of = call.arguments().get(0);
        if (adapted.is("avg") && DivisionDigits.isMoney(adapter, of)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, call.span(), DivisionDigits.FOUR_OF_MONEY);
        }
        boolean perhaps = kind == ValueKind.UNKNOWN
                && adapted.is("avg")
                && adapter.lost(SqlFeature.WHOLE_AVERAGES)
                && !isMadeFraction(of);
        if (perhaps) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN,
                    call.span(),
                    "on the source an average of whole numbers is whole; it is not known whether these are");
        }
    }

    /** The sum of a column of whole numbers, with room for it where the target gives it none by itself. */
    private Expr sum(Expr.Call adapted, Expr.Call call) {
        boolean narrow = adapter.to.has(SqlFeature.SUMS_KEEP_TYPE)
                && !adapter.from.has(SqlFeature.SUMS_KEEP_TYPE)
                && adapter.facts(call.arguments().get(0))
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Int i && i.bits() <= 32)
                        .isPresent();
        if (!narrow) {
            return adapted;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a sum of whole numbers with 64 bits");
        Expr wide = new Expr.Cast(
                adapted.arguments().get(0), adapter.castType(new LogicalType.Int(64, false)), false, call.span());
        return new Expr.Call(adapted.name(), true, List.of(wide), adapted.suffix(), call.span());
    }

    private boolean isLostOnTarget() {
        return adapter.to.has(SqlFeature.WHOLE_AVERAGES) && !adapter.from.has(SqlFeature.WHOLE_AVERAGES);
    }

    /** The average of values that have a fraction for certain, and stay floating-point numbers if they are such. */
    private Expr widened(Expr.Call average, Expr.Call call) {
        String one = adapter.to.has(SqlFeature.AVERAGES_KEEP_SCALE) ? "1.0000000000" : "1.0";
        Expr factor = new Expr.Literal(LiteralKind.NUMBER, one, call.span());
        Expr wide = new Expr.Binary(BinaryOperator.MULTIPLY, average.arguments().get(0), factor, call.span());
        return new Expr.Call(average.name(), true, List.of(wide), average.suffix(), call.span());
    }

    /** {@code n * 1.0}, which no average cuts off. */
    private static boolean isMadeFraction(Expr e) {
        return e instanceof Expr.Binary b
                && b.operator() == BinaryOperator.MULTIPLY
                && Stream.of(b.left(), b.right())
                        .anyMatch(f -> f instanceof Expr.Literal l && l.text().contains("."));
    }

    /** The average with as many digits as the source gives. */
    private Expr rounded(Expr.Call average, Expr.Call call, ValueKind kind, boolean four) {
        Optional<Integer> scale = DivisionDigits.scale(adapter, call.arguments().get(0), kind);
        if (four && scale.isPresent() && adapter.writes("round_to")) {
            adapter.note(FindingCode.DIVISION, call.span(), "rounded as on the source");
            return Expr.Call.of(
                            "round_to",
                            adapter.ofKind(average, roundable(call)),
                            Expr.Literal.number(DivisionDigits.digits(adapter.from, scale.get())))
                    .at(call.span());
        }
        if (!four && kind == ValueKind.INTEGER && adapter.writes("truncate")) {
            adapter.note(FindingCode.DIVISION, call.span(), "an average without its fraction");
            return Expr.Call.of("truncate", average).at(call.span());
        }
        adapter.note(FindingCode.FUNCTION_DIFFERS, call.span(), "the source cuts digits off an average");
        return average;
    }

    /** An average of a column of exact numbers is one; what is computed may be a floating-point number on the target. */
    private static ValueKind roundable(Expr.Call call) {
        return call.is("avg") && call.arguments().get(0) instanceof Expr.Column ? ValueKind.DECIMAL : ValueKind.FLOAT;
    }

    private static boolean fourMore(Language language, Expr.Call call, ValueKind kind) {
        return DivisionDigits.more(language) > 0
                && (language.has(SqlFeature.FOUR_DIGITS_OF_DIVISION) ? !call.is("median") : call.is("avg"))
                && (kind == ValueKind.INTEGER || kind == ValueKind.DECIMAL);
    }

    private static boolean cuts(Language language, Expr.Call call, ValueKind kind) {
        boolean keeps = language.has(SqlFeature.AVERAGES_KEEP_SCALE) && (call.is("avg") || call.is("median"));
        return switch (kind) {
            case INTEGER -> keeps || call.is("avg") && language.has(SqlFeature.WHOLE_AVERAGES);
            case DECIMAL -> keeps;
            default -> false;
        };
    }
}
