package raftcart.cli.command;

import picocli.CommandLine.Command;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.migration.TranslateStage;
import raftcart.workspace.Json;

/** Makes the scripts. */
@Command(
        name = "translate",
        description = "Write the scripts that build the target; what cannot be translated goes to by-hand/.")
final class TranslateCommand extends FolderCommand {
    @Override
    public Integer call() {
        Console console = console();
        TranslateStage.Result result = TranslateStage.run(migration());
        StageViews views = new StageViews(console);
        views.translate(result);
        views.findings(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(StageViews.needsPerson(result));
    }
}
