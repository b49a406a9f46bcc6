package raftcart.engines.postgresql;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engine.SharedSnapshot;
import raftcart.engine.SnapshotPlace;
import raftcart.engines.jdbc.Query;
import raftcart.plan.Endpoint;

/**
 * A snapshot that one transaction exports and others import ("Snapshot Synchronization Functions"). The transaction that
 * exports stays open and idle, so that sessions that break can be replaced.
 */
final class PgSnapshot implements SharedSnapshot {
    private final PgEngine engine;
    private final Endpoint endpoint;
    private final EngineSession leader;
    private final String name;
    private final SnapshotPlace place;
    private final List<EngineSession> readers = new ArrayList<>();

    private PgSnapshot(PgEngine engine, Endpoint endpoint, EngineSession leader, String name, SnapshotPlace place) {
        this.engine = engine;
        this.endpoint = endpoint;
        this.leader = leader;
        this.name = name;
        this.place = place;
    }

    static PgSnapshot open(PgEngine engine, Endpoint endpoint, int wanted) throws SQLException {
        EngineSession leader = engine.open(endpoint);
        try {
            Query.execute(leader.connection(), "SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY");
            String name = Query.text(leader.connection(), "SELECT pg_export_snapshot()");
            // A standby replays what its primary wrote; the sets of transactions are equal only if none wrote between.
            String position = Query.text(
                    leader.connection(),
                    "SELECT CASE WHEN pg_is_in_recovery() THEN pg_last_wal_replay_lsn() ELSE pg_current_wal_lsn() END");
            String state = Query.text(
                    leader.connection(),
                    "SELECT oid || '/' || txid_current_snapshot() FROM pg_database WHERE datname = current_database()");
            PgSnapshot snapshot =
                    new PgSnapshot(engine, endpoint, leader, name, new SnapshotPlace("LSN " + position, state, ""));
            snapshot.join(wanted);
            return snapshot;
        } catch (SQLException | RuntimeException e) {
            leader.close();
            throw e;
        }
    }

    private void join(int wanted) throws SQLException {
        try {
            for (int i = 0; i < wanted; i++) {
                readers.add(joined());
            }
        } catch (SQLException | RuntimeException e) {
            readers.forEach(EngineSession::close);
            throw e;
        }
    }

    private EngineSession joined() throws SQLException {
        EngineSession reader = engine.open(endpoint);
        try {
            Query.execute(
                    reader.connection(),
                    "SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY",
                    "SET TRANSACTION SNAPSHOT '" + name + "'");
            return reader;
        } catch (SQLException e) {
            reader.close();
            throw e;
        }
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
    public synchronized EngineSession replace(EngineSession lost) throws SQLException {
        lost.close();
        EngineSession reader = joined();
        readers.set(readers.indexOf(lost), reader);
        return reader;
    }

    @Override
    public List<String> parts(Table table, int wanted) throws SQLException {
        return PgParts.of(leader, table, wanted);
    }

    @Override
    public void close() {
        readers.forEach(EngineSession::close);
        leader.close();
    }
}
