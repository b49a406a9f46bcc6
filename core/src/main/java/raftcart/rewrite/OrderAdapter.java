package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Truth;

/** The items of ORDER BY, with NULLs where the source puts them. */
final class OrderAdapter {
    private final ExprAdapter adapter;

    OrderAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Says where a limit takes other groups, since those of the source come in order without being asked. */
    void ofGroups(Query query, Select select) {
        boolean lost = adapter.lost(SqlFeature.GROUPS_COME_SORTED)
                && !select.groupBy().isEmpty()
                && query.order().isEmpty()
                && query.paging().isPresent();
        if (lost) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    select.span(),
                    "the groups come in their order on the source, though no ORDER BY says so, and the limit takes the first");
        }
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
        return item(item, Optional.of(item.value()), free);
    }

    /** The items of a query's order, which may name columns of its rows by their aliases or places. */
    List<OrderItem> ofRows(Query query, Select select) {
        List<OrderItem> order = new ArrayList<>();
        for (OrderItem item : query.order()) {
            if (isNothing(item)) {
                continue;
            }
            Optional<Expr> meaning = meaning(item.value(), select);
            boolean simple = meaning.filter(m -> !(m instanceof Expr.Subquery)).isPresent();
            order.addAll(item(item, meaning, simple && !select.distinct()));
        }
        return order;
    }

    /** True for ORDER BY NULL, which asks for no order, and which some engines refuse. */
    private boolean isNothing(OrderItem item) {
        boolean nothing = !adapter.from.name().equals(adapter.to.name())
                && item.value() instanceof Expr.Literal literal
                && literal.kind() == LiteralKind.NULL;
        if (nothing) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, item.value().span(), "ORDER BY NULL asks for no order");
        }
        return nothing;
    }

    /** An item of the order of several queries' rows, where nothing can be added to what they are sorted by. */
    List<OrderItem> ofUnion(OrderItem item) {
        boolean place = item.value() instanceof Expr.Literal;
        return item(item, place ? Optional.empty() : Optional.of(item.value()), false);
    }

    /** What an item of the order means: a column of the rows by its alias or place, or itself; empty for an unknown place. */
    private static Optional<Expr> meaning(Expr value, Select select) {
        List<Item> items = select.items();
        if (value instanceof Expr.Literal place && place.kind() == LiteralKind.NUMBER && place.isDigits(4)) {
            int number = Integer.parseInt(place.text());
            boolean known = number >= 1
                    && number <= items.size()
                    && items.stream().noneMatch(i -> i.value() instanceof Expr.Star);
            return known ? Optional.of(items.get(number - 1).value()) : Optional.empty();
        }
        return value instanceof Expr.Column column && column.name().parts().size() == 1
                ? items.stream()
                        .filter(i -> shownAs(i)
                                .filter(n -> n.matches(column.name().last()))
                                .isPresent())
                        .map(Item::value)
                        .findFirst()
                        .or(() -> Optional.of(value))
                : Optional.of(value);
    }

    private static Optional<Name> shownAs(Item item) {
        return item.alias()
                .or(() -> item.value() instanceof Expr.Column c
                        ? Optional.of(c.name().last())
                        : Optional.empty());
    }

    private List<OrderItem> item(OrderItem item, Optional<Expr> meaning, boolean free) {
        Expr value = new ListedValues(adapter)
                .sorted(
                        new LongTexts(adapter).comparable(item.value(), adapter.expr(item.value())),
                        meaning.orElse(item.value()),
                        free && meaning.isPresent());
        new LostTypes(adapter)
                .note(List.of(meaning.orElse(item.value())), item.value().span(), "sorted");
        boolean sourceFirst = item.nulls() == Nulls.DEFAULT
                ? adapter.from.nulls().first(item.descending())
                : item.nulls() == Nulls.FIRST;
        boolean same = adapter.to.nulls().first(item.descending()) == sourceFirst;
        if (adapter.from.name().equals(adapter.to.name())
                || (item.nulls() != Nulls.DEFAULT && adapter.to.has(SqlFeature.NULLS_ORDER))) {
            return List.of(new OrderItem(value, item.descending(), item.nulls()));
        }
        if (same || meaning.filter(m -> NeverNull.is(m, adapter.scope)).isPresent()) {
            return List.of(new OrderItem(value, item.descending(), Nulls.DEFAULT));
        }
        String where = sourceFirst ? "first" : "last";
        adapter.note(FindingCode.NULL_ORDER, item.value().span(), "NULLs " + where);
        if (adapter.to.has(SqlFeature.NULLS_ORDER)) {
            return List.of(new OrderItem(value, item.descending(), sourceFirst ? Nulls.FIRST : Nulls.LAST));
        }
        if (!free || meaning.isEmpty()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    item.value().span(),
                    "NULLs come " + (sourceFirst ? "last" : "first") + " on the target, " + where + " on the source");
            return List.of(new OrderItem(value, item.descending(), Nulls.DEFAULT));
        }
        Expr ranked = meaning.get() == item.value() ? value : adapter.expr(meaning.get());
        Expr isNull = new Expr.Is(ranked, Truth.NULL, false, item.value().span());
        Expr rank = Expr.Case.of(
                isNull, Expr.Literal.number(sourceFirst ? 0 : 1), Expr.Literal.number(sourceFirst ? 1 : 0));
        return List.of(
                new OrderItem(rank, false, Nulls.DEFAULT), new OrderItem(value, item.descending(), Nulls.DEFAULT));
    }
}
