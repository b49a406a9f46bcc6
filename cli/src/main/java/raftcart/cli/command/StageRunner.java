package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.migration.BuildStage;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.migration.NextStage;
import raftcart.migration.StatusReader;
import raftcart.migration.SurveyStage;
import raftcart.migration.TranslateStage;
import raftcart.migration.VerifyStage;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.workspace.Json;
import raftcart.workspace.Stage;

/** Runs the stages that are open one after the other, a line for each, and ends with the table of all tables. */
final class StageRunner {
    private final Console console;
    private final Migration migration;
    private final StageViews views;
    private final ObjectNode document = Json.MAPPER.createObjectNode();
    private LoadStage.Result loaded;

    StageRunner(Console console, Migration migration) {
        this.console = console;
        this.migration = migration;
        this.views = new StageViews(console);
    }

    void runAll() {
        Optional<Stage> next = NextStage.of(migration.workspace());
        while (next.isPresent()) {
            run(next.get());
            next = NextStage.of(migration.workspace());
        }
        byHand();
    }

    private void run(Stage stage) {
        switch (stage) {
            case SURVEY -> {
                SurveyStage.Result result = SurveyStage.run(migration);
                views.survey(result);
                keep(stage, result);
            }
            case TRANSLATE -> {
                TranslateStage.Result result = TranslateStage.run(migration);
                views.translate(result);
                keep(stage, result);
            }
            case BUILD -> {
                BuildStage.Result result =
                        BuildStage.run(migration, BuildStage.Part.BEFORE_DATA, BuildStage.Existing.STOP, false);
                views.build(result);
                keep(stage, result);
            }
            case LOAD -> {
                loaded = LoadCommand.load(console, migration, LoadOptions.of(TargetRows.STOP));
                views.load(loaded);
                if (!NextStage.of(migration.workspace()).equals(Optional.of(Stage.VERIFY))) {
                    views.loadProblems(loaded);
                }
                keep(stage, loaded);
            }
            case VERIFY -> verify();
            default -> throw new IllegalStateException("no stage " + stage);
        }
    }

    private void verify() {
        VerifyStage.Result result = VerifyCommand.verify(console, migration);
        views.verify(result);
        if (loaded == null) {
            views.verdicts(result);
        } else {
            views.tables(loaded, result);
            views.loadProblems(loaded);
        }
        keep(Stage.VERIFY, result);
    }

    private void keep(Stage stage, Object result) {
        document.set(stage.word(), Json.MAPPER.valueToTree(result));
    }

    private void byHand() {
        int byHand = StatusReader.read(migration.workspace()).byHand();
        if (byHand > 0) {
            console.line("");
            console.line(console.paint(Style.WARN, StageViews.count(byHand, "part") + " left to a person")
                    + ", each with its source in by-hand/; `raftcart translate` lists why.");
        }
    }

    ObjectNode document() {
        return document;
    }

    boolean needsPerson() {
        return StatusReader.read(migration.workspace()).needsPerson();
    }
}
