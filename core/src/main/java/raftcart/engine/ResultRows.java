package raftcart.engine;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Types;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Rows that a statement gave, their values as texts that do not depend on the engine: bytes in hexadecimal, truth values 1
 * and 0, moments without the zone (that of sessions is UTC) and without zeros behind the second.
 *
 * @param columns what the columns are called
 * @param numbers for each column, whether it holds numbers
 */
public record ResultRows(List<String> columns, List<Boolean> numbers, List<List<Optional<String>>> rows) {
    /** The rows that are kept of one case, so that memory is bounded. */
    public static final int MOST_ROWS = 100_000;

    private static final Pattern MOMENT = Pattern.compile(
            "(\\d{4,}-\\d\\d-\\d\\d [0-9:]{8}|-?\\d{2,}:\\d\\d:\\d\\d)(?:(\\.\\d*?)0*)?(?:\\+00(?::00)?)?");

    public ResultRows {
        columns = List.copyOf(columns);
        numbers = List.copyOf(numbers);
        rows = List.copyOf(rows);
    }

    /**
     * Reads all rows.
     *
     * @throws SQLException also if there are too many of them
     */
    public static ResultRows read(ResultSet result) throws SQLException {
        ResultSetMetaData data = result.getMetaData();
        List<String> columns = new ArrayList<>();
        List<Boolean> numbers = new ArrayList<>();
        for (int i = 1; i <= data.getColumnCount(); i++) {
            columns.add(data.getColumnLabel(i));
            numbers.add(isNumber(data.getColumnType(i)));
        }
        List<List<Optional<String>>> rows = new ArrayList<>();
        while (result.next()) {
            if (rows.size() == MOST_ROWS) {
                throw new SQLException("more than " + MOST_ROWS + " rows, which are not compared here");
            }
            List<Optional<String>> row = new ArrayList<>();
            for (int i = 1; i <= columns.size(); i++) {
                row.add(Optional.ofNullable(value(result, i, data.getColumnType(i))));
            }
            rows.add(row);
        }
        return new ResultRows(columns, numbers, rows);
    }

    /**
     * A row of values that come one by one.
     *
     * @param values as the driver gives them
     * @param texts their texts
     */
    public static ResultRows ofValues(List<Object> values, List<String> texts) {
        List<Optional<String>> row = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            row.add(Optional.ofNullable(values.get(i) == null ? null : plain(values.get(i), texts.get(i))));
        }
        return new ResultRows(
                values.stream().map(v -> "").toList(),
                values.stream().map(Number.class::isInstance).toList(),
                List.of(row));
    }

    private static String plain(Object value, String text) {
        if (value instanceof byte[] bytes) {
            return HexFormat.of().formatHex(bytes);
        }
        if (value instanceof Boolean) {
            return truth(text);
        }
        return value instanceof Number ? number(text) : moment(text);
    }

    private static boolean isNumber(int type) {
        return switch (type) {
            case Types.TINYINT,
                    Types.SMALLINT,
                    Types.INTEGER,
                    Types.BIGINT,
                    Types.DECIMAL,
                    Types.NUMERIC,
                    Types.REAL,
                    Types.FLOAT,
                    Types.DOUBLE,
                    Types.BIT,
                    Types.BOOLEAN -> true;
            default -> false;
        };
    }

    private static String value(ResultSet result, int column, int type) throws SQLException {
        switch (type) {
            case Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB -> {
                byte[] bytes = result.getBytes(column);
                return bytes == null ? null : HexFormat.of().formatHex(bytes);
            }
            case Types.BIT, Types.BOOLEAN -> {
                String text = result.getString(column);
                return text == null ? null : truth(text);
            }
            default -> {
                String text = result.getString(column);
                return text == null ? null : isNumber(type) ? number(text) : moment(text);
            }
        }
    }

    private static String truth(String text) {
        return switch (text) {
            case "t", "true" -> "1";
            case "f", "false" -> "0";
            default -> text;
        };
    }

    /** A number without needless zeros; what is none, such as NaN, as it is. */
    private static String number(String text) {
        try {
            BigDecimal number = new BigDecimal(text);
            return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
        } catch (NumberFormatException e) {
            return text;
        }
    }

    private static String moment(String text) {
        Matcher moment = MOMENT.matcher(text);
        if (!moment.matches()) {
            return text;
        }
        String fraction = Optional.ofNullable(moment.group(2)).orElse("");
        return moment.group(1) + (fraction.equals(".") ? "" : fraction);
    }
}
