package raftcart.workspace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;

class WorkspaceTest {
    @TempDir
    Path folder;

    private Workspace workspace;

    @BeforeEach
    void create() {
        workspace = Workspace.create(folder.resolve("move"), "source: {url: 'jdbc:a'}\ntarget: {url: 'jdbc:b'}\n");
    }

    @Test
    void refusesToBeginTwiceAndToOpenNothing() {
        assertThatThrownBy(() -> Workspace.create(workspace.folder(), ""))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("exists already");
        assertThatThrownBy(() -> Workspace.open(folder))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("holds no raftcart.yaml");
    }

    @Test
    void saysWhatCannotBeWritten() throws Exception {
        Files.writeString(folder.resolve("file"), "");
        assertThatThrownBy(() -> Workspace.create(folder.resolve("file/below"), ""))
                .isInstanceOf(WorkspaceException.class)
                .hasMessageContaining("cannot be written");
    }

    @Test
    void keepsFilesThatAPersonEdited() throws Exception {
        Manifest first = Manifest.of(workspace);
        first.generate("target/a.sql", "a1");
        first.generate("target/b.sql", "b1");
        first.generate("target/c.sql", "c1");
        first.finish();
        Files.writeString(workspace.path("target/b.sql"), "edited");
        Files.writeString(workspace.path("target/c.sql"), "edited too");

        Manifest second = Manifest.of(workspace);
        second.generate("target/a.sql", "a2");
        second.generate("target/b.sql", "b2");
        second.finish();
        assertThat(second.kept()).containsExactlyInAnyOrder("target/b.sql", "target/c.sql");
        assertThat(workspace.path("target/a.sql")).hasContent("a2");
        assertThat(workspace.path("target/b.sql")).hasContent("edited");
        assertThat(workspace.path("target/c.sql")).hasContent("edited too");
    }

    @Test
    void removesGeneratedFilesThatAreNoLongerNeeded() {
        Manifest first = Manifest.of(workspace);
        first.generate("target/a.sql", "a");
        first.finish();
        Manifest.of(workspace).finish();
        assertThat(workspace.path("target/a.sql")).doesNotExist();
    }

    @Test
    void theJournalKnowsWhatIsDoneAndWhatIsOutdated() throws Exception {
        Journal journal = workspace.journal();
        assertThat(journal.isDone(Stage.LOAD)).isFalse();
        mark(Stage.SURVEY, Mark.DONE);
        mark(Stage.LOAD, Mark.BEGUN);
        assertThat(journal.isDone(Stage.LOAD)).isFalse();
        mark(Stage.LOAD, Mark.DONE);
        mark(Stage.LOAD, Mark.PART);
        assertThat(journal.isDone(Stage.LOAD)).isTrue();
        mark(Stage.SURVEY, Mark.DONE);
        assertThat(journal.isDone(Stage.LOAD)).isFalse();
        assertThat(journal.isDone(Stage.SURVEY)).isTrue();
    }

    @Test
    void aLineCutOffByACrashDoesNotSpoilTheJournal() throws Exception {
        mark(Stage.SURVEY, Mark.DONE);
        Files.writeString(workspace.path("journal/journal.jsonl"), "{\"stage\":\"tra", StandardOpenOption.APPEND);
        assertThat(workspace.journal().isDone(Stage.SURVEY)).isTrue();
        assertThat(workspace.journal().entries()).hasSize(1);
        mark(Stage.TRANSLATE, Mark.DONE);
        assertThat(workspace.journal().isDone(Stage.TRANSLATE)).isTrue();
    }

    private void mark(Stage stage, Mark mark) {
        workspace.journal().add(stage, mark, Json.MAPPER.createObjectNode());
    }
}
