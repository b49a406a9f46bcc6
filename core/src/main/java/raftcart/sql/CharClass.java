package raftcart.sql;

/** Which characters names and numbers consist of. */
public final class CharClass {
    /** Of DB2's {@code ¬=}, as keyboards of large machines have it. */
    static final char NOT_SIGN = '\u00ac';

    private static final int ASCII = 128;
    private static final String[] SYMBOLS = new String[ASCII];
    private static final boolean[] NAME_STARTS = new boolean[ASCII];
    private static final boolean[] NAME_PARTS = new boolean[ASCII];

    static {
        for (char c = 0; c < ASCII; c++) {
            SYMBOLS[c] = String.valueOf(c);
            NAME_STARTS[c] = (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || c == '_';
            NAME_PARTS[c] = NAME_STARTS[c] || isDigit(c) || c == '$' || c == '#';
        }
    }

    private CharClass() {}

    static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    static boolean isHexDigit(char c) {
        return Character.digit(c, 16) >= 0;
    }

    /** True for a character with which a name without quotes may begin. */
    public static boolean isNameStart(char c) {
        return c < ASCII ? NAME_STARTS[c] : isForeignLetter(c);
    }

    /** True for a character that may stand in a name without quotes; whether number signs may is for the dialect to say. */
    public static boolean isNamePart(char c) {
        return c < ASCII ? NAME_PARTS[c] : isForeignLetter(c);
    }

    private static boolean isForeignLetter(char c) {
        return c != '\u00a0' && c != '\ufeff' && c != NOT_SIGN && !Character.isWhitespace(c);
    }

    static String symbol(char c) {
        return c < ASCII ? SYMBOLS[c] : String.valueOf(c);
    }
}
