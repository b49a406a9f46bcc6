package raftcart.sql.tree;

import java.util.Optional;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.TableConstraint;

/** One change of a table. */
public sealed interface AlterAction {
    /**
     * A further column.
     *
     * @param fills true where the rows that are there get the column's default
     */
    record AddColumn(ColumnDefinition column, boolean ifNotExists, boolean fills) implements AlterAction {}

    /**
     * Where a column stands among the others from now on.
     *
     * @param before true for the place before another, false for that behind it
     * @param beside the other; empty for the first place of all
     */
    record PlaceColumn(Name column, boolean before, Optional<Name> beside) implements AlterAction {}

    /** A column less. */
    record DropColumn(Name column, boolean ifExists, boolean cascade) implements AlterAction {}

    /** A column as it is from now on; its type is empty where that stays. */
    record ChangeColumn(Name column, ColumnDefinition definition, Optional<Expr> using) implements AlterAction {
        public ChangeColumn(Name column, ColumnDefinition definition) {
            this(column, definition, Optional.empty());
        }
    }

    /** Another type. */
    record SetType(Name column, TypeName type, Optional<Expr> using) implements AlterAction {}

    /**
     * Another default, or none any more.
     *
     * @param constraint the name that the default gets
     */
    record SetDefault(Name column, Optional<Expr> value, Optional<Name> constraint) implements AlterAction {
        /** A default without a name. */
        public static SetDefault of(Name column, Optional<Expr> value) {
            return new SetDefault(column, value, Optional.empty());
        }
    }

    /** NULL allowed, or not. */
    record SetNullable(Name column, boolean nullable) implements AlterAction {}

    /** A column numbered by the engine from now on. */
    record AddIdentity(Name column, TableParts.IdentityOptions options) implements AlterAction {}

    /** The next number that the engine gives a column. */
    record RestartIdentity(Name column, java.math.BigInteger next) implements AlterAction {}

    /** A further constraint. */
    record AddConstraint(TableConstraint constraint) implements AlterAction {}

    /** A constraint less; the kind is CONSTRAINT, PRIMARY KEY, FOREIGN KEY, UNIQUE or INDEX. */
    record DropConstraint(String kind, Optional<Name> name, boolean ifExists, boolean cascade) implements AlterAction {
        /** The same, which does nothing where there is none. */
        public DropConstraint ifExisting() {
            return new DropConstraint(kind, name, true, cascade);
        }
    }

    /** Another name for a column. */
    record RenameColumn(Name from, Name to) implements AlterAction {}

    /** Another name for a constraint or an index of the table. */
    record RenamePart(boolean index, Name from, Name to) implements AlterAction {}

    /** Another name for the table. */
    record RenameTable(QualifiedName to) implements AlterAction {}

    /** Another comment on the table. */
    record SetComment(String text) implements AlterAction {}

    /** A table that becomes a part of this one; its bounds are as written. */
    record AttachPartition(QualifiedName part, String bounds) implements AlterAction {}

    /** A setting that says nothing about meaning. */
    record Physical(String text) implements AlterAction {}
}
