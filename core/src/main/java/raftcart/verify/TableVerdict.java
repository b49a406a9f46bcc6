package raftcart.verify;

import java.util.List;
import java.util.Objects;

/**
 * How a table compares.
 *
 * @param sourceDigest 128 bits in hexadecimal that depend on every value of every row but not on the rows' order
 * @param differingColumns columns whose values differ, on the source's names; empty where rows are only paired
 *     differently or missing
 * @param problem why the table could not be compared, empty if it could
 */
public record TableVerdict(
        String table,
        String target,
        long sourceRows,
        long targetRows,
        String sourceDigest,
        String targetDigest,
        List<String> differingColumns,
        String problem,
        double seconds) {
    public TableVerdict {
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(target, "target");
        Objects.requireNonNull(sourceDigest, "sourceDigest");
        Objects.requireNonNull(targetDigest, "targetDigest");
        differingColumns = List.copyOf(differingColumns);
        Objects.requireNonNull(problem, "problem");
    }

    /** True where number and content of the rows agree. */
    public boolean same() {
        return problem.isEmpty() && sourceRows == targetRows && sourceDigest.equals(targetDigest);
    }
}
