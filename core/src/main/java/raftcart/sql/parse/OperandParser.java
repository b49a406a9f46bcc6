package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.sql.LexicalFeature;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/** Reads what stands between operators: constants, names, choices and anything in parentheses. */
final class OperandParser {
    /** Blanks among the digits are the standard's. */
    private static final Pattern HEX_DIGITS = Pattern.compile("[0-9a-fA-F\\s]*");

    private static final Pattern BITS = Pattern.compile("[01\\s]*");
    private static final Pattern BLANKS = Pattern.compile("\\s+");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;
    private final NameParser names;
    private final IntervalParser intervals;
    private final TypedTextParser typedTexts;
    private final PostfixParser postfixes;

    OperandParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
        this.names = new NameParser(parsing, new CallParser(parsing, expressions));
        this.postfixes = new PostfixParser(parsing, expressions);
        this.intervals = new IntervalParser(parsing, expressions);
        this.typedTexts = new TypedTextParser(parsing, this);
    }

    Expr operand() {
        Expr operand = primary();
        while (true) {
            Expr next = postfixes.after(operand);
            if (next == null) {
                return operand;
            }
            operand = next;
        }
    }

    private Expr primary() {
        Token token = cursor.peek();
        return switch (token.kind()) {
            case NUMBER -> number();
            case STRING -> hexadecimal().orElseGet(this::string);
            case HEX_STRING -> digits(LiteralKind.BYTES, HEX_DIGITS);
            case BIT_STRING -> digits(LiteralKind.BITS, BITS);
            case PARAMETER -> money(token).orElseGet(() -> parameter(token));
            case SYMBOL -> symbol(token);
            case WORD -> word(token);
            case QUOTED_NAME -> names.name();
            case COMMENT, HINT, END -> throw cursor.unexpected("an expression");
        };
    }

    /** T-SQL's {@code $5.25}. */
    private Optional<Expr> money(Token token) {
        boolean amount = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                && token.text().matches("\\$\\d+");
        if (!amount) {
            return Optional.empty();
        }
        cursor.take();
        Token rest = cursor.peek();
        boolean fraction = rest.kind() == TokenKind.NUMBER
                && rest.text().startsWith(".")
                && rest.span().start() == token.span().end();
        String digits = token.text().substring(1) + (fraction ? cursor.take().text() : "");
        return Optional.of(new Expr.Literal(LiteralKind.NUMBER, digits, token.span()));
    }

    private Expr parameter(Token token) {
        cursor.take();
        Expr parameter = new Expr.Parameter(token.text(), token.span());
        return cursor.takeSymbol(":=")
                ? new Expr.Assignment(parameter, expressions.expression(), token.span())
                : parameter;
    }

    /** The number at the cursor. */
    Expr number() {
        String text = cursor.peek().text();
        return literal(text.startsWith("0x") || text.startsWith("0X") ? LiteralKind.BYTES : LiteralKind.NUMBER);
    }

    private Expr literal(LiteralKind kind) {
        Token token = cursor.take();
        if (token.kind() == TokenKind.NUMBER && kind == LiteralKind.BYTES) {
            // Elsewhere 0x10 is the number 16.
            java.math.BigInteger value = new java.math.BigInteger(token.value(), 16);
            return new Expr.Literal(LiteralKind.NUMBER, value.toString(), token.span());
        }
        String text = token.value();
        return new Expr.Literal(kind, text, token.span());
    }

    private Expr digits(LiteralKind kind, Pattern digits) {
        if (!digits.matcher(cursor.peek().value()).matches()) {
            throw cursor.error("another character than the digits of such a constant");
        }
        Token token = cursor.take();
        return new Expr.Literal(kind, BLANKS.matcher(token.value()).replaceAll(""), token.span());
    }

    /** Strings that stand beside each other are one. */
    Expr string() {
        Token token = cursor.take();
        if (!cursor.peek().isString() || parsing.has(GrammarFeature.STRINGS_STAND_ALONE)) {
            return new Expr.Literal(LiteralKind.STRING, token.value(), token.span());
        }
        StringBuilder text = new StringBuilder(token.value());
        while (cursor.peek().isString()) {
            text.append(cursor.take().value());
        }
        return new Expr.Literal(LiteralKind.STRING, text.toString(), token.span());
    }

    private Expr symbol(Token token) {
        if (parsing.has(GrammarFeature.OPERATORS_OF_SIGNS)) {
            OwnOperators.refuse(cursor);
        }
        switch (token.text()) {
            case "(":
                return parenthesised();
            case "*":
                cursor.take();
                return new Expr.Star(Optional.empty(), names.starExceptions(), token.span());
            case "\\":
                if (cursor.peek(1).text().equals("N")
                        && parsing.grammar.lexical().has(LexicalFeature.BACKSLASH_ESCAPES)) {
                    cursor.take(); // "NULL Values": \N
                    cursor.take();
                    return new Expr.Literal(LiteralKind.NULL, "", token.span());
                }
                throw cursor.unexpected("an expression");
            case "{":
                return escape();
            case "[":
                if (parsing.has(GrammarFeature.BRACKET_VALUES)) {
                    cursor.take();
                    return arrayItems(token.span());
                }
                throw cursor.unexpected("an expression");
            case "-":
                cursor.take();
                return signed(UnaryOperator.MINUS, token.span());
            case "+":
                cursor.take();
                return signed(UnaryOperator.PLUS, token.span());
            case "~":
                cursor.take();
                return signed(UnaryOperator.BIT_NOT, token.span());
            case "|/", "||/", "@":
                cursor.take();
                String root = token.isSymbol("|/") ? "sqrt" : token.isSymbol("@") ? "abs" : "cbrt";
                return Expr.Call.of(root, expressions.expression(OperatorTable.UNARY))
                        .at(token.span());
            default:
                throw cursor.unexpected("an expression");
        }
    }

    private Expr signed(UnaryOperator operator, Span span) {
        boolean number = cursor.peek().kind() == TokenKind.NUMBER;
        Expr operand = expressions.expression(OperatorTable.UNARY);
        if (operator == UnaryOperator.MINUS
                && number
                && operand instanceof Expr.Literal literal
                && literal.kind() == LiteralKind.NUMBER
                && !literal.text().startsWith("-")) {
            return new Expr.Literal(LiteralKind.NUMBER, "-" + literal.text(), span);
        }
        return operator == UnaryOperator.PLUS ? operand : new Expr.Unary(operator, operand, span);
    }

    /** What stands in parentheses: an expression, several as a row, or a query. */
    Expr parenthesised() {
        Span span = cursor.peek().span();
        if (parsing.queries.startsQueryInParentheses()) {
            cursor.take();
            raftcart.sql.tree.Query query = parsing.queries.query();
            cursor.expectSymbol(")");
            new XmlPathParser(parsing).passOverValue(query);
            return new Expr.Subquery(query, span);
        }
        cursor.expectSymbol("(");
        if (cursor.peek().isSymbol("+") && cursor.peek(1).isSymbol(")")) {
            throw cursor.unexpected("an expression");
        }
        if (cursor.takeSymbol(")")) {
            return new Expr.Row(List.of(), span);
        }
        Expr first = expressions.expression();
        if (!cursor.peek().isSymbol(",")) {
            cursor.expectSymbol(")");
            return first;
        }
        List<Expr> items = new ArrayList<>(List.of(first));
        while (cursor.takeSymbol(",")) {
            items.add(expressions.expression());
        }
        cursor.expectSymbol(")");
        return new Expr.Row(items, span);
    }

    /** The right side of IN. */
    List<Expr> inItems() {
        if (!cursor.peek().isSymbol("(")) {
            return List.of(operand());
        }
        Span span = cursor.peek().span();
        if (parsing.queries.startsQueryInParentheses()) {
            cursor.take();
            raftcart.sql.tree.Query query = parsing.queries.query();
            cursor.expectSymbol(")");
            return List.of(new Expr.Subquery(query, span));
        }
        cursor.expectSymbol("(");
        if (cursor.takeSymbol(")")) {
            return List.of();
        }
        List<Expr> items = expressions.list();
        cursor.expectSymbol(")");
        return items;
    }

    /** The escapes of JDBC and ODBC: {@code {d '...'}}, {@code {ts '...'}}, {@code {t '...'}}, {@code {fn f(x)}}. */
    private Expr escape() {
        Token open = cursor.take();
        if (cursor.peek().isSymbol("}") || cursor.peek(1).isSymbol(":")) {
            throw cursor.byHand("a struct");
        }
        Token word = cursor.take();
        Expr inner =
                switch (word.value().toLowerCase(Locale.ROOT)) {
                    case "d" -> new Expr.Literal(LiteralKind.DATE, parsing.string(), open.span());
                    case "t" -> new Expr.Literal(LiteralKind.TIME, parsing.string(), open.span());
                    case "ts" -> new Expr.Literal(LiteralKind.TIMESTAMP, parsing.string(), open.span());
                    case "fn" -> expressions.expression();
                    default -> throw cursor.unexpected("an escape such as {d '2026-01-31'}");
                };
        cursor.expectSymbol("}");
        return inner;
    }

    private Expr word(Token token) {
        Token next = cursor.peek(1);
        if (next.isSymbol(".") && cursor.peek(2).isName() && !mayBeType(cursor.peek(3))) {
            return names.name(); // as most columns of queries are written
        }
        String word = token.value().toLowerCase(Locale.ROOT);
        if (word.equals("map") && next.isSymbol("{")) {
            throw cursor.byHand("a map");
        }
        IntroducedTextParser introduced = new IntroducedTextParser(cursor);
        if (introduced.atBytes()) {
            return introduced.ofBytes();
        }
        Optional<Expr> typed = typedTexts.constant();
        if (typed.isPresent()) {
            return typed.get();
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
            case "exists":
                return exists(token);
            default:
                return furtherWord(word, token, next);
        }
    }

    /** True for what stands behind the name of a type before a constant of that type. */
    private static boolean mayBeType(Token behind) {
        return behind.isString() || behind.isSymbol("(") || behind.isName() || behind.isSymbol(".");
    }

    private Expr furtherWord(String word, Token token, Token next) {
        switch (word) {
            case "interval":
                return next.isString()
                                || next.isSymbol("(")
                                || next.kind() == TokenKind.NUMBER
                                || next.isName()
                                || next.kind() == TokenKind.PARAMETER
                                || next.isSymbol("-")
                        ? intervals.interval()
                        : names.name();
            case "array":
                return array(token, next);
            case "row":
                return row(token, next);
            case "default":
                return next.isSymbol("(") ? names.name() : defaultValue(token);
            case "prior", "connect_by_root":
                cursor.take();
                UnaryOperator operator = word.equals("prior") ? UnaryOperator.PRIOR : UnaryOperator.ROOT;
                return new Expr.Unary(operator, expressions.expression(OperatorTable.UNARY), token.span());
            case "nextval", "prevval":
                return next.isWord("FOR") ? sequenceFor(token) : names.name();
            case "next", "previous", "prev", "current":
                return sequenceValue(token, next);
            case "binary":
                return next.isSymbol("(") || !isOperandStart(next) ? names.name() : binaryText(token);
            default:
                return names.name();
        }
    }

    private static boolean isOperandStart(Token token) {
        return token.isName() && !Keywords.endsExpression(token) || token.isString();
    }

    /** BINARY before a text compares its bytes. */
    private Expr binaryText(Token token) {
        cursor.take();
        return Expr.Call.of("as_bytes", expressions.expression(OperatorTable.UNARY))
                .at(token.span());
    }

    private Expr defaultValue(Token token) {
        cursor.take();
        return new Expr.Default(token.span());
    }

    private Expr exists(Token token) {
        cursor.take();
        cursor.expectSymbol("(");
        Expr exists = new Expr.Exists(parsing.queries.query(), token.span());
        cursor.expectSymbol(")");
        return exists;
    }

    private Expr array(Token token, Token next) {
        if (next.isSymbol("[")) {
            cursor.take();
            cursor.take();
            return arrayItems(token.span());
        }
        if (next.isSymbol("(") && cursor.peek(2).isAnyWord("SELECT", "WITH", "VALUES")) {
            cursor.take();
            return Expr.Call.of("array_of_query", parenthesised()).at(token.span());
        }
        return names.name();
    }

    private Expr arrayItems(Span span) {
        List<Expr> items = cursor.peek().isSymbol("]") ? List.of() : parsing.list(this::arrayItem);
        if (cursor.peek().isWord("FOR")) {
            throw cursor.byHand("a list made by a loop");
        }
        cursor.expectSymbol("]");
        return new Expr.ArrayItems(items, span);
    }

    private Expr arrayItem() {
        if (cursor.peek().isSymbol("[")) {
            Span span = cursor.take().span();
            return parsing.nested(() -> arrayItems(span));
        }
        return expressions.expression();
    }

    private Expr row(Token token, Token next) {
        if (!next.isSymbol("(")) {
            return names.name();
        }
        cursor.take();
        Expr inner = parenthesised();
        return inner instanceof Expr.Row ? inner : new Expr.Row(List.of(inner), token.span());
    }

    /** DB2's older {@code NEXTVAL FOR s}. */
    private Expr sequenceFor(Token token) {
        cursor.take();
        cursor.take();
        return new Expr.SequenceValue(parsing.qualifiedName(), token.isWord("NEXTVAL"), token.span());
    }

    private Expr sequenceValue(Token token, Token next) {
        boolean value = next.isAnyWord("VALUE", "VALUEOF") && cursor.peek(2).isWord("FOR");
        if (!value) {
            return names.name();
        }
        cursor.take();
        cursor.take();
        cursor.take();
        Expr sequence = new Expr.SequenceValue(parsing.qualifiedName(), token.isWord("NEXT"), token.span());
        if (cursor.peek().isWord("OVER")) {
            throw cursor.byHand("numbers of a sequence in an order of their own");
        }
        return sequence;
    }

    /** Teradata's {@code '0A0B'XB}. */
    private Optional<Expr> hexadecimal() {
        Token digits = cursor.peek();
        Token mark = cursor.peek(1);
        boolean bytes = parsing.has(GrammarFeature.DATA_ATTRIBUTES)
                && mark.isAnyWord("XB", "XBF", "XBV")
                && mark.span().start() == digits.span().end();
        if (!bytes) {
            return Optional.empty();
        }
        cursor.take();
        cursor.take();
        return Optional.of(new Expr.Literal(LiteralKind.BYTES, digits.value(), digits.span()));
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
        if (branches.isEmpty()) {
            throw cursor.unexpected("WHEN");
        }
        Optional<Expr> otherwise = cursor.takeWords("ELSE") ? Optional.of(expressions.expression()) : Optional.empty();
        cursor.expectWords("END");
        cursor.takeWords("CASE");
        return new Expr.Case(subject, branches, otherwise, span);
    }
}
