package raftcart.cli.command;

import picocli.CommandLine.Command;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.migration.SurveyStage;
import raftcart.workspace.Json;

/** Reads the source's catalog. */
@Command(name = "survey", description = "Read the source's catalog into source/catalog.json; no rows are read.")
final class SurveyCommand extends FolderCommand {
    @Override
    public Integer call() {
        Console console = console();
        SurveyStage.Result result = SurveyStage.run(migration());
        new StageViews(console).survey(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.CLEAN.code();
    }
}
