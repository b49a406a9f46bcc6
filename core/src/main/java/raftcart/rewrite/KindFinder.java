package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.function.FunctionDictionary.Recognised;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Signatures;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Finds out what kinds of value the expressions of the source have. */
final class KindFinder {
    /** Asked for every value of a dump, for which a hash map is the quicker one. */
    private static final Map<Class<? extends LogicalType>, ValueKind> KINDS = new HashMap<>(Map.ofEntries(
            Map.entry(LogicalType.Bool.class, ValueKind.BOOLEAN),
            Map.entry(LogicalType.Int.class, ValueKind.INTEGER),
            Map.entry(LogicalType.Year.class, ValueKind.INTEGER),
            Map.entry(LogicalType.Decimal.class, ValueKind.DECIMAL),
            Map.entry(LogicalType.Floating.class, ValueKind.FLOAT),
            Map.entry(LogicalType.Char.class, ValueKind.TEXT),
            Map.entry(LogicalType.Varchar.class, ValueKind.TEXT),
            Map.entry(LogicalType.Text.class, ValueKind.TEXT),
            Map.entry(LogicalType.Enumeration.class, ValueKind.TEXT),
            Map.entry(LogicalType.Members.class, ValueKind.TEXT),
            Map.entry(LogicalType.Uuid.class, ValueKind.TEXT),
            Map.entry(LogicalType.Address.class, ValueKind.TEXT),
            Map.entry(LogicalType.Binary.class, ValueKind.BYTES),
            Map.entry(LogicalType.Varbinary.class, ValueKind.BYTES),
            Map.entry(LogicalType.Blob.class, ValueKind.BYTES),
            Map.entry(LogicalType.Bits.class, ValueKind.BYTES),
            Map.entry(LogicalType.Date.class, ValueKind.DATE),
            Map.entry(LogicalType.Time.class, ValueKind.TIME),
            Map.entry(LogicalType.Duration.class, ValueKind.TIME),
            Map.entry(LogicalType.Timestamp.class, ValueKind.TIMESTAMP),
            Map.entry(LogicalType.Json.class, ValueKind.JSON),
            Map.entry(LogicalType.Array.class, ValueKind.ARRAY)));

    private final Language language;
    final Knowledge knowledge;

    KindFinder(Language language, Knowledge knowledge) {
        this.language = language;
        this.knowledge = knowledge;
    }

    static ValueKind kind(LogicalType type) {
        boolean interval = type instanceof LogicalType.Opaque o && o.isInterval();
        return interval ? ValueKind.INTERVAL : KINDS.getOrDefault(type.getClass(), ValueKind.UNKNOWN);
    }

    ValueKind kind(Expr e, Scope scope) {
        if (e instanceof Expr.Literal literal) {
            return literal(literal, language);
        }
        if (e instanceof Expr.Column column) {
            return scope.column(column.name()).map(ColumnFacts::kind).orElseGet(() -> pseudo(column));
        }
        return scope.kind(e, this::computed);
    }

    private ValueKind computed(Expr e, Scope scope) {
        if (e instanceof Expr.Call call) {
            return call(call, scope);
        }
        if (e instanceof Expr.Binary binary) {
            return binary(binary, scope);
        }
        if (e instanceof Expr.Cast cast) {
            return cast.type().array() ? ValueKind.ARRAY : kind(type(cast.type()));
        }
        if (e instanceof Expr.Subscript || e instanceof Expr.Concat || e instanceof Expr.Collate) {
            return new ItemTypes(this, scope).kind(e);
        }
        if (e instanceof Expr.Unary unary) {
            ValueKind operand = kind(unary.operand(), scope);
            return switch (unary.operator()) {
                case NOT -> ValueKind.BOOLEAN;
                case MINUS, PLUS -> number(operand);
                default -> operand;
            };
        }
        if (isCondition(e)) {
            return ValueKind.BOOLEAN;
        }
        return further(e, scope);
    }

    private ValueKind further(Expr e, Scope scope) {
        if (e instanceof Expr.Case choice) {
            List<Expr> results = new ArrayList<>();
            choice.branches().forEach(b -> results.add(b.result()));
            choice.otherwise().ifPresent(results::add);
            return common(results, scope);
        }
        if (e instanceof Expr.Subquery subquery) {
            List<ColumnFacts> columns = columns(subquery.query(), scope);
            return columns.size() == 1 ? columns.get(0).kind() : ValueKind.UNKNOWN;
        }
        if (e instanceof Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> ValueKind.DATE;
                case TIME -> ValueKind.TIME;
                default -> ValueKind.TIMESTAMP;
            };
        }
        if (e instanceof Expr.Interval) {
            return ValueKind.INTERVAL;
        }
        if (e instanceof Expr.AtZone) {
            return ValueKind.TIMESTAMP;
        }
        if (e instanceof Expr.SequenceValue) {
            return ValueKind.INTEGER;
        }
        return e instanceof Expr.ArrayItems ? ValueKind.ARRAY : ValueKind.UNKNOWN;
    }

    private ValueKind pseudo(Expr.Column column) {
        boolean number = language.has(SqlFeature.ROW_NUMBERS)
                && Set.of("rownum", "level").contains(column.name().last().key());
        return number ? ValueKind.INTEGER : ValueKind.UNKNOWN;
    }

    /** True for an expression that can be nothing but a condition. */
    static boolean isCondition(Expr e) {
        return e instanceof Expr.Junction
                || e instanceof Expr.Between
                || e instanceof Expr.InList
                || e instanceof Expr.Like
                || e instanceof Expr.Matches
                || e instanceof Expr.Is
                || e instanceof Expr.Exists
                || e instanceof Expr.Quantified
                || (e instanceof Expr.Binary b
                        && (b.operator().compares() || b.operator() == raftcart.sql.tree.BinaryOperator.XOR))
                || (e instanceof Expr.Unary u && u.operator() == raftcart.sql.tree.UnaryOperator.NOT);
    }

    static ValueKind literal(Expr.Literal literal, Language language) {
        return switch (literal.kind()) {
            case NULL -> ValueKind.NULL;
            case BOOLEAN -> ValueKind.BOOLEAN;
            case NUMBER ->
                isWhole(literal.text())
                        ? ValueKind.INTEGER
                        : (literal.text().indexOf('e') >= 0 || literal.text().indexOf('E') >= 0)
                                        && !language.has(SqlFeature.EXPONENTS_ARE_EXACT)
                                ? ValueKind.FLOAT
                                : ValueKind.DECIMAL;
            case STRING -> ValueKind.TEXT;
            case BYTES, BITS -> ValueKind.BYTES;
            case DATE -> ValueKind.DATE;
            case TIME -> ValueKind.TIME;
            case TIMESTAMP, ZONED_TIMESTAMP -> ValueKind.TIMESTAMP;
        };
    }

    /** True for digits, perhaps after a sign; asked of every number of a script. */
    private static boolean isWhole(String text) {
        for (int i = text.startsWith("-") ? 1 : 0; i < text.length(); i++) {
            if (text.charAt(i) < '0' || text.charAt(i) > '9') {
                return false;
            }
        }
        return !text.isEmpty();
    }

    private ValueKind call(Expr.Call call, Scope scope) {
        if (call.is("convert_with_style")) {
            return kind(type(StyleTranslator.type(call, language)));
        }
        Optional<CallReading.Meaning> meaning = language.grammar().calls().meaning(call);
        return meaning.isPresent() ? kind(meaning.get().value(), scope) : plainCall(call, scope);
    }

    private ValueKind plainCall(Expr.Call call, Scope scope) {
        Optional<Recognised> known = call.canonical()
                ? Optional.empty()
                : language.functions().recognise(call.name().toString(), call.arguments(), a -> kind(a, scope));
        Optional<Signature> signature =
                call.canonical() ? Signatures.find(call.function()) : known.map(Recognised::signature);
        List<Expr> arguments = known.map(Recognised::arguments).orElse(call.arguments());
        if (signature.isEmpty()) {
            return knowledge.code().signatures().kind(call.name());
        }
        String name = signature.get().name();
        return switch (name) {
            case "coalesce", "greatest", "least", "coalesce_pair" -> common(arguments, scope);
            case "nullif" ->
                kind(arguments.get(0), scope).isDate() ? kind(arguments.get(0), scope) : common(arguments, scope);
            case "decode" -> common(results(arguments), scope);
            case "choose_text" -> ValueKind.TEXT;
            case "if" -> common(arguments.subList(1, arguments.size()), scope);
            case "sum", "avg", "ceil", "floor", "round", "round_even", "truncate" -> numeric(name, arguments, scope);
            case "round_to", "round_even_to", "truncate_to" -> numeric(name, arguments, scope);
            default ->
                signature.get().resultOfFirst() && !arguments.isEmpty()
                        ? kind(arguments.get(0), scope)
                        : signature.get().result();
        };
    }

    /** What DECODE may give: every second argument, and the last one if it stands alone. */
    private static List<Expr> results(List<Expr> arguments) {
        List<Expr> results = new ArrayList<>();
        for (int i = 2; i < arguments.size(); i += 2) {
            results.add(arguments.get(i));
        }
        if (arguments.size() % 2 == 0) {
            results.add(arguments.get(arguments.size() - 1));
        }
        return results;
    }

    private ValueKind numeric(String function, List<Expr> arguments, Scope scope) {
        ValueKind kind = arguments.isEmpty() ? ValueKind.UNKNOWN : kind(arguments.get(0), scope);
        if (kind == ValueKind.INTEGER && function.equals("avg")) {
            return language.has(SqlFeature.WHOLE_AVERAGES) ? ValueKind.INTEGER : ValueKind.DECIMAL;
        }
        boolean perhapsWhole =
                function.equals("sum") || function.equals("avg") && language.has(SqlFeature.WHOLE_AVERAGES);
        if (kind == ValueKind.UNKNOWN && perhapsWhole) {
            return ValueKind.UNKNOWN;
        }
        return kind.isNumber() && !(kind == ValueKind.INTEGER && function.endsWith("_to")) ? kind : ValueKind.DECIMAL;
    }

    private ValueKind common(List<Expr> expressions, Scope scope) {
        ValueKind result = ValueKind.NULL;
        Truths.Mixture mixture = Truths.mixture(expressions, e -> kind(e, scope), language);
        for (Expr e : expressions) {
            ValueKind kind =
                    switch (mixture) {
                        case TRUTHS -> Truths.isZeroOrOne(e) ? ValueKind.BOOLEAN : kind(e, scope);
                        case NUMBERS -> number(kind(e, scope));
                        case NONE -> kind(e, scope);
                    };
            if (kind == ValueKind.NULL || kind == result) {
                continue;
            }
            if (result == ValueKind.NULL) {
                result = kind;
            } else if (result.isNumber() && kind.isNumber()) {
                result = result == ValueKind.FLOAT || kind == ValueKind.FLOAT ? ValueKind.FLOAT : ValueKind.DECIMAL;
            } else if (result.isDate() && kind.isDate() && !language.has(SqlFeature.DATES_ARE_TEXTS)) {
                result = ValueKind.TIMESTAMP;
            } else {
                return ValueKind.UNKNOWN;
            }
        }
        return result == ValueKind.NULL ? ValueKind.UNKNOWN : result;
    }

    private ValueKind binary(Expr.Binary binary, Scope scope) {
        if (isCondition(binary)) {
            return ValueKind.BOOLEAN;
        }
        ValueKind left = kind(binary.left(), scope);
        ValueKind right = kind(binary.right(), scope);
        return switch (binary.operator()) {
            case ADD, SUBTRACT -> sum(left, right, binary);
            case MULTIPLY, MODULO -> wider(left, right);
            case DIVIDE ->
                left == ValueKind.INTEGER && right == ValueKind.INTEGER && !language.has(SqlFeature.WHOLE_DIVISION)
                        ? ValueKind.DECIMAL
                        : wider(left, right);
            case DIVIDE_WHOLE ->
                language.has(SqlFeature.WHOLE_DIVISION_KEEPS_FRACTIONS) ? wider(left, right) : ValueKind.INTEGER;
            case BIT_AND, BIT_OR, BIT_XOR, SHIFT_LEFT, SHIFT_RIGHT -> ValueKind.INTEGER;
            case DIVIDE_EXACT -> ValueKind.DECIMAL;
            case POWER -> ValueKind.FLOAT;
            case JSON_GET, JSON_PATH -> ValueKind.JSON;
            case JSON_GET_TEXT, JSON_PATH_TEXT -> ValueKind.TEXT;
            case CONTAINS, CONTAINED, OVERLAPS, TEXT_SEARCH -> ValueKind.BOOLEAN;
            default -> ValueKind.UNKNOWN;
        };
    }

    private ValueKind sum(ValueKind left, ValueKind right, Expr.Binary binary) {
        boolean minus = binary.operator() == raftcart.sql.tree.BinaryOperator.SUBTRACT;
        if (left.isDate() && right.isDate()) {
            boolean span = language.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS)
                    && !language.has(SqlFeature.DATES_HAVE_TIME)
                    && (left == ValueKind.TIMESTAMP || right == ValueKind.TIMESTAMP);
            return span && minus ? ValueKind.INTERVAL : minus ? ValueKind.DECIMAL : ValueKind.UNKNOWN;
        }
        if (left.isDate() || (right.isDate() && !minus)) {
            return left.isDate() ? moved(left, binary.right()) : moved(right, binary.left());
        }
        boolean text = language.has(SqlFeature.PLUS_CONCATENATES) && !minus;
        if (text && (left == ValueKind.TEXT || right == ValueKind.TEXT)) {
            return ValueKind.TEXT;
        }
        return wider(left, right);
    }

    /** A date becomes a timestamp by what is added to it. */
    private ValueKind moved(ValueKind kind, Expr by) {
        boolean hours = by instanceof Expr.Interval i
                && (language.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP)
                        || i.parts().stream().anyMatch(p -> p.unit().compareTo(DateUnit.DAY) > 0));
        return hours ? ValueKind.TIMESTAMP : kind;
    }

    /** A truth value is a number where numbers are wanted. */
    private static ValueKind number(ValueKind kind) {
        return kind == ValueKind.BOOLEAN ? ValueKind.INTEGER : kind;
    }

    private static ValueKind wider(ValueKind first, ValueKind second) {
        ValueKind left = number(first);
        ValueKind right = number(second);
        if (left == ValueKind.FLOAT || right == ValueKind.FLOAT) {
            return ValueKind.FLOAT;
        }
        if (left == ValueKind.INTEGER && right == ValueKind.INTEGER) {
            return ValueKind.INTEGER;
        }
        return left.isNumber() && right.isNumber() ? ValueKind.DECIMAL : ValueKind.UNKNOWN;
    }

    /** The meaning of a type's name, through domains and enumerations. */
    LogicalType type(TypeName name) {
        if (knowledge.isArrayOfKnown(name)) {
            return new LogicalType.Array(type(name.element()));
        }
        Optional<TypeName> base = knowledge.base(name);
        if (base.isPresent()) {
            return type(base.get());
        }
        return knowledge
                .enumeration(name)
                .<LogicalType>map(values -> new LogicalType.Enumeration("", values))
                .orElseGet(() -> language.types().read(name));
    }

    /**
     * The columns that a query gives.
     *
     * @param all empty where a star hides them
     * @param named those with a name of their own beside a star that hides others
     */
    private record Given(List<ColumnFacts> all, List<ColumnFacts> named) {}

    /** The columns that a query gives, as far as they are known; empty where a star hides them. */
    List<ColumnFacts> columns(Query query, Scope outer) {
        return given(query, outer).all();
    }

    private Given given(Query query, Scope outer) {
        Scope with = new Scope(Optional.of(outer));
        query.with().forEach(t -> with.addCommonTable(t, this));
        return given(query.body(), with);
    }

    private Given given(QueryBody body, Scope outer) {
        if (body instanceof QueryBody.SetOperation set) {
            Given left = given(set.left(), outer);
            return new Given(
                    UnionColumns.of(
                            set.kind(), left.all(), given(set.right(), outer).all()),
                    left.named());
        }
        if (body instanceof QueryBody.Nested nested) {
            return given(nested.query(), outer);
        }
        if (body instanceof QueryBody.Values values) {
            return new Given(
                    UnionColumns.ofRows(values.rows().stream()
                            .map(r -> ValuesColumns.facts(r, language, e -> kind(e, outer)))
                            .toList()),
                    List.of());
        }
        Scope scope = new Scope(Optional.of(outer));
        QueryBody.Select select = (QueryBody.Select) body;
        addTables(select, scope);
        List<ColumnFacts> columns = new ArrayList<>();
        List<ColumnFacts> named = new ArrayList<>();
        boolean known = true;
        for (QueryBody.Item item : select.items()) {
            if (item.value() instanceof Expr.Star star) {
                known &= expand(star, scope, columns);
            } else {
                ColumnFacts facts = facts(item, scope);
                columns.add(facts);
                item.alias().ifPresent(a -> named.add(facts));
            }
        }
        return new Given(known ? columns : List.of(), named);
    }

    private ColumnFacts facts(QueryBody.Item item, Scope scope) {
        Expr value = item.value();
        String name = item.alias()
                .map(Name::text)
                .orElse(value instanceof Expr.Column c ? c.name().last().text() : "");
        if (value instanceof Expr.Column column) {
            Optional<ColumnFacts> known = scope.column(column.name());
            if (known.isPresent()) {
                ColumnFacts k = known.get();
                return new ColumnFacts(name, k.kind(), k.type(), k.notNull(), k.ignoresCase());
            }
        }
        return new ColumnFacts(name, kind(value, scope), Optional.empty(), NeverNull.is(value, scope), false);
    }

    private static boolean expand(Expr.Star star, Scope scope, List<ColumnFacts> columns) {
        for (Relation relation : scope.relations()) {
            boolean wanted = StarExceptions.isOf(star, relation);
            if (wanted && !relation.complete()) {
                return false;
            }
            if (wanted) {
                relation.columns().values().stream()
                        .filter(c -> !StarExceptions.isLeftOut(star, c))
                        .forEach(columns::add);
            }
        }
        return true;
    }

    /** Adds what FROM gives to a scope; groups of groups have NULL in place of what they are not grouped by. */
    void addTables(QueryBody.Select select, Scope scope) {
        int before = scope.relations().size();
        select.from().forEach(t -> addTable(t, scope));
        boolean totals = select.groupBy().stream()
                .anyMatch(g -> g.kind() != QueryBody.Grouping.Kind.PLAIN && g.kind() != QueryBody.Grouping.Kind.ALL);
        if (totals) {
            scope.makeNullable(before, scope.relations().size());
        }
    }

    /** Adds what a table of FROM gives to a scope. */
    void addTable(TableRef table, Scope scope) {
        if (table instanceof TableRef.Table named) {
            String name = named.alias()
                    .map(a -> a.name().text())
                    .orElse(named.name().last().text());
            Optional<Relation> common = scope.commonTable(named.name());
            scope.add(common.map(c -> new Relation(name, c.columns(), c.complete()))
                    .or(() -> Relation.of(name, named.name(), knowledge))
                    .orElse(new Relation(name, Map.of(), false)));
        } else if (table instanceof TableRef.Join join) {
            int left = scope.relations().size();
            addTable(join.left(), scope);
            int right = scope.relations().size();
            addTable(join.right(), scope);
            if (join.kind().keepsLeft()) {
                scope.makeNullable(right, scope.relations().size());
            }
            if (join.kind().keepsRight()) {
                scope.makeNullable(left, right);
            }
        } else if (table instanceof TableRef.Derived derived) {
            String name = derived.alias().map(a -> a.name().text()).orElse("");
            List<Name> columns = derived.alias().map(TableRef.Alias::columns).orElse(List.of());
            scope.add(relation(name, derived.query(), columns, scope));
        } else if (table instanceof TableRef.JsonTable json) {
            scope.add(JsonTables.relation(json, this));
        } else {
            scope.add(SeriesColumns.relation(table, this, scope));
        }
    }

    Relation relation(String name, Query query, List<Name> names, Scope outer) {
        Given found = given(query, outer);
        List<ColumnFacts> given = found.all();
        Map<String, ColumnFacts> columns = new LinkedHashMap<>();
        for (int i = 0; i < given.size(); i++) {
            ColumnFacts g = given.get(i);
            String column = i < names.size() ? names.get(i).text() : g.name();
            columns.put(
                    column.toLowerCase(Locale.ROOT),
                    new ColumnFacts(column, g.kind(), g.type(), g.notNull(), g.ignoresCase()));
        }
        if (given.isEmpty() && names.isEmpty()) {
            found.named().forEach(c -> columns.put(c.name().toLowerCase(Locale.ROOT), c));
        }
        return new Relation(name, columns, !given.isEmpty() && !columns.containsKey(""));
    }
}
