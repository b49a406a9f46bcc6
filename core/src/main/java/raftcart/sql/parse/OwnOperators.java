package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;

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

    /** Those whose meaning follows from the types beside them, in whichever schema they are: equal is equal. */
    private static final Set<String> SAME_EVERYWHERE =
            Set.of("=", "<>", "!=", "<", ">", "<=", ">=", "~~", "~~*", "!~~", "!~~*", "~", "~*", "!~", "!~*");

    private OwnOperators() {}

    /** True at an operator with its schema: "Value Expressions", Operator Invocations. */
    static boolean isQualified(TokenCursor cursor) {
        return cursor.peek().isWord("OPERATOR") && cursor.peek(1).isSymbol("(");
    }

    /**
     * Takes an operator with its schema, which is how dumps write all that are not of the catalog, those of citext for
     * example.
     *
     * @return its sign
     * @throws SqlSyntaxException if it is not known what the operator does: one of an extension may mean anything
     */
    static Token takeQualified(TokenCursor cursor) {
        cursor.expectWords("OPERATOR");
        cursor.expectSymbol("(");
        boolean catalog = !cursor.peek(1).isSymbol(".") || cursor.peek().isWord("PG_CATALOG");
        StringBuilder name = new StringBuilder();
        while (!isSigns(cursor.peek())) {
            if (cursor.peek().isSymbol(")") || cursor.peek().kind() == TokenKind.END) {
                throw cursor.error("an operator is missing here");
            }
            name.append(cursor.take().text());
        }
        Token sign = cursor.take();
        StringBuilder text = new StringBuilder(sign.text());
        while (!cursor.peek().isSymbol(")") && isAdjacent(cursor.previous(), cursor.peek())) {
            text.append(cursor.take().text());
        }
        String operator = text.toString();
        boolean known = operator.equals(sign.text()) && (catalog ? USUAL : SAME_EVERYWHERE).contains(operator);
        if (!known) {
            throw cursor.byHand("the operator " + name + operator);
        }
        cursor.expectSymbol(")");
        return sign;
    }

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

    /** True at a question mark behind a value, which can be no parameter there; drivers want two of them for such a one. */
    static boolean asksForKey(Token token, Parsing parsing) {
        return token.text().startsWith("?")
                && token.text().length() <= 2
                && parsing.has(GrammarFeature.OPERATORS_OF_SIGNS);
    }

    /** Takes a question mark and the signs that follow without a blank: {@code ?}, {@code ??}, {@code ?|} or {@code ?&}. */
    static String takeSigns(TokenCursor cursor) {
        StringBuilder signs = new StringBuilder(cursor.take().text());
        while (cursor.previous().span().end() == cursor.peek().span().start()
                && cursor.peek().text().matches("[?|&]")) {
            signs.append(cursor.take().text());
        }
        return signs.toString();
    }

    /** LIKE with ESCAPE, which the server prints as a function of the pattern. */
    static Expr escaped(Expr read) {
        boolean function = read instanceof Expr.Like like
                && like.escape().isEmpty()
                && like.pattern() instanceof Expr.Call call
                && call.function().equals("like_escape")
                && call.arguments().size() == 2;
        if (!function) {
            return read;
        }
        Expr.Like like = (Expr.Like) read;
        List<Expr> said = ((Expr.Call) like.pattern()).arguments();
        return new Expr.Like(
                like.value(),
                text(said.get(0)),
                Optional.of(text(said.get(1))),
                like.ignoreCase(),
                like.negated(),
                like.span());
    }

    /** A constant without the cast to a text that the server prints behind each. */
    private static Expr text(Expr e) {
        return e instanceof Expr.Cast cast
                        && cast.value() instanceof Expr.Literal constant
                        && cast.type().name().equals("text")
                ? constant
                : e;
    }

    /** SIMILAR TO, which the server prints as a regular expression that a function makes of the pattern. */
    static Optional<Expr> similar(Expr text, Expr pattern) {
        boolean function = pattern instanceof Expr.Call call
                && call.function().equals("similar_to_escape")
                && call.arguments().size() == 1;
        return function
                ? Optional.of(Expr.Call.of(
                                "matches_similar",
                                text,
                                ((Expr.Call) pattern).arguments().get(0))
                        .at(pattern.span()))
                : Optional.empty();
    }
}
