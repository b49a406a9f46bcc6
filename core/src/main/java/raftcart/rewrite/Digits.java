package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** How many digits numbers have after the point, and what becomes of those that a type has no room for. */
final class Digits {
    private static final Set<String> OF_ARGUMENTS = Set.of("coalesce", "nullif", "greatest", "least", "abs");

    private Digits() {}

    /** What an engine does with more digits than a type has. */
    enum Surplus {
        ROUND,
        /** Rounded as well, but a half towards zero. */
        NEAREST,
        CUT,
        KEEP;

        /** True where the source shortens a number and the target, left to itself, would make another of it. */
        boolean differs(Surplus target) {
            return this != target && this != KEEP && !(this == NEAREST && target == ROUND);
        }
    }

    static Surplus surplus(Language language, LogicalType type) {
        if (type instanceof LogicalType.Int) {
            return language.has(SqlFeature.CASTS_ROUND) ? Surplus.ROUND : Surplus.CUT;
        }
        if (language.has(SqlFeature.DECIMALS_KEEP_DIGITS)) {
            return Surplus.KEEP;
        }
        if (language.has(SqlFeature.HALVES_TOWARDS_ZERO)) {
            return Surplus.NEAREST;
        }
        return language.has(SqlFeature.DECIMALS_ARE_CUT) ? Surplus.CUT : Surplus.ROUND;
    }

    /** The same for what is assigned to a column; without decimals proper, whole columns keep digits as well. */
    static Surplus assigned(Language language, LogicalType type) {
        return language.has(SqlFeature.DECIMALS_KEEP_DIGITS) ? Surplus.KEEP : surplus(language, type);
    }

    /** True for a number with an exponent, which engines spell in different ways even where it is a decimal one. */
    static boolean isExponential(Expr e) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER
                && !l.text().startsWith("0x")
                && (l.text().indexOf('e') >= 0 || l.text().indexOf('E') >= 0);
    }

    /** True where a floating-point number becomes a whole one, and the engines let its halves go to other numbers. */
    static boolean otherHalves(ValueKind kind, LogicalType type, ExprAdapter adapter) {
        return kind == ValueKind.FLOAT
                && type instanceof LogicalType.Int
                && adapter.from.has(SqlFeature.FLOAT_HALVES_GO_UP) != adapter.to.has(SqlFeature.FLOAT_HALVES_GO_UP);
    }

    /** True where the target may have computed this as a floating-point number, whose halves become even numbers. */
    static boolean goToEven(Expr value, ValueKind kind, LogicalType type, ExprAdapter adapter) {
        return type instanceof LogicalType.Int
                && kind == ValueKind.DECIMAL
                && !(value instanceof Expr.Column || value instanceof Expr.Literal)
                && surplus(adapter.from, type) == Surplus.ROUND
                && !adapter.from.has(SqlFeature.HALVES_TO_EVEN)
                && adapter.to.has(SqlFeature.HALVES_TO_EVEN);
    }

    /** The digits after the point that the type has room for, if it says so. */
    static Optional<Integer> of(LogicalType type) {
        if (type instanceof LogicalType.Int) {
            return Optional.of(0);
        }
        return type instanceof LogicalType.Decimal d && d.precision() > 0 ? Optional.of(d.scale()) : Optional.empty();
    }

    /** The most digits after the point that the value of a source expression has, if they are known. */
    static Optional<Integer> of(Expr e, ExprAdapter adapter) {
        if (adapter.kind(e) == ValueKind.INTEGER) {
            return Optional.of(0);
        }
        if (e instanceof Expr.Literal literal) {
            int point = literal.text().indexOf('.');
            boolean plain = !isExponential(literal);
            if (literal.kind() != LiteralKind.NUMBER) {
                return Optional.of(0);
            }
            return plain ? Optional.of(point < 0 ? 0 : literal.text().length() - point - 1) : Optional.empty();
        }
        if (e instanceof Expr.Column) {
            return adapter.facts(e).flatMap(Scope.ColumnFacts::type).flatMap(Digits::of);
        }
        if (e instanceof Expr.Unary u) {
            return of(u.operand(), adapter);
        }
        if (e instanceof Expr.Binary b) {
            Optional<Integer> left = of(b.left(), adapter);
            Optional<Integer> right = of(b.right(), adapter);
            boolean sum = b.operator() == BinaryOperator.ADD || b.operator() == BinaryOperator.SUBTRACT;
            boolean known = left.isPresent() && right.isPresent() && (sum || b.operator() == BinaryOperator.MULTIPLY);
            return known
                    ? Optional.of(sum ? Math.max(left.get(), right.get()) : left.get() + right.get())
                    : Optional.empty();
        }
        if (e instanceof Expr.Call call && OF_ARGUMENTS.contains(call.function())) {
            return most(call.arguments(), adapter);
        }
        return Optional.empty();
    }

    private static Optional<Integer> most(List<Expr> values, ExprAdapter adapter) {
        int most = 0;
        for (Expr value : values) {
            Optional<Integer> digits = of(value, adapter);
            if (digits.isEmpty()) {
                return Optional.empty();
            }
            most = Math.max(most, digits.get());
        }
        return Optional.of(most);
    }
}
