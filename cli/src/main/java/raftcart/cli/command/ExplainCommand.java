package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.Style;
import raftcart.error.PlanException;
import raftcart.finding.FindingCatalog;
import raftcart.finding.FindingCode;
import raftcart.plan.Suggestion;
import raftcart.workspace.Json;

/** Explains a finding code. */
@Command(name = "explain", description = "Explain a finding code: cause, an example, and advice.")
final class ExplainCommand implements Callable<Integer>, CommonOptions.Holder {
    @Mixin
    private CommonOptions common;

    @Parameters(paramLabel = "CODE", description = "A code such as RC0102.")
    private String code;

    @Override
    public CommonOptions common() {
        return common;
    }

    @Override
    public Integer call() {
        Console console = common.console();
        FindingCode found = FindingCode.of(code).orElseThrow(() -> {
            List<String> known = Arrays.stream(FindingCode.values())
                    .map(FindingCode::code)
                    .sorted()
                    .toList();
            String near = Suggestion.nearest(code.toUpperCase(java.util.Locale.ROOT), known)
                    .map(k -> "Did you mean " + k + "? ")
                    .orElse("");
            return new PlanException("there is no finding " + code, near + "Known: " + String.join(", ", known));
        });
        FindingCatalog.Entry entry = FindingCatalog.get(found);
        console.line(console.paint(Style.STRONG, found.code() + "  " + entry.title()) + "  ("
                + entry.outcome().label() + ")");
        console.line("");
        console.line(entry.cause());
        console.line("");
        Example example = Example.of(entry.example());
        console.line("Example: " + example.text());
        example.lines().forEach(console::line);
        console.line("");
        console.line("What to do: " + entry.advice());
        if (console.isJson()) {
            ObjectNode document = Json.MAPPER.valueToTree(entry);
            document.put("code", found.code());
            document.set("shown", Json.MAPPER.valueToTree(example.lines()));
            console.print(Json.pretty(document));
        }
        return ExitCode.CLEAN.code();
    }
}
