package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Window;

/**
 * Aggregates of the first or last rows of a group only, {@code MAX(x) KEEP (DENSE_RANK FIRST ORDER BY y)}: the rows get
 * their rank in a query below, and the aggregate takes those with rank 1.
 */
final class KeptAggregates extends QueryMapper {
    private final Select select;
    private final List<Item> ranks = new ArrayList<>();

    private KeptAggregates(Select select) {
        this.select = select;
    }

    static Query rewrite(ExprAdapter adapter, Query query) {
        Select select = (Select) query.body();
        KeptAggregates kept = new KeptAggregates(select);
        List<Item> items = select.items().stream()
                .map(i -> new Item(kept.expr(i.value()), i.alias()))
                .toList();
        Optional<Expr> having = select.having().map(kept::expr);
        List<OrderItem> order = query.order().stream()
                .map(o -> o.withValue(kept.expr(o.value())))
                .toList();
        if (kept.ranks.isEmpty()) {
            return query;
        }
        TableRef table = select.from().size() == 1 ? select.from().get(0) : null;
        boolean plain = (table instanceof TableRef.Table || table instanceof TableRef.Derived)
                && select.hierarchy().isEmpty()
                && select.where().filter(KeptAggregates::counts).isEmpty()
                && select.groupBy().stream().allMatch(g -> g.kind() == Grouping.Kind.PLAIN);
        if (!plain) {
            throw new Untranslatable("KEEP (DENSE_RANK ...) over several tables, grouping sets or ROWNUM");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "KEEP by the rank of the rows in a query below");
        Name alias = ChangeAdapter.alias(table);
        List<Item> inner = new ArrayList<>(List.of(
                Item.of(new Expr.Star(Optional.of(new QualifiedName(List.of(alias))), List.of(), select.span()))));
        inner.addAll(kept.ranks);
        TableRef ranked = new TableRef.Derived(
                Query.of(Select.of(inner, List.of(table), select.where())),
                false,
                Optional.of(TableRef.Alias.of(alias.text())),
                select.span());
        Select outer = select.withItems(items)
                .withFrom(List.of(ranked))
                .withWhere(Optional.empty())
                .withGroups(select.groupBy(), having);
        return query.withBody(outer).withOrder(order);
    }

    /** True for a condition on ROWNUM, which counts before the rows are ranked. */
    private static boolean counts(Expr where) {
        return ExprSearch.any(
                where, e -> e instanceof Expr.Column c && c.name().last().key().equals("rownum"));
    }

    @Override
    public Query query(Query query) {
        return query; // has ranks of its own
    }

    @Override
    public Expr expr(Expr e) {
        if (!(e instanceof Expr.Call call) || call.suffix().keep().isEmpty()) {
            return super.expr(e);
        }
        if (call.suffix().over().isPresent()
                || call.suffix().filter().isPresent()
                || call.arguments().size() != 1) {
            throw new Untranslatable("KEEP (DENSE_RANK ...) over a window");
        }
        Expr argument = call.arguments().get(0);
        Expr value = argument instanceof Expr.Star ? Expr.Literal.number(1) : argument;
        Expr first = new Expr.Binary(
                BinaryOperator.EQUAL, Expr.Column.of(rank(call).text()), Expr.Literal.number(1), call.span());
        Expr chosen =
                new Expr.Case(Optional.empty(), List.of(new Expr.When(first, value)), Optional.empty(), call.span());
        CallSuffix suffix = call.suffix().distinct()
                ? new CallSuffix(true, List.of(), false, Optional.empty(), "", Optional.empty())
                : CallSuffix.NONE;
        return new Expr.Call(call.name(), false, List.of(chosen), suffix, call.span());
    }

    /** The column with the rank of a row in its group, by the order of this call. */
    private Name rank(Expr.Call call) {
        List<OrderItem> order = call.suffix().keep().equals("FIRST")
                ? call.suffix().order()
                : call.suffix().order().stream().map(KeptAggregates::reversed).toList();
        List<Expr> groups =
                select.groupBy().stream().flatMap(g -> g.items().stream()).toList();
        Window window = new Window(Optional.empty(), groups, order, Optional.empty());
        Expr rank = new Expr.Call(
                QualifiedName.of("dense_rank"), true, List.of(), CallSuffix.NONE.withOver(window), call.span());
        Optional<Name> same = ranks.stream()
                .filter(r -> order(r).equals(order))
                .flatMap(r -> r.alias().stream())
                .findFirst();
        if (same.isPresent()) {
            return same.get();
        }
        Name name = Name.of("rank_" + (ranks.size() + 1) + "_");
        ranks.add(new Item(rank, Optional.of(name)));
        return name;
    }

    private static List<OrderItem> order(Item rank) {
        return ((Expr.Call) rank.value()).suffix().over().orElseThrow().order();
    }

    /** The order from the end; NULLs, which come last without a word, then come first without one. */
    private static OrderItem reversed(OrderItem item) {
        Nulls nulls =
                item.nulls() == Nulls.DEFAULT ? Nulls.DEFAULT : item.nulls() == Nulls.FIRST ? Nulls.LAST : Nulls.FIRST;
        return new OrderItem(item.value(), !item.descending(), nulls);
    }
}
