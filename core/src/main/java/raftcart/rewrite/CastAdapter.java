package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Adapts casts, and the constants in them. */
final class CastAdapter {
    /** Words that PostgreSQL takes for dates. */
    private static final Set<String> SPECIAL_DATES =
            Set.of("infinity", "-infinity", "now", "today", "tomorrow", "yesterday", "epoch", "allballs");

    private static final Pattern NO_NUMBER = Pattern.compile("(?i)\\s*[-+]?(nan|inf(inity)?)\\s*");

    private final ExprAdapter adapter;

    CastAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A text that is cast to text, as PostgreSQL writes every constant of a view, is that text. */
    Expr bare(Expr e) {
        boolean plain = e instanceof Expr.Cast cast
                && !adapter.from.name().equals(adapter.to.name())
                && cast.type().parameters().isEmpty()
                && !cast.type().array()
                && cast.type().name().matches("text|varchar|character varying|string|clob|nclob|longtext")
                && !adapter.from.has(SqlFeature.CAST_OF_30)
                && (cast.value() instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                        || cast.value() instanceof Expr.Column c && isVarying(c));
        return plain ? ((Expr.Cast) e).value() : e;
    }

    /** True for a cast of a decimal to one of any digits, which keeps those that there are. */
    private boolean isAnyDecimal(Expr.Cast cast) {
        return !adapter.from.name().equals(adapter.to.name())
                && adapter.finder.type(cast.type()) instanceof LogicalType.Decimal any
                && any.precision() == 0
                && adapter.facts(cast.value())
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Decimal d && d.precision() > 0)
                        .isPresent();
    }

    private boolean isVarying(Expr.Column column) {
        return adapter.scope
                .column(column.name())
                .flatMap(Scope.ColumnFacts::type)
                .filter(t -> t instanceof LogicalType.Varchar || t instanceof LogicalType.Text)
                .isPresent();
    }

    Expr cast(Expr.Cast whole) {
        Expr.Cast given = JsonPaths.unquoted(read(whole), adapter);
        boolean letters =
                TableAdapter.ignoresCase(given.type()) && !adapter.from.name().equals(adapter.to.name());
        if (letters) {
            adapter.note(
                    FindingCode.CASE_OF_TEXT,
                    given.span(),
                    "a cast to " + given.type().name());
        }
        new CastNotes(adapter).affinity(given);
        Optional<Expr> now = now(given);
        if (now.isPresent()) {
            return now.get();
        }
        Expr bare = isAnyDecimal(given) ? given.value() : bare(given);
        Expr converted = bare == given ? converted(ofBytes(given)) : adapter.expr(bare);
        return CastNotes.losesBlanks(given, adapter)
                ? Expr.Call.of("rtrim", converted).at(given.span())
                : converted;
    }

    /** The cast of what a call means that hangs on its constants. */
    private Expr.Cast read(Expr.Cast cast) {
        boolean plain =
                !(cast.value() instanceof Expr.Call) || adapter.from.name().equals(adapter.to.name());
        return plain
                ? cast
                : adapter.from
                        .grammar()
                        .calls()
                        .meaning((Expr.Call) cast.value())
                        .filter(m -> m.check().isEmpty())
                        .map(m -> new Expr.Cast(m.value(), cast.type(), cast.safe(), cast.span()))
                        .orElse(cast);
    }

    /** Words for days that PostgreSQL and Firebird read as dates. */
    private Expr special(String word, ValueKind wanted, Expr.Cast cast) {
        boolean date = wanted == ValueKind.DATE;
        Expr today = new Expr.CurrentTime(CurrentKind.DATE, -1, cast.span());
        Optional<Expr> moment =
                switch (word) {
                    case "now" ->
                        Optional.of(date ? today : new Expr.CurrentTime(CurrentKind.TIMESTAMP, -1, cast.span()));
                    case "today" -> date ? Optional.of(today) : Optional.empty();
                    case "tomorrow" -> date ? Optional.of(day(today, BinaryOperator.ADD)) : Optional.empty();
                    case "yesterday" -> date ? Optional.of(day(today, BinaryOperator.SUBTRACT)) : Optional.empty();
                    default -> Optional.empty();
                };
        adapter.note(FindingCode.SYNTAX_ADAPTED, cast.span(), "the date '" + word + "'");
        return adapter.expr(moment.orElseThrow(() -> new Untranslatable("the date '" + word + "'")));
    }

    private static Expr day(Expr date, BinaryOperator operator) {
        return new Expr.Binary(operator, date, Expr.Literal.number(1), date.span());
    }

    /** PostgreSQL's {@code ('now'::text)::date}: the text is read as a date only when the value is wanted. */
    private Optional<Expr> now(Expr.Cast cast) {
        boolean now = !adapter.from.name().equals(adapter.to.name())
                && cast.value() instanceof Expr.Cast inner
                && inner.value() instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().equalsIgnoreCase("now");
        if (!now) {
            return Optional.empty();
        }
        return switch (KindFinder.kind(adapter.finder.type(cast.type()))) {
            case DATE -> Optional.of(new Expr.CurrentTime(CurrentKind.DATE, -1, cast.span()));
            case TIMESTAMP -> Optional.of(new Expr.CurrentTime(CurrentKind.TIMESTAMP, -1, cast.span()));
            default -> Optional.empty();
        };
    }

    /** True for a truth value that becomes a number, which the target's cast does not do. */
    private boolean isNumberOfTruth(Expr.Cast cast, ValueKind kind) {
        return kind == ValueKind.BOOLEAN
                && !adapter.to.has(SqlFeature.CASTS_BOOLEANS)
                && KindFinder.kind(adapter.finder.type(cast.type())).isNumber()
                && !adapter.from.name().equals(adapter.to.name());
    }

    private Expr numberOfTruth(Expr.Cast cast) {
        Expr condition = adapter.condition(cast.value());
        LogicalType type = adapter.finder.type(cast.type());
        if (!adapter.to.has(SqlFeature.CASTS_BOOLEANS_TO_INT)) {
            return Truths.asNumber(condition, cast.span());
        }
        TypeName whole = adapter.castType(new LogicalType.Int(32, false));
        Expr number = new Expr.Cast(condition, whole, false, cast.span());
        return type instanceof LogicalType.Int
                ? number
                : new Expr.Cast(number, adapter.castType(type), false, cast.span());
    }

    private Expr converted(Expr.Cast cast) {
        ValueKind kind = adapter.kind(cast.value());
        if (isNumberOfTruth(cast, kind)) {
            adapter.note(FindingCode.CONDITION_ADAPTED, cast.span(), "a truth value as a number");
            return numberOfTruth(cast);
        }
        boolean same = adapter.from.name().equals(adapter.to.name());
        Expr fitted = same || adapter.to.has(SqlFeature.DATES_ARE_TEXTS) // for which WholeSeconds sees to it
                ? cast.value()
                : new SecondFractions(adapter).fitted(cast.value(), wanted(cast));
        Expr value = adapter.expr(fitted);
        if (same) {
            return new Expr.Cast(value, cast.type(), cast.safe(), cast.span());
        }
        if (cast.type().name().matches("regclass|name|oid|unknown")) {
            return value;
        }
        LogicalType type = wanted(cast);
        Optional<Expr> plain = PlainConstants.of(cast, type, adapter);
        if (plain.isPresent()) {
            return plain.get();
        }
        return converted(cast, value, kind, type);
    }

    private void refuseBits(Expr.Cast cast, ValueKind kind, LogicalType type) {
        if (kind.isNumber() && !adapter.to.has(SqlFeature.BITS_OF_NUMBERS)) {
            throw new Untranslatable("the bits of a number");
        }
        if (isResized(cast, type)) {
            throw new Untranslatable("bits cut or filled up to another length");
        }
    }

    /** True for bits that get another length, on a target whose bits have none. */
    private boolean isResized(Expr.Cast cast, LogicalType type) {
        return !cast.type().parameters().isEmpty()
                && adapter.facts(cast.value())
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(type::equals)
                        .isEmpty()
                && TargetTypes.chosen(type, adapter.to).form() != ValueForm.TEXT
                && !adapter.to.has(SqlFeature.BITS_HAVE_TEXT_FUNCTIONS);
    }

    private Expr converted(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        ValueKind wanted = KindFinder.kind(type);
        boolean json = type instanceof LogicalType.Json && (kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN);
        if (json && adapter.from.has(SqlFeature.CASTS_PARSE_JSON) != adapter.to.has(SqlFeature.CASTS_PARSE_JSON)) {
            return jsonOfText(cast, value);
        }
        if (type instanceof LogicalType.Bits) {
            refuseBits(cast, kind, type);
        }
        if (wanted.isDate()
                && bare(cast.value()) instanceof Expr.Literal l
                && SPECIAL_DATES.contains(l.text().toLowerCase(Locale.ROOT))) {
            return special(l.text().toLowerCase(Locale.ROOT), wanted, cast);
        }
        if (type instanceof LogicalType.Opaque opaque) {
            throw new Untranslatable("a cast to " + opaque.nativeName());
        }
        boolean alike = new DateAdapter(adapter).numbersAreDatesOnBoth();
        if (kind.isDate() && wanted.isNumber() && !alike) {
            throw new Untranslatable("a date as a number");
        }
        if (kind.isNumber() && wanted.isDate() && !alike) {
            return dateOfNumber(cast, wanted);
        }
        special(cast, wanted);
        Optional<Expr> constant = new UuidCasts(adapter)
                .cast(cast, value, kind, type)
                .or(() -> adapter.instants.ofText(bare(cast.value()), type))
                .or(() -> bytes(cast, type))
                .or(() -> ClockTimes.cast(bare(cast.value()), kind, type, adapter))
                .or(() -> new TruthTexts(adapter).cast(cast, bare(cast.value()), wanted))
                .or(() -> MomentCasts.ofText(cast, bare(cast.value()), type, adapter))
                .or(() -> new WholeSeconds(adapter).cast(bare(cast.value()), kind, type));
        if (constant.isPresent()) {
            return constant.get();
        }
        refuseBytes(cast, kind, type);
        if (kind == ValueKind.BYTES && wanted == ValueKind.TEXT) {
            return decoded(cast, value, type);
        }
        new CastNotes(adapter).uncertain(cast, type, kind);
        unsigned(cast);
        return kept(cast, value, kind, type);
    }

    /** Refuses what is bytes, or a span of time, to one side and a number to the other. */
    private void refuseBytes(Expr.Cast cast, ValueKind kind, LogicalType type) {
        ValueKind wanted = KindFinder.kind(type);
        if (kind == ValueKind.INTERVAL && wanted.isNumber()) {
            throw new Untranslatable("a span of time as a number");
        }
        boolean bits = type instanceof LogicalType.Bits
                || adapter.facts(cast.value())
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(LogicalType.Bits.class::isInstance)
                        .isPresent();
        if (!bits && (kind == ValueKind.BYTES && wanted.isNumber() || kind.isNumber() && wanted == ValueKind.BYTES)) {
            throw new Untranslatable("bytes as a number, or a number as bytes");
        }
    }

    /** A constant number as the date that it is to the source. */
    private Expr dateOfNumber(Expr.Cast cast, ValueKind wanted) {
        boolean constant = cast.value() instanceof Expr.Literal && new DateAdapter(adapter).losesNumbers();
        Expr date = constant ? new DateAdapter(adapter).constant(cast.value(), wanted) : cast.value();
        if (!(date instanceof Expr.Literal l) || l.kind() == LiteralKind.NUMBER) {
            throw new Untranslatable("a number as a date");
        }
        return date;
    }

    private Expr kept(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        boolean truth = KindFinder.kind(type) == ValueKind.BOOLEAN;
        if (truth && kind.isNumber() && !adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)) {
            Expr zero = Expr.Literal.number(0);
            Expr isTrue = new Expr.Binary(BinaryOperator.NOT_EQUAL, value, zero, cast.span());
            return Truths.asNumber(isTrue, cast.span());
        }
        // PostgreSQL casts numbers of 32 bits alone.
        boolean compared = adapter.from.has(SqlFeature.CASTS_MAKE_TRUTH)
                && (!(cast.value() instanceof Expr.Literal) || !adapter.to.has(SqlFeature.CASTS_MAKE_TRUTH));
        if (truth && kind.isNumber() && compared) {
            return new Expr.Binary(BinaryOperator.NOT_EQUAL, value, Expr.Literal.number(0), cast.span());
        }
        return cast.safe() && !adapter.to.has(SqlFeature.SAFE_CASTS)
                ? safe(cast, value, kind, type)
                : written(cast, fitted(cast, value, kind, type), type);
    }

    /** What the target would take for another value: texts for NaN and infinity, texts of arrays. */
    private void special(Expr.Cast cast, ValueKind wanted) {
        boolean number = cast.value() instanceof Expr.Literal l
                && NO_NUMBER.matcher(l.text()).matches();
        boolean lost = wanted == ValueKind.FLOAT && adapter.lost(SqlFeature.SPECIAL_FLOAT_TEXTS)
                || wanted == ValueKind.DECIMAL && adapter.lost(SqlFeature.SPECIAL_DECIMAL_TEXTS);
        if (number && lost) {
            throw new Untranslatable("NaN or infinity");
        }
        if (cast.type().array() && cast.value() instanceof Expr.Literal l && l.kind() == LiteralKind.STRING) {
            throw new Untranslatable("an array that is given as a text");
        }
    }

    /** Bytes as the characters that they are on the source. */
    private Expr decoded(Expr.Cast cast, Expr value, LogicalType type) {
        boolean decodes = adapter.from.has(SqlFeature.CASTS_DECODE_BYTES);
        if (decodes && adapter.to.has(SqlFeature.CASTS_DECODE_BYTES)) {
            return written(cast, value, type);
        }
        if (!decodes || !adapter.writes("text_of_bytes")) {
            throw new Untranslatable("bytes as a text");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, cast.span(), "bytes are read as characters");
        Expr text = Expr.Call.of("text_of_bytes", value).at(cast.span());
        int length = type instanceof LogicalType.Varchar v
                ? v.length()
                : type instanceof LogicalType.Char c ? c.length() : 0;
        return length == 0 ? text : written(cast, text, type);
    }

    /** A constant text as the bytes that it stands for. */
    private Optional<Expr> bytes(Expr.Cast cast, LogicalType type) {
        boolean possible = KindFinder.kind(type) == ValueKind.BYTES
                && !(type instanceof LogicalType.Bits)
                && cast.value() instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        if (!possible) {
            return Optional.empty();
        }
        if (type instanceof LogicalType.Binary fixed && fixed.length() > 1) {
            return ByteTexts.bytes((Expr.Literal) cast.value(), adapter.from)
                    .map(l -> ByteTexts.padded(l, fixed.length()));
        }
        boolean large = type instanceof LogicalType.Blob && adapter.to.has(SqlFeature.BLOBS_WANT_CASTS);
        return ByteTexts.bytes((Expr.Literal) cast.value(), adapter.from)
                .map(l -> large ? new Expr.Cast(l, adapter.castType(type), false, cast.span()) : l);
    }

    /** A date given by the bytes in which it is stored. */
    private Expr.Cast ofBytes(Expr.Cast cast) {
        boolean bytes = !adapter.from.name().equals(adapter.to.name())
                && adapter.from.has(SqlFeature.BYTES_ARE_DATES)
                && cast.value() instanceof Expr.Literal l
                && l.kind() == LiteralKind.BYTES;
        if (!bytes) {
            return cast;
        }
        Expr.Literal literal = (Expr.Literal) cast.value();
        return BinaryDates.text(literal.text(), cast.type().name())
                .map(t -> new Expr.Cast(
                        new Expr.Literal(LiteralKind.STRING, t, literal.span()), cast.type(), cast.safe(), cast.span()))
                .orElse(cast);
    }

    /** The type that a cast means; some engines take a length that is left out for as long as it needs to be. */
    private LogicalType wanted(Expr.Cast cast) {
        boolean thirty = adapter.from.has(SqlFeature.CAST_OF_30)
                && cast.type().parameters().isEmpty()
                && cast.type().name().matches("n?(var)?char|(var)?binary");
        if (thirty) {
            return adapter.finder.type(new TypeName(cast.type().name(), List.of(30), List.of(), 0));
        }
        boolean kept = adapter.from.has(SqlFeature.DECIMALS_KEEP_DIGITS)
                && adapter.finder.type(cast.type()) instanceof LogicalType.Decimal;
        if (kept) {
            return new LogicalType.Decimal(0, 0, false);
        }
        boolean whole = cast.type().parameters().isEmpty() && adapter.from.has(SqlFeature.CAST_KEEPS_LENGTH);
        LogicalType named = adapter.finder.type(cast.type());
        boolean text = named instanceof LogicalType.Char
                || named instanceof LogicalType.Varchar
                || named instanceof LogicalType.Text;
        if (text && !adapter.from.has(SqlFeature.CASTS_CUT_TEXTS) && adapter.to.has(SqlFeature.CASTS_CUT_TEXTS)) {
            return new LogicalType.Text(0);
        }
        return whole && cast.type().name().matches("n?char|character")
                ? new LogicalType.Text(0)
                : adapter.from.has(SqlFeature.CAST_KEEPS_LENGTH)
                                && cast.type().name().matches("n?char|character")
                        ? new LogicalType.Varchar(cast.type().parameter(0, 1))
                        : whole && cast.type().name().equals("binary")
                                ? new LogicalType.Blob(0)
                                : adapter.finder.type(cast.type());
    }

    /** Says what becomes of a number below zero, or of too many digits, in MySQL's own casts. */
    private void unsigned(Expr.Cast cast) {
        boolean positive = cast.value() instanceof Expr.Literal l
                        && l.kind() == LiteralKind.NUMBER
                        && !l.text().startsWith("-")
                || adapter.facts(cast.value())
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Int i && i.unsigned())
                        .isPresent();
        if (cast.type().name().startsWith("unsigned") && !positive && !adapter.to.has(SqlFeature.UNSIGNED_CASTS)) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    cast.span(),
                    "a whole number below zero becomes a great one on the source");
        }
        boolean rounds = cast.type().name().matches("double|float|real")
                && cast.type().parameters().size() == 2;
        if (rounds) {
            adapter.note(FindingCode.IMPLICIT_CAST, cast.span(), "the source rounds to the digits that the type names");
        }
    }

    /** A cast of a text that gives NULL where it is no number; others need none of that. */
    private Expr safe(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        Expr plain = new Expr.Cast(value, adapter.castType(type), false, cast.span());
        boolean number = type instanceof LogicalType.Int || type instanceof LogicalType.Decimal;
        boolean text = kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN;
        if (KindFinder.kind(type) == ValueKind.TEXT || type instanceof LogicalType.Date && kind.isDate()) {
            return plain; // every value has a text, and every moment its day
        }
        if (!number || !text || !adapter.to.has(SqlFeature.REGULAR_EXPRESSIONS)) {
            throw new Untranslatable("a cast that gives NULL for what cannot be converted");
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                cast.span(),
                "NULL for what is no number; one that is too great for the type is refused");
        String digits = type instanceof LogicalType.Int ? "[0-9]+" : "([0-9]+[.]?[0-9]*|[.][0-9]+)";
        Expr asText = kind == ValueKind.TEXT
                ? value
                : new Expr.Cast(value, adapter.castType(new LogicalType.Text(0)), false, cast.span());
        Expr fits =
                new Expr.Matches(asText, Expr.Literal.string("^ *[-+]?" + digits + " *$"), false, false, cast.span());
        return new Expr.Case(Optional.empty(), List.of(new Expr.When(fits, plain)), Optional.empty(), cast.span());
    }

    /** The value with no more digits than its type has, as the source makes it so. */
    private Expr fitted(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        Optional<Integer> room = Digits.of(type);
        Digits.Surplus before = Digits.surplus(adapter.from, type);
        Digits.Surplus after = Digits.surplus(adapter.to, type);
        boolean rounded = value instanceof Expr.Call call && call.is("round");
        boolean even = Digits.goToEven(cast.value(), kind, type, adapter) && !rounded;
        boolean fraction = kind == ValueKind.DECIMAL || kind == ValueKind.FLOAT;
        boolean halves = before == Digits.Surplus.ROUND && Digits.otherHalves(kind, type, adapter);
        if (room.isEmpty() || !fraction || !before.differs(after) && !even && !halves) {
            return value;
        }
        Optional<Integer> digits = Digits.of(cast.value(), adapter);
        return digits.isPresent() && digits.get() <= room.get()
                ? value
                : new Shortening(before != Digits.Surplus.CUT, room.get(), cast.span()).of(value, kind, adapter);
    }

    private Expr written(Expr.Cast cast, Expr value, LogicalType type) {
        boolean day = type instanceof LogicalType.Date
                && adapter.to.has(SqlFeature.DATES_HAVE_TIME)
                && adapter.kind(cast.value()) != ValueKind.DATE;
        if (day) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, cast.span(), "the day alone, where a date has a time of day");
            Expr date = new Expr.Cast(value, adapter.castType(type), cast.safe(), cast.span());
            return Expr.Call.of("date_of", date).at(cast.span());
        }
        return cut(cast, new Expr.Cast(value, adapter.castType(type), cast.safe(), cast.span()), type);
    }

    /** A text no longer than its type, where the target's cast does not see to that. */
    private Expr cut(Expr.Cast cast, Expr written, LogicalType type) {
        int length = type instanceof LogicalType.Varchar v
                ? v.length()
                : type instanceof LogicalType.Char c ? c.length() : 0;
        boolean cuts = length > 0
                && adapter.from.has(SqlFeature.CASTS_CUT_TEXTS)
                && !adapter.to.has(SqlFeature.CASTS_CUT_TEXTS);
        return cuts
                ? Expr.Call.of("substring", written, Expr.Literal.number(1), Expr.Literal.number(length))
                        .at(cast.span())
                : written;
    }

    private Expr jsonOfText(Expr.Cast cast, Expr value) {
        if (!adapter.from.has(SqlFeature.CASTS_PARSE_JSON) || !adapter.writes("json_of_text")) {
            throw new Untranslatable("a cast of a text to JSON, which reads it in one engine only");
        }
        return Expr.Call.of("json_of_text", value).at(cast.span());
    }
}
