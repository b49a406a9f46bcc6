package raftcart.engines.mariadb;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HexFormat;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.type.LogicalType;

/**
 * The values of a key's column, and what lies between two of them. Whatever value that is, the rows on its two sides can
 * be told apart by it; how a collation orders them is left to the server.
 */
enum KeySpace {
    NUMBERS {
        @Override
        Optional<String> between(String low, String high) {
            BigInteger from = whole(low);
            BigInteger to = whole(high);
            BigInteger middle = from.add(to).add(BigInteger.ONE).shiftRight(1);
            return middle.compareTo(from) > 0 && middle.compareTo(to) <= 0
                    ? Optional.of(middle.toString())
                    : Optional.empty();
        }

        @Override
        String constant(String value) {
            return value;
        }
    },
    MOMENTS {
        @Override
        Optional<String> between(String low, String high) {
            try {
                LocalDateTime from = moment(low);
                LocalDateTime middle =
                        from.plus(Duration.between(from, moment(high)).dividedBy(2));
                String text = low.length() == DATE_LENGTH
                        ? middle.toLocalDate().toString()
                        : middle.toLocalDate() + " " + middle.toLocalTime();
                return text.equals(low) || !middle.isAfter(from) ? Optional.empty() : Optional.of(text);
            } catch (DateTimeException e) {
                return Optional.empty(); // no date at all, such as that of zeros
            }
        }

        @Override
        String constant(String value) {
            return "'" + value + "'";
        }
    },
    TEXTS {
        @Override
        Optional<String> between(String low, String high) {
            return TextMiddle.between(low, high);
        }

        @Override
        String constant(String value) {
            return "'" + value.replace("\\", "\\\\").replace("'", "''") + "'";
        }
    },
    /** Their values are hexadecimal digits. */
    BYTES {
        @Override
        Optional<String> between(String low, String high) {
            int digits = Math.max(low.length(), high.length()) + 4;
            BigInteger from = number(low, digits);
            BigInteger middle = from.add(number(high, digits)).shiftRight(1);
            String text = String.format("%0" + digits + "x", middle).replaceFirst("(00)+$", "");
            return middle.equals(from) || text.isEmpty() ? Optional.empty() : Optional.of(text);
        }

        @Override
        String constant(String value) {
            return "x'" + value + "'";
        }

        @Override
        String text(String column) {
            return "HEX(" + column + ")";
        }
    };

    private static final int DATE_LENGTH = 10;

    /** How a column's values are parted; empty for types whose values are not. */
    static Optional<KeySpace> of(Column column) {
        LogicalType type = column.type();
        if (type instanceof LogicalType.Int || type instanceof LogicalType.Decimal) {
            return Optional.of(NUMBERS);
        }
        if (type instanceof LogicalType.Date || type instanceof LogicalType.Timestamp) {
            return Optional.of(MOMENTS);
        }
        if (type instanceof LogicalType.Char || type instanceof LogicalType.Varchar) {
            return Optional.of(TEXTS);
        }
        return type instanceof LogicalType.Binary || type instanceof LogicalType.Varbinary
                ? Optional.of(BYTES)
                : Optional.empty();
    }

    /** A value above the lower and not above the higher; empty where there is none. */
    abstract Optional<String> between(String low, String high);

    /** The value as a constant. */
    abstract String constant(String value);

    /** The expression that gives a column's values as texts of this space. */
    String text(String column) {
        return column;
    }

    static BigInteger whole(String number) {
        return new BigDecimal(number).setScale(0, RoundingMode.FLOOR).toBigInteger();
    }

    static LocalDateTime moment(String text) {
        return text.length() == DATE_LENGTH
                ? LocalDate.parse(text).atStartOfDay()
                : LocalDateTime.parse(text.replace(' ', 'T'));
    }

    static BigInteger number(String hex, int digits) {
        return new BigInteger(1, HexFormat.of().parseHex(hex + "0".repeat(digits - hex.length())));
    }
}
