package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Window;

/** Adapts windows and their frames. */
final class WindowAdapter {
    private static final Set<String> RANKING = Set.of(
            "row_number",
            "rank",
            "dense_rank",
            "ntile",
            "percent_rank",
            "cume_dist",
            "lag",
            "lead",
            "first_value",
            "last_value");

    private final ExprAdapter adapter;

    WindowAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The window of a function; one that ranks rows gets an order where the target wants one. */
    Window window(Window window, String function) {
        boolean free = function.equals("row_number")
                ? adapter.to.has(SqlFeature.ROW_NUMBERS_WITHOUT_ORDER)
                : adapter.to.has(SqlFeature.RANKS_WITHOUT_ORDER)
                        || window.frame().isEmpty() && !RANKING.contains(function);
        if (free || !window.order().isEmpty() || window.base().isPresent()) {
            return window(window);
        }
        Window adapted = window(window);
        return new Window(adapted.base(), adapted.partition(), List.of(noOrder()), adapted.frame());
    }

    /** An order in which all rows are equal. */
    private OrderItem noOrder() {
        boolean constants = adapter.to.has(SqlFeature.WINDOWS_ORDERED_BY_CONSTANTS);
        Expr nothing = new Expr.Literal(LiteralKind.NULL, "NULL", Span.NONE);
        Expr value = constants
                ? Expr.Literal.number(1)
                : new Expr.Subquery(
                        Query.of(Select.of(List.of(Item.of(nothing)), List.of(), Optional.empty())), Span.NONE);
        return new OrderItem(value, false, Nulls.DEFAULT);
    }

    Window window(Window window) {
        new TextRules(adapter).window(window);
        boolean distance = window.frame().filter(WindowAdapter::hasDistance).isPresent();
        List<OrderItem> order = distance ? measured(window) : adapter.order(window.order());
        return new Window(
                window.base(),
                adapter.exprs(window.partition()),
                order,
                window.frame().map(this::frame));
    }

    /** A distance is one from a single value, so that NULLs cannot be put in their place by a further one. */
    private List<OrderItem> measured(Window window) {
        if (!adapter.to.has(SqlFeature.FRAME_DISTANCES) && !isSame()) {
            throw new Untranslatable("a frame of a RANGE with a distance");
        }
        Window.Frame frame = window.frame().orElseThrow();
        boolean open = frame.start().words().startsWith("UNBOUNDED")
                || frame.end().filter(e -> e.words().startsWith("UNBOUNDED")).isPresent();
        List<OrderItem> order = new ArrayList<>();
        for (OrderItem item : window.order()) {
            // Rows of NULL are among themselves whatever their place, unless the frame is open towards them.
            order.addAll(
                    open
                            ? adapter.orders.item(item, false)
                            : List.of(new OrderItem(adapter.expr(item.value()), item.descending(), Nulls.DEFAULT)));
        }
        return order;
    }

    private Window.Frame frame(Window.Frame frame) {
        if (frame.unit().equals("GROUPS") && !adapter.to.has(SqlFeature.FRAME_GROUPS) && !isSame()) {
            throw new Untranslatable("a frame of groups of rows");
        }
        boolean excludes = !frame.exclusion().isEmpty() && !frame.exclusion().equals("EXCLUDE NO OTHERS");
        if (excludes && !adapter.to.has(SqlFeature.FRAME_EXCLUSION) && !isSame()) {
            throw new Untranslatable("a frame that leaves out rows");
        }
        return new Window.Frame(
                frame.unit(),
                bound(frame.start()),
                frame.end().map(this::bound),
                adapter.to.has(SqlFeature.FRAME_EXCLUSION) ? frame.exclusion() : "");
    }

    private Window.Bound bound(Window.Bound bound) {
        return new Window.Bound(bound.offset().map(adapter::expr), bound.words());
    }

    private static boolean hasDistance(Window.Frame frame) {
        return frame.unit().equals("RANGE")
                && (frame.start().offset().isPresent()
                        || frame.end().flatMap(Window.Bound::offset).isPresent());
    }

    private boolean isSame() {
        return adapter.from.name().equals(adapter.to.name());
    }
}
