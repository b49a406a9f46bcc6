package raftcart.dialect;

import java.util.Map;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Columns of whole numbers of engines that have decimal numbers only. Elsewhere they become whole numbers of 16, 32 or 64
 * bits, which take at least as many digits; those that were declared with more are said.
 */
public final class WholeColumns {
    private static final int DIGITS_OF_64_BITS = 18;

    private WholeColumns() {}

    /** What a column of this type is on the target, where it was read as this type. */
    public static LogicalType type(TypeName name, LogicalType read, TypeTable from, TypeTable to) {
        return precision(name, read, from, to)
                .<LogicalType>map(p -> new LogicalType.Int(p <= 4 ? 16 : p <= 9 ? 32 : 64, false))
                .orElse(read);
    }

    /** What to say of a column whose numbers may have had more digits than they have room for now. */
    public static Optional<TypeChoice.Note> note(TypeName name, LogicalType read, TypeTable from, TypeTable to) {
        return precision(name, read, from, to)
                .filter(p -> p > DIGITS_OF_64_BITS)
                .map(p -> new TypeChoice.Note(
                        FindingCode.WHOLE_NUMBER, name.name() + " of " + p + " digits as a whole number of 64 bits"));
    }

    private static Optional<Integer> precision(TypeName name, LogicalType read, TypeTable from, TypeTable to) {
        Map<String, Integer> whole = from.wholeColumns();
        boolean candidate = read instanceof LogicalType.Decimal d
                && d.precision() > 0
                && d.scale() == 0
                && d.precision() <= whole.getOrDefault(name.name(), 0)
                && to.wholeColumns().isEmpty();
        return candidate ? Optional.of(((LogicalType.Decimal) read).precision()) : Optional.empty();
    }
}
