package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.type.LogicalType;

/**
 * Columns that a query with GROUP BY reads without grouping them. Where a key of their table is grouped they are grouped
 * too, which changes nothing; otherwise the source takes any row's value, and the least is taken.
 */
final class LooseGroups extends QueryMapper {
    private final ExprAdapter adapter;
    private final Select select;
    private final Set<String> grouped;
    private final boolean plain;
    private boolean computed;
    private final JoinedColumns columns;
    private final Map<String, Expr> dependent = new java.util.LinkedHashMap<>();

    private LooseGroups(ExprAdapter adapter, Select select) {
        this.adapter = adapter;
        this.select = select;
        this.plain = select.groupBy().stream().allMatch(g -> g.kind() == Grouping.Kind.PLAIN);
        this.columns = new JoinedColumns(adapter, select);
        this.grouped = select.groupBy().stream()
                .flatMap(g -> g.items().stream())
                .flatMap(this::grouped)
                .collect(Collectors.toSet());
    }

    private static boolean applies(ExprAdapter adapter, Select select) {
        boolean grouped = !select.groupBy().isEmpty();
        return (adapter.lost(SqlFeature.LOOSE_GROUP_BY) && (grouped || isOneGroup(adapter, select))
                        || keysGroup(adapter) && grouped)
                && select.groupBy().stream()
                        .allMatch(g -> g.kind() == Grouping.Kind.PLAIN
                                || g.kind() == Grouping.Kind.ROLLUP
                                || g.kind() == Grouping.Kind.CUBE);
    }

    /** True where the source alone knows that a key decides about the other columns. */
    private static boolean keysGroup(ExprAdapter adapter) {
        return adapter.lost(SqlFeature.KEYS_GROUP_COLUMNS) && !adapter.to.has(SqlFeature.LOOSE_GROUP_BY);
    }

    /** True for a query that makes one row of all, since it counts or adds up without GROUP BY. */
    private static boolean isOneGroup(ExprAdapter adapter, Select select) {
        return Stream.concat(select.items().stream().map(Item::value), select.having().stream())
                .anyMatch(e -> Aggregates.ofRows(e, adapter.from));
    }

    /** The query with all its columns grouped or aggregated, where the target wants that. */
    static Query tightened(ExprAdapter adapter, Query query) {
        if (!(query.body() instanceof Select select)) {
            return query;
        }
        chosen(adapter, select);
        if (!applies(adapter, select)) {
            return query;
        }
        LooseGroups groups = new LooseGroups(adapter, select);
        Select tight = groups.select();
        return query.withBody(tight)
                .withOrder(query.order().stream()
                        .map(o -> groups.isAlias(o.value()) ? o : o.withValue(groups.expr(o.value())))
                        .toList());
    }

    /** The same for a query that is a part of another. */
    static Select tightened(ExprAdapter adapter, Select select) {
        chosen(adapter, select);
        return applies(adapter, select) ? new LooseGroups(adapter, select).select() : select;
    }

    /** Says where a column that is not grouped is that of a certain row on the source. */
    private static void chosen(ExprAdapter adapter, Select select) {
        boolean chooses = adapter.lost(SqlFeature.EXTREMES_CHOOSE_ROW)
                && select.items().stream()
                        .anyMatch(i -> i.value() instanceof Expr.Call c
                                && c.isAny("min", "max")
                                && c.arguments().size() == 1
                                && c.suffix().over().isEmpty());
        if (chooses && new LooseGroups(adapter, select).leavesOut()) {
            adapter.note(
                    FindingCode.GROUPING_LOOSE,
                    select.span(),
                    "the columns beside MIN or MAX are those of its row on the source");
        }
    }

    private boolean leavesOut() {
        return select.items().stream()
                .anyMatch(i ->
                        i.value() instanceof Expr.Column c && grouped.stream().noneMatch(g -> columns.same(g, key(c))));
    }

    private Select select() {
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            Expr value = expr(item.value());
            boolean named = item.alias().isPresent() || !(item.value() instanceof Expr.Column) || value == item.value();
            items.add(new Item(
                    value,
                    named
                            ? item.alias()
                            : Optional.of(((Expr.Column) item.value()).name().last())));
        }
        Optional<Expr> having = select.having().map(h -> expr(h));
        List<Grouping> groups = new ArrayList<>(select.groupBy());
        dependent.values().forEach(e -> groups.add(new Grouping(Grouping.Kind.PLAIN, List.of(e), List.of())));
        return select.withItems(items).withGroups(groups, having);
    }

    /** An item of GROUP BY: what it stands for, if it is an alias or a place. */
    private Stream<String> grouped(Expr item) {
        if (item instanceof Expr.Literal place && place.kind() == LiteralKind.NUMBER && place.isDigits(4)) {
            int index = Integer.parseInt(place.text()) - 1;
            if (index >= 0 && index < select.items().size()) {
                return Stream.of(groupedKey(select.items().get(index).value()));
            }
        }
        if (item instanceof Expr.Column column && column.name().parts().size() == 1) {
            Optional<Item> alias = select.items().stream()
                    .filter(i -> i.alias()
                            .filter(a -> a.matches(column.name().last()))
                            .isPresent())
                    .findFirst();
            if (alias.isPresent() && !(alias.get().value() instanceof Expr.Column)) {
                return Stream.of(groupedKey(alias.get().value()));
            }
            if (alias.isPresent() && columns.owners(column).isEmpty()) {
                return Stream.of(groupedKey(item), groupedKey(alias.get().value()));
            }
        }
        return Stream.of(groupedKey(item));
    }

    /** Where columns alone are grouped, nothing else has to be written to be compared with them. */
    private String groupedKey(Expr e) {
        computed |= !(e instanceof Expr.Column);
        return key(e);
    }

    /** Other expressions than columns are the same if they are written the same. */
    private String key(Expr e) {
        return e instanceof Expr.Column column
                ? columns.key(column)
                : adapter.from
                        .writer()
                        .apply(WriterContext.plain(adapter.from))
                        .expression(e)
                        .toLowerCase(Locale.ROOT);
    }

    private boolean isAlias(Expr e) {
        return e instanceof Expr.Column c
                && c.name().parts().size() == 1
                && select.items().stream().anyMatch(i -> i.alias()
                        .filter(a -> a.matches(c.name().last()))
                        .isPresent());
    }

    private boolean isGrouped(Expr e) {
        String key = key(e);
        return grouped.contains(key)
                || e instanceof Expr.Column && grouped.stream().anyMatch(g -> columns.same(g, key));
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Subquery
                || e instanceof Expr.Exists
                || e instanceof Expr.Star
                || Aggregates.is(e, adapter.from)) {
            return e;
        }
        boolean comparable = computed ? !(e instanceof Expr.Literal) : e instanceof Expr.Column;
        if (comparable && isGrouped(e)) {
            return e;
        }
        if (!(e instanceof Expr.Column column) || isAlias(e)) {
            return super.expr(e);
        }
        if (adapter.from.functions().knows(JoinedColumns.low(column.name().last())) || columns.isOfOuterQuery(column)) {
            return e;
        }
        // A further group would split the rows of totals.
        if (plain && dependsOnKey(column)) {
            // Documents cannot be grouped; the key that is does it for them.
            boolean document = isDocument(column) && ofFirstKey(column);
            if (!document || !adapter.to.has(SqlFeature.KEYS_GROUP_COLUMNS)) {
                dependent.put(key(column), column);
            }
            return e;
        }
        if (keysGroup(adapter)) {
            // What the source takes hangs on a key that is not known here, or stands in an aggregate of the user's.
            return e;
        }
        adapter.note(FindingCode.GROUPING_LOOSE, e.span(), "the least " + column.name());
        return Expr.Call.of("min", e).at(e.span());
    }

    private boolean isDocument(Expr.Column column) {
        return columns.owners(column)
                .get(0)
                .columns()
                .get(JoinedColumns.low(column.name().last()))
                .type()
                .filter(LogicalType.Json.class::isInstance)
                .isPresent();
    }

    /** True for a column of a table whose first key, which is the primary one where it has one, is grouped as columns. */
    private boolean ofFirstKey(Expr.Column column) {
        return isGrouped(columns.owners(column).get(0).keys().get(0), column);
    }

    /** True where a key of the column's table, none of whose columns can be NULL, is grouped, or what is joined with it. */
    private boolean dependsOnKey(Expr.Column column) {
        if (grouped.stream().anyMatch(g -> columns.equal(g, key(column)))) {
            return true;
        }
        List<KnownTable> owners = columns.owners(column);
        return owners.size() == 1
                && owners.get(0).keys().stream()
                        .anyMatch(k -> isGrouped(k, column)
                                && (k.equals(owners.get(0).keys().get(0)) || neverNull(k, owners.get(0))));
    }

    private static boolean neverNull(List<Name> key, KnownTable table) {
        return key.stream().allMatch(n -> Optional.ofNullable(table.columns().get(JoinedColumns.low(n)))
                .filter(Knowledge.KnownColumn::notNull)
                .isPresent());
    }

    private boolean isGrouped(List<Name> key, Expr.Column ofTheSame) {
        return key.stream().map(n -> columns.beside(ofTheSame, n)).allMatch(k -> grouped.stream()
                .anyMatch(g -> columns.same(g, k) || columns.equal(g, k)));
    }
}
