package raftcart.cli.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import raftcart.cli.terminal.Console;
import raftcart.cli.terminal.TextTable;
import raftcart.move.WorkPlan;
import raftcart.workspace.Json;

/** Shows what a load would move. */
final class WorkPlanView {
    private static final double MEGABYTE = 1 << 20;

    private final Console console;

    WorkPlanView(Console console) {
        this.console = console;
    }

    void show(WorkPlan plan) {
        TextTable table = new TextTable()
                .text("TABLE")
                .number("ABOUT ROWS")
                .number("ABOUT MB")
                .number("PARTS")
                .text("CUT BY");
        for (WorkPlan.Step step : plan.steps()) {
            table.row(
                    step.table().source().name().toString(),
                    String.format(Locale.ROOT, "%,d", step.rows()),
                    String.format(Locale.ROOT, "%,.1f", step.bytes() / MEGABYTE),
                    String.valueOf(step.parts().size()),
                    cutBy(step));
        }
        console.line(table.render());
        console.line("");
        console.line(StageViews.count(plan.steps().size(), "table") + " in " + StageViews.count(plan.parts(), "part")
                + ", " + StageViews.count(plan.workers(), "part") + " at a time, with about "
                + StageViews.count(plan.rows(), "row") + " by the source's own estimates; nothing was changed.");
        if (console.isJson()) {
            console.print(Json.pretty(document(plan)));
        }
    }

    private static String cutBy(WorkPlan.Step step) {
        if (step.parts().size() < 2) {
            return "";
        }
        return step.table().source().primaryKey().isEmpty()
                ? "where rows lie"
                : String.join(", ", step.table().source().primaryKey().get().columns());
    }

    private static ObjectNode document(WorkPlan plan) {
        ObjectNode document = Json.MAPPER.createObjectNode();
        document.put("parallel", plan.workers());
        ArrayNode steps = document.putArray("tables");
        for (WorkPlan.Step step : plan.steps()) {
            ObjectNode node = steps.addObject();
            node.put("table", step.name());
            node.put("target", step.table().target().name().toString());
            node.put("level", step.level());
            node.put("rowEstimate", step.rows());
            node.put("byteEstimate", step.bytes());
            ArrayNode parts = node.putArray("parts");
            step.parts().forEach(parts::add);
        }
        return document;
    }
}
