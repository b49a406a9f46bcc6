package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.GlobPatterns;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.UnaryOperator;

/** Reads expressions: operators here, operands by {@link OperandParser}. */
public final class ExprParser {
    /** How many operators of one level may follow each other; each makes the tree one deeper. */
    private static final int LONGEST_CHAIN = 1000;

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final OperandParser operands;

    ExprParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.operands = new OperandParser(parsing, this);
    }

    /**
     * Reads a text that is one expression.
     *
     * @throws raftcart.error.SqlSyntaxException if it is none
     */
    public static Expr parse(String text, Grammar grammar) {
        Parsing parsing = new Parsing(new TokenCursor(Lexer.tokens(text, grammar.lexical())), grammar);
        Expr expression = parsing.expressions.expression();
        if (!parsing.cursor.atEnd()) {
            throw parsing.cursor.unexpected("an operator or the end");
        }
        return expression;
    }

    Expr expression() {
        return expression(OperatorTable.OR);
    }

    List<Expr> list() {
        return parsing.list(this::expression);
    }

    /** An expression whose operators bind at least as tightly as this level. */
    Expr expression(int level) {
        if (isLone()) {
            return cursor.peek().isString() ? operands.string() : operands.number();
        }
        parsing.enter();
        try {
            Expr left = prefix(level);
            int chain = 0;
            while (true) {
                Expr next = infix(left, level);
                if (next == null) {
                    return left;
                }
                left = next;
                if (++chain > LONGEST_CHAIN) {
                    throw cursor.error("more than " + LONGEST_CHAIN + " operators in a row");
                }
            }
        } finally {
            parsing.leave();
        }
    }

    /** True at a constant before a comma or a parenthesis, which is what most rows of a dump consist of. */
    private boolean isLone() {
        TokenKind kind = cursor.peek().kind();
        return (kind == TokenKind.STRING || kind == TokenKind.NUMBER) && endsOperand(cursor.peek(1));
    }

    private static boolean endsOperand(Token token) {
        return token.isSymbol(",") || token.isSymbol(")");
    }

    private Expr prefix(int level) {
        Token token = cursor.peek();
        boolean bang = token.isSymbol("!") && parsing.has(GrammarFeature.BANG_IS_NOT);
        if ((token.isWord("NOT") || bang) && level <= OperatorTable.NOT) {
            cursor.take();
            return new Expr.Unary(UnaryOperator.NOT, expression(OperatorTable.NOT), token.span());
        }
        if (bang) {
            cursor.take();
            return new Expr.Unary(UnaryOperator.NOT, expression(OperatorTable.UNARY), token.span());
        }
        return operands.operand();
    }

    private Expr infix(Expr left, int level) {
        Token token = cursor.peek();
        if (endsOperand(token)) {
            return null;
        }
        if (OwnOperators.asksForKey(token, parsing)) {
            return level <= OperatorTable.OTHER ? keyed(left) : null;
        }
        if (token.kind() != TokenKind.SYMBOL && token.kind() != TokenKind.WORD) {
            return null;
        }
        if (parsing.has(GrammarFeature.OPERATORS_OF_SIGNS)) {
            if (OwnOperators.isQualified(cursor)) {
                return level <= OperatorTable.OTHER ? qualified(left) : null;
            }
            OwnOperators.refuse(cursor);
        } else if (token.isSymbol("*") && cursor.peek(1).isSymbol("=")) {
            throw cursor.byHand("the old outer join *=; write LEFT JOIN");
        }
        if (token.kind() == TokenKind.WORD) {
            refuse(token, level);
        }
        if (level <= OperatorTable.AND && isAnd(token)) {
            return junction(left, true);
        }
        if (level <= OperatorTable.OR && isOr(token)) {
            return junction(left, false);
        }
        if (isConcat(token) && level <= parsing.grammar.concatLevel()) {
            return concat(left);
        }
        BinaryOperator operator = OperatorTable.at(cursor, parsing.grammar);
        if (operator != null) {
            int own = OperatorTable.level(operator, parsing.grammar);
            return own < level ? null : binary(left, operator, own);
        }
        return level <= OperatorTable.COMPARISON ? predicate(left, token) : null;
    }

    /** Operators that are known and have no counterpart. */
    private void refuse(Token token, int level) {
        boolean collection =
                token.isAnyWord("MEMBER", "SUBMULTISET") && cursor.peek(1).isWord("OF")
                        || token.isWord("IS")
                                && cursor.peek(1).isWord("OF")
                                && cursor.peek(2).isSymbol("(")
                        || token.isWord("IS")
                                && cursor.peek(1).isWord("A")
                                && cursor.peek(2).isWord("SET");
        if (collection) {
            throw cursor.byHand("a condition on collections");
        }
        if (token.isWord("MATCH")
                && level <= OperatorTable.COMPARISON
                && !cursor.peek(1).isAnyWord("FULL", "SIMPLE", "PARTIAL", "FROM")
                && (cursor.peek(1).kind() != TokenKind.SYMBOL || cursor.peek(1).isSymbol("("))
                && cursor.peek(1).kind() != TokenKind.END) {
            throw cursor.byHand("a full-text search");
        }
        if (token.isWord("CHANGE") && cursor.peek(1).isAnyWord("TOKEN", "TIMESTAMP")) {
            throw cursor.byHand("the time or mark of a row's last change");
        }
        if (token.isWord("SOUNDS") && cursor.peek(1).isWord("LIKE")) {
            throw cursor.byHand("SOUNDS LIKE");
        }
    }

    private boolean isConcat(Token token) {
        return token.isSymbol("||") || token.isWord("CONCAT") && parsing.has(GrammarFeature.CONCAT_OPERATOR);
    }

    private boolean isAnd(Token token) {
        return token.isWord("AND") || (token.isSymbol("&&") && parsing.has(GrammarFeature.AMPERSANDS_ARE_AND));
    }

    private boolean isOr(Token token) {
        return token.isWord("OR") || (token.isSymbol("||") && parsing.has(GrammarFeature.PIPES_ARE_OR));
    }

    private Expr junction(Expr first, boolean and) {
        List<Expr> parts = new ArrayList<>(List.of(first));
        while (and ? isAnd(cursor.peek()) : isOr(cursor.peek())) {
            cursor.take();
            parts.add(expression(and ? OperatorTable.NOT : OperatorTable.XOR));
        }
        return new Expr.Junction(and, parts, first.span());
    }

    private Expr concat(Expr first) {
        List<Expr> parts = new ArrayList<>(List.of(first));
        while (isConcat(cursor.peek())) {
            cursor.take();
            parts.add(expression(parsing.grammar.concatLevel() + 1));
        }
        return new Expr.Concat(parts, parsing.has(GrammarFeature.NULL_CONCATENATES_AS_EMPTY), first.span());
    }

    /** {@code OPERATOR(schema.sign)} binds like the operators of no other group, whatever its sign. */
    private Expr qualified(Expr left) {
        Token sign = OwnOperators.takeQualified(cursor);
        if (sign.isSymbol("||")) {
            Expr right = expression(OperatorTable.OTHER + 1);
            return new Expr.Concat(List.of(left, right), false, sign.span());
        }
        if (isOfPatterns(sign)) {
            return pattern(left, sign);
        }
        BinaryOperator operator = OperatorTable.of(sign, parsing.grammar);
        if (operator == null) {
            throw cursor.byHand("the operator " + sign.text());
        }
        return compared(left, operator, OperatorTable.OTHER, sign.span());
    }

    /** {@code ?}, {@code ?|} and {@code ?&} ask for keys of a document ("JSON Functions and Operators"). */
    private Expr keyed(Expr left) {
        Span span = cursor.peek().span();
        String sign = OwnOperators.takeSigns(cursor);
        boolean any = sign.endsWith("|");
        boolean all = sign.endsWith("&");
        Expr keys = expression(OperatorTable.OTHER + 1);
        if (!any && !all) {
            return Expr.Call.of("json_has_key", left, keys).at(span);
        }
        if (!(keys instanceof Expr.ArrayItems array) || array.items().isEmpty()) {
            throw cursor.byHand("a question for keys that are not constant");
        }
        List<Expr> asked = new ArrayList<>();
        for (Expr key : array.items()) {
            asked.add(Expr.Call.of("json_has_key", left, key).at(span));
        }
        return asked.size() == 1 ? asked.get(0) : new Expr.Junction(all, asked, span);
    }

    private Expr binary(Expr left, BinaryOperator operator, int own) {
        return compared(left, operator, own, cursor.take().span());
    }

    private Expr compared(Expr left, BinaryOperator operator, int own, Span span) {
        if (operator.compares() && cursor.peek().isAnyWord("ANY", "SOME", "ALL")) {
            if (cursor.peek(1).isSymbol("(")) {
                boolean all = cursor.take().isWord("ALL");
                return new Expr.Quantified(operator, left, all, operands.parenthesised(), span);
            }
        }
        return new Expr.Binary(operator, left, expression(own + 1), span);
    }

    private Expr predicate(Expr left, Token token) {
        Span span = token.span();
        if (isOfPatterns(token)) {
            return pattern(left, cursor.take());
        }
        boolean negated = token.isWord("NOT");
        if (negated && cursor.peek(1).isSymbol("=") && parsing.has(GrammarFeature.WORD_COMPARISONS)) {
            cursor.take();
            cursor.take();
            return new Expr.Binary(BinaryOperator.NOT_EQUAL, left, expression(OperatorTable.OTHER), span);
        }
        Token word = negated ? cursor.peek(1) : token;
        if (!word.isAnyWord(ClauseWords.PREDICATES)) {
            return null;
        }
        int mark = cursor.mark();
        if (negated) {
            cursor.take();
        }
        Expr read = negatable(left, negated, span);
        if (read == null) {
            cursor.reset(mark);
        }
        return read;
    }

    private Expr negatable(Expr left, boolean negated, Span span) {
        if (cursor.takeWords("IN")) {
            return new Expr.InList(left, operands.inItems(), negated, span);
        }
        if (cursor.takeWords("BETWEEN")) {
            boolean symmetric = cursor.takeWords("SYMMETRIC");
            cursor.takeWords("ASYMMETRIC");
            Expr low = expression(OperatorTable.OTHER);
            cursor.expectWords("AND");
            return new Expr.Between(left, low, expression(OperatorTable.OTHER), symmetric, negated, span);
        }
        if (cursor.peek().isAnyWord("LIKE", "ILIKE")) {
            boolean ignores = cursor.take().isWord("ILIKE") || parsing.has(GrammarFeature.LIKE_IGNORES_CASE);
            return like(left, ignores, negated, span);
        }
        boolean regex = parsing.has(GrammarFeature.WORD_OPERATORS) || parsing.has(GrammarFeature.REGEXP_OPERATOR);
        if (regex && cursor.takeAny("REGEXP", "RLIKE")) {
            cursor.takeWords("BINARY");
            Expr pattern = expression(OperatorTable.OTHER);
            boolean whole = parsing.has(GrammarFeature.REGEXP_OF_WHOLE_TEXTS);
            return new Expr.Matches(left, whole ? anchored(pattern) : pattern, false, negated, span);
        }
        if (cursor.takeWords("ISNULL") || (negated && cursor.takeWords("NULL"))) {
            return new Expr.Is(left, Truth.NULL, negated, span);
        }
        if (!negated && cursor.takeWords("NOTNULL")) {
            return new Expr.Is(left, Truth.NULL, true, span);
        }
        if (!negated && cursor.takeWords("IS")) {
            return is(left, span);
        }
        return furtherPredicate(left, negated, span);
    }

    private Expr furtherPredicate(Expr left, boolean negated, Span span) {
        if (parsing.has(GrammarFeature.SIMILAR_IS_REGULAR) && cursor.takeWords("SIMILAR", "TO")) {
            return new Expr.Matches(left, whole(expression(OperatorTable.OTHER)), false, negated, span);
        }
        if (cursor.takeWords("SIMILAR", "TO")) {
            return negate(
                    Expr.Call.of("matches_similar", left, expression(OperatorTable.OTHER))
                            .at(span),
                    negated);
        }
        if (cursor.takeAny("GLOB")) {
            return glob(left, expression(OperatorTable.OTHER), negated, span);
        }
        if (cursor.takeWords("STARTING", "WITH") || cursor.takeWords("STARTING")) {
            return negate(
                    Expr.Call.of("starts_with", left, expression(OperatorTable.OTHER))
                            .at(span),
                    negated);
        }
        if (cursor.takeWords("CONTAINING")) {
            Expr part = expression(OperatorTable.OTHER);
            return negate(Expr.Call.of("contains_ignoring_case", left, part).at(span), negated);
        }
        if (cursor.takeWords("OVERLAPS")) {
            throw cursor.byHand("OVERLAPS between periods");
        }
        return null;
    }

    /** GLOB is LIKE with other signs, but for the brackets. */
    private static Expr glob(Expr left, Expr pattern, boolean negated, Span span) {
        Optional<String> like = pattern instanceof Expr.Literal l ? GlobPatterns.toLike(l.text()) : Optional.empty();
        if (like.isEmpty()) {
            return negate(Expr.Call.of("matches_glob", left, pattern).at(span), negated);
        }
        boolean escapes = like.get().indexOf('\\') >= 0;
        Optional<Expr> escape = escapes ? Optional.of(Expr.Literal.string("\\")) : Optional.empty();
        return new Expr.Like(left, Expr.Literal.string(like.get()), escape, false, negated, span);
    }

    /** A pattern that has to match the whole text, in dialects where all do. */
    private Expr whole(Expr pattern) {
        return parsing.has(GrammarFeature.SIMILAR_IS_REGULAR) ? anchored(pattern) : pattern;
    }

    private Expr anchored(Expr pattern) {
        if (!(pattern instanceof Expr.Literal l)) {
            throw cursor.byHand("a regular expression of a whole text that is not constant");
        }
        return Expr.Literal.string("^(" + l.text() + ")$");
    }

    private static Expr negate(Expr condition, boolean negated) {
        return negated ? new Expr.Unary(UnaryOperator.NOT, condition, condition.span()) : condition;
    }

    /** Operators that stand for a predicate. */
    private static boolean isOfPatterns(Token token) {
        return token.kind() == TokenKind.SYMBOL
                && switch (token.text()) {
                    case "~", "!~", "~*", "!~*", "~~", "!~~", "~~*", "!~~*" -> true;
                    default -> false;
                };
    }

    private Expr pattern(Expr left, Token sign) {
        boolean not = sign.text().startsWith("!");
        boolean ignoring = sign.text().endsWith("*");
        if (sign.text().contains("~~")) {
            return OwnOperators.escaped(like(left, ignoring, not, sign.span()));
        }
        Expr pattern = whole(expression(OperatorTable.OTHER + 1));
        Optional<Expr> similar = OwnOperators.similar(left, pattern);
        if (similar.isPresent()) {
            return negate(similar.get(), not);
        }
        return new Expr.Matches(left, pattern, ignoring, not, sign.span());
    }

    private Expr like(Expr left, boolean ignoreCase, boolean negated, Span span) {
        if (cursor.peek().isAnyWord("ANY", "SOME", "ALL") && cursor.peek(1).isSymbol("(")) {
            return likeAny(left, ignoreCase, negated, span);
        }
        cursor.takeWords("BINARY");
        Expr pattern = expression(OperatorTable.OTHER);
        Optional<Expr> escape =
                cursor.takeWords("ESCAPE") ? Optional.of(expression(OperatorTable.OTHER)) : Optional.empty();
        return new Expr.Like(left, pattern, escape, ignoreCase, negated, span);
    }

    /** LIKE ANY (a, b) is LIKE a OR LIKE b. */
    private Expr likeAny(Expr left, boolean ignoreCase, boolean negated, Span span) {
        boolean all = cursor.take().isWord("ALL");
        cursor.expectSymbol("(");
        if (cursor.peek().isAnyWord("SELECT", "ARRAY", "WITH")) {
            throw cursor.byHand("LIKE with a query or array on its right");
        }
        List<Expr> parts = new ArrayList<>();
        for (Expr pattern : list()) {
            parts.add(new Expr.Like(left, pattern, Optional.empty(), ignoreCase, negated, span));
        }
        cursor.expectSymbol(")");
        return parts.size() == 1 ? parts.get(0) : new Expr.Junction(all, parts, span);
    }

    private Expr is(Expr left, Span span) {
        boolean negated = cursor.takeWords("NOT");
        if (cursor.takeWords("DISTINCT", "FROM")) {
            BinaryOperator operator = negated ? BinaryOperator.SAME : BinaryOperator.DIFFERENT;
            return new Expr.Binary(operator, left, expression(OperatorTable.OTHER), span);
        }
        for (Truth truth : Truth.values()) {
            if (cursor.takeWords(truth.name())) {
                return new Expr.Is(left, truth, negated, span);
            }
        }
        if (cursor.takeWords("JSON")) {
            boolean announced = left instanceof Expr.Call c && c.is("json_of_text"); // FORMAT JSON
            Expr text = announced ? ((Expr.Call) left).arguments().get(0) : left;
            return negate(Expr.Call.of(kindOfJson(), text).at(span), negated);
        }
        boolean form = cursor.peek().isAnyWord("NFC", "NFD", "NFKC", "NFKD");
        if (form || cursor.peek().isAnyWord(ClauseWords.DOUBTFUL_TESTS)) {
            throw cursor.byHand("IS " + cursor.peek().text().toUpperCase(java.util.Locale.ROOT));
        }
        // Where IS compares any two values, NULL equals NULL.
        BinaryOperator operator = negated ? BinaryOperator.DIFFERENT : BinaryOperator.SAME;
        return new Expr.Binary(operator, left, expression(OperatorTable.OTHER), span);
    }

    /** What IS JSON asks for: ISO 9075-2, "JSON predicate"; how strict it is belongs to Oracle. */
    private String kindOfJson() {
        cursor.takeWords("VALUE");
        boolean kind = cursor.takeAny("OBJECT", "ARRAY", "SCALAR");
        String function =
                kind ? "is_json_" + cursor.previous().value().toLowerCase(java.util.Locale.ROOT) : "json_valid";
        boolean bracket = cursor.peek().isSymbol("(") && cursor.peek(1).isAnyWord("STRICT", "LAX");
        if (bracket) {
            cursor.take();
        }
        cursor.takeAny("STRICT", "LAX");
        if (bracket) {
            cursor.expectSymbol(")");
        }
        if (!cursor.takeWords("WITHOUT", "UNIQUE", "KEYS")
                && !cursor.takeWords("WITHOUT", "UNIQUE")
                && cursor.atWords("WITH", "UNIQUE")) {
            throw cursor.byHand("IS JSON WITH UNIQUE KEYS");
        }
        return function;
    }
}
