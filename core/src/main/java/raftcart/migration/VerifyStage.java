package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Consumer;
import raftcart.engine.EngineSession;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;
import raftcart.verify.TableVerdict;
import raftcart.verify.Verifier;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Compares the rows of both databases. */
public final class VerifyStage {
    private VerifyStage() {}

    /** Runs the stage; each verdict is told as it falls. */
    public static Result run(Migration migration, Consumer<TableVerdict> listener) {
        long start = System.nanoTime();
        try (EngineSession source = migration.openSource();
                EngineSession target = migration.openTarget()) {
            Translation translation = migration.translation(target.defaultSchema());
            List<TableMapping> compared =
                    translation.tables().stream().filter(TableMapping::isLoaded).toList();
            List<TableVerdict> verdicts = new Verifier(source, target).verify(compared, listener);
            List<String> notCompared = translation.tables().stream()
                    .filter(t -> !t.isLoaded())
                    .map(t -> t.source().name().toString())
                    .toList();
            Result result = new Result(verdicts, notCompared, (System.nanoTime() - start) / 1e9);
            migration.workspace().keepReport("verify.json", Json.MAPPER.valueToTree(result));
            ObjectNode details = Json.MAPPER.createObjectNode();
            details.put("same", result.same());
            details.set("result", Json.MAPPER.valueToTree(result));
            migration.workspace().journal().add(Stage.VERIFY, Mark.DONE, details);
            return result;
        }
    }

    /**
     * The verdicts on all tables.
     *
     * @param notCompared tables whose rows stay on the source by the plan
     */
    public record Result(List<TableVerdict> tables, List<String> notCompared, double seconds) {
        /** True where all tables are the same on both sides. */
        public boolean same() {
            return tables.stream().allMatch(TableVerdict::same);
        }
    }
}
