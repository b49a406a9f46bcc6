package raftcart.cli.command;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.VerifyProgress;
import raftcart.migration.CallStage;
import raftcart.migration.Migration;
import raftcart.migration.VerifyStage;
import raftcart.plan.CallsFile;
import raftcart.workspace.Json;

/** Compares both sides. */
@Command(
        name = "verify",
        description =
                "Compare row counts and checksums of all tables, computed inside both databases; or what routines do.")
final class VerifyCommand extends FolderCommand {
    @Option(
            names = "--routines",
            paramLabel = "FILE",
            description = {
                "Instead of rows, compare what routines do: call those of FILE on both sides with the same arguments, in"
                        + " transactions that are rolled back, and compare rows, output parameters, errors and changed tables."
            })
    private Path routines;

    @Option(
            names = "--seconds",
            paramLabel = "N",
            defaultValue = "60",
            description = "With --routines: after how long a call is given up (default: ${DEFAULT-VALUE}).")
    private int seconds;

    @Override
    public Integer call() {
        Console console = console();
        if (routines != null) {
            return calls(console);
        }
        VerifyStage.Result result = verify(console, migration());
        StageViews views = new StageViews(console);
        views.verify(result);
        views.verdicts(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(!result.same());
    }

    private int calls(Console console) {
        StageViews views = new StageViews(console);
        CallStage.Result result = CallStage.run(migration(), CallsFile.read(routines), seconds, v -> {});
        views.calls(result);
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
