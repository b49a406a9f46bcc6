package raftcart.rewrite;

import java.util.Optional;
import raftcart.sql.tree.Expr;

/** Turns a LIKE pattern in which brackets list characters into a regular expression. */
final class LikeRanges {
    private LikeRanges() {}

    /** The expression that matches the whole text; empty where the pattern is not closed or its escape not constant. */
    static Optional<String> expression(String pattern, Optional<Expr> escape) {
        if (escape.isPresent() && !(escape.get() instanceof Expr.Literal)) {
            return Optional.empty();
        }
        String escaping = escape.map(e -> ((Expr.Literal) e).text()).orElse("");
        // A percent sign at an end leaves that end open; a point and a star would stop at a line break on some engines.
        boolean openStart = pattern.startsWith("%");
        boolean openEnd = pattern.endsWith("%") && !escaped(pattern, escaping);
        int end = openEnd ? pattern.length() - 1 : pattern.length();
        StringBuilder text = new StringBuilder(openStart ? "" : "^");
        int i = openStart ? 1 : 0;
        while (i < end) {
            char c = pattern.charAt(i);
            if (!escaping.isEmpty() && c == escaping.charAt(0) && i + 1 < end) {
                literal(pattern.charAt(i + 1), text);
                i += 2;
            } else if (c == '[') {
                int close = pattern.indexOf(']', i + 1);
                if (close < 0 || close == i + 1) {
                    return Optional.empty();
                }
                String inside = pattern.substring(i + 1, close);
                text.append('[')
                        .append(inside.replace("\\", "\\\\").replace("[", "\\["))
                        .append(']');
                i = close + 1;
            } else {
                if (c == '%') {
                    text.append(".*");
                } else if (c == '_') {
                    text.append('.');
                } else {
                    literal(c, text);
                }
                i++;
            }
        }
        return Optional.of(text.append(openEnd ? "" : "$").toString());
    }

    private static boolean escaped(String pattern, String escaping) {
        return !escaping.isEmpty()
                && pattern.length() > 1
                && pattern.charAt(pattern.length() - 2) == escaping.charAt(0);
    }

    private static void literal(char c, StringBuilder text) {
        if ("\\.*+?()[]{}|^$".indexOf(c) >= 0) {
            text.append('\\');
        }
        text.append(c);
    }
}
