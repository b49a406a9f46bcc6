package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Window;
import raftcart.type.LogicalType;

/** Says where texts compare in different ways on the two engines. */
final class TextRules {
    private static final Set<String> COMPARING = Set.of(
            "greatest",
            "greatest_skip_nulls",
            "least_skip_nulls",
            "least",
            "locate",
            "locate_nth",
            "starts_with",
            "ends_with",
            "contains",
            "position_in_list",
            "index_of_text",
            "text_compare",
            "nullif",
            "decode",
            "min",
            "max");

    /** Those that go by the collation of a column wherever there are such. */
    private static final Set<String> OF_COLLATION =
            Set.of("greatest", "greatest_skip_nulls", "least_skip_nulls", "least", "starts_with", "nullif", "decode");

    /** Functions whose result hangs on the blanks at the end of a text. */
    private static final Set<String> COUNTING_BLANKS = Set.of(
            "char_length",
            "octet_length",
            "bit_length",
            "right",
            "lpad",
            "rpad",
            "lpad_with",
            "rpad_with",
            "reverse",
            "concat_ws",
            "hex_of_text",
            "md5",
            "sha1",
            "sha256");

    private static final String[] SMALL = {"lower", "lcase"};
    private static final String[] CAPITAL = {"upper", "ucase"};

    /** What stands for characters of a kind in a regular expression. */
    private static final Pattern CLASSES = Pattern.compile("\\\\.|\\[:\\w+:]");

    private final ExprAdapter adapter;

    TextRules(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The columns whose texts are compared: the expression itself, or what functions of text are taken of. */
    static Stream<Expr> columns(Expr e) {
        if (e instanceof Expr.Concat concat) {
            return concat.parts().stream().flatMap(TextRules::columns);
        }
        if (e instanceof Expr.Case choice) {
            return Stream.concat(choice.branches().stream().map(Expr.When::result), choice.otherwise().stream())
                    .flatMap(TextRules::columns);
        }
        return e instanceof Expr.Call call && call.suffix() == CallSuffix.NONE
                ? call.arguments().stream().flatMap(TextRules::columns)
                : Stream.of(e);
    }

    /** True for letters made small, or capital, beside others of that case, so that it does not matter whether it counts. */
    private static boolean isFolded(Expr e, List<Expr> all) {
        boolean small = isCall(e, SMALL);
        return (small || isCall(e, CAPITAL)) && all.stream().allMatch(o -> isOfCase(o, small));
    }

    private static boolean isOfCase(Expr e, boolean small) {
        return e instanceof Expr.Literal l
                ? l.text()
                        .equals(
                                small
                                        ? l.text().toLowerCase(Locale.ROOT)
                                        : l.text().toUpperCase(Locale.ROOT))
                : isCall(e, small ? SMALL : CAPITAL);
    }

    private static boolean isCall(Expr e, String... names) {
        return e instanceof Expr.Call c && c.isAny(names);
    }

    /** Says where texts that are one to the source, as it ignores the case of their letters, are several to the target. */
    void oneToTheSource(Stream<Expr> values, Span span, String where) {
        if (adapter.to.has(SqlFeature.IGNORES_CASE)) {
            return;
        }
        boolean usual = adapter.from.has(SqlFeature.IGNORES_CASE);
        boolean falls = values.filter(e -> !isCall(e, SMALL) && !isCall(e, CAPITAL))
                .flatMap(TextRules::columns)
                .anyMatch(e -> {
                    Optional<ColumnFacts> facts = adapter.facts(e);
                    boolean text = facts.map(f -> f.kind() == ValueKind.TEXT).orElse(false);
                    boolean unknown = e instanceof Expr.Column && adapter.kind(e) == ValueKind.UNKNOWN;
                    return usual && unknown
                            || text
                                    && (facts.get().ignoresCase()
                                            || usual && facts.get().type().isEmpty());
                });
        if (falls) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, where);
        }
    }

    /** Says where groups, or rows that are different, hang on the case of letters. */
    void select(Select select) {
        LongTexts large = new LongTexts(adapter);
        if (select.distinct()) {
            large.refuse(select.items().stream().map(Item::value), "DISTINCT");
            new LostTypes(adapter).refuseDocuments(select.items().stream().map(Item::value), "DISTINCT");
            oneToTheSource(select.items().stream().map(Item::value), select.span(), "DISTINCT");
            distinctStar(select);
        }
        large.refuse(select.groupBy().stream().flatMap(g -> g.items().stream()), "GROUP BY");
        new LostTypes(adapter).refuseDocuments(select.groupBy().stream().flatMap(g -> g.items().stream()), "GROUP BY");
        oneToTheSource(
                select.groupBy().stream().flatMap(g -> g.items().stream()).map(i -> GroupAdapter.meant(i, select)),
                select.span(),
                "GROUP BY");
    }

    /** The same for rows that a set operation compares. */
    void set(QueryBody.SetOperation set) {
        List<ColumnFacts> left = adapter.finder.columns(Query.of(set.left()), adapter.scope);
        List<ColumnFacts> right = adapter.finder.columns(Query.of(set.right()), adapter.scope);
        List<ColumnFacts> all = Stream.of(left, right).flatMap(List::stream).toList();
        if (all.stream().anyMatch(c -> new LongTexts(adapter).isLarge(c.type()))) {
            throw new Untranslatable(set.kind() + " of a long text");
        }
        boolean ignores = !adapter.to.has(SqlFeature.IGNORES_CASE)
                && all.stream().anyMatch(c -> c.kind() == ValueKind.TEXT && c.ignoresCase());
        boolean perhaps = left.size() * right.size() == 0 // a star hides them
                || all.stream().anyMatch(c -> c.kind() == ValueKind.TEXT || c.kind() == ValueKind.UNKNOWN);
        if (ignores) {
            adapter.note(FindingCode.CASE_OF_TEXT, set.span(), set.kind().name());
        } else if (perhaps) {
            oneToTheSource(values(set), set.span(), set.kind().name());
        }
    }

    private static Stream<Expr> values(QueryBody body) {
        if (body instanceof QueryBody.SetOperation set) {
            return Stream.concat(values(set.left()), values(set.right()));
        }
        return body instanceof Select select ? select.items().stream().map(Item::value) : Stream.empty();
    }

    /** The same for the parts of a window. */
    void window(Window window) {
        if (!window.partition().isEmpty()) {
            new LongTexts(adapter).refuse(window.partition().stream(), "PARTITION BY");
            oneToTheSource(
                    window.partition().stream(), window.partition().get(0).span(), "PARTITION BY");
        }
        if (!window.order().isEmpty()) {
            known(
                    window.order().stream().map(OrderItem::value),
                    window.order().get(0).value().span(),
                    "ORDER BY");
        }
    }

    /** Says where the order of texts hangs on the case of their letters on one engine only. */
    void ordered(Query query, QueryBody given) {
        known(
                query.order().stream()
                        .map(OrderItem::value)
                        .map(e -> given instanceof Select select ? GroupAdapter.meant(e, select) : e),
                query.span(),
                "ORDER BY");
    }

    /** The same for the rows of a set operation, whose order names their columns by name or place. */
    void orderedUnion(Query query) {
        if (query.order().isEmpty() || adapter.to.has(SqlFeature.IGNORES_CASE)) {
            return;
        }
        List<ColumnFacts> columns = adapter.finder.columns(query, adapter.scope);
        boolean ignores = IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).kind() == ValueKind.TEXT
                        && columns.get(i).ignoresCase())
                .anyMatch(i -> query.order().stream()
                        .map(OrderItem::value)
                        .anyMatch(e -> e instanceof Expr.Column c
                                ? c.name()
                                        .last()
                                        .text()
                                        .equalsIgnoreCase(columns.get(i).name())
                                : e instanceof Expr.Literal l && l.text().equals(String.valueOf(i + 1))));
        if (ignores) {
            adapter.note(FindingCode.CASE_OF_TEXT, query.span(), "ORDER BY");
        }
    }

    /** Says where a star among different rows stands for columns that ignore the case of letters. */
    private void distinctStar(Select select) {
        boolean ignores = !adapter.to.has(SqlFeature.IGNORES_CASE)
                && select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star)
                && adapter.scope.relations().stream()
                        .flatMap(r -> r.columns().values().stream())
                        .anyMatch(c -> c.kind() == ValueKind.TEXT && c.ignoresCase());
        if (ignores) {
            adapter.note(FindingCode.CASE_OF_TEXT, select.span(), "DISTINCT");
        }
    }

    /** Says where texts that are known to ignore the case of their letters do so on the source only. */
    void known(Stream<Expr> values, Span span, String where) {
        boolean differs = !adapter.to.has(SqlFeature.IGNORES_CASE)
                && values.filter(e -> !isCall(e, SMALL) && !isCall(e, CAPITAL))
                        .flatMap(TextRules::columns)
                        .map(adapter::facts)
                        .anyMatch(f -> f.filter(c -> c.kind() == ValueKind.TEXT && c.ignoresCase())
                                .isPresent());
        if (differs) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, where);
        }
    }

    /** Says where the blanks at the end of a column of fixed length count on the source only. */
    void padded(List<Expr> texts, String function, Span span) {
        boolean octets = function.equals("octet_length") || function.equals("bit_length");
        boolean there = adapter.to.has(SqlFeature.OCTETS_COUNT_PADDING);
        boolean lost = adapter.from.has(SqlFeature.OCTETS_COUNT_PADDING)
                && !there
                && !adapter.to.has(SqlFeature.CHARACTERS_ARE_PADDED);
        boolean more = there && !adapter.from.has(SqlFeature.OCTETS_COUNT_PADDING);
        if (octets && (lost || more) && areFixed(texts)) {
            adapter.note(
                    FindingCode.PADDING,
                    span,
                    "the blanks at the end of a column of fixed length count on the "
                            + (more ? "target" : "source only"));
        }
        if (adapter.lost(SqlFeature.CHARACTERS_ARE_PADDED) && areFixed(texts)) {
            adapter.note(
                    FindingCode.PADDING,
                    span,
                    "the blanks at the end of a column of fixed length count on the source only");
        }
    }

    private boolean areFixed(List<Expr> texts) {
        return texts.stream().map(adapter::facts).anyMatch(f -> f.flatMap(ColumnFacts::type)
                .filter(t -> t instanceof LogicalType.Char c && c.length() > 1)
                .isPresent());
    }

    /** Functions that compare texts, where only one of the engines ignores case. */
    void function(Expr.Call call) {
        if (COUNTING_BLANKS.contains(call.function())) {
            padded(call.arguments(), call.function(), call.span());
        }
        boolean stored = call.is("char_length")
                && adapter.lost(SqlFeature.LENGTHS_ARE_OF_STORAGE)
                && isMeasured(adapter.kind(call.arguments().get(0)));
        if (stored) {
            throw new Untranslatable("the bytes that a number or a date takes on the source");
        }
        if (call.function().startsWith("regexp_") && call.arguments().size() > 1) {
            read(call.arguments().get(1), call.span());
            matched(call.arguments().get(0), call.arguments().get(1), call.span());
        }
        boolean compares = COMPARING.contains(call.function());
        boolean differs = adapter.from.has(SqlFeature.IGNORES_CASE) != adapter.to.has(SqlFeature.IGNORES_CASE);
        boolean letters = compared(call)
                .anyMatch(a -> a instanceof Expr.Literal l
                        && l.kind() == LiteralKind.STRING
                        && l.text().chars().anyMatch(Character::isLetter));
        ValueKind first = call.arguments().isEmpty()
                ? ValueKind.NULL
                : adapter.kind(call.arguments().get(0));
        boolean text = first == ValueKind.TEXT || letters && first == ValueKind.UNKNOWN;
        // A column that is known compares letter by letter on the target, too, as its definition says so there.
        boolean exact = !adapter.from.has(SqlFeature.IGNORES_CASE)
                && text
                && adapter.facts(call.arguments().get(0))
                        .filter(f -> !f.ignoresCase() && f.type().isPresent())
                        .isPresent();
        boolean own = OF_COLLATION.contains(call.function())
                && text
                && !adapter.to.has(SqlFeature.IGNORES_CASE)
                && adapter.facts(call.arguments().get(0))
                        .filter(ColumnFacts::ignoresCase)
                        .isPresent();
        boolean replaces = call.isAny("replace", "translate")
                && adapter.from.has(SqlFeature.REPLACES_WITHOUT_CASE)
                        != adapter.to.has(SqlFeature.REPLACES_WITHOUT_CASE)
                && isLettered(call.arguments().get(1));
        if (compares && differs && text && !exact || own || replaces && !exact) {
            adapter.note(FindingCode.CASE_OF_TEXT, call.span(), call.function());
        }
    }

    /** True unless it is a constant without letters. */
    private static boolean isLettered(Expr e) {
        return !(e instanceof Expr.Literal l) || l.text().chars().anyMatch(Character::isLetter);
    }

    /** The arguments that are compared; those of DECODE stand before what they give. */
    private static Stream<Expr> compared(Expr.Call call) {
        List<Expr> a = call.arguments();
        return call.is("decode")
                ? IntStream.range(1, a.size() - 1).filter(i -> i % 2 == 1).mapToObj(a::get)
                : a.stream();
    }

    /** What all kinds of regular expressions mean alike: no groups with a question mark, the plainest escapes alone. */
    private static final Pattern COMMON =
            Pattern.compile("(?s)(?:[^\\\\(]|\\((?!\\?)|\\\\[dDwWsS.^$*+?()\\[\\]{}|/\\\\-])*+");

    /** Says where the engines may read a regular expression in different ways. */
    void read(Expr pattern, Span span) {
        boolean common =
                pattern instanceof Expr.Literal l && COMMON.matcher(l.text()).matches();
        if (!common) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    "a regular expression that the engines may read in different ways");
        }
    }

    /** Says where a regular expression finds letters of the other case on one engine only. */
    void matched(Expr value, Expr pattern, Span span) {
        boolean letters = !(pattern instanceof Expr.Literal l)
                || CLASSES.matcher(l.text()).replaceAll("").chars().anyMatch(Character::isLetter);
        boolean session = adapter.from.has(SqlFeature.IGNORES_CASE) != adapter.to.has(SqlFeature.IGNORES_CASE)
                && !ExactTexts.isOfColumn(value, adapter);
        if (letters && session) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, "a regular expression");
        } else if (letters) {
            oneToTheSource(Stream.of(value), span, "a regular expression");
        }
    }

    /** Says where tables are joined by texts of one name, whose case counts on the target only. */
    void joined(TableRef table) {
        if (!(table instanceof TableRef.Join join) || adapter.to.has(SqlFeature.IGNORES_CASE)) {
            return;
        }
        joined(join.left());
        joined(join.right());
        boolean natural = join.kind().name().startsWith("NATURAL");
        Set<String> left = natural ? columns(join.left()) : Set.of();
        Stream<String> names = natural
                ? columns(join.right()).stream().filter(left::contains)
                : join.using().stream().map(Name::text);
        names.filter(n -> adapter.scope
                        .column(QualifiedName.of(n))
                        .filter(ColumnFacts::ignoresCase)
                        .isPresent())
                .forEach(n -> adapter.note(FindingCode.CASE_OF_TEXT, join.span(), "JOIN by " + n));
    }

    /** The names of the columns of all tables that are known. */
    private Set<String> columns(TableRef tables) {
        return tables.leaves().stream()
                .filter(TableRef.Table.class::isInstance)
                .flatMap(t -> adapter.knowledge.table(((TableRef.Table) t).name()).stream())
                .flatMap(k -> k.columns().keySet().stream())
                .collect(Collectors.toSet());
    }

    /** Says where the case of letters, or blanks at the end, count on one engine only. */
    void compared(List<Expr> given, Span span) {
        List<Expr> expressions = new ArrayList<>(given.size());
        boolean bytes = false; // which are exact on both engines
        for (Expr e : given) {
            List<Expr> single = e instanceof Expr.Row row ? row.items() : List.of(e);
            for (Expr item : single) {
                expressions.add(item);
                bytes |= ByteTexts.isAsBytes(item);
            }
        }
        if (!bytes) {
            comparedTexts(expressions, span);
        }
    }

    /** Says once, at the first table, that blanks at the end of stored texts count on the target alone. */
    void stored(List<Knowledge.KnownColumn> columns, Span span) {
        boolean padded = adapter.lost(SqlFeature.IGNORES_PADDING)
                && !adapter.from.has(SqlFeature.IGNORES_CASE) // where that is said of every column
                && columns.stream()
                        .flatMap(c -> c.type().stream())
                        .anyMatch(t -> t instanceof LogicalType.Varchar || t instanceof LogicalType.Text);
        if (padded && adapter.knowledge.saysPadding()) {
            adapter.note(
                    FindingCode.PADDING,
                    span,
                    "those of stored texts count on the target, in this table and in all others; nothing to do where texts have none");
        }
    }

    private void comparedTexts(List<Expr> expressions, Span span) {
        boolean letters = false;
        boolean ends = false;
        for (Expr e : expressions) {
            Expr bare = e instanceof Expr.Collate c ? c.value() : e;
            if (bare instanceof Expr.Literal l && l.kind() == LiteralKind.STRING) {
                letters |= bare == e && l.text().chars().anyMatch(Character::isLetter);
                ends |= l.text().endsWith(" ");
            }
        }
        if (MadeTexts.mayDiffer(expressions, adapter)) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, "texts that are no column's");
        }
        if (ends && adapter.lost(SqlFeature.IGNORES_PADDING)) {
            adapter.note(FindingCode.PADDING, span, "a constant that ends in a blank");
        }
        for (Expr whole : expressions) {
            if (whole instanceof Expr.Column) {
                comparedText(whole, expressions, letters, span);
            } else if (!isFolded(whole, expressions) && !isMeasure(whole)) {
                for (Expr e : columns(whole).toList()) {
                    comparedText(e, expressions, letters, span);
                }
            }
        }
    }

    private void comparedText(Expr e, List<Expr> expressions, boolean letters, Span span) {
        Optional<ColumnFacts> facts = adapter.facts(e);
        boolean text = facts.map(f -> f.kind() == ValueKind.TEXT).orElse(false);
        boolean perhaps = letters && e instanceof Expr.Column && adapter.kind(e) == ValueKind.UNKNOWN;
        boolean untyped = facts.map(f -> f.type().isEmpty()).orElse(false);
        boolean ignores = (text || untyped) && facts.get().ignoresCase() && !adapter.to.has(SqlFeature.IGNORES_CASE);
        boolean untold = perhaps || text && facts.get().type().isEmpty();
        if (ignores || untold && adapter.lost(SqlFeature.IGNORES_CASE)) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, named(e));
        }
        boolean padded = text
                && facts.get().type().filter(LogicalType.Char.class::isInstance).isPresent();
        if (padded && adapter.lost(SqlFeature.IGNORES_PADDING) && !arePadded(expressions)) {
            adapter.note(FindingCode.PADDING, span, named(e));
        }
    }

    /** True where the target, too, compares texts of a fixed length, or such and constants, as if they were padded. */
    private boolean arePadded(List<Expr> compared) {
        return adapter.to.has(SqlFeature.FIXED_TEXTS_COMPARE_PADDED)
                && compared.stream()
                        .allMatch(e -> e instanceof Expr.Literal
                                || adapter.facts(e)
                                        .flatMap(ColumnFacts::type)
                                        .filter(LogicalType.Char.class::isInstance)
                                        .isPresent());
    }

    private static boolean isMeasured(ValueKind kind) {
        return kind.isNumber() || kind.isDate() || kind == ValueKind.TIME;
    }

    /** True for a number or date that a function finds in a text, which is compared as such. */
    private boolean isMeasure(Expr e) {
        ValueKind kind = e instanceof Expr.Call ? adapter.kind(e) : ValueKind.UNKNOWN;
        return kind.isNumber() || kind.isDate();
    }

    private static String named(Expr e) {
        return e instanceof Expr.Column column ? column.name().toString() : "a computed text";
    }
}
