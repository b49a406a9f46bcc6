package raftcart.verify.calls;

import java.util.List;
import java.util.Objects;

/**
 * How a call compares.
 *
 * @param details what differs, or why it was not called
 * @param tables the tables of the source whose rows were compared afterwards
 */
public record CallVerdict(String title, Outcome outcome, List<String> details, List<String> tables, double seconds) {
    /** How it ended. */
    public enum Outcome {
        SAME,
        DIFFERS,
        /** It was called on neither side, or on one only. */
        NOT_CALLED
    }

    public CallVerdict {
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(outcome, "outcome");
        details = List.copyOf(details);
        tables = List.copyOf(tables);
    }
}
