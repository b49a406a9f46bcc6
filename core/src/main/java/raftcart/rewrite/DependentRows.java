package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/**
 * JSON_TABLE over a column of a query around, for a target that does not see that the rows depend on it, and keeps those of the
 * first row for all (MariaDB 10.11, measured). A condition that names the column, and is always true, tells it.
 */
final class DependentRows {
    private final ExprAdapter adapter;
    private final Scope inner;

    private DependentRows(ExprAdapter adapter, QueryBody.Select select) {
        this.adapter = adapter;
        this.inner = new Scope(Optional.empty());
        adapter.finder.addTables(select, inner);
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        boolean concerns = adapter.to.has(SqlFeature.JSON_ROWS_ARE_KEPT)
                && query.body() instanceof QueryBody.Select s
                && s.from().stream().flatMap(t -> documents(t, false)).findAny().isPresent();
        if (!concerns) {
            return query;
        }
        QueryBody.Select select = (QueryBody.Select) query.body();
        DependentRows rows = new DependentRows(adapter, select);
        List<Expr> conditions = new ArrayList<>(select.where().stream().toList());
        select.from().stream()
                .flatMap(t -> documents(t, false))
                .filter(d -> rows.isOfQueryAround(d.value()))
                .distinct()
                .forEach(d -> conditions.add(d.named()));
        if (conditions.size() == select.where().stream().count()) {
            return query;
        }
        Expr where = conditions.size() == 1
                ? conditions.get(0)
                : new Expr.Junction(true, conditions, conditions.get(0).span());
        return query.withBody(select.withWhere(Optional.of(where)));
    }

    /**
     * A document whose parts are rows.
     *
     * @param outer true where rows stay that have no partner among them
     */
    private record Document(Expr value, boolean outer) {
        /** A condition that holds wherever there are rows. */
        private Expr named() {
            Expr given = new Expr.Is(value, Truth.NULL, true, value.span());
            return outer
                    ? new Expr.Junction(
                            false, List.of(new Expr.Is(value, Truth.NULL, false, value.span()), given), value.span())
                    : given;
        }
    }

    private static Stream<Document> documents(TableRef table, boolean outer) {
        if (table instanceof TableRef.Join join) {
            boolean right = join.kind() == TableRef.Join.Kind.LEFT || join.kind() == TableRef.Join.Kind.FULL;
            boolean left = join.kind() == TableRef.Join.Kind.RIGHT || join.kind() == TableRef.Join.Kind.FULL;
            return Stream.concat(documents(join.left(), outer || left), documents(join.right(), outer || right));
        }
        return table instanceof TableRef.JsonTable json
                ? Stream.of(new Document(json.document(), outer))
                : Stream.empty();
    }

    /** True for a document that may be another for each row around. */
    private boolean isOfQueryAround(Expr document) {
        return ExprSearch.any(document, e -> e instanceof Expr.Column c && !isOwn(c.name()) && isAround(c.name()));
    }

    private boolean isOwn(QualifiedName name) {
        boolean qualified = name.parts().size() > 1;
        return qualified
                ? inner.relation(name.parts().get(name.parts().size() - 2).text())
                        .isPresent()
                : inner.column(name).isPresent();
    }

    /** True for what is, or may be, a column of a table; variables of a routine stand in relations without a name. */
    private boolean isAround(QualifiedName name) {
        return adapter.scope.isOfTable(name);
    }
}
