package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** Keeps the digits of quotients: some engines give four more than the dividend has, others as many as make sense. */
final class DivisionDigits {
    /** "div_precision_increment" of MariaDB's and MySQL's manuals. */
    static final int MORE = 4;

    private final ExprAdapter adapter;

    DivisionDigits(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr keep(Expr.Binary source, Expr quotient) {
        ValueKind left = adapter.kind(source.left());
        ValueKind right = adapter.kind(source.right());
        boolean few = few(adapter.from, left, right);
        boolean whole = left == ValueKind.INTEGER && right == ValueKind.INTEGER;
        boolean fewer = few(adapter.to, left, right) || adapter.to.has(SqlFeature.NARROW_QUOTIENTS) && !whole;
        boolean four = adapter.from.has(SqlFeature.FOUR_DIGITS_OF_DIVISION);
        boolean alike = four && adapter.to.has(SqlFeature.FOUR_DIGITS_OF_DIVISION);
        if (alike
                || left == ValueKind.FLOAT
                || right == ValueKind.FLOAT
                || !(quotient instanceof Expr.Binary binary)
                || binary.operator() == BinaryOperator.DIVIDE_WHOLE) {
            return quotient;
        }
        Expr full = quotient;
        if (fewer) {
            adapter.note(FindingCode.DIVISION, source.span(), "with more digits than the target gives by itself");
            Expr wide = new Expr.Cast(
                    binary.left(), adapter.castType(new LogicalType.Decimal(0, 0, false)), false, source.span());
            full = new Expr.Binary(binary.operator(), wide, binary.right(), source.span());
        }
        return few ? rounded(source, full, left, four) : full;
    }

    private Expr rounded(Expr.Binary source, Expr quotient, ValueKind left, boolean four) {
        Optional<Integer> scale = four ? scale(adapter, source.left(), left) : Optional.empty();
        if (scale.isEmpty() || !adapter.writes("round_to")) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, source.span(), "the source rounds a quotient to few digits");
            return quotient;
        }
        adapter.note(FindingCode.DIVISION, source.span(), "rounded as on the source");
        return new Expr.Call(
                raftcart.sql.tree.QualifiedName.of("round_to"),
                true,
                List.of(adapter.ofKind(quotient, ValueKind.DECIMAL), Expr.Literal.number(scale.get() + MORE)),
                raftcart.sql.tree.CallSuffix.NONE,
                source.span());
    }

    private static boolean few(Language language, ValueKind left, ValueKind right) {
        boolean whole = left == ValueKind.INTEGER && right == ValueKind.INTEGER;
        return language.has(SqlFeature.FOUR_DIGITS_OF_DIVISION)
                || language.has(SqlFeature.FEW_DIGITS_OF_DIVISION) && !whole
                || language.has(SqlFeature.FEW_DIGITS_OF_WHOLE_NUMBERS)
                        && left == ValueKind.INTEGER
                        && right == ValueKind.DECIMAL;
    }

    /** The fractional digits of a dividend, if they are known. */
    static Optional<Integer> scale(ExprAdapter adapter, Expr dividend, ValueKind kind) {
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
