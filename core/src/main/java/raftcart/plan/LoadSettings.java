package raftcart.plan;

/**
 * How rows are loaded.
 *
 * @param rowsPerBatch the most rows that are sent together, 1 to 1,000,000
 * @param rowsPerPart about how many rows a part of a large table has, which is committed as one, at least 1,000
 * @param parallel how many parts are read and written at the same time, up to 64; 0 to go by the machine
 * @param restart what happens to tables that were being loaded when an earlier load stopped
 * @param stopAfterRefused the load of a table stops after so many refused rows; at least 0
 */
public record LoadSettings(int rowsPerBatch, int rowsPerPart, int parallel, Restart restart, int stopAfterRefused) {
    /** More readers than this do not make an unknown server faster, and are felt by those who work on it. */
    private static final int MOST_BY_ITSELF = 4;

    /** What happens to tables that were being loaded when an earlier load stopped, and whose source may have changed since. */
    public enum Restart {
        /** They are emptied and read from their first row, so that each of them is of one moment. */
        TABLE,
        /** Parts that arrived stay, the others follow; for sources to which nobody writes. */
        PART
    }

    /** The settings used unless the plan says otherwise. */
    public static LoadSettings defaults() {
        return new LoadSettings(20_000, 250_000, 0, Restart.TABLE, 100);
    }

    /** The same without a limit of refused rows. */
    public LoadSettings withoutLimit() {
        return new LoadSettings(rowsPerBatch, rowsPerPart, parallel, restart, Integer.MAX_VALUE);
    }

    /** How many parts are moved at the same time on a machine of so many processors. */
    public int workers(int processors) {
        return parallel > 0 ? parallel : Math.max(1, Math.min(MOST_BY_ITSELF, processors));
    }
}
