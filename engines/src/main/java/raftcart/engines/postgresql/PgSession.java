package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Set;
import org.postgresql.util.PSQLException;
import raftcart.catalog.Catalog;
import raftcart.catalog.Table;
import raftcart.engine.ActingObject;
import raftcart.engine.EngineSession;
import raftcart.engine.ResultRows;
import raftcart.engine.RoutineCall;
import raftcart.engine.TransferColumn;
import raftcart.engines.jdbc.JdbcSession;
import raftcart.engines.jdbc.Query;
import raftcart.error.CatalogException;
import raftcart.error.ConnectException;
import raftcart.move.RowReader;
import raftcart.move.RowWriter;
import raftcart.plan.Endpoint;

/** A connection to PostgreSQL. */
final class PgSession extends JdbcSession {
    private PgSession(PgEngine engine, Connection connection, String version, String schema) {
        super(engine, connection, version, schema);
    }

    static EngineSession start(PgEngine engine, Connection connection, Endpoint endpoint) {
        try {
            Query.execute(
                    connection,
                    "SET TIME ZONE 'UTC'",
                    "SET DateStyle = 'ISO, YMD'",
                    "SET IntervalStyle = 'postgres'",
                    "SET bytea_output = 'hex'",
                    "SET extra_float_digits = 1",
                    "SET standard_conforming_strings = on",
                    "SET statement_timeout = 0",
                    "SET idle_in_transaction_session_timeout = 0");
            String version = "PostgreSQL " + Query.text(connection, "SHOW server_version");
            String current = Query.text(connection, "SELECT current_schema()");
            connection.setAutoCommit(false);
            return new PgSession(engine, connection, version, current == null ? "public" : current);
        } catch (SQLException e) {
            closeAfter(connection, e);
            throw new ConnectException(
                    "the session with " + endpoint.shownUrl() + " could not be set up: " + e.getMessage(), null, e);
        }
    }

    @Override
    public Catalog readCatalog() {
        try {
            connection().commit();
            connection().setAutoCommit(true); // so that no query keeps the locks of the one before
            Catalog catalog =
                    new PgCatalogReader(connection(), engine().dialect()).read(serverVersion(), defaultSchema());
            connection().setAutoCommit(false);
            return catalog;
        } catch (SQLException e) {
            throw new CatalogException(
                    "the catalog of " + serverVersion() + " could not be read: " + e.getMessage(),
                    "Check that the account may use the schemas and read the tables.",
                    e);
        }
    }

    @Override
    public List<String> missingToRead() {
        try {
            return Query.list(
                    connection(),
                    "SELECT format('GRANT SELECT ON %I.%I TO %I;', n.nspname, c.relname, current_user) FROM pg_class c"
                            + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind IN ('r', 'p')"
                            + " AND n.nspname !~ '^pg_' AND n.nspname <> 'information_schema'"
                            + " AND NOT has_table_privilege(c.oid, 'SELECT') ORDER BY 1",
                    row -> row.getString(1));
        } catch (SQLException e) {
            throw new CatalogException("permissions could not be read: " + e.getMessage(), null, e);
        }
    }

    @Override
    public List<String> missingToWrite(String wanted) {
        try {
            return Query.list(
                    connection(),
                    "SELECT format('GRANT CREATE, USAGE ON SCHEMA %I TO %I;', nspname, current_user) FROM pg_namespace"
                            + " WHERE nspname = ? AND NOT has_schema_privilege(oid, 'CREATE')",
                    row -> row.getString(1),
                    wanted);
        } catch (SQLException e) {
            throw new CatalogException("permissions could not be read: " + e.getMessage(), null, e);
        }
    }

    @Override
    public RowReader openReader(String rows, List<TransferColumn> columns) throws SQLException {
        return new PgRowReader(connection(), engine().dialect(), rows, columns);
    }

    @Override
    public List<ActingObject> actingObjects(Set<String> schemas) throws SQLException {
        return PgActing.of(connection());
    }

    @Override
    public void prepareLoad() throws SQLException {
        // "Asynchronous Commit": after a crash the last commits may be missing, but none out of their order; the
        // indexes
        // and keys that follow are committed durably, and all rows before them.
        Query.execute(connection(), "SET synchronous_commit = off");
        connection().commit();
    }

    @Override
    public RowWriter openWriter(Table table, List<TransferColumn> columns) throws SQLException {
        return new PgRowWriter(connection(), engine().dialect().identifiers(), table.name(), columns);
    }

    @Override
    public RowWriter openUpdater(Table table, List<TransferColumn> columns, List<String> key) throws SQLException {
        return new PgRowUpdater(connection(), engine().dialect().identifiers(), table.name(), columns, key);
    }

    @Override
    public List<ResultRows> call(RoutineCall call) throws SQLException {
        return PgCalls.call(connection(), engine().dialect().identifiers(), call);
    }

    @Override
    public String stateOf(SQLException error) {
        return error.getSQLState() == null ? "" : error.getSQLState();
    }

    @Override
    public boolean isCodeFault(SQLException error) {
        // "PostgreSQL Error Codes": syntax errors and names, but not rights; what a feature cannot do.
        String state = stateOf(error);
        return state.startsWith("42") && !state.equals("42501") || state.equals("0A000");
    }

    @Override
    public String messageOf(SQLException error) {
        return error instanceof PSQLException own && own.getServerErrorMessage() != null
                ? String.valueOf(own.getServerErrorMessage().getMessage())
                : String.valueOf(error.getMessage());
    }

    @Override
    public boolean lock(String name) throws SQLException {
        // The number of a lock has 64 bits ("Advisory Locks"); it belongs to the session and is gone with it.
        boolean got = Query.text(
                        connection(), "SELECT pg_try_advisory_lock(('x' || left(md5(?), 16))::bit(64)::bigint)", name)
                .equals("t");
        connection().commit();
        return got;
    }

    @Override
    public boolean isTransient(SQLException error) {
        String state = stateOf(error);
        // "PostgreSQL Error Codes": connection exception, serialization failure and deadlock, lock not available,
        // too many connections, operator intervention such as a shutdown.
        return state.startsWith("08")
                || state.startsWith("57P")
                || Set.of("40001", "40P01", "55P03", "53300", "57014").contains(state);
    }

    @Override
    public boolean isRowFault(SQLException error) {
        String state = error.getSQLState() == null ? "" : error.getSQLState();
        // "PostgreSQL Error Codes": data exception, integrity violation, and a row too large for a page or an index.
        return state.startsWith("22") || state.startsWith("23") || state.equals("54000");
    }
}
