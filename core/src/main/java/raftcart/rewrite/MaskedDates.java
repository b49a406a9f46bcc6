package raftcart.rewrite;

import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a constant text by a constant mask, as {@code TO_DATE('31-JAN-2026 22:15', 'DD-MON-YYYY HH24:MI')} does, in English
 * ("Format Models", Datetime Format Models).
 */
final class MaskedDates {
    private static final Pattern ELEMENT =
            Pattern.compile("(?i)FM|FX|YYYY|RRRR|YY|RR|MONTH|MON|MM|DDD|DD|DAY|DY|HH24|HH12|HH|MI|SS(?!SSS)|FF\\d?"
                    + "|[AP]\\.?M\\.?|\"[^\"]*\"|[^A-Za-z0-9]");
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    private final String text;
    private int at;
    private int year = -1;
    private int month = 1;
    private int day = 1;
    private int hour;
    private int minute;
    private int second;
    private int nanos;
    private int half = -1;

    private MaskedDates(String text) {
        this.text = text;
    }

    /** True for a mask with a part of a day. */
    static boolean hasTime(String mask) {
        return Pattern.compile("(?i)HH|MI|SS|FF|[AP]\\.?M\\.?(?![A-Z])")
                .matcher(mask)
                .find();
    }

    /** The moment; empty where the text does not fit or the mask has other parts. */
    static Optional<LocalDateTime> read(String text, String mask) {
        MaskedDates reader = new MaskedDates(text.strip());
        String plain = mask.strip().replaceAll("(?i)SSXFF", "SS.FF"); // the character before fractions
        Matcher elements = ELEMENT.matcher(plain);
        int end = 0;
        try {
            while (elements.find() && elements.start() == end) {
                end = elements.end();
                if (!reader.take(elements.group().toUpperCase(Locale.ROOT))) {
                    return Optional.empty();
                }
            }
            boolean whole = end == plain.length() && reader.at == reader.text.length() && reader.year >= 0;
            return whole ? Optional.of(reader.moment()) : Optional.empty();
        } catch (DateTimeException | NumberFormatException e) {
            return Optional.empty(); // no such day, or no number: the engine will say so
        }
    }

    private LocalDateTime moment() {
        int hours = half < 0 ? hour : hour % 12 + 12 * half;
        return LocalDateTime.of(year, month, day, hours, minute, second, nanos);
    }

    private boolean take(String element) {
        switch (element) {
            case "FM", "FX" -> {
                return true;
            }
            case "YYYY" -> year = number(4);
            case "RRRR", "RR" -> year = rounded();
            case "MM" -> month = number(2);
            case "MON", "MONTH" -> month = MONTHS.indexOf(word(element.equals("MON") ? 3 : 9)) + 1;
            case "DD" -> day = number(2);
            case "HH24", "HH12", "HH" -> hour = number(2);
            case "MI" -> minute = number(2);
            case "SS" -> second = number(2);
            case "DY", "DAY" -> word(9);
            case "AM", "PM", "A.M.", "P.M." -> half = "p".equals(halfWord()) ? 1 : 0;
            default -> {
                return other(element);
            }
        }
        return true;
    }

    private boolean other(String element) {
        if (element.startsWith("FF")) {
            String digits = digits(9);
            nanos = Integer.parseInt((digits + "000000000").substring(0, 9));
            return true;
        }
        if (element.startsWith("\"")) {
            String quoted = element.substring(1, element.length() - 1);
            boolean same = text.regionMatches(true, at, quoted, 0, quoted.length());
            at += quoted.length();
            return same;
        }
        boolean mark = element.length() == 1 && !Character.isLetterOrDigit(element.charAt(0));
        if (!mark || at >= text.length() || Character.isLetterOrDigit(text.charAt(at))) {
            return false;
        }
        at++;
        return true;
    }

    /** RR: 0 to 49 are of this century, 50 to 99 of the last. */
    private int rounded() {
        String digits = digits(4);
        int number = Integer.parseInt(digits);
        return digits.length() > 2 ? number : number < 50 ? 2000 + number : 1900 + number;
    }

    private int number(int longest) {
        return Integer.parseInt(digits(longest));
    }

    private String digits(int longest) {
        int start = at;
        while (at < text.length() && at - start < longest && Character.isDigit(text.charAt(at))) {
            at++;
        }
        return text.substring(start, at);
    }

    /** The first three letters of a word, in lower case. */
    private String word(int longest) {
        int start = at;
        while (at < text.length() && at - start < longest && Character.isLetter(text.charAt(at))) {
            at++;
        }
        return text.substring(start, Math.min(start + 3, at)).toLowerCase(Locale.ROOT);
    }

    private String halfWord() {
        Matcher half12 = Pattern.compile("(?i)([AP])\\.?M\\.?").matcher(text).region(at, text.length());
        if (!half12.lookingAt()) {
            throw new NumberFormatException("neither AM nor PM");
        }
        at = half12.end();
        return half12.group(1).toLowerCase(Locale.ROOT);
    }
}
