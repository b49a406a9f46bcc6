package raftcart.rewrite;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.LexicalFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts values that go into columns: truth values, dates and bits in the form that the target takes. */
final class ValueAdapter {
    /** A single bit in two or in sixteen digits, or as no byte at all. */
    private static final Set<String> BIT = Set.of("", "0", "1", "00", "01");

    private static final Pattern ONE = Pattern.compile("(?i)0*1|t|true|y|yes|on");
    private static final Pattern ZERO = Pattern.compile("(?i)0+|f|false|n|no|off");
    private static final Pattern ZERO_DATE = Pattern.compile("0000-00-00([ T][0:.]+)?");
    private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?");

    private static final String A_DAY = "the day alone, where a date has a time of day";

    private static final Pattern DAY_WORD = Pattern.compile("(?i)now(\\(\\))?|today|tomorrow|yesterday");

    private final ExprAdapter adapter;
    private final OwnSpellings spellings;
    private final StoredValues stored;
    private final SecondFractions seconds;
    private final ListedValues listed;
    private final DateAdapter dates;
    private final boolean same;
    private final boolean datesAreTexts;
    private boolean truthNoted;

    ValueAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
        this.spellings = new OwnSpellings(adapter);
        this.stored = new StoredValues(adapter);
        this.seconds = new SecondFractions(adapter);
        this.listed = new ListedValues(adapter);
        this.dates = new DateAdapter(adapter);
        this.same = adapter.from.name().equals(adapter.to.name());
        this.datesAreTexts = adapter.lost(SqlFeature.DATES_ARE_TEXTS);
    }

    /** The values of a row for these columns; those without one are adapted as they are. */
    List<Expr> row(List<Expr> values, List<Optional<KnownColumn>> known) {
        List<Expr> adapted = new ArrayList<>(values.size());
        for (int i = 0; i < values.size(); i++) {
            adapted.add(forColumn(values.get(i), i < known.size() ? known.get(i) : Optional.empty()));
        }
        return adapted;
    }

    /** What is known of these columns; of all columns of the table where none are listed. */
    static List<Optional<KnownColumn>> known(List<Name> columns, Optional<KnownTable> table) {
        if (columns.isEmpty()) {
            return table.map(
                            t -> t.columns().values().stream().map(Optional::of).toList())
                    .orElse(List.of());
        }
        return columns.stream()
                .map(c -> table.map(t -> t.columns().get(c.text().toLowerCase(Locale.ROOT))))
                .toList();
    }

    /** The types of these columns; of all columns of the table where none are listed. */
    static List<Optional<LogicalType>> types(List<Name> columns, Optional<KnownTable> table) {
        return known(columns, table).stream()
                .map(c -> c.flatMap(KnownColumn::type))
                .toList();
    }

    /** A condition whose value a column of truth values takes as it is. */
    private boolean isTruth(Expr value, Optional<LogicalType> type) {
        return !same
                && KindFinder.isCondition(value)
                && type.filter(t -> KindFinder.kind(t) == ValueKind.BOOLEAN).isPresent()
                && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)
                && adapter.to.has(SqlFeature.CONDITIONS_ARE_VALUES);
    }

    /** What a column of this type is computed by. */
    Expr computed(Expr value, Optional<LogicalType> type) {
        if (!same && type.isPresent() && adapter.kind(value) == ValueKind.JSON) {
            return adapter.expr(stored.converted(value, ValueKind.JSON, type.get()));
        }
        return isTruth(value, type) ? adapter.condition(value) : adapter.expr(value);
    }

    /** A value in the form that its column takes. */
    Expr forColumn(Expr value, Optional<KnownColumn> column) {
        Optional<LogicalType> type = column.flatMap(KnownColumn::type);
        boolean text = datesAreTexts
                && type.filter(t -> KindFinder.kind(t) == ValueKind.TEXT).isPresent();
        if (text && !(value instanceof Expr.Literal)) {
            return dates.asText(value);
        }
        if (type.filter(LogicalType.Json.class::isInstance).isPresent() && isTextToParse(value)) {
            return Expr.Call.of("json_of_text", adapter.expr(value)).at(value.span());
        }
        refuse(value, column);
        if (isTruth(value, type)) {
            return adapter.condition(value);
        }
        if (same || type.isEmpty()) {
            return adapter.instants.into(type, value, () -> adapter.expr(value));
        }
        if (value instanceof Expr.Literal items && items.kind() == LiteralKind.STRING && losesArray(type.get())) {
            return ArrayTexts.json(items, (LogicalType.Array) type.get());
        }
        if (type.get() instanceof LogicalType.Array array && bare(value) instanceof Expr.ArrayItems items) {
            return ofItems(items, array, value);
        }
        if (isWordForDay(value, type.get())) {
            return wordForDay((Expr.Literal) value, type);
        }
        ValueKind kind = adapter.kind(value);
        stored.note(value, kind, type.get());
        Expr converted = seconds.fitted(stored.converted(value, kind, type.get()), type.get());
        if (converted != value) {
            return forColumn(converted, column);
        }
        if (value instanceof Expr.Literal literal) {
            return constant(shortened(literal, type.get()), type.get());
        }
        if (isDay(type.get(), kind)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, value.span(), A_DAY);
            return Expr.Call.of("date_of", adapter.expr(value)).at(value.span());
        }
        Truths truths = new Truths(adapter);
        return truths.wantsCondition(kind, type.get()) && kind.isNumber()
                ? truths.value(value)
                : adapter.instants.into(type, value, () -> adapter.expr(fitted(value, type.get())));
    }

    /** True for a moment that goes into a column of days, where the target's would keep its time of day. */
    private boolean isDay(LogicalType type, ValueKind kind) {
        return type instanceof LogicalType.Date
                && kind == ValueKind.TIMESTAMP
                && adapter.to.has(SqlFeature.DATES_HAVE_TIME)
                && !adapter.from.has(SqlFeature.DATES_HAVE_TIME);
    }

    /** A value with as many digits as its column keeps on the source, if the target's would keep others. */
    private Expr fitted(Expr value, LogicalType type) {
        boolean even = Digits.goToEven(value, adapter.kind(value), type, adapter);
        boolean fits = !isShortened(type) && !even
                || !KindFinder.kind(type).isNumber()
                || !hasFraction(adapter.kind(value))
                || Digits.of(value, adapter)
                        .filter(d -> d <= Digits.of(type).orElseThrow())
                        .isPresent();
        return fits ? value : asColumn(value, type);
    }

    /** Refuses what no column of the target takes: rows, and bytes among values of any type. */
    private void refuse(Expr value, Optional<KnownColumn> column) {
        if (!same && value instanceof Expr.Row) {
            throw new Untranslatable("a row as the value of a column");
        }
        boolean bytes =
                !same && column.filter(c -> c.type().isEmpty()).isPresent() && adapter.kind(value) == ValueKind.BYTES;
        if (bytes && adapter.from.grammar().has(GrammarFeature.UNTYPED_COLUMNS)) {
            throw new Untranslatable("bytes in a column without a type, which is one of texts on the target");
        }
    }

    private Expr asColumn(Expr value, LogicalType type) {
        return new Expr.Cast(value, adapter.sourceType(type), false, value.span());
    }

    /** True for a text that is JSON to a column of the source, and a JSON text to one of the target. */
    private boolean isTextToParse(Expr value) {
        return !same
                && !adapter.to.has(SqlFeature.JSON_COLUMNS_PARSE)
                && adapter.kind(value) == ValueKind.TEXT
                && adapter.writes("json_of_text");
    }

    private static boolean hasFraction(ValueKind kind) {
        return kind == ValueKind.DECIMAL || kind == ValueKind.FLOAT;
    }

    /** True where the source shortens numbers for a column of this type, and the target in another way or not. */
    private boolean isShortened(LogicalType type) {
        return Digits.of(type).isPresent()
                && Digits.assigned(adapter.from, type).differs(Digits.assigned(adapter.to, type));
    }

    private Expr.Literal shortened(Expr.Literal literal, LogicalType type) {
        int point = literal.kind() == LiteralKind.NUMBER ? literal.text().indexOf('.') : -1;
        boolean fits = point < 0
                || !isShortened(type)
                || literal.text().length() - point - 1 <= Digits.of(type).orElseThrow();
        if (fits || !NUMBER.matcher(literal.text()).matches()) {
            return literal;
        }
        boolean cut = Digits.assigned(adapter.from, type) == Digits.Surplus.CUT;
        BigDecimal number = new BigDecimal(literal.text())
                .setScale(Digits.of(type).orElseThrow(), cut ? RoundingMode.DOWN : RoundingMode.HALF_UP);
        return new Expr.Literal(LiteralKind.NUMBER, number.toPlainString(), literal.span());
    }

    /** A query whose values go into columns of these types. */
    Query fitted(Query query, List<Optional<LogicalType>> types) {
        return same ? query : query.withBody(fitted(query.body(), types, query));
    }

    /** A constant text for a column of dates in the form that the target reads. */
    private QueryBody.Item asRead(QueryBody.Item item, LogicalType type) {
        ValueKind kind = KindFinder.kind(type);
        return kind.isDate() && item.value() instanceof Expr.Literal text && text.kind() == LiteralKind.STRING
                ? new QueryBody.Item(dates.asRead(text, kind), item.alias())
                : item;
    }

    private QueryBody fitted(QueryBody body, List<Optional<LogicalType>> types, Query whole) {
        if (body instanceof QueryBody.SetOperation set && set.all()) {
            return new QueryBody.SetOperation(
                    set.kind(), true, fitted(set.left(), types, whole), fitted(set.right(), types, whole), set.span());
        }
        if (!(body instanceof QueryBody.Select select) || select.distinct()) {
            return body;
        }
        List<Scope.ColumnFacts> facts = adapter.finder.columns(whole.withBody(body), adapter.scope);
        if (facts.size() != select.items().size()) {
            return body;
        }
        List<QueryBody.Item> items = new ArrayList<>();
        for (int i = 0; i < facts.size(); i++) {
            QueryBody.Item item = select.items().get(i);
            boolean known = i < types.size() && types.get(i).isPresent();
            items.add(known ? fitted(item, facts.get(i), types.get(i).get()) : item);
        }
        return select.withItems(items);
    }

    private QueryBody.Item fitted(QueryBody.Item given, Scope.ColumnFacts facts, LogicalType type) {
        QueryBody.Item item = asRead(given, type);
        ValueKind kind = facts.kind();
        stored.note(item.value(), kind, type);
        boolean alike = facts.type().filter(LogicalType.Uuid.class::isInstance).isPresent();
        Expr fitting = alike ? item.value() : stored.converted(item.value(), kind, type);
        Expr converted = seconds.fitted(fitting, facts, type);
        if (converted != item.value()) {
            boolean truth = KindFinder.isCondition(converted);
            return new QueryBody.Item(truth ? new Truths(adapter).selected(converted) : converted, item.alias());
        }
        if (isDay(type, kind)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, item.value().span(), A_DAY);
            return new QueryBody.Item(
                    Expr.Call.of("date_of", item.value()).at(item.value().span()), item.alias());
        }
        Truths truths = new Truths(adapter);
        boolean wanted = kind.isNumber() || KindFinder.isCondition(item.value());
        if (wanted && truths.wantsCondition(kind, type)) {
            return new QueryBody.Item(truths.selected(item.value()), item.alias());
        }
        boolean fits = !isShortened(type) && !Digits.goToEven(item.value(), kind, type, adapter)
                || !hasFraction(kind)
                || item.value() instanceof Expr.Star
                || facts.type()
                        .flatMap(Digits::of)
                        .filter(d -> d <= Digits.of(type).orElseThrow())
                        .isPresent();
        return fits ? item : new QueryBody.Item(asColumn(item.value(), type), item.alias());
    }

    /** SQLite keeps a fraction in a column of whole numbers ("Datatypes In SQLite"). */
    private void sayFraction(Expr.Literal literal, ValueKind kind) {
        boolean fraction = !same
                && literal.kind() == LiteralKind.NUMBER
                && kind == ValueKind.INTEGER
                && adapter.from.grammar().has(GrammarFeature.UNTYPED_COLUMNS)
                && literal.text().matches(".*\\.\\d*[1-9].*");
        if (fraction) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    literal.span(),
                    literal.text() + " keeps its fraction on the source, in a column of whole numbers");
        }
    }

    private Expr constant(Expr.Literal given, LogicalType type) {
        Expr.Literal literal = spellings.constant(listed.constant(given, type), type);
        ValueKind kind = KindFinder.kind(type);
        if (kind.isDate() && literal.kind() == LiteralKind.NUMBER && dates.losesNumbers()) {
            literal = dates.ofNumber(literal);
        }
        if (kind == ValueKind.TIME
                && literal.kind() == LiteralKind.NUMBER
                && adapter.lost(SqlFeature.DATES_ARE_NUMBERS_TOO)) {
            literal = DateAdapter.timeOfNumber(literal);
        }
        boolean text = literal.kind() == LiteralKind.STRING;
        if (literal.kind() == LiteralKind.ZONED_TIMESTAMP && type instanceof LogicalType.Timestamp t && t.zoned()) {
            return adapter.instants.constant(literal);
        }
        if (kind == ValueKind.BOOLEAN) {
            return truth(literal);
        }
        if (text && (kind.isDate() || kind == ValueKind.TIME)) {
            return moment(literal, kind, type);
        }
        if (kind == ValueKind.BYTES) {
            return new StoredBytes(adapter).constant(literal, type);
        }
        if (literal.kind() == LiteralKind.BYTES) {
            return ofBytes(literal, kind);
        }
        sayFraction(literal, kind);
        boolean numeric = text && kind.isNumber() && !(type instanceof LogicalType.Year);
        if (numeric && literal.text().isBlank() && adapter.from.has(SqlFeature.EMPTY_TEXT_IS_ZERO)) {
            return adapter.expr(new ConvertedResults(adapter).converted(literal, kind));
        }
        if (numeric && NUMBER.matcher(literal.text()).matches()) {
            return shortened(new Expr.Literal(LiteralKind.NUMBER, literal.text(), literal.span()), type);
        }
        if (numeric && kind == ValueKind.DECIMAL && adapter.lost(SqlFeature.MONEY_HAS_CENTS)) {
            literal = PlainConstants.ofMoney(literal).orElse(literal);
        }
        boolean number = literal.kind() == LiteralKind.BOOLEAN && kind.isNumber();
        if (number) {
            return Expr.Literal.number(literal.text().equals("true") ? 1 : 0);
        }
        return adapter.expr(literal);
    }

    /** A text as the date or time of day that it is to the source. */
    private Expr moment(Expr.Literal text, ValueKind kind, LogicalType type) {
        boolean zero =
                text.text().startsWith("0000") && ZERO_DATE.matcher(text.text()).matches();
        if (kind.isDate() && zero) {
            adapter.note(FindingCode.IMPOSSIBLE_DATES, text.span(), text.text());
            return Expr.Literal.ofNull();
        }
        if (type instanceof LogicalType.Timestamp instant && instant.zoned() && Instants.isZoned(text.text())) {
            return adapter.instants.constant(text);
        }
        Expr.Literal read = new ConstantSeconds(adapter).fitted(dates.asRead(text, kind), type);
        if (kind == ValueKind.TIME) {
            return ClockTimes.constant(read, adapter).orElseGet(() -> adapter.expr(read));
        }
        return adapter.to.has(SqlFeature.TYPED_DATES) ? DateAdapter.typed(read, kind) : adapter.expr(read);
    }

    /** Constant bytes as the whole number that they make; anything else as it is. */
    static Expr number(Expr e) {
        boolean bytes = e instanceof Expr.Literal l
                && l.kind() == LiteralKind.BYTES
                && !l.text().isEmpty()
                && l.text().length() <= 16;
        return bytes
                ? new Expr.Literal(
                        LiteralKind.NUMBER, new BigInteger(((Expr.Literal) e).text(), 16).toString(), e.span())
                : e;
    }

    /** Bytes in a column of numbers or texts: what they are to the source. */
    private Expr ofBytes(Expr.Literal bytes, ValueKind kind) {
        Expr number = number(bytes);
        boolean numbers = adapter.from.grammar().lexical().has(LexicalFeature.HEX_NUMBERS_ARE_BYTES);
        if (kind.isNumber() && numbers && number != bytes) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, bytes.span(), "bytes as the number that they are to the source");
            return number;
        }
        if (kind == ValueKind.TEXT) {
            return ByteTexts.text(bytes)
                    .<Expr>map(t -> {
                        adapter.note(FindingCode.SYNTAX_ADAPTED, bytes.span(), "bytes as their characters in UTF-8");
                        return t;
                    })
                    .orElseThrow(() -> new Untranslatable("bytes in a column of texts that are no UTF-8"));
        }
        return adapter.expr(bytes);
    }

    private static Expr bare(Expr value) {
        return value instanceof Expr.Cast cast ? cast.value() : value;
    }

    /** Items as the JSON that the target has for them, or as an array whose type is said where no item tells it. */
    private Expr ofItems(Expr.ArrayItems items, LogicalType.Array type, Expr value) {
        if (losesArray(type) && (ArrayTexts.isConstant(items) || !adapter.writes("array_item"))) {
            return ArrayTexts.json(items, type);
        }
        return items.items().isEmpty()
                ? new Expr.Cast(items, adapter.castType(type), false, value.span())
                : adapter.expr(value);
    }

    private Expr wordForDay(Expr.Literal value, Optional<LogicalType> type) {
        String word = value.text().replace("()", "");
        Expr day = new Expr.Literal(LiteralKind.STRING, word, value.span());
        TypeName name = adapter.sourceType(type.orElseThrow());
        return adapter.instants.into(type, day, () -> adapter.expr(new Expr.Cast(day, name, false, value.span())));
    }

    /** True for a text such as {@code 'TODAY'}, which Firebird and PostgreSQL take for the day ("Special Values"). */
    boolean isWordForDay(Expr value, LogicalType type) {
        return adapter.from.has(SqlFeature.WORDS_ARE_DAYS)
                && KindFinder.kind(type).isDate()
                && value instanceof Expr.Literal l
                && DAY_WORD.matcher(l.text()).matches();
    }

    /** True for an array whose column holds JSON or a text on the target. */
    private boolean losesArray(LogicalType type) {
        return type instanceof LogicalType.Array
                && !(TargetTypes.chosen(type, adapter.to) instanceof LogicalType.Array);
    }

    /** A single bit as bytes or bits, or as the character of that number, which is how dumps write it. */
    private static Optional<Boolean> bit(Expr.Literal literal) {
        String text = literal.text();
        if (literal.kind() == LiteralKind.BYTES || literal.kind() == LiteralKind.BITS) {
            return text.length() <= 2 && BIT.contains(text) ? Optional.of(text.endsWith("1")) : Optional.empty();
        }
        return text.length() == 1 && text.charAt(0) <= 1 ? Optional.of(text.charAt(0) == 1) : Optional.empty();
    }

    private Expr truth(Expr.Literal literal) {
        // Most are a single digit, which needs no pattern.
        String text = literal.text();
        boolean digit = text.equals("0") || text.equals("1");
        boolean one = digit ? text.equals("1") : ONE.matcher(text).matches();
        boolean zero = digit ? !one : !one && ZERO.matcher(text).matches();
        Optional<Boolean> bit = digit ? Optional.empty() : bit(literal);
        if (bit.isPresent()) {
            one = bit.get();
            zero = !one;
        }
        boolean other = literal.kind() == LiteralKind.NUMBER && !one && !zero;
        if (other && adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)) {
            throw new Untranslatable("the number " + text + " for a truth value");
        }
        if (literal.kind() == LiteralKind.NULL || (!one && !zero)) {
            return adapter.expr(literal);
        }
        if (adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)) {
            // Once for all rows: a dump has thousands.
            if (literal.kind() != LiteralKind.BOOLEAN && !truthNoted) {
                truthNoted = true;
                adapter.note(FindingCode.CONDITION_ADAPTED, literal.span(), literal.text() + " for a truth value");
            }
            return new Expr.Literal(LiteralKind.BOOLEAN, one ? "true" : "false", literal.span());
        }
        return Expr.Literal.number(one ? 1 : 0);
    }
}
