package raftcart.dialect.write;

import java.util.List;

/** Puts pieces of text on one line where they fit, and below each other where they do not. */
public final class Layout {
    private static final int WIDTH = 100;

    private Layout() {}

    /** Clauses on one line, or each on its own. */
    static String clauses(List<String> clauses) {
        int length = clauses.stream().mapToInt(c -> c.length() + 1).sum();
        boolean single = length <= WIDTH && clauses.stream().noneMatch(c -> c.indexOf('\n') >= 0);
        return String.join(single ? " " : "\n", clauses);
    }

    /** Items after a keyword with commas between, on one line or each on its own. */
    static String list(String keyword, List<String> items) {
        int length =
                keyword.length() + items.stream().mapToInt(i -> i.length() + 2).sum();
        if (length <= WIDTH && items.stream().noneMatch(i -> i.indexOf('\n') >= 0)) {
            return keyword + (keyword.isEmpty() ? "" : " ") + String.join(", ", items);
        }
        if (items.size() == 1) {
            return keyword + " " + items.get(0);
        }
        return keyword + "\n    " + indent(String.join(",\n", items));
    }

    /** A text in parentheses; one of several lines is indented. */
    public static String parentheses(String text) {
        return text.indexOf('\n') < 0 ? "(" + text + ")" : "(\n    " + indent(text) + "\n)";
    }

    /** The lines after the first further to the right; lines inside of texts stay as they are. */
    static String indent(String text) {
        if (text.indexOf('\n') < 0) {
            return text;
        }
        StringBuilder indented = new StringBuilder(text.length() + 64);
        char quote = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            indented.append(c);
            if (quote == 0 && (c == '\'' || c == '"' || c == '`')) {
                quote = c;
            } else if (c == quote) {
                quote = 0;
            }
            if (c == '\n' && quote == 0) {
                indented.append("    ");
            }
        }
        return indented.toString();
    }
}
