package raftcart.sql.parse;

import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;

/**
 * Reads texts behind the name of a type: the standard's dates and times, and where a dialect takes any type there, all of
 * them ("Constants of Other Types", PostgreSQL).
 */
final class TypedTextParser {
    private static final String EVERYWHERE =
            "bool(ean)?|int[248]?|integer|bigint|numeric|decimal|float[48]?|uuid|jsonb?|inet|bytea|text";
    private static final String NO_TYPES =
            "case|not|null|true|false|array|row|any|all|some|distinct|default|exists|prior";

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final OperandParser operands;

    TypedTextParser(Parsing parsing, OperandParser operands) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.operands = operands;
    }

    /** The constant that begins here, if one does. */
    Optional<Expr> constant() {
        Token token = cursor.peek();
        if (cursor.peek(1).isString()) {
            return Optional.ofNullable(usual(token.value().toLowerCase(Locale.ROOT), token));
        }
        boolean zoned = token.isAnyWord("TIME", "TIMESTAMP") && cursor.peek(1).isAnyWord("WITH", "WITHOUT");
        boolean text = (parsing.has(GrammarFeature.TYPED_TEXTS) || zoned)
                && token.kind() == TokenKind.WORD
                && isLongTypeOfText();
        return text ? Optional.of(cast(token)) : Optional.empty();
    }

    private Expr usual(String word, Token token) {
        LiteralKind kind =
                switch (word) {
                    case "date" -> LiteralKind.DATE;
                    case "time" -> LiteralKind.TIME;
                    case "timestamp", "datetime" -> LiteralKind.TIMESTAMP;
                    case "timestamptz" -> LiteralKind.ZONED_TIMESTAMP;
                    default -> null;
                };
        if (kind != null) {
            cursor.take();
            String text = cursor.take().value();
            boolean zoned =
                    kind == LiteralKind.TIMESTAMP && text.matches("(?s).*:\\d\\d(\\.\\d+)?\\s*([+-]\\d|[A-Za-z]).*");
            return new Expr.Literal(zoned ? LiteralKind.ZONED_TIMESTAMP : kind, text, token.span());
        }
        if (word.startsWith("_") && !word.equals("_") && !parsing.has(GrammarFeature.TYPED_TEXTS)) {
            cursor.take();
            Expr text = operands.string();
            return text instanceof Expr.Literal l
                    ? new IntroducedTextParser(cursor).ofText(word.substring(1), l)
                    : text;
        }
        if (word.matches(EVERYWHERE)) {
            cursor.take();
            return new Expr.Cast(operands.string(), TypeName.of(word), false, token.span());
        }
        boolean type = parsing.has(GrammarFeature.TYPED_TEXTS)
                && token.kind() == TokenKind.WORD
                && !word.equals("interval")
                && !word.matches(NO_TYPES);
        return type ? cast(token) : null;
    }

    private Expr cast(Token token) {
        TypeName type = TypeNameParser.parse(cursor);
        return PostfixParser.typed(operands.string(), type, token.span());
    }

    /** True at a type of several tokens before a text: {@code char(20) 'x'}, {@code double precision '1'}. */
    private boolean isLongTypeOfText() {
        int at = 1;
        boolean two = cursor.peek().isAnyWord("DOUBLE", "CHARACTER", "CHAR", "NATIONAL", "BIT")
                && cursor.peek(1).isAnyWord("PRECISION", "VARYING", "CHARACTER", "CHAR");
        at += two ? 1 : 0;
        if (cursor.peek(at).isSymbol("(")) {
            at++;
            while (cursor.peek(at).kind() == TokenKind.NUMBER || cursor.peek(at).isSymbol(",")) {
                at++;
            }
            if (!cursor.peek(at).isSymbol(")")) {
                return false;
            }
            at++;
        }
        if (cursor.peek(at).isAnyWord("WITH", "WITHOUT") && cursor.peek(at + 1).isWord("TIME")) {
            at += 3;
        }
        return at > 1 && cursor.peek(at).isString() && !cursor.peek().isAnyWord("INTERVAL", "IN");
    }
}
