package raftcart.sql.parse;

import java.util.List;
import java.util.Set;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/**
 * The columns of a loop's query, which are variables by their own names, under that of its row. Where tables are read or
 * changed, the same name could mean a column of theirs, which nothing says before they are known.
 */
final class LoopColumns extends StatementMapper {
    private final TokenCursor cursor;
    private final Name row;
    private final Set<String> columns;
    private int tables;

    LoopColumns(TokenCursor cursor, Name row, Set<String> columns) {
        this.cursor = cursor;
        this.row = row;
        this.columns = columns;
    }

    @Override
    public Expr expr(Expr e) {
        boolean column = e instanceof Expr.Column c
                && c.name().parts().size() == 1
                && columns.contains(c.name().last().key());
        if (!column) {
            return super.expr(e);
        }
        if (tables > 0) {
            throw cursor.byHand("a name that could mean a column of a table or of the loop around it");
        }
        Name name = ((Expr.Column) e).name().last();
        return new Expr.Column(new QualifiedName(List.of(row, name)), false, e.span());
    }

    @Override
    public Query query(Query query) {
        boolean reads = !(query.body() instanceof QueryBody.Values)
                && !(query.body() instanceof QueryBody.Select select
                        && select.from().isEmpty());
        tables += reads ? 1 : 0;
        try {
            return super.query(query);
        } finally {
            tables -= reads ? 1 : 0;
        }
    }

    @Override
    public Statement statement(Statement statement) {
        boolean changes = statement instanceof Statement.Update
                || statement instanceof Statement.Delete
                || statement instanceof Statement.Merge;
        tables += changes ? 1 : 0;
        try {
            return super.statement(statement);
        } finally {
            tables -= changes ? 1 : 0;
        }
    }
}
