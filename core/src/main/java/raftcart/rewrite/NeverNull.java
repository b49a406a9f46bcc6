package raftcart.rewrite;

import java.util.EnumSet;
import java.util.Set;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.UnaryOperator;

/** Values that are certainly not NULL. */
final class NeverNull {
    private static final Set<BinaryOperator> SUMS =
            EnumSet.of(BinaryOperator.ADD, BinaryOperator.SUBTRACT, BinaryOperator.MULTIPLY);

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
        if (e instanceof Expr.Subquery single) {
            return isCount(single);
        }
        if (e instanceof Expr.Case choice) {
            return choice.otherwise().filter(o -> is(o, scope)).isPresent()
                    && choice.branches().stream().allMatch(b -> is(b.result(), scope));
        }
        if (e instanceof Expr.Binary sum && SUMS.contains(sum.operator())) {
            return isWhole(sum.left(), scope) && isWhole(sum.right(), scope);
        }
        if (e instanceof Expr.Concat concat) {
            return concat.nullIsEmpty()
                    ? concat.parts().stream().anyMatch(p -> p instanceof Expr.Literal l && isText(l))
                    : concat.parts().stream().allMatch(p -> is(p, scope));
        }
        return isRank(e) || e instanceof Expr.CurrentTime || isTrueOrFalse(e);
    }

    private static boolean isText(Expr.Literal literal) {
        return literal.kind() == LiteralKind.STRING && !literal.text().isEmpty();
    }

    /** True for a whole number that is never NULL; sums of others may leave their range, which gives NULL on some engines. */
    private static boolean isWhole(Expr e, Scope scope) {
        boolean whole = e instanceof Expr.Column column
                ? scope.column(column.name())
                        .filter(c -> c.kind() == ValueKind.INTEGER)
                        .isPresent()
                : e instanceof Expr.Literal literal && literal.kind() == LiteralKind.NUMBER && literal.isDigits(9);
        return whole && is(e, scope);
    }

    /** Counts, row numbers and numbers at random are never NULL. */
    private static boolean isRank(Expr e) {
        return e instanceof Expr.Call call
                && call.isAny("count", "row_number", "rank", "dense_rank", "count_rows", "rand", "random");
    }

    /** True for a query that counts all its rows, and so has a single row whatever there is. */
    private static boolean isCount(Expr.Subquery single) {
        return single.query().paging().isEmpty()
                && single.query().body() instanceof QueryBody.Select select
                && select.groupBy().isEmpty()
                && select.having().isEmpty()
                && select.items().size() == 1
                && select.items().get(0).value() instanceof Expr.Call call
                && call.isAny("count", "count_rows")
                && call.suffix().over().isEmpty();
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
