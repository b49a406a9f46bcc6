package raftcart.cli.command;

import picocli.CommandLine;
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
            names = "--stage",
            paramLabel = "before-data|after-data|all",
            defaultValue = "before-data",
            converter = PartConverter.class,
            description =
                    "What has to be there before the rows, what comes after them (the load runs that too), or all.")
    private BuildStage.Part part;

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
        BuildStage.Result result = BuildStage.run(migration(), part, existing, again);
        new StageViews(console).build(result);
        if (console.isJson()) {
            console.print(Json.pretty(result));
        }
        return ExitCode.CLEAN.code();
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
