package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;

/** What a query consists of. */
public sealed interface QueryBody {
    /** Where it was read. */
    Span span();

    /**
     * A SELECT.
     *
     * @param distinctOn the expressions of DISTINCT ON; empty without
     * @param hierarchy START WITH and CONNECT BY
     */
    record Select(
            boolean distinct,
            List<Expr> distinctOn,
            List<Item> items,
            List<TableRef> from,
            Optional<Expr> where,
            Optional<Hierarchy> hierarchy,
            List<Grouping> groupBy,
            Optional<Expr> having,
            List<NamedWindow> windows,
            Optional<Expr> qualify,
            Span span)
            implements QueryBody {
        public Select {
            distinctOn = List.copyOf(distinctOn);
            items = List.copyOf(items);
            from = List.copyOf(from);
            groupBy = List.copyOf(groupBy);
            windows = List.copyOf(windows);
        }

        /** The same with other conditions for rows and groups. */
        public Select withConditions(Optional<Expr> ofRows, Optional<Expr> ofGroups) {
            return new Select(
                    distinct, distinctOn, items, from, ofRows, hierarchy, groupBy, ofGroups, windows, qualify, span);
        }

        /** Columns of some tables under a condition. */
        public static Select of(List<Item> items, List<TableRef> from, Optional<Expr> where) {
            return new Select(
                    false,
                    List.of(),
                    items,
                    from,
                    where,
                    Optional.empty(),
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    Optional.empty(),
                    Span.NONE);
        }

        /** The same with other items. */
        public Select withItems(List<Item> other) {
            return new Select(
                    distinct, distinctOn, other, from, where, hierarchy, groupBy, having, windows, qualify, span);
        }

        /** The same with other groups. */
        public Select withGroups(List<Grouping> groups, Optional<Expr> condition) {
            return new Select(
                    distinct, distinctOn, items, from, where, hierarchy, groups, condition, windows, qualify, span);
        }

        /** The same with other tables. */
        public Select withFrom(List<TableRef> other) {
            return new Select(
                    distinct, distinctOn, items, other, where, hierarchy, groupBy, having, windows, qualify, span);
        }

        /** The same with other groups. */
        public Select withGroupBy(List<Grouping> other) {
            return new Select(
                    distinct, distinctOn, items, from, where, hierarchy, other, having, windows, qualify, span);
        }

        /** The same with another condition on windows. */
        public Select withQualify(Optional<Expr> other) {
            return new Select(
                    distinct, distinctOn, items, from, where, hierarchy, groupBy, having, windows, other, span);
        }

        /** The same with another condition. */
        public Select withWhere(Optional<Expr> other) {
            return new Select(
                    distinct, distinctOn, items, from, other, hierarchy, groupBy, having, windows, qualify, span);
        }

        /** The same without hierarchy. */
        public Select withoutHierarchy() {
            return new Select(
                    distinct,
                    distinctOn,
                    items,
                    from,
                    where,
                    Optional.empty(),
                    groupBy,
                    having,
                    windows,
                    qualify,
                    span);
        }

        /** The same without DISTINCT ON and QUALIFY. */
        public Select withoutChoice() {
            return new Select(
                    distinct,
                    List.of(),
                    items,
                    from,
                    where,
                    hierarchy,
                    groupBy,
                    having,
                    windows,
                    Optional.empty(),
                    span);
        }

        /** The same with other groups. */
        public Select withGroups(List<Grouping> other) {
            return new Select(
                    distinct, distinctOn, items, from, where, hierarchy, other, having, windows, qualify, span);
        }
    }

    /** Two queries joined: UNION, INTERSECT or EXCEPT. */
    record SetOperation(Kind kind, boolean all, QueryBody left, QueryBody right, Span span) implements QueryBody {
        /** How they are joined. */
        public enum Kind {
            UNION,
            INTERSECT,
            EXCEPT
        }
    }

    /** Rows of values. */
    record Values(List<List<Expr>> rows, Span span) implements QueryBody {}

    /** A query in parentheses. */
    record Nested(Query query, Span span) implements QueryBody {}

    /** An item of a select list. */
    record Item(Expr value, Optional<Name> alias) {
        /** An item without alias. */
        public static Item of(Expr value) {
            return new Item(value, Optional.empty());
        }
    }

    /** A hierarchical query. */
    record Hierarchy(Optional<Expr> start, Expr connect, boolean noCycle, List<OrderItem> siblings) {}

    /** A window that is named for several functions. */
    record NamedWindow(Name name, Window window) {}

    /** One element of GROUP BY. {@code sets} only for GROUPING SETS, {@code items} otherwise. */
    record Grouping(Kind kind, List<Expr> items, List<Grouping> sets) {
        /** Kinds of element. */
        public enum Kind {
            PLAIN,
            ROLLUP,
            CUBE,
            SETS,
            /** By all items of SELECT that are no aggregates. */
            ALL
        }

        /** A plain expression. */
        public static Grouping of(Expr item) {
            return new Grouping(Kind.PLAIN, List.of(item), List.of());
        }
    }
}
