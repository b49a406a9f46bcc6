package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/**
 * Enumerations, sets and years, which are numbers to MySQL and MariaDB as well ("The ENUM Type", "The SET Type", "2-Digit
 * Years in Dates"), and whose values follow each other as they were listed, where other engines see texts.
 */
final class ListedValues {
    private static final int CENTURY_ENDS = 69;

    private final ExprAdapter adapter;

    ListedValues(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A constant for a column of this type as the value that it stands for. */
    Expr.Literal constant(Expr.Literal given, LogicalType type) {
        if (!adapter.lost(SqlFeature.LISTED_VALUES_ARE_NUMBERS)) {
            return given;
        }
        if (type instanceof LogicalType.Members listed && given.text().contains(",")) {
            return inOrder(given, listed.values());
        }
        if (!given.isDigits(18)) {
            return given;
        }
        long number = Long.parseLong(given.text());
        boolean text = given.kind() == LiteralKind.STRING;
        Optional<String> value = Optional.empty();
        if (type instanceof LogicalType.Enumeration listed && !text) {
            value = number >= 1 && number <= listed.values().size()
                    ? Optional.of(listed.values().get((int) number - 1))
                    : Optional.empty();
        } else if (type instanceof LogicalType.Members listed && !text) {
            value = Optional.of(members(listed.values(), number));
        } else if (type instanceof LogicalType.Year && given.text().length() <= 2 && (text || number > 0)) {
            String year = String.valueOf(number + (number > CENTURY_ENDS ? 1900 : 2000));
            return new Expr.Literal(LiteralKind.NUMBER, year, given.span());
        }
        value.ifPresent(v -> adapter.note(
                FindingCode.SYNTAX_ADAPTED, given.span(), given.text() + " is the value '" + v + "' on the source"));
        return value.map(v -> new Expr.Literal(LiteralKind.STRING, v, given.span()))
                .orElse(given);
    }

    /** Members in the order of their list, each once, as the source keeps them. */
    private static Expr.Literal inOrder(Expr.Literal given, List<String> values) {
        List<String> said = List.of(given.text().split(",", -1));
        if (!values.containsAll(said)) {
            return given;
        }
        String kept = values.stream().filter(said::contains).collect(Collectors.joining(","));
        return new Expr.Literal(given.kind(), kept, given.span());
    }

    /** Values beside a column of years, among which two digits are a year, too, or beside an enumeration. */
    List<Expr> beside(List<Expr> values) {
        if (!adapter.lost(SqlFeature.LISTED_VALUES_ARE_NUMBERS)) {
            return values;
        }
        LogicalType.Enumeration listed = null;
        for (Expr value : values) {
            LogicalType type = type(value).orElse(null);
            if (type instanceof LogicalType.Year) {
                return values.stream()
                        .map(v -> v instanceof Expr.Literal l ? constant(l, type) : v)
                        .toList();
            }
            if (listed == null && type instanceof LogicalType.Enumeration first) {
                listed = first;
            }
        }
        return listed == null ? values : besideListed(values, listed.values());
    }

    /** Constants in the letters of the list; with one that is not in it, the values are texts to be compared with. */
    private List<Expr> besideListed(List<Expr> values, List<String> listed) {
        boolean ignores = values.stream()
                .anyMatch(v ->
                        adapter.facts(v).filter(Scope.ColumnFacts::ignoresCase).isPresent());
        List<Expr> meant =
                values.stream().map(v -> ignores ? inLetters(v, listed) : v).toList();
        boolean strange = meant.stream()
                .anyMatch(v ->
                        v instanceof Expr.Literal l && l.kind() == LiteralKind.STRING && !listed.contains(l.text()));
        return strange
                ? meant.stream()
                        .map(v -> v instanceof Expr.Column
                                ? new Expr.Cast(v, adapter.sourceType(new LogicalType.Text(0)), false, v.span())
                                : v)
                        .toList()
                : meant;
    }

    private static Expr inLetters(Expr value, List<String> listed) {
        return value instanceof Expr.Literal l && l.kind() == LiteralKind.STRING && !listed.contains(l.text())
                ? listed.stream()
                        .filter(l.text()::equalsIgnoreCase)
                        .findFirst()
                        .<Expr>map(v -> new Expr.Literal(LiteralKind.STRING, v, l.span()))
                        .orElse(value)
                : value;
    }

    private Optional<LogicalType> type(Expr e) {
        return adapter.facts(e).flatMap(Scope.ColumnFacts::type);
    }

    private static String members(List<String> values, long bits) {
        List<String> chosen = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            if ((bits >> i & 1) == 1) {
                chosen.add(values.get(i));
            }
        }
        return chosen.stream().collect(Collectors.joining(","));
    }

    /** What rows are sorted by, so that listed values follow each other as on the source; {@code free} as in {@link OrderAdapter}. */
    Expr sorted(Expr value, Expr meaning, boolean free) {
        boolean lost = adapter.from.has(SqlFeature.LISTED_VALUES_SORT_BY_PLACE)
                && !adapter.to.has(SqlFeature.LISTED_VALUES_ARE_NUMBERS) // others have texts in their place
                && isOther();
        if (!lost) {
            return value;
        }
        Optional<LogicalType> type = type(meaning);
        boolean enumeration =
                type.filter(LogicalType.Enumeration.class::isInstance).isPresent();
        boolean members = type.filter(LogicalType.Members.class::isInstance).isPresent();
        if (members || enumeration && !free) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    meaning.span(),
                    "sorted by the letters of the values, on the source by their places in the list");
        }
        if (!enumeration || !free) {
            return value;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, meaning.span(), "values sorted by their places in the list");
        List<Expr.When> places = new ArrayList<>();
        for (String each : ((LogicalType.Enumeration) type.get()).values()) {
            places.add(new Expr.When(Expr.Literal.string(each), Expr.Literal.number(places.size() + 1)));
        }
        return new Expr.Case(Optional.of(value), places, Optional.empty(), meaning.span());
    }

    /** Enumerations as texts where they are compared with texts that are no constants, which a type of its own refuses. */
    List<Expr> besideTexts(List<Expr> compared) {
        if (!isOther() || !adapter.to.has(SqlFeature.ENUM_TYPES) || !hasListed(compared)) {
            return compared;
        }
        List<LogicalType> types = compared.stream()
                .flatMap(e -> type(e).stream())
                .filter(LogicalType.Enumeration.class::isInstance)
                .distinct()
                .toList();
        boolean texts = compared.stream()
                .anyMatch(e -> !isListed(e)
                        && !(e instanceof Expr.Literal)
                        && !(e instanceof Expr.Parameter)
                        && adapter.kind(e) == ValueKind.TEXT);
        if (types.size() < 2 && !texts) {
            return compared;
        }
        return compared.stream()
                .map(e -> isListed(e)
                        ? new Expr.Cast(e, adapter.sourceType(new LogicalType.Text(0)), false, e.span())
                        : e)
                .toList();
    }

    /** Says where values are more or less than others by their places in the list, which are letters to the target. */
    void compared(Expr.Binary comparison) {
        BinaryOperator operator = comparison.operator();
        boolean orders = operator.compares()
                && operator != BinaryOperator.EQUAL
                && operator != BinaryOperator.NOT_EQUAL
                && adapter.from.has(SqlFeature.LISTED_VALUES_COMPARE_BY_PLACE)
                && isOther();
        if (orders && (isListed(comparison.left()) || isListed(comparison.right()))) {
            note(comparison);
        }
    }

    /** The same for the least and the greatest of several. */
    void extreme(Expr.Call call) {
        boolean orders = call.isAny("min", "max", "greatest", "least", "greatest_skip_nulls", "least_skip_nulls")
                && adapter.from.has(SqlFeature.LISTED_VALUES_COMPARE_BY_PLACE)
                && isOther();
        if (orders && call.arguments().stream().anyMatch(this::isListed)) {
            note(call);
        }
    }

    private boolean isOther() {
        return !adapter.from.name().equals(adapter.to.name());
    }

    private void note(Expr e) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                e.span(),
                "values are compared by their letters, on the source by their places in the list");
    }

    private boolean hasListed(List<Expr> values) {
        for (Expr value : values) {
            if (isListed(value)) {
                return true;
            }
        }
        return false;
    }

    private boolean isListed(Expr e) {
        return type(e).filter(LogicalType.Enumeration.class::isInstance).isPresent();
    }
}
