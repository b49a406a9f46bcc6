package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.TextTable;
import raftcart.engine.Engine;
import raftcart.engine.Engines;
import raftcart.workspace.Json;

/** Lists the engines. */
@Command(name = "engines", description = "List the engines that databases can be moved from and to.")
final class EnginesCommand implements Callable<Integer>, CommonOptions.Holder {
    @Mixin
    private CommonOptions common;

    @Override
    public CommonOptions common() {
        return common;
    }

    @Override
    public Integer call() {
        Console console = common.console();
        if (console.isJson()) {
            console.print(Json.pretty(document()));
        } else {
            console.line(table());
        }
        return ExitCode.CLEAN.code();
    }

    private static String table() {
        TextTable table = new TextTable()
                .text("ENGINE")
                .text("DIALECT")
                .text("SOURCE")
                .text("TARGET")
                .text("URL");
        for (Engine engine : Engines.all()) {
            table.row(engine.title(), engine.dialect().name(), "yes", "yes", engine.urlForm());
        }
        return table.render();
    }

    private static ArrayNode document() {
        ArrayNode document = Json.MAPPER.createArrayNode();
        for (Engine engine : Engines.all()) {
            ObjectNode entry = document.addObject();
            entry.put("engine", engine.title());
            entry.put("dialect", engine.dialect().name());
            entry.put("source", true);
            entry.put("target", true);
            entry.put("url", engine.urlForm());
        }
        return document;
    }
}
