package raftcart.rewrite;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * FM in a mask of words, which takes away the blanks and zeros that fill fields up: on some engines for all fields until the next
 * FM ("Format Models", Format Model Modifiers), on others for the field that follows.
 */
final class FillModes {
    private static final Pattern ELEMENT = Pattern.compile(
            "(?i)FM|SSSSS|YYYY|RRRR|IYYY|YY|RR|MONTH|MON|MM|DDD|DD|DAY|DY|HH24|HH12|HH|MI|SS|FF\\d?|IW|WW|\"[^\"]*\"|.",
            Pattern.DOTALL);
    private static final Pattern FILLED = Pattern.compile("(?i)MONTH|MM|DDD?|DAY|HH(24|12)?|MI|SS|IW|WW");

    private FillModes() {}

    /** A mask whose FM holds until the next one, with an FM before each field that it concerns. */
    static String ofEach(String mask) {
        StringBuilder text = new StringBuilder();
        boolean bare = false;
        Matcher elements = ELEMENT.matcher(mask);
        while (elements.find()) {
            String element = elements.group();
            if (element.equalsIgnoreCase("FM")) {
                bare = !bare;
                continue;
            }
            text.append(bare && FILLED.matcher(element).matches() ? "FM" : "").append(element);
        }
        return text.toString();
    }

    /** The reverse: an FM wherever fields begin or cease to be filled up. */
    static String ofAll(String mask) {
        StringBuilder text = new StringBuilder();
        boolean bare = false;
        boolean next = false;
        Matcher elements = ELEMENT.matcher(mask);
        while (elements.find()) {
            String element = elements.group();
            if (element.toUpperCase(Locale.ROOT).equals("FM")) {
                next = true;
                continue;
            }
            if (FILLED.matcher(element).matches()) {
                text.append(next == bare ? "" : "FM");
                bare = next;
            }
            text.append(element);
            next = false;
        }
        return text.toString();
    }
}
