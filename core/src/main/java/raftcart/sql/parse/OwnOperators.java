package raftcart.sql.parse;

import java.util.Set;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;

/**
 * Operators of several signs that no other dialect has, for ranges, shapes, addresses, rows and words: PostgreSQL takes any
 * signs without a blank between them for one operator ("Lexical Structure", Operators).
 */
final class OwnOperators {
    private static final String SIGNS = "+-*/<>=~!@#%^&|`?";
    private static final String MARKS = "~!@#%^&|`?";

    /** Those that are read like those of other dialects. */
    private static final Set<String> USUAL = Set.of(
            "+", "-", "*", "/", "%", "^", "=", "<", ">", "<=", ">=", "<>", "!=", "||", "&&", "&", "|", "#", "~", "<<",
            ">>", "~*", "!~", "!~*", "~~", "~~*", "!~~", "!~~*", "->", "->>", "#>", "#>>", "@>", "<@", "@@", "|/",
            "||/", "//", "@", "=>");

    private OwnOperators() {}

    /**
     * Leaves an operator that begins here to a person, if it is none of the usual ones.
     *
     * @throws SqlSyntaxException if it is not
     */
    static void refuse(TokenCursor cursor) {
        if (!isSigns(cursor.peek())) {
            return;
        }
        StringBuilder text = new StringBuilder(cursor.peek().text());
        for (int i = 1; isAdjacent(cursor.peek(i - 1), cursor.peek(i)); i++) {
            text.append(cursor.peek(i).text());
        }
        String operator = trimmed(text.toString());
        if (!USUAL.contains(operator)) {
            throw cursor.byHand("the operator " + operator);
        }
    }

    /** A sign of plus or minus at the end belongs to what follows, unless there is a mark before it. */
    private static String trimmed(String signs) {
        boolean marked = signs.chars().anyMatch(c -> MARKS.indexOf(c) >= 0);
        int end = signs.length();
        while (!marked && end > 1 && (signs.charAt(end - 1) == '+' || signs.charAt(end - 1) == '-')) {
            end--;
        }
        return signs.substring(0, end);
    }

    /** True for a further sign; a question mark is one behind an at sign, elsewhere it stands for a value. */
    private static boolean isAdjacent(Token first, Token second) {
        boolean sign = isSigns(second) || second.text().equals("?") && first.isSymbol("@");
        return sign && first.span().end() == second.span().start();
    }

    private static boolean isSigns(Token token) {
        return token.kind() == TokenKind.SYMBOL && token.text().chars().allMatch(c -> SIGNS.indexOf(c) >= 0);
    }
}
