package raftcart.migration;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.workspace.Journal;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;
import raftcart.workspace.Workspace;

/** Says from the journal how far a migration has come; no database is asked. */
public final class StatusReader {
    private StatusReader() {}

    /** The state of all stages in their order. */
    public static Status read(Workspace workspace) {
        Journal journal = workspace.journal();
        List<StageStatus> stages = new ArrayList<>();
        for (Stage stage : Stage.values()) {
            stages.add(stage(journal, stage));
        }
        return new Status(
                workspace.folder().toString(),
                workspace.plan().source().shownUrl(),
                workspace.plan().target().shownUrl(),
                stages);
    }

    private static StageStatus stage(Journal journal, Stage stage) {
        Optional<JsonNode> last = journal.last(stage, Mark.BEGUN, Mark.PART, Mark.DONE, Mark.FAILED);
        if (last.isEmpty()) {
            return new StageStatus(stage.word(), "open", "", "");
        }
        JsonNode entry = last.get();
        boolean done = journal.isDone(stage);
        return new StageStatus(
                stage.word(),
                done ? "done" : "begun",
                entry.path("at").asText(),
                done ? summary(stage, entry) : "can be resumed");
    }

    private static String summary(Stage stage, JsonNode entry) {
        JsonNode result = entry.path("result");
        return switch (stage) {
            case SURVEY ->
                result.path("server").asText() + ", "
                        + result.path("objects").path("table").asInt() + " tables";
            case TRANSLATE ->
                entry.path("scripts").asInt() + " scripts, "
                        + entry.path("byHand").asInt() + " parts by hand";
            case BUILD -> result.path("scripts").asInt() + " scripts run";
            case LOAD -> load(result);
            case VERIFY -> entry.path("same").asBoolean() ? "all tables the same" : "tables differ";
        };
    }

    private static String load(JsonNode result) {
        long loaded = 0;
        long refused = 0;
        for (JsonNode table : result.path("tables")) {
            loaded += table.path("loaded").asLong();
            refused += table.path("refused").asLong();
        }
        int failures = result.path("failures").size();
        return String.format("%,d rows loaded, %,d refused", loaded, refused)
                + (failures > 0 ? ", " + failures + " indexes or keys refused" : "");
    }

    /** How far a migration has come. */
    public record Status(String folder, String source, String target, List<StageStatus> stages) {}

    /**
     * How far a stage has come.
     *
     * @param state {@code open}, {@code begun} or {@code done}
     * @param at when the newest entry was made, in UTC
     */
    public record StageStatus(String stage, String state, String at, String summary) {}
}
