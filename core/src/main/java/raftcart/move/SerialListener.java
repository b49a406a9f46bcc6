package raftcart.move;

import java.time.Duration;
import raftcart.engine.SnapshotPlace;

/** Passes the calls of several threads on one after the other. */
final class SerialListener implements LoadListener {
    private final LoadListener listener;

    SerialListener(LoadListener listener) {
        this.listener = listener;
    }

    @Override
    public synchronized void begun() {
        listener.begun();
    }

    @Override
    public synchronized void snapshotTaken(SnapshotPlace place, int readers) {
        listener.snapshotTaken(place, readers);
    }

    @Override
    public synchronized void remark(String text) {
        listener.remark(text);
    }

    @Override
    public synchronized void tableStarted(String table, long estimatedRows) {
        listener.tableStarted(table, estimatedRows);
    }

    @Override
    public synchronized void rowsWritten(String table, long rows, long bytes) {
        listener.rowsWritten(table, rows, bytes);
    }

    @Override
    public synchronized void rowsTakenBack(String table, long rows) {
        listener.rowsTakenBack(table, rows);
    }

    @Override
    public synchronized void retrying(String table, String cause, Duration after) {
        listener.retrying(table, cause, after);
    }

    @Override
    public synchronized void tableFinished(TableResult result) {
        listener.tableFinished(result);
    }
}
