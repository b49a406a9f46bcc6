package raftcart.cli.command;

import picocli.CommandLine.Command;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.migration.VerifyStage;
import raftcart.workspace.Json;

/** Compares both sides. */
@Command(
        name = "verify",
        description = "Compare row counts and checksums of all tables, computed inside both databases.")
final class VerifyCommand extends FolderCommand {
    @Override
    public Integer call() {
        Console console = console();
        VerifyStage.Result result = VerifyStage.run(migration(), verdict -> {});
        StageViews views = new StageViews(console);
        views.verify(result);
        views.verdicts(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(!result.same());
    }
}
