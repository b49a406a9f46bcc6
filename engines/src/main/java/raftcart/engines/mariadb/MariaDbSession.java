package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import raftcart.catalog.Catalog;
import raftcart.catalog.Schema;
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

/** A connection to MariaDB. */
final class MariaDbSession extends JdbcSession {
    /** The states of errors to which the engine gives its general one ("Error Codes": more than one row, a value that cannot be read, a lock, a key that is there). */
    private static final Map<Integer, String> STATES =
            Map.of(1172, "P0003", 1366, "22P02", 1205, "55P03", 1062, "23505");

    /**
     * What cannot work whatever it is given ("Error Codes"): columns, tables, routines and variables that are not there, what
     * cannot be read, counts of columns, groups, collations that do not go together, what a function may not do, recursion.
     */
    private static final Set<Integer> CODE_FAULTS = Set.of(
            1052, 1054, 1055, 1056, 1064, 1066, 1111, 1136, 1140, 1146, 1193, 1222, 1241, 1267, 1271, 1303, 1305, 1318,
            1327, 1336, 1370, 1414, 1415, 1422, 1424, 1442, 1582, 1583, 1584, 1630);

    /** "Error Codes": too many connections, shutdown, lock wait timeout, deadlock, a connection that was killed or lost. */
    private static final Set<Integer> TRANSIENT = Set.of(1040, 1053, 1205, 1213, 1317, 1927, 2006, 2013);

    private MariaDbSession(MariaDbEngine engine, Connection connection, String version, String schema) {
        super(engine, connection, version, schema);
    }

    static EngineSession start(MariaDbEngine engine, Connection connection, Endpoint endpoint) {
        try {
            prepare(connection);
            String version =
                    "MariaDB " + Query.text(connection, "SELECT VERSION()").replaceFirst("-MariaDB.*", "");
            String schema = Query.text(connection, "SELECT COALESCE(DATABASE(), '')");
            connection.setAutoCommit(false);
            return new MariaDbSession(engine, connection, version, schema);
        } catch (SQLException e) {
            closeAfter(connection, e);
            throw new ConnectException(
                    "the session with " + endpoint.shownUrl() + " could not be set up: " + e.getMessage(), null, e);
        }
    }

    private static void prepare(Connection connection) throws SQLException {
        Query.execute(
                connection,
                "SET NAMES utf8mb4",
                // Strict, so that a value that does not fit is an error; and a zero given for an identity stays zero.
                "SET SESSION sql_mode = 'STRICT_ALL_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_AUTO_VALUE_ON_ZERO,"
                        + "NO_ENGINE_SUBSTITUTION'",
                "SET SESSION time_zone = '+00:00'",
                "SET SESSION sql_notes = 1",
                "SET SESSION max_statement_time = 0",
                // The other side of a pipe may pause for a long while.
                "SET SESSION net_read_timeout = 3600",
                "SET SESSION net_write_timeout = 3600",
                "SET SESSION wait_timeout = 86400");
    }

    @Override
    public Catalog readCatalog() {
        try {
            List<Schema> schemas = new ArrayList<>();
            Set<String> roles = new HashSet<>();
            for (String database : databases()) {
                schemas.add(new MariaDbCatalogReader(connection(), engine().dialect(), database, roles).read());
            }
            connection().commit();
            return new Catalog(engine().dialect().name(), serverVersion(), defaultSchema(), schemas);
        } catch (SQLException e) {
            throw new CatalogException(
                    "the catalog of " + serverVersion() + " could not be read: " + e.getMessage(),
                    "Check that the account may read "
                            + (defaultSchema().isEmpty() ? "all of its databases" : "the database " + defaultSchema())
                            + ".",
                    e);
        }
    }

    /** The database that the URL names; all that are not the server's own where it names none. */
    private List<String> databases() throws SQLException {
        if (!defaultSchema().isEmpty()) {
            return List.of(defaultSchema());
        }
        return Query.list(
                connection(),
                "SELECT SCHEMA_NAME FROM information_schema.SCHEMATA WHERE LOWER(SCHEMA_NAME) NOT IN"
                        + " ('information_schema', 'mysql', 'performance_schema', 'sys') ORDER BY SCHEMA_NAME",
                row -> row.getString(1));
    }

    @Override
    public List<String> missingToRead() {
        try {
            List<String> statements = new ArrayList<>();
            for (String database : databases()) {
                statements.addAll(missing(List.of("SELECT"), database));
            }
            return statements;
        } catch (SQLException e) {
            throw new CatalogException("permissions could not be read: " + e.getMessage(), null, e);
        }
    }

    @Override
    public List<String> missingToWrite(String wanted) {
        try {
            List<String> lacking = new ArrayList<>(missing(
                    List.of("CREATE", "INSERT", "UPDATE", "DELETE", "DROP", "ALTER", "INDEX", "REFERENCES"),
                    defaultSchema()));
            // Rows come by LOAD DATA LOCAL, which a server may switch off ("local_infile").
            if (Query.text(connection(), "SELECT @@GLOBAL.local_infile").equals("0")) {
                lacking.add("SET GLOBAL local_infile = 1;");
            }
            return lacking;
        } catch (SQLException e) {
            throw new CatalogException("permissions could not be read: " + e.getMessage(), null, e);
        }
    }

    /** What the grants on everything or on a database do not give; grants on single tables are not looked into. */
    private List<String> missing(List<String> wanted, String database) throws SQLException {
        List<String> held = Query.list(
                connection(),
                "SELECT PRIVILEGE_TYPE FROM information_schema.USER_PRIVILEGES UNION ALL"
                        + " SELECT PRIVILEGE_TYPE FROM information_schema.SCHEMA_PRIVILEGES"
                        + " WHERE ? LIKE TABLE_SCHEMA UNION ALL"
                        + " SELECT PRIVILEGE_TYPE FROM information_schema.TABLE_PRIVILEGES WHERE TABLE_SCHEMA = ?",
                row -> row.getString(1),
                database,
                database);
        List<String> lacking = new ArrayList<>(wanted);
        lacking.removeAll(held);
        if (lacking.isEmpty()) {
            return List.of();
        }
        String user = Query.text(connection(), "SELECT CURRENT_USER()").replaceFirst("@", "'@'");
        return List.of("GRANT " + String.join(", ", lacking) + " ON "
                + engine().dialect().identifiers().quote(database) + ".* TO '" + user + "';");
    }

    @Override
    public RowReader openReader(String rows, List<TransferColumn> columns) throws SQLException {
        return new MariaDbRowReader(connection(), engine().dialect(), rows, columns);
    }

    @Override
    public List<ActingObject> actingObjects(Set<String> schemas) throws SQLException {
        List<ActingObject> found = new ArrayList<>();
        for (String schema : schemas) {
            found.addAll(MariaDbActing.of(connection(), engine().dialect(), schema));
        }
        return found;
    }

    @Override
    public void prepareLoad() {
        // What MariaDB offers a session (checks switched off) makes InnoDB sort rows that come sorted, and costs more.
    }

    @Override
    public RowWriter openWriter(Table table, List<TransferColumn> columns) throws SQLException {
        return new MariaDbRowWriter(connection(), engine().dialect().identifiers(), table.name(), columns);
    }

    @Override
    public RowWriter openUpdater(Table table, List<TransferColumn> columns, List<String> key) throws SQLException {
        return new MariaDbRowUpdater(connection(), engine().dialect().identifiers(), table.name(), columns, key);
    }

    @Override
    public List<ResultRows> call(RoutineCall call) throws SQLException {
        return MariaDbCalls.call(connection(), engine().dialect().identifiers(), call);
    }

    @Override
    public String stateOf(SQLException error) {
        String own = error.getSQLState() == null ? "" : error.getSQLState();
        return STATES.getOrDefault(error.getErrorCode(), own);
    }

    @Override
    public boolean isCodeFault(SQLException error) {
        return CODE_FAULTS.contains(error.getErrorCode());
    }

    @Override
    public String messageOf(SQLException error) {
        return String.valueOf(error.getMessage()).replaceFirst("^\\(conn=\\d+\\) ", "");
    }

    @Override
    public boolean lock(String name) throws SQLException {
        // Names of locks have 64 characters and belong to the whole server ("GET_LOCK").
        boolean got = Query.text(connection(), "SELECT GET_LOCK(MD5(CONCAT(?, '/', DATABASE())), 0)", name)
                .equals("1");
        connection().commit();
        return got;
    }

    @Override
    public boolean isTransient(SQLException error) {
        String state = error.getSQLState() == null ? "" : error.getSQLState();
        return state.startsWith("08") || TRANSIENT.contains(error.getErrorCode());
    }

    @Override
    public boolean isRowFault(SQLException error) {
        String state = error.getSQLState() == null ? "" : error.getSQLState();
        return state.startsWith("22") || state.startsWith("23");
    }
}
