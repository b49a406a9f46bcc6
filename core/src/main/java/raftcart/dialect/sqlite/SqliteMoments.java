package raftcart.dialect.sqlite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.parse.CallReading.Meaning;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/** SQLite's functions of dates, which take a moment and modifiers as texts ("Date And Time Functions"). */
final class SqliteMoments {
    private static final Set<String> FUNCTIONS =
            Set.of("date", "time", "datetime", "strftime", "julianday", "unixepoch");
    private static final Pattern SPAN =
            Pattern.compile("(?i)\\s*([+-]?)\\s*(\\d+(?:\\.\\d+)?)\\s+(year|month|day|hour|minute|second)s?\\s*");
    private static final Pattern START = Pattern.compile("(?i)\\s*start of (year|month|day)\\s*");
    private static final Pattern UNIT = Pattern.compile("(?i)\\s*(year|month|day|hour|minute|second)s?\\s*");
    private static final Pattern SIGN = Pattern.compile("\\s*[+-]?\\s*");
    private static final String LATER_DAYS =
            "a day beyond the end of the month goes on into the next one on the source";

    private static final Pattern CONSTANT = Pattern.compile("(\\d{4}-\\d\\d-\\d\\d)(?:[ T](\\d\\d:\\d\\d)(:\\d\\d)?)?");

    /** Where a moment stands between its modifiers. */
    private record Moment(Expr value, boolean now, boolean wholeMonth, String check) {}

    /** What a function of dates means. */
    Optional<Meaning> meaning(Expr.Call call) {
        String function = call.function();
        boolean ours = !call.canonical() && call.name().parts().size() == 1 && FUNCTIONS.contains(function);
        int first = function.equals("strftime") ? 1 : 0;
        List<Expr> arguments = call.arguments();
        if (!ours || arguments.size() < first) {
            return Optional.empty();
        }
        boolean now = arguments.size() == first || isText(arguments.get(first), "now");
        boolean known = function.equals("julianday") || function.equals("unixepoch") || isEpoch(call);
        if (!now && !known && arguments.size() == first + 1) {
            return constant(function, arguments.get(first)).map(c -> new Meaning(c, "")); // or the dictionary's
        }
        boolean days = function.equals("date");
        Expr base = now ? new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, -1, call.span()) : arguments.get(first);
        Moment moment = new Moment(base, now, false, "");
        for (int i = first + 1; i < arguments.size(); i++) {
            moment = modified(moment, arguments.get(i), i == first + 1, days);
        }
        Expr value = result(function, call, moment, arguments.size() > first + 1);
        return Optional.of(new Meaning(value, moment.check()));
    }

    /** A constant date or timestamp of which a function takes the day, or the day and time. */
    private static Optional<Expr> constant(String function, Expr argument) {
        Matcher moment = argument instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? CONSTANT.matcher(l.text())
                : CONSTANT.matcher("");
        if (!moment.matches() || !function.startsWith("date")) {
            return Optional.empty();
        }
        if (function.equals("date")) {
            return Optional.of(new Expr.Literal(LiteralKind.DATE, moment.group(1), argument.span()));
        }
        String time = moment.group(2) == null ? "00:00" : moment.group(2);
        String seconds = moment.group(3) == null ? ":00" : moment.group(3);
        return Optional.of(
                new Expr.Literal(LiteralKind.TIMESTAMP, moment.group(1) + " " + time + seconds, argument.span()));
    }

    /** {@code strftime('%s', ...)}, the seconds since 1970. */
    private static boolean isEpoch(Expr.Call call) {
        return call.function().equals("strftime")
                && call.arguments().get(0) instanceof Expr.Literal mask
                && mask.text().equals("%s");
    }

    private static Expr result(String function, Expr.Call call, Moment moment, boolean modified) {
        Expr value = moment.value();
        Span span = call.span();
        return switch (function) {
            case "date" -> value instanceof Expr.Call c && c.is("date_of") ? value : day(moment, span);
            case "time" ->
                isUtcNow(value)
                        ? Expr.Call.of("utc_time").at(span)
                        : Expr.Call.of("time_of", value).at(span);
            case "datetime" -> value;
            case "julianday" -> {
                Expr days = new Expr.Binary(BinaryOperator.DIVIDE, epoch(moment, modified), number("86400.0"), span);
                yield new Expr.Binary(BinaryOperator.ADD, days, number("2440587.5"), span);
            }
            case "unixepoch" -> wholeEpoch(moment, modified);
            default ->
                isEpoch(call)
                        ? wholeEpoch(moment, modified)
                        : new Expr.Call(
                                call.name(), false, List.of(call.arguments().get(0), value), call.suffix(), span);
        };
    }

    private static Expr day(Moment moment, Span span) {
        if (isUtcNow(moment.value())) {
            return Expr.Call.of("utc_date").at(span);
        }
        boolean local = moment.value() instanceof Expr.CurrentTime now && now.kind() == CurrentKind.LOCAL_TIMESTAMP;
        return local
                ? new Expr.CurrentTime(CurrentKind.DATE, -1, span)
                : Expr.Call.of("date_of", moment.value()).at(span);
    }

    private static Expr epoch(Moment moment, boolean modified) {
        Expr value = modified ? moment.value() : moment(moment, false);
        return Expr.Call.of("extract_epoch", value).at(value.span());
    }

    private static Expr wholeEpoch(Moment moment, boolean modified) {
        Expr value = modified ? moment.value() : moment(moment, false);
        return Expr.Call.of("whole_epoch", value).at(value.span());
    }

    private static boolean isUtcNow(Expr value) {
        return value instanceof Expr.CurrentTime now && now.kind() == CurrentKind.UTC_TIMESTAMP;
    }

    private static Expr number(String text) {
        return new Expr.Literal(LiteralKind.NUMBER, text, Span.NONE);
    }

    private static boolean isText(Expr e, String text) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().strip().equalsIgnoreCase(text);
    }

    private Moment modified(Moment moment, Expr modifier, boolean first, boolean days) {
        if (modifier instanceof Expr.Concat concat) {
            return computed(moment, concat, first, days);
        }
        if (!(modifier instanceof Expr.Literal literal) || literal.kind() != LiteralKind.STRING) {
            throw new Untranslatable("a modifier of a date that is not a constant");
        }
        String text = literal.text().strip().toLowerCase(Locale.ROOT);
        if (text.equals("unixepoch") && first) {
            Expr instant = Expr.Call.of("utc_of_epoch", moment.value()).at(literal.span());
            return new Moment(instant, false, false, moment.check());
        }
        if (text.equals("localtime")) {
            return local(moment, literal);
        }
        Matcher start = START.matcher(text);
        if (start.matches()) {
            Expr base = first ? moment(moment, false) : moment.value();
            Expr value = Expr.Call.of("trunc_" + start.group(1), base).at(literal.span());
            boolean month = !start.group(1).equals("day") || moment.wholeMonth();
            return new Moment(value, moment.now(), month, moment.check());
        }
        Matcher span = SPAN.matcher(text);
        if (!span.matches()) {
            throw new Untranslatable("the modifier '" + literal.text() + "' of a date");
        }
        Expr amount = number((span.group(1).equals("-") ? "-" : "") + span.group(2));
        return plus(moment, amount, DateUnit.named(span.group(3)).orElseThrow(), first && days);
    }

    /** The present is known in both zones; a column's moment is in a zone that nothing tells. */
    private static Moment local(Moment moment, Expr.Literal modifier) {
        Span span = modifier.span();
        if (isUtcNow(moment.value())) {
            return new Moment(new Expr.CurrentTime(CurrentKind.LOCAL_TIMESTAMP, -1, span), true, false, moment.check());
        }
        if (moment.value() instanceof Expr.Call call && call.is("utc_of_epoch")) {
            Expr local =
                    Expr.Call.of("timestamp_of_epoch", call.arguments().get(0)).at(span);
            return new Moment(local, false, false, moment.check());
        }
        throw new Untranslatable("the local time of a moment in UTC");
    }

    /** {@code '-' || n || ' days'}. */
    private static Moment computed(Moment moment, Expr.Concat concat, boolean first, boolean days) {
        List<Expr> parts = concat.parts();
        String sign = parts.get(0) instanceof Expr.Literal l && parts.size() == 3 ? l.text() : "";
        Expr last = parts.get(parts.size() - 1);
        Matcher unit = UNIT.matcher(last instanceof Expr.Literal l ? l.text() : "");
        boolean fits = (parts.size() == 2 || parts.size() == 3 && parts.get(0) instanceof Expr.Literal)
                && SIGN.matcher(sign).matches()
                && unit.matches();
        if (!fits) {
            throw new Untranslatable("a modifier of a date that is not a constant");
        }
        Expr amount = parts.get(parts.size() - 2);
        Expr signed = sign.contains("-") ? new Expr.Unary(UnaryOperator.MINUS, amount, concat.span()) : amount;
        return plus(moment, signed, DateUnit.named(unit.group(1)).orElseThrow(), first && days);
    }

    private static Moment plus(Moment moment, Expr amount, DateUnit unit, boolean asDay) {
        boolean calendar = unit == DateUnit.YEAR || unit == DateUnit.MONTH;
        boolean later = calendar && !moment.wholeMonth();
        boolean day = asDay && unit.compareTo(DateUnit.DAY) <= 0;
        boolean typed = moment.now() || moment.value() instanceof Expr.Call c && c.canonical();
        Expr base = typed && !day ? moment.value() : moment(moment, day);
        Expr value = Expr.Call.of("add_" + unit.word() + "s", base, amount).at(amount.span());
        return new Moment(value, moment.now(), moment.wholeMonth() && calendar, later ? LATER_DAYS : moment.check());
    }

    /** The moment as a date, or as a date and time, whatever its column holds. */
    private static Expr moment(Moment moment, boolean day) {
        if (moment.now()) {
            return day ? day(moment, moment.value().span()) : moment.value();
        }
        return moment.value() instanceof Expr.Literal
                ? moment.value()
                : Expr.Call.of(day ? "date_of" : "timestamp_of", moment.value())
                        .at(moment.value().span());
    }
}
