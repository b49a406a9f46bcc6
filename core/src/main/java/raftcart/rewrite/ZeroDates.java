package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Truth;

/** The date of zeros ("Date and Time Data Types", MySQL), which is NULL where there is none: what is compared with it. */
final class ZeroDates {
    private static final Pattern TEXT = Pattern.compile("0000-00-00(?:[ T][0:.]+)?");
    private static final Pattern NUMBER = Pattern.compile("0+");

    private final ExprAdapter adapter;

    ZeroDates(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The question whether a date is there, which is what is asked by a comparison with the date of zeros. */
    Optional<Expr> compared(Expr.Binary binary) {
        if (!adapter.lost(SqlFeature.ZERO_DATES)) {
            return Optional.empty();
        }
        boolean left = is(binary.left(), binary.right());
        if (!left && !is(binary.right(), binary.left())) {
            return Optional.empty();
        }
        Expr date = left ? binary.right() : binary.left();
        BinaryOperator later = left ? BinaryOperator.LESS : BinaryOperator.GREATER;
        boolean present = binary.operator() == BinaryOperator.NOT_EQUAL || binary.operator() == later;
        if (!present && binary.operator() != BinaryOperator.EQUAL) {
            throw refused();
        }
        adapter.note(FindingCode.IMPOSSIBLE_DATES, binary.span(), "the comparison with 0000-00-00 asks for NULL");
        return Optional.of(new Expr.Is(adapter.expr(date), Truth.NULL, present, binary.span()));
    }

    /** Refuses the date of zeros where it stands beside a date in another way than as one side of a comparison. */
    void refuse(List<Expr> expressions) {
        boolean zero = adapter.lost(SqlFeature.ZERO_DATES)
                && expressions.stream()
                        .anyMatch(e -> e instanceof Expr.Literal
                                && expressions.stream().anyMatch(o -> o != e && is(e, o)));
        if (zero) {
            throw refused();
        }
    }

    /** True for the date of zeros beside a date, where it is NULL; says so. */
    boolean isNull(Expr e, Expr beside) {
        boolean zero = adapter.lost(SqlFeature.ZERO_DATES) && is(e, beside);
        if (zero) {
            adapter.note(FindingCode.IMPOSSIBLE_DATES, e.span(), "0000-00-00");
        }
        return zero;
    }

    private static Untranslatable refused() {
        return new Untranslatable("the date 0000-00-00 beside others, where the target has NULL");
    }

    private boolean is(Expr e, Expr beside) {
        if (!(e instanceof Expr.Literal zero) || !adapter.kind(beside).isDate()) {
            return false;
        }
        return zero.kind() == LiteralKind.NUMBER
                ? NUMBER.matcher(zero.text()).matches()
                : zero.kind() != LiteralKind.NULL && TEXT.matcher(zero.text()).matches();
    }
}
