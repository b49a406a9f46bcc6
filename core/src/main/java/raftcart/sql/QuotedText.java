package raftcart.sql;

/** Finds the ends of strings, quoted names and comments, and their values. */
final class QuotedText {
    private final String text;
    private final LexicalRules rules;
    private final LineCounter lines;
    private int end;

    QuotedText(String text, LexicalRules rules, LineCounter lines) {
        this.text = text;
        this.rules = rules;
        this.lines = lines;
    }

    /** The offset after what was read last. */
    int end() {
        return end;
    }

    /** The value of what is quoted from this offset on. */
    String value(int from, char closing, boolean backslash) {
        int position = from;
        StringBuilder value = null;
        int copied = from;
        while (true) {
            if (position >= text.length()) {
                throw lines.error("text that begins with " + text.charAt(from - 1) + " is not closed", from - 1);
            }
            char c = text.charAt(position);
            if (c == closing) {
                boolean doubled = position + 1 < text.length() && text.charAt(position + 1) == closing;
                if (!doubled) {
                    end = position + 1;
                    String rest = text.substring(copied, position);
                    return value == null ? rest : value.append(rest).toString();
                }
                value = started(value).append(text, copied, position + 1);
                position += 2;
                copied = position;
            } else if (c == '\\' && backslash && position + 1 < text.length()) {
                value = started(value).append(text, copied, position).append(unescape(text.charAt(position + 1)));
                position += 2;
                copied = position;
            } else {
                position++;
            }
        }
    }

    private static StringBuilder started(StringBuilder value) {
        return value == null ? new StringBuilder() : value;
    }

    private static String unescape(char c) {
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

    /** The value of a string with {@code \xxxx} and {@code \+xxxxxx} for characters (SQL:2016, 5.3). */
    String unicode(String value, int start) {
        StringBuilder decoded = new StringBuilder();
        int i = 0;
        while (i < value.length()) {
            char c = value.charAt(i);
            if (c != '\\') {
                decoded.append(c);
                i++;
            } else if (value.startsWith("\\\\", i)) {
                decoded.append('\\');
                i += 2;
            } else {
                int from = value.startsWith("\\+", i) ? i + 2 : i + 1;
                int to = from + (from == i + 2 ? 6 : 4);
                if (to > value.length() || !value.substring(from, to).matches("[0-9A-Fa-f]+")) {
                    throw lines.error("a \\ in this text is not followed by the digits of a character", start);
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
