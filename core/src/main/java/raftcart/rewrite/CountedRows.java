package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Window;

/** ROWNUM among the items of a query, which counts rows as they come: in their order, if they are sorted below. */
final class CountedRows {
    private final QueryAdapter adapter;

    CountedRows(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        if (!(query.body() instanceof Select select) || !select.groupBy().isEmpty()) {
            return query;
        }
        Counter counter = new Counter(order(select));
        List<Item> items = select.items().stream()
                .map(i -> new Item(counter.expr(i.value()), i.alias()))
                .toList();
        List<OrderItem> sorted = query.order().stream()
                .map(o -> o.withValue(counter.expr(o.value())))
                .toList();
        counter.first.ifPresent(this::note);
        return counter.first.isEmpty()
                ? query
                : query.withBody(select.withItems(items)).withOrder(sorted);
    }

    private void note(Counter.Found found) {
        if (found.sorted()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, found.span(), "ROWNUM as ROW_NUMBER() in the order of the rows");
        } else {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, found.span(), "ROWNUM as ROW_NUMBER(): rows are counted as they come");
        }
    }

    /** Turns ROWNUM into a row number, but within aggregates, which a window cannot be part of. */
    private final class Counter extends QueryMapper {
        record Found(Span span, boolean sorted) {}

        private final Window window;
        private Optional<Found> first = Optional.empty();

        Counter(List<OrderItem> order) {
            window = new Window(Optional.empty(), List.of(), order, Optional.empty());
        }

        @Override
        public Expr expr(Expr e) {
            boolean counts = e instanceof Expr.Column c
                    && c.name().key().equals("rownum")
                    && !c.name().last().exact();
            if (counts) {
                first = first.or(
                        () -> Optional.of(new Found(e.span(), !window.order().isEmpty())));
                return new Expr.Call(
                        QualifiedName.of("row_number"), true, List.of(), CallSuffix.NONE.withOver(window), e.span());
            }
            return e instanceof Expr.Subquery || Aggregates.is(e, adapter.from) ? e : super.expr(e);
        }
    }

    private static List<OrderItem> order(Select select) {
        return select.from().size() == 1 && !select.distinct() && select.from().get(0) instanceof TableRef.Derived rows
                ? order(rows).orElse(List.of())
                : List.of();
    }

    /** The order of the rows by columns that are there outside, too; empty where it is by anything else, or there is none. */
    private static Optional<List<OrderItem>> order(TableRef.Derived rows) {
        List<OrderItem> order = new ArrayList<>();
        if (!(rows.query().body() instanceof Select select)) {
            return Optional.empty();
        }
        for (OrderItem item : rows.query().order()) {
            Optional<Name> column = item.value() instanceof Expr.Column c ? shown(c.name(), select) : Optional.empty();
            if (column.isEmpty()) {
                return Optional.empty();
            }
            List<Name> parts = new ArrayList<>();
            rows.alias().ifPresent(a -> parts.add(a.name()));
            parts.add(column.get());
            QualifiedName outside = new QualifiedName(parts);
            order.add(
                    item.withValue(new Expr.Column(outside, false, item.value().span())));
        }
        return order.isEmpty() ? Optional.empty() : Optional.of(order);
    }

    /** The name under which the rows show a column; empty where they do not, or several by that name. */
    private static Optional<Name> shown(QualifiedName column, Select select) {
        boolean plain = column.parts().size() == 1;
        Optional<Name> found = Optional.empty();
        for (QueryBody.Item item : select.items()) {
            boolean star = item.value() instanceof Expr.Star s && s.except().isEmpty();
            boolean named =
                    plain && item.alias().filter(a -> a.matches(column.last())).isPresent();
            boolean own = item.alias().isEmpty()
                    && item.value() instanceof Expr.Column c
                    && c.name().last().matches(column.last());
            if ((star || named || own)
                    && (found.isPresent() || !plain && select.from().size() > 1)) {
                return Optional.empty();
            }
            found = star || named || own ? Optional.of(column.last()) : found;
        }
        return found;
    }
}
