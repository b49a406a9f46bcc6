package raftcart.rewrite;

import java.util.function.Function;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QueryMapper;

/** The word VALUE, by which the check of a domain calls what it looks at (ISO/IEC 9075-2, "Domain definition"). */
final class DomainValue {
    private DomainValue() {}

    /** The check with something else in the place of the word. */
    static Expr replaced(Expr check, Function<Expr, Expr> by) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean value =
                        e instanceof Expr.Column c && c.name().toString().equalsIgnoreCase("value");
                return value ? by.apply(e) : super.expr(e);
            }
        }.expr(check);
    }
}
