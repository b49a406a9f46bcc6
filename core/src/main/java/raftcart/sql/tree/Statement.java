package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.TableRef.Alias;

/** A statement of a script. {@code leftOut} lists clauses as written that say nothing about meaning. */
public sealed interface Statement permits CodeStatement, DdlStatement, Statement.Dml, Statement.Other {
    /** Where it was read. */
    Span span();

    /** Statements that read or change rows. */
    sealed interface Dml extends Statement {}

    /** Statements around the others. */
    sealed interface Other extends Statement {}

    /** A query; its rows go into a new table where there is one to go into. */
    record QueryStatement(Query query, Optional<QualifiedName> into, boolean temporary, Span span) implements Dml {}

    /**
     * New rows. Without a source, a row of defaults.
     *
     * @param mode what happens to rows whose key is there already, unless {@code upsert} says it
     */
    record Insert(
            List<CommonTable> with,
            Mode mode,
            QualifiedName table,
            Optional<Alias> alias,
            List<Name> columns,
            Optional<Query> source,
            String overriding,
            Optional<Upsert> upsert,
            List<QueryBody.Item> returning,
            Span span)
            implements Dml {
        /** The rows of a query for some columns of a table. */
        public static Insert of(Mode mode, QualifiedName table, List<Name> columns, Query source, Span span) {
            return new Insert(
                    List.of(),
                    mode,
                    table,
                    Optional.empty(),
                    columns,
                    Optional.of(source),
                    "",
                    Optional.empty(),
                    List.of(),
                    span);
        }

        /** How many values each of the rows has; empty where that cannot be told. */
        public OptionalInt width() {
            QueryBody body = source.map(Query::body).orElse(null);
            if (body instanceof QueryBody.Values values) {
                return OptionalInt.of(values.rows().get(0).size());
            }
            boolean told = body instanceof QueryBody.Select select
                    && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
            return told ? OptionalInt.of(((QueryBody.Select) body).items().size()) : OptionalInt.empty();
        }

        /** What happens to rows whose key is there already. */
        public enum Mode {
            INSERT,
            IGNORE,
            REPLACE
        }

        /** The same, which gives nothing of its rows. */
        public Insert withoutReturning() {
            return new Insert(with, mode, table, alias, columns, source, overriding, upsert, List.of(), span);
        }

        /** The same with another source. */
        public Insert withSource(Query other) {
            return new Insert(
                    with, mode, table, alias, columns, Optional.of(other), overriding, upsert, returning, span);
        }

        /** One row of defaults instead. */
        public Insert withoutSource() {
            return new Insert(with, mode, table, alias, columns, Optional.empty(), overriding, upsert, returning, span);
        }

        /** The same with other common tables before it. */
        public Insert withCommonTables(List<CommonTable> tables) {
            return new Insert(tables, mode, table, alias, columns, source, overriding, upsert, returning, span);
        }

        /** The same, where rows bring numbers for a column that the engine numbers. */
        public Insert withOverriding(String whose) {
            return new Insert(with, mode, table, alias, columns, source, whose, upsert, returning, span);
        }

        /** The same into another table. */
        public Insert into(QualifiedName other) {
            return new Insert(with, mode, other, alias, columns, source, overriding, upsert, returning, span);
        }

        /** The same for rows that meet no other. */
        public Insert plain() {
            return new Insert(
                    with, Mode.INSERT, table, alias, columns, source, overriding, Optional.empty(), returning, span);
        }

        /** The same with a row that has nothing but defaults. */
        public Insert ofDefaults() {
            return new Insert(
                    with, mode, table, alias, List.of(), Optional.empty(), overriding, upsert, returning, span);
        }

        /** The same, which gives these items of its rows. */
        public Insert giving(List<QueryBody.Item> items) {
            return new Insert(with, mode, table, alias, columns, source, overriding, upsert, items, span);
        }

        /** The same with these columns named. */
        public Insert withColumns(List<Name> names) {
            return new Insert(with, mode, table, alias, names, source, overriding, upsert, returning, span);
        }
    }

    /** What to do with a row whose key is there already: nothing where no assignments are given. */
    record Upsert(
            List<Expr> target,
            Optional<Name> constraint,
            List<Assignment> assignments,
            Optional<Expr> where,
            boolean anyKey) {}

    /** Columns that get a value; several columns get those of a row. */
    record Assignment(List<Expr> columns, Expr value) {
        /** The same with another value. */
        public Assignment withValue(Expr other) {
            return new Assignment(columns, other);
        }
    }

    /** One query whose rows go to several tables. */
    record MultiInsert(boolean first, List<Branch> branches, Query source, Span span) implements Dml {}

    /** Where a row goes under which condition; without one always, {@code otherwise} if no other did. */
    record Branch(
            Optional<Expr> condition, boolean otherwise, QualifiedName table, List<Name> columns, List<Expr> values) {}

    /** Changed rows. */
    record Update(
            List<CommonTable> with,
            TableRef target,
            List<Assignment> assignments,
            List<TableRef> from,
            Optional<Expr> where,
            List<OrderItem> order,
            Optional<Expr> limit,
            List<QueryBody.Item> returning,
            Span span)
            implements Dml {
        /** The same of other rows. */
        public Update withWhere(Optional<Expr> other) {
            return new Update(with, target, assignments, from, other, order, limit, returning, span);
        }

        /** The same, which gives these items of its rows. */
        public Update giving(List<QueryBody.Item> items) {
            return new Update(with, target, assignments, from, where, order, limit, items, span);
        }

        /** The same of another table. */
        public Update withTarget(TableRef other) {
            return new Update(with, other, assignments, from, where, order, limit, returning, span);
        }
    }

    /** Removed rows: those of {@code targets} among the joined tables, or of the one table. */
    record Delete(
            List<CommonTable> with,
            List<QualifiedName> targets,
            TableRef table,
            List<TableRef> using,
            Optional<Expr> where,
            List<OrderItem> order,
            Optional<Expr> limit,
            List<QueryBody.Item> returning,
            Span span)
            implements Dml {
        /** The same of other rows. */
        public Delete withWhere(Optional<Expr> other) {
            return new Delete(with, targets, table, using, other, order, limit, returning, span);
        }

        /** The same, which gives these items of its rows. */
        public Delete giving(List<QueryBody.Item> items) {
            return new Delete(with, targets, table, using, where, order, limit, items, span);
        }
    }

    /** Rows merged into a table. */
    record Merge(
            List<CommonTable> with,
            TableRef target,
            TableRef source,
            Expr on,
            List<MergeAction> actions,
            List<QueryBody.Item> returning,
            Span span)
            implements Dml {}

    /**
     * What happens to a row that is matched or not.
     *
     * @param bySource true for rows of the target that the source does not have
     */
    record MergeAction(
            boolean matched,
            boolean bySource,
            Optional<Expr> condition,
            Kind kind,
            List<Assignment> assignments,
            List<Name> columns,
            List<Expr> values,
            Optional<Expr> deleteWhere) {
        /** Kinds of action. */
        public enum Kind {
            UPDATE,
            DELETE,
            INSERT,
            NOTHING
        }
    }

    /** All rows removed at once. */
    record Truncate(List<QualifiedName> tables, boolean restart, boolean cascade, List<String> leftOut, Span span)
            implements Dml {}

    /**
     * A procedure called.
     *
     * @param outputs the places of the variables that take what the procedure gives, where a call has to say so
     */
    record CallProcedure(QualifiedName name, List<Expr> arguments, Optional<Set<Integer>> outputs, Span span)
            implements Dml {
        /** A call whose variables take what the procedure gives. */
        public CallProcedure(QualifiedName name, List<Expr> arguments, Span span) {
            this(name, arguments, Optional.empty(), span);
        }

        /** The same with other arguments. */
        public CallProcedure with(List<Expr> others) {
            return new CallProcedure(name, others, outputs, span);
        }
    }

    /** Begin, commit and so on; the name is that of a savepoint. */
    record Transaction(Kind kind, Optional<Name> name, Span span) implements Other {
        /** Kinds of statement. */
        public enum Kind {
            BEGIN,
            COMMIT,
            ROLLBACK,
            SAVEPOINT,
            ROLLBACK_TO,
            RELEASE
        }
    }

    /** The schema in which names are looked up from here on, or the database of that name. */
    record UseSchema(Name schema, boolean database, Span span) implements Other {}

    /** Whether rows may bring numbers with them for the numbered column of a table. */
    record AllowKeys(QualifiedName table, boolean allowed, Span span) implements Other {}

    /** What 0 stands for in the numbered column of a table from here on, and how statements are read. */
    record ZerosInKeys(List<Step> steps, String text, Span span) implements Other {
        /**
         * One assignment.
         *
         * @param variable where what holds is kept, or comes from
         * @param mode the mode in which statements are read from here on; empty for the usual one
         */
        public record Step(Kind kind, String variable, String mode) {}

        /** What an assignment does. */
        public enum Kind {
            /** 0 stands for the next number. */
            NUMBERED,
            /** 0 is what it says. */
            KEPT,
            SAVED,
            RESTORED
        }
    }

    /** A command of a client or a setting of a session, which has no meaning on another engine. */
    record ClientCommand(String text, Span span) implements Other {}

    /** Something that was understood only as far as to say what it is, and why a person has to look at it. */
    record NotTranslated(String what, boolean routine, Span span) implements Other {}
}
