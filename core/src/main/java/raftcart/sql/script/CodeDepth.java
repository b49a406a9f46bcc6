package raftcart.sql.script;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Counts how deep a place is inside of BEGIN and END. */
final class CodeDepth {
    private static final Pattern WORD =
            Pattern.compile("'(?:[^']++|'')*+'|\"[^\"]*\"|--[^\\n]*|/\\*.*?\\*/|;|[A-Za-z_]\\w*", Pattern.DOTALL);

    private int depth;
    private boolean afterEnd;

    void reset() {
        depth = 0;
        afterEnd = false;
    }

    boolean isClosed() {
        return depth <= 0;
    }

    void scan(String text) {
        Matcher words = WORD.matcher(text);
        while (words.find()) {
            word(words.group());
        }
    }

    /** A word, or the sign that ends a statement. */
    void word(String word) {
        switch (word.toLowerCase(Locale.ROOT)) {
            case "begin" -> {
                depth++;
                afterEnd = false;
            }
            case "case" -> {
                depth += afterEnd ? 0 : 1;
                afterEnd = false;
            }
            case "end" -> {
                depth--;
                afterEnd = true;
            }
            case "if", "loop", "while", "repeat", "for" -> {
                // END IF and the like close what was not counted.
                depth += afterEnd ? 1 : 0;
                afterEnd = false;
            }
            default -> afterEnd = false;
        }
    }
}
