package raftcart.rewrite;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Truth;

/** The items of ORDER BY, with NULLs where the source puts them. */
final class OrderAdapter {
    private final ExprAdapter adapter;

    OrderAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Refuses rows that are all different, in the order of a column that they do not have, which loose dialects allow. */
    void refuseHidden(Query query, Select select) {
        boolean concerns = select.distinct()
                && !query.order().isEmpty()
                && adapter.lost(SqlFeature.LOOSE_GROUP_BY)
                && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
        if (!concerns) {
            return;
        }
        Set<String> names = select.items().stream()
                .flatMap(i -> Stream.concat(
                        i.alias().stream(),
                        i.value() instanceof Expr.Column c ? Stream.of(c.name().last()) : Stream.empty()))
                .map(Name::key)
                .collect(Collectors.toSet());
        query.order().stream()
                .map(OrderItem::value)
                .filter(v -> v instanceof Expr.Column c
                        && !names.contains(c.name().last().key()))
                .findFirst()
                .ifPresent(v -> {
                    throw new Untranslatable("DISTINCT in the order of "
                            + ((Expr.Column) v).name().last().text() + ", which its rows do not have");
                });
    }

    /** The item with NULLs where the source puts them; {@code free} where a further expression may be sorted by. */
    List<OrderItem> item(OrderItem item, boolean free) {
        Expr value = adapter.expr(item.value());
        boolean sourceFirst = item.nulls() == Nulls.DEFAULT
                ? adapter.from.nulls().first(item.descending())
                : item.nulls() == Nulls.FIRST;
        boolean same = adapter.to.nulls().first(item.descending()) == sourceFirst;
        if (adapter.from.name().equals(adapter.to.name())
                || (item.nulls() != Nulls.DEFAULT && adapter.to.has(SqlFeature.NULLS_ORDER))) {
            return List.of(new OrderItem(value, item.descending(), item.nulls()));
        }
        if (same || NeverNull.is(item.value(), adapter.scope)) {
            return List.of(new OrderItem(value, item.descending(), Nulls.DEFAULT));
        }
        String where = sourceFirst ? "first" : "last";
        adapter.note(FindingCode.NULL_ORDER, item.value().span(), "NULLs " + where);
        if (adapter.to.has(SqlFeature.NULLS_ORDER)) {
            return List.of(new OrderItem(value, item.descending(), sourceFirst ? Nulls.FIRST : Nulls.LAST));
        }
        if (!free || item.value() instanceof Expr.Literal) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    item.value().span(),
                    "NULLs come " + (sourceFirst ? "last" : "first") + " on the target, " + where + " on the source");
            return List.of(new OrderItem(value, item.descending(), Nulls.DEFAULT));
        }
        Expr isNull = new Expr.Is(value, Truth.NULL, false, item.value().span());
        Expr rank = Expr.Case.of(
                isNull, Expr.Literal.number(sourceFirst ? 0 : 1), Expr.Literal.number(sourceFirst ? 1 : 0));
        return List.of(
                new OrderItem(rank, false, Nulls.DEFAULT), new OrderItem(value, item.descending(), Nulls.DEFAULT));
    }
}
