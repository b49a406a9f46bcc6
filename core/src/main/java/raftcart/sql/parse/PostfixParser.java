package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Reads what follows a value and belongs to it: casts, subscripts, paths, collations, zones and units. */
final class PostfixParser {
    private static final Pattern DURATION = Pattern.compile("(?i)(year|month|day|hour|minute|second|microsecond)s?");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;
    private final AttributeParser attributes;

    PostfixParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
        this.attributes = new AttributeParser(parsing);
    }

    /** The operand with what stands next, or null if nothing belongs to it. */
    Expr after(Expr operand) {
        Token token = cursor.peek();
        if (token.kind() == TokenKind.SYMBOL) {
            return switch (token.text()) {
                case "::", ":::" -> cast(operand, token.span());
                case "[" -> subscript(operand, token.span());
                case "(" -> attributes.at() ? attributes.read(operand) : null;
                case ":" -> parsing.has(GrammarFeature.COLON_PATHS) ? path(operand, token.span()) : null;
                case "." -> operand instanceof Expr.Literal ? null : field(operand);
                case "%" -> parsing.has(GrammarFeature.PLSQL_ROUTINES) ? ofCursor(operand) : null;
                default -> null;
            };
        }
        if (token.kind() == TokenKind.QUOTED_NAME
                && token.text().startsWith("[")
                && operand instanceof Expr.Column
                && parsing.has(GrammarFeature.BRACKET_VALUES)) {
            return null;
        }
        if (token.kind() != TokenKind.WORD) {
            return null;
        }
        if (cursor.takeWords("FORMAT", "JSON")) {
            return Expr.Call.of("json_of_text", operand).at(token.span());
        }
        if (token.isWord("COLLATE")) {
            cursor.take();
            return new Expr.Collate(operand, parsing.qualifiedName(), token.span());
        }
        if (cursor.takeWords("AT", "TIME", "ZONE")) {
            return inZones(operand, expressions.expression(OperatorTable.UNARY), token.span());
        }
        if (cursor.takeWords("AT", "LOCAL")) {
            throw cursor.byHand("AT LOCAL");
        }
        boolean labelled = parsing.has(GrammarFeature.LABELLED_DURATIONS)
                && DURATION.matcher(token.value()).matches();
        if (labelled) {
            cursor.take();
            DateUnit unit = DateUnit.named(token.value()).orElseThrow();
            return new Expr.Interval(List.of(new Expr.IntervalPart(operand, unit)), token.span());
        }
        return null;
    }

    /** What is asked of a cursor, as in {@code c%NOTFOUND}. */
    private Expr ofCursor(Expr operand) {
        boolean asked =
                operand instanceof Expr.Column && cursor.peek(1).isAnyWord("FOUND", "NOTFOUND", "ROWCOUNT", "ISOPEN");
        if (!asked) {
            return null;
        }
        cursor.take();
        String what = "%" + parsing.word().toLowerCase(Locale.ROOT);
        Span span = cursor.take().span();
        return new Expr.Call(QualifiedName.of(what), false, List.of(operand), CallSuffix.NONE, span);
    }

    /** Of several zones in a row each applies to what the zones before it made. */
    private static Expr inZones(Expr operand, Expr zones, Span span) {
        return zones instanceof Expr.AtZone next
                ? new Expr.AtZone(inZones(operand, next.value(), span), next.zone(), next.span())
                : new Expr.AtZone(operand, zones, span);
    }

    private Expr cast(Expr operand, Span span) {
        cursor.take();
        if (cursor.peek().kind() == TokenKind.PARAMETER) {
            throw cursor.byHand("the type of a constant after :::");
        }
        return typed(operand, TypeNameParser.parse(cursor), span);
    }

    /** A cast; a text that is cast to an interval is that interval. */
    static Expr typed(Expr operand, TypeName type, Span span) {
        boolean interval = type.name().equals("interval")
                && type.parameters().isEmpty()
                && operand instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        return interval
                ? IntervalTexts.read(((Expr.Literal) operand).text(), span)
                        .orElse(new Expr.Cast(operand, type, false, span))
                : new Expr.Cast(operand, type, false, span);
    }

    private Expr field(Expr operand) {
        if (isPart(operand)) {
            return path(operand, cursor.peek().span());
        }
        if (cursor.peek(1).kind() == TokenKind.PARAMETER) {
            throw cursor.byHand("a column of a table by its place");
        }
        if (cursor.peek(1).isSymbol("*")) {
            throw cursor.byHand("the fields of a row as columns");
        }
        if (!cursor.peek(1).isName()) {
            return null;
        }
        Span span = cursor.take().span();
        Name name = parsing.name();
        if (cursor.peek().isSymbol("(")) {
            throw cursor.byHand("a method call");
        }
        return Expr.Call.of("field", operand, Expr.Literal.string(name.text())).at(span);
    }

    /** True for a part of a document, which may go on after a point. */
    private boolean isPart(Expr operand) {
        return parsing.has(GrammarFeature.COLON_PATHS) && operand instanceof Expr.Call c && c.is("json_get");
    }

    private Expr path(Expr operand, Span span) {
        cursor.take();
        StringBuilder path = new StringBuilder();
        do {
            path.append(member(parsing.name().text()));
        } while (cursor.takeSymbol("."));
        return within(operand, path.toString(), span);
    }

    /** A part of a document, or of a part of it. */
    private static Expr within(Expr document, String path, Span span) {
        boolean further = document instanceof Expr.Call c
                && c.is("json_get")
                && c.arguments().size() == 2
                && c.arguments().get(1) instanceof Expr.Literal;
        if (!further) {
            return Expr.Call.of("json_get", document, Expr.Literal.string("$" + path))
                    .at(span);
        }
        List<Expr> outer = ((Expr.Call) document).arguments();
        String whole = ((Expr.Literal) outer.get(1)).text() + path;
        return Expr.Call.of("json_get", outer.get(0), Expr.Literal.string(whole))
                .at(document.span());
    }

    private static String member(String name) {
        return name.matches("[A-Za-z_]\\w*") ? "." + name : ".\"" + name.replace("\"", "\\\"") + "\"";
    }

    private Expr subscript(Expr array, Span span) {
        cursor.take();
        boolean constant =
                cursor.peek().kind() == TokenKind.NUMBER || cursor.peek().isString();
        if (parsing.has(GrammarFeature.COLON_PATHS)
                && constant
                && cursor.peek(1).isSymbol("]")) {
            String path = cursor.peek().isString()
                    ? member(parsing.string())
                    : "[" + cursor.take().value() + "]";
            cursor.expectSymbol("]");
            return within(array, path, span);
        }
        Optional<Expr> index = Optional.empty();
        if (!cursor.peek().isSymbol(":")) {
            index = Optional.of(expressions.expression());
        }
        boolean slice = cursor.takeSymbol(":");
        Optional<Expr> end = Optional.empty();
        if (slice && !cursor.peek().isSymbol("]")) {
            end = Optional.of(expressions.expression());
        }
        cursor.expectSymbol("]");
        return new Expr.Subscript(array, index, end, slice, span);
    }
}
