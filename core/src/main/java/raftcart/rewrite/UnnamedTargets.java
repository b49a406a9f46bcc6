package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** A deletion that returns its rows, in which MariaDB before 11.6 gives the table no alias ("DELETE"). */
final class UnnamedTargets {
    private UnnamedTargets() {}

    /** The same by the table's own name, where the target wants that. */
    static Statement.Delete of(Statement.Delete delete, ExprAdapter adapter) {
        boolean wanted = !delete.returning().isEmpty()
                && adapter.to.has(SqlFeature.RETURNING)
                && adapter.to.has(SqlFeature.DELETE_JOIN);
        if (!wanted
                || !(delete.table() instanceof TableRef.Table table)
                || table.alias().isEmpty()) {
            return delete;
        }
        Name alias = table.alias().get().name();
        if (delete.where().filter(UnnamedTargets::hasQuery).isPresent()) {
            throw new Untranslatable(
                    "a DELETE that returns its rows and reads queries beside its alias " + alias.text());
        }
        QueryMapper own = byName(alias, table.name().last());
        return new Statement.Delete(
                delete.with(),
                List.of(),
                table.named(table.name(), Optional.empty()),
                List.of(),
                delete.where().map(own::expr),
                own.order(delete.order()),
                delete.limit(),
                delete.returning().stream()
                        .map(i -> new QueryBody.Item(own.expr(i.value()), i.alias()))
                        .toList(),
                delete.span());
    }

    private static boolean hasQuery(Expr condition) {
        return ExprSearch.any(condition, e -> e instanceof Expr.Subquery || e instanceof Expr.Exists);
    }

    private static QueryMapper byName(Name alias, Name table) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Star s && s.table().isPresent()) {
                    return new Expr.Star(Optional.empty(), s.except(), s.span());
                }
                return e instanceof Expr.Column c && isOf(c.name())
                        ? new Expr.Column(
                                new QualifiedName(List.of(table, c.name().last())), c.outer(), c.span())
                        : super.expr(e);
            }

            private boolean isOf(QualifiedName column) {
                return column.parts().size() == 2 && column.parts().get(0).matches(alias);
            }
        };
    }
}
