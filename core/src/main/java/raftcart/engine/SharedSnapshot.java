package raftcart.engine;

import java.sql.SQLException;
import java.util.List;
import raftcart.catalog.Table;

/**
 * The database as it is at one moment, seen by several sessions at once whatever others write meanwhile. Closing it
 * closes its sessions.
 */
public interface SharedSnapshot extends AutoCloseable {
    /** The sessions that see it, at least one; there may be fewer than were asked for. */
    List<EngineSession> readers();

    /** Where and how the moment lies. */
    SnapshotPlace place();

    /**
     * A session in the place of one that is lost; that one is closed.
     *
     * @throws SQLException if no further session can see this moment any more
     */
    EngineSession replace(EngineSession lost) throws SQLException;

    /**
     * Conditions that part the rows of a table by its key, or by where they lie: every row fulfils exactly one of them,
     * within this snapshot.
     *
     * @param wanted how many parts of about the same size there should be; it may become fewer or some more
     * @return empty where the table cannot be parted
     */
    List<String> parts(Table table, int wanted) throws SQLException;

    @Override
    void close();
}
