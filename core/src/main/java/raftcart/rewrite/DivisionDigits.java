package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Keeps the digits of quotients: some engines give four more than the dividend has, others as many as make sense. */
final class DivisionDigits {
    /** "div_precision_increment" of MariaDB's and MySQL's manuals. */
    private static final int FOUR = 4;

    /** "Arithmetic operators, division" of Snowflake's manual: six more, but not beyond twelve. */
    private static final int SIX = 6;

    private static final int TWELVE = 12;

    /** The digits that a quotient of SQL Server keeps where it has fewer by itself. */
    private static final LogicalType LONG = new LogicalType.Decimal(38, 20, false);

    /** What is said where the source may count in money. */
    private static final String TWO_OF_MONEY = "if it is money, the source gives two digits behind the point";

    static final String FOUR_OF_MONEY = "if it is money, the source gives four digits behind the point";

    private final ExprAdapter adapter;

    DivisionDigits(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr keep(Expr.Binary source, Expr quotient) {
        ValueKind left = adapter.kind(source.left());
        ValueKind right = adapter.kind(source.right());
        sayMoney(source, adapter);
        boolean few = few(adapter.from, left, right);
        boolean whole = left == ValueKind.INTEGER && right == ValueKind.INTEGER;
        boolean four = more(adapter.from) > 0;
        boolean enough = four && more(adapter.to) >= more(adapter.from);
        boolean fewer = few(adapter.to, left, right) && !enough
                || adapter.to.has(SqlFeature.NARROW_QUOTIENTS) && !whole
                || isShort(left, right);
        if (four && more(adapter.to) == more(adapter.from)
                || left == ValueKind.FLOAT
                || right == ValueKind.FLOAT
                || !(quotient instanceof Expr.Binary binary)
                || binary.operator() == BinaryOperator.DIVIDE_WHOLE) {
            return quotient;
        }
        Expr full = quotient;
        if (fewer) {
            adapter.note(FindingCode.DIVISION, source.span(), "with more digits than the target gives by itself");
            Expr wide = new Expr.Cast(binary.left(), adapter.castType(wide(adapter.to)), false, source.span());
            full = new Expr.Binary(binary.operator(), wide, binary.right(), source.span());
        }
        return few ? rounded(source, large(source, full), left, four) : full;
    }

    /** The quotient of a number of 64 bits with room for the digits to which it is rounded. */
    private Expr large(Expr.Binary source, Expr quotient) {
        boolean large = adapter.facts(source.left())
                .flatMap(Scope.ColumnFacts::type)
                .filter(t -> t instanceof LogicalType.Int i && i.bits() == 64)
                .isPresent();
        if (large && adapter.to.has(SqlFeature.QUOTIENTS_ARE_FLOATS)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    source.span(),
                    "a quotient has 15 digits here, which a number of 64 bits may go beyond");
        }
        if (!large
                || !adapter.to.has(SqlFeature.LARGE_QUOTIENTS_LOSE_DIGITS)
                || more(adapter.from) != FOUR
                || !(quotient instanceof Expr.Binary binary)) {
            return quotient;
        }
        TypeName room = adapter.castType(new LogicalType.Decimal(30, FOUR, false));
        Expr wide = new Expr.Cast(binary.left(), room, false, source.span());
        return new Expr.Binary(BinaryOperator.DIVIDE, wide, binary.right(), source.span());
    }

    /** Says where a quotient or product may be money, which has four digits, or two. */
    static void sayMoney(Expr.Binary result, ExprAdapter adapter) {
        boolean cents = adapter.lost(SqlFeature.MONEY_HAS_CENTS)
                && (isCents(adapter, result.left()) != isCents(adapter, result.right()));
        if (cents) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, result.span(), TWO_OF_MONEY);
        }
        boolean whole = result.operator() != BinaryOperator.MULTIPLY // whose digits are no more
                && adapter.kind(result.right()) == ValueKind.INTEGER;
        if (isMoney(adapter, result.left()) && (whole || isMoney(adapter, result.right()))) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, result.span(), FOUR_OF_MONEY);
        }
    }

    /** True for what may be money, which is a decimal with two digits there ("Monetary Types", PostgreSQL). */
    private static boolean isCents(ExprAdapter adapter, Expr e) {
        return e instanceof Expr.Cast cast && cast.type().name().equals("money")
                || adapter.facts(e)
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Decimal d && d.scale() == 2 && d.precision() == 19)
                        .isPresent();
    }

    /** True for a column that may be of a type for money, which is a decimal with four digits ("money and smallmoney"). */
    static boolean isMoney(ExprAdapter adapter, Expr e) {
        return adapter.from.has(SqlFeature.MONEY_STAYS_MONEY)
                && adapter.facts(e)
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Decimal d
                                && d.scale() == FOUR
                                && (d.precision() == 19 || d.precision() == 10))
                        .isPresent();
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
                List.of(
                        adapter.ofKind(quotient, ValueKind.DECIMAL),
                        Expr.Literal.number(digits(adapter.from, scale.get()))),
                raftcart.sql.tree.CallSuffix.NONE,
                source.span());
    }

    /** The type to which a dividend, or what an average is taken of, is cast to keep all digits. */
    static LogicalType wide(Language to) {
        return to.has(SqlFeature.SHORT_QUOTIENTS) ? LONG : new LogicalType.Decimal(0, 0, false);
    }

    /** How many digits more than the dividend a quotient has; 0 where that is not fixed. */
    static int more(Language language) {
        return language.has(SqlFeature.FOUR_DIGITS_OF_DIVISION)
                ? FOUR
                : language.has(SqlFeature.SIX_DIGITS_OF_DIVISION) ? SIX : 0;
    }

    /** The digits of a quotient whose dividend has so many. */
    static int digits(Language language, int scale) {
        return more(language) == SIX ? Math.max(scale, Math.min(scale + SIX, TWELVE)) : scale + more(language);
    }

    /** True where the target gives few digits of exact numbers, at least one of which has a fraction. */
    private boolean isShort(ValueKind left, ValueKind right) {
        return isShort(adapter.from, adapter.to)
                && (left == ValueKind.DECIMAL && right.isNumber() || right == ValueKind.DECIMAL && left.isNumber());
    }

    /** True where the source gives more digits of exact numbers than the target. */
    static boolean isShort(Language from, Language to) {
        return to.has(SqlFeature.SHORT_QUOTIENTS) && !from.has(SqlFeature.SHORT_QUOTIENTS);
    }

    private static boolean few(Language language, ValueKind left, ValueKind right) {
        boolean whole = left == ValueKind.INTEGER && right == ValueKind.INTEGER;
        return more(language) > 0
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
