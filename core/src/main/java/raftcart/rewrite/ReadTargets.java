package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/**
 * Tells where a query inside of a change reads the table that is changed, which MySQL refuses (error 1093, "Restrictions on
 * Subqueries").
 */
final class ReadTargets extends QueryMapper {
    private final QualifiedName target;
    private boolean read;

    private ReadTargets(QualifiedName target) {
        this.target = target;
    }

    static void note(Statement.Update update, QueryAdapter adapter) {
        if (asks(update.target(), adapter)) {
            ReadTargets targets = new ReadTargets(((TableRef.Table) update.target()).name());
            update.where().ifPresent(targets::expr);
            update.assignments().forEach(a -> targets.expr(a.value()));
            targets.note(adapter, update);
        }
    }

    static void note(Statement.Delete delete, QueryAdapter adapter) {
        if (asks(delete.table(), adapter)) {
            ReadTargets targets = new ReadTargets(((TableRef.Table) delete.table()).name());
            delete.where().ifPresent(targets::expr);
            targets.note(adapter, delete);
        }
    }

    private static boolean asks(TableRef table, QueryAdapter adapter) {
        return table instanceof TableRef.Table
                && adapter.to.has(SqlFeature.CHANGED_TABLE_IS_NOT_READ)
                && !adapter.from.has(SqlFeature.CHANGED_TABLE_IS_NOT_READ);
    }

    private void note(QueryAdapter adapter, Statement statement) {
        if (read) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    statement.span(),
                    "the target refuses a query on the table that is changed: read it by way of another query, or first");
        }
    }

    /** The first rows of a query are read before the change where IN asks for them, by a table of their own. */
    @Override
    public Expr expr(Expr e) {
        boolean apart = e instanceof Expr.InList in
                && in.items().get(0) instanceof Expr.Subquery rows
                && rows.query().paging().isPresent();
        return apart ? e : super.expr(e);
    }

    @Override
    public TableRef table(TableRef table) {
        read |= table instanceof TableRef.Table t && t.name().last().matches(target.last());
        return super.table(table);
    }
}
