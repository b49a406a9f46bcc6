package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.sql.Span;

/** Something that gives rows in FROM. */
public sealed interface TableRef {
    /** Where it was read. */
    Span span();

    /** The name by which it is called here; empty for a join, which has none. */
    default Optional<Alias> alias() {
        return Optional.empty();
    }

    /** What is joined here, from left to right; this alone where it is no join. */
    default List<TableRef> leaves() {
        return this instanceof Join join
                ? Stream.concat(join.left().leaves().stream(), join.right().leaves().stream())
                        .toList()
                : List.of(this);
    }

    /** The tables among what is joined here. */
    default Stream<Table> tables() {
        return leaves().stream().filter(Table.class::isInstance).map(Table.class::cast);
    }

    /**
     * A table or view.
     *
     * @param sample empty or the percentage with its method
     * @param only without heirs
     * @param lock the lock that reading takes, where it is said with the table and not behind the query
     */
    record Table(
            QualifiedName name,
            Optional<Alias> alias,
            Optional<Sample> sample,
            boolean only,
            Optional<Query.Locking> lock,
            Span span)
            implements TableRef {
        public Table(QualifiedName name, Optional<Alias> alias, Optional<Sample> sample, boolean only, Span span) {
            this(name, alias, sample, only, Optional.empty(), span);
        }

        /** The same with a lock. */
        public Table locked(Query.Locking with) {
            return new Table(name, alias, sample, only, Optional.of(with), span);
        }

        /** The same under another name and alias. */
        public Table named(QualifiedName other, Optional<Alias> otherAlias) {
            return new Table(other, otherAlias, sample, only, lock, span);
        }

        /** A table without more. */
        public static Table of(QualifiedName name) {
            return new Table(name, Optional.empty(), Optional.empty(), false, Span.NONE);
        }
    }

    /** A query in parentheses. */
    record Derived(Query query, boolean lateral, Optional<Alias> alias, Span span) implements TableRef {}

    /** A function that gives rows. */
    record Function(Expr call, boolean lateral, boolean ordinality, Optional<Alias> alias, Span span)
            implements TableRef {}

    /**
     * The parts of a JSON document as rows ("JSON table", ISO/IEC 9075-2); it may read the tables before it.
     *
     * @param path what the rows are in the document
     * @param more true where the source gives more columns than these
     */
    record JsonTable(
            Expr document, String path, List<JsonColumn> columns, boolean more, Optional<Alias> alias, Span span)
            implements TableRef {
        public JsonTable {
            columns = List.copyOf(columns);
        }

        /** The same under this name. */
        public JsonTable named(Optional<Alias> other) {
            return new JsonTable(document, path, columns, more, other, span);
        }
    }

    /**
     * A column of such a table.
     *
     * @param path what it is in the row's part of the document
     */
    record JsonColumn(Name name, Kind kind, Optional<TypeName> type, String path) {
        /** Kinds of column. */
        public enum Kind {
            VALUE,
            DOCUMENT,
            EXISTS,
            /** The number of the row, from 1. */
            PLACE
        }
    }

    /** Two tables joined. */
    record Join(Kind kind, TableRef left, TableRef right, Optional<Expr> on, List<Name> using, Span span)
            implements TableRef {
        /** How they are joined. */
        public enum Kind {
            INNER,
            LEFT,
            RIGHT,
            FULL,
            CROSS,
            NATURAL,
            NATURAL_LEFT,
            NATURAL_RIGHT,
            NATURAL_FULL,
            CROSS_APPLY,
            OUTER_APPLY;

            /** True where rows of the left side may appear without one of the right. */
            public boolean keepsLeft() {
                return this == LEFT
                        || this == FULL
                        || this == NATURAL_LEFT
                        || this == NATURAL_FULL
                        || this == OUTER_APPLY;
            }

            /** True where rows of the right side may appear without one of the left. */
            public boolean keepsRight() {
                return this == RIGHT || this == FULL || this == NATURAL_RIGHT || this == NATURAL_FULL;
            }
        }
    }

    /** Rows turned into columns. */
    record Pivot(
            TableRef source,
            List<QueryBody.Item> aggregates,
            List<Expr> by,
            List<QueryBody.Item> values,
            Optional<Alias> alias,
            Span span)
            implements TableRef {}

    /** Columns turned into rows. */
    record Unpivot(
            TableRef source,
            Name value,
            Name by,
            List<QueryBody.Item> columns,
            boolean withNulls,
            Optional<Alias> alias,
            Span span)
            implements TableRef {}

    /** A name for a table and perhaps for its columns, whose types follow where a function wants them. */
    record Alias(Name name, List<Name> columns, List<TypeName> types) {
        /** A name alone. */
        public static Alias of(String name) {
            return new Alias(Name.of(name), List.of(), List.of());
        }
    }

    /** A part of a table's rows; the seed makes it the same every time. */
    record Sample(String method, Expr amount, boolean rows, Optional<Expr> seed) {}
}
