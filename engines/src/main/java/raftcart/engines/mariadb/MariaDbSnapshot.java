package raftcart.engines.mariadb;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
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
 * Without a binary log, one reader has to do.
 */
final class MariaDbSnapshot implements SharedSnapshot {
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
        for (int i = 0; i < ATTEMPTS; i++) {
            Set<String> states = new HashSet<>();
            for (EngineSession reader : readers) {
                begin(reader);
                states.add(state(reader));
            }
            if (states.size() == 1 && !states.contains("")) {
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
        String state = state(session);
        return new SnapshotPlace(state.isEmpty() ? "" : "binary log " + state, state, weakness);
    }

    /** File and position of the binary log at which the transaction's snapshot lies; empty where the server keeps none. */
    private static String state(EngineSession session) throws SQLException {
        Map<String, String> found = new TreeMap<>();
        Query.list(
                session.connection(),
                "SHOW STATUS WHERE Variable_name IN ('Binlog_snapshot_file', 'Binlog_snapshot_position')",
                row -> found.put(row.getString(1), row.getString(2)));
        String file = found.getOrDefault("Binlog_snapshot_file", "");
        return file.isEmpty() ? "" : file + ":" + found.get("Binlog_snapshot_position");
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
