package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Adapts sums and differences of dates, and their constants. */
final class DateAdapter {
    /** What Teradata takes away from the digits of a date to store it as a number. */
    private static final long DATE_OF_YEAR_1900 = 19_000_000;
    /** How a moment looks that needs no pattern to be read. */
    private static final String PLAIN = "0000-00-00 00:00:00";

    /** DB2's {@code 2026-01-31-22.15.00.000000} and {@code 22.15.00}. */
    private static final Pattern DOTTED =
            Pattern.compile("(?:(\\d{4}-\\d\\d-\\d\\d)-)?(\\d\\d)\\.(\\d\\d)\\.(\\d\\d)(\\.\\d+)?");
    /** T-SQL's {@code 20260131} and {@code 20260131 22:15}. */
    private static final Pattern UNSEPARATED =
            Pattern.compile("(\\d{4})(\\d\\d)(\\d\\d)( \\d\\d:\\d\\d(?::\\d\\d(?:\\.\\d+)?)?)?");

    private static final int DAYS_OF_YEAR_0 = 365;

    private static final Pattern DATE = Pattern.compile("\\d{4}-\\d\\d-\\d\\d");
    private static final Pattern WITHOUT_SECONDS = Pattern.compile("\\d{4}-\\d\\d-\\d\\d[ T]\\d\\d:\\d\\d");
    private static final Pattern TIMESTAMP = Pattern.compile("\\d{4}-\\d\\d-\\d\\d[ T]\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?");

    private final ExprAdapter adapter;

    DateAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The interval that an expression is, or that a number times an interval is. */
    static Optional<Expr.Interval> interval(Expr e) {
        if (e instanceof Expr.Interval interval) {
            return Optional.of(interval);
        }
        if (!(e instanceof Expr.Binary b) || b.operator() != BinaryOperator.MULTIPLY) {
            return IntervalForms.computed(e);
        }
        Expr factor = b.left() instanceof Expr.Interval ? b.right() : b.left();
        Expr other = factor == b.left() ? b.right() : b.left();
        if (!(other instanceof Expr.Interval interval)) {
            return Optional.empty();
        }
        List<Expr.IntervalPart> parts = new ArrayList<>();
        for (Expr.IntervalPart part : interval.parts()) {
            boolean one = part.amount() instanceof Expr.Literal l && l.text().equals("1");
            Expr amount = one ? factor : new Expr.Binary(BinaryOperator.MULTIPLY, factor, part.amount(), b.span());
            parts.add(new Expr.IntervalPart(amount, part.unit()));
        }
        return Optional.of(new Expr.Interval(parts, interval.span()));
    }

    /** A date with an interval added or taken away. */
    Expr add(Expr date, ValueKind kind, Expr.Interval given, boolean minus, Span span) {
        BinaryOperator operator = minus ? BinaryOperator.SUBTRACT : BinaryOperator.ADD;
        return ClockTimes.counted(date, m -> new Expr.Binary(operator, m, given, span), span, adapter)
                .orElseGet(() -> ClockTimes.kept(sum(date, kind, given, minus, span), kind, adapter));
    }

    private Expr sum(Expr date, ValueKind kind, Expr.Interval given, boolean minus, Span span) {
        Expr.Interval interval = new UnitFractions(adapter).interval(given);
        Expr sum = adapter.expr(date);
        boolean plain = adapter.to.has(SqlFeature.INTERVALS)
                && interval.parts().stream()
                        .allMatch(p -> p.unit().compareTo(DateUnit.SECOND) <= 0
                                && p.unit() != DateUnit.WEEK
                                && p.unit() != DateUnit.QUARTER
                                && (p.unit().compareTo(DateUnit.MONTH) > 0 || !monthsFail()));
        boolean days = interval.parts().stream().allMatch(p -> p.unit().compareTo(DateUnit.DAY) <= 0);
        boolean stays = !adapter.to.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP)
                && !adapter.to.has(SqlFeature.DATES_HAVE_TIME)
                && !adapter.to.has(SqlFeature.DATES_ARE_TEXTS);
        if (kind == ValueKind.DATE && !days && stays) {
            sum = new Expr.Cast(sum, adapter.castType(new LogicalType.Timestamp(6, false)), false, span);
        }
        if (!plain) {
            new WholeSeconds(adapter).dropped(date);
        }
        for (Expr.IntervalPart part : interval.parts()) {
            Expr amount = adapter.expr(part.amount());
            if (plain) {
                Expr one = new Expr.Interval(List.of(new Expr.IntervalPart(amount, part.unit())), span);
                sum = new Expr.Binary(minus ? BinaryOperator.SUBTRACT : BinaryOperator.ADD, sum, one, span);
            } else {
                sum = Expr.Call.of(function(part.unit()), sum, minus ? negative(amount) : amount)
                        .at(span);
            }
        }
        boolean becomesTimestamp = adapter.to.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP)
                && !adapter.from.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP);
        return kind == ValueKind.DATE && days && becomesTimestamp
                ? new Expr.Cast(sum, adapter.castType(new LogicalType.Date()), false, span)
                : sum;
    }

    /** The date of a number that counts days from the first of January of the year 1 ("DATE", DB2). */
    static Expr ofDay(Expr.Call date, Language from) {
        if (!from.has(SqlFeature.NUMBERS_ARE_DAYS)) {
            throw new Untranslatable("a date given as a number");
        }
        Expr days = new Expr.Binary(
                BinaryOperator.ADD, date.arguments().get(0), Expr.Literal.number(DAYS_OF_YEAR_0), date.span());
        return Expr.Call.of("date_of_days", days).at(date.span());
    }

    private boolean monthsFail() {
        return adapter.to.has(SqlFeature.MONTHS_MUST_HAVE_THE_DAY)
                && !adapter.from.has(SqlFeature.MONTHS_MUST_HAVE_THE_DAY);
    }

    private static String function(DateUnit unit) {
        if (!unit.isSpan() || unit == DateUnit.NANOSECOND) {
            throw new Untranslatable("an interval in " + unit.word() + "s");
        }
        return "add_" + unit.name().toLowerCase(Locale.ROOT) + "s";
    }

    static Expr negative(Expr amount) {
        if (amount instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER) {
            String text = l.text().startsWith("-") ? l.text().substring(1) : "-" + l.text();
            return new Expr.Literal(LiteralKind.NUMBER, text, l.span());
        }
        return new Expr.Unary(UnaryOperator.MINUS, amount, amount.span());
    }

    /** A date and a number of days. */
    Expr addDays(Expr.Binary binary, boolean dateFirst, ValueKind kind) {
        Expr date = adapter.expr(dateFirst ? binary.left() : binary.right());
        Expr days = adapter.expr(dateFirst ? binary.right() : binary.left());
        boolean minus = binary.operator() == BinaryOperator.SUBTRACT;
        ValueKind number = adapter.kind(dateFirst ? binary.right() : binary.left());
        boolean whole = number == ValueKind.INTEGER || number == ValueKind.UNKNOWN;
        boolean plain = adapter.to.has(SqlFeature.DATE_PLUS_DAYS)
                && (whole || !adapter.to.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP))
                && (kind == ValueKind.DATE || !adapter.to.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP));
        if (plain) {
            return new Expr.Binary(binary.operator(), date, days, binary.span());
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, binary.span(), "days added to a date");
        Optional<Expr> parts = new DayFractions(adapter).add(date, dateFirst ? binary.right() : binary.left(), minus);
        return parts.orElseGet(() ->
                Expr.Call.of("add_days", date, minus ? negative(days) : days).at(binary.span()));
    }

    /** Says what is not certain about a sum. */
    void uncertain(Expr.Binary binary, ValueKind left, ValueKind right) {
        if (left == ValueKind.TIME && right.isNumber() || right == ValueKind.TIME && left.isNumber()) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    binary.span(),
                    "a number beside a time of day, which engines take for seconds or for digits");
        }
        boolean texts = (left == ValueKind.TEXT || right == ValueKind.TEXT) && adapter.losesConversions();
        if (texts) {
            List.of(binary.left(), binary.right()).forEach(new OperatorAdapter(adapter)::refuseEnumeration);
            adapter.note(FindingCode.IMPLICIT_CAST, binary.span(), "a text in a sum");
        }
        boolean unknown = left == ValueKind.UNKNOWN
                && right == ValueKind.INTEGER
                && (adapter.from.has(SqlFeature.DATE_PLUS_DAYS) || adapter.from.has(SqlFeature.TIMESTAMP_PLUS_DAYS));
        if (unknown && !adapter.to.has(SqlFeature.DATE_PLUS_DAYS)) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN, binary.span(), "taken for a sum of numbers, it may be a date and days");
        }
        boolean difference = binary.operator() == BinaryOperator.SUBTRACT
                && binary.left() instanceof Expr.Column
                && binary.right() instanceof Expr.Column
                && left == ValueKind.UNKNOWN
                && right == ValueKind.UNKNOWN
                && !adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        if (difference) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN,
                    binary.span(),
                    "taken for a difference of numbers; that of dates is another on each engine");
        }
    }

    /** A date that the source may keep as a text, as the date that it is. */
    Expr fromText(Expr e) {
        ValueKind kind = adapter.kind(e);
        boolean text = adapter.lost(SqlFeature.DATES_ARE_TEXTS)
                && (kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN)
                && !(e instanceof Expr.Literal);
        return text ? Expr.Call.of("timestamp_of", e).at(e.span()) : e;
    }

    /** What functions give as a text on the source. */
    Expr asText(Expr e) {
        ValueKind kind = adapter.kind(e);
        boolean moment = (kind.isDate() || kind == ValueKind.TIME) && !(e instanceof Expr.Literal);
        if (!moment) {
            return adapter.expr(e);
        }
        String mask = kind == ValueKind.DATE ? "%Y-%m-%d" : kind == ValueKind.TIME ? "%H:%M:%S" : "%Y-%m-%d %H:%M:%S";
        return adapter.expr(
                Expr.Call.of("format_date", e, Expr.Literal.string(mask)).at(e.span()));
    }

    /** A constant text as a constant moment, if it is one. */
    static Optional<Expr> moment(Expr text) {
        return Optional.of(text)
                .filter(Expr.Literal.class::isInstance)
                .map(t -> typed(usual((Expr.Literal) t), ValueKind.TIMESTAMP))
                .filter(t -> t instanceof Expr.Literal l && l.kind() == LiteralKind.TIMESTAMP);
    }

    /** A constant text that a function reads, as the constant date or moment. */
    static Optional<Expr> constant(Expr.Call call, Language to) {
        return call.is("timestamp_of")
                ? moment(call.arguments().get(0))
                : Optional.of(call)
                        .filter(c -> c.is("date_of") && to.has(SqlFeature.TYPED_DATES))
                        .flatMap(c -> c.arguments().get(0) instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                                ? Optional.of(typed(l, ValueKind.DATE))
                                : Optional.empty())
                        .filter(t -> t instanceof Expr.Literal l && l.kind() == LiteralKind.DATE);
    }

    /** MySQL's 20260131 and 20260131221500 as texts. */
    Expr.Literal ofNumber(Expr.Literal number) {
        if (adapter.lost(SqlFeature.ZERO_DATES) && number.text().matches("0+")) {
            return new Expr.Literal(LiteralKind.STRING, "0000-00-00", number.span());
        }
        boolean fromYear1900 = adapter.from.has(SqlFeature.DATES_COUNT_FROM_1900)
                && number.text().matches("\\d{5,7}");
        String digits =
                fromYear1900 ? String.valueOf(Long.parseLong(number.text()) + DATE_OF_YEAR_1900) : number.text();
        String full = adapter.from.has(SqlFeature.DATES_ARE_NUMBERS_TOO) ? withCentury(digits) : digits;
        String date = full.replaceFirst("^(\\d{4})(\\d\\d)(\\d\\d)(\\d\\d)(\\d\\d)(\\d\\d)$", "$1-$2-$3 $4:$5:$6")
                .replaceFirst("^(\\d{4})(\\d\\d)(\\d\\d)$", "$1-$2-$3");
        return date.equals(number.text()) ? number : new Expr.Literal(LiteralKind.STRING, date, number.span());
    }

    /** A number whose year has two digits, of 1970 to 2069 ("Date and Time Literals", MySQL), with all of them. */
    private static String withCentury(String digits) {
        int day = digits.length() <= 6 ? 6 : digits.length() > 8 && digits.length() <= 12 ? 12 : 0;
        if (day == 0 || !digits.matches("\\d{3,12}")) {
            return digits;
        }
        String all = "0".repeat(day - digits.length()) + digits;
        return (all.charAt(0) >= '7' ? "19" : "20") + all;
    }

    /** 120000 as noon. */
    static Expr.Literal timeOfNumber(Expr.Literal number) {
        String six = "0".repeat(Math.max(0, 6 - number.text().length())) + number.text();
        String time = six.replaceFirst("^(\\d\\d)([0-5]\\d)([0-5]\\d)$", "$1:$2:$3");
        return time.equals(six) ? number : new Expr.Literal(LiteralKind.STRING, time, number.span());
    }

    /** True where a number is a date, and a date a number, to both engines. */
    boolean numbersAreDatesOnBoth() {
        return adapter.from.has(SqlFeature.DATES_ARE_NUMBERS_TOO) && adapter.to.has(SqlFeature.DATES_ARE_NUMBERS_TOO);
    }

    /** True where numbers are dates to the source, and not to the target. */
    boolean losesNumbers() {
        return adapter.lost(SqlFeature.DATES_ARE_NUMBERS_TOO) || adapter.lost(SqlFeature.DATES_COUNT_FROM_1900);
    }

    /** A text beside a date is a constant of that type where the target has such constants. */
    Expr constant(Expr given, ValueKind kind) {
        boolean number = given instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && losesNumbers();
        Expr e = number ? ofNumber((Expr.Literal) given) : given;
        boolean text = e instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING;
        if (text && Instants.isZoned(((Expr.Literal) e).text())) {
            return adapter.instants.compared((Expr.Literal) e);
        }
        boolean computed = adapter.lost(SqlFeature.DATES_ARE_TEXTS)
                && adapter.kind(e) == ValueKind.TEXT
                && !(e instanceof Expr.Column)
                && !text;
        if (computed) {
            adapter.note(FindingCode.IMPLICIT_CAST, e.span(), "a text beside a date, which has to be a date");
            LogicalType moment = kind == ValueKind.DATE ? new LogicalType.Date() : new LogicalType.Timestamp(6, false);
            return new Expr.Cast(adapter.expr(e), adapter.castType(moment), false, e.span());
        }
        if (!text) {
            return adapter.expr(new Operands(adapter).momentOfText(e));
        }
        Expr.Literal read = asRead((Expr.Literal) e, kind);
        return adapter.to.has(SqlFeature.TYPED_DATES) ? typed(read, kind) : adapter.expr(read);
    }

    /** A text as the date or time that the source reads in it where one is wanted. */
    Expr.Literal asRead(Expr.Literal text, ValueKind kind) {
        boolean empty = text.text().isBlank() && kind.isDate() && adapter.lost(SqlFeature.EMPTY_TEXT_IS_ZERO);
        if (empty) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    text.span(),
                    "an empty text is the first of January 1900 on the source");
            return new Expr.Literal(LiteralKind.STRING, "1900-01-01", text.span());
        }
        if (kind.isDate() && adapter.lost(SqlFeature.EMPTY_TEXT_IS_ZERO) && DateTexts.isClock(text.text())) {
            String clock = text.text().strip();
            return new Expr.Literal(
                    LiteralKind.STRING, "1900-01-01 " + (clock.charAt(1) == ':' ? "0" : "") + clock, text.span());
        }
        Expr.Literal literal = usual(text);
        if (isPlain(literal.text()) || DateTexts.isUsual(literal.text())) {
            return filled(literal, kind);
        }
        Optional<String> usual = DateTexts.usual(adapter.from, literal.text());
        boolean sure = usual.isPresent() && adapter.from.has(SqlFeature.DATES_BY_DOTS);
        if (!sure) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    literal.span(),
                    "'" + literal.text() + "' as a date or time"
                            + usual.map(u -> ": " + u).orElse(""));
        }
        return usual.map(u -> new Expr.Literal(LiteralKind.STRING, u, literal.span()))
                .orElse(literal);
    }

    private Expr.Literal filled(Expr.Literal usual, ValueKind kind) {
        String filled = usual.text();
        if (adapter.to.has(SqlFeature.DATES_ARE_TEXTS)) {
            filled = DateTexts.filled(filled, kind);
        } else if (!isPlain(filled) && !adapter.from.name().equals(adapter.to.name())) {
            filled = DateTexts.twoDigits(filled);
        }
        return filled.equals(usual.text()) ? usual : new Expr.Literal(LiteralKind.STRING, filled, usual.span());
    }

    /** True for {@code 2026-01-31} and {@code 2026-01-31 22:15:00}, which most dates in dumps are; quicker than a pattern. */
    static boolean isPlain(String text) {
        int length = text.length();
        if (length != 10 && length != 19) {
            return false;
        }
        for (int i = 0; i < length; i++) {
            char c = text.charAt(i);
            char wanted = PLAIN.charAt(i);
            if (wanted == '0' ? c < '0' || c > '9' : c != wanted) {
                return false;
            }
        }
        return true;
    }

    /** Dates and times in the spelling that all engines read, of those that only one reads. */
    static Expr.Literal usual(Expr.Literal literal) {
        String text = literal.text().strip();
        if (isPlain(text)) {
            return literal;
        }
        Matcher dotted = DOTTED.matcher(text);
        if (dotted.matches()) {
            String date = dotted.group(1) == null ? "" : dotted.group(1) + " ";
            String time = dotted.group(2) + ":" + dotted.group(3) + ":" + dotted.group(4);
            return new Expr.Literal(
                    literal.kind(), date + time + (dotted.group(5) == null ? "" : dotted.group(5)), literal.span());
        }
        Matcher plain = UNSEPARATED.matcher(text);
        return plain.matches()
                ? new Expr.Literal(
                        literal.kind(),
                        plain.group(1) + "-" + plain.group(2) + "-" + plain.group(3)
                                + (plain.group(4) == null ? "" : plain.group(4)),
                        literal.span())
                : literal;
    }

    static Expr typed(Expr.Literal literal, ValueKind kind) {
        String given = literal.text().strip();
        boolean plain = isPlain(given);
        String text = !plain && WITHOUT_SECONDS.matcher(given).matches() ? given + ":00" : given;
        boolean date = plain ? text.length() == 10 : DATE.matcher(text).matches();
        boolean timestamp = !date && (plain || TIMESTAMP.matcher(text).matches());
        if (date && kind == ValueKind.DATE) {
            return new Expr.Literal(LiteralKind.DATE, text, literal.span());
        }
        if (date && kind == ValueKind.TIMESTAMP) {
            return new Expr.Literal(LiteralKind.TIMESTAMP, text + " 00:00:00", literal.span());
        }
        return timestamp ? new Expr.Literal(LiteralKind.TIMESTAMP, text.replace('T', ' '), literal.span()) : literal;
    }

    /**
     * T-SQL's {@code DATEADD(unit, DATEDIFF(unit, 0, d), 0)}, the start of a day or longer unit; a number may be added to
     * the difference, and for days the two arguments of DATEADD may change places.
     */
    static Optional<Expr> start(Language from, Expr.Call call) {
        boolean adds = from.has(SqlFeature.TIMESTAMP_PLUS_DAYS)
                && call.function().equals("dateadd")
                && call.arguments().size() == 3
                && call.arguments().get(0) instanceof Expr.Column;
        if (!adds) {
            return Optional.empty();
        }
        Optional<DateUnit> unit = unit(call.arguments().get(0));
        Expr amount = call.arguments().get(1);
        Expr base = call.arguments().get(2);
        boolean swapped = unit.filter(u -> u == DateUnit.DAY).isPresent()
                && difference(base, unit).isPresent();
        if (swapped) {
            Expr other = amount;
            amount = base;
            base = other;
        }
        Optional<Expr> date = difference(amount, unit);
        Optional<Expr> more = swapped && !isZero(base) ? Optional.of(base) : Optional.empty();
        boolean fromStart = swapped || isZero(base);
        if (date.isEmpty() && amount instanceof Expr.Binary sum && isSum(sum)) {
            date = difference(sum.left(), unit);
            boolean minus = sum.operator() == BinaryOperator.SUBTRACT;
            more = Optional.of(minus ? negative(sum.right()) : sum.right());
        }
        if (date.isEmpty() || !fromStart) {
            return Optional.empty();
        }
        String word = unit.get().word();
        // Weeks are counted by their Sundays from a Monday: a Sunday belongs to the week after it.
        Expr day =
                unit.get() == DateUnit.WEEK ? Expr.Call.of("add_days", date.get(), Expr.Literal.number(1)) : date.get();
        Expr start = Expr.Call.of("trunc_" + word, day).at(call.span());
        return Optional.of(
                more.map(m -> (Expr) Expr.Call.of("add_" + word + "s", start, m).at(call.span()))
                        .orElse(start));
    }

    private static boolean isSum(Expr.Binary binary) {
        return binary.operator() == BinaryOperator.ADD || binary.operator() == BinaryOperator.SUBTRACT;
    }

    /** The date of {@code DATEDIFF(unit, 0, d)}. */
    private static Optional<Expr> difference(Expr e, Optional<DateUnit> unit) {
        boolean difference = e instanceof Expr.Call c
                && c.function().equals("datediff")
                && c.arguments().size() == 3
                && isZero(c.arguments().get(1))
                && unit.isPresent()
                && unit(c.arguments().get(0)).equals(unit)
                && Set.of(DateUnit.YEAR, DateUnit.QUARTER, DateUnit.MONTH, DateUnit.WEEK, DateUnit.DAY, DateUnit.HOUR)
                        .contains(unit.get());
        return difference ? Optional.of(((Expr.Call) e).arguments().get(2)) : Optional.empty();
    }

    private static Optional<DateUnit> unit(Expr e) {
        return e instanceof Expr.Column c ? DateUnit.named(c.name().last().text()) : Optional.empty();
    }

    /** Zero, or the first of 1900, which is the same moment. */
    private static boolean isZero(Expr e) {
        return e instanceof Expr.Literal l && l.text().matches("0|1900-?01-?01")
                || e instanceof Expr.Cast c && isZero(c.value());
    }

    /** A number where T-SQL wants a date is one of days after the first of 1900. */
    static List<Expr> days(Language from, Expr.Call call, List<Expr> arguments) {
        String name = call.name().last().key();
        boolean dates =
                from.has(SqlFeature.TIMESTAMP_PLUS_DAYS) && arguments.size() == 3 && name.matches("dateadd|datediff");
        if (!dates) {
            return arguments;
        }
        List<Expr> read = new ArrayList<>(arguments);
        for (int i = name.equals("dateadd") ? 2 : 1; i < 3; i++) {
            if (read.get(i) instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(5)) {
                String day = java.time.LocalDate.of(1900, 1, 1)
                        .plusDays(Integer.parseInt(l.text()))
                        .toString();
                read.set(i, new Expr.Literal(LiteralKind.TIMESTAMP, day + " 00:00:00", l.span()));
            }
        }
        return read;
    }

    /** PostgreSQL puts a date and a time of day together; elsewhere that is a sum of other things, or none. */
    static Expr.Binary separable(Expr.Binary binary, ExprAdapter adapter) {
        ValueKind left = adapter.kind(binary.left());
        ValueKind right = adapter.kind(binary.right());
        boolean both = left.isDate() && right == ValueKind.TIME || left == ValueKind.TIME && right.isDate();
        if (both && !adapter.from.name().equals(adapter.to.name())) {
            throw new Untranslatable("a date and a time of day put together");
        }
        return binary;
    }
}
