package raftcart.cli.command;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import raftcart.cli.terminal.Console;
import raftcart.migration.Migration;

/** A command that works on the folder of a migration. */
abstract class FolderCommand implements Callable<Integer>, CommonOptions.Holder {
    @Mixin
    private CommonOptions common;

    @Option(
            names = {"-C", "--directory"},
            paramLabel = "DIR",
            description = "The folder of the migration (default: this folder).")
    private Path folder = Path.of(".");

    @Override
    public final CommonOptions common() {
        return common;
    }

    final Console console() {
        return common.console();
    }

    final Path folder() {
        return folder;
    }

    final Migration migration() {
        return common.open(folder);
    }
}
