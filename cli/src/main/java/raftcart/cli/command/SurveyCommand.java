package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.dialect.Dialect;
import raftcart.error.PlanException;
import raftcart.migration.Assessment;
import raftcart.migration.Migration;
import raftcart.migration.SurveyStage;
import raftcart.workspace.Json;

/** Reads the source's catalog and judges it. */
@Command(
        name = "survey",
        description =
                "Read the source's catalog into source/catalog.json and say what would become of it; no rows are read unless asked for.")
final class SurveyCommand extends FolderCommand {
    @Option(
            names = "--against",
            split = ",",
            paramLabel = "DIALECT",
            description = "Judge the move to these engines side by side (default: the plan's target).")
    private List<String> against = List.of();

    @Option(
            names = "--object",
            paramLabel = "NAME",
            description = "Show one object: its source, what it becomes, and what there is to know.")
    private Optional<String> object = Optional.empty();

    @Option(
            names = "--look-at-data",
            description =
                    "Read rows too where they decide on a type: numbers of one digit, numbers without a precision,"
                            + " texts that may be JSON. No value of a row is kept.")
    private boolean lookAtData;

    @Option(names = "--csv", paramLabel = "FILE", description = "Write the findings, a line each, as CSV.")
    private Optional<Path> csv = Optional.empty();

    @Override
    public Integer call() {
        Console console = console();
        Migration migration = migration();
        SurveyStage.Result result = SurveyStage.run(migration, lookAtData);
        SurveyViews views = new SurveyViews(console);
        new StageViews(console).survey(result);
        List<Assessment> assessments = new ArrayList<>();
        targets(migration).forEach(t -> assessments.add(migration.assess(t)));
        if (object.isPresent()) {
            views.object(migration.show(object.get()));
        } else if (assessments.size() == 1) {
            views.assessment(assessments.get(0));
        } else {
            views.compared(assessments);
        }
        csv.ifPresent(file -> FindingsCsv.write(assessments, file));
        if (console.isJson()) {
            ObjectNode document = Json.MAPPER.valueToTree(result);
            document.set("assessments", Json.MAPPER.valueToTree(assessments));
            console.print(Json.pretty(document));
        }
        return ExitCode.CLEAN.code();
    }

    private List<Dialect> targets(Migration migration) {
        if (against.isEmpty()) {
            return List.of(migration.target());
        }
        List<String> known = Migration.targets().stream().map(Dialect::name).toList();
        return against.stream()
                .map(name -> Migration.targets().stream()
                        .filter(d -> d.name().equals(name.strip()))
                        .findFirst()
                        .orElseThrow(() -> new PlanException(
                                "'" + name.strip() + "' is no engine to which databases can be moved",
                                "Name some of " + String.join(", ", known) + ".")))
                .toList();
    }
}
