package raftcart.move;

import java.time.Duration;
import raftcart.engine.SnapshotPlace;

/** Is told how a load goes on. Calls come one after the other, if from several threads. */
public interface LoadListener {
    /** All was checked; from here on the target is changed. */
    void begun();

    /** All readers see the source as it is at this place; there are so many of them. */
    void snapshotTaken(SnapshotPlace place, int readers);

    /** Something that the user should know before the rows move. */
    void remark(String text);

    /** A table is about to be loaded; the number of rows is an estimate, 0 if there is none. */
    void tableStarted(String table, long estimatedRows);

    /** So many more rows and bytes of a table have been taken by the target. */
    void rowsWritten(String table, long rows, long bytes);

    /** So many rows of a table were taken back with a part that failed; they come again. */
    void rowsTakenBack(String table, long rows);

    /** Something went wrong that may be gone soon; the part is tried again after a while. */
    void retrying(String table, String cause, Duration after);

    /** The table is done. */
    void tableFinished(TableResult result);
}
