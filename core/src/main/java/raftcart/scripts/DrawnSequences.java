package raftcart.scripts;

import java.math.BigInteger;
import java.util.Map;
import java.util.Set;
import raftcart.catalog.ObjectName;

/**
 * The sequences from which the rows of scripts drew numbers.
 *
 * @param next the number that comes next, by sequence of the source
 * @param byTarget those from which the target drew itself, so that it knows better where they stand
 */
public record DrawnSequences(Map<ObjectName, BigInteger> next, Set<ObjectName> byTarget) {
    public DrawnSequences {
        next = Map.copyOf(next);
        byTarget = Set.copyOf(byTarget);
    }
}
