package raftcart.move;

import java.util.Objects;

/**
 * What became of the rows of one table; {@code read = loaded + refused}.
 *
 * @param table the table's name on the source
 * @param refusedFile where refused rows were put, below the migration folder; empty if there are none
 */
public record TableResult(
        String table, String target, long read, long loaded, long refused, double seconds, String refusedFile) {
    public TableResult {
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(target, "target");
        Objects.requireNonNull(refusedFile, "refusedFile");
    }
}
