package raftcart.dialect.write;

import java.util.List;

/** Puts pieces of text on one line where they fit, and below each other where they do not. */
public final class Layout {
    private static final int WIDTH = 100;
    private static final int ROWS_WIDTH = 80;

    private Layout() {}

    /** Clauses on one line, or each on its own. */
    static String clauses(List<String> clauses) {
        return String.join(fit(0, clauses, 1) ? " " : "\n", clauses);
    }

    /** Rows of values with commas between, on one line or each on its own. */
    static String rows(List<String> rows) {
        int length = 2 * rows.size();
        for (String row : rows) {
            length += row.length();
        }
        if (rows.size() == 1 || length <= ROWS_WIDTH) {
            return String.join(", ", rows);
        }
        StringBuilder all = new StringBuilder(length + 5 * rows.size()); // made at once, as it is long in dumps
        for (String row : rows) {
            all.append(all.isEmpty() ? "\n    " : ",\n    ").append(row);
        }
        return all.toString();
    }

    /** Items after a keyword with commas between, on one line or each on its own. */
    static String list(String keyword, List<String> items) {
        if (fit(keyword.length(), items, 2)) {
            return keyword + (keyword.isEmpty() ? "" : " ") + String.join(", ", items);
        }
        if (items.size() == 1) {
            return keyword + " " + items.get(0);
        }
        return keyword + "\n    " + indent(String.join(",\n", items));
    }

    /** Conditions with a word between them, on one line or each on its own. */
    static String conditions(String word, List<String> conditions) {
        return fit(0, conditions, word.length() + 2)
                ? String.join(" " + word + " ", conditions)
                : indent(String.join("\n" + word + " ", conditions));
    }

    /** True where pieces, none of which has several lines, stand on one line with so much between them. */
    private static boolean fit(int before, List<String> pieces, int between) {
        int length = before;
        for (String piece : pieces) {
            length += piece.length() + between;
            if (length > WIDTH || piece.indexOf('\n') >= 0) {
                return false;
            }
        }
        return true;
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
