package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Expr.IntervalPart;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Truth;

/** Reads lengths of time in all spellings into amounts of units. */
final class IntervalParser {

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;

    IntervalParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
    }

    Expr interval() {
        Span span = cursor.take().span();
        boolean negative = cursor.takeSymbol("-");
        boolean digits = cursor.peek().isSymbol("(")
                && cursor.peek(1).kind() == TokenKind.NUMBER
                && cursor.peek(2).isSymbol(")")
                && cursor.peek(3).isString();
        if (digits) {
            throw cursor.byHand("an interval with digits of its second");
        }
        Token token = cursor.peek();
        if (token.isString()) {
            cursor.take();
            if (cursor.peek().kind() == TokenKind.WORD && cursor.peek().value().indexOf('_') > 0) {
                return new Expr.Interval(
                        compound(token.value(), cursor.take().value().toUpperCase(Locale.ROOT), span), span);
            }
            Optional<DateUnit> unit = unit();
            Optional<DateUnit> to = unit.isPresent() && cursor.takeWords("TO") ? unit() : Optional.empty();
            List<IntervalPart> parts = fromText(token, unit, to);
            return new Expr.Interval(negative ? negated(parts) : parts, span);
        }
        Expr amount = expressions.expression(OperatorTable.COMPARISON + 1);
        if (amount instanceof Expr.Row row && !row.items().isEmpty()) {
            return placeAmong(row.items(), span);
        }
        String word = parsing.word();
        if (word.indexOf('_') > 0 && amount instanceof Expr.Literal literal) {
            cursor.take();
            return new Expr.Interval(compound(literal.text(), word, span), span);
        }
        DateUnit unit = unit().orElseThrow(() -> cursor.unexpected("a unit of time"));
        List<IntervalPart> parts = List.of(new IntervalPart(amount, unit));
        return new Expr.Interval(negative ? negated(parts) : parts, span);
    }

    /** MySQL's {@code INTERVAL(n, a, b)}: how many of the rising values are not above n; -1 for NULL. */
    private static Expr placeAmong(List<Expr> items, Span span) {
        Expr value = items.get(0);
        List<Expr.When> branches = new ArrayList<>();
        branches.add(new Expr.When(new Expr.Is(value, Truth.NULL, false, span), Expr.Literal.number(-1)));
        for (int i = 1; i < items.size(); i++) {
            Expr below = new Expr.Binary(BinaryOperator.LESS, value, items.get(i), span);
            branches.add(new Expr.When(below, Expr.Literal.number(i - 1)));
        }
        return new Expr.Case(Optional.empty(), branches, Optional.of(Expr.Literal.number(items.size() - 1)), span);
    }

    /** A unit, with its own digits in parentheses passed over. */
    private Optional<DateUnit> unit() {
        Token token = cursor.peek();
        if (token.kind() != TokenKind.WORD) {
            return Optional.empty();
        }
        Optional<DateUnit> unit = DateUnit.named(token.value()).filter(DateUnit::isSpan);
        if (unit.isPresent()) {
            cursor.take();
            if (cursor.peek().isSymbol("(")) {
                parsing.skipParentheses();
            }
        }
        return unit;
    }

    private List<IntervalPart> fromText(Token token, Optional<DateUnit> unit, Optional<DateUnit> to) {
        String text = token.value().strip();
        if (unit.isPresent() && to.isEmpty() && text.matches("[+-]?\\d+(\\.\\d+)?")) {
            return List.of(IntervalTexts.part(text, unit.get(), token.span()));
        }
        if (to.isPresent() || unit.isEmpty()) {
            List<IntervalPart> parts = IntervalTexts.inParts(text, unit, to, token.span());
            if (!parts.isEmpty()) {
                return parts;
            }
        }
        throw cursor.byHand("the interval '" + token.value() + "'");
    }

    /** MySQL's units of two fields ("Date and Time Functions": expr and unit). */
    private List<IntervalPart> compound(String text, String word, Span span) {
        String[] units = word.split("_");
        String[] numbers = text.strip().split("[^0-9.]+");
        List<String> fields = List.of("YEAR", "MONTH", "DAY", "HOUR", "MINUTE", "SECOND", "MICROSECOND");
        int from = fields.indexOf(units[0]);
        int to = fields.indexOf(units[units.length - 1]);
        if (from < 0 || to < from || numbers.length != to - from + 1) {
            throw cursor.byHand("the interval '" + text + "' " + word);
        }
        String sign = text.strip().startsWith("-") ? "-" : "";
        List<IntervalPart> parts = new ArrayList<>();
        for (int i = 0; i < numbers.length; i++) {
            parts.add(IntervalTexts.part(sign + numbers[i], DateUnit.valueOf(fields.get(from + i)), span));
        }
        return parts;
    }

    private static List<IntervalPart> negated(List<IntervalPart> parts) {
        return parts.stream()
                .map(p -> new IntervalPart(
                        p.amount() instanceof Expr.Literal l
                                ? new Expr.Literal(
                                        LiteralKind.NUMBER,
                                        l.text().startsWith("-") ? l.text().substring(1) : "-" + l.text(),
                                        l.span())
                                : new Expr.Unary(
                                        raftcart.sql.tree.UnaryOperator.MINUS,
                                        p.amount(),
                                        p.amount().span()),
                        p.unit()))
                .toList();
    }
}
