package raftcart.rewrite;

import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/** Values that are certainly not NULL. */
final class NeverNull {
    private NeverNull() {}

    static boolean is(Expr e, Scope scope) {
        if (e instanceof Expr.Literal literal) {
            return literal.kind() != LiteralKind.NULL;
        }
        if (e instanceof Expr.Column column) {
            return scope.column(column.name()).map(Scope.ColumnFacts::notNull).orElse(false);
        }
        if (e instanceof Expr.Call call && call.isAny("coalesce", "nvl", "ifnull", "isnull")) {
            return call.arguments().stream().anyMatch(a -> is(a, scope));
        }
        return e instanceof Expr.CurrentTime || isTrueOrFalse(e);
    }

    /** True for a condition that is never unknown. */
    static boolean isTrueOrFalse(Expr e) {
        if (e instanceof Expr.Unary not && not.operator() == UnaryOperator.NOT) {
            return isTrueOrFalse(not.operand());
        }
        if (e instanceof Expr.Junction junction) {
            return junction.parts().stream().allMatch(NeverNull::isTrueOrFalse);
        }
        boolean same = e instanceof Expr.Binary b
                && (b.operator() == BinaryOperator.SAME || b.operator() == BinaryOperator.DIFFERENT);
        return same || e instanceof Expr.Is || e instanceof Expr.Exists;
    }
}
