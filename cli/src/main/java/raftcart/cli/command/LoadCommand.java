package raftcart.cli.command;

import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.catalog.Table;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.LoadProgress;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.move.TargetRows;
import raftcart.workspace.Json;

/** Moves the rows. */
@Command(
        name = "load",
        description = "Move the rows, then add indexes and foreign keys and set the counters. Run it again to go on.")
final class LoadCommand extends FolderCommand {
    @Option(
            names = "--if-not-empty",
            paramLabel = "stop|append|replace",
            defaultValue = "stop",
            description = "A table of the target that holds rows already: stop, append to it, or replace its rows.")
    private TargetRows targetRows;

    @Override
    public Integer call() {
        Console console = console();
        LoadStage.Result result = load(console, migration(), targetRows);
        StageViews views = new StageViews(console);
        views.load(result);
        views.loaded(result);
        views.loadProblems(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(needsPerson(result));
    }

    static LoadStage.Result load(Console console, Migration migration, TargetRows targetRows) {
        try (LoadProgress progress = new LoadProgress(console, expectedRows(migration))) {
            return LoadStage.run(migration, targetRows, progress);
        }
    }

    static boolean needsPerson(LoadStage.Result result) {
        return result.refused() > 0
                || !result.failures().isEmpty()
                || !result.routines().failures().isEmpty();
    }

    /** What the source's engine guesses; a bar needs no more. */
    static long expectedRows(Migration migration) {
        return migration
                .workspace()
                .catalog()
                .map(c -> c.tables().mapToLong(Table::rowEstimate).sum())
                .orElse(0L);
    }
}
