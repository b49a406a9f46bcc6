package raftcart.move;

import java.util.List;
import java.util.Objects;
import raftcart.translate.TableMapping;

/**
 * What a load moves: tables in the order in which they are begun, and the parts of each.
 *
 * @param workers how many parts are moved at the same time
 */
public record WorkPlan(List<Step> steps, int workers) {
    /**
     * A table.
     *
     * @param level tables wait for those of lower levels that they refer to; 0 where there are none
     * @param parts conditions of its parts in the source's SQL; one that is empty for the whole table
     * @param rows an estimate, 0 if there is none
     * @param bytes an estimate, 0 if there is none
     */
    public record Step(TableMapping table, int level, List<String> parts, long rows, long bytes) {
        public Step {
            Objects.requireNonNull(table, "table");
            parts = List.copyOf(parts);
        }

        /** The table's name on the source. */
        public String name() {
            return table.source().name().toString();
        }
    }

    public WorkPlan {
        steps = List.copyOf(steps);
    }

    /** The number of parts of all tables. */
    public int parts() {
        return steps.stream().mapToInt(s -> s.parts().size()).sum();
    }

    /** An estimate of all rows. */
    public long rows() {
        return steps.stream().mapToLong(Step::rows).sum();
    }
}
