package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;

/** Texts that only some engines read as dates or times, in the spelling that all read. */
final class DateTexts {
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final Pattern SLASHES = Pattern.compile("(\\d{1,2})/(\\d{1,2})/(\\d{4})( .+)?");
    private static final Pattern DOTS = Pattern.compile("(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})( .+)?");
    private static final Pattern NAMES = Pattern.compile("(?i)(\\d{1,2})[- ]([a-z]{3})[a-z]*[- ](\\d{4}|\\d\\d)( .+)?");
    private static final Pattern MONTH_FIRST =
            Pattern.compile("(?i)([a-z]{3})[a-z]*[. ]\\s*(\\d{1,2}),?\\s+(\\d{4})( .+)?");
    private static final Pattern HALVES = Pattern.compile("(?i)(\\d{1,2}):(\\d\\d)(:\\d\\d)?\\s*([AP])M");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d\\d(:\\d\\d(\\.\\d+)?)?");
    /** What every engine reads, apart from the T and from months and days of one digit. */
    private static final Pattern USUAL = Pattern.compile("(\\d{4}-\\d{1,2}-\\d{1,2})?"
            + "([ T]?\\d{1,2}:\\d\\d(:\\d\\d([.:]\\d+)?)?)?( ?([+-]\\d\\d(:?\\d\\d)?|Z|UTC))?");

    private static final Pattern SHORT = Pattern.compile("(?<!\\d)\\d(?!\\d)");
    private static final Pattern WITHOUT_SECONDS = Pattern.compile("(.* )?\\d\\d:\\d\\d");

    private DateTexts() {}

    /** A usual text with two digits for months, days and hours, and with its seconds, as dates are that stay texts. */
    static String filled(String text, ValueKind kind) {
        String two = twoDigits(text);
        String seconds = WITHOUT_SECONDS.matcher(two).matches() ? two + ":00" : two;
        return kind == ValueKind.TIMESTAMP && seconds.length() == "2026-01-31".length()
                ? seconds + " 00:00:00"
                : seconds;
    }

    /** A usual text with two digits for months, days and hours, which not all engines do without. */
    static String twoDigits(String text) {
        int fraction = text.indexOf('.');
        String whole = fraction < 0 ? text : text.substring(0, fraction);
        String two = SHORT.matcher(whole.strip()).replaceAll("0$0");
        return fraction < 0 ? two : two + text.substring(fraction);
    }

    /** True for a text whose reading does not depend on the engine or on its settings. */
    static boolean isUsual(String text) {
        return USUAL.matcher(text.strip()).matches();
    }

    /** The usual spelling of a text as this dialect reads it by its defaults. */
    static Optional<String> usual(Language dialect, String text) {
        String t = text.strip();
        Matcher slashes = SLASHES.matcher(t);
        if (dialect.has(SqlFeature.DATES_BY_SLASHES) && slashes.matches()) {
            return date(slashes.group(3), slashes.group(1), slashes.group(2), slashes.group(4));
        }
        Matcher dots = DOTS.matcher(t);
        if (dialect.has(SqlFeature.DATES_BY_DOTS) && dots.matches()) {
            return date(dots.group(3), dots.group(2), dots.group(1), dots.group(4));
        }
        Matcher names = NAMES.matcher(t);
        if (dialect.has(SqlFeature.DATES_BY_MONTH_NAMES) && names.matches()) {
            int month = MONTHS.indexOf(names.group(2).toLowerCase(Locale.ROOT)) + 1;
            return date(year(names.group(3)), "" + month, names.group(1), names.group(4));
        }
        Matcher first = MONTH_FIRST.matcher(t);
        if (dialect.has(SqlFeature.DATES_BY_MONTH_NAMES) && first.matches()) {
            int month = MONTHS.indexOf(first.group(1).toLowerCase(Locale.ROOT)) + 1;
            return date(first.group(3), "" + month, first.group(2), first.group(4));
        }
        return time(t);
    }

    /** True for a time of day alone. */
    static boolean isClock(String text) {
        return CLOCK.matcher(text.strip()).matches();
    }

    /** Two digits: "the RR Datetime Format Element" takes 50 to 99 for the last century. */
    private static String year(String digits) {
        if (digits.length() == 4) {
            return digits;
        }
        return (Integer.parseInt(digits) < 50 ? "20" : "19") + digits;
    }

    private static Optional<String> date(String year, String month, String day, String time) {
        int m = Integer.parseInt(month);
        int d = Integer.parseInt(day);
        if (m < 1 || m > 12 || d < 1 || d > 31) {
            return Optional.empty();
        }
        String date = String.format(Locale.ROOT, "%s-%02d-%02d", year, m, d);
        if (time == null) {
            return Optional.of(date);
        }
        String clock = time.strip();
        return (CLOCK.matcher(clock).matches() ? Optional.of(clock) : time(clock)).map(c -> date + " " + c);
    }

    /** {@code 3:15 PM}. */
    private static Optional<String> time(String text) {
        Matcher halves = HALVES.matcher(text);
        if (!halves.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(halves.group(1)) % 12 + (halves.group(4).equalsIgnoreCase("P") ? 12 : 0);
        String seconds = halves.group(3) == null ? ":00" : halves.group(3);
        return Optional.of(String.format(Locale.ROOT, "%02d:%s%s", hour, halves.group(2), seconds));
    }
}
