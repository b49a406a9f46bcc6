package raftcart.migration;

import java.util.Optional;
import raftcart.scripts.ScriptSource;
import raftcart.workspace.Journal;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;
import raftcart.workspace.Workspace;

/** Finds where a migration goes on. */
public final class NextStage {
    private NextStage() {}

    /** The first stage that is not done, or that was done for another text of the plan; empty if all are done. */
    public static Optional<Stage> of(Workspace workspace) {
        Journal journal = workspace.journal();
        boolean scripts = ScriptSource.accepts(workspace.plan().source().url());
        for (Stage stage : Stage.values()) {
            if (scripts && stage == Stage.VERIFY) {
                continue; // there is no database to compare with
            }
            if (!journal.isDone(stage) || (stage == Stage.TRANSLATE && isOutdated(workspace, journal))) {
                return Optional.of(stage);
            }
        }
        return Optional.empty();
    }

    private static boolean isOutdated(Workspace workspace, Journal journal) {
        return journal.last(Stage.TRANSLATE, Mark.DONE)
                .map(e -> !e.path("plan").asText().equals(workspace.planHash()))
                .orElse(true);
    }
}
