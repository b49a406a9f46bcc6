package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;
import raftcart.type.LogicalType;

/** Adapts operators: what they mean depends on the kinds of their operands. */
final class OperatorAdapter {
    private final ExprAdapter adapter;

    OperatorAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr binary(Expr.Binary given) {
        Expr.Binary binary = new Operands(adapter).meant(given);
        return adapter.instants.beside(List.of(binary.left(), binary.right()), () -> operation(binary));
    }

    private Expr operation(Expr.Binary given) {
        Optional<Expr.Binary> moments = IntervalForms.compared(given, adapter);
        return moments.isPresent() ? binary(moments.get()) : operated(given);
    }

    private Expr operated(Expr.Binary given) {
        Expr.Binary binary = new Operands(adapter).ofNumbers(given);
        RowComparisons rows = new RowComparisons(adapter);
        if (rows.concerns(binary)) {
            return adapter.condition(rows.compare(binary));
        }
        boolean none = isNull(binary.left()) || isNull(binary.right());
        if (none && (binary.operator() == BinaryOperator.SAME || binary.operator() == BinaryOperator.DIFFERENT)) {
            Expr value = isNull(binary.right()) ? binary.left() : binary.right();
            boolean differs = binary.operator() == BinaryOperator.DIFFERENT;
            return new Expr.Is(adapter.expr(value), Truth.NULL, differs, binary.span());
        }
        return binary.operator().compares() ? comparison(binary) : computed(binary);
    }

    private Expr comparison(Expr.Binary binary) {
        BareFunctions.refuseRow(binary.left(), adapter);
        BareFunctions.refuseRow(binary.right(), adapter);
        Optional<Expr> zero = new ZeroDates(adapter).compared(binary);
        if (zero.isPresent()) {
            return zero.get();
        }
        adapter.empties.compared(binary);
        new ListedValues(adapter).compared(binary);
        new LostTypes(adapter).compared(binary.operator(), List.of(binary.left(), binary.right()), binary.span());
        List<Expr> sides = comparable(List.of(binary.left(), binary.right()), binary.span());
        return new Expr.Binary(binary.operator(), sides.get(0), sides.get(1), binary.span());
    }

    private Expr computed(Expr.Binary given) {
        numbersOfTexts(given);
        Expr.Binary binary = new Operands(adapter).ofTexts(given);
        new LostTypes(adapter).refuseOperator(binary);
        boolean span = binary.left() instanceof Expr.Interval || binary.right() instanceof Expr.Interval;
        boolean sum = binary.operator() == BinaryOperator.ADD || binary.operator() == BinaryOperator.SUBTRACT;
        if (span && !sum && !adapter.to.has(SqlFeature.INTERVAL_VALUES)) {
            throw new Untranslatable("an interval as a value");
        }
        return switch (binary.operator()) {
            case ADD, SUBTRACT -> new SumAdapter(adapter).sum(DateAdapter.separable(binary, adapter));
            case DIVIDE, DIVIDE_WHOLE, DIVIDE_EXACT, MODULO ->
                same() ? plain(binary) : new DivisionAdapter(adapter).divide(binary);
            case JSON_GET, JSON_GET_TEXT, JSON_PATH, JSON_PATH_TEXT, CONTAINS ->
                same() ? plain(binary) : new JsonPaths(adapter).operator(binary);
            case MULTIPLY -> product(binary);
            case POWER -> power(binary);
            case BIT_AND, BIT_OR, BIT_XOR, SHIFT_LEFT, SHIFT_RIGHT ->
                same() ? plain(binary) : new BitAdapter(adapter).operator(binary, word(binary.operator()));
            case XOR ->
                adapter.to.has(SqlFeature.NUMBERS_ARE_CONDITIONS) && adapter.to.has(SqlFeature.INSERT_IGNORE)
                        ? plain(binary)
                        : new Expr.Binary(
                                BinaryOperator.NOT_EQUAL, side(binary.left()), side(binary.right()), binary.span());
            default -> plain(binary);
        };
    }

    private Expr product(Expr.Binary binary) {
        DivisionDigits.sayMoney(binary, adapter);
        return plain(binary);
    }

    private static boolean isNull(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.NULL;
    }

    /** Says where a text is taken for a number, which the target may refuse. */
    private void numbersOfTexts(Expr.Binary binary) {
        boolean arithmetic =
                switch (binary.operator()) {
                    case ADD, SUBTRACT, MULTIPLY, DIVIDE, MODULO -> true;
                    default -> false;
                };
        boolean text = arithmetic
                && adapter.losesConversions()
                && (adapter.kind(binary.left()) == ValueKind.TEXT || adapter.kind(binary.right()) == ValueKind.TEXT)
                && adapter.kind(binary) != ValueKind.TEXT
                && !(binary.left() instanceof Expr.Interval || binary.right() instanceof Expr.Interval);
        if (text) {
            adapter.note(FindingCode.IMPLICIT_CAST, binary.span(), "a text is taken for a number");
        }
    }

    /** A condition that is compared with another, as a number where conditions are no values. */
    private Expr side(Expr e) {
        Expr truth = truth(e);
        return adapter.to.has(SqlFeature.CONDITIONS_ARE_VALUES) ? truth : Truths.asNumber(truth, e.span());
    }

    /** A condition; of a number, whether it is another than zero. */
    private Expr truth(Expr e) {
        Expr condition = adapter.condition(e);
        boolean number = !KindFinder.isCondition(e)
                && !KindFinder.isCondition(condition)
                && (adapter.kind(e) != ValueKind.BOOLEAN || adapter.to.has(SqlFeature.NUMBERS_ARE_CONDITIONS));
        return number
                ? new Expr.Binary(BinaryOperator.NOT_EQUAL, condition, Expr.Literal.number(0), e.span())
                : condition;
    }

    /** A power as a call of the function, where the target has no operator for it. */
    private Expr power(Expr.Binary binary) {
        boolean call = !same() && !adapter.to.grammar().has(GrammarFeature.CARET_IS_POWER) && adapter.writes("power");
        return call
                ? adapter.expr(
                        Expr.Call.of("power", binary.left(), binary.right()).at(binary.span()))
                : plain(binary);
    }

    private Expr plain(Expr.Binary binary) {
        return new Expr.Binary(
                binary.operator(), adapter.expr(binary.left()), adapter.expr(binary.right()), binary.span());
    }

    /** The function of the dictionary that is called as the operator. */
    private static String word(BinaryOperator operator) {
        return operator.name().toLowerCase(Locale.ROOT);
    }

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    Expr predicate(Expr e) {
        if (e instanceof Expr.InList in) {
            return inList(in);
        }
        if (e instanceof Expr.Between b) {
            new LostTypes(adapter).refuse(List.of(b.value()));
            List<Expr> all = comparable(List.of(b.value(), b.low(), b.high()), b.span());
            boolean either = b.symmetric() && !adapter.from.name().equals(adapter.to.name());
            return either
                    ? eitherWay(all, b)
                    : new Expr.Between(all.get(0), all.get(1), all.get(2), b.symmetric(), b.negated(), b.span());
        }
        adapter.empties.matched((Expr.Like) e);
        return new LikeAdapter(adapter).like((Expr.Like) e);
    }

    /** Between two bounds of which either may be the lower one. */
    private static Expr eitherWay(List<Expr> all, Expr.Between b) {
        Expr up = new Expr.Between(all.get(0), all.get(1), all.get(2), false, b.negated(), b.span());
        Expr down = new Expr.Between(all.get(0), all.get(2), all.get(1), false, b.negated(), b.span());
        return new Expr.Junction(b.negated(), List.of(up, down), b.span());
    }

    private Expr inList(Expr.InList in) {
        adapter.empties.listed(in);
        if (in.items().isEmpty()) {
            // SQLite's empty list: nothing is in it.
            Expr no = new Expr.Binary(
                    BinaryOperator.EQUAL, Expr.Literal.number(in.negated() ? 1 : 0), Expr.Literal.number(1), in.span());
            return adapter.from.name().equals(adapter.to.name()) ? in : no;
        }
        if (in.items().get(0) instanceof Expr.Subquery limited
                && limited.query().paging().isPresent()
                && !adapter.to.has(SqlFeature.LIMIT_IN_SUBQUERY)
                && !adapter.from.name().equals(adapter.to.name())) {
            TableRef rows = new TableRef.Derived(
                    limited.query(), false, Optional.of(TableRef.Alias.of("source_rows_")), in.span());
            Query all = Query.of(QueryBody.Select.of(
                    List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), in.span()))),
                    List.of(rows),
                    Optional.empty()));
            Expr apart = new Expr.Subquery(all, in.span());
            return new Expr.InList(adapter.expr(in.value()), List.of(adapter.expr(apart)), in.negated(), in.span());
        }
        boolean rows = in.value() instanceof Expr.Row
                && in.items().get(0) instanceof Expr.Subquery
                && !adapter.to.has(SqlFeature.ROW_VALUES)
                && adapter.askedForTrue
                && !in.negated();
        if (rows) {
            return adapter.condition(new RowComparisons(adapter).exists(in));
        }
        if (in.items().get(0) instanceof Expr.Subquery) {
            Expr.InList alike = same() ? in : new Operands(adapter).amongRows(in);
            return new Expr.InList(adapter.expr(alike.value()), adapter.exprs(alike.items()), in.negated(), in.span());
        }
        new LostTypes(adapter).compared(BinaryOperator.EQUAL, List.of(in.value()), in.span());
        RowComparisons comparisons = new RowComparisons(adapter);
        if (comparisons.concerns(in)) {
            return adapter.condition(comparisons.in(in));
        }
        List<Expr> all = new ArrayList<>(List.of(in.value()));
        all.addAll(in.items());
        List<Expr> adapted = comparable(all, in.span());
        return new Expr.InList(adapted.get(0), adapted.subList(1, adapted.size()), in.negated(), in.span());
    }

    List<Expr> comparable(List<Expr> expressions, Span span) {
        new ZeroDates(adapter).refuse(expressions);
        return adapter.instants.beside(expressions, () -> ofOneKind(alike(expressions), span));
    }

    private List<Expr> alike(List<Expr> compared) {
        List<Expr> texts = new ListedValues(adapter).besideTexts(compared);
        return new UniqueIds(adapter).alike(new Operands(adapter).compared(texts));
    }

    /** An enumeration beside a number is the place of its value among the others. */
    void refuseEnumeration(Expr e) {
        boolean enumeration = adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(LogicalType.Enumeration.class::isInstance)
                .isPresent();
        if (enumeration) {
            throw new Untranslatable("an enumeration by the place of its value");
        }
    }

    private List<ValueKind> kinds(List<Expr> expressions) {
        List<ValueKind> kinds = new ArrayList<>(expressions.size());
        for (Expr e : expressions) {
            kinds.add(adapter.kind(e));
        }
        return kinds;
    }

    /** Expressions that are compared with each other, brought to one kind. */
    private List<Expr> ofOneKind(List<Expr> given, Span span) {
        List<Expr> expressions =
                ClockTimes.among(new TextMoments(adapter).alike(ByteTexts.asLetters(given, adapter)), adapter);
        List<ValueKind> kinds = kinds(expressions);
        if (!same()) {
            mixedKinds(expressions, kinds, span);
            new TextRules(adapter).compared(given, span);
            new Operands(adapter).perhapsDates(expressions);
        }
        boolean texts = adapter.lost(SqlFeature.DATES_ARE_TEXTS)
                && expressions.stream().anyMatch(e -> e instanceof Expr.Column && adapter.kind(e) == ValueKind.TEXT);
        if (texts) {
            return expressions.stream().map(new DateAdapter(adapter)::asText).toList();
        }
        boolean numbers = kinds.stream().anyMatch(ValueKind::isNumber);
        if (numbers && adapter.losesConversions()) {
            expressions.forEach(this::refuseEnumeration);
        }
        boolean bool = kinds.contains(ValueKind.BOOLEAN);
        Optional<ValueKind> date = kinds.stream().filter(ValueKind::isDate).findFirst();
        boolean stamped =
                kinds.contains(ValueKind.TIMESTAMP) && !adapter.to.has(SqlFeature.DATES_BESIDE_TIMESTAMPS) && !same();
        boolean bytes = !same() && expressions.stream().anyMatch(this::isBytes);
        List<Expr> adapted = new ArrayList<>();
        for (Expr original : expressions) {
            Expr e = bytes ? ByteTexts.of(original, adapter.from) : plain(original);
            if (bool && !same()) {
                adapted.add(new Truths(adapter).beside(e));
            } else if (stamped && (adapter.kind(e) == ValueKind.DATE || adapter.kind(e) == ValueKind.TEXT)) {
                adapted.add(new Expr.Cast(
                        new DateAdapter(adapter).constant(e, ValueKind.TIMESTAMP),
                        adapter.castType(new LogicalType.Timestamp(6, false)),
                        false,
                        e.span()));
            } else if (isNumberOfTime(e, kinds) || isTextOfTime(e, kinds)) {
                adapted.add(time((Expr.Literal) e));
            } else if (date.isPresent() && !same()) {
                adapted.add(new DateAdapter(adapter).constant(e, date.get()));
            } else {
                adapted.add(new LongTexts(adapter).comparable(original, asNumber(e, numbers)));
            }
        }
        adapted.replaceAll(e -> PlainConstants.typedNull(e, adapter));
        return ExactTexts.compared(expressions, adapted, adapter);
    }

    /** A regular expression is found in a text. */
    Expr matches(Expr.Matches matches) {
        TextRules texts = new TextRules(adapter);
        texts.read(matches.pattern(), matches.span());
        if (!matches.ignoreCase()) {
            texts.matched(matches.value(), matches.pattern(), matches.span());
        }
        Expr value = adapter.expr(FilledTexts.matched(matches, adapter));
        boolean number = adapter.kind(matches.value()).isNumber()
                && !adapter.to.has(SqlFeature.CONVERTS_SILENTLY)
                && !adapter.to.has(SqlFeature.CONVERTS_OR_FAILS);
        Expr pattern = new RegexPatterns(adapter).pattern(matches.pattern(), "");
        return new Expr.Matches(
                number ? new Expr.Cast(value, adapter.castType(new LogicalType.Text(0)), false, value.span()) : value,
                adapter.expr(pattern),
                matches.ignoreCase(),
                matches.negated(),
                matches.span());
    }

    /** A number beside a time of day, where only the source takes it for one. */
    private boolean isNumberOfTime(Expr e, List<ValueKind> kinds) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER
                && l.isDigits(6)
                && (kinds.contains(ValueKind.TIME) || kinds.contains(ValueKind.INTERVAL))
                && adapter.lost(SqlFeature.DATES_ARE_NUMBERS_TOO);
    }

    private Expr time(Expr.Literal constant) {
        return constant.kind() == LiteralKind.NUMBER
                ? DateAdapter.timeOfNumber(constant)
                : adapter.expr(new DateAdapter(adapter).asRead(constant, ValueKind.TIME));
    }

    private boolean isTextOfTime(Expr e, List<ValueKind> kinds) {
        return !same()
                && kinds.contains(ValueKind.TIME)
                && e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
    }

    private Expr plain(Expr e) {
        return same() ? e : PlainConstants.compared(e, adapter);
    }

    /** A text beside a number is a floating-point number to engines that convert without being asked. */
    private Expr asNumber(Expr e, boolean numbers) {
        boolean text = numbers && adapter.losesConversions() && adapter.kind(e) == ValueKind.TEXT;
        if (text && e instanceof Expr.Literal constant) {
            if (constant.text().isBlank() && adapter.from.has(SqlFeature.EMPTY_TEXT_IS_ZERO)) {
                return Expr.Literal.number(0);
            }
            return adapter.from.has(SqlFeature.MIXED_RESULTS_ARE_TEXTS)
                    ? PlainConstants.leading(constant)
                    : adapter.expr(e);
        }
        Expr adapted = adapter.expr(e);
        return text ? new Expr.Cast(adapted, adapter.castType(new LogicalType.Floating(64)), false, e.span()) : adapted;
    }

    private boolean isBytes(Expr e) {
        return adapter.kind(e) == ValueKind.BYTES
                && adapter.facts(e)
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(LogicalType.Bits.class::isInstance)
                        .isEmpty()
                && !(e instanceof Expr.Literal l && l.kind() == LiteralKind.BITS);
    }

    /** Says where a text beside something unknown is a date to the source alone. */
    private void perhapsDates(List<Expr> expressions, Span span) {
        expressions.stream()
                .filter(e -> e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING)
                .map(e -> ((Expr.Literal) e).text())
                .filter(t -> !DateTexts.isUsual(t)
                        && DateTexts.usual(adapter.from, t).isPresent())
                .findFirst()
                .ifPresent(t -> adapter.note(
                        FindingCode.TYPES_UNKNOWN,
                        span,
                        "'" + t + "' may be a date, which other engines write otherwise"));
    }

    private void mixedKinds(List<Expr> expressions, List<ValueKind> kinds, Span span) {
        FilledTexts.besideOthers(expressions, adapter, span);
        boolean text = kinds.contains(ValueKind.TEXT);
        boolean number = kinds.stream().anyMatch(ValueKind::isNumber);
        if (text && number) {
            adapter.note(FindingCode.IMPLICIT_CAST, span, "a text is compared with a number");
        }
        if (kinds.contains(ValueKind.UNKNOWN) && kinds.stream().noneMatch(ValueKind::isDate)) {
            perhapsDates(expressions, span);
        }
        boolean alike = new DateAdapter(adapter).numbersAreDatesOnBoth();
        boolean days = kinds.stream().anyMatch(ValueKind::isDate) && number && !alike;
        boolean read = new DateAdapter(adapter).losesNumbers()
                && expressions.stream()
                        .allMatch(e ->
                                e instanceof Expr.Literal || !adapter.kind(e).isNumber());
        if (days && !read) {
            adapter.note(FindingCode.IMPLICIT_CAST, span, "a date is compared with a number");
        }
    }
}
