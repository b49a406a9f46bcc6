package raftcart.move;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.engine.SharedSnapshot;
import raftcart.plan.LoadSettings;
import raftcart.translate.TableMapping;

/** Cuts large tables into parts and puts tables in order: those that others refer to first, of the others the largest. */
final class WorkPlanner {
    /** A part is committed as one, so it must not be too much for the logs of a server. */
    private static final long BYTES_PER_PART = 64L << 20;
    /** Smaller tables are not worth a second transaction. */
    private static final int SMALL_ROWS = 50_000;

    private final SharedSnapshot snapshot;
    private final LoadSettings settings;
    private final Map<ObjectName, Table> now;
    private final NewerRows newer;

    /** @param now the tables of the source with today's estimates */
    WorkPlanner(SharedSnapshot snapshot, LoadSettings settings, Map<ObjectName, Table> now, NewerRows newer) {
        this.snapshot = snapshot;
        this.settings = settings;
        this.now = now;
        this.newer = newer;
    }

    /** @param existingKeys foreign keys that the target has already */
    WorkPlan plan(List<TableMapping> tables, Map<ObjectName, List<ObjectName>> existingKeys) throws SQLException {
        int workers = snapshot.readers().size();
        LoadLevels levels = new LoadLevels(existingKeys);
        List<WorkPlan.Step> steps = new ArrayList<>();
        for (TableMapping table : tables) {
            Table source = now.getOrDefault(table.source().name(), table.source());
            String since = newer.condition(table);
            steps.add(new WorkPlan.Step(
                    table,
                    levels.of(table.target().name()),
                    since.isEmpty() ? parts(source, workers) : List.of(since),
                    source.rowEstimate(),
                    source.byteEstimate()));
        }
        steps.sort(Comparator.comparingInt(WorkPlan.Step::level)
                .thenComparing(Comparator.comparingLong(WorkPlanner::weight).reversed()));
        return new WorkPlan(steps, workers);
    }

    private static long weight(WorkPlan.Step step) {
        return Math.max(step.bytes(), step.rows());
    }

    private List<String> parts(Table table, int workers) throws SQLException {
        long bySize = Math.max(table.rowEstimate() / settings.rowsPerPart(), table.byteEstimate() / BYTES_PER_PART) + 1;
        long least = Math.min(SMALL_ROWS, settings.rowsPerPart());
        long wanted = table.rowEstimate() < least ? 1 : Math.max(bySize, workers);
        List<String> parts = snapshot.parts(table, (int) Math.min(wanted, MOST_PARTS));
        return parts.isEmpty() ? List.of("") : parts;
    }

    private static final int MOST_PARTS = 10_000;
}
