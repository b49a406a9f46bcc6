package raftcart.cli.command;

import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import raftcart.cli.Logs;
import raftcart.cli.terminal.Console;
import raftcart.migration.Migration;
import raftcart.workspace.Workspace;

/** The options that every command has. */
public final class CommonOptions {
    @Option(names = "--json", description = "Print the result as one JSON document.")
    private boolean json;

    @Option(
            names = {"-q", "--quiet"},
            description = "No messages and no progress, only the result.")
    private boolean quiet;

    @Option(
            names = {"-v", "--verbose"},
            description = "More detail in the log file.")
    private boolean verbose;

    @Option(names = "--no-color", description = "No colours (NO_COLOR does the same).")
    private boolean noColor;

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            description = "Show this help.")
    private boolean help;

    /** A command that has these options. */
    public interface Holder {
        /** The options as they were given. */
        CommonOptions common();
    }

    /** True where the result is to be JSON. */
    public boolean json() {
        return json;
    }

    Console console() {
        return new Console(quiet, json, !noColor);
    }

    /** Opens the migration of a folder and sends the log there. */
    Migration open(Path folder) {
        Workspace workspace = Workspace.open(folder);
        Path journal = workspace.path("journal");
        if (Files.isWritable(folder)) {
            Logs.to(journal.resolve("raftcart.log"), verbose);
        }
        return new Migration(workspace);
    }
}
