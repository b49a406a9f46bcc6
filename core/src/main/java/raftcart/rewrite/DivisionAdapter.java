package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** Adapts divisions: of whole numbers, which some engines cut off, and by zero, which some hold for NULL. */
final class DivisionAdapter {
    private final ExprAdapter adapter;

    DivisionAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr divide(Expr.Binary binary) {
        Expr left = adapter.expr(binary.left());
        Expr right = divisor(binary);
        BinaryOperator operator = binary.operator();
        if (operator != BinaryOperator.DIVIDE) {
            return new Expr.Binary(operator, left, right, binary.span());
        }
        return new DivisionDigits(adapter).keep(binary, quotient(binary, left, right));
    }

    private Expr quotient(Expr.Binary binary, Expr left, Expr right) {
        BinaryOperator operator = binary.operator();
        boolean sourceWhole = adapter.from.has(SqlFeature.WHOLE_DIVISION);
        boolean targetWhole = adapter.to.has(SqlFeature.WHOLE_DIVISION);
        if (sourceWhole == targetWhole) {
            return new Expr.Binary(operator, left, right, binary.span());
        }
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
        if (targetWhole) {
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
        Expr right = adapter.expr(binary.right());
        boolean nonZero = binary.right() instanceof Expr.Literal l && !l.text().matches("-?0*[.]?0*");
        if (nonZero || !adapter.lost(SqlFeature.NULL_FOR_ZERO_DIVISION)) {
            return right;
        }
        adapter.note(FindingCode.DIVISION, binary.span(), "NULL for a division by zero");
        return Expr.Call.of("nullif", right, Expr.Literal.number(0))
                .at(binary.right().span());
    }
}
