package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Says functions that the target lacks with more basic means. */
final class Expansions {
    private static final String EPOCH = "1970-01-01 00:00:00";

    private final Language to;

    Expansions(Language to) {
        this.to = to;
    }

    /** The same in other words; empty where there are none. Arguments are adapted already. */
    Optional<Expr> expand(Expr.Call call) {
        List<Expr> a = call.arguments();
        Expr expanded =
                switch (call.function()) {
                    case "decode" -> decode(a, call);
                    case "if_null_else" ->
                        Expr.Case.of(new Expr.Is(a.get(0), Truth.NULL, true, call.span()), a.get(1), a.get(2));
                    case "zero_if_null" -> Expr.Call.of("coalesce", a.get(0), Expr.Literal.number(0));
                    case "null_if_zero" -> Expr.Call.of("nullif", a.get(0), Expr.Literal.number(0));
                    case "square" -> new Expr.Binary(BinaryOperator.MULTIPLY, a.get(0), a.get(0), call.span());
                    case "count_if" -> countIf(a.get(0), call);
                    case "count_pairs" -> pairs(a, call);
                    case "json_set", "json_remove" -> atPlace(a, call);
                    case "greatest", "least" -> extreme(call, a);
                    case "lag", "lead" -> a.size() == 3 ? neighbour(a, call) : null;
                    default -> further(call, a);
                };
        return Optional.ofNullable(expanded);
    }

    /** A row's neighbour, or a value where there is none: that of a constant tells whether there is one. */
    private static Expr neighbour(List<Expr> a, Expr.Call call) {
        Expr there =
                new Expr.Call(call.name(), true, List.of(Expr.Literal.number(1), a.get(1)), call.suffix(), call.span());
        Expr value = new Expr.Call(call.name(), true, a.subList(0, 2), call.suffix(), call.span());
        return Expr.Case.of(new Expr.Is(there, Truth.NULL, false, call.span()), a.get(2), value);
    }

    private Expr further(Expr.Call call, List<Expr> a) {
        return switch (call.function()) {
            case "choose_text" -> chosen(a, call);
            case "text_of_code_units" -> CodeUnits.plain(a);
            case "translate" -> Translations.nested(a).orElse(null);
            case "locate_nth" -> second(a);
            case "index_of_text" -> index(a, call);
            case "truncate" -> writable("truncate_to", a.get(0), Expr.Literal.number(0));
            case "round" -> writable("round_to", a.get(0), Expr.Literal.number(0));
            case "left" -> writable("substring", a.get(0), Expr.Literal.number(1), a.size() > 1 ? a.get(1) : null);
            case "small_hex_of_bytes" ->
                writable("hex_of_bytes", a.get(0)) == null
                        ? null
                        : Expr.Call.of("lower", writable("hex_of_bytes", a.get(0)));
            case "lpad" -> writable("lpad_with", a.get(0), a.get(1), Expr.Literal.string(" "));
            case "rpad" -> writable("rpad_with", a.get(0), a.get(1), Expr.Literal.string(" "));
            case "repeat_or_null" -> repeated(a, call);
            case "json_scalar_text" -> writable("json_get_text", a.get(0), a.get(1));
            case "insert_text_within" -> writable("insert_text", a.get(0), a.get(1), a.get(2), a.get(3));
            case "power_of_whole", "degrees_of_whole", "radians_of_whole" -> ofWhole(a, call);
            case "number_in_width" -> inWidth(a, call);
            case "is_numeric" -> isNumeric(a.get(0), call);
            case "space" -> writable("repeat", Expr.Literal.string(" "), a.get(0));
            case "length_without_padding" -> writable("char_length", Expr.Call.of("rtrim", a.get(0)));
            case "starts_with" -> found(a, BinaryOperator.EQUAL, 1, call);
            case "contains" -> found(a, BinaryOperator.GREATER, 0, call);
            case "extract_week" -> writable("extract_iso_week", a.get(0));
            case "days_between" -> writable("diff_days", a.get(0), a.get(1));
            case "add_quarters" -> writable("add_months", a.get(0), times(a.get(1), 3));
            case "add_weeks" -> writable("add_days", a.get(0), times(a.get(1), 7));
            case "add_years" -> writable("add_months", a.get(0), times(a.get(1), 12));
            case "add_months_end_to_end" -> writable("add_months", a.get(0), a.get(1));
            case "extract_epoch", "whole_epoch" ->
                writable("full_seconds", new Expr.Literal(LiteralKind.TIMESTAMP, EPOCH, call.span()), a.get(0));
            case "utc_of_epoch" ->
                writable("add_seconds", new Expr.Literal(LiteralKind.TIMESTAMP, EPOCH, call.span()), a.get(0));
            default -> last(call, a);
        };
    }

    private Expr last(Expr.Call call, List<Expr> a) {
        return switch (call.function()) {
            case "last_day_after" -> {
                Expr later = writable("add_months", a.get(0), a.get(1));
                yield later == null ? null : writable("last_day", later);
            }
            case "utc_date" -> utc("DATE", call);
            case "utc_time" -> utc("TIME", call);
            case "trunc_week" -> week(a.get(0), call);
            case "not_matching" ->
                to.has(SqlFeature.IS_TRUE)
                        ? new Expr.Is(a.get(0), Truth.TRUE, true, call.span())
                        : new Expr.Binary(
                                BinaryOperator.EQUAL,
                                Expr.Case.of(a.get(0), Expr.Literal.number(1), Expr.Literal.number(0)),
                                Expr.Literal.number(0),
                                call.span());
            case "bit_and_of_rows", "bit_or_of_rows", "bit_xor_of_rows" -> ofNone(call);
            case "every", "some" -> extremeTruth(call.is("every") ? "min" : "max", a.get(0), call);
            case "zoned_now" -> new Expr.CurrentTime(CurrentKind.TIMESTAMP, -1, call.span());
            case "current_schema" -> writable("current_database");
            case "any_value" -> Expr.Call.of("min", a.get(0));
            case "log2" -> writable("log_base", Expr.Literal.number(2), a.get(0));
            case "log10" -> writable("log_base", Expr.Literal.number(10), a.get(0));
            case "greatest_skip_nulls", "least_skip_nulls" -> ofThose(call, a);
            case "concat_ws" -> separated(a, call);
            case "substring_before" -> before(a, call);
            case "text_compare" -> compared(a, call);
            case "int_of" -> call.with("truncate", a);
            default -> null;
        };
    }

    /** A text so many times; NULL for a count below zero. */
    private Expr repeated(List<Expr> a, Expr.Call call) {
        Expr all = writable("repeat", a.get(0), a.get(1));
        Expr enough = new Expr.Binary(BinaryOperator.GREATER_OR_EQUAL, a.get(1), Expr.Literal.number(0), call.span());
        return all == null
                ? null
                : new Expr.Case(Optional.empty(), List.of(new Expr.When(enough, all)), Optional.empty(), call.span());
    }

    /** A power or an angle that is whole, as the number is of which it is made. */
    private Expr ofWhole(List<Expr> a, Expr.Call call) {
        boolean whole = a.size() > 1 && a.get(1) instanceof Expr.Literal l && l.isDigits(9);
        Expr result = call.with(call.function().replace("_of_whole", ""), a);
        return whole ? result : writable("truncate", result);
    }

    /** A number with some digits behind the point, with blanks before it. */
    private Expr inWidth(List<Expr> a, Expr.Call call) {
        Expr given = a.size() > 2 ? a.get(2) : Expr.Literal.number(0);
        boolean possible =
                given instanceof Expr.Literal l && l.text().matches("\\d") && !to.has(SqlFeature.NUMBERS_SHOWN_SHORT);
        if (!possible) {
            return null;
        }
        int digits = Integer.parseInt(((Expr.Literal) given).text());
        String exact = to.types().castName(new LogicalType.Decimal(38, digits, false));
        Expr number = new Expr.Cast(a.get(0), TypeName.of(exact), false, call.span());
        Expr text =
                new Expr.Cast(number, TypeName.of(to.types().castName(new LogicalType.Text(0))), false, call.span());
        return writable("lpad_with", text, a.size() > 1 ? a.get(1) : Expr.Literal.number(10), Expr.Literal.string(" "));
    }

    private Expr isNumeric(Expr text, Expr.Call call) {
        String number = "^ *[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+)([eE][-+]?[0-9]+)? *$";
        Expr fits = new Expr.Matches(text, Expr.Literal.string(number), false, false, call.span());
        return to.has(SqlFeature.REGULAR_EXPRESSIONS)
                ? Expr.Case.of(fits, Expr.Literal.number(1), Expr.Literal.number(0))
                : null;
    }

    /** The Monday on or before a day. */
    private Expr week(Expr date, Expr.Call call) {
        Expr days = writable("day_of_week_monday_0", date);
        Expr day = writable("trunc_day", date);
        return days == null || day == null
                ? null
                : writable("add_days", day, new Expr.Unary(UnaryOperator.MINUS, days, call.span()));
    }

    /** The least or greatest of truth values, as numbers. */
    private Expr extremeTruth(String function, Expr condition, Expr.Call call) {
        Expr number = new Expr.Call(
                raftcart.sql.tree.QualifiedName.of(function),
                true,
                List.of(Truths.asNumber(condition, call.span())),
                call.suffix(),
                call.span());
        return to.has(SqlFeature.BOOLEAN_CONSTANTS)
                ? new Expr.Binary(BinaryOperator.EQUAL, number, Expr.Literal.number(1), call.span())
                : number;
    }

    /** MySQL's aggregates of bits, which have a value also where there are no rows. */
    private Expr ofNone(Expr.Call call) {
        String function = call.function().replace("_of_rows", "_agg");
        String none = call.is("bit_and_of_rows") ? "18446744073709551615" : "0";
        if (!to.functions().writes(function)) {
            return null;
        }
        Expr bits = new Expr.Call(
                raftcart.sql.tree.QualifiedName.of(function), true, call.arguments(), call.suffix(), call.span());
        return Expr.Call.of("coalesce", bits, new Expr.Literal(LiteralKind.NUMBER, none, call.span()))
                .at(call.span());
    }

    private static Expr utc(String type, Expr.Call call) {
        Expr now = new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, -1, call.span());
        return new Expr.Cast(now, TypeName.of(type), false, call.span());
    }

    private Expr writable(String function, Expr... arguments) {
        List<Expr> given = new ArrayList<>();
        for (Expr argument : arguments) {
            if (argument != null) {
                given.add(argument);
            }
        }
        boolean known = to.functions()
                .write(function, given, e -> raftcart.sql.function.ValueKind.UNKNOWN)
                .isPresent();
        return known ? Expr.Call.of(function, given.toArray(Expr[]::new)) : null;
    }

    private static Expr times(Expr amount, int factor) {
        if (amount instanceof Expr.Literal l && l.text().matches("-?\\d{1,6}")) {
            return Expr.Literal.number(Long.parseLong(l.text()) * factor);
        }
        return new Expr.Binary(BinaryOperator.MULTIPLY, amount, Expr.Literal.number(factor), amount.span());
    }

    /** DECODE holds two NULLs equal, which CASE with a subject does not. */
    private static Expr decode(List<Expr> a, Expr.Call call) {
        List<Expr.When> branches = new ArrayList<>();
        boolean nulls = false;
        boolean constants = true;
        for (int i = 1; i + 1 < a.size(); i += 2) {
            boolean literal = a.get(i) instanceof Expr.Literal;
            nulls |= literal && ((Expr.Literal) a.get(i)).kind() == LiteralKind.NULL;
            constants &= literal;
        }
        for (int i = 1; i + 1 < a.size(); i += 2) {
            Expr condition = constants && !nulls ? a.get(i) : same(a.get(0), a.get(i), call);
            branches.add(new Expr.When(condition, a.get(i + 1)));
        }
        Optional<Expr> otherwise = a.size() % 2 == 0 ? Optional.of(a.get(a.size() - 1)) : Optional.empty();
        if (branches.isEmpty()) {
            return null;
        }
        Optional<Expr> subject = constants && !nulls ? Optional.of(a.get(0)) : Optional.empty();
        return new Expr.Case(subject, branches, otherwise, call.span());
    }

    private static Expr same(Expr value, Expr other, Expr.Call call) {
        if (other instanceof Expr.Literal literal) {
            return literal.kind() == LiteralKind.NULL
                    ? new Expr.Is(value, Truth.NULL, false, call.span())
                    : new Expr.Binary(BinaryOperator.EQUAL, value, other, call.span());
        }
        return new Expr.Binary(BinaryOperator.SAME, value, other, call.span());
    }

    /** MySQL's COUNT(DISTINCT a, b), which passes over pairs with a NULL. */
    private Expr pairs(List<Expr> a, Expr.Call call) {
        if (!to.has(SqlFeature.ROWS_ARE_COUNTED) || !call.suffix().distinct()) {
            return null;
        }
        Expr both = new Expr.Junction(
                true,
                a.stream()
                        .<Expr>map(v -> new Expr.Is(v, Truth.NULL, true, call.span()))
                        .toList(),
                call.span());
        Expr row = new Expr.Case(
                Optional.empty(),
                List.of(new Expr.When(both, new Expr.Row(a, call.span()))),
                Optional.empty(),
                call.span());
        return new Expr.Call(
                raftcart.sql.tree.QualifiedName.of("count"), true, List.of(row), call.suffix(), call.span());
    }

    /** A value within JSON by a path of names and numbers, as PostgreSQL has it. */
    private Expr atPlace(List<Expr> a, Expr.Call call) {
        Optional<String> steps = to.functions().writes(call.function() + "_at")
                        && a.get(1) instanceof Expr.Literal path
                        && path.text().length() > 1
                ? JsonPaths.steps(path.text())
                : Optional.empty();
        if (steps.isEmpty()) {
            return null;
        }
        List<Expr> arguments = new ArrayList<>(a);
        arguments.set(1, Expr.Literal.string(steps.get()));
        return new Expr.Call(
                raftcart.sql.tree.QualifiedName.of(call.function() + "_at"),
                true,
                arguments,
                call.suffix(),
                call.span());
    }

    private static Expr countIf(Expr condition, Expr.Call call) {
        Expr one = new Expr.Case(
                Optional.empty(),
                List.of(new Expr.When(condition, Expr.Literal.number(1))),
                Optional.empty(),
                call.span());
        return new Expr.Call(
                raftcart.sql.tree.QualifiedName.of("count"), true, List.of(one), call.suffix(), call.span());
    }

    /** The greatest or least of values; NULL if one of them is. */
    private Expr extreme(Expr.Call call, List<Expr> a) {
        String passing = call.function() + "_skip_nulls";
        if (a.size() > 2 && to.functions().writes(passing)) {
            return ofAll(call.with(passing, a).at(call.span()), a);
        }
        boolean none = a.stream().anyMatch(v -> v instanceof Expr.Literal l && l.kind() == LiteralKind.NULL);
        if (none || a.size() < 2 || a.size() > 5) {
            return null;
        }
        Expr most = a.get(0);
        for (Expr value : a.subList(1, a.size())) {
            most = extreme(most, value, call);
        }
        return most;
    }

    /** The greatest or least of those values that are not NULL: each stands for the next where it is NULL. */
    private Expr ofThose(Expr.Call call, List<Expr> a) {
        List<Expr> values = a.stream()
                .filter(v -> !(v instanceof Expr.Literal l && l.kind() == LiteralKind.NULL))
                .toList();
        if (values.size() < 2 || values.size() > 5) {
            return values.size() == 1 ? values.get(0) : null;
        }
        List<Expr> filled = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            List<Expr> turned = new ArrayList<>(values.subList(i, values.size()));
            turned.addAll(values.subList(0, i));
            boolean sure = values.get(i) instanceof Expr.Literal;
            filled.add(sure ? values.get(i) : Expr.Call.of("coalesce", turned.toArray(Expr[]::new)));
        }
        String function = call.is("greatest_skip_nulls") ? "greatest" : "least";
        Expr extreme = writable(function, filled.toArray(Expr[]::new));
        return extreme != null ? extreme : extreme(call.with(function, filled).at(call.span()), filled);
    }

    /** What stands before the first separator; the whole text where there is none. */
    private Expr before(List<Expr> a, Expr.Call call) {
        boolean first = a.get(2) instanceof Expr.Literal l && l.text().equals("1");
        Expr number = a.get(2) instanceof Expr.Cast cast ? cast.value() : a.get(2);
        boolean last = number instanceof Expr.Unary u
                        && u.operator() == UnaryOperator.MINUS
                        && u.operand() instanceof Expr.Literal l
                        && l.text().equals("1")
                || number instanceof Expr.Literal one && one.text().equals("-1");
        if (last && !to.has(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            return behindLast(a, call);
        }
        Expr closed = new Expr.Concat(List.of(a.get(0), a.get(1)), false, call.span());
        Expr place = first ? writable("locate", closed, a.get(1)) : null;
        return place == null
                ? null
                : writable(
                        "substring",
                        a.get(0),
                        Expr.Literal.number(1),
                        new Expr.Binary(BinaryOperator.SUBTRACT, place, Expr.Literal.number(1), call.span()));
    }

    /** What stands behind the last separator, found from the end. */
    private Expr behindLast(List<Expr> a, Expr.Call call) {
        Expr text = writable("reverse", a.get(0));
        Expr separator = writable("reverse", a.get(1));
        if (text == null || separator == null) {
            return null;
        }
        Expr place = writable("locate", new Expr.Concat(List.of(text, separator), false, call.span()), separator);
        return place == null
                ? null
                : writable(
                        "right",
                        a.get(0),
                        new Expr.Binary(BinaryOperator.SUBTRACT, place, Expr.Literal.number(1), call.span()));
    }

    /** One of -1, 0 and 1, as a text comes before, with or after another. */
    private static Expr compared(List<Expr> a, Expr.Call call) {
        return new Expr.Case(
                Optional.empty(),
                List.of(
                        new Expr.When(
                                new Expr.Binary(BinaryOperator.LESS, a.get(0), a.get(1), call.span()),
                                Expr.Literal.number(-1)),
                        new Expr.When(
                                new Expr.Binary(BinaryOperator.GREATER, a.get(0), a.get(1), call.span()),
                                Expr.Literal.number(1)),
                        new Expr.When(
                                new Expr.Binary(BinaryOperator.EQUAL, a.get(0), a.get(1), call.span()),
                                Expr.Literal.number(0))),
                Optional.empty(),
                call.span());
    }

    /** Texts that are not NULL with a separator between: each behind one, and the first one taken away. */
    private Expr separated(List<Expr> a, Expr.Call call) {
        if (!(a.get(0) instanceof Expr.Literal separator) || !separator.text().matches("(?s)[\\x00-\\uFFFF]+")) {
            return null; // others are one letter to some engines, and two to others
        }
        List<Expr> parts = new ArrayList<>();
        for (Expr part : a.subList(1, a.size())) {
            if (part instanceof Expr.Literal l && l.kind() == LiteralKind.NULL) {
                continue;
            }
            Expr behind = new Expr.Concat(List.of(separator, part), false, call.span());
            Expr there = new Expr.Is(part, Truth.NULL, true, call.span());
            parts.add(part instanceof Expr.Literal ? behind : Expr.Case.of(there, behind, Expr.Literal.string("")));
        }
        Expr all = parts.size() == 1 ? parts.get(0) : new Expr.Concat(parts, false, call.span());
        return writable("substring", all, Expr.Literal.number(separator.text().length() + 1L));
    }

    /** A value where none of others is NULL. */
    private static Expr ofAll(Expr value, List<Expr> others) {
        List<Expr> there = others.stream()
                .filter(v -> !(v instanceof Expr.Literal l && l.kind() != LiteralKind.NULL))
                .<Expr>map(v -> new Expr.Is(v, Truth.NULL, true, value.span()))
                .toList();
        return OldForms.and(there)
                .<Expr>map(all -> new Expr.Case(
                        Optional.empty(), List.of(new Expr.When(all, value)), Optional.empty(), value.span()))
                .orElse(value);
    }

    private static Expr extreme(Expr first, Expr second, Expr.Call call) {
        boolean greatest = call.is("greatest");
        BinaryOperator operator = greatest ? BinaryOperator.GREATER_OR_EQUAL : BinaryOperator.LESS_OR_EQUAL;
        BinaryOperator reverse = greatest ? BinaryOperator.GREATER : BinaryOperator.LESS;
        return new Expr.Case(
                Optional.empty(),
                List.of(
                        new Expr.When(new Expr.Binary(operator, first, second, call.span()), first),
                        new Expr.When(new Expr.Binary(reverse, second, first, call.span()), second)),
                Optional.empty(),
                call.span());
    }

    /** The second place of a text from the beginning: the first one after the first. */
    private Expr second(List<Expr> a) {
        if (a.get(3) instanceof Expr.Literal nth && nth.text().equals("1")) {
            return writable("locate", a.get(0), a.get(1), a.get(2));
        }
        boolean plain = a.get(2) instanceof Expr.Literal start
                && start.text().equals("1")
                && a.get(3) instanceof Expr.Literal nth
                && nth.text().equals("2");
        Expr first = plain ? writable("locate", a.get(0), a.get(1)) : null;
        // Where there is none the search begins anew at the first letter, and finds none again.
        return first == null
                ? null
                : writable(
                        "locate",
                        a.get(0),
                        a.get(1),
                        new Expr.Binary(
                                BinaryOperator.ADD,
                                first,
                                Expr.Literal.number(1),
                                a.get(0).span()));
    }

    private static Expr chosen(List<Expr> a, Expr.Call call) {
        List<Expr.When> branches = new ArrayList<>();
        for (int i = 1; i < a.size(); i++) {
            branches.add(new Expr.When(Expr.Literal.number(i), a.get(i)));
        }
        return new Expr.Case(Optional.of(a.get(0)), branches, Optional.empty(), call.span());
    }

    private static Expr index(List<Expr> a, Expr.Call call) {
        List<Expr.When> branches = new ArrayList<>();
        for (int i = 1; i < a.size(); i++) {
            branches.add(new Expr.When(a.get(i), Expr.Literal.number(i)));
        }
        return new Expr.Case(Optional.of(a.get(0)), branches, Optional.of(Expr.Literal.number(0)), call.span());
    }

    private Expr found(List<Expr> a, BinaryOperator operator, int place, Expr.Call call) {
        Expr locate = writable("locate", a.get(0), a.get(1));
        return locate == null ? null : new Expr.Binary(operator, locate, Expr.Literal.number(place), call.span());
    }
}
