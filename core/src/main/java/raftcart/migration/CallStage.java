package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import raftcart.engine.EngineSession;
import raftcart.error.VerifyException;
import raftcart.plan.CallCase;
import raftcart.verify.calls.CallVerdict;
import raftcart.verify.calls.CallVerdict.Outcome;
import raftcart.workspace.Json;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Calls routines on both sides with the same arguments, in transactions that are rolled back, and compares what comes of it. */
public final class CallStage {
    private CallStage() {}

    /** Runs all cases; each verdict is told as it falls. */
    public static Result run(Migration migration, List<CallCase> cases, int seconds, Consumer<CallVerdict> listener) {
        long start = System.nanoTime();
        try (EngineSession source = migration.openSource();
                EngineSession target = migration.openTarget()) {
            CaseRunner runner = new CaseRunner(
                    migration.catalog(), migration.planned(target.defaultSchema()), source, target, seconds);
            List<CallVerdict> verdicts = new ArrayList<>();
            for (CallCase one : cases) {
                CallVerdict verdict = runner.run(one);
                verdicts.add(verdict);
                listener.accept(verdict);
            }
            Result result = new Result(verdicts, (System.nanoTime() - start) / 1e9);
            migration.workspace().keepReport("routines.json", Json.MAPPER.valueToTree(result));
            ObjectNode details = Json.MAPPER.createObjectNode();
            details.put("routines", cases.size());
            details.put("same", result.same());
            migration.workspace().journal().add(Stage.VERIFY, Mark.PART, details);
            return result;
        } catch (SQLException e) {
            throw new VerifyException(
                    "the routines of both sides could not be listed: " + e.getMessage(),
                    "Check that the accounts may read the catalogs.",
                    e);
        }
    }

    /** The verdicts on all cases. */
    public record Result(List<CallVerdict> calls, double seconds) {
        public Result {
            calls = List.copyOf(calls);
        }

        /** True where all were called and did the same. */
        public boolean same() {
            return calls.stream().allMatch(c -> c.outcome() == Outcome.SAME);
        }

        /** The number of cases with an outcome. */
        public long of(Outcome outcome) {
            return calls.stream().filter(c -> c.outcome() == outcome).count();
        }
    }
}
