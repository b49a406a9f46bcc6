package raftcart.rewrite;

import java.math.BigInteger;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.HexFormat;
import java.util.Optional;

/**
 * Dates given by the bytes in which they are stored, as scripts that were generated from a database have them: {@code
 * CAST(0x00009A2D00000000 AS datetime)}.
 */
final class BinaryDates {
    private static final LocalDate BASE = LocalDate.of(1900, 1, 1);
    private static final LocalDate FIRST = LocalDate.of(1, 1, 1);
    private static final DateTimeFormatter MILLIS = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss.SSS");
    private static final DateTimeFormatter MINUTES = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss");
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ISO_LOCAL_TIME;
    private static final long NANOS_A_DAY = 86_400_000_000_000L;

    private BinaryDates() {}

    /** The date, time or both as text; empty where the bytes are none of the type. */
    static Optional<String> text(String hex, String type) {
        byte[] bytes;
        try {
            bytes = HexFormat.of().parseHex(hex);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
        return switch (type) {
            case "datetime" -> bytes.length == 8 ? datetime(bytes) : Optional.empty();
            case "smalldatetime" ->
                bytes.length == 4
                        ? Optional.of(MINUTES.format(BASE.atStartOfDay()
                                .plusDays(number(bytes, 0, 2))
                                .plusMinutes(number(bytes, 2, 2))))
                        : Optional.empty();
            case "date" ->
                bytes.length == 3
                        ? Optional.of(FIRST.plusDays(reversed(bytes, 0, 3)).toString())
                        : Optional.empty();
            case "time" -> bytes.length > 3 ? time(bytes, bytes.length - 1).map(CLOCK::format) : Optional.empty();
            case "datetime2" -> bytes.length > 6 ? datetime2(bytes) : Optional.empty();
            default -> Optional.empty();
        };
    }

    /** Days since 1900 with a sign, and three hundredths of a second. */
    private static Optional<String> datetime(byte[] bytes) {
        long days = (int) number(bytes, 0, 4);
        long millis = Math.round(number(bytes, 4, 4) * 10 / 3.0);
        LocalDateTime at = BASE.atStartOfDay().plusDays(days).plusNanos(millis * 1_000_000);
        return Optional.of(MILLIS.format(at));
    }

    private static Optional<String> datetime2(byte[] bytes) {
        LocalDate date = FIRST.plusDays(reversed(bytes, bytes.length - 3, 3));
        return time(bytes, bytes.length - 4).map(t -> date + " " + CLOCK.format(t));
    }

    /** The number of digits in the first byte, then that part of a second, the lowest byte first. */
    private static Optional<LocalTime> time(byte[] bytes, int length) {
        int digits = bytes[0];
        if (digits < 0 || digits > 7) {
            return Optional.empty();
        }
        long unit = BigInteger.TEN.pow(9 - digits).longValueExact();
        long nanos = Math.multiplyExact(reversed(bytes, 1, length), unit);
        return nanos < NANOS_A_DAY ? Optional.of(LocalTime.ofNanoOfDay(nanos)) : Optional.empty();
    }

    private static long number(byte[] bytes, int from, int length) {
        long number = 0;
        for (int i = 0; i < length; i++) {
            number = number << 8 | bytes[from + i] & 0xFF;
        }
        return number;
    }

    private static long reversed(byte[] bytes, int from, int length) {
        long number = 0;
        for (int i = length - 1; i >= 0; i--) {
            number = number << 8 | bytes[from + i] & 0xFF;
        }
        return number;
    }
}
