package raftcart.engine;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Set;
import raftcart.catalog.Catalog;
import raftcart.catalog.Table;
import raftcart.move.RowReader;
import raftcart.move.RowWriter;

/**
 * One connection to a server with the session settings that make values come out in the agreed forms. Whoever opens
 * it closes it.
 */
public interface EngineSession extends AutoCloseable {
    /** The engine behind the connection. */
    Engine engine();

    /** The server's name and version. */
    String serverVersion();

    /** The schema that unqualified names mean. */
    String defaultSchema();

    /** The connection itself, for statements that every engine understands. */
    Connection connection();

    /**
     * Reads the schemas that belong to the user's data, or the default one where the engine has no other.
     *
     * @throws raftcart.error.CatalogException if it cannot be read
     */
    Catalog readCatalog();

    /** What the account lacks to read the source, as statements to run; empty if nothing. */
    List<String> missingToRead();

    /** What the account lacks to create and fill tables in this schema, as statements to run; empty if nothing. */
    List<String> missingToWrite(String schema);

    /**
     * Reads rows, the transfer columns in this order.
     *
     * @param rows what stands after FROM
     */
    RowReader openReader(String rows, List<TransferColumn> columns) throws SQLException;

    /** The triggers and foreign keys that act on the tables of some schemas, or lead to or from them. */
    List<ActingObject> actingObjects(Set<String> schemas) throws SQLException;

    /** Sets what makes this session load faster and loses nothing that {@link raftcart.move.ProgressTable} counts. */
    void prepareLoad() throws SQLException;

    /** Writes rows into a table, the transfer columns in this order; commits are the caller's. */
    RowWriter openWriter(Table table, List<TransferColumn> columns) throws SQLException;

    /**
     * Writes rows into a table that may hold rows of the same keys, which take the values of the new ones; commits are the
     * caller's.
     *
     * @param key the columns of the table's primary key, all of them among the transfer columns
     */
    RowWriter openUpdater(Table table, List<TransferColumn> columns, List<String> key) throws SQLException;

    /**
     * Calls a routine within the transaction at hand.
     *
     * @return the rows that it gives, and behind them one row of the values of its output parameters where it has such
     * @throws SQLException if it fails, or cannot be called
     */
    List<ResultRows> call(RoutineCall call) throws SQLException;

    /** The state of an error by the standard, or PostgreSQL's where the standard has none; what the engine says besides is its own. */
    String stateOf(SQLException error);

    /** True where the error says that code cannot work whatever it is given, as it names what is not there. */
    boolean isCodeFault(SQLException error);

    /** What an error says, without what the driver puts around it. */
    String messageOf(SQLException error);

    /**
     * Takes a lock of a name on the whole database until the session ends, in whatever way it ends.
     *
     * @return false if another session holds it
     */
    boolean lock(String name) throws SQLException;

    /** True where the error may be gone when the same is tried again on a new connection: the connection broke, or others were in the way. */
    boolean isTransient(SQLException error);

    /** True where the error says that a row does not fit, and false where something else is wrong. */
    boolean isRowFault(SQLException error);

    @Override
    void close();
}
