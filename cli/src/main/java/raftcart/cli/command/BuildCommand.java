package raftcart.cli.command;

import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.migration.BuildStage;
import raftcart.workspace.Json;

/** Creates the empty structure. */
@Command(name = "build", description = "Create the empty tables on the target from the scripts in target/.")
final class BuildCommand extends FolderCommand {
    @Option(
            names = "--if-exists",
            paramLabel = "stop|skip",
            defaultValue = "stop",
            description = "A table that exists on the target already: stop, or skip it and load into it as it is.")
    private BuildStage.Existing existing;

    @Option(
            names = "--again",
            description = "Run all scripts, also those that ran already, since the target was emptied.")
    private boolean again;

    @Override
    public Integer call() {
        Console console = console();
        BuildStage.Result result = BuildStage.run(migration(), existing, again);
        new StageViews(console).build(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.CLEAN.code();
    }
}
