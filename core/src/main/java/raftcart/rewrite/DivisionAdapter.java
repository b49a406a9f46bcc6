package raftcart.rewrite;

import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.type.LogicalType;

/** Adapts divisions: of whole numbers, which some engines cut off, and by zero, which some hold for NULL. */
final class DivisionAdapter {
    private static final Pattern ZERO = Pattern.compile("-?0*[.]?0*(?:[eE].*)?");

    private final ExprAdapter adapter;

    DivisionAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr divide(Expr.Binary binary) {
        BinaryOperator operator = binary.operator();
        boolean exact = operator == BinaryOperator.DIVIDE_WHOLE
                && adapter.from.has(SqlFeature.WHOLE_DIVISION_KEEPS_FRACTIONS)
                && (isFraction(binary.left()) || isFraction(binary.right()));
        if (exact) {
            return divide(new Expr.Binary(BinaryOperator.DIVIDE, binary.left(), binary.right(), binary.span()));
        }
        Expr left = adapter.expr(binary.left());
        Expr right = divisor(binary);
        if (operator == BinaryOperator.MODULO && (isFraction(binary.left()) || isFraction(binary.right()))) {
            if (adapter.from.has(SqlFeature.REMAINDERS_ARE_WHOLE)) {
                adapter.note(
                        FindingCode.FUNCTION_DIFFERS,
                        binary.span(),
                        "the source takes the fractions of both numbers away");
            }
            return Expr.Call.of("mod", left, right).at(binary.span());
        }
        if (operator == BinaryOperator.DIVIDE_WHOLE && !numbers(binary)) {
            Expr quotient = new Expr.Binary(BinaryOperator.DIVIDE, left, right, binary.span());
            Expr whole = Expr.Call.of("truncate", quotient).at(binary.span());
            return new Expr.Cast(whole, adapter.castType(new LogicalType.Int(64, false)), false, binary.span());
        }
        if (operator != BinaryOperator.DIVIDE) {
            return new Expr.Binary(operator, left, right, binary.span());
        }
        return new CutQuotients(adapter)
                .cut(binary, new DivisionDigits(adapter).keep(binary, quotient(binary, left, right)));
    }

    /** True for numbers that may be whole ones, though their type has a fraction. */
    private boolean isPerhapsWhole(Expr e) {
        ValueKind kind = adapter.kind(e);
        boolean point = e instanceof Expr.Literal l && l.text().indexOf('.') >= 0;
        boolean fraction = kind == ValueKind.FLOAT && chosenAmong(e).noneMatch(this::isPerhapsWhole);
        return !point && kind.isNumber() && !fraction;
    }

    /** The values of which one is that of the expression, and keeps its own type where types belong to values. */
    private static Stream<Expr> chosenAmong(Expr e) {
        if (e instanceof Expr.Case choice) {
            return Stream.concat(choice.branches().stream().map(Expr.When::result), choice.otherwise().stream());
        }
        return e instanceof Expr.Call call && call.isAny("coalesce", "ifnull", "nvl", "if", "greatest", "least")
                ? call.arguments().stream().skip(call.isAny("if") ? 1 : 0)
                : Stream.empty();
    }

    /** True where both sides are whole numbers. */
    private boolean numbers(Expr.Binary binary) {
        return adapter.kind(binary.left()) == ValueKind.INTEGER && adapter.kind(binary.right()) == ValueKind.INTEGER;
    }

    private static boolean hasCall(Expr e) {
        return ExprSearch.any(e, part -> part instanceof Expr.Call);
    }

    private boolean isFraction(Expr e) {
        ValueKind kind = adapter.kind(e);
        return kind == ValueKind.DECIMAL || kind == ValueKind.FLOAT;
    }

    private Expr quotient(Expr.Binary binary, Expr left, Expr right) {
        BinaryOperator operator = binary.operator();
        boolean sourceWhole = adapter.from.has(SqlFeature.WHOLE_DIVISION);
        boolean targetWhole = adapter.to.has(SqlFeature.WHOLE_DIVISION);
        boolean perhaps = isPerhapsWhole(binary.left()) && isPerhapsWhole(binary.right()) && !numbers(binary);
        if (perhaps && adapter.lost(SqlFeature.WHOLE_DECIMALS)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    binary.span(),
                    "whole numbers in decimal columns are divided without a fraction on the source");
        }
        boolean gained =
                perhaps && adapter.to.has(SqlFeature.WHOLE_DECIMALS) && !adapter.from.has(SqlFeature.WHOLE_DECIMALS);
        boolean parts = sourceWhole
                && targetWhole
                && numbers(binary)
                && adapter.to.has(SqlFeature.FRACTIONAL_PARTS)
                && (hasCall(left) || hasCall(right));
        if (gained || parts) {
            adapter.note(FindingCode.DIVISION, binary.span(), gained ? "with its fraction" : "without a fraction");
            operator = gained ? BinaryOperator.DIVIDE_EXACT : BinaryOperator.DIVIDE_WHOLE;
            return new Expr.Binary(operator, left, right, binary.span());
        }
        if (sourceWhole == targetWhole) {
            return new Expr.Binary(operator, left, right, binary.span());
        }
        return otherwiseWhole(binary, left, right, sourceWhole);
    }

    /** The quotient where only one of the engines divides whole numbers without a fraction. */
    private Expr otherwiseWhole(Expr.Binary binary, Expr left, Expr right, boolean sourceWhole) {
        BinaryOperator operator = binary.operator();
        ValueKind a = adapter.kind(binary.left());
        ValueKind b = adapter.kind(binary.right());
        boolean whole = a == ValueKind.INTEGER && b == ValueKind.INTEGER;
        boolean never =
                a == ValueKind.DECIMAL || a == ValueKind.FLOAT || b == ValueKind.DECIMAL || b == ValueKind.FLOAT;
        if (never) {
            return new Expr.Binary(operator, left, right, binary.span());
        }
        if (whole) {
            adapter.note(FindingCode.DIVISION, binary.span(), sourceWhole ? "without a fraction" : "with its fraction");
            BinaryOperator exact = sourceWhole ? BinaryOperator.DIVIDE_WHOLE : BinaryOperator.DIVIDE_EXACT;
            return new Expr.Binary(exact, left, right, binary.span());
        }
        if (!sourceWhole) {
            // With its fraction is right whatever the operands are.
            adapter.note(FindingCode.DIVISION, binary.span(), "with its fraction");
            return new Expr.Binary(BinaryOperator.DIVIDE_EXACT, left, right, binary.span());
        }
        adapter.note(
                FindingCode.TYPES_UNKNOWN,
                binary.span(),
                "on the source a quotient of whole numbers is whole; it is not known whether these are");
        return new Expr.Binary(operator, left, right, binary.span());
    }

    /** Where the source gives NULL for a division by zero and the target an error, zero becomes NULL first. */
    private Expr divisor(Expr.Binary binary) {
        return divisor(binary.right(), adapter.expr(binary.right()), binary.span());
    }

    /** The same for the second argument of MOD. */
    Expr ofMod(Expr given, Expr adapted, Span span) {
        if (!isNonZero(given) && adapter.lost(SqlFeature.MOD_BY_ZERO_GIVES_DIVIDEND)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, span, "MOD by zero gives the first number on the source");
        }
        return divisor(given, adapted, span);
    }

    private Expr divisor(Expr given, Expr adapted, Span span) {
        if (isNonZero(given) || adapter.zeroFails() || !adapter.lost(SqlFeature.NULL_FOR_ZERO_DIVISION)) {
            return adapted;
        }
        adapter.note(FindingCode.DIVISION, span, "NULL for a division by zero");
        Expr.Call divisor =
                Expr.Call.of("nullif", adapted, Expr.Literal.number(0)).at(given.span());
        return adapter.ofKind(divisor, adapter.kind(given));
    }

    private static boolean isNonZero(Expr given) {
        return given instanceof Expr.Literal l && !ZERO.matcher(l.text()).matches();
    }
}
