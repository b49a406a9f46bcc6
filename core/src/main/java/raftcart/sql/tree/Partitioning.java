package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;

/**
 * How the rows of a table are divided among parts of it.
 *
 * @param keys what tells to which part a row belongs; empty for the primary key
 * @param count the number of parts without names of their own, 0 where they are listed
 * @param leftOut what is said beyond that: parts of parts, parts made by themselves
 * @param scheme the clause up to the parts, as written, without PARTITION BY
 */
public record Partitioning(
        Method method, List<Expr> keys, List<Partition> partitions, int count, List<String> leftOut, String scheme) {
    public Partitioning {
        keys = List.copyOf(keys);
        partitions = List.copyOf(partitions);
        leftOut = List.copyOf(leftOut);
    }

    /** The same with other parts. */
    public Partitioning withPartitions(List<Partition> others) {
        return new Partitioning(method, keys, others, count, leftOut, scheme);
    }

    /** The same by other keys. */
    public Partitioning withKeys(List<Expr> others) {
        return new Partitioning(method, others, partitions, count, leftOut, scheme);
    }

    /** What of a row's key decides. */
    public enum Method {
        RANGE,
        LIST,
        HASH
    }

    /**
     * One part.
     *
     * @param name empty where it has none
     * @param text its bounds as written
     */
    public record Partition(Optional<QualifiedName> name, Bounds bounds, String text) {}

    /** Which rows belong to a part. */
    public sealed interface Bounds {
        /** Rows below these limits that no part before takes. */
        record Below(List<Limit> to) implements Bounds {}

        /** Rows from these limits on and below those. */
        record Between(List<Limit> from, List<Limit> to) implements Bounds {}

        /** Rows of these values. */
        record Among(List<Expr> values) implements Bounds {}

        /** Rows whose hash has this remainder. */
        record Remainder(int modulus, int remainder) implements Bounds {}

        /** Rows that belong nowhere else. */
        record Rest() implements Bounds {}
    }

    /**
     * A bound of one column.
     *
     * @param value empty for what is beyond all values
     * @param highest above all values, where there is none; otherwise below all
     */
    public record Limit(Optional<Expr> value, boolean highest) {
        /** Below all values. */
        public static final Limit LOWEST = new Limit(Optional.empty(), false);
        /** Above all values. */
        public static final Limit HIGHEST = new Limit(Optional.empty(), true);

        /** A value. */
        public static Limit of(Expr value) {
            return new Limit(Optional.of(value), false);
        }
    }
}
