package raftcart.sql.script;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Counts how deep a place is inside of code: of BEGIN and END, or of the IF or the loop that is the whole body of a
 * routine.
 */
final class CodeDepth {
    private static final Pattern WORD = Pattern.compile(
            "'(?:[^']++|'')*+'|\"[^\"]*\"|`[^`]*`|--[^\\n]*|/\\*.*?\\*/|[;:(]|[A-Za-z_]\\w*", Pattern.DOTALL);

    /** Behind these a statement begins. */
    private static final Set<String> STARTS = Set.of(";", ":", "then", "else", "do", "loop", "repeat", "begin");

    private int depth;
    private boolean afterEnd;

    /** True where the body is no block: then every IF and loop counts, in blocks they come and go between END and END. */
    private boolean bare;

    private boolean start;
    private String awaited = "";
    private int awaitedAt;

    void reset() {
        depth = 0;
        afterEnd = false;
        bare = false;
        start = false;
        awaited = "";
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

    /** A word, the sign that ends a statement, the one behind a label, or an opening parenthesis. */
    void word(String written) {
        String word = written.toLowerCase(Locale.ROOT);
        if (awaited.equals("repeat")) {
            opened(!word.equals("("));
            awaited = "";
        }
        boolean closing = afterEnd;
        afterEnd = false;
        switch (word) {
            case "begin" -> {
                depth++;
                awaited = "";
            }
            case "case" -> depth += closing ? 0 : 1;
            case "end" -> {
                depth--;
                afterEnd = true;
            }
            case "if", "loop", "while", "repeat", "for" -> loopOrCondition(word, closing);
            case "then" -> opened(awaited.equals("if") && awaitedAt == depth);
            case "do" -> opened((awaited.equals("for") || awaited.equals("while")) && awaitedAt == depth);
            case "when" -> awaited = "";
            default -> {}
        }
        start = STARTS.contains(word);
    }

    private void loopOrCondition(String word, boolean closing) {
        if (closing) {
            // END IF and the like close what is not counted in a block.
            depth += bare ? 0 : 1;
        } else if (bare ? start : depth == 0) {
            awaited = word;
            awaitedAt = depth;
            opened(word.equals("loop"));
        }
    }

    private void opened(boolean really) {
        if (really) {
            depth++;
            bare = true;
            awaited = "";
        }
    }
}
