package raftcart.cli.command;

import picocli.CommandLine.Command;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.cli.terminal.TextTable;
import raftcart.migration.StatusReader;
import raftcart.workspace.Json;

/** Says how far a migration has come. */
@Command(name = "status", description = "Say how far the migration has come; asks no database.")
final class StatusCommand extends FolderCommand {
    private static final int SECONDS_OF_TIMESTAMP = 19;

    @Override
    public Integer call() {
        Console console = console();
        StatusReader.Status status = StatusReader.read(migration().workspace());
        console.line("from " + status.source());
        console.line("to   " + status.target());
        console.line("");
        TextTable table =
                new TextTable().text("STAGE").text("STATE").text("AT (UTC)").text("RESULT");
        for (StatusReader.StageStatus stage : status.stages()) {
            table.row(stage.stage(), stage.state(), time(stage.at()), stage.summary());
        }
        console.line(table.render());
        if (status.byHand() > 0) {
            console.line("");
            console.line(console.paint(Style.WARN, StageViews.count(status.byHand(), "part") + " left to a person")
                    + ", in by-hand/.");
        }
        if (!status.setAside().isEmpty()) {
            console.line("");
            console.line(console.paint(Style.WARN, "Set aside on the target") + " and not back yet: "
                    + String.join(", ", status.setAside()) + ".");
            console.line("`raftcart load` goes on, and restores them when the rows are there.");
        }
        if (console.isJson()) {
            console.print(Json.pretty(status));
        }
        return ExitCode.of(status.needsPerson());
    }

    private static String time(String instant) {
        return instant.length() < SECONDS_OF_TIMESTAMP
                ? instant
                : instant.substring(0, SECONDS_OF_TIMESTAMP).replace('T', ' ');
    }
}
