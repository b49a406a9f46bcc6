package raftcart.sql;

/** Finds values that the caller supplies and variables of the session. */
final class ParameterScan {
    private ParameterScan() {}

    /** The offset after the parameter that begins at this one; the same offset if none does. */
    static int end(String text, int from, LexicalRules rules) {
        char c = text.charAt(from);
        char next = from + 1 < text.length() ? text.charAt(from + 1) : '\0';
        return switch (c) {
            case '?' -> asksForKeys(text, from, next) ? from : digits(text, from + 1);
            case '$' -> CharClass.isDigit(next) || CharClass.isNameStart(next) ? name(text, from + 1) : from;
            case ':' -> startsColonParameter(text, from, next) ? name(text, from + 1) : from;
            case '@' -> at(text, from, next);
            case '&' ->
                rules.has(LexicalFeature.SUBSTITUTION_VARIABLES) && CharClass.isNameStart(next)
                        ? substitution(text, from + 1)
                        : from;
            default -> from;
        };
    }

    /** PostgreSQL's {@code ?|} and {@code ?&}, or the doubled mark of drivers; {@code ?||} is a parameter that is put together. */
    private static boolean asksForKeys(String text, int from, char next) {
        boolean doubled = from + 2 < text.length() && text.charAt(from + 2) == next;
        return next == '?' || (next == '|' || next == '&') && !doubled;
    }

    /** A colon after a name or bracket is a path or a slice. */
    private static boolean startsColonParameter(String text, int from, char next) {
        char before = from > 0 ? text.charAt(from - 1) : ' ';
        boolean follows = CharClass.isNamePart(before) || before == ']' || before == ')' || before == '"';
        return !follows && (CharClass.isNameStart(next) || CharClass.isDigit(next));
    }

    private static int at(String text, int from, char next) {
        if (next == '@' && from + 2 < text.length() && CharClass.isNameStart(text.charAt(from + 2))) {
            return dotted(text, from + 2);
        }
        return CharClass.isNameStart(next) || CharClass.isDigit(next) || next == '`' || next == '\''
                ? quotedOrName(text, from + 1)
                : from;
    }

    private static int quotedOrName(String text, int from) {
        char quote = text.charAt(from);
        if (quote != '`' && quote != '\'') {
            return name(text, from);
        }
        int close = text.indexOf(quote, from + 1);
        return close < 0 ? from : close + 1;
    }

    private static int dotted(String text, int from) {
        int end = name(text, from);
        boolean more =
                end + 1 < text.length() && text.charAt(end) == '.' && CharClass.isNameStart(text.charAt(end + 1));
        return more ? name(text, end + 1) : end;
    }

    private static int substitution(String text, int from) {
        int end = name(text, from);
        return end < text.length() && text.charAt(end) == '.' ? end + 1 : end;
    }

    private static int name(String text, int from) {
        int end = from;
        while (end < text.length() && CharClass.isNamePart(text.charAt(end))) {
            end++;
        }
        return end;
    }

    private static int digits(String text, int from) {
        int end = from;
        while (end < text.length() && CharClass.isDigit(text.charAt(end))) {
            end++;
        }
        return end;
    }
}
