package raftcart.scripts;

import java.math.BigInteger;
import java.util.Optional;
import raftcart.catalog.ObjectName;

/**
 * A counter of the source and where it stands.
 *
 * @param owner the sequence, or the table of a numbered column
 * @param column the numbered column; empty for a sequence
 * @param next the number that comes next
 */
public record DrawnNumber(ObjectName owner, Optional<String> column, BigInteger next) {}
