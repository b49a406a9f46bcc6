package raftcart.move;

import java.util.List;
import java.util.Objects;
import java.util.OptionalInt;
import raftcart.catalog.ObjectName;
import raftcart.plan.LoadSettings;
import raftcart.plan.Selection;

/**
 * What a user asks of one run of the load.
 *
 * @param targetRows what to do with tables that hold rows
 * @param tables patterns of the tables to load, as in the plan; none for all
 * @param stopAfterRefused in the place of the plan's number
 * @param parallel in the place of the plan's number
 */
public record LoadOptions(
        TargetRows targetRows, List<String> tables, OptionalInt stopAfterRefused, OptionalInt parallel) {
    public LoadOptions {
        Objects.requireNonNull(targetRows, "targetRows");
        tables = List.copyOf(tables);
        Objects.requireNonNull(stopAfterRefused, "stopAfterRefused");
        Objects.requireNonNull(parallel, "parallel");
    }

    /** All tables, in this way. */
    public static LoadOptions of(TargetRows targetRows) {
        return new LoadOptions(targetRows, List.of(), OptionalInt.empty(), OptionalInt.empty());
    }

    /** The plan's settings with what this run wants otherwise. */
    public LoadSettings settings(LoadSettings plan) {
        return new LoadSettings(
                plan.rowsPerBatch(),
                plan.rowsPerPart(),
                parallel.orElse(plan.parallel()),
                plan.restart(),
                stopAfterRefused.orElse(plan.stopAfterRefused()));
    }

    /** True where a table of the source is to be loaded. */
    public boolean takes(ObjectName table) {
        return tables.isEmpty() || tables.stream().anyMatch(p -> Selection.matches(p, table));
    }
}
