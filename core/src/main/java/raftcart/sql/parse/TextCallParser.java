package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;

/** Reads the functions of texts whose arguments stand between words (ISO/IEC 9075-2, "string value function"). */
final class TextCallParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;

    TextCallParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
    }

    Expr trim(Span span) {
        cursor.expectSymbol("(");
        String side = cursor.takeWords("LEADING")
                ? "ltrim"
                : cursor.takeWords("TRAILING") ? "rtrim" : cursor.takeWords("BOTH") ? "trim" : "";
        if (side.isEmpty()) {
            Expr first = expressions.expression();
            if (cursor.takeWords("FROM")) {
                return trimmed("trim", expressions.expression(), Optional.of(first), span);
            }
            return cursor.takeSymbol(",")
                    ? trimmed("trim", first, Optional.of(expressions.expression()), span)
                    : trimmed("trim", first, Optional.empty(), span);
        }
        Optional<Expr> characters =
                cursor.peek().isWord("FROM") ? Optional.empty() : Optional.of(expressions.expression());
        if (cursor.takeWords("FROM")) {
            return trimmed(side, expressions.expression(), characters, span);
        }
        return trimmed(side, characters.orElseThrow(), Optional.empty(), span);
    }

    private Expr trimmed(String function, Expr value, Optional<Expr> characters, Span span) {
        cursor.expectSymbol(")");
        return characters
                .map(c -> Expr.Call.of(function + (isWhole(c) ? "_text" : "_of"), value, c))
                .orElseGet(() -> Expr.Call.of(function, value))
                .at(span);
    }

    private boolean isWhole(Expr characters) {
        boolean one = characters instanceof Expr.Literal l && l.text().length() == 1;
        return !one && parsing.has(GrammarFeature.TRIMS_WHOLE_TEXTS);
    }

    /** SUBSTRING with words between its arguments, or with a pattern; null for one like any other call. */
    Expr substring(Span span) {
        int last = cursor.closing(0) - 1;
        boolean ofPattern = parsing.has(GrammarFeature.SUBSTRING_TAKES_PATTERN)
                && cursor.peek(last).isString()
                && cursor.peek(last - 1).isSymbol(",")
                && commas(last) == 1;
        if (!ofPattern && !cursor.hasDirectly("FROM", "FOR", "SIMILAR")) {
            return null;
        }
        cursor.expectSymbol("(");
        Expr text = expressions.expression();
        if (cursor.takeWords("SIMILAR")) {
            throw cursor.byHand("SUBSTRING with a pattern");
        }
        Optional<Expr> from = cursor.takeWords("FROM") ? Optional.of(expressions.expression()) : Optional.empty();
        Optional<Expr> length = cursor.takeWords("FOR") ? Optional.of(expressions.expression()) : Optional.empty();
        if (ofPattern) {
            cursor.expectSymbol(",");
            from = Optional.of(expressions.expression());
        }
        if (from.isPresent() && from.get() instanceof Expr.Literal l && l.kind() == LiteralKind.STRING) {
            return matched(text, l, length.isPresent(), span);
        }
        cursor.expectSymbol(")");
        List<Expr> arguments = new ArrayList<>(List.of(text, from.orElse(Expr.Literal.number(1))));
        length.ifPresent(arguments::add);
        return new Expr.Call(QualifiedName.of("substring"), true, arguments, CallSuffix.NONE, span);
    }

    /** What a pattern finds in a text; one with parentheses finds only what stands in the first of them. */
    private Expr matched(Expr text, Expr.Literal pattern, boolean escape, Span span) {
        if (escape || pattern.text().contains("(") || !parsing.has(GrammarFeature.SUBSTRING_TAKES_PATTERN)) {
            throw cursor.byHand("SUBSTRING with a pattern");
        }
        cursor.expectSymbol(")");
        return Expr.Call.of("regexp_substring", text, pattern).at(span);
    }

    /** The commas directly in the parentheses that open next. */
    private int commas(int last) {
        int commas = 0;
        for (int i = 1; i <= last; i++) {
            if (cursor.peek(i).isSymbol("(")) {
                i = cursor.closing(i);
            } else if (cursor.peek(i).isSymbol(",")) {
                commas++;
            }
        }
        return commas;
    }

    /** POSITION with IN; null for one like any other call. */
    Expr position(Span span) {
        if (!cursor.hasDirectly("IN")) {
            return null;
        }
        cursor.expectSymbol("(");
        Expr part = expressions.expression(OperatorTable.OTHER);
        cursor.expectWords("IN");
        Expr text = expressions.expression();
        cursor.expectSymbol(")");
        return Expr.Call.of("locate", text, part).at(span);
    }

    Expr overlay(Span span) {
        cursor.expectSymbol("(");
        List<Expr> arguments = new ArrayList<>(List.of(expressions.expression()));
        cursor.expectWords("PLACING");
        arguments.add(expressions.expression());
        cursor.expectWords("FROM");
        arguments.add(expressions.expression());
        if (cursor.takeWords("FOR")) {
            arguments.add(expressions.expression());
        }
        cursor.expectSymbol(")");
        return new Expr.Call(QualifiedName.of("overlay"), true, arguments, CallSuffix.NONE, span);
    }
}
