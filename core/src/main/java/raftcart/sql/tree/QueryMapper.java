package raftcart.sql.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.NamedWindow;

/** A mapper that goes into queries too; a subclass changes what it is there for and leaves the rest to this class. */
public class QueryMapper implements TreeMapper {
    @Override
    public Expr expr(Expr expression) {
        return expression.map(this);
    }

    @Override
    public Query query(Query query) {
        return new Query(
                each(query.with(), t -> new Query.CommonTable(t.name(), t.columns(), query(t.query()), t.hint())),
                query.recursive(),
                body(query.body()),
                order(query.order()),
                query.paging()
                        .map(p -> new Query.Paging(optional(p.offset()), optional(p.limit()), p.percent(), p.ties())),
                query.locking(),
                query.span());
    }

    /** The body that takes the place of this one. */
    public QueryBody body(QueryBody body) {
        if (body instanceof QueryBody.Select select) {
            return select(select);
        }
        if (body instanceof QueryBody.SetOperation set) {
            return new QueryBody.SetOperation(set.kind(), set.all(), body(set.left()), body(set.right()), set.span());
        }
        if (body instanceof QueryBody.Values values) {
            return new QueryBody.Values(each(values.rows(), this::exprs), values.span());
        }
        QueryBody.Nested nested = (QueryBody.Nested) body;
        return new QueryBody.Nested(query(nested.query()), nested.span());
    }

    /** The SELECT that takes the place of this one. */
    protected QueryBody select(QueryBody.Select select) {
        List<TableRef> from = each(select.from(), this::table);
        return new QueryBody.Select(
                select.distinct(),
                exprs(select.distinctOn()),
                items(select.items()),
                from,
                optional(select.where()),
                select.hierarchy()
                        .map(h -> new QueryBody.Hierarchy(
                                optional(h.start()), expr(h.connect()), h.noCycle(), order(h.siblings()))),
                each(select.groupBy(), this::grouping),
                optional(select.having()),
                each(select.windows(), w -> new NamedWindow(w.name(), w.window().map(this))),
                optional(select.qualify()),
                select.span());
    }

    /** The items over mapped expressions. */
    protected List<Item> items(List<Item> items) {
        return each(items, i -> new Item(expr(i.value()), i.alias()));
    }

    private Grouping grouping(Grouping grouping) {
        return new Grouping(grouping.kind(), exprs(grouping.items()), each(grouping.sets(), this::grouping));
    }

    /** Every query of every statement passes here, most of whose parts are not there; a stream would cost more than they. */
    private static <T> List<T> each(List<T> parts, UnaryOperator<T> change) {
        if (parts.isEmpty()) {
            return parts;
        }
        List<T> changed = new ArrayList<>(parts.size());
        for (T part : parts) {
            changed.add(change.apply(part));
        }
        return changed;
    }

    /** The table that takes the place of this one. */
    public TableRef table(TableRef table) {
        if (table instanceof TableRef.Join join) {
            return new TableRef.Join(
                    join.kind(),
                    table(join.left()),
                    table(join.right()),
                    optional(join.on()),
                    join.using(),
                    join.span());
        }
        if (table instanceof TableRef.Derived derived) {
            return new TableRef.Derived(query(derived.query()), derived.lateral(), derived.alias(), derived.span());
        }
        if (table instanceof TableRef.Function f) {
            return new TableRef.Function(expr(f.call()), f.lateral(), f.ordinality(), f.alias(), f.span());
        }
        if (table instanceof TableRef.JsonTable j) {
            return new TableRef.JsonTable(expr(j.document()), j.path(), j.columns(), j.more(), j.alias(), j.span());
        }
        if (table instanceof TableRef.Pivot p) {
            return new TableRef.Pivot(
                    table(p.source()), items(p.aggregates()), exprs(p.by()), items(p.values()), p.alias(), p.span());
        }
        if (table instanceof TableRef.Unpivot u) {
            return new TableRef.Unpivot(
                    table(u.source()), u.value(), u.by(), items(u.columns()), u.withNulls(), u.alias(), u.span());
        }
        return table;
    }

    /** Each table in turn. */
    public Optional<TableRef> optionalTable(Optional<TableRef> table) {
        return table.map(this::table);
    }
}
