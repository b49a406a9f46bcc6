package raftcart.engine;

import java.util.Objects;

/**
 * Where a snapshot lies in the history of its database.
 *
 * @param position the position in the server's log, from which changes could be caught up; empty if unknown
 * @param state the same for two snapshots only if nothing was written between them; empty where the engine cannot tell
 * @param weakness what this snapshot lacks and what would mend it, in words for the user; empty if nothing
 */
public record SnapshotPlace(String position, String state, String weakness) {
    public SnapshotPlace {
        Objects.requireNonNull(position, "position");
        Objects.requireNonNull(state, "state");
        Objects.requireNonNull(weakness, "weakness");
    }

    /** True where it is known that nothing was written between the two. */
    public boolean sameDataAs(String earlierState) {
        return !state.isEmpty() && state.equals(earlierState);
    }
}
