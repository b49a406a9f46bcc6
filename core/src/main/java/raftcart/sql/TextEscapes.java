package raftcart.sql;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;

/**
 * What stands behind a backslash in a text: letters for control characters, and, where a dialect has them, the digits of a
 * character or of the bytes of one in UTF-8 ("String Constants with C-Style Escapes", PostgreSQL; "String &amp; binary data
 * types", Snowflake).
 */
final class TextEscapes {
    private final String text;
    private final LexicalRules rules;

    TextEscapes(String text, LexicalRules rules) {
        this.text = text;
        this.rules = rules;
    }

    /** Writes what the escape at this backslash stands for; gives the offset behind it. */
    int decode(int backslash, StringBuilder value) {
        if (!rules.has(LexicalFeature.CODED_ESCAPES)) {
            value.append(plain(text.charAt(backslash + 1)));
            return backslash + 2;
        }
        char c = text.charAt(backslash + 1);
        int digits = c == 'u' ? 4 : c == 'U' ? 8 : 0;
        if (digits > 0 && hexDigits(backslash + 2, digits) == digits) {
            int point = Integer.parseUnsignedInt(text, backslash + 2, backslash + 2 + digits, 16);
            if (Character.isValidCodePoint(point)) {
                value.appendCodePoint(point);
                return backslash + 2 + digits;
            }
        }
        if (byteEnd(backslash) > 0) {
            return bytes(backslash, value);
        }
        value.append(c == 'f' ? "\f" : c == '0' || c == 'Z' || c == '%' || c == '_' ? String.valueOf(c) : plain(c));
        return backslash + 2;
    }

    /** The bytes of one or more characters, one escape behind the other. */
    private int bytes(int backslash, StringBuilder value) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        int at = backslash;
        for (int end = byteEnd(at); end > 0; end = byteEnd(at)) {
            boolean hex = text.charAt(at + 1) == 'x';
            bytes.write(Integer.parseInt(text, at + (hex ? 2 : 1), end, hex ? 16 : 8));
            at = end;
        }
        value.append(bytes.toString(StandardCharsets.UTF_8));
        return at;
    }

    /** The offset behind an escape of one byte that begins here, or 0. */
    private int byteEnd(int backslash) {
        if (backslash + 1 >= text.length() || text.charAt(backslash) != '\\') {
            return 0;
        }
        if (text.charAt(backslash + 1) == 'x') {
            int digits = hexDigits(backslash + 2, 2);
            return digits == 0 ? 0 : backslash + 2 + digits;
        }
        int end = backslash + 1;
        while (end < text.length() && end < backslash + 4 && text.charAt(end) >= '0' && text.charAt(end) <= '7') {
            end++;
        }
        return end == backslash + 1 ? 0 : end;
    }

    private int hexDigits(int from, int most) {
        int count = 0;
        while (count < most && from + count < text.length() && CharClass.isHexDigit(text.charAt(from + count))) {
            count++;
        }
        return count;
    }

    /** A letter behind a backslash ("String Literals", MySQL). */
    private static String plain(char c) {
        return switch (c) {
            case 'n' -> "\n";
            case 't' -> "\t";
            case 'r' -> "\r";
            case 'b' -> "\b";
            case '0' -> "\0";
            case 'Z' -> "\u001a";
            case '%', '_' -> "\\" + c;
            default -> String.valueOf(c);
        };
    }
}
