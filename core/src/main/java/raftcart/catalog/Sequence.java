package raftcart.catalog;

import java.math.BigInteger;
import java.util.Objects;

/** A number generator. {@code next} is the value that it would have given next when the catalog was read. */
public record Sequence(
        ObjectName name,
        BigInteger start,
        BigInteger increment,
        BigInteger minimum,
        BigInteger maximum,
        BigInteger next,
        long cache,
        boolean cycle) {
    public Sequence {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(start, "start");
        Objects.requireNonNull(increment, "increment");
        Objects.requireNonNull(minimum, "minimum");
        Objects.requireNonNull(maximum, "maximum");
        Objects.requireNonNull(next, "next");
    }
}
