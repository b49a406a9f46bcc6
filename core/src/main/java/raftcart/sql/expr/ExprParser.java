package raftcart.sql.expr;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;

/** Reads expressions by operator precedence; operands are read by {@link OperandParser}. */
public final class ExprParser {
    private static final int COMPARISON = BinaryOperator.EQUAL.level();
    private static final int NOT_LEVEL = 4;
    /** {@code ||} binds like addition or a little more loosely in all dialects; parentheses settle the rest. */
    private static final int CONCAT_LEVEL = 8;

    private static final int DEEPEST = 500;

    private final TokenCursor cursor;
    private final ExprGrammar grammar;
    private final OperandParser operands;
    private int depth;

    private ExprParser(TokenCursor cursor, ExprGrammar grammar) {
        this.cursor = cursor;
        this.grammar = grammar;
        this.operands = new OperandParser(cursor, grammar, this);
    }

    /**
     * Reads a text that is one expression and nothing else.
     *
     * @throws SqlSyntaxException if it is not, or uses something that this parser does not know
     */
    public static Expr parse(String text, ExprGrammar grammar) {
        TokenCursor cursor = new TokenCursor(Lexer.tokens(text, grammar.lexical()));
        Expr expression = new ExprParser(cursor, grammar).expression();
        if (!cursor.atEnd()) {
            throw cursor.unexpected("the end of the expression");
        }
        return expression;
    }

    Expr expression() {
        return expression(0);
    }

    Expr expression(int lowest) {
        if (++depth > DEEPEST) {
            throw cursor.error("expression is nested more than " + DEEPEST + " deep");
        }
        try {
            Expr left = prefix(lowest);
            while (true) {
                Optional<Expr> longer = longer(left, lowest);
                if (longer.isEmpty()) {
                    return left;
                }
                left = longer.get();
            }
        } finally {
            depth--;
        }
    }

    private Expr prefix(int lowest) {
        Token token = cursor.peek();
        if (token.isWord("NOT") || token.isSymbol("!")) {
            cursor.take();
            int level = token.isSymbol("!") ? BinaryOperator.BIT_XOR.level() : NOT_LEVEL;
            return new Expr.Unary(UnaryOperator.NOT, expression(Math.max(level, lowest)), token.span());
        }
        return operands.operand();
    }

    private Optional<Expr> longer(Expr left, int lowest) {
        Token token = cursor.peek();
        if (token.isSymbol("||") && grammar.pipesConcatenate()) {
            return CONCAT_LEVEL < lowest ? Optional.empty() : Optional.of(concat(left));
        }
        Optional<BinaryOperator> operator = grammar.operator(token);
        if (operator.isPresent()) {
            int level = operator.get().level();
            if (level < lowest) {
                return Optional.empty();
            }
            cursor.take();
            if (operator.get().compares()
                    && (cursor.peek().isWord("ANY") || cursor.peek().isWord("ALL"))) {
                return Optional.of(quantified(left, operator.get(), token));
            }
            return Optional.of(new Expr.Binary(operator.get(), left, expression(level + 1), token.span()));
        }
        return COMPARISON < lowest ? Optional.empty() : predicate(left);
    }

    private Expr concat(Expr left) {
        List<Expr> parts = new ArrayList<>(List.of(left));
        Span span = cursor.peek().span();
        while (cursor.takeSymbol("||")) {
            parts.add(expression(CONCAT_LEVEL + 1));
        }
        return new Expr.Concat(parts, span);
    }

    private Optional<Expr> predicate(Expr left) {
        Span span = cursor.peek().span();
        if (cursor.takeWords("IS")) {
            boolean negated = cursor.takeWords("NOT");
            return Optional.of(new Expr.Is(left, truth(), negated, span));
        }
        Optional<Expr> byPattern = patternOperator(left, span);
        if (byPattern.isPresent()) {
            return byPattern;
        }
        boolean negated = cursor.peek().isWord("NOT");
        Token word = cursor.peek(negated ? 1 : 0);
        if (word.isWord("BETWEEN")) {
            skip(negated);
            Expr low = expression(COMPARISON + 1);
            cursor.expectWords("AND");
            return Optional.of(new Expr.Between(left, low, expression(COMPARISON + 1), negated, span));
        }
        if (word.isWord("IN")) {
            skip(negated);
            cursor.expectSymbol("(");
            return Optional.of(new Expr.InList(left, list(")"), negated, span));
        }
        if (word.isWord("LIKE") || word.isWord("ILIKE")) {
            skip(negated);
            return Optional.of(new Expr.Like(left, expression(COMPARISON + 1), word.isWord("ILIKE"), negated, span));
        }
        if (word.isWord("REGEXP") || word.isWord("RLIKE")) {
            skip(negated);
            return Optional.of(new Expr.Matches(left, expression(COMPARISON + 1), true, negated, span));
        }
        return Optional.empty();
    }

    private void skip(boolean negated) {
        cursor.take();
        if (negated) {
            cursor.take();
        }
    }

    /** PostgreSQL stores LIKE and regular expressions as operators of signs. */
    private Optional<Expr> patternOperator(Expr left, Span span) {
        if (cursor.peek().kind() != TokenKind.SYMBOL) {
            return Optional.empty();
        }
        String symbol = cursor.peek().text();
        boolean negated = symbol.startsWith("!");
        String bare = negated ? symbol.substring(1) : symbol;
        boolean like = bare.equals("~~") || bare.equals("~~*");
        if (!like && !bare.equals("~") && !bare.equals("~*")) {
            return Optional.empty();
        }
        cursor.take();
        Expr pattern = expression(COMPARISON + 1);
        boolean ignoreCase = bare.endsWith("*");
        return Optional.of(
                like
                        ? new Expr.Like(left, pattern, ignoreCase, negated, span)
                        : new Expr.Matches(left, pattern, ignoreCase, negated, span));
    }

    private Truth truth() {
        if (cursor.takeWords("NULL")) {
            return Truth.NULL;
        }
        if (cursor.takeWords("TRUE")) {
            return Truth.TRUE;
        }
        if (cursor.takeWords("FALSE")) {
            return Truth.FALSE;
        }
        throw cursor.unexpected("NULL, TRUE or FALSE");
    }

    /** {@code x = ANY (ARRAY[...])} is a list, and {@code x <> ALL (ARRAY[...])} its negation. */
    private Expr quantified(Expr left, BinaryOperator operator, Token at) {
        boolean any = cursor.take().isWord("ANY");
        boolean in = any && operator == BinaryOperator.EQUAL;
        boolean notIn = !any && operator == BinaryOperator.NOT_EQUAL;
        if (!in && !notIn) {
            throw cursor.unexpected("a comparison with = ANY or <> ALL");
        }
        cursor.expectSymbol("(");
        List<Expr> items = operands.arrayItems();
        cursor.expectSymbol(")");
        return new Expr.InList(left, items, notIn, at.span());
    }

    /** Expressions separated by commas up to a closing symbol, which is taken. */
    List<Expr> list(String close) {
        List<Expr> items = new ArrayList<>();
        if (cursor.takeSymbol(close)) {
            return items;
        }
        do {
            items.add(expression());
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(close);
        return items;
    }
}
