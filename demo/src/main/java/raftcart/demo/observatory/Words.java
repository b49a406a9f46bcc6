package raftcart.demo.observatory;

import java.util.SplittableRandom;

/** Made-up names and texts, some of them of the kind that breaks migrations. */
final class Words {
    private static final String[] FIRST = {"Ista", "Brenn", "Olumé", "Tavik", "Sirel", "Quenby", "Ødal", "Yarrow", "Nim"
    };
    private static final String[] LAST = {"Varn", "Telloway", "O'Kestrel", "Ridgeby", "Åskär", "Lumen", "Dusk-Hallow"};
    private static final String[] ODD = {
        "",
        "NULL",
        "\\N",
        "back\\slash and 'quotes' and \"double\"",
        "tab\tnewline\nreturn\rformfeed\fvertical\u000b",
        "telescope \uD83D\uDD2D and stars \u2728",
        "trailing blanks   ",
        "combining e\u0301 beside \u00e9",
        "percent % under_score"
    };

    private Words() {}

    static String name(SplittableRandom random) {
        return pick(random, FIRST) + " " + pick(random, LAST);
    }

    /** Mostly plain text, now and then an odd one or none. */
    static String remark(SplittableRandom random, long number) {
        int kind = random.nextInt(20);
        if (kind < 8) {
            return null;
        }
        return kind < 11 ? pick(random, ODD) : "seen through thin cloud, frame " + number;
    }

    static String pick(SplittableRandom random, String... words) {
        return words[random.nextInt(words.length)];
    }

    static String hex(SplittableRandom random, int bytes) {
        StringBuilder text = new StringBuilder(bytes * 2);
        for (int i = 0; i < bytes; i++) {
            int value = random.nextInt(256);
            text.append(Character.forDigit(value >> 4, 16)).append(Character.forDigit(value & 15, 16));
        }
        return text.toString();
    }

    /** A number with so many fractional digits. */
    static String decimal(SplittableRandom random, long most, int digits) {
        long scale = (long) Math.pow(10, digits);
        long value = random.nextLong(most * scale);
        return value / scale + "." + padded(value % scale, digits);
    }

    /** A number with zeros before it; many times faster than a format, which counts at ten million rows. */
    static String padded(long number, int digits) {
        String text = Long.toString(number);
        return "0".repeat(Math.max(0, digits - text.length())) + text;
    }
}
