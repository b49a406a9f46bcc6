package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.plan.PlanFile;
import raftcart.workspace.Json;
import raftcart.workspace.Workspace;

/** Starts a migration: makes its folder and a commented plan. */
@Command(name = "init", description = "Start a migration in a new folder; writes a commented raftcart.yaml.")
final class InitCommand implements Callable<Integer>, CommonOptions.Holder {
    @Mixin
    private CommonOptions common;

    @Parameters(paramLabel = "DIR", description = "The folder to make.")
    private Path folder;

    @Option(
            names = "--source",
            required = true,
            paramLabel = "URL",
            description = "JDBC URL of the source, or scripts:DIALECT:PATH for a file or folder of scripts.")
    private String source;

    @Option(names = "--target", required = true, paramLabel = "URL", description = "JDBC URL of the target.")
    private String target;

    @Mixin
    private LogonOptions logons;

    @Override
    public CommonOptions common() {
        return common;
    }

    @Override
    public Integer call() {
        Console console = common.console();
        PlanWriter writer = new PlanWriter(logons.source(source), logons.target(target));
        Workspace.create(folder, writer.text());
        writer.warnings().forEach(console::message);
        console.line("Made " + folder.resolve(PlanFile.NAME) + ".");
        console.line("Look through it, then: raftcart run -C " + folder);
        if (console.isJson()) {
            ObjectNode document = Json.MAPPER.createObjectNode();
            document.put("plan", folder.resolve(PlanFile.NAME).toString());
            console.print(Json.pretty(document));
        }
        return ExitCode.CLEAN.code();
    }
}
