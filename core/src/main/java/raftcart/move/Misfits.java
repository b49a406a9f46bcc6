package raftcart.move;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.sql.SQLException;
import java.sql.Types;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.engine.EngineSession;
import raftcart.engine.TableLookup;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/** Why values do not fit into the columns that the target really has, as far as their types tell; in words for the user. */
final class Misfits {
    private static final Map<Integer, Integer> BITS =
            Map.of(Types.TINYINT, 8, Types.SMALLINT, 16, Types.INTEGER, 32, Types.BIGINT, 64);

    private final List<Optional<TableLookup.Column>> columns;

    private Misfits(List<Optional<TableLookup.Column>> columns) {
        this.columns = columns;
    }

    /** Looks at the columns of a table. */
    static Misfits of(EngineSession target, TableMapping table) throws SQLException {
        Map<String, TableLookup.Column> there = new HashMap<>();
        TableLookup.columns(target, table.target().name()).forEach(c -> there.put(c.name(), c));
        return new Misfits(table.columns().stream()
                .filter(ColumnMapping::loaded)
                .map(c -> Optional.ofNullable(there.get(c.target().name())))
                .toList());
    }

    /** What does not fit in a row, column by column; none where the reason lies elsewhere, such as in a key. */
    List<String> in(RowBuffer rows, int row) {
        List<String> misfits = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).isPresent()) {
                TableLookup.Column column = columns.get(i).get();
                Optional<String> misfit = rows.isNull(row, i)
                        ? Optional.of("NULL into a column that is not null").filter(m -> !column.nullable())
                        : misfit(column, rows, row, i);
                misfit.ifPresent(m -> misfits.add(column.name() + ": " + m));
            }
        }
        return misfits;
    }

    private static Optional<String> misfit(TableLookup.Column column, RowBuffer rows, int row, int place) {
        return switch (column.jdbcType()) {
            case Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB ->
                tooLong(rows.end(row, place) - rows.start(row, place), column, "byte");
            case Types.CHAR, Types.VARCHAR, Types.NCHAR, Types.NVARCHAR -> text(rows.text(row, place), column);
            case Types.LONGVARCHAR, Types.CLOB -> zero(rows.text(row, place));
            case Types.TINYINT, Types.SMALLINT, Types.INTEGER, Types.BIGINT -> whole(rows.text(row, place), column);
            case Types.BIT, Types.BOOLEAN -> truth(rows.text(row, place), column);
            case Types.DECIMAL, Types.NUMERIC -> decimal(rows.text(row, place), column);
            default -> Optional.empty();
        };
    }

    /** A one-digit number that drivers take for a truth value holds more than these. */
    private static Optional<String> truth(String text, TableLookup.Column column) {
        boolean fits = text.equals("0") || text.equals("1") || !column.type().startsWith("bool");
        return fits ? Optional.empty() : Optional.of(shown(text) + " is neither 0 nor 1");
    }

    private static Optional<String> text(String text, TableLookup.Column column) {
        int length = text.codePointCount(0, text.length());
        String stripped = text.stripTrailing();
        int blanks = length - stripped.codePointCount(0, stripped.length());
        return tooLong(length, column, "character")
                .map(m -> m + (blanks > 0 ? ", " + blanks + " of them trailing blanks" : ""))
                .or(() -> zero(text));
    }

    private static Optional<String> zero(String text) {
        int place = text.indexOf('\0');
        return place < 0
                ? Optional.empty()
                : Optional.of("the character 0 at place " + (text.codePointCount(0, place) + 1)
                        + ", which not every engine can hold");
    }

    private static Optional<String> tooLong(int length, TableLookup.Column column, String unit) {
        return column.size() <= 0 || length <= column.size()
                ? Optional.empty()
                : Optional.of(
                        "value of " + length + " " + unit + "s into " + column.type() + "(" + column.size() + ")");
    }

    private static Optional<String> whole(String text, TableLookup.Column column) {
        boolean unsigned = column.type().endsWith("unsigned");
        int bits = BITS.get(column.jdbcType());
        BigInteger end = BigInteger.ONE.shiftLeft(unsigned ? bits : bits - 1);
        BigInteger least = unsigned ? BigInteger.ZERO : end.negate();
        return number(text)
                .filter(n -> n.compareTo(new BigDecimal(end)) >= 0 || n.compareTo(new BigDecimal(least)) < 0)
                .map(n -> shown(text) + " into " + column.type() + ", which holds " + least + " to "
                        + end.subtract(BigInteger.ONE));
    }

    private static Optional<String> decimal(String text, TableLookup.Column column) {
        String into = " into " + column.type() + "(" + column.size() + "," + column.scale() + ")";
        Optional<BigDecimal> number = number(text);
        if (number.isEmpty()) {
            return Optional.of(shown(text) + " into " + column.type() + ", which holds numbers only");
        }
        BigDecimal plain = number.get().stripTrailingZeros();
        int before = plain.precision() - plain.scale();
        boolean open = column.size() <= 0 || column.scale() < 0 || column.size() < column.scale();
        if (open) {
            return Optional.empty(); // a number without a precision
        }
        if (before > column.size() - column.scale()) {
            return Optional.of("number with " + before + " digits before the point" + into);
        }
        return plain.scale() <= column.scale()
                ? Optional.empty()
                : Optional.of("number with " + plain.scale() + " digits behind the point" + into);
    }

    private static Optional<BigDecimal> number(String text) {
        try {
            return Optional.of(new BigDecimal(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** The beginning of a value. */
    private static String shown(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "..." : text;
    }
}
