package raftcart.engines.mariadb;

import java.math.BigInteger;
import java.util.Optional;

/**
 * A text between two others by their characters, which are taken for the digits of a number. It uses no character above
 * the highest of the two, so that a column of few characters can hold it and its index is used.
 */
final class TextMiddle {
    private static final char LOWEST = ' ';
    /** So many characters more than the longer of the two have. */
    private static final int FURTHER = 2;
    /** Texts that begin alike so far are not parted. */
    private static final int LONGEST = 200;

    private TextMiddle() {}

    /** The text; empty where the two do not differ in what comes early enough. */
    static Optional<String> between(String low, String high) {
        int length = Math.max(low.length(), high.length()) + FURTHER;
        if (length > LONGEST) {
            return Optional.empty();
        }
        int highest = Math.max(
                '~', Math.max(low.chars().max().orElse(0), high.chars().max().orElse(0)));
        BigInteger base = BigInteger.valueOf(highest - LOWEST + 2L);
        BigInteger middle =
                number(low, length, base).add(number(high, length, base)).shiftRight(1);
        String text = text(middle, length, base);
        int same = Math.max(common(text, low), common(text, high));
        String shortest = text.substring(0, Math.min(text.length(), same + 1));
        return shortest.equals(low) || shortest.equals(high) || shortest.isEmpty()
                ? Optional.empty()
                : Optional.of(shortest);
    }

    /** The end of a text is the digit 0, below all characters. */
    private static BigInteger number(String text, int length, BigInteger base) {
        BigInteger number = BigInteger.ZERO;
        for (int i = 0; i < length; i++) {
            int digit = i < text.length() ? Math.max(0, text.charAt(i) - LOWEST) + 1 : 0;
            number = number.multiply(base).add(BigInteger.valueOf(digit));
        }
        return number;
    }

    private static String text(BigInteger number, int length, BigInteger base) {
        char[] characters = new char[length];
        BigInteger rest = number;
        for (int i = length - 1; i >= 0; i--) {
            BigInteger[] parts = rest.divideAndRemainder(base);
            characters[i] = character(parts[1].intValue());
            rest = parts[0];
        }
        return new String(characters).stripTrailing();
    }

    /** Characters that some sets do not have, and halves of characters, give way to the nearest below. */
    private static char character(int digit) {
        char c = (char) (LOWEST + Math.max(0, digit - 1));
        if (c > '~' && c < '\u00a0') {
            return '~';
        }
        return Character.isSurrogate(c) ? '\ud7ff' : c;
    }

    private static int common(String a, String b) {
        int i = 0;
        while (i < a.length() && i < b.length() && a.charAt(i) == b.charAt(i)) {
            i++;
        }
        return i;
    }
}
