package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.error.PlanException;
import raftcart.migration.Migration;
import raftcart.migration.NextStage;
import raftcart.migration.StatusReader;
import raftcart.plan.PlanFile;
import raftcart.workspace.Json;
import raftcart.workspace.Workspace;

/** Runs all stages that are not done yet. */
@Command(
        name = "run",
        description = "Run all stages in order, going on where the last run stopped.",
        footer = {
            "",
            "With --source, --target and --dir a new migration is started on the way:",
            "  raftcart run --source jdbc:mariadb://db1/kestrel --target jdbc:postgresql://db2/kestrel --dir move"
        })
final class RunCommand extends FolderCommand {
    @Option(names = "--source", paramLabel = "URL", description = "Start a migration from this JDBC URL.")
    private String source;

    @Option(names = "--target", paramLabel = "URL", description = "Start a migration to this JDBC URL.")
    private String target;

    @Option(names = "--dir", paramLabel = "DIR", description = "The folder to make for it.")
    private Path newFolder;

    @Mixin
    private LogonOptions logons;

    @Override
    public Integer call() {
        Console console = console();
        Migration migration = common().open(started(console));
        Workspace workspace = migration.workspace();
        if (NextStage.of(workspace).isEmpty()) {
            return nothingLeft(console, workspace);
        }
        StageRunner runner = new StageRunner(console, migration);
        runner.runAll();
        if (console.isJson()) {
            console.print(Json.pretty(runner.document()));
        }
        return ExitCode.of(runner.needsPerson());
    }

    private static Integer nothingLeft(Console console, Workspace workspace) {
        StatusReader.Status status = StatusReader.read(workspace);
        console.line("Nothing is left to do: every stage is done.");
        console.line("`raftcart status` shows when; `raftcart verify` compares again.");
        if (console.isJson()) {
            ObjectNode document = Json.MAPPER.valueToTree(status);
            document.put("nothingLeft", true);
            console.print(Json.pretty(document));
        }
        return ExitCode.of(status.needsPerson());
    }

    private Path started(Console console) {
        if (source == null && target == null && newFolder == null) {
            return folder();
        }
        if (source == null || target == null || newFolder == null) {
            throw new PlanException(
                    "a new migration needs --source, --target and --dir together",
                    "Without any of them, `raftcart run -C DIR` goes on with an existing migration.");
        }
        PlanWriter writer = new PlanWriter(logons.source(source), logons.target(target));
        if (!Files.exists(newFolder.resolve(PlanFile.NAME))) {
            Workspace.create(newFolder, writer.text());
            writer.warnings().forEach(console::message);
            return newFolder;
        }
        refuseOther(Workspace.open(newFolder));
        return newFolder;
    }

    /** The same command twice goes on; another pair of databases in the same folder is a mistake. */
    private void refuseOther(Workspace existing) {
        boolean same = existing.plan()
                        .source()
                        .url()
                        .equals(logons.source(source).url())
                && existing.plan().target().url().equals(logons.target(target).url());
        if (!same) {
            throw new PlanException(
                    newFolder + " holds the migration of another source or target",
                    "Choose another --dir, or go on with that one: raftcart run -C " + newFolder);
        }
    }
}
