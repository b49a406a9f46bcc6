package raftcart.dialect;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import raftcart.finding.FindingCode;
import raftcart.type.LogicalType;

/**
 * The bytes of a row, long values aside, where a target has a limit for them ("Limits on Table Column Count and Row Size",
 * MySQL; "Row Size", Firebird). Texts are counted with four bytes a letter.
 */
public final class RowSize {
    private static final int LONGEST = 65_535;
    private static final int BYTES_OF_LETTER = 4;
    /** Shorter texts may be indexed as a whole, which long values may not. */
    private static final int SHORTEST = 768;

    private static final int BYTES_OF_OTHERS = 16;
    private static final int BYTES_OF_LONG_VALUE = 12;

    private RowSize() {}

    /**
     * The texts that have to be long values so that the others fit into a row, by their places; the longest ones.
     *
     * @param columns the types on the target, where they are known
     * @param fixed true for a column whose type must stay
     */
    public static Set<Integer> apart(List<Optional<LogicalType>> columns, IntPredicate fixed) {
        Set<Integer> apart = new HashSet<>();
        int bytes =
                columns.size() / 8 + columns.stream().mapToInt(RowSize::bytes).sum();
        while (bytes > LONGEST) {
            int longest = -1;
            for (int i = 0; i < columns.size(); i++) {
                boolean candidate = !fixed.test(i) && !apart.contains(i) && length(columns.get(i)) > SHORTEST;
                if (candidate && (longest < 0 || length(columns.get(i)) > length(columns.get(longest)))) {
                    longest = i;
                }
            }
            if (longest < 0) {
                return apart; // what the target then says is as good as anything said here
            }
            apart.add(longest);
            bytes -= bytes(columns.get(longest)) - BYTES_OF_LONG_VALUE;
        }
        return apart;
    }

    /** The long value in the place of such a text. */
    public static TypeChoice longValue(LogicalType text, TypeTable types) {
        TypeChoice choice =
                types.choose(new LogicalType.Text((long) BYTES_OF_LETTER * length(Optional.of(text))), ColumnUse.PLAIN);
        return choice.note(
                FindingCode.WIDER_TYPE,
                choice.sql() + " for a text of " + length(Optional.of(text)) + ", since the row would be too long");
    }

    private static int length(Optional<LogicalType> type) {
        return type.orElse(null) instanceof LogicalType.Varchar text ? text.length() : 0;
    }

    private static int bytes(Optional<LogicalType> type) {
        LogicalType known = type.orElse(null);
        if (known instanceof LogicalType.Varchar text) {
            return BYTES_OF_LETTER * text.length() + 2;
        }
        if (known instanceof LogicalType.Char text) {
            return BYTES_OF_LETTER * text.length();
        }
        if (known instanceof LogicalType.Varbinary value) {
            return value.length() + 2;
        }
        return known instanceof LogicalType.Binary value ? value.length() : BYTES_OF_OTHERS;
    }
}
