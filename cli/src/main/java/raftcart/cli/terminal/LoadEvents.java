package raftcart.cli.terminal;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import raftcart.engine.SnapshotPlace;
import raftcart.migration.LoadStage;
import raftcart.move.TableResult;
import raftcart.workspace.Json;

/** Tells machines how a load goes on: one JSON object a line on standard error, each with a time and the kind of event. */
public final class LoadEvents implements LoadStage.Listener {
    private static final Duration BETWEEN_ROWS = Duration.ofSeconds(1);

    private final Console console;
    private Instant lastRows = Instant.EPOCH;
    private long rows;
    private long bytes;

    public LoadEvents(Console console) {
        this.console = console;
    }

    private void event(String kind, ObjectNode details) {
        ObjectNode event = Json.MAPPER.createObjectNode();
        event.put("at", Instant.now().truncatedTo(ChronoUnit.MILLIS).toString());
        event.put("event", kind);
        event.setAll(details);
        console.finding(Json.line(event));
    }

    private static ObjectNode node() {
        return Json.MAPPER.createObjectNode();
    }

    @Override
    public void begun() {
        event("begun", node());
    }

    @Override
    public void snapshotTaken(SnapshotPlace place, int readers) {
        event("snapshot", node().put("position", place.position()).put("readers", readers));
    }

    @Override
    public void remark(String text) {
        event("remark", node().put("text", text));
    }

    @Override
    public void tableStarted(String table, long estimatedRows) {
        event("table-started", node().put("table", table).put("rowEstimate", estimatedRows));
    }

    /** Sums of all tables, once a second at most. */
    @Override
    public void rowsWritten(String table, long moreRows, long moreBytes) {
        rows += moreRows;
        bytes += moreBytes;
        Instant now = Instant.now();
        if (now.isAfter(lastRows.plus(BETWEEN_ROWS))) {
            lastRows = now;
            event("rows", node().put("rows", rows).put("bytes", bytes));
        }
    }

    @Override
    public void rowsTakenBack(String table, long fewerRows) {
        rows -= fewerRows;
    }

    @Override
    public void retrying(String table, String cause, Duration after) {
        event("retry", node().put("table", table).put("cause", cause).put("seconds", after.toSeconds()));
    }

    @Override
    public void tableFinished(TableResult result) {
        event("table-finished", Json.MAPPER.valueToTree(result));
    }

    @Override
    public void finishing(int scripts) {
        event("finishing", node().put("scripts", scripts));
    }
}
