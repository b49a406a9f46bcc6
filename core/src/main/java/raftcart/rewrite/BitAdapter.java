package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Adapts operators on the bits of numbers. */
final class BitAdapter {
    private final ExprAdapter adapter;

    BitAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Operators on bits as the functions that not all dialects spell as operators. */
    Expr operator(Expr.Binary binary, String function) {
        Expr left = adapter.expr(binary.left());
        boolean small = function.startsWith("shift")
                && adapter.lost(SqlFeature.SHIFTS_OF_64_BITS)
                && adapter.facts(binary.left())
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Int i && i.bits() == 64)
                        .isEmpty();
        boolean signs = adapter.from.has(SqlFeature.UNSIGNED_BITS) != adapter.to.has(SqlFeature.UNSIGNED_BITS);
        if (signs && function.startsWith("shift") && !(binary.left() instanceof Expr.Literal)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    binary.span(),
                    "a number below zero is shifted with its sign on one engine only");
        }
        if (signs && (isBelowZero(binary.left()) || isBelowZero(binary.right()))) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    binary.span(),
                    "the bits of a number below zero are a great number on one engine");
        }
        Expr wide = small
                ? new Expr.Cast(left, adapter.castType(new LogicalType.Int(64, false)), false, binary.span())
                : left;
        return Expr.Call.of(function, wide, adapter.expr(binary.right())).at(binary.span());
    }

    private static boolean isBelowZero(Expr e) {
        return e instanceof Expr.Unary u && u.operator() == UnaryOperator.MINUS
                || e instanceof Expr.Literal l && l.text().startsWith("-");
    }

    Expr complement(Expr.Unary unary) {
        if (adapter.from.name().equals(adapter.to.name())) {
            return new Expr.Unary(unary.operator(), adapter.expr(unary.operand()), unary.span());
        }
        Truths truths = new Truths(adapter);
        if (truths.isTruth(unary.operand()) && !adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
            // T-SQL's bit, whose complement is the other truth value.
            return adapter.expr(new Expr.Unary(UnaryOperator.NOT, unary.operand(), unary.span()));
        }
        if (adapter.lost(SqlFeature.UNSIGNED_BITS)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, unary.span(), "the complement has a sign on one engine only");
        }
        return Expr.Call.of("bit_not", adapter.expr(truths.number(unary.operand())))
                .at(unary.span());
    }
}
