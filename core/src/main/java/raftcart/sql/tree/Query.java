package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;

/** A query with everything that may stand around its body. */
public record Query(
        List<CommonTable> with,
        boolean recursive,
        QueryBody body,
        List<OrderItem> order,
        Optional<Paging> paging,
        Optional<Locking> locking,
        Span span) {
    public Query {
        with = List.copyOf(with);
        order = List.copyOf(order);
    }

    /** A query that is nothing but its body. */
    public static Query of(QueryBody body) {
        return new Query(List.of(), false, body, List.of(), Optional.empty(), Optional.empty(), Span.NONE);
    }

    /** The same with another body. */
    public Query withBody(QueryBody other) {
        return new Query(with, recursive, other, order, paging, locking, span);
    }

    /** The same with another order. */
    public Query withOrder(List<OrderItem> other) {
        return new Query(with, recursive, body, other, paging, locking, span);
    }

    /** The same with other paging. */
    public Query withPaging(Optional<Paging> other) {
        return new Query(with, recursive, body, order, other, locking, span);
    }

    /** The same with other common tables. */
    public Query withTables(List<CommonTable> tables, boolean anyRecursive) {
        return new Query(tables, anyRecursive, body, order, paging, locking, span);
    }

    /** The same with other locking. */
    public Query withLocking(Optional<Locking> other) {
        return new Query(with, recursive, body, order, paging, other, span);
    }

    /** The body if it is a plain SELECT. */
    public Optional<QueryBody.Select> select() {
        return body instanceof QueryBody.Select s ? Optional.of(s) : Optional.empty();
    }

    /** A query that is named in WITH. The hint is empty, MATERIALIZED or NOT MATERIALIZED. */
    public record CommonTable(Name name, List<Name> columns, Query query, String hint) {}

    /** The rows that are wanted of a result; {@code ties} includes all rows equal to the last one. */
    public record Paging(Optional<Expr> offset, Optional<Expr> limit, boolean percent, boolean ties) {}

    /** The lock that reading takes: UPDATE or SHARE and so on, tables or columns, and what to do about others'. */
    public record Locking(String strength, List<QualifiedName> of, String waiting) {}
}
