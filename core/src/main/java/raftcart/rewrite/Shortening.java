package raftcart.rewrite;

import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * A number that gets no more digits behind the point than there is room for, as the source does it.
 *
 * @param rounds false where the source cuts digits off
 */
record Shortening(boolean rounds, int digits, Span span) {
    /** The number with so many digits; as it is, of which is told that it becomes another, where there is no such function. */
    Expr of(Expr value, ValueKind kind, ExprAdapter adapter) {
        String function = (rounds ? "round" : "truncate") + (digits == 0 ? "" : "_to");
        boolean whole = kind == ValueKind.FLOAT && rounds && digits == 0;
        if (whole ? whole(value, adapter).isEmpty() : !adapter.writes(function)) {
            adapter.note(FindingCode.IMPLICIT_CAST, span, "one engine rounds and the other cuts the fraction off");
            return value;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, rounds ? "rounded as on the source" : "cut as on the source");
        if (whole) {
            return whole(value, adapter).orElseThrow();
        }
        binary(value, kind, span, adapter);
        return digits == 0
                ? Expr.Call.of(function, value).at(span)
                : Expr.Call.of(function, value, Expr.Literal.number(digits)).at(span);
    }

    /** A floating-point number, rounded as the source does it where it makes it a whole one. */
    static Optional<Expr> whole(Expr value, ExprAdapter adapter) {
        Expr half = new Expr.Literal(LiteralKind.NUMBER, "0.5", value.span());
        Expr.Call whole = adapter.from.has(SqlFeature.FLOAT_HALVES_GO_UP)
                ? Expr.Call.of("floor", new Expr.Binary(BinaryOperator.ADD, value, half, value.span()))
                : Expr.Call.of("round_even", adapter.ofKind(value, ValueKind.FLOAT));
        return adapter.writes(whole.function()) ? Optional.of(whole.at(value.span())) : Optional.empty();
    }

    /** Says where a computed decimal is rounded by an engine that computes with binary numbers ("Floating Point Numbers", SQLite). */
    static void binary(Expr value, ValueKind kind, Span span, ExprAdapter adapter) {
        boolean computed = !(value instanceof Expr.Column || value instanceof Expr.Literal);
        if (computed
                && kind == ValueKind.DECIMAL
                && adapter.to.has(SqlFeature.DECIMALS_KEEP_DIGITS)
                && !adapter.from.has(SqlFeature.DECIMALS_KEEP_DIGITS)) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, span, "what is a half on the source may be a bit less on the target");
        }
    }
}
