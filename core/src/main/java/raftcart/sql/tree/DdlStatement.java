package raftcart.sql.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Statements that make, change and remove objects. {@code leftOut} lists physical clauses as written. */
public sealed interface DdlStatement extends Statement {
    /**
     * A new table.
     *
     * @param collation the clause that says how the texts of columns without one of their own compare
     */
    record CreateTable(
            QualifiedName name,
            boolean ifNotExists,
            Temporary temporary,
            List<ColumnDefinition> columns,
            List<TableConstraint> constraints,
            Optional<TableCopy> like,
            Optional<Query> query,
            boolean withData,
            Optional<String> comment,
            Optional<String> collation,
            Optional<Partitioning> partitioning,
            List<String> leftOut,
            Span span)
            implements DdlStatement {
        private CreateTable with(
                List<ColumnDefinition> itsColumns,
                List<TableConstraint> itsConstraints,
                Optional<TableCopy> copied,
                Optional<Query> filledBy) {
            return new CreateTable(
                    name,
                    ifNotExists,
                    temporary,
                    itsColumns,
                    itsConstraints,
                    copied,
                    filledBy,
                    withData,
                    comment,
                    collation,
                    partitioning,
                    leftOut,
                    span);
        }

        private CreateTable with(QualifiedName itsName, boolean ifAbsent) {
            return new CreateTable(
                    itsName,
                    ifAbsent,
                    temporary,
                    columns,
                    constraints,
                    like,
                    query,
                    withData,
                    comment,
                    collation,
                    partitioning,
                    leftOut,
                    span);
        }

        /** The same, filled by another query. */
        public CreateTable filledBy(Query other) {
            return with(columns, constraints, like, Optional.of(other));
        }

        /** The same without its keys and checks. */
        public CreateTable withoutConstraints() {
            return with(columns, List.of(), like, query);
        }

        /** The same without the query that fills it. */
        public CreateTable withoutQuery() {
            return with(columns, constraints, like, Optional.empty());
        }

        /** The same with other columns. */
        public CreateTable withColumns(List<ColumnDefinition> others) {
            return with(others, constraints, like, query);
        }

        /** The same with other columns, keys and checks. */
        public CreateTable withParts(List<ColumnDefinition> others, List<TableConstraint> rules) {
            return with(others, rules, like, query);
        }

        /** The same in one part. */
        public CreateTable undivided() {
            return new CreateTable(
                    name,
                    ifNotExists,
                    temporary,
                    columns,
                    constraints,
                    like,
                    query,
                    withData,
                    comment,
                    collation,
                    Optional.empty(),
                    leftOut,
                    span);
        }

        /** The same with these columns in place of another table's, and with these clauses left out. */
        public CreateTable copied(List<ColumnDefinition> others, List<String> clauses) {
            return new CreateTable(
                    name,
                    ifNotExists,
                    temporary,
                    others,
                    constraints,
                    Optional.empty(),
                    query,
                    withData,
                    comment,
                    collation,
                    partitioning,
                    clauses,
                    span);
        }

        /** The same under another name. */
        public CreateTable withName(QualifiedName other) {
            return with(other, ifNotExists);
        }

        /** The same, made only if it is not there. */
        public CreateTable ifAbsent() {
            return with(name, true);
        }

        /** How long a table and its rows live. */
        public enum Temporary {
            NO,
            /** The table is this session's own. */
            SESSION,
            /** The table is there for all, its rows are the session's own. */
            GLOBAL,
            /** The same, and the rows go at the end of the transaction. */
            GLOBAL_UNTIL_COMMIT,
            SESSION_UNTIL_COMMIT;

            /** True where rows go at the end of the transaction. */
            public boolean untilCommit() {
                return this == GLOBAL_UNTIL_COMMIT || this == SESSION_UNTIL_COMMIT;
            }

            /** True where the table is there for all sessions. */
            public boolean isGlobal() {
                return this == GLOBAL || this == GLOBAL_UNTIL_COMMIT;
            }
        }
    }

    /**
     * Another table whose columns a new one gets.
     *
     * @param whole true where it gets its keys, defaults, checks and indexes too; else the columns are names and types,
     *     and refuse NULL where its own do
     * @param inherits true where queries of the other table read the rows of the new one, which may have columns of its own
     */
    record TableCopy(QualifiedName table, boolean whole, boolean inherits) {}

    /** A part of a table that is partitioned. */
    record CreatePartition(QualifiedName name, QualifiedName table, Partitioning.Partition partition, Span span)
            implements DdlStatement {}

    /**
     * A column that gets a value whenever another column of its row changes.
     *
     * @param watched the columns whose change counts; empty for all
     */
    record AssignOnUpdate(QualifiedName table, Name column, Expr value, List<Name> watched, Span span)
            implements DdlStatement {}

    /** Comments on several columns of one table. */
    record ColumnComments(QualifiedName table, Map<Name, String> texts, Span span) implements DdlStatement {}

    /** A changed table. */
    record AlterTable(QualifiedName name, boolean ifExists, List<AlterAction> actions, Span span)
            implements DdlStatement {}

    /** Several tables that get other names at once. */
    record RenameTables(List<AlterTable> renames, Span span) implements DdlStatement {
        public RenameTables {
            renames = List.copyOf(renames);
        }
    }

    /** Another name for something of which no table is said. */
    record RenameObject(Kind kind, QualifiedName from, Name to, Span span) implements DdlStatement {
        /** What it is; a table or a constraint of one where that is not said. */
        public enum Kind {
            INDEX,
            CONSTRAINT,
            TABLE_OR_CONSTRAINT
        }
    }

    /** A new index. The kind is empty or such as FULLTEXT or BITMAP. */
    record CreateIndex(
            Optional<QualifiedName> name,
            boolean unique,
            String kind,
            boolean ifNotExists,
            QualifiedName table,
            List<IndexPart> parts,
            List<Name> include,
            Optional<Expr> where,
            String method,
            List<String> leftOut,
            Span span)
            implements DdlStatement {
        /** The same of all rows, by these parts. */
        public CreateIndex withoutWhere(List<IndexPart> others) {
            return new CreateIndex(
                    name, unique, kind, ifNotExists, table, others, include, Optional.empty(), method, leftOut, span);
        }

        /** The same on another table. */
        public CreateIndex on(QualifiedName other) {
            return new CreateIndex(
                    name, unique, kind, ifNotExists, other, parts, include, where, method, leftOut, span);
        }

        /** The same, made anew where it is there. */
        public CreateIndex orReplace() {
            List<String> all = new ArrayList<>(leftOut);
            all.add("OR REPLACE");
            return new CreateIndex(name, unique, kind, ifNotExists, table, parts, include, where, method, all, span);
        }

        /** The same, made only if it is not there. */
        public CreateIndex ifAbsent() {
            return new CreateIndex(name, unique, kind, true, table, parts, include, where, method, leftOut, span);
        }
    }

    /** A new view. */
    record CreateView(
            QualifiedName name,
            boolean orReplace,
            boolean ifNotExists,
            boolean materialized,
            boolean temporary,
            boolean recursive,
            List<Name> columns,
            Query query,
            CheckOption check,
            List<String> leftOut,
            Span span)
            implements DdlStatement {
        /** What changes through the view are allowed. */
        public enum CheckOption {
            NONE,
            LOCAL,
            CASCADED,
            READ_ONLY
        }
    }

    /** A new sequence, or a changed one. */
    record CreateSequence(
            QualifiedName name,
            boolean alter,
            boolean ifNotExists,
            Optional<TypeName> type,
            IdentityOptions options,
            Optional<Long> restart,
            List<String> leftOut,
            Span span)
            implements DdlStatement {}

    /** A new schema. */
    record CreateSchema(Name name, boolean ifNotExists, boolean database, List<String> leftOut, Span span)
            implements DdlStatement {}

    /** A new enumeration, or a new type of fields where it has no values. */
    record CreateType(QualifiedName name, List<String> values, List<ColumnDefinition> fields, Span span)
            implements DdlStatement {}

    /** A new domain; its checks name VALUE. */
    record CreateDomain(
            QualifiedName name,
            TypeName type,
            boolean notNull,
            Optional<Expr> defaultValue,
            List<Expr> checks,
            Span span)
            implements DdlStatement {
        /** The same with what it has of the domain that it is of. */
        public CreateDomain of(CreateDomain base) {
            List<Expr> all = new ArrayList<>(base.checks());
            all.addAll(checks);
            return new CreateDomain(
                    name, base.type(), notNull || base.notNull(), defaultValue.or(base::defaultValue), all, span);
        }

        /**
         * True where its domain is, perhaps through others, of this one: no engine keeps such, but scripts that make
         * domains anew can say so.
         */
        public boolean isInCircle(Map<String, CreateDomain> known) {
            CreateDomain base = isOfItself() ? null : known.get(typeKey());
            for (int i = 0; i <= known.size() && base != null && base.type().arrays() == 0; i++) {
                if (base.typeKey().equals(name.last().key())) {
                    return true;
                }
                base = known.get(base.typeKey());
            }
            return false;
        }

        private String typeKey() {
            return type.name().substring(type.name().lastIndexOf('.') + 1);
        }

        /** True for one of a type of the same name, which is no domain. */
        public boolean isOfItself() {
            return type.name().equals(name.last().key());
        }
    }

    /** A check added to a domain, and so to the columns that are of it. */
    record DomainCheck(QualifiedName domain, Expr check, Span span) implements DdlStatement {}

    /** Another name for an object. */
    record CreateSynonym(QualifiedName name, QualifiedName target, boolean orReplace, boolean common, Span span)
            implements DdlStatement {}

    /** Objects removed. The kind is in upper case, such as TABLE or MATERIALIZED VIEW. */
    record Drop(
            String kind,
            List<QualifiedName> names,
            boolean ifExists,
            boolean cascade,
            Optional<QualifiedName> table,
            boolean temporary,
            Span span)
            implements DdlStatement {
        /** True for functions, procedures and triggers. */
        public boolean ofCode() {
            return kind.matches("FUNCTION|PROCEDURE|ROUTINE|TRIGGER");
        }

        /** Objects of which nothing is said to be temporary. */
        public Drop(
                String kind,
                List<QualifiedName> names,
                boolean ifExists,
                boolean cascade,
                Optional<QualifiedName> table,
                Span span) {
            this(kind, names, ifExists, cascade, table, false, span);
        }
    }

    /** A comment on an object; for a column the name ends in the column's. */
    record Comment(String kind, QualifiedName name, Optional<String> text, Span span) implements DdlStatement {}

    /** A role that holds rights for those who are members of it. */
    record CreateRole(Name name, boolean ifNotExists, Span span) implements DdlStatement {}

    /**
     * Members of roles, new ones or former ones.
     *
     * @param members as the grantees of {@link Grant}
     * @param mayGrant true where they may make others members
     */
    record RoleMembers(boolean revoke, List<Name> roles, List<String> members, boolean mayGrant, Span span)
            implements DdlStatement {
        public RoleMembers {
            roles = List.copyOf(roles);
            members = List.copyOf(members);
        }
    }

    /**
     * Rights given or taken. Privileges are as written.
     *
     * @param kind empty for tables and views; {@link #ALL_TABLES} for all of the schemas that {@code objects} names
     * @param grantees names; on engines that tell users apart by their hosts, with @ and the host behind
     */
    record Grant(
            boolean revoke,
            List<String> privileges,
            String kind,
            List<QualifiedName> objects,
            List<String> grantees,
            boolean withGrant,
            Span span)
            implements DdlStatement {
        /** The kind of all tables and views of schemas. */
        public static final String ALL_TABLES = "ALL TABLES";

        /** The same on all tables of the schemas that it names. */
        public Grant onAllTables() {
            return new Grant(revoke, privileges, ALL_TABLES, objects, grantees, withGrant, span);
        }
    }
}
