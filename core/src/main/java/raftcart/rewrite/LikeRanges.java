package raftcart.rewrite;

import java.util.Optional;
import raftcart.dialect.Untranslatable;
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

    /** The place of a text that fits a pattern: that of the text itself where it holds no wild cards. */
    static Expr located(Expr.Call call, ExprAdapter adapter) {
        String pattern = call.arguments().get(0) instanceof Expr.Literal l ? l.text() : "";
        boolean open = pattern.length() > 2 && pattern.startsWith("%") && pattern.endsWith("%");
        String inner = open ? pattern.substring(1, pattern.length() - 1) : "";
        if (inner.isEmpty()) {
            throw new Untranslatable("the place of a pattern that is not an open constant");
        }
        Expr text = call.arguments().get(1);
        if (inner.chars().noneMatch(c -> "%_[".indexOf(c) >= 0)) {
            return adapter.expr(
                    Expr.Call.of("locate", text, Expr.Literal.string(inner)).at(call.span()));
        }
        String expression = inner.startsWith("%") || inner.endsWith("%")
                ? null
                : expression("%" + inner + "%", Optional.empty()).orElse(null);
        if (expression == null || !adapter.writes("regexp_position")) {
            throw new Untranslatable("the place of a pattern");
        }
        return adapter.expr(Expr.Call.of("regexp_position", text, Expr.Literal.string(expression))
                .at(call.span()));
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
