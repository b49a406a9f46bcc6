package raftcart.rewrite;

import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Instants, which are timestamps with a zone: their constants, and the present where it stands beside one. A target may
 * have a function of its own for the present with its zone, and one without such a type keeps instants in UTC.
 */
final class Instants {
    /** With the points of DB2's texts ("Datetime values") too. */
    private static final Pattern ZONED = Pattern.compile(
            "(\\d{4}-\\d\\d-\\d\\d)(?:[ T](?=\\d\\d:)|-(?=\\d\\d\\.))(\\d\\d[:.]\\d\\d)([:.]\\d\\d)?(\\.\\d{1,9})?"
                    + " ?(?:([+-])(\\d\\d?)(?::?(\\d\\d))?|Z|UTC|GMT)");

    private static final Pattern NAMED_ZONE = Pattern.compile("\\d\\s*[A-Za-z]{3}");
    private static final DateTimeFormatter SECONDS =
            DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss").withResolverStyle(ResolverStyle.STRICT);

    /** Functions whose result hangs on what a clock shows at the instant. */
    private static final Pattern CLOCK = Pattern.compile(
            "extract_(?!epoch|minute|second|milli|micro|nano).*|day_of_week_.*|trunc_(?!minute|second).*"
                    + "|last_day|next_day|date_of|time_of|timestamp_of|day_name|month_name|format_date|days_of_date"
                    + "|days_since_year_1|diff_(days|weeks|months|quarters|years)");

    /** Functions that make instants of what has no zone. */
    private static final Set<String> MAKING = Set.of("instant_of_epoch", "instant_of", "instant_in_zone");

    /** Functions whose result is one of their arguments. */
    private static final String[] CHOOSING = {"coalesce", "ifnull", "isnull", "nvl", "greatest", "least"};

    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d\\d?-\\d\\d?");

    private static final TypeName TIMESTAMP = TypeName.of("timestamp");

    private final ExprAdapter adapter;
    private final Map<Expr, Optional<LogicalType>> columnOf = new IdentityHashMap<>(Scope.FEW);
    private Place place = new Place(Optional.empty(), List.of(), Nature.NEUTRAL);

    Instants(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** What is known of a value as a moment of time. */
    enum Nature {
        INSTANT,
        PLAIN,
        /** A constant, or the present itself. */
        NEUTRAL,
        UNKNOWN
    }

    /** Where an expression stands: beside these, or in a column of this nature. */
    private record Place(Optional<Place> outer, List<Expr> beside, Nature column) {}

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    /** Adapts what stands beside these expressions, of which it may be one. */
    <T> T beside(List<Expr> expressions, Supplier<T> adapted) {
        mixed(expressions);
        return in(new Place(Optional.of(place), expressions, Nature.NEUTRAL), adapted);
    }

    /** Says where an instant meets a day or a plain timestamp that the two engines set by different clocks. */
    void mixed(List<Expr> expressions) {
        if (!otherClock()) {
            return;
        }
        boolean instant = expressions.stream().anyMatch(e -> isStored(e) && nature(e) == Nature.INSTANT);
        if (instant) {
            expressions.stream().filter(this::isPlain).findFirst().ifPresent(e -> metPlain(e.span()));
        }
    }

    private boolean otherClock() {
        boolean utc = inUtc() || adapter.to.has(SqlFeature.PLAIN_TIMES_ARE_UTC);
        return !same() && utc != adapter.from.has(SqlFeature.PLAIN_TIMES_ARE_UTC);
    }

    private void metPlain(Span span) {
        adapter.note(
                FindingCode.IMPLICIT_CAST,
                span,
                "a time without a zone and an instant: one engine goes by the clock of UTC, the other by that of the"
                        + " session's zone");
    }

    private boolean isPlain(Expr e) {
        return e instanceof Expr.Literal literal
                ? literal.kind() == LiteralKind.DATE
                        || literal.kind() == LiteralKind.TIMESTAMP
                        || literal.kind() == LiteralKind.STRING
                                && DAY.matcher(literal.text()).lookingAt()
                                && !isZoned(literal.text())
                : nature(e) == Nature.PLAIN && adapter.kind(e).isDate();
    }

    /** Adapts a value that goes into a column. */
    <T> T into(Optional<LogicalType> column, Expr value, Supplier<T> adapted) {
        Nature nature = column.map(Instants::nature).orElse(Nature.UNKNOWN);
        boolean time = column.filter(t -> KindFinder.kind(t).isDate()).isPresent();
        boolean mixed = nature == Nature.INSTANT
                ? !(value instanceof Expr.Literal) && isPlain(value)
                : time && isStored(value) && nature(value) == Nature.INSTANT;
        if (mixed && otherClock()) {
            metPlain(value.span());
        }
        return in(new Place(Optional.empty(), List.of(), nature), adapted);
    }

    /** Tells into which columns the items of a query go. */
    void goInto(QueryBody body, List<Optional<LogicalType>> columns) {
        if (body instanceof QueryBody.SetOperation set) {
            goInto(set.left(), columns);
            goInto(set.right(), columns);
        } else if (body instanceof QueryBody.Select select) {
            for (int i = 0; i < Math.min(select.items().size(), columns.size()); i++) {
                columnOf.put(select.items().get(i).value(), columns.get(i));
            }
        }
    }

    /** Adapts an item of a query. */
    Expr item(Expr item) {
        return columnOf.containsKey(item)
                ? into(columnOf.get(item), item, () -> adapter.expr(item))
                : adapter.expr(item);
    }

    /** Adapts what stands apart, such as a query inside of an expression. */
    <T> T apart(Supplier<T> adapted) {
        return in(new Place(Optional.empty(), List.of(), Nature.NEUTRAL), adapted);
    }

    private <T> T in(Place inner, Supplier<T> adapted) {
        Place before = place;
        place = inner;
        try {
            return adapted.get();
        } finally {
            place = before;
        }
    }

    /** Adapts a call, whose arguments stand beside each other. */
    Expr call(Expr.Call call, FunctionAdapter functions) {
        Optional<Expr> span = TimeDifferences.of(call, adapter);
        if (span.isPresent()) {
            Expr.Binary between = TimeDifferences.between(call);
            return beside(List.of(between.left(), between.right()), () -> sides(span.get(), functions));
        }
        boolean several =
                call.arguments().size() > 1 && call.arguments().stream().anyMatch(Expr.CurrentTime.class::isInstance);
        if (!several) {
            return functions.call(call);
        }
        Expr.Call plain = call.isAny(CHOOSING)
                ? new Expr.Call(call.name(), call.canonical(), plain(call.arguments()), call.suffix(), call.span())
                : call;
        return beside(plain.arguments(), () -> functions.call(plain));
    }

    /** Values of which one is the result, the present among them without a zone where the source's has none. */
    List<Expr> plain(List<Expr> values) {
        boolean zoned = !same()
                && adapter.to.has(SqlFeature.PRESENT_HAS_ZONE)
                && !adapter.from.has(SqlFeature.PRESENT_HAS_ZONE)
                && nature(values) == Nature.PLAIN;
        return zoned
                ? values.stream()
                        .map(e -> e instanceof Expr.CurrentTime t && t.kind() == CurrentKind.TIMESTAMP
                                ? new Expr.CurrentTime(CurrentKind.LOCAL_TIMESTAMP, t.precision(), t.span())
                                : e)
                        .toList()
                : values;
    }

    private static Expr sides(Expr difference, FunctionAdapter functions) {
        return difference instanceof Expr.Binary b
                ? new Expr.Binary(
                        b.operator(),
                        functions.call((Expr.Call) b.left()),
                        functions.call((Expr.Call) b.right()),
                        b.span())
                : functions.call((Expr.Call) difference);
    }

    /** Says where the two engines take a part, or the day, of an instant by different clocks. */
    void partly(Expr.Call call) {
        boolean part =
                CLOCK.matcher(call.function()).matches() && !call.arguments().isEmpty();
        if (part) {
            byClock(call.arguments().get(0), call.span());
        }
    }

    /** The same for an instant that becomes a day, a time, a plain timestamp or a text. */
    void cast(Expr.Cast cast) {
        LogicalType type = adapter.finder.type(cast.type());
        boolean shows = KindFinder.kind(type) == ValueKind.TEXT
                || KindFinder.kind(type).isDate()
                || KindFinder.kind(type) == ValueKind.TIME;
        if (shows && nature(type) != Nature.INSTANT) {
            byClock(cast.value(), cast.span());
        }
    }

    private void byClock(Expr value, Span span) {
        boolean utc = inUtc();
        boolean differs = utc
                || adapter.from.has(SqlFeature.INSTANTS_SHOW_OWN_CLOCK)
                        != adapter.to.has(SqlFeature.INSTANTS_SHOW_OWN_CLOCK);
        if (differs && isStored(value) && !same() && nature(value) == Nature.INSTANT) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    utc
                            ? "by the clock of UTC, on the source by that of the session's zone"
                            : "one engine goes by the clock of the session's zone, the other by that of the value's own");
        }
    }

    private boolean isStored(Expr value) {
        return value instanceof Expr.Column || value instanceof Expr.Binary || isMade(value);
    }

    /** True for an instant that a function makes, of seconds since 1970 say. */
    private boolean isMade(Expr value) {
        return value instanceof Expr.Call call
                && (call.canonical()
                                ? Optional.of(call.function())
                                : adapter.from
                                        .functions()
                                        .recognise(call.name().toString(), call.arguments(), adapter::kind)
                                        .map(r -> r.signature().name()))
                        .filter(MAKING::contains)
                        .isPresent();
    }

    private boolean inUtc() {
        return adapter.to.has(SqlFeature.INSTANTS_IN_UTC) && !keeps(TIMESTAMP);
    }

    /** True for a type of instants that both dialects call the same. */
    boolean keeps(TypeName type) {
        LogicalType meaning = adapter.from.types().read(type);
        return type.name().equals(TIMESTAMP.name())
                && nature(meaning) == Nature.INSTANT
                && meaning.equals(adapter.to.types().read(type));
    }

    /** The present, as what it stands beside wants it. */
    Expr present(Expr.CurrentTime time) {
        boolean own = adapter.writes("zoned_now");
        boolean utc = inUtc();
        if (!same() && time.kind() == CurrentKind.UTC_TIMESTAMP && !adapter.to.has(SqlFeature.UTC_PRESENT)) {
            return ofSession(time);
        }
        if (same() || time.kind() != CurrentKind.TIMESTAMP || !own && !utc) {
            return time;
        }
        boolean zoned = adapter.from.has(SqlFeature.PRESENT_HAS_ZONE);
        Optional<Place> telling = telling();
        Nature nature = telling.map(p -> nature(p.beside())).orElse(Nature.NEUTRAL);
        boolean stored = telling.isPresent() && telling.get().column() != Nature.NEUTRAL;
        nature = stored ? telling.get().column() : nature;
        if (nature == Nature.INSTANT
                || own && zoned && (nature == Nature.NEUTRAL || stored && nature != Nature.PLAIN)) {
            return own
                    ? Expr.Call.of("zoned_now").at(time.span())
                    : present(new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, time.precision(), time.span()));
        }
        if (zoned && nature == Nature.UNKNOWN) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN,
                    time.span(),
                    "the present without its zone; beside an instant "
                            + (utc ? "it has to be in UTC" : "it needs its zone"));
        }
        return time;
    }

    /** The present of the session for that in UTC, where a default can be nothing else; other values as they are. */
    Expr ofSession(Expr given, Expr adapted) {
        if (adapted instanceof Expr.CurrentTime time && time.kind() == CurrentKind.UTC_TIMESTAMP) {
            return ofSession(time);
        }
        boolean date = given instanceof Expr.Call d && d.is("utc_date");
        boolean time = given instanceof Expr.Call t && t.is("utc_time");
        return date || time
                ? ofSession(new Expr.CurrentTime(date ? CurrentKind.DATE : CurrentKind.TIME, -1, given.span()))
                : adapted;
    }

    private Expr ofSession(Expr.CurrentTime time) {
        adapter.note(
                FindingCode.SYNTAX_CHECK, time.span(), "the present in UTC as the session's; let sessions run in UTC");
        CurrentKind kind = time.kind() == CurrentKind.UTC_TIMESTAMP ? CurrentKind.TIMESTAMP : time.kind();
        return new Expr.CurrentTime(kind, time.precision(), time.span());
    }

    /** The innermost place that tells the nature of what stands in it. */
    private Optional<Place> telling() {
        Optional<Place> p = Optional.of(place);
        while (p.isPresent()
                && p.get().column() == Nature.NEUTRAL
                && nature(p.get().beside()) == Nature.NEUTRAL) {
            p = p.get().outer();
        }
        return p;
    }

    private Nature nature(List<Expr> expressions) {
        Nature known = Nature.NEUTRAL;
        for (Expr e : expressions) {
            Nature nature = nature(e);
            if (nature == Nature.INSTANT) {
                return nature;
            }
            if (nature == Nature.PLAIN || known == Nature.NEUTRAL) {
                known = nature;
            }
        }
        return known;
    }

    private static Nature nature(LogicalType type) {
        return type instanceof LogicalType.Timestamp t && t.zoned() ? Nature.INSTANT : Nature.PLAIN;
    }

    Nature nature(Expr e) {
        if (e instanceof Expr.Literal literal) {
            return literal.kind() == LiteralKind.ZONED_TIMESTAMP ? Nature.INSTANT : Nature.NEUTRAL;
        }
        if (e instanceof Expr.Interval) {
            return Nature.NEUTRAL;
        }
        if (e instanceof Expr.CurrentTime time) {
            return time.kind() == CurrentKind.TIMESTAMP ? Nature.NEUTRAL : Nature.PLAIN;
        }
        if (e instanceof Expr.Cast cast) {
            return nature(adapter.finder.type(cast.type()));
        }
        if (isMade(e)) {
            return Nature.INSTANT;
        }
        ValueKind kind = adapter.kind(e);
        if (kind != ValueKind.TIMESTAMP && kind != ValueKind.UNKNOWN) {
            return Nature.PLAIN;
        }
        if (e instanceof Expr.Column) {
            return adapter.facts(e)
                    .flatMap(Scope.ColumnFacts::type)
                    .map(Instants::nature)
                    .orElse(Nature.UNKNOWN);
        }
        if (e instanceof Expr.Binary sum
                && (sum.operator() == BinaryOperator.ADD || sum.operator() == BinaryOperator.SUBTRACT)) {
            return nature(List.of(sum.left(), sum.right()).stream()
                    .filter(s -> !adapter.kind(s).isNumber())
                    .toList());
        }
        return e instanceof Expr.Call call && !call.arguments().isEmpty() ? nature(call.arguments()) : Nature.UNKNOWN;
    }

    /** True for a text that names a moment with its distance from UTC. */
    static boolean isZoned(String text) {
        // Quick, since dumps ask it of every date.
        boolean zone = text.length() > 16
                && (text.indexOf('+', 16) > 0
                        || text.indexOf('-', 16) > 0
                        || Character.isLetter(text.charAt(text.length() - 1)));
        return zone && ZONED.matcher(text.strip()).matches();
    }

    /** A moment with its distance from UTC where it is compared: beside a plain timestamp that distance is passed over. */
    Expr.Literal compared(Expr.Literal literal) {
        boolean plain =
                telling().filter(p -> nature(p.beside()) == Nature.PLAIN).isPresent();
        if (same() || !plain) {
            return constant(literal);
        }
        Matcher m = ZONED.matcher(literal.text().strip());
        adapter.note(
                FindingCode.IMPLICIT_CAST,
                literal.span(),
                "the zone of " + literal.text() + " beside a plain timestamp");
        return m.matches()
                ? new Expr.Literal(
                        LiteralKind.TIMESTAMP, local(m) + (m.group(4) == null ? "" : m.group(4)), literal.span())
                : literal;
    }

    private static String local(Matcher zoned) {
        String time = zoned.group(2) + (zoned.group(3) == null ? ":00" : zoned.group(3));
        return zoned.group(1) + " " + time.replace('.', ':');
    }

    /** A text that names an instant with its zone, cast to a type of instants, as a constant. */
    Optional<Expr> ofText(Expr value, LogicalType type) {
        boolean named = type instanceof LogicalType.Timestamp stamp
                && stamp.zoned()
                && value instanceof Expr.Literal literal
                && literal.kind() == LiteralKind.STRING
                && isZoned(literal.text());
        if (!named) {
            return Optional.empty();
        }
        Expr constant = constant((Expr.Literal) value);
        boolean whole = adapter.to.has(SqlFeature.TYPED_DATES) || adapter.to.has(SqlFeature.DATES_ARE_TEXTS);
        return Optional.of(whole ? constant : new Expr.Cast(constant, adapter.castType(type), false, value.span()));
    }

    /** A moment with its distance from UTC in the spelling that all engines with such constants read, or in UTC. */
    Expr.Literal constant(Expr.Literal literal) {
        Matcher m = ZONED.matcher(literal.text().strip());
        if (same()) {
            return literal;
        }
        if (!m.matches()) {
            if (inUtc() && NAMED_ZONE.matcher(literal.text()).find()) {
                throw new Untranslatable("the time zone of '" + literal.text() + "'");
            }
            return literal;
        }
        String fraction = m.group(4) == null ? "" : m.group(4);
        String local = local(m);
        String hours = m.group(6) == null ? "00" : m.group(6).length() == 1 ? "0" + m.group(6) : m.group(6);
        String zone = (m.group(5) == null ? "+" : m.group(5)) + hours + ":" + (m.group(7) == null ? "00" : m.group(7));
        if (inUtc()) {
            try {
                LocalDateTime utc = LocalDateTime.parse(local, SECONDS)
                        .atOffset(ZoneOffset.of(zone))
                        .withOffsetSameInstant(ZoneOffset.UTC)
                        .toLocalDateTime();
                return new Expr.Literal(LiteralKind.TIMESTAMP, SECONDS.format(utc) + fraction, literal.span());
            } catch (DateTimeException e) {
                throw new Untranslatable("'" + literal.text() + "', which is no moment of time");
            }
        }
        return new Expr.Literal(LiteralKind.ZONED_TIMESTAMP, local + fraction + zone, literal.span());
    }
}
