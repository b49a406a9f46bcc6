package raftcart.sql.expr;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.TypeName;

/** Reads what stands between operators: constants, columns, calls, casts, choices and anything in parentheses. */
final class OperandParser {
    private static final Map<String, CurrentKind> CURRENT = Map.of(
            "current_timestamp", CurrentKind.TIMESTAMP,
            "now", CurrentKind.TIMESTAMP,
            "localtimestamp", CurrentKind.TIMESTAMP,
            "current_date", CurrentKind.DATE,
            "curdate", CurrentKind.DATE,
            "current_time", CurrentKind.TIME,
            "curtime", CurrentKind.TIME);
    private static final Map<String, LiteralKind> TYPED_LITERALS =
            Map.of("date", LiteralKind.DATE, "time", LiteralKind.TIME, "timestamp", LiteralKind.TIMESTAMP);

    private final TokenCursor cursor;
    private final ExprGrammar grammar;
    private final ExprParser expressions;

    OperandParser(TokenCursor cursor, ExprGrammar grammar, ExprParser expressions) {
        this.cursor = cursor;
        this.grammar = grammar;
        this.expressions = expressions;
    }

    Expr operand() {
        Expr operand = primary();
        while (cursor.peek().isSymbol("::")) {
            Span span = cursor.take().span();
            operand = new Expr.Cast(operand, TypeNameParser.parse(cursor), span);
        }
        if (cursor.peek().isWord("COLLATE")) {
            throw cursor.unexpected("an expression without its own collation");
        }
        return operand;
    }

    private Expr primary() {
        Token token = cursor.peek();
        return switch (token.kind()) {
            case NUMBER -> literal(LiteralKind.NUMBER);
            case STRING -> literal(LiteralKind.STRING);
            case HEX_STRING -> literal(LiteralKind.BYTES);
            case BIT_STRING -> literal(LiteralKind.BITS);
            case SYMBOL -> symbol(token);
            case WORD -> word(token);
            case QUOTED_NAME -> name();
            case PARAMETER, HINT, COMMENT, END -> throw cursor.unexpected("an expression");
        };
    }

    private Expr literal(LiteralKind kind) {
        Token token = cursor.take();
        return new Expr.Literal(kind, token.value(), token.span());
    }

    private Expr symbol(Token token) {
        if (cursor.takeSymbol("(")) {
            Expr inner = expressions.expression();
            cursor.expectSymbol(")");
            return inner;
        }
        UnaryOperator operator =
                switch (token.text()) {
                    case "-" -> UnaryOperator.MINUS;
                    case "+" -> UnaryOperator.PLUS;
                    case "~" -> UnaryOperator.BIT_NOT;
                    default -> throw cursor.unexpected("an expression");
                };
        cursor.take();
        Expr operand = expressions.expression(BinaryOperator.BIT_XOR.level() + 1);
        if (operator == UnaryOperator.MINUS
                && operand instanceof Expr.Literal number
                && number.kind() == LiteralKind.NUMBER
                && !number.text().startsWith("-")) {
            return new Expr.Literal(LiteralKind.NUMBER, "-" + number.text(), token.span());
        }
        return new Expr.Unary(operator, operand, token.span());
    }

    private Expr word(Token token) {
        String word = token.value().toLowerCase(Locale.ROOT);
        Token next = cursor.peek(1);
        if (TYPED_LITERALS.containsKey(word) && next.kind() == TokenKind.STRING) {
            cursor.take();
            return literal(TYPED_LITERALS.get(word));
        }
        if (word.startsWith("_") && next.kind() == TokenKind.STRING) {
            cursor.take(); // a character set before a string, such as _utf8mb4'x': the text is decoded already
            return literal(LiteralKind.STRING);
        }
        switch (word) {
            case "null":
                cursor.take();
                return new Expr.Literal(LiteralKind.NULL, "", token.span());
            case "true", "false":
                cursor.take();
                return new Expr.Literal(LiteralKind.BOOLEAN, word, token.span());
            case "case":
                return choice();
            case "cast":
                return cast();
            case "interval", "array", "row", "exists", "select":
                throw cursor.unexpected("an expression of a kind that can be translated");
            default:
                return name();
        }
    }

    private Expr choice() {
        Span span = cursor.take().span();
        Optional<Expr> subject =
                cursor.peek().isWord("WHEN") ? Optional.empty() : Optional.of(expressions.expression());
        List<Expr.When> branches = new ArrayList<>();
        while (cursor.takeWords("WHEN")) {
            Expr condition = expressions.expression();
            cursor.expectWords("THEN");
            branches.add(new Expr.When(condition, expressions.expression()));
        }
        Optional<Expr> otherwise = cursor.takeWords("ELSE") ? Optional.of(expressions.expression()) : Optional.empty();
        cursor.expectWords("END");
        return new Expr.Case(subject, branches, otherwise, span);
    }

    private Expr cast() {
        Span span = cursor.take().span();
        cursor.expectSymbol("(");
        Expr value = expressions.expression();
        cursor.expectWords("AS");
        TypeName type = TypeNameParser.parse(cursor);
        cursor.expectSymbol(")");
        return new Expr.Cast(value, type, span);
    }

    private Expr name() {
        Span span = cursor.peek().span();
        List<String> names = new ArrayList<>(List.of(cursor.take().value()));
        while (cursor.peek().isSymbol(".") && cursor.peek(1).isName()) {
            cursor.take();
            names.add(cursor.take().value());
        }
        String last = names.get(names.size() - 1).toLowerCase(Locale.ROOT);
        if (names.size() == 1 && CURRENT.containsKey(last) && !cursor.peek().isSymbol("(")) {
            return new Expr.CurrentTime(CURRENT.get(last), grammar.currentTimePrecision(), span);
        }
        if (!cursor.takeSymbol("(")) {
            return new Expr.ColumnRef(names, span);
        }
        if (last.equals("nextval")) {
            return nextValue(span);
        }
        List<Expr> arguments = expressions.list(")");
        if (CURRENT.containsKey(last)) {
            return new Expr.CurrentTime(CURRENT.get(last), precision(arguments), span);
        }
        return call(last, arguments, span);
    }

    private Expr call(String name, List<Expr> arguments, Span span) {
        if (name.equals("concat") && !grammar.pipesConcatenate()) {
            return new Expr.Concat(arguments, span); // MariaDB Knowledge Base, "CONCAT": NULL if any argument is
        }
        String canonical = grammar.functions()
                .canonical(name, arguments.size())
                .orElseThrow(() -> new SqlSyntaxException(
                        span.line(),
                        span.column(),
                        "function " + name + " with " + arguments.size()
                                + " argument(s) has no entry in the dictionary"));
        return new Expr.Call(canonical, arguments, span);
    }

    private int precision(List<Expr> arguments) {
        return !arguments.isEmpty() && arguments.get(0) instanceof Expr.Literal digits
                ? Integer.parseInt(digits.text())
                : grammar.currentTimePrecision();
    }

    private Expr nextValue(Span span) {
        Expr argument = expressions.expression();
        cursor.expectSymbol(")");
        Expr bare = argument instanceof Expr.Cast cast ? cast.value() : argument;
        if (bare instanceof Expr.ColumnRef named) {
            return new Expr.NextValue(named.names(), span);
        }
        if (bare instanceof Expr.Literal text && text.kind() == LiteralKind.STRING) {
            TokenCursor inner = new TokenCursor(Lexer.tokens(text.text(), grammar.lexical()));
            List<String> names = new ArrayList<>(List.of(inner.take().value()));
            while (inner.takeSymbol(".")) {
                names.add(inner.take().value());
            }
            return new Expr.NextValue(names, span);
        }
        throw cursor.unexpected("the name of a sequence");
    }

    /** The items of {@code ARRAY[...]}, with a cast after it or around it in parentheses passed over. */
    List<Expr> arrayItems() {
        boolean parenthesis = cursor.takeSymbol("(");
        cursor.expectWords("ARRAY");
        cursor.expectSymbol("[");
        List<Expr> items = expressions.list("]");
        if (parenthesis) {
            cursor.expectSymbol(")");
        }
        while (cursor.takeSymbol("::")) {
            TypeNameParser.parse(cursor);
        }
        return items;
    }
}
