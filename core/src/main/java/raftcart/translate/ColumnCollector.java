package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprRewriter;

/** Gathers the columns that an expression names. */
final class ColumnCollector extends ExprRewriter {
    private final List<String> columns = new ArrayList<>();

    @Override
    public Expr visitColumnRef(Expr.ColumnRef column) {
        columns.add(column.column());
        return column;
    }

    List<String> columns() {
        return List.copyOf(columns);
    }
}
