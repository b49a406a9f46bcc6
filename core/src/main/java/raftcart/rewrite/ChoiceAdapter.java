package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Window;

/** Says DISTINCT ON and QUALIFY, which choose rows by a window, with a query around the query. */
final class ChoiceAdapter {
    private static final String RANK = "row_rank_";

    private final ExprAdapter adapter;

    ChoiceAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        if (!(query.body() instanceof Select select)) {
            return query;
        }
        boolean distinctOn = !select.distinctOn().isEmpty() && !adapter.to.has(SqlFeature.DISTINCT_ON);
        boolean qualify = select.qualify().isPresent() && !adapter.to.has(SqlFeature.QUALIFY);
        if (!distinctOn && !qualify) {
            return query;
        }
        if (distinctOn && qualify || !select.windows().isEmpty()) {
            throw new Untranslatable("DISTINCT ON or QUALIFY together with other windows");
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                select.span(),
                (distinctOn ? "DISTINCT ON" : "QUALIFY") + " as a query around the query");
        boolean star = isStar(select);
        List<Name> names = star ? List.of() : names(select);
        List<Item> inner = new ArrayList<>(star ? select.items() : List.of());
        for (int i = 0; i < names.size(); i++) {
            inner.add(new Item(select.items().get(i).value(), Optional.of(names.get(i))));
        }
        Expr condition = distinctOn ? first(query, select, inner) : windows(select, inner);
        List<OrderItem> order = outerOrder(query, select, names, inner);
        Select body = select.withoutChoice().withItems(new StarItems(adapter).spelled(inner, select.from()));
        TableRef derived =
                new TableRef.Derived(Query.of(body), false, Optional.of(TableRef.Alias.of("ranked_")), select.span());
        List<Item> outer = star
                ? List.of(Item.of(new Expr.Star(Optional.empty(), List.of(), select.span())))
                : names.stream()
                        .map(n -> Item.of(new Expr.Column(new QualifiedName(List.of(n)), false, select.span())))
                        .toList();
        return new Query(
                query.with(),
                query.recursive(),
                Select.of(outer, List.of(derived), Optional.of(condition)),
                order,
                query.paging(),
                query.locking(),
                query.span());
    }

    private boolean isStar(Select select) {
        boolean star = select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star);
        if (star && select.items().size() > 1) {
            throw new Untranslatable("DISTINCT ON or QUALIFY with a star and more in the select list");
        }
        if (star) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, select.span(), "the star brings further columns, which hold the rank");
        }
        return star;
    }

    private static List<Name> names(Select select) {
        List<Name> names = new ArrayList<>();
        for (Item item : select.items()) {
            Name name = item.alias()
                    .orElseGet(() -> item.value() instanceof Expr.Column c
                            ? c.name().last()
                            : Name.of("column_" + (names.size() + 1)));
            names.add(name);
        }
        return names;
    }

    /** The first row of each group. */
    private static Expr first(Query query, Select select, List<Item> inner) {
        Window window = new Window(Optional.empty(), select.distinctOn(), query.order(), Optional.empty());
        CallSuffix suffix = CallSuffix.NONE.withOver(window);
        Expr rank = new Expr.Call(QualifiedName.of("row_number"), true, List.of(), suffix, select.span());
        inner.add(new Item(rank, Optional.of(Name.of(RANK))));
        return new Expr.Binary(BinaryOperator.EQUAL, Expr.Column.of(RANK), Expr.Literal.number(1), select.span());
    }

    /** The condition of QUALIFY, with each window function as a column of the inner query. */
    private static Expr windows(Select select, List<Item> inner) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean windowed =
                        e instanceof Expr.Call call && call.suffix().over().isPresent();
                boolean column = e instanceof Expr.Column;
                if (!windowed && !column) {
                    return super.expr(e);
                }
                for (Item item : inner) {
                    boolean alias = column
                            && ((Expr.Column) e).name().parts().size() == 1
                            && item.alias()
                                    .filter(a ->
                                            a.matches(((Expr.Column) e).name().last()))
                                    .isPresent();
                    if (item.value() instanceof Expr.Star) {
                        continue;
                    }
                    if (alias || item.value().equals(e)) {
                        return new Expr.Column(
                                new QualifiedName(List.of(item.alias().orElseThrow())), false, e.span());
                    }
                }
                Name name = Name.of(RANK + (inner.size() + 1));
                inner.add(new Item(e, Optional.of(name)));
                return new Expr.Column(new QualifiedName(List.of(name)), false, e.span());
            }
        }.expr(select.qualify().orElseThrow());
    }

    /** The order in terms of the columns that the query around has; what it does not select becomes one more of them. */
    private static List<OrderItem> outerOrder(Query query, Select select, List<Name> names, List<Item> inner) {
        QueryMapper outer = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                Optional<Name> name = column(e, select, names);
                if (name.isPresent()) {
                    return new Expr.Column(new QualifiedName(List.of(name.get())), false, e.span());
                }
                if (e instanceof Expr.Column c) {
                    boolean star = select.items().get(0).value() instanceof Expr.Star;
                    if (!star) {
                        Name hidden = Name.of("order_" + (inner.size() + 1));
                        inner.add(new Item(e, Optional.of(hidden)));
                        return new Expr.Column(new QualifiedName(List.of(hidden)), false, e.span());
                    }
                    return new Expr.Column(new QualifiedName(List.of(c.name().last())), false, e.span());
                }
                return super.expr(e);
            }
        };
        return query.order().stream()
                .map(item -> item.withValue(outer.expr(item.value())))
                .toList();
    }

    private static Optional<Name> column(Expr value, Select select, List<Name> names) {
        for (int i = 0; i < names.size(); i++) {
            boolean alias = value instanceof Expr.Column c
                    && c.name().parts().size() == 1
                    && c.name().last().matches(names.get(i));
            if (alias || select.items().get(i).value().equals(value)) {
                return Optional.of(names.get(i));
            }
        }
        return Optional.empty();
    }
}
