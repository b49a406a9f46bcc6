package raftcart.cli.command;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;
import raftcart.migration.BuildStage;
import raftcart.workspace.Json;

/** Creates the empty structure. */
@Command(name = "build", description = "Create the empty tables on the target from the scripts in target/.")
final class BuildCommand extends FolderCommand {
    @Option(
            names = "--stage",
            paramLabel = "before-data|after-data|all",
            defaultValue = "before-data",
            converter = PartConverter.class,
            description =
                    "What has to be there before the rows, what comes after them (the load runs that too), or all.")
    private BuildStage.Part part;

    @Option(
            names = "--if-exists",
            paramLabel = "stop|skip|drop",
            defaultValue = "stop",
            description =
                    "A table that exists on the target already: stop, skip it and load into it as it is, or drop it with"
                            + " its rows (needs --yes).")
    private BuildStage.Existing existing;

    @Option(
            names = "--again",
            description = "Run all scripts, also those that ran already, since the target was emptied.")
    private boolean again;

    @Option(names = "--yes", description = "Yes, tables may be dropped.")
    private boolean yes;

    @Option(names = "--dry-run", description = "Print the scripts that would run, in their order; nothing is touched.")
    private boolean dryRun;

    @Override
    public Integer call() {
        Console console = console();
        if (dryRun) {
            dryRun(console);
            return ExitCode.CLEAN.code();
        }
        if (existing == BuildStage.Existing.DROP && !yes) {
            throw new PlanException(
                    "--if-exists drop removes tables of the target with their rows",
                    "Say --yes too if that is what you want; --dry-run shows the scripts.");
        }
        BuildStage.Result result = BuildStage.run(migration(), part, existing, again);
        StageViews views = new StageViews(console);
        views.build(result);
        views.routines(result.routines());
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.of(!result.routines().failures().isEmpty());
    }

    private void dryRun(Console console) {
        List<String> scripts = BuildStage.open(migration(), part);
        if (console.isJson()) {
            console.print(Json.pretty(scripts));
            return;
        }
        if (scripts.isEmpty()) {
            console.line("Every script has run already; --again would run them anew.");
        }
        for (String script : scripts) {
            console.line(console.paint(Style.STRONG, "-- " + script));
            try {
                console.line(Files.readString(folder().resolve(script)));
            } catch (IOException e) {
                throw new WorkspaceException(script + " cannot be read", "Check that it is UTF-8 text.", e);
            }
        }
    }

    /** Reads {@code before-data} and the like. */
    private static final class PartConverter implements CommandLine.ITypeConverter<BuildStage.Part> {
        @Override
        public BuildStage.Part convert(String value) {
            for (BuildStage.Part part : BuildStage.Part.values()) {
                if (part.name().replace('_', '-').equalsIgnoreCase(value)) {
                    return part;
                }
            }
            throw new CommandLine.TypeConversionException("'" + value + "' is not one of before-data, after-data, all");
        }
    }
}
