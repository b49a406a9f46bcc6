package raftcart.rewrite;

import java.util.Optional;
import java.util.function.Function;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;

/** Puts expressions in place of names of columns without a table; queries within an expression have names of their own. */
final class ColumnNames extends QueryMapper {
    private final Function<Expr.Column, Optional<Expr>> replacement;

    ColumnNames(Function<Expr.Column, Optional<Expr>> replacement) {
        this.replacement = replacement;
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Subquery || e instanceof Expr.Exists) {
            return e;
        }
        Optional<Expr> other =
                e instanceof Expr.Column c && c.name().parts().size() == 1 ? replacement.apply(c) : Optional.empty();
        return other.orElseGet(() -> super.expr(e));
    }

    @Override
    public TableRef table(TableRef table) {
        return table;
    }
}
