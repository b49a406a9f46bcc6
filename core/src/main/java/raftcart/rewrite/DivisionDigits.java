package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** Keeps the digits of quotients: some engines give four more than the dividend has, others as many as make sense. */
final class DivisionDigits {
    private static final int MORE = 4;

    private final ExprAdapter adapter;

    DivisionDigits(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr keep(Expr.Binary source, Expr quotient) {
        boolean few = adapter.from.has(SqlFeature.FOUR_DIGITS_OF_DIVISION);
        boolean fewer = adapter.to.has(SqlFeature.FOUR_DIGITS_OF_DIVISION);
        ValueKind left = adapter.kind(source.left());
        boolean floating = left == ValueKind.FLOAT || adapter.kind(source.right()) == ValueKind.FLOAT;
        if (few == fewer
                || floating
                || !(quotient instanceof Expr.Binary binary)
                || binary.operator() == BinaryOperator.DIVIDE_WHOLE) {
            return quotient;
        }
        if (fewer) {
            adapter.note(FindingCode.DIVISION, source.span(), "with more digits than the target gives by itself");
            Expr wide = new Expr.Cast(
                    binary.left(), adapter.castType(new LogicalType.Decimal(0, 0, false)), false, source.span());
            return new Expr.Binary(binary.operator(), wide, binary.right(), source.span());
        }
        Optional<Integer> scale = scale(source.left(), left);
        if (scale.isEmpty()) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, source.span(), "the source rounds a quotient to few digits");
            return quotient;
        }
        adapter.note(FindingCode.DIVISION, source.span(), "rounded as on the source");
        return new Expr.Call(
                raftcart.sql.tree.QualifiedName.of("round_to"),
                true,
                List.of(quotient, Expr.Literal.number(scale.get() + MORE)),
                raftcart.sql.tree.CallSuffix.NONE,
                source.span());
    }

    /** The fractional digits of a dividend, if they are known. */
    private Optional<Integer> scale(Expr dividend, ValueKind kind) {
        if (kind == ValueKind.INTEGER) {
            return Optional.of(0);
        }
        if (dividend instanceof Expr.Literal literal) {
            int point = literal.text().indexOf('.');
            return Optional.of(point < 0 ? 0 : literal.text().length() - point - 1);
        }
        return adapter.facts(dividend)
                .flatMap(Scope.ColumnFacts::type)
                .filter(LogicalType.Decimal.class::isInstance)
                .map(t -> ((LogicalType.Decimal) t).scale());
    }
}
