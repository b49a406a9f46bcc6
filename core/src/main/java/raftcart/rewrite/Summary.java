package raftcart.rewrite;

import java.util.EnumMap;
import java.util.Map;
import raftcart.finding.Outcome;

/** How many statements had which outcome. */
public final class Summary {
    private final Map<Outcome, Long> counts = new EnumMap<>(Outcome.class);

    /** Counts one statement. */
    public void add(Outcome outcome) {
        counts.merge(outcome, 1L, Long::sum);
    }

    /** Adds the counts of another summary. */
    public void add(Summary other) {
        other.counts.forEach((o, n) -> counts.merge(o, n, Long::sum));
    }

    /** The statements with this outcome. */
    public long count(Outcome outcome) {
        return counts.getOrDefault(outcome, 0L);
    }

    /** All statements. */
    public long total() {
        return counts.values().stream().mapToLong(Long::longValue).sum();
    }
}
