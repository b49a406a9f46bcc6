package raftcart.migration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;
import raftcart.workspace.Workspace;

/** Where a migration stands is read from its journal alone. */
class StatusTest {
    @TempDir
    Path folder;

    private Workspace workspace;

    @BeforeEach
    void create() {
        workspace = Workspace.create(
                folder,
                "source: {url: 'jdbc:mariadb://a/k?password=${env:P}'}\ntarget: {url: 'jdbc:postgresql://b/k'}\n");
    }

    private ObjectNode details() {
        return Json.MAPPER.createObjectNode();
    }

    private void done(Stage stage) {
        ObjectNode details = details();
        if (stage == Stage.TRANSLATE) {
            details.put("plan", workspace.planHash()).put("scripts", 3).put("byHand", 0);
        }
        if (stage == Stage.VERIFY) {
            details.put("same", true);
        }
        workspace.journal().add(stage, Mark.DONE, details);
    }

    @Test
    void goesThroughTheStagesInTheirOrder() {
        for (Stage stage : Stage.values()) {
            assertThat(NextStage.of(workspace)).contains(stage);
            done(stage);
        }
        assertThat(NextStage.of(workspace)).isEmpty();
        assertThat(StatusReader.read(workspace).needsPerson()).isFalse();
        assertThat(StatusReader.read(workspace).stages())
                .allMatch(s -> s.state().equals("done"));
    }

    @Test
    void aChangedPlanIsTranslatedAgain() throws Exception {
        for (Stage stage : Stage.values()) {
            done(stage);
        }
        Files.writeString(
                folder.resolve("raftcart.yaml"),
                "load: {rows-per-batch: 5}\n",
                java.nio.file.StandardOpenOption.APPEND);
        assertThat(NextStage.of(workspace)).contains(Stage.TRANSLATE);
    }

    @Test
    void aStageThatWasBegunCanBeResumed() {
        done(Stage.SURVEY);
        done(Stage.TRANSLATE);
        done(Stage.BUILD);
        workspace.journal().add(Stage.LOAD, Mark.BEGUN, details());
        assertThat(NextStage.of(workspace)).contains(Stage.LOAD);
        assertThat(StatusReader.read(workspace).stages().get(3))
                .returns("begun", StatusReader.StageStatus::state)
                .returns("can be resumed", StatusReader.StageStatus::summary);
    }

    @Test
    void refusalsFailuresDifferencesAndByHandPartsNeedAPerson() {
        ObjectNode load = details();
        load.putObject("result").putArray("tables").addObject().put("loaded", 7).put("refused", 1);
        workspace.journal().add(Stage.LOAD, Mark.DONE, load);
        assertThat(StatusReader.read(workspace))
                .returns(true, StatusReader.Status::needsPerson)
                .satisfies(s -> assertThat(s.stages().get(3).summary()).isEqualTo("7 rows loaded, 1 refused"));

        ObjectNode clean = details();
        clean.putObject("result")
                .putArray("tables")
                .addObject()
                .put("loaded", 8)
                .put("refused", 0);
        workspace.journal().add(Stage.LOAD, Mark.DONE, clean);
        assertThat(StatusReader.read(workspace).needsPerson()).isFalse();

        workspace.journal().add(Stage.VERIFY, Mark.DONE, details().put("same", false));
        assertThat(StatusReader.read(workspace).needsPerson()).isTrue();
        assertThat(StatusReader.read(workspace).stages().get(4).summary()).isEqualTo("tables differ");

        workspace.journal().add(Stage.VERIFY, Mark.DONE, details().put("same", true));
        workspace.journal().add(Stage.TRANSLATE, Mark.DONE, details().put("byHand", 2));
        assertThat(StatusReader.read(workspace))
                .returns(2, StatusReader.Status::byHand)
                .returns(true, StatusReader.Status::needsPerson);
    }

    @Test
    void stagesOutOfOrderAreRefusedWithTheCommandToRunFirst() {
        Migration migration = new Migration(workspace);
        assertThatThrownBy(() -> TranslateStage.run(migration))
                .isInstanceOf(PlanException.class)
                .satisfies(e -> assertThat(((PlanException) e).advice())
                        .hasValueSatisfying(a -> assertThat(a).contains("raftcart survey")));
        assertThatThrownBy(
                        () -> BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false))
                .isInstanceOf(PlanException.class)
                .hasMessage("there are no scripts yet");
        assertThatThrownBy(() ->
                        LoadStage.run(migration, raftcart.move.LoadOptions.of(raftcart.move.TargetRows.STOP), null))
                .isInstanceOf(PlanException.class)
                .hasMessage("the target is not built yet");
    }

    @Test
    void aDamagedCatalogIsSaidAndNotGuessedAt() throws Exception {
        Files.createDirectories(folder.resolve("source"));
        Files.writeString(folder.resolve("source/catalog.json"), "{\"dialect\": \"mariadb\", \"schemas\": [");
        assertThatThrownBy(() -> workspace.catalog())
                .isInstanceOf(WorkspaceException.class)
                .hasMessageContaining("catalog.json is damaged");
    }
}
