package raftcart.sql;

/** Which characters names and numbers consist of. */
final class CharClass {
    private static final String[] SYMBOLS = new String[128];

    static {
        for (char c = 0; c < SYMBOLS.length; c++) {
            SYMBOLS[c] = String.valueOf(c);
        }
    }

    private CharClass() {}

    static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    static boolean isHexDigit(char c) {
        return Character.digit(c, 16) >= 0;
    }

    static boolean isNameStart(char c) {
        return (c >= 'a' && c <= 'z')
                || (c >= 'A' && c <= 'Z')
                || c == '_'
                || (c > 127 && c != '\u00a0' && c != '\ufeff' && !Character.isWhitespace(c));
    }

    static boolean isNamePart(char c) {
        return isNameStart(c) || isDigit(c) || c == '$' || c == '#';
    }

    static String symbol(char c) {
        return c < SYMBOLS.length ? SYMBOLS[c] : String.valueOf(c);
    }
}
