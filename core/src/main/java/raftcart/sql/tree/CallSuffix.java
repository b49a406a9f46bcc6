package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;

/**
 * What may stand around the arguments of an aggregate or window function.
 *
 * @param order the order in which an aggregate takes its rows
 * @param withinGroup true where that order is written WITHIN GROUP
 * @param filter the rows that count
 * @param nulls empty, or IGNORE NULLS or RESPECT NULLS
 * @param keep FIRST or LAST where only the rows that come first or last in the order count; empty elsewhere
 */
public record CallSuffix(
        boolean distinct,
        List<OrderItem> order,
        boolean withinGroup,
        Optional<Expr> filter,
        String nulls,
        Optional<Window> over,
        String keep) {
    /** Nothing. */
    public static final CallSuffix NONE =
            new CallSuffix(false, List.of(), false, Optional.empty(), "", Optional.empty());

    /** All but KEEP. */
    public CallSuffix(
            boolean distinct,
            List<OrderItem> order,
            boolean withinGroup,
            Optional<Expr> filter,
            String nulls,
            Optional<Window> over) {
        this(distinct, order, withinGroup, filter, nulls, over, "");
    }

    public CallSuffix {
        order = List.copyOf(order);
    }

    CallSuffix map(TreeMapper mapper) {
        return this == NONE
                ? NONE
                : new CallSuffix(
                        distinct,
                        mapper.order(order),
                        withinGroup,
                        mapper.optional(filter),
                        nulls,
                        over.map(w -> w.map(mapper)),
                        keep);
    }

    /** The same without order. */
    public CallSuffix withoutOrder() {
        return new CallSuffix(distinct, List.of(), false, filter, nulls, over);
    }

    /** The same with another order. */
    public CallSuffix withOrder(List<OrderItem> other) {
        return new CallSuffix(distinct, other, withinGroup, filter, nulls, over);
    }

    /** The same without filter. */
    public CallSuffix withoutFilter() {
        return new CallSuffix(distinct, order, withinGroup, Optional.empty(), nulls, over, keep);
    }

    /** The same over another window. */
    public CallSuffix withOver(Window window) {
        return new CallSuffix(distinct, order, withinGroup, filter, nulls, Optional.of(window), keep);
    }
}
