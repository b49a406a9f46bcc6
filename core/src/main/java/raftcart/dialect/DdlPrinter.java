package raftcart.dialect;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.type.LogicalType;

/**
 * Writes the statements that create objects. Everything handed in is in the target's own terms already: names, type
 * names and expressions. Statements have no separator at their end.
 */
public interface DdlPrinter {
    /** Creates a schema unless it exists. */
    String createSchema(String schema);

    /** Creates a role that cannot log on, unless there is one of this name. */
    String createRole(String role);

    /** Creates a named enumeration. */
    String createType(EnumeratedType type);

    /** Creates a sequence that gives its start value first. */
    String createSequence(Sequence sequence);

    /** Creates a table with its columns, primary key, checks and comments; unique keys and references come later. */
    List<String> createTable(Table table);

    /** Adds a unique key to a table that has its rows. */
    String addUniqueKey(ObjectName table, Key key);

    /** True for an access method, other than a sorted one, by which columns of these types may be indexed. */
    boolean indexes(String method, List<LogicalType> columns);

    /** Creates an index on a table that has its rows. */
    String createIndex(ObjectName table, Index index);

    /** Adds a foreign key to a table that has its rows. */
    String addForeignKey(ObjectName table, ForeignKey key);

    /** Removes a table with the foreign keys and views that stand on it, if it is there. */
    List<String> dropTable(ObjectName table);

    /** Removes a view, if it is there. */
    String dropView(ObjectName view);

    /** Removes a sequence, if it is there. */
    String dropSequence(ObjectName sequence);

    /** Removes a type, if it is there; for engines that have types of their own. */
    default String dropType(ObjectName type) {
        throw new UnsupportedOperationException("an engine without types: " + type);
    }

    /** A query that gives a row where there is a type of this name; for engines that have types of their own. */
    default String findType(ObjectName type) {
        throw new UnsupportedOperationException("an engine without types: " + type);
    }

    /** Removes all rows of a table, fast. */
    String emptyTable(ObjectName table);

    /** Sets the number that an identity column gives next. */
    String setIdentity(ObjectName table, Column column, BigInteger next);

    /**
     * Lets an identity column go on with this number, or a greater one, without an end of the transaction.
     *
     * @return empty where it goes on behind the greatest number that rows brought anyway
     */
    Optional<String> advanceIdentity(ObjectName table, Column column, BigInteger next);

    /** Lets a sequence go on with this number, or a greater one, without an end of the transaction. */
    String advanceSequence(ObjectName sequence, BigInteger next);

    /** Sets the number that a sequence gives next. */
    String setSequence(ObjectName sequence, BigInteger next);

    /** Has the engine renew its statistics on a table. */
    String analyze(ObjectName table);
}
