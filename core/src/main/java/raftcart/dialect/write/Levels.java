package raftcart.dialect.write;

import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/** How tightly expressions hold together in all dialects; where dialects differ, parentheses are put. */
final class Levels {
    static final int OR = 1;
    static final int AND = 3;
    static final int NOT = 4;
    static final int PREDICATE = 5;
    static final int ODD = 6;
    static final int SUM = 10;
    static final int PRODUCT = 11;
    static final int SIGN = 13;
    static final int CLOSED = 100;

    private Levels() {}

    static int of(Expr e) {
        if (e instanceof Expr.Literal literal) {
            return literal.kind() == LiteralKind.NUMBER && literal.text().startsWith("-") ? SIGN : CLOSED;
        }
        if (e instanceof Expr.Junction junction) {
            return junction.and() ? AND : OR;
        }
        if (e instanceof Expr.Unary unary) {
            return unary.operator() == UnaryOperator.NOT ? NOT : SIGN;
        }
        if (e instanceof Expr.Binary binary) {
            return of(binary.operator());
        }
        if (e instanceof Expr.Interval interval) {
            boolean number = interval.parts().get(0).amount() instanceof Expr.Literal;
            return interval.parts().size() > 1 ? SUM : number ? CLOSED : PRODUCT;
        }
        if (e instanceof Expr.Between
                || e instanceof Expr.InList
                || e instanceof Expr.Like
                || e instanceof Expr.Is
                || e instanceof Expr.Matches
                || e instanceof Expr.Exists
                || e instanceof Expr.Quantified) {
            return PREDICATE;
        }
        if (e instanceof Expr.Concat
                || e instanceof Expr.AtZone
                || e instanceof Expr.Collate
                || e instanceof Expr.Assignment) {
            return ODD;
        }
        return CLOSED;
    }

    private static int of(BinaryOperator operator) {
        return switch (operator) {
            case ADD, SUBTRACT -> SUM;
            case MULTIPLY, DIVIDE, DIVIDE_EXACT -> PRODUCT;
            case XOR -> OR;
            default -> operator.compares() ? PREDICATE : ODD;
        };
    }
}
