package raftcart.dialect;

import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.TypeName;

/** Floating-point types with more digits than those of other engines: Oracle's FLOAT and REAL are numbers ("FLOAT Data Type"). */
public final class DecimalFloats {
    /** The binary digits of a double. */
    private static final int DOUBLE = 53;

    private DecimalFloats() {}

    /** What to say of a column of such a type on an engine whose floats are binary ones. */
    public static Optional<TypeChoice.Note> note(TypeName name, TypeTable from, TypeTable to) {
        int digits = from.decimalFloats().getOrDefault(name.name(), 0);
        boolean more = digits > 0
                && name.parameter(0, Integer.MAX_VALUE) > DOUBLE
                && to.decimalFloats().isEmpty();
        return more
                ? Optional.of(new TypeChoice.Note(
                        FindingCode.INEXACT_NUMBER,
                        name.name() + " of up to " + digits + " digits as a floating-point number of 15"))
                : Optional.empty();
    }
}
