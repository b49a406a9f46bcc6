package raftcart.cli.command;

import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.finding.Outcome;
import raftcart.migration.TranslateStage;
import raftcart.workspace.Json;

/** Makes the scripts. */
@Command(
        name = "translate",
        description = {
            "Write the scripts that build the target; what cannot be translated goes to by-hand/.",
            "Files that were edited are kept; with OBJECT its files are made anew all the same."
        })
final class TranslateCommand extends FolderCommand {
    @Parameters(
            arity = "0..1",
            paramLabel = "OBJECT",
            description = "Make the files of this object of the source anew, also if they were edited.")
    private Optional<String> object = Optional.empty();

    @Override
    public Integer call() {
        return object.map(this::redo).orElseGet(this::all);
    }

    private Integer redo(String name) {
        Console console = console();
        TranslateStage.Redone redone = TranslateStage.redo(migration(), name);
        console.line(
                redone.kind() + " " + redone.name() + ": " + redone.outcome().label() + "; made anew:");
        redone.files().forEach(f -> console.line("  " + f));
        if (console.isJson()) {
            console.print(Json.pretty(redone));
        }
        return ExitCode.of(redone.outcome() == Outcome.BY_HAND);
    }

    private Integer all() {
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
