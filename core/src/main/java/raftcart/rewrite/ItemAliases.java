package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/**
 * Items of SELECT that other items and conditions read under their alias, which Teradata, Snowflake and DuckDB allow: the
 * expression in place of the alias. A column of that name comes first. The same for expressions in ORDER BY, where more
 * engines allow it.
 */
final class ItemAliases {
    private final QueryAdapter adapter;
    private final Map<String, Expr> aliases = new LinkedHashMap<>();
    private Scope scope;

    ItemAliases(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        Query ordered = query.body() instanceof Select s && !query.order().isEmpty()
                ? query.withOrder(query.order().stream().map(o -> order(o, s)).toList())
                : query;
        return expressions(ordered);
    }

    private Query expressions(Query query) {
        boolean concerned = adapter.lost(SqlFeature.ALIASES_IN_EXPRESSIONS)
                && query.body() instanceof Select s
                && s.items().stream().anyMatch(i -> i.alias().isPresent());
        if (!concerned) {
            return query;
        }
        Select select = (Select) query.body();
        scope = new Scope(Optional.of(adapter.scope));
        select.from().forEach(t -> adapter.finder.addTable(t, scope));
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            Expr value = aliases.isEmpty() ? item.value() : replaced(item.value());
            items.add(new Item(value, item.alias()));
            item.alias().filter(a -> !isColumn(a, item.value())).ifPresent(a -> aliases.put(a.key(), value));
        }
        return query.withBody(select.withItems(items)
                .withWhere(select.where().map(this::replaced))
                .withQualify(select.qualify().map(this::ranked)));
    }

    /** An expression of ORDER BY, in which a name is an alias first on the one engine and a column on the other. */
    private OrderItem order(OrderItem item, Select select) {
        boolean before = adapter.from.has(SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS);
        boolean after = adapter.to.has(SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS);
        if (before == after || item.value() instanceof Expr.Column) {
            return item;
        }
        return item.withValue(
                new ColumnNames(c -> named(c.name().last(), select).map(i -> before ? i.value() : qualified(c, select)))
                        .expr(item.value()));
    }

    private static Optional<Item> named(Name name, Select select) {
        return select.items().stream()
                .filter(i -> i.alias().filter(a -> a.matches(name)).isPresent())
                .findFirst();
    }

    private static Expr qualified(Expr.Column column, Select select) {
        boolean single = select.from().size() == 1 && select.from().get(0) instanceof TableRef.Table;
        return single
                ? new Expr.Column(
                        new QualifiedName(List.of(
                                ChangeAdapter.alias(select.from().get(0)),
                                column.name().last())),
                        false,
                        column.span())
                : column;
    }

    /** True where the name is certainly that of a column: an item that reads a column of its own name shows that there is one. */
    private boolean isColumn(Name alias, Expr value) {
        return scope.relations().stream().anyMatch(r -> r.columns().containsKey(alias.key()))
                || ExprSearch.mentions(value, alias);
    }

    private Expr replaced(Expr value) {
        return new ColumnNames(this::meant).expr(value);
    }

    /** QUALIFY asks for a function over a window, which an alias in it can only be the name of. */
    private Expr ranked(Expr condition) {
        return new ColumnNames(
                        c -> Optional.ofNullable(aliases.get(c.name().last().key()))
                                .filter(e -> Aggregates.in(e, adapter.from))
                                .or(() -> meant(c)))
                .expr(condition);
    }

    private Optional<Expr> meant(Expr.Column column) {
        Expr named = aliases.get(column.name().last().key());
        if (named == null) {
            return Optional.empty();
        }
        boolean sure = scope.relations().stream().allMatch(Scope.Relation::complete);
        adapter.note(
                sure ? FindingCode.SYNTAX_ADAPTED : FindingCode.TYPES_UNKNOWN,
                column.span(),
                column.name().last().text() + " as the expression of that name in the same SELECT"
                        + (sure ? "" : "; it may be a column"));
        return Optional.of(named);
    }
}
