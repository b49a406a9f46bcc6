package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLGenerator;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.plan.Plan;
import raftcart.plan.PlanFile;
import raftcart.workspace.Json;
import raftcart.workspace.JsonSchema;

/** Reads the plan and says what it means. */
@Command(
        name = "plan",
        description = "Check raftcart.yaml, or show it with everything that it leaves out; print its JSON Schema.")
final class PlanCommand extends FolderCommand {
    @Option(names = "--check", description = "Say whether the plan is right; all its faults with their lines if not.")
    private boolean check;

    @Option(names = "--show-effective", description = "Print the plan as it is understood, defaults and all.")
    private boolean showEffective;

    @Option(
            names = "--schema",
            paramLabel = "OF",
            description = "Print the JSON Schema of the plan, or of source/catalog.json: plan or catalog.")
    private Optional<JsonSchema> schema = Optional.empty();

    @Override
    public Integer call() {
        Console console = console();
        if (schema.isPresent()) {
            console.print(schema.get().text());
            return ExitCode.CLEAN.code();
        }
        Plan plan = migration().plan();
        ObjectNode tree = PlanFile.tree(plan);
        if (console.isJson()) {
            console.print(Json.pretty(tree));
        } else if (showEffective) {
            console.line(yaml(tree).strip());
        } else {
            console.line(PlanFile.NAME + " is right" + (check ? "." : "; --show-effective prints all of it."));
        }
        return ExitCode.CLEAN.code();
    }

    private static String yaml(ObjectNode tree) {
        YAMLMapper mapper = new YAMLMapper();
        mapper.disable(YAMLGenerator.Feature.WRITE_DOC_START_MARKER);
        mapper.enable(YAMLGenerator.Feature.MINIMIZE_QUOTES);
        try {
            return mapper.writeValueAsString(tree);
        } catch (IOException e) {
            throw new UncheckedIOException("the plan cannot be written as YAML", e);
        }
    }
}
