package raftcart.catalog;

import java.math.BigInteger;
import java.util.Objects;

/**
 * A column numbered by the engine.
 *
 * @param always true where values given by the writer are refused
 * @param next the number that the engine would have given next when the catalog was read
 */
public record Identity(long start, long increment, boolean always, BigInteger next) {
    public Identity {
        Objects.requireNonNull(next, "next");
    }
}
