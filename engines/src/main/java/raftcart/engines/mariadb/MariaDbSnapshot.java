package raftcart.engines.mariadb;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engine.SnapshotPlace;
import raftcart.engines.jdbc.Query;
import raftcart.plan.Endpoint;

/**
 * Transactions that were all started while nothing was written: under a global read lock, which is held only until the
 * last of them has started. Where the account may not take that lock, or somebody is in its way, they are started again
 * and again until all of them stand at the same place of the binary log ("START TRANSACTION", binlog_snapshot_position).
 * Without a binary log that holds all writes, one reader has to do.
 */
final class MariaDbSnapshot implements SharedSnapshot {
    private static final Logger LOG = LoggerFactory.getLogger(MariaDbSnapshot.class);
    private static final int ATTEMPTS = 20;
    private static final int LOCK_SECONDS = 10;

    private final List<EngineSession> readers;
    private final SnapshotPlace place;

    private MariaDbSnapshot(List<EngineSession> readers, SnapshotPlace place) {
        this.readers = new ArrayList<>(readers);
        this.place = place;
    }

    static MariaDbSnapshot open(MariaDbEngine engine, Endpoint endpoint, int wanted) throws SQLException {
        List<EngineSession> readers = new ArrayList<>();
        try {
            for (int i = 0; i < wanted; i++) {
                readers.add(engine.open(endpoint));
            }
            return new MariaDbSnapshot(readers, start(engine, endpoint, readers));
        } catch (SQLException | RuntimeException e) {
            readers.forEach(EngineSession::close);
            throw e;
        }
    }

    /** Starts the transactions; takes away all sessions but one where they could not see the same. */
    private static SnapshotPlace start(MariaDbEngine engine, Endpoint endpoint, List<EngineSession> readers)
            throws SQLException {
        if (readers.size() == 1) {
            begin(readers.get(0));
            return placeOf(readers.get(0), "");
        }
        String refusal = "";
        try (EngineSession lock = engine.open(endpoint)) {
            Query.execute(
                    lock.connection(),
                    "SET SESSION lock_wait_timeout = " + LOCK_SECONDS,
                    "FLUSH TABLES WITH READ LOCK");
            for (EngineSession reader : readers) {
                begin(reader);
            }
            return placeOf(readers.get(0), ""); // the lock goes with its session
        } catch (SQLException e) {
            refusal = readers.get(0).messageOf(e);
        }
        for (int i = 0; i < ATTEMPTS && logsAllWrites(readers.get(0)); i++) {
            Set<String> places = new HashSet<>();
            for (EngineSession reader : readers) {
                begin(reader);
                places.add(position(reader));
            }
            if (places.size() == 1 && !places.contains("")) {
                return placeOf(readers.get(0), "");
            }
        }
        while (readers.size() > 1) {
            readers.remove(1).close();
        }
        begin(readers.get(0));
        return placeOf(
                readers.get(0),
                "one reader reads all tables, one after the other: the global read lock was refused (" + refusal
                        + "), and the binary log shows no place that is common to several readers;"
                        + " GRANT RELOAD ON *.* would help");
    }

    private static void begin(EngineSession session) throws SQLException {
        session.connection().rollback();
        Query.execute(
                session.connection(),
                "SET TRANSACTION ISOLATION LEVEL REPEATABLE READ",
                "START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY");
    }

    private static SnapshotPlace placeOf(EngineSession session, String weakness) throws SQLException {
        String position = position(session);
        return new SnapshotPlace(
                position.isEmpty() ? "" : "binary log " + position, logsAllWrites(session) ? position : "", weakness);
    }

    /** File and position of the binary log at which the transaction's snapshot lies; empty where the server keeps none. */
    private static String position(EngineSession session) throws SQLException {
        Map<String, String> found = status(session, "'Binlog_snapshot_file', 'Binlog_snapshot_position'");
        String file = found.getOrDefault("Binlog_snapshot_file", "");
        return file.isEmpty() ? "" : file + ":" + found.get("Binlog_snapshot_position");
    }

    private static Map<String, String> status(EngineSession session, String names) throws SQLException {
        Map<String, String> found = new TreeMap<>();
        Query.list(
                session.connection(),
                "SHOW STATUS WHERE Variable_name IN (" + names + ")",
                row -> found.put(row.getString(1), row.getString(2)));
        return found;
    }

    /**
     * True where equal places in the binary log mean equal data: nothing is filtered from the log, and what a replica
     * takes over is written to its own ("SHOW MASTER STATUS", log_slave_updates). Where the account may not see that, it
     * is not known.
     */
    private static boolean logsAllWrites(EngineSession session) throws SQLException {
        List<Boolean> filtered;
        try {
            filtered = Query.list(
                    session.connection(),
                    "SHOW MASTER STATUS",
                    row -> !Query.orEmpty(row, "Binlog_Do_DB").isEmpty()
                            || !Query.orEmpty(row, "Binlog_Ignore_DB").isEmpty());
        } catch (SQLException e) {
            LOG.debug("whether the binary log holds all writes cannot be seen", e);
            return false;
        }
        boolean replica = !status(session, "'Slaves_running'")
                .getOrDefault("Slaves_running", "0")
                .equals("0");
        boolean passesOn = Query.text(session.connection(), "SELECT @@GLOBAL.log_slave_updates")
                .equals("1");
        return !filtered.isEmpty() && !filtered.contains(true) && (!replica || passesOn);
    }

    @Override
    public List<EngineSession> readers() {
        return List.copyOf(readers);
    }

    @Override
    public SnapshotPlace place() {
        return place;
    }

    @Override
    public EngineSession replace(EngineSession lost) throws SQLException {
        throw new SQLException("the connection is gone, and with it the moment of the source that was being read");
    }

    @Override
    public List<String> parts(Table table, int wanted) throws SQLException {
        return MariaDbParts.of(readers.get(0), table, wanted);
    }

    @Override
    public void close() {
        readers.forEach(EngineSession::close);
    }
}
