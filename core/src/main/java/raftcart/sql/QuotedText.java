package raftcart.sql;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds the ends of strings, quoted names and comments, and their values. */
final class QuotedText {
    private static final Pattern OTHER_ESCAPE = Pattern.compile("(?i)\\s+uescape\\s+'(.)'");
    private static final int NONE = Integer.MAX_VALUE;

    private final String text;
    private final LexicalRules rules;
    private final LineCounter lines;
    private final TextEscapes escapes;
    private int end;
    private int nextBackslash = -1;

    QuotedText(String text, LexicalRules rules, LineCounter lines) {
        this.text = text;
        this.rules = rules;
        this.lines = lines;
        this.escapes = new TextEscapes(text, rules);
    }

    /** The offset after what was read last. */
    int end() {
        return end;
    }

    /** The value of what is quoted from this offset on. */
    String value(int from, char closing, boolean backslash) {
        StringBuilder value = null;
        int copied = from;
        while (true) {
            int close = text.indexOf(closing, copied);
            int escape = backslash ? backslashFrom(copied) : -1;
            if (escape >= 0 && escape + 1 < text.length() && (escape < close || close < 0)) {
                value = started(value).append(text, copied, escape);
                copied = escapes.decode(escape, value);
            } else if (close < 0) {
                throw lines.error("text that begins with " + text.charAt(from - 1) + " is not closed", from - 1);
            } else if (close + 1 < text.length() && text.charAt(close + 1) == closing) {
                value = started(value).append(text, copied, close + 1);
                copied = close + 2;
            } else {
                end = close + 1;
                String rest = text.substring(copied, close);
                return value == null ? rest : value.append(rest).toString();
            }
        }
    }

    /** The offset of the first backslash from this one on; remembered, since most texts have none. */
    private int backslashFrom(int from) {
        if (nextBackslash != NONE && nextBackslash < from) {
            int found = text.indexOf('\\', from);
            nextBackslash = found < 0 ? NONE : found;
        }
        return nextBackslash == NONE ? -1 : nextBackslash;
    }

    private static StringBuilder started(StringBuilder value) {
        return value == null ? new StringBuilder() : value;
    }

    /** The value of a string whose delimiter stands at this offset, as in {@code q'[...]'}. */
    String alternative(int from) {
        char open = from < text.length() ? text.charAt(from) : ' ';
        char close =
                switch (open) {
                    case '[' -> ']';
                    case '(' -> ')';
                    case '{' -> '}';
                    case '<' -> '>';
                    default -> open;
                };
        int at = text.indexOf(close + "'", from + 1);
        if (at < 0) {
            throw lines.error("text that begins with q'" + open + " is not closed", from - 2);
        }
        end = at + 2;
        return text.substring(from + 1, at);
    }

    /** The value of a text with {@code \xxxx} and {@code \+xxxxxx}, or another escape than the backslash (SQL:2016, 5.3). */
    String unicode(String value, int start) {
        Matcher other = OTHER_ESCAPE.matcher(text).region(end, text.length());
        char escape = '\\';
        if (other.lookingAt()) {
            escape = other.group(1).charAt(0);
            end = other.end();
        }
        StringBuilder decoded = new StringBuilder();
        int i = 0;
        while (i < value.length()) {
            char c = value.charAt(i);
            if (c != escape) {
                decoded.append(c);
                i++;
            } else if (i + 1 < value.length() && value.charAt(i + 1) == escape) {
                decoded.append(escape);
                i += 2;
            } else {
                int from = value.startsWith("+", i + 1) ? i + 2 : i + 1;
                int to = from + (from == i + 2 ? 6 : 4);
                if (to > value.length() || !value.substring(from, to).matches("[0-9A-Fa-f]+")) {
                    throw lines.error(
                            "a " + escape + " in this text is not followed by the digits of a character", start);
                }
                int point = Integer.parseInt(value.substring(from, to), 16);
                if (!Character.isValidCodePoint(point)) {
                    throw lines.error("this text names a character that does not exist", start);
                }
                decoded.appendCodePoint(point);
                i = to;
            }
        }
        return decoded.toString();
    }

    /** The tag of a dollar-quoted string at this offset, or null if there is none. */
    String dollarTag(int from) {
        int at = from + 1;
        while (at < text.length() && (Character.isLetterOrDigit(text.charAt(at)) || text.charAt(at) == '_')) {
            at++;
        }
        boolean tag = at < text.length() && text.charAt(at) == '$' && !CharClass.isDigit(text.charAt(from + 1));
        return tag ? text.substring(from, at + 1) : null;
    }

    int endOfDollar(String tag, int from) {
        int at = text.indexOf(tag, from + tag.length());
        if (at < 0) {
            throw lines.error("text that begins with " + tag + " is not closed", from);
        }
        return at + tag.length();
    }

    /** The offset after the block comment that begins at this one. */
    int endOfComment(int from) {
        int position = from + 2;
        int depth = 1;
        boolean nests = rules.has(LexicalFeature.NESTED_COMMENTS);
        while (depth > 0) {
            int close = text.indexOf("*/", position);
            int open = nests ? text.indexOf("/*", position) : -1;
            if (close < 0) {
                throw lines.error("comment is not closed", from);
            }
            if (open >= 0 && open < close) {
                depth++;
                position = open + 2;
            } else {
                depth--;
                position = close + 2;
            }
        }
        return position;
    }
}
