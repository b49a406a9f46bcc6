package raftcart.sql.tree;

/** One expression of an ORDER BY. */
public record OrderItem(Expr value, boolean descending, Nulls nulls) {
    /** Where NULLs go; {@code DEFAULT} leaves it to the engine. */
    public enum Nulls {
        DEFAULT,
        FIRST,
        LAST
    }

    OrderItem map(TreeMapper mapper) {
        return new OrderItem(mapper.expr(value), descending, nulls);
    }

    /** The same with another expression. */
    public OrderItem withValue(Expr other) {
        return new OrderItem(other, descending, nulls);
    }
}
