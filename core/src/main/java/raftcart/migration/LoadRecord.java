package raftcart.migration;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import raftcart.move.TableResult;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Keeps what came of a load in the journal and in reports/load.json. */
final class LoadRecord {
    private LoadRecord() {}

    /** The load is done. */
    static void done(Migration migration, LoadStage.Result result) {
        keep(migration, Json.MAPPER.valueToTree(result));
    }

    /** Some of the rows that were refused have arrived since: the sums of the load are changed. */
    static void retried(Migration migration, LoadStage.Result result) {
        Map<String, TableResult> tables =
                result.tables().stream().collect(Collectors.toMap(TableResult::table, Function.identity()));
        JsonNode before = migration
                .workspace()
                .journal()
                .last(Stage.LOAD, Mark.DONE)
                .<JsonNode>map(e -> e.path("result").deepCopy())
                .orElseGet(Json.MAPPER::createObjectNode);
        for (JsonNode node : before.path("tables")) {
            TableResult again = tables.get(node.path("table").asText());
            if (again != null && node instanceof ObjectNode table) {
                table.put("loaded", table.path("loaded").asLong() + again.loaded());
                table.put("refused", again.refused());
                table.put("refusedFile", again.refusedFile());
            }
        }
        keep(migration, before);
    }

    private static void keep(Migration migration, JsonNode result) {
        migration.workspace().keepReport("load.json", result);
        ObjectNode details = Json.MAPPER.createObjectNode();
        details.set("result", result);
        migration.workspace().journal().add(Stage.LOAD, Mark.DONE, details);
    }
}
