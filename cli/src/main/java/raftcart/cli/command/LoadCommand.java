package raftcart.cli.command;

import java.util.List;
import java.util.OptionalInt;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.catalog.Table;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.LoadEvents;
import raftcart.cli.terminal.LoadProgress;
import raftcart.error.PlanException;
import raftcart.migration.LoadStage;
import raftcart.migration.Migration;
import raftcart.move.LoadOptions;
import raftcart.move.TargetRows;
import raftcart.move.WorkPlan;
import raftcart.workspace.Json;

/** Moves the rows. */
@Command(
        name = "load",
        description = "Move the rows, then add indexes and foreign keys and set the counters. Run it again to go on.")
final class LoadCommand extends FolderCommand {
    private static final int MOST_PARALLEL = 64;

    @Option(
            names = "--if-not-empty",
            paramLabel = "stop|append|replace|update|skip",
            defaultValue = "stop",
            description =
                    "A table of the target that holds rows already: stop, append to it, replace its rows, update them by"
                            + " their primary key and add the others, or skip it.")
    private TargetRows targetRows;

    @Option(
            names = "--tables",
            paramLabel = "PATTERN",
            split = ",",
            description = "Only these tables of the source: name or schema.name, * for any characters; several with"
                    + " commas. Indexes and keys follow when all tables are loaded.")
    private List<String> tables = List.of();

    @Option(
            names = "--parallel",
            paramLabel = "N",
            description = "Parts that are read and written at the same time, in the place of the plan's number.")
    private Integer parallel;

    @Option(
            names = "--stop-after",
            paramLabel = "N",
            description = "Stop after so many refused rows of a table, in the place of the plan's number.")
    private Integer stopAfter;

    @Option(
            names = "--retry-refused",
            description = "Load only the rows in journal/refused/ again, after the target or the lines were mended.")
    private boolean retryRefused;

    @Option(
            names = "--plan-only",
            description = "Show what would be moved, in which order and in which parts; change nothing.")
    private boolean planOnly;

    @Override
    public Integer call() {
        Console console = console();
        LoadOptions options = options();
        if (planOnly) {
            return plan(console, options);
        }
        LoadStage.Result result =
                retryRefused ? retry(console, migration(), options) : load(console, migration(), options);
        StageViews views = new StageViews(console);
        views.load(result);
        views.loaded(result);
        views.loadProblems(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(needsPerson(result));
    }

    private static LoadStage.Result retry(Console console, Migration migration, LoadOptions options) {
        try (LoadProgress progress = LoadProgress.ofLines(console)) {
            return LoadStage.retryRefused(migration, options, progress);
        }
    }

    private LoadOptions options() {
        if (parallel != null && (parallel < 1 || parallel > MOST_PARALLEL)) {
            throw new PlanException("--parallel is " + parallel + " but must be from 1 to " + MOST_PARALLEL, null);
        }
        if (stopAfter != null && stopAfter < 0) {
            throw new PlanException("--stop-after is " + stopAfter + " but must not be below 0", null);
        }
        if (planOnly && retryRefused) {
            throw new PlanException("--plan-only and --retry-refused exclude each other", null);
        }
        if (retryRefused && (targetRows != TargetRows.STOP || stopAfter != null || parallel != null)) {
            throw new PlanException(
                    "--retry-refused goes with --tables only",
                    "Rows are loaded one table after the other; those that are refused again stay in their files.");
        }
        return new LoadOptions(targetRows, tables, number(stopAfter), number(parallel));
    }

    private static OptionalInt number(Integer given) {
        return given == null ? OptionalInt.empty() : OptionalInt.of(given);
    }

    private Integer plan(Console console, LoadOptions options) {
        Migration migration = migration();
        try (LoadProgress progress = LoadProgress.ofLines(console)) {
            WorkPlan plan = LoadStage.plan(migration, options, progress);
            new WorkPlanView(console).show(plan);
        }
        return ExitCode.of(false);
    }

    static LoadStage.Result load(Console console, Migration migration, LoadOptions options) {
        if (console.isJson()) {
            return LoadStage.run(migration, options, new LoadEvents(console));
        }
        try (LoadProgress progress = new LoadProgress(console, expectedRows(migration))) {
            return LoadStage.run(migration, options, progress);
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
