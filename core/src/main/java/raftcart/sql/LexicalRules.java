package raftcart.sql;

import java.util.List;

/**
 * How a dialect writes its tokens.
 *
 * @param nameQuote the character that opens and closes a quoted name
 * @param doubleQuotedStrings true where {@code "x"} is a string
 * @param backslashEscapes true where a backslash in a plain string escapes the next character
 * @param hashComments true where {@code #} starts a comment
 * @param dollarQuotes true where {@code $tag$...$tag$} is a string
 * @param nestedComments true where block comments nest
 * @param operators operators of more than one character, longest first
 */
public record LexicalRules(
        char nameQuote,
        boolean doubleQuotedStrings,
        boolean backslashEscapes,
        boolean hashComments,
        boolean dollarQuotes,
        boolean nestedComments,
        List<String> operators) {
    public LexicalRules {
        operators = List.copyOf(operators);
    }
}
