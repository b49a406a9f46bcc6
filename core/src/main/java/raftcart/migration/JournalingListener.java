package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import raftcart.engine.SnapshotPlace;
import raftcart.move.LoadListener;
import raftcart.move.TableResult;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Keeps in the journal what a later run has to know of this one, and passes everything on. */
final class JournalingListener implements LoadListener {
    private static final String SNAPSHOT = "snapshot";

    private final LoadListener listener;
    private final Journal journal;
    private final LoadWatch watch;

    JournalingListener(LoadListener listener, Journal journal, LoadWatch watch) {
        this.listener = listener;
        this.journal = journal;
        this.watch = watch;
    }

    @Override
    public void begun() {
        journal.add(Stage.LOAD, Mark.BEGUN, Json.MAPPER.createObjectNode());
        listener.begun();
    }

    @Override
    public void snapshotTaken(SnapshotPlace place, int readers) {
        ObjectNode details = Json.MAPPER.createObjectNode();
        details.set(SNAPSHOT, Json.MAPPER.valueToTree(place));
        details.put("readers", readers);
        journal.add(Stage.LOAD, Mark.PART, details);
        listener.snapshotTaken(place, readers);
    }

    @Override
    public void remark(String text) {
        listener.remark(text);
    }

    @Override
    public void tableStarted(String table, long estimatedRows) {
        listener.tableStarted(table, estimatedRows);
    }

    @Override
    public void rowsWritten(String table, long rows, long bytes) {
        watch.rows(rows);
        listener.rowsWritten(table, rows, bytes);
    }

    @Override
    public void rowsTakenBack(String table, long rows) {
        watch.rows(-rows);
        listener.rowsTakenBack(table, rows);
    }

    @Override
    public void retrying(String table, String cause, Duration after) {
        listener.retrying(table, cause, after);
    }

    @Override
    public void tableFinished(TableResult result) {
        listener.tableFinished(result);
    }
}
