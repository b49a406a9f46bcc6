package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Values of which one becomes the result, where they are texts and other things at once: engines that convert without
 * being asked make texts of them all, others refuse the mixture.
 */
final class ResultKinds {
    private static final Set<String> CHOOSING =
            Set.of("coalesce", "if_null", "greatest", "least", "greatest_skip_nulls", "least_skip_nulls", "nullif");
    private static final Set<String> BY_FIRST = Set.of("decode", "if_null_else", "greatest", "least");

    private final ExprAdapter adapter;

    ResultKinds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The same choice between texts; it is still the source's. */
    Expr.Case texts(Expr.Case choice) {
        List<Expr> results = Stream.concat(
                        choice.branches().stream().map(Expr.When::result), choice.otherwise().stream())
                .toList();
        List<Expr> alike = alike(results, choice.span());
        if (alike.equals(results)) {
            return choice;
        }
        List<Expr.When> branches = new ArrayList<>();
        for (int i = 0; i < choice.branches().size(); i++) {
            branches.add(new Expr.When(choice.branches().get(i).condition(), alike.get(i)));
        }
        return new Expr.Case(
                choice.subject(), branches, choice.otherwise().map(o -> alike.get(alike.size() - 1)), choice.span());
    }

    /** The values as those of one kind, as which they come out on the source. */
    private List<Expr> alike(List<Expr> values, Span span) {
        adapter.instants.mixed(values);
        if (!isMixed(values)) {
            return new Truths(adapter)
                    .alike(new TextMoments(adapter).alike(new ConvertedResults(adapter).alike(values)));
        }
        note(span);
        return values.stream().map(this::text).toList();
    }

    /** The same call of texts, if it is one that gives one of its arguments. */
    Expr.Call texts(Expr.Call call) {
        if (call.is("nullif") && call.arguments().get(1) instanceof Expr.Literal constant) {
            Expr date = call.arguments().get(0);
            Optional<Expr> beside = adapter.kind(date).isDate() ? besideDate(date, constant) : Optional.empty();
            if (beside.isPresent()) {
                return call.with("nullif", List.of(date, beside.get()));
            }
        }
        if (call.is("nullif") && isMixed(call.arguments()) && call.arguments().get(1) instanceof Expr.Literal text) {
            adapter.note(FindingCode.IMPLICIT_CAST, call.span(), "a text is compared with a number");
            return call.with("nullif", List.of(call.arguments().get(0), PlainConstants.leading(text)));
        }
        if (call.is("if_null_as_first")) {
            return call.with("coalesce", asFirst(call.arguments(), call.span()));
        }
        List<Integer> places = results(call);
        if (places.size() < 2) {
            return call;
        }
        List<Expr> values = places.stream().map(call.arguments()::get).toList();
        boolean ordered =
                call.function().startsWith("greatest") || call.function().startsWith("least");
        if (ordered && adapter.lost(SqlFeature.MIXED_RESULTS_ARE_TEXTS) && isOfDatesAndNumbers(values)) {
            throw new Untranslatable("a date and a number of which one is the greater");
        }
        boolean byFirst = adapter.from.has(SqlFeature.FIRST_RESULT_DECIDES) && BY_FIRST.contains(call.function());
        List<Expr> alike = byFirst ? asTheFirst(values, call.span()) : alike(values, call.span());
        if (alike.equals(values)) {
            return call;
        }
        if (call.is("nullif") && adapter.kind(values.get(0)) == ValueKind.DATE) {
            throw new Untranslatable("NULLIF of a date and a moment");
        }
        List<Expr> arguments = new ArrayList<>(call.arguments());
        for (int i = 0; i < places.size(); i++) {
            arguments.set(places.get(i), alike.get(i));
        }
        return call.with(call.function(), arguments);
    }

    /** A constant that a date is compared with as the date that it is to the source. */
    private Optional<Expr> besideDate(Expr date, Expr.Literal constant) {
        if (new ZeroDates(adapter).isNull(constant, date)) {
            return Optional.of(Expr.Literal.ofNull());
        }
        ValueKind kind = adapter.kind(date);
        DateAdapter dates = new DateAdapter(adapter);
        boolean number = constant.kind() == LiteralKind.NUMBER && dates.losesNumbers();
        Expr.Literal text = number ? dates.ofNumber(constant) : constant;
        if (text.kind() == LiteralKind.DATE && kind == ValueKind.TIMESTAMP) {
            return Optional.of(DateAdapter.typed(text, kind));
        }
        if (text.kind() != LiteralKind.STRING || adapter.from.name().equals(adapter.to.name())) {
            return Optional.empty();
        }
        Expr.Literal read = dates.asRead(text, kind);
        return Optional.of(adapter.to.has(SqlFeature.TYPED_DATES) ? DateAdapter.typed(read, kind) : read);
    }

    /** Where the arguments stand of which one is the result. */
    private static List<Integer> results(Expr.Call call) {
        int size = call.arguments().size();
        if (call.is("if") || call.is("if_null_else")) {
            return List.of(1, 2);
        }
        if (call.is("decode")) {
            return IntStream.range(2, size)
                    .filter(i -> i % 2 == 0 || i == size - 1)
                    .boxed()
                    .toList();
        }
        return CHOOSING.contains(call.function())
                ? IntStream.range(0, size).boxed().toList()
                : List.of();
    }

    /** The values as those of the first one's kind ("Oracle Database SQL Language Reference", DECODE, GREATEST). */
    private List<Expr> asTheFirst(List<Expr> values, Span span) {
        ValueKind first = adapter.kind(values.get(0));
        if (first == ValueKind.TEXT && values.stream().anyMatch(this::isOther)) {
            note(span);
            return values.stream().map(this::text).toList();
        }
        ConvertedResults converted = new ConvertedResults(adapter);
        return values.stream()
                .map(v -> adapter.kind(v) == ValueKind.TEXT ? converted.converted(v, first) : v)
                .toList();
    }

    /** A value and what stands for it where it is NULL, which becomes one of the first's type ("ISNULL (Transact-SQL)"). */
    private List<Expr> asFirst(List<Expr> values, Span span) {
        Expr value = values.get(0);
        Expr other = values.get(1);
        ValueKind kind = adapter.kind(value);
        ValueKind instead = adapter.kind(other);
        if (kind != ValueKind.TEXT && instead == ValueKind.TEXT) {
            return new Truths(adapter).alike(List.of(value, new ConvertedResults(adapter).converted(other, kind)));
        }
        boolean typed = adapter.from.has(SqlFeature.NULL_REPLACED_IN_TYPE);
        if (typed && kind == ValueKind.INTEGER && (instead == ValueKind.DECIMAL || instead == ValueKind.FLOAT)) {
            TypeName whole = adapter.sourceType(new LogicalType.Int(32, false));
            return List.of(value, new Expr.Cast(other, whole, false, other.span()));
        }
        if (kind == ValueKind.TEXT && isOther(other)) {
            return List.of(value, text(other));
        }
        boolean longer = typed
                && kind == ValueKind.TEXT
                && instead == ValueKind.TEXT
                && length(other) > length(value)
                && length(value) > 0;
        if (longer && other instanceof Expr.Literal l) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, span, "cut to the length of the first, as on the source");
            return List.of(value, Expr.Literal.string(l.text().substring(0, length(value))));
        }
        if (longer) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, span, "the source cuts what stands for NULL to the length of the first");
        }
        return alike(values, span);
    }

    private int length(Expr e) {
        if (e instanceof Expr.Literal l) {
            return l.text().length();
        }
        return adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .map(t -> t instanceof LogicalType.Varchar v
                        ? v.length()
                        : t instanceof LogicalType.Char c ? c.length() : 0)
                .orElse(0);
    }

    private void note(Span span) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "values of several kinds become texts, as on the source");
    }

    private boolean isMixed(List<Expr> values) {
        return adapter.lost(SqlFeature.MIXED_RESULTS_ARE_TEXTS)
                && !adapter.to.grammar().has(GrammarFeature.UNTYPED_COLUMNS) // where a result is of its value's kind
                && (values.stream().anyMatch(v -> adapter.kind(v) == ValueKind.TEXT)
                                && values.stream().anyMatch(this::isOther)
                        || isOfDatesAndNumbers(values));
    }

    private boolean isOfDatesAndNumbers(List<Expr> values) {
        return values.stream().anyMatch(v -> adapter.kind(v).isNumber())
                && values.stream().anyMatch(this::isMoment);
    }

    private boolean isMoment(Expr value) {
        return adapter.kind(value).isDate() || adapter.kind(value) == ValueKind.TIME;
    }

    private boolean isOther(Expr value) {
        return switch (adapter.kind(value)) {
            case INTEGER, DECIMAL, FLOAT, DATE, TIME, TIMESTAMP -> true;
            default -> false;
        };
    }

    /** A value that is none as the text that the source makes of it. */
    Expr asText(Expr value) {
        note(value.span());
        return value instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER
                ? new Expr.Literal(LiteralKind.STRING, l.text(), l.span())
                : new Expr.Cast(value, adapter.sourceType(new LogicalType.Text(0)), false, value.span());
    }

    private Expr text(Expr value) {
        if (value instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER) {
            return new Expr.Literal(LiteralKind.STRING, l.text(), l.span());
        }
        TypeName text = adapter.sourceType(new LogicalType.Text(0));
        return isOther(value) ? new Expr.Cast(value, text, false, value.span()) : value;
    }
}
