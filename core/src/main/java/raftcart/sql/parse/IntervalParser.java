package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Expr.IntervalPart;
import raftcart.sql.tree.LiteralKind;

/** Reads lengths of time in all spellings into amounts of units. */
final class IntervalParser {
    private static final Pattern WORDS = Pattern.compile("\\G\\s*,?\\s*([+-]?\\d+(?:\\.\\d+)?)\\s*([A-Za-z]+)");
    private static final Pattern CLOCK = Pattern.compile("\\s*([+-]?)(\\d+):(\\d+)(?::(\\d+(?:\\.\\d+)?))?\\s*");
    private static final Pattern YEARS = Pattern.compile("\\s*([+-]?)(\\d+)-(\\d+)\\s*");
    private static final Pattern DAYS =
            Pattern.compile("\\s*([+-]?)(\\d+)\\s+(\\d+)(?::(\\d+)(?::(\\d+(?:\\.\\d+)?))?)?\\s*");

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
        String word = parsing.word();
        if (word.indexOf('_') > 0 && amount instanceof Expr.Literal literal) {
            cursor.take();
            return new Expr.Interval(compound(literal.text(), word, span), span);
        }
        DateUnit unit = unit().orElseThrow(() -> cursor.unexpected("a unit of time"));
        List<IntervalPart> parts = List.of(new IntervalPart(amount, unit));
        return new Expr.Interval(negative ? negated(parts) : parts, span);
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
            return List.of(part(text, unit.get(), token.span()));
        }
        if (to.isPresent() || unit.isEmpty()) {
            List<IntervalPart> parts = inParts(text, unit, to, token.span());
            if (!parts.isEmpty()) {
                return parts;
            }
        }
        throw cursor.byHand("the interval '" + token.value() + "'");
    }

    private List<IntervalPart> inParts(String text, Optional<DateUnit> unit, Optional<DateUnit> to, Span span) {
        Matcher years = YEARS.matcher(text);
        if (years.matches()) {
            String sign = years.group(1);
            return List.of(
                    part(sign + years.group(2), DateUnit.YEAR, span),
                    part(sign + years.group(3), DateUnit.MONTH, span));
        }
        Matcher days = DAYS.matcher(text);
        if (days.matches() && unit.orElse(DateUnit.DAY) == DateUnit.DAY) {
            return clock(days, 2, DateUnit.DAY, span);
        }
        Matcher clock = CLOCK.matcher(text);
        if (clock.matches()) {
            DateUnit first = unit.orElse(DateUnit.HOUR);
            boolean minutes = first == DateUnit.MINUTE && to.isPresent();
            return clock(clock, 2, minutes ? DateUnit.MINUTE : DateUnit.HOUR, span);
        }
        return inWords(text, span);
    }

    /** Groups from this one on, the first of which is in this unit and each further in the next smaller one. */
    private List<IntervalPart> clock(Matcher matcher, int group, DateUnit first, Span span) {
        List<DateUnit> units = List.of(DateUnit.DAY, DateUnit.HOUR, DateUnit.MINUTE, DateUnit.SECOND);
        List<IntervalPart> parts = new ArrayList<>();
        int unit = units.indexOf(first);
        for (int i = group; i <= matcher.groupCount() && unit < units.size(); i++, unit++) {
            if (matcher.group(i) != null) {
                parts.add(part(matcher.group(1) + matcher.group(i), units.get(unit), span));
            }
        }
        return parts;
    }

    private List<IntervalPart> inWords(String text, Span span) {
        List<IntervalPart> parts = new ArrayList<>();
        Matcher words = WORDS.matcher(text);
        int end = 0;
        while (words.find()) {
            Optional<DateUnit> unit = DateUnit.named(words.group(2)).filter(DateUnit::isSpan);
            if (unit.isEmpty()) {
                return List.of();
            }
            parts.add(part(words.group(1), unit.get(), span));
            end = words.end();
        }
        String rest = text.substring(end);
        Matcher clock = CLOCK.matcher(rest);
        if (!rest.isBlank()) {
            if (!clock.matches()) {
                return List.of();
            }
            parts.addAll(clock(clock, 2, DateUnit.HOUR, span));
        }
        return parts;
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
            parts.add(part(sign + numbers[i], DateUnit.valueOf(fields.get(from + i)), span));
        }
        return parts;
    }

    private static IntervalPart part(String number, DateUnit unit, Span span) {
        String plain = number.startsWith("+") ? number.substring(1) : number;
        String digits = plain.replaceFirst("^(-?)0+(?=\\d)", "$1");
        return new IntervalPart(new Expr.Literal(LiteralKind.NUMBER, digits, span), unit);
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
