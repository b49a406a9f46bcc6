package raftcart.migration;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.move.SetAside;
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
        List<String> setAside = new SetAside(workspace.path("journal")).missing();
        List<StageStatus> stages = new ArrayList<>();
        for (Stage stage : Stage.values()) {
            stages.add(stage(workspace, journal, stage));
        }
        return new Status(
                workspace.folder().toString(),
                workspace.plan().source().shownUrl(),
                workspace.plan().target().shownUrl(),
                stages,
                byHand(journal),
                setAside,
                needsPerson(journal) || !setAside.isEmpty());
    }

    private static int byHand(Journal journal) {
        return journal.last(Stage.TRANSLATE, Mark.DONE)
                .map(e -> e.path("byHand").asInt())
                .orElse(0);
    }

    private static boolean needsPerson(Journal journal) {
        boolean refused = journal.last(Stage.LOAD, Mark.DONE)
                .map(e -> refused(e.path("result")) > 0
                        || !e.path("result").path("failures").isEmpty()
                        || !e.path("result").path("routines").path("failures").isEmpty())
                .orElse(false);
        boolean differs = journal.last(Stage.VERIFY, Mark.DONE)
                .map(e -> !e.path("same").asBoolean())
                .orElse(false);
        return byHand(journal) > 0 || refused || differs;
    }

    private static long refused(JsonNode result) {
        long refused = 0;
        for (JsonNode table : result.path("tables")) {
            refused += table.path("refused").asLong();
        }
        return refused;
    }

    private static StageStatus stage(Workspace workspace, Journal journal, Stage stage) {
        Optional<JsonNode> last = journal.last(stage, Mark.BEGUN, Mark.PART, Mark.DONE);
        if (last.isEmpty()) {
            return new StageStatus(stage.word(), "open", "", "");
        }
        JsonNode entry = last.get();
        boolean done = journal.isDone(stage);
        return new StageStatus(
                stage.word(),
                done ? "done" : "begun",
                entry.path("at").asText(),
                done ? summary(stage, entry) : underWay(workspace, stage));
    }

    /** A load that runs, or was killed, left word of how far it has come. */
    private static String underWay(Workspace workspace, Stage stage) {
        return Optional.of(workspace)
                .filter(w -> stage == Stage.LOAD)
                .flatMap(LoadWatch::read)
                .map(LoadWatch.Now::line)
                .orElse("can be resumed");
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
        for (JsonNode table : result.path("tables")) {
            loaded += table.path("loaded").asLong();
        }
        int failures = result.path("failures").size();
        return String.format("%,d %s loaded, %,d refused", loaded, loaded == 1 ? "row" : "rows", refused(result))
                + (failures > 0
                        ? ", " + failures + (failures == 1 ? " index or key" : " indexes or keys") + " refused"
                        : "");
    }

    /**
     * How far a migration has come.
     *
     * @param byHand the number of parts left to a person
     * @param setAside triggers and foreign keys of the target that a load set aside and has not restored yet
     * @param needsPerson true where parts are by hand, rows or keys were refused, something is set aside, or tables differ
     */
    public record Status(
            String folder,
            String source,
            String target,
            List<StageStatus> stages,
            int byHand,
            List<String> setAside,
            boolean needsPerson) {}

    /**
     * How far a stage has come.
     *
     * @param state {@code open}, {@code begun} or {@code done}
     * @param at when the newest entry was made, in UTC
     */
    public record StageStatus(String stage, String state, String at, String summary) {}
}
