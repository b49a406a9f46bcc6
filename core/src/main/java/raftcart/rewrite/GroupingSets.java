package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Window;

/** Several groupings of the same rows, as a query for each and one around them, where the target cannot say them. */
final class GroupingSets {
    /** More would make a statement that nobody reads; CUBE of five columns is within it. */
    private static final int MOST_SETS = 32;

    private final QueryAdapter adapter;
    private final Map<Expr, Name> keys = new LinkedHashMap<>();
    private final Map<Expr, Name> values = new LinkedHashMap<>();
    private final Set<Expr> asked = new HashSet<>();

    private GroupingSets(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The query without them; the same where there are none, or the target has them. */
    static Query rewrite(Query query, QueryAdapter adapter) {
        boolean needed = query.body() instanceof Select select && isNeeded(query, select, adapter);
        return needed ? new GroupingSets(adapter).apart(query, (Select) query.body()) : query;
    }

    private static boolean isNeeded(Query query, Select select, QueryAdapter adapter) {
        boolean sets = select.groupBy().stream()
                .anyMatch(g -> g.kind() == Grouping.Kind.SETS || g.kind() == Grouping.Kind.CUBE);
        boolean rollup = select.groupBy().stream().anyMatch(g -> g.kind() == Grouping.Kind.ROLLUP);
        boolean plain = adapter.to.has(SqlFeature.WITH_ROLLUP)
                && select.groupBy().size() == 1
                && query.order().isEmpty()
                && query.paging().isEmpty()
                && select.items().stream().noneMatch(i -> asksForTotals(i.value()));
        return sets && !adapter.to.has(SqlFeature.GROUPING_SETS)
                || rollup && !adapter.to.has(SqlFeature.ROLLUP) && !plain;
    }

    private static boolean asksForTotals(Expr value) {
        return ExprSearch.any(value, e -> isGrouping(e));
    }

    private static boolean isGrouping(Expr e) {
        return e instanceof Expr.Call call && call.isAny("grouping", "grouping_id");
    }

    private Query apart(Query query, Select select) {
        if (!adapter.to.has(SqlFeature.NULL_ITEMS)) {
            throw new Untranslatable("several groupings of the same rows");
        }
        List<List<Expr>> sets = sets(select);
        sets.forEach(s -> s.forEach(e -> keys.computeIfAbsent(e, k -> Name.of("key_" + (keys.size() + 1) + "_"))));
        Outer outer = new Outer();
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            items.add(new Item(outer.expr(item.value()), item.alias().or(() -> ownName(item.value()))));
        }
        Optional<Expr> having = select.having().map(outer::expr);
        Optional<Expr> qualify = select.qualify().map(outer::expr);
        List<OrderItem> order = query.order().stream()
                .map(o -> isName(o.value(), select) ? o : o.withValue(outer.expr(o.value())))
                .toList();
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "a query for each of the groupings");
        TableRef rows = new TableRef.Derived(
                Query.of(union(sets, select)), false, Optional.of(TableRef.Alias.of("groupings_")), select.span());
        Select around = new Select(
                select.distinct(),
                select.distinctOn(),
                items,
                List.of(rows),
                having,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                select.windows().stream()
                        .map(w -> new QueryBody.NamedWindow(w.name(), outer.window(w.window())))
                        .toList(),
                qualify,
                select.span());
        return query.withBody(around).withOrder(order);
    }

    /** The name that the source gives an item without an alias, which the target would take from what stands there now. */
    private Optional<Name> ownName(Expr value) {
        if (value instanceof Expr.Column column) {
            return Optional.of(column.name().last());
        }
        return value instanceof Expr.Call call && adapter.from.has(SqlFeature.NAMES_BY_FUNCTION)
                ? Optional.of(Name.of(call.name().last().key()))
                : Optional.empty();
    }

    /** True for a place or an alias of the select list. */
    private static boolean isName(Expr value, Select select) {
        return value instanceof Expr.Literal
                || value instanceof Expr.Column c
                        && c.name().parts().size() == 1
                        && select.items().stream().anyMatch(i -> i.alias()
                                .filter(a -> a.matches(c.name().last()))
                                .isPresent());
    }

    /** All sets of expressions by which rows are grouped: each element of GROUP BY multiplies them. */
    private static List<List<Expr>> sets(Select select) {
        List<List<Expr>> all = List.of(List.of());
        for (Grouping grouping : select.groupBy()) {
            List<List<Expr>> more = new ArrayList<>();
            for (List<Expr> before : all) {
                for (List<Expr> set : sets(grouping, select)) {
                    List<Expr> joined = new ArrayList<>(before);
                    set.stream().filter(e -> !joined.contains(e)).forEach(joined::add);
                    more.add(joined);
                }
            }
            all = more;
        }
        if (all.size() > MOST_SETS) {
            throw new Untranslatable("more than " + MOST_SETS + " groupings of the same rows");
        }
        return all;
    }

    private static List<List<Expr>> sets(Grouping grouping, Select select) {
        List<List<Expr>> items = grouping.items().stream()
                .map(i -> i instanceof Expr.Row row ? row.items() : List.of(i))
                .map(p -> p.stream().map(e -> GroupAdapter.meant(e, select)).toList())
                .toList();
        return switch (grouping.kind()) {
            case PLAIN -> List.of(joined(items));
            case ROLLUP -> {
                List<List<Expr>> sets = new ArrayList<>();
                for (int n = items.size(); n >= 0; n--) {
                    sets.add(joined(items.subList(0, n)));
                }
                yield sets;
            }
            case CUBE -> {
                List<List<Expr>> sets = new ArrayList<>();
                for (int mask = (1 << items.size()) - 1; mask >= 0; mask--) {
                    List<List<Expr>> chosen = new ArrayList<>();
                    for (int i = 0; i < items.size(); i++) {
                        if ((mask >> items.size() - 1 - i & 1) == 1) {
                            chosen.add(items.get(i));
                        }
                    }
                    sets.add(joined(chosen));
                }
                yield sets;
            }
            case SETS ->
                grouping.sets().stream().flatMap(s -> sets(s, select).stream()).toList();
            case ALL -> throw new Untranslatable("GROUP BY ALL among several groupings");
        };
    }

    private static List<Expr> joined(List<List<Expr>> parts) {
        return parts.stream().flatMap(List::stream).toList();
    }

    private QueryBody union(List<List<Expr>> sets, Select select) {
        QueryBody all = null;
        for (List<Expr> set : sets) {
            Select one = one(set, select);
            all = all == null
                    ? one
                    : new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, all, one, select.span());
        }
        return all;
    }

    private Select one(List<Expr> set, Select select) {
        List<Item> items = new ArrayList<>();
        keys.forEach(
                (key, name) -> items.add(new Item(set.contains(key) ? key : Expr.Literal.ofNull(), Optional.of(name))));
        for (Map.Entry<Expr, Name> key : keys.entrySet()) {
            if (asked.contains(key.getKey())) {
                int total = set.contains(key.getKey()) ? 0 : 1;
                items.add(new Item(Expr.Literal.number(total), Optional.of(total(key.getValue()))));
            }
        }
        values.forEach((value, name) -> items.add(new Item(value, Optional.of(name))));
        if (values.isEmpty()) {
            // Without any the total would be a row for each row.
            items.add(new Item(
                    Expr.Call.of("count", new Expr.Star(Optional.empty(), List.of(), select.span())),
                    Optional.of(Name.of("rows_"))));
        }
        return Select.of(items, select.from(), select.where())
                .withGroupBy(set.stream().map(Grouping::of).toList());
    }

    private static Name total(Name key) {
        return Name.of("total_of_" + key.text());
    }

    /** What stands around the groupings: their keys, marks and aggregates by the names that these have there. */
    private final class Outer extends QueryMapper {
        @Override
        public Expr expr(Expr e) {
            if (e instanceof Expr.Subquery || e instanceof Expr.Exists || e instanceof Expr.Parameter) {
                throw new Untranslatable("several groupings of the same rows beside a query or parameter");
            }
            if (keys.containsKey(e)) {
                return Expr.Column.of(keys.get(e).text());
            }
            if (isGrouping(e)) {
                return marks((Expr.Call) e);
            }
            boolean aggregate =
                    e instanceof Expr.Call call && call.suffix().over().isEmpty() && Aggregates.is(e, adapter.from);
            if (aggregate) {
                return Expr.Column.of(values.computeIfAbsent(e, v -> Name.of("value_" + (values.size() + 1) + "_"))
                        .text());
            }
            if (e instanceof Expr.Column || e instanceof Expr.Star) {
                throw new Untranslatable("a column beside several groupings that is not among them");
            }
            return super.expr(e);
        }

        Window window(Window window) {
            return new Window(window.base(), exprs(window.partition()), order(window.order()), window.frame());
        }

        /** GROUPING of one column is 1 for a total over it; of several, a bit for each. */
        private Expr marks(Expr.Call call) {
            Expr all = null;
            for (Expr argument : call.arguments()) {
                if (!keys.containsKey(argument)) {
                    throw new Untranslatable("GROUPING of what is not grouped");
                }
                asked.add(argument);
                Expr mark = Expr.Column.of(total(keys.get(argument)).text());
                Span span = call.span();
                Expr before = all == null
                        ? null
                        : new Expr.Binary(BinaryOperator.MULTIPLY, all, Expr.Literal.number(2), span);
                all = before == null ? mark : new Expr.Binary(BinaryOperator.ADD, before, mark, span);
            }
            return all;
        }
    }
}
