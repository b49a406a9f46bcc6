package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Expr.IntervalPart;
import raftcart.sql.tree.LiteralKind;

/** Lengths of time given as texts, such as {@code 1 day 02:30} and {@code 3-6}. */
public final class IntervalTexts {
    private static final Pattern WORDS = Pattern.compile("\\G\\s*,?\\s*([+-]?\\d+(?:\\.\\d+)?)\\s*([A-Za-z]+)");
    private static final Pattern CLOCK = Pattern.compile("\\s*([+-]?)(\\d+):(\\d+)(?::(\\d+(?:\\.\\d+)?))?\\s*");
    private static final Pattern YEARS = Pattern.compile("\\s*([+-]?)(\\d+)-(\\d+)\\s*");
    private static final Pattern DAYS =
            Pattern.compile("\\s*([+-]?)(\\d+)\\s+(\\d+)(?::(\\d+)(?::(\\d+(?:\\.\\d+)?))?)?\\s*");

    private IntervalTexts() {}

    /** The length of time that a text alone names; empty for any other text. */
    public static Optional<Expr> read(String text, Span span) {
        List<IntervalPart> parts = inParts(text.strip(), Optional.empty(), Optional.empty(), span);
        List<IntervalPart> set = parts.stream()
                .filter(p -> !((Expr.Literal) p.amount()).text().matches("-?0*[.]?0*"))
                .toList();
        parts = set.isEmpty() && !parts.isEmpty() ? parts.subList(0, 1) : set;
        return parts.isEmpty() ? Optional.empty() : Optional.of(new Expr.Interval(parts, span));
    }

    static List<IntervalPart> inParts(String text, Optional<DateUnit> unit, Optional<DateUnit> to, Span span) {
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
    private static List<IntervalPart> clock(Matcher matcher, int group, DateUnit first, Span span) {
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

    private static List<IntervalPart> inWords(String text, Span span) {
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

    static IntervalPart part(String number, DateUnit unit, Span span) {
        String plain = number.startsWith("+") ? number.substring(1) : number;
        String digits = plain.replaceFirst("^(-?)0+(?=\\d)", "$1");
        return new IntervalPart(new Expr.Literal(LiteralKind.NUMBER, digits, span), unit);
    }
}
