package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;

/** Tells whether a statement came out as it went in, apart from white space, case and words of no effect. */
final class Sameness {
    private final Language target;

    private Sameness(Language target) {
        this.target = target;
    }

    static boolean of(String source, List<Token> tokens, String written, Language target) {
        return sameText(source, written) || new Sameness(target).sameTokens(tokens, written);
    }

    /**
     * True where two texts differ in white space and the case of letters outside of quotes at most. Says no in case of
     * doubt; quick, since most statements of a dump are rows that need no change.
     */
    private static boolean sameText(String source, String written) {
        int i = 0;
        int j = 0;
        char quote = 0;
        while (true) {
            if (quote == 0) {
                i = pastBlanks(source, i);
                j = pastBlanks(written, j);
            }
            if (i == source.length() || j == written.length()) {
                return i == source.length() && j == written.length();
            }
            char a = source.charAt(i);
            char b = written.charAt(j);
            if (a != b && (quote != 0 || Character.toLowerCase(a) != Character.toLowerCase(b))) {
                return false;
            }
            boolean apart = quote == 0 && i > 0 && j > 0 && isJoined(source, i) != isJoined(written, j);
            if (apart || a == '\\' || quote == 0 && (a == '$' || a == '[')) {
                return false;
            }
            if (quote != 0) {
                quote = a == quote ? 0 : quote;
            } else if (a == '\'' || a == '"' || a == '`') {
                quote = a;
            }
            i++;
            j++;
        }
    }

    /** True where the character is part of the same word or operator as the one before it. */
    private static boolean isJoined(String text, int at) {
        char before = text.charAt(at - 1);
        char c = text.charAt(at);
        return before > ' ' && Character.isLetterOrDigit(before) == Character.isLetterOrDigit(c) && !isMark(c);
    }

    private static boolean isMark(char c) {
        return c == ',' || c == '(' || c == ')';
    }

    private static int pastBlanks(String text, int from) {
        int at = from;
        while (at < text.length() && text.charAt(at) <= ' ') {
            at++;
        }
        return at;
    }

    /** True where the text written has the tokens of the source; words in any case, and without words of no effect. */
    private boolean sameTokens(List<Token> source, String written) {
        Lexer lexer = new Lexer(written, target.grammar().lexical());
        int at = 0;
        try {
            for (Token t = lexer.next(); t.kind() != TokenKind.END; t = lexer.next()) {
                if (isNoise(t) && !isBeforeQuery(t, written)) {
                    continue;
                }
                at = pastNoise(source, at);
                if (at == source.size() || !same(source.get(at), t)) {
                    return false;
                }
                at++;
            }
        } catch (SqlSyntaxException e) {
            return false; // what cannot be cut into tokens is not the same as anything
        }
        return pastNoise(source, at) == source.size();
    }

    private int pastNoise(List<Token> source, int from) {
        int at = from;
        while (at < source.size() && isNoise(source.get(at)) && !(isQuery(source, at + 1))) {
            at++;
        }
        return at;
    }

    /** AS before a query makes a table or a view of it. */
    private static boolean isQuery(List<Token> tokens, int at) {
        return at < tokens.size()
                && at > 1
                && tokens.get(at - 1).isWord("AS")
                && tokens.get(at).isWord("SELECT");
    }

    private static boolean isBeforeQuery(Token token, String text) {
        return token.isWord("AS")
                && text.substring(token.span().end()).stripLeading().regionMatches(true, 0, "SELECT", 0, 6);
    }

    private static boolean same(Token a, Token b) {
        // A number that only the source writes so is not the text that its token holds.
        boolean otherwise = a.kind() == TokenKind.NUMBER
                && a.text().length() != a.span().end() - a.span().start();
        if (otherwise) {
            return false;
        }
        return a.kind() == TokenKind.WORD && b.kind() == TokenKind.WORD
                ? a.text().equalsIgnoreCase(b.text())
                : a.text().equals(b.text());
    }

    private boolean isNoise(Token token) {
        if (token.kind() != TokenKind.WORD) {
            return token.kind() == TokenKind.COMMENT;
        }
        return token.isWord("AS")
                ? target.has(SqlFeature.FREE_AS)
                : token.text().length() <= 5 && token.isAnyWord("INNER", "OUTER", "ASC");
    }
}
