package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.Schema;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.error.CatalogException;
import raftcart.error.ConnectException;
import raftcart.error.PlanException;
import raftcart.workspace.Journal;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Reads the source's catalog into the folder. */
public final class SurveyStage {
    private SurveyStage() {}

    /** Runs the stage without a look at the rows. */
    public static Result run(Migration migration) {
        return run(migration, false);
    }

    /**
     * Runs the stage.
     *
     * @param look true to look at the rows where they decide on a type
     */
    public static Result run(Migration migration, boolean look) {
        long start = System.nanoTime();
        Journal journal = migration.workspace().journal();
        Catalog catalog = migration.hasScripts() ? migration.scripts().read() : live(migration, look);
        if (look && migration.hasScripts()) {
            throw new PlanException(
                    "the source is a folder of script files; there are no rows to look at",
                    "Leave out --look-at-data.");
        }
        if (catalog.tables().findAny().isEmpty()) {
            throw new CatalogException(
                    "the source at " + migration.plan().source().shownUrl() + " has no tables that we can see",
                    migration.hasScripts()
                            ? "Check the dialect and the path of the scripts; `raftcart rewrite` says what it understands of them."
                            : "Check the database name in the URL and the account's permissions.");
        }
        migration.workspace().keepCatalog(catalog);
        Result result = new Result(catalog.version(), count(catalog), rows(catalog), (System.nanoTime() - start) / 1e9);
        ObjectNode details = Json.MAPPER.createObjectNode();
        details.set("result", Json.MAPPER.valueToTree(result));
        journal.add(Stage.SURVEY, Mark.DONE, details);
        return result;
    }

    private static Catalog live(Migration migration, boolean look) {
        try (EngineSession source = migration.openSource()) {
            List<String> missing = source.missingToRead();
            if (!missing.isEmpty()) {
                throw new ConnectException(
                        "the account on the source may not read all that is needed",
                        "Have an administrator run:\n  " + String.join("\n  ", missing));
            }
            Catalog catalog = source.readCatalog();
            return look
                    ? catalog.with(DataLook.of(source, catalog, migration.plan().tables()))
                    : catalog;
        }
    }

    private static long rows(Catalog catalog) {
        return catalog.tables().mapToLong(Table::rowEstimate).sum();
    }

    private static Map<ObjectKind, Integer> count(Catalog catalog) {
        Map<ObjectKind, Integer> counts = new EnumMap<>(ObjectKind.class);
        for (Schema schema : catalog.schemas()) {
            counts.merge(ObjectKind.SCHEMA, 1, Integer::sum);
            add(counts, ObjectKind.TYPE, schema.enumeratedTypes().size());
            add(counts, ObjectKind.SEQUENCE, schema.sequences().size());
            add(counts, ObjectKind.TABLE, schema.tables().size());
            for (Table table : schema.tables()) {
                add(
                        counts,
                        ObjectKind.INDEX,
                        table.indexes().size() + table.uniqueKeys().size());
                add(counts, ObjectKind.FOREIGN_KEY, table.foreignKeys().size());
            }
            schema.codeObjects().forEach(o -> add(counts, o.kind(), 1));
        }
        return counts;
    }

    private static void add(Map<ObjectKind, Integer> counts, ObjectKind kind, int number) {
        if (number > 0) {
            counts.merge(kind, number, Integer::sum);
        }
    }

    /**
     * What was found.
     *
     * @param rowEstimate the sum of the engine's own estimates
     */
    public record Result(String server, Map<ObjectKind, Integer> objects, long rowEstimate, double seconds) {}
}
