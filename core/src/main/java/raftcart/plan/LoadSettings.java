package raftcart.plan;

/**
 * How rows are loaded.
 *
 * @param rowsPerBatch the most rows that are committed together, 1 to 1,000,000
 * @param stopAfterRefused the load of a table stops after so many refused rows; at least 0
 */
public record LoadSettings(int rowsPerBatch, int stopAfterRefused) {
    /** The settings used unless the plan says otherwise. */
    public static LoadSettings defaults() {
        return new LoadSettings(20_000, 100);
    }
}
