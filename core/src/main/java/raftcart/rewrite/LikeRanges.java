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
        StringBuilder text = new StringBuilder("^");
        int i = 0;
        while (i < pattern.length()) {
            char c = pattern.charAt(i);
            if (!escaping.isEmpty() && c == escaping.charAt(0) && i + 1 < pattern.length()) {
                literal(pattern.charAt(i + 1), text);
                i += 2;
            } else if (c == '[') {
                int close = pattern.indexOf(']', i + 1);
                if (close < 0 || close == i + 1) {
                    return Optional.empty();
                }
                String inside = pattern.substring(i + 1, close);
                text.append('[').append(inside.replace("\\", "\\\\")).append(']');
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
        return Optional.of(text.append('$').toString());
    }

    private static void literal(char c, StringBuilder text) {
        if ("\\.*+?()[]{}|^$".indexOf(c) >= 0) {
            text.append('\\');
        }
        text.append(c);
    }
}
