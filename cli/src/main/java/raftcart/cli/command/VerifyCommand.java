package raftcart.cli.command;

import picocli.CommandLine.Command;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.VerifyProgress;
import raftcart.migration.Migration;
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
        VerifyStage.Result result = verify(console, migration());
        StageViews views = new StageViews(console);
        views.verify(result);
        views.verdicts(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(!result.same());
    }

    static VerifyStage.Result verify(Console console, Migration migration) {
        try (VerifyProgress progress = new VerifyProgress(console, LoadCommand.expectedRows(migration))) {
            return VerifyStage.run(migration, progress);
        }
    }
}
