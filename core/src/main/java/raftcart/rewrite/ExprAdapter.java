package raftcart.rewrite;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Changes expressions so that they mean on the target what they mean on the source. */
class ExprAdapter extends QueryMapper {
    /** Functions that are written as comparisons, which some engines do not take for values. */
    private static final Set<String> PREDICATES = Set.of(
            "starts_with ends_with contains contains_ignoring_case json_exists json_has_key json_valid regexp_like"
                    .split(" "));

    /** More than the longest statement has characters; what is written twice in many levels comes to more. */
    private static final int MOST = 5_000_000;

    private static final Pattern ISO_DATE = Pattern.compile("\\d{4}-\\d{1,2}-\\d{1,2}");

    final Language from;
    final Language to;
    final Knowledge knowledge;
    final AdaptNotes notes;
    final KindFinder finder;
    final Map<Expr, ValueKind> kinds = new IdentityHashMap<>(Scope.FEW);
    final Instants instants;
    final OrderAdapter orders = new OrderAdapter(this);
    final EmptyTexts empties = new EmptyTexts(this);
    private final FunctionAdapter functions;
    private int adapted;
    Scope scope = new Scope(Optional.empty());
    /** False below NOT and where a condition is a value, so that NULL and false are not the same there. */
    boolean askedForTrue = true;
    /** True where a division by zero ends the statement on the source, though it gives NULL elsewhere. */
    private boolean zeroFails;

    ExprAdapter(Language from, Language to, Knowledge knowledge, AdaptNotes notes) {
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
        this.notes = notes;
        this.finder = new KindFinder(from, knowledge);
        this.instants = new Instants(this);
        this.functions = new FunctionAdapter(this);
    }

    ValueKind kind(Expr e) {
        return finder.kind(e, scope);
    }

    /** The kind of an expression that was adapted, for the writer. */
    ValueKind kindOf(Expr adapted) {
        ValueKind known = kinds.get(adapted);
        if (known == null && adapted instanceof Expr.Literal literal) {
            return KindFinder.literal(literal, to);
        }
        return known == null ? ValueKind.UNKNOWN : known;
    }

    void note(FindingCode code, Span span, String detail) {
        notes.add(code, span, detail);
    }

    /** True where the target has words of its own for a canonical function. */
    boolean writes(String function) {
        return to.functions().writes(function);
    }

    /** Does a part of the work in which a division by zero ends the statement on the source, or gives NULL. */
    <T> T dividing(boolean fails, Supplier<T> work) {
        boolean before = zeroFails;
        zeroFails = fails;
        try {
            return work.get();
        } finally {
            zeroFails = before;
        }
    }

    boolean zeroFails() {
        return zeroFails;
    }

    /** True where only the source has a feature, so that something has to be done about it. */
    boolean lost(SqlFeature feature) {
        return from.has(feature) && !to.has(feature);
    }

    /** True where the source takes texts for numbers, and numbers for texts, and the target does not, or not so. */
    boolean losesConversions() {
        boolean converts = from.has(SqlFeature.CONVERTS_SILENTLY) || from.has(SqlFeature.CONVERTS_OR_FAILS);
        boolean kept = to.has(SqlFeature.CONVERTS_SILENTLY)
                || to.has(SqlFeature.CONVERTS_OR_FAILS) && !from.has(SqlFeature.LENIENT_NUMBERS);
        return converts && !kept;
    }

    /** An expression where a value is wanted. */
    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Literal) {
            Expr constant = adapt(e);
            if (constant != e) {
                kinds.put(constant, kind(e));
            }
            return constant;
        }
        ValueKind kind = kind(e);
        boolean before = askedForTrue;
        askedForTrue &= !KindFinder.isCondition(e);
        Expr adapted = adapt(e);
        askedForTrue = before;
        boolean number = lost(SqlFeature.NUMBERS_ARE_CONDITIONS) || !to.has(SqlFeature.CONDITIONS_ARE_VALUES);
        boolean asks = !to.has(SqlFeature.CONDITIONS_ARE_VALUES)
                && adapted instanceof Expr.Call call
                && PREDICATES.contains(call.function());
        if (KindFinder.isCondition(e) && number || asks) {
            note(FindingCode.CONDITION_ADAPTED, e.span(), "a condition as a value");
            adapted = Truths.asNumber(adapted, e.span());
        }
        kinds.put(adapted, kind);
        return adapted;
    }

    /** An expression of the target whose kind is known. */
    <E extends Expr> E ofKind(E adapted, ValueKind kind) {
        kinds.put(adapted, kind);
        return adapted;
    }

    /** An expression where a condition is wanted. */
    Expr condition(Expr given) {
        Expr e = new Truths(this).numeral(functions.meant(given));
        ValueKind kind = kind(e);
        if (KindFinder.isCondition(e)) {
            return adapt(e);
        }
        if (e instanceof Expr.Literal literal && literal.kind() == LiteralKind.BOOLEAN) {
            return to.has(SqlFeature.BOOLEAN_CONSTANTS) ? e : compare(Expr.Literal.number(1), truth(literal), e.span());
        }
        if (kind == ValueKind.NULL && !to.has(SqlFeature.NULL_ITEMS)) {
            return new Expr.Cast(e, castType(new LogicalType.Bool()), false, e.span());
        }
        Expr number = new Operands(this).numberOfText(e);
        boolean plainNumber = (kind.isNumber() || number != e) && from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        if (plainNumber && !to.has(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
            note(FindingCode.CONDITION_ADAPTED, e.span(), "a number as a condition");
            return new Expr.Binary(BinaryOperator.NOT_EQUAL, adapt(number), Expr.Literal.number(0), e.span());
        }
        Expr adapted = adapt(e);
        boolean value = e instanceof Expr.Column
                || e instanceof Expr.Case
                || e instanceof Expr.Subquery
                || e instanceof Expr.Parameter
                || kind == ValueKind.BOOLEAN && adapted instanceof Expr.Call c && (c.is("min") || c.is("max"));
        if (value && !to.has(SqlFeature.VALUES_ARE_CONDITIONS)) {
            note(FindingCode.CONDITION_ADAPTED, e.span(), "a truth value as a condition");
            if (kind == ValueKind.UNKNOWN && from.has(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
                // It may be a number, all of which but zero are true.
                return new Expr.Binary(BinaryOperator.NOT_EQUAL, adapted, Expr.Literal.number(0), e.span());
            }
            return compare(adapted, Expr.Literal.number(1), e.span());
        }
        if (kind == ValueKind.UNKNOWN && value && lost(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
            note(FindingCode.TYPES_UNKNOWN, e.span(), "taken for a truth value, it may be a number");
        }
        return adapted;
    }

    /** A condition that tells false from unknown: below NOT, and in a check, which fails where it is false alone. */
    Expr exactCondition(Expr e) {
        boolean before = askedForTrue;
        askedForTrue = false;
        try {
            return condition(e);
        } finally {
            askedForTrue = before;
        }
    }

    private List<Expr> conditions(List<Expr> parts) {
        List<Expr> adapted = new ArrayList<>(parts.size());
        for (Expr part : parts) {
            adapted.add(condition(part));
        }
        return adapted;
    }

    private static Expr compare(Expr left, Expr right, Span span) {
        return new Expr.Binary(BinaryOperator.EQUAL, left, right, span);
    }

    private static Expr truth(Expr.Literal literal) {
        return Expr.Literal.number(literal.text().equals("true") ? 1 : 0);
    }

    Optional<Expr> optionalCondition(Optional<Expr> condition) {
        return condition.map(this::condition);
    }

    private Expr adapt(Expr e) {
        if (++adapted > MOST) {
            throw new Untranslatable("expressions in each other that come to more than " + MOST + " parts");
        }
        if (e instanceof Expr.Literal literal) {
            return literal(literal);
        }
        Expr meant = new Variants(this).meant(e);
        return ArrayDocuments.adapted(meant, this).orElseGet(() -> adaptedPart(meant));
    }

    private Expr adaptedPart(Expr e) {
        if (e instanceof Expr.Call call) {
            return instants.call(call, functions);
        }
        if (e instanceof Expr.Binary binary) {
            return new OperatorAdapter(this).binary(binary);
        }
        if (e instanceof Expr.Junction junction) {
            return new Expr.Junction(junction.and(), conditions(junction.parts()), junction.span());
        }
        if (e instanceof Expr.Unary unary && unary.operator() == UnaryOperator.NOT) {
            return negation(unary);
        }
        if (e instanceof Expr.Unary unary && unary.operator() == UnaryOperator.BIT_NOT) {
            return new BitAdapter(this).complement(unary);
        }
        if (e instanceof Expr.Unary unary) {
            new LostTypes(this).refuse(List.of(unary.operand()));
            return new Expr.Unary(unary.operator(), expr(new Operands(this).signed(unary)), unary.span());
        }
        if (e instanceof Expr.Case choice) {
            return choice(choice);
        }
        if (e instanceof Expr.Matches matches && !from.name().equals(to.name())) {
            return new OperatorAdapter(this).matches(matches);
        }
        if (e instanceof Expr.InList || e instanceof Expr.Between || e instanceof Expr.Like) {
            return new OperatorAdapter(this).predicate(e);
        }
        if (e instanceof Expr.Quantified quantified && !from.name().equals(to.name())) {
            return quantified(quantified);
        }
        if (e instanceof Expr.Subscript part && kind(part.array()) == ValueKind.TEXT) {
            return expr(part(part));
        }
        return further(e);
    }

    private Expr further(Expr e) {
        if (e instanceof Expr.Cast cast) {
            BareFunctions.refuseRow(cast.value(), this);
            instants.cast(cast);
            new CastNotes(this).items(cast);
            return new Zones(this).cast(cast).map(this::adapt).orElseGet(() -> new CastAdapter(this).cast(cast));
        }
        if (e instanceof Expr.AtZone at) {
            return new Zones(this).at(at);
        }
        if (e instanceof Expr.Concat concat) {
            return new ConcatAdapter(this).concat(concat);
        }
        return e instanceof Expr.Is is ? is(is) : e instanceof Expr.Collate collate ? collate(collate) : leaf(e);
    }

    private Expr negation(Expr.Unary not) {
        return new Expr.Unary(UnaryOperator.NOT, exactCondition(not.operand()), not.span());
    }

    private Expr leaf(Expr e) {
        if (e instanceof Expr.CurrentTime time) {
            return instants.present(Presents.adapted(time, from, to));
        }
        if (e instanceof Expr.Parameter parameter) {
            return new ParameterAdapter(this, functions).adapt(parameter);
        }
        if (e instanceof Expr.Interval
                && !to.has(SqlFeature.INTERVAL_VALUES)
                && !from.name().equals(to.name())) {
            throw new Untranslatable("an interval as a value");
        }
        if (e instanceof Expr.SequenceValue value) {
            return new ColumnSequences(this).value(value);
        }
        return e instanceof Expr.Column column ? column(column) : super.expr(e);
    }

    /** {@code = ANY (ARRAY[...])}, which is what PostgreSQL makes of a list. */
    private Expr quantified(Expr.Quantified quantified) {
        Expr right = quantified.right() instanceof Expr.Cast cast && cast.value() instanceof Expr.ArrayItems
                ? cast.value()
                : quantified.right();
        boolean in = quantified.operator() == BinaryOperator.EQUAL && !quantified.all();
        boolean notIn = quantified.operator() == BinaryOperator.NOT_EQUAL && quantified.all();
        if (right instanceof Expr.ArrayItems items && (in || notIn)) {
            return adapt(new Expr.InList(quantified.left(), items.items(), notIn, quantified.span()));
        }
        boolean rows = right instanceof Expr.Subquery;
        if (!rows && !from.has(SqlFeature.ARRAYS)) {
            return new QuantifiedAdapter(this).values(quantified);
        }
        if (!rows && !to.has(SqlFeature.ARRAYS)) {
            throw new Untranslatable("a comparison with the items of an array");
        }
        if (rows) {
            new TextRules(this).compared(List.of(quantified.left()), quantified.span());
        }
        if (rows && !to.has(SqlFeature.QUANTIFIED_COMPARISONS)) {
            return new QuantifiedAdapter(this).adapt(quantified, (Expr.Subquery) right);
        }
        return super.expr(quantified);
    }

    /** {@code text[2:3]}: the characters from one place to another. */
    private static Expr part(Expr.Subscript part) {
        Expr one = Expr.Literal.number(1);
        Expr start = part.index().orElse(one);
        boolean counted = start instanceof Expr.Literal && part.end().orElse(one) instanceof Expr.Literal;
        if (!counted || start.equals(Expr.Literal.number(0))) {
            throw new Untranslatable("a part of a text whose places are not plain numbers");
        }
        if (part.slice() && part.end().isEmpty()) {
            return Expr.Call.of("substring", part.array(), start).at(part.span());
        }
        long first = Long.parseLong(((Expr.Literal) start).text());
        long last = part.slice() ? Long.parseLong(((Expr.Literal) part.end().get()).text()) : first;
        return Expr.Call.of("substring", part.array(), start, Expr.Literal.number(Math.max(0, last - first + 1)))
                .at(part.span());
    }

    private Expr literal(Expr.Literal literal) {
        boolean empty = literal.kind() == LiteralKind.STRING && literal.text().isEmpty();
        if (empty && lost(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            note(FindingCode.EMPTY_TEXT, literal.span(), "'' is NULL on the source, and is written as NULL");
            return new Expr.Literal(LiteralKind.NULL, "", literal.span());
        }
        if (empty && !from.has(SqlFeature.EMPTY_TEXT_IS_NULL) && to.has(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            note(FindingCode.EMPTY_TEXT, literal.span(), "'' is NULL on the target");
        }
        if (literal.text().startsWith("0000-00-00") && lost(SqlFeature.ZERO_DATES)) {
            note(FindingCode.IMPOSSIBLE_DATES, literal.span(), literal.text());
        }
        boolean date = literal.kind() == LiteralKind.DATE && !from.name().equals(to.name());
        if (date && !ISO_DATE.matcher(literal.text()).matches()) {
            note(
                    FindingCode.IMPLICIT_CAST,
                    literal.span(),
                    "'" + literal.text() + "' as a date: write it as year-month-day");
        }
        if (literal.kind() == LiteralKind.BITS
                && from.has(SqlFeature.UNSIGNED_BITS) != to.has(SqlFeature.UNSIGNED_BITS)) {
            note(FindingCode.IMPLICIT_CAST, literal.span(), "bits, which are a number or bytes on one of the engines");
        }
        return zoned(PlainConstants.withSeconds(literal, this));
    }

    private Expr zoned(Expr.Literal literal) {
        Expr.Literal usual = literal.kind() == LiteralKind.ZONED_TIMESTAMP ? instants.constant(literal) : literal;
        if (usual.kind() != literal.kind()) {
            note(FindingCode.INSTANT_AS_UTC, literal.span(), literal.text());
        }
        return usual;
    }

    /** A column, or a function that is written like one. */
    Expr column(Expr.Column column) {
        RowAddresses addresses = new RowAddresses(this);
        return addresses.is(column) ? addresses.translated(column) : new BareFunctions(this, functions).bare(column);
    }

    private Expr choice(Expr.Case given) {
        Expr.Case choice = new ResultKinds(this).texts(given);
        List<Expr> compared = new ArrayList<>();
        choice.subject().ifPresent(compared::add);
        choice.branches().forEach(b -> compared.add(b.condition()));
        List<Expr> conditions = choice.subject().isEmpty()
                ? compared.stream().map(this::condition).toList()
                : new OperatorAdapter(this).comparable(compared, choice.span());
        int first = choice.subject().isEmpty() ? 0 : 1;
        List<Expr> results = new ArrayList<>();
        choice.branches().forEach(b -> results.add(b.result()));
        choice.otherwise().ifPresent(results::add);
        List<Expr> plain = instants.plain(results);
        List<Expr.When> branches = new ArrayList<>();
        for (int i = 0; i < choice.branches().size(); i++) {
            branches.add(new Expr.When(conditions.get(i + first), expr(plain.get(i))));
        }
        return new Expr.Case(
                choice.subject().map(s -> conditions.get(0)),
                branches,
                choice.otherwise().map(o -> expr(plain.get(plain.size() - 1))),
                choice.span());
    }

    private Expr is(Expr.Is is) {
        BareFunctions.refuseRow(is.value(), this);
        if (is.truth() == Truth.NULL
                && is.value() instanceof Expr.Row row
                && !from.name().equals(to.name())) {
            // A row is NULL if all of it is, and is not NULL if nothing of it is (SQL:2016, 8.8).
            return new Expr.Junction(
                    true,
                    row.items().stream()
                            .<Expr>map(i -> new Expr.Is(expr(i), Truth.NULL, is.negated(), is.span()))
                            .toList(),
                    is.span());
        }
        if (is.truth() == Truth.NULL) {
            return new Expr.Is(expr(is.value()), Truth.NULL, is.negated(), is.span());
        }
        Expr condition = condition(is.value());
        if (is.value() instanceof Expr.Exists && !from.name().equals(to.name())) {
            boolean holds = is.truth() == Truth.TRUE != is.negated();
            return holds ? condition : new Expr.Unary(UnaryOperator.NOT, condition, is.span());
        }
        if (to.has(SqlFeature.IS_TRUE)) {
            return new Expr.Is(condition, is.truth(), is.negated(), is.span());
        }
        note(FindingCode.SYNTAX_ADAPTED, is.span(), "IS " + is.truth() + " as a choice");
        if (is.truth() == Truth.UNKNOWN) {
            return new Expr.Is(Truths.asNumber(condition, is.span()), Truth.NULL, is.negated(), is.span());
        }
        Expr wanted = is.truth() == Truth.TRUE ? condition : new Expr.Unary(UnaryOperator.NOT, condition, is.span());
        Expr number = Expr.Case.of(wanted, Expr.Literal.number(1), Expr.Literal.number(0));
        return compare(number, Expr.Literal.number(is.negated() ? 0 : 1), is.span());
    }

    private Expr collate(Expr.Collate collate) {
        if (from.name().equals(to.name())) {
            return new Expr.Collate(expr(collate.value()), collate.collation(), collate.span());
        }
        note(FindingCode.CASE_OF_TEXT, collate.span(), "COLLATE " + collate.collation() + " left out");
        return expr(collate.value());
    }

    TypeName castType(LogicalType type) {
        return written(to.types().castName(type));
    }

    /** A type in the words of the source. */
    TypeName sourceType(LogicalType type) {
        return TypeNameParser.parse(from.types().castName(type), from.grammar().lexical());
    }

    /** A type as the target's table writes it; one with texts in it is taken apart so that they keep their case. */
    TypeName written(String sql) {
        return sql.indexOf('\'') >= 0 ? TypeNameParser.parse(sql, to.grammar().lexical()) : TypeName.of(sql);
    }

    @Override
    public List<OrderItem> order(List<OrderItem> items) {
        List<OrderItem> adapted = new ArrayList<>();
        for (OrderItem item : items) {
            adapted.addAll(orders.item(item, true));
        }
        return adapted;
    }

    /** What is known of a column, if the expression is one. */
    Optional<ColumnFacts> facts(Expr e) {
        return e instanceof Expr.Column column ? scope.column(column.name()) : Optional.empty();
    }

    @Override
    public Query query(Query query) {
        throw new IllegalStateException("queries are adapted by a subclass");
    }
}
