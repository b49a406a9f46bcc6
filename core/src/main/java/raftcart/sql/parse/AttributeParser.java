package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Reads what may follow a value in parentheses on Teradata: a type to cast it to, a format, a title. */
final class AttributeParser {
    private static final String[] TYPES =
            ("INTEGER INT SMALLINT BYTEINT BIGINT DECIMAL DEC NUMERIC NUMBER FLOAT REAL DATE TIME TIMESTAMP CHAR "
                            + "CHARACTER VARCHAR BYTE VARBYTE CLOB BLOB")
                    .split(" ");

    private static final Pattern FORMAT_PART =
            Pattern.compile("(?i)YYYY|YY|MMMM|MMM|MM|DDD|DD|EEEE|EEE|HH|MI|SS|[-/.:,B]");
    /** Parts of a FORMAT that a mask of TO_CHAR spells otherwise. */
    private static final Map<String, String> SPELLED =
            Map.of("MMMM", "Month", "MMM", "Mon", "EEEE", "Day", "EEE", "Dy", "HH", "HH24", "B", " ");

    private final Parsing parsing;
    private final TokenCursor cursor;

    AttributeParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** True where such a parenthesis stands next; a call of a function is none. */
    boolean at() {
        if (!parsing.has(GrammarFeature.DATA_ATTRIBUTES) || !cursor.peek().isSymbol("(")) {
            return false;
        }
        Token word = cursor.peek(1);
        Token next = cursor.peek(2);
        boolean attribute = word.isAnyWord("FORMAT", "TITLE") && next.isString()
                || word.isWord("NAMED") && next.isName()
                || word.isAnyWord("CASESPECIFIC", "CS", "UPPERCASE", "UC") && next.isSymbol(")")
                || word.isWord("NOT") && next.isAnyWord("CASESPECIFIC", "CS");
        boolean apart = cursor.previous().span().end() < cursor.peek().span().start();
        boolean type = word.isAnyWord(TYPES)
                && (next.isSymbol(",") && cursor.peek(3).isAnyWord("FORMAT", "TITLE", "NAMED")
                        || next.isSymbol("(") && cursor.peek(3).kind() == TokenKind.NUMBER
                        || next.isSymbol(")") && (apart || !word.isAnyWord("DATE", "TIME")));
        return attribute || type;
    }

    /** The value with what stands in the parenthesis. */
    Expr read(Expr value) {
        Span span = cursor.take().span();
        Expr result = value;
        do {
            if (cursor.takeWords("TITLE")) {
                parsing.string(); // a heading for the client
            } else if (cursor.takeWords("FORMAT")) {
                result = formatted(result, parsing.string(), span);
            } else if (cursor.takeWords("NAMED")) {
                parsing.named(parsing.name());
            } else if (cursor.peek().isAnyWord(TYPES)) {
                result = new Expr.Cast(result, TypeNameParser.parse(cursor), false, span);
            } else {
                throw cursor.byHand("the attribute " + cursor.peek().text() + " of a value");
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
        return result;
    }

    /** A format shows only where the value becomes text, as in {@code d (FORMAT 'YYYY') (CHAR(4))}. */
    private Expr formatted(Expr value, String mask, Span span) {
        boolean text = cursor.peek().isSymbol(")")
                && cursor.peek(1).isSymbol("(")
                && cursor.peek(2).isAnyWord("CHAR", "VARCHAR", "CHARACTER");
        if (!text) {
            // What the client shows; other functions see it as well, which is left to a person.
            return Expr.Call.of("shown_as", value, Expr.Literal.string(mask)).at(span);
        }
        return toText(value, mask, span).orElseThrow(() -> cursor.byHand("the FORMAT '" + mask + "'"));
    }

    /** The value of an item of SELECT without the format in which the client shows it. */
    static Optional<Expr> shown(Expr value) {
        return value instanceof Expr.Call c && c.is("shown_as")
                ? Optional.of(c.arguments().get(0))
                : Optional.empty();
    }

    /** What is cast to a text is written in the format that it is shown in. */
    static Expr asText(Expr value, TypeName type, Span span) {
        boolean shown =
                value instanceof Expr.Call c && c.is("shown_as") && type.name().matches("(var)?char");
        if (!shown) {
            return value;
        }
        List<Expr> parts = ((Expr.Call) value).arguments();
        return toText(parts.get(0), ((Expr.Literal) parts.get(1)).text(), span).orElse(value);
    }

    private static Optional<Expr> toText(Expr value, String mask, Span span) {
        return spelled(mask)
                .map(m -> new Expr.Call(
                        QualifiedName.of("TO_CHAR"),
                        false,
                        List.of(value, new Expr.Literal(LiteralKind.STRING, m, span)),
                        CallSuffix.NONE,
                        span));
    }

    /** A FORMAT in the letters that TO_CHAR and TO_DATE read; empty where it has others. */
    static Optional<String> spelled(String mask) {
        Matcher parts = FORMAT_PART.matcher(mask);
        StringBuilder spelled = new StringBuilder();
        int at = 0;
        while (parts.lookingAt()) {
            spelled.append(SPELLED.getOrDefault(parts.group().toUpperCase(Locale.ROOT), parts.group()));
            at = parts.end();
            parts.region(at, mask.length());
        }
        return at < mask.length() ? Optional.empty() : Optional.of(spelled.toString());
    }
}
