package raftcart.engines.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.function.Signature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Calls of the dictionary's functions with arguments that mean something, and with some at the edge of it. */
final class FunctionSamples {
    private static final Map<String, Expr> BY_NAME = Map.ofEntries(
            Map.entry("part", text("es")),
            Map.entry("from", text("e")),
            Map.entry("to", text("a")),
            Map.entry("characters", text("K")),
            Map.entry("fill", text("*")),
            Map.entry("separator", text(",")),
            Map.entry("list", text("a,Kestrel ridge,b")),
            Map.entry("pattern", text("K.s")),
            Map.entry("length", Expr.Literal.number(3)),
            Map.entry("code", Expr.Literal.number(75)),
            Map.entry("digits", Expr.Literal.number(1)),
            Map.entry("path", text("$.a")),
            Map.entry("count", Expr.Literal.number(3)),
            Map.entry("times", Expr.Literal.number(2)),
            Map.entry("seconds", Expr.Literal.number(1000)));

    /** A letter of four bytes. */
    static final String WIDE = "\uD83D\uDD2D";

    private static final List<Expr> TEXTS = List.of(
            text(""),
            text("aXbXc"),
            text("\u00c4gir's  caf\u00e9 "),
            text("12"),
            text("a,b"),
            text(WIDE + "x"),
            Expr.Literal.ofNull());
    private static final List<Expr> PATTERNS = List.of(text("(r)i"), text("^k|e$"), text("\\s"), text("[^ ]+"));
    private static final List<Expr> NUMBERS =
            List.of(number("0"), number("1"), number("-1"), number("-2"), number("40"), Expr.Literal.ofNull());
    private static final List<Expr> FRACTIONS =
            List.of(number("0"), number("1"), number("-0.5"), number("2.5"), number("-7.25"), number("1234.565"));
    private static final List<Expr> FLOATS =
            List.of(number("2.5"), number("-3.5"), number("0.25"), number("1.005"), number("-0.5"), number("1234.565"));
    private static final Set<String> BELOW_ZERO = Set.of("-1", "-2");
    private static final List<String> DAYS =
            List.of("2024-02-29", "2026-01-01", "2026-12-31", "1969-12-28", "2027-01-03");
    private static final List<String> MOMENTS =
            List.of("2024-02-29 23:59:59", "2026-01-01 00:00:00", "1969-12-28 12:30:00");

    /** What no engine means by its function, so that each gives what it likes: lengths below zero, days before year 1. */
    private static final Map<String, Set<String>> MEANINGLESS = Map.ofEntries(
            Map.entry("lpad", BELOW_ZERO),
            Map.entry("rpad", BELOW_ZERO),
            Map.entry("lpad_with", BELOW_ZERO),
            Map.entry("rpad_with", BELOW_ZERO),
            Map.entry("overlay", Set.of("-1", "-2", "0")),
            Map.entry("insert_text", Set.of("-1", "-2", "0")),
            Map.entry("char_of", BELOW_ZERO),
            Map.entry("unicode_char", BELOW_ZERO),
            Map.entry("split_part", Set.of("-1", "-2", "", "NULL")),
            Map.entry("substring_before", Set.of("", "0", "NULL")),
            Map.entry("shift_left", Set.of("-1", "-2", "40")),
            Map.entry("shift_right", BELOW_ZERO),
            Map.entry("bit_count", BELOW_ZERO),
            Map.entry("hex_of_number", BELOW_ZERO),
            Map.entry("small_hex_of_number", BELOW_ZERO),
            Map.entry("text_of_bits", BELOW_ZERO),
            Map.entry("format_decimals", Set.of("-1", "-2", "40")),
            Map.entry("date_of_days", Set.of("-1", "-2", "0", "1", "40")),
            Map.entry("make_date", Set.of("-1", "-2", "0", "1", "40")),
            Map.entry("make_date_of_day", Set.of("-1", "-2", "0", "1", "40")),
            Map.entry("make_timestamp", BELOW_ZERO),
            Map.entry("timestamp_of_epoch", Set.of("-0.5", "-7.25", "-3.5", "1.005")),
            Map.entry("to_zone", Set.of("12", "1969-12-28 12:30:00")), // before 1970 MariaDB gives the time as it is
            Map.entry("exp", Set.of("1234.565")),
            Map.entry("log10", Set.of("0")),
            Map.entry("log_base", Set.of("0.25")), // SQLite has none of a base below 1
            Map.entry("power", Set.of("-0.5", "-7.25", "-3.5")),
            Map.entry("sqrt", Set.of("-0.5", "-7.25", "-3.5")),
            Map.entry("date_of", Set.of("12")),
            Map.entry("time_of", Set.of("12")),
            Map.entry("timestamp_of", Set.of("12")),
            Map.entry("printf", Set.of("NULL")),
            Map.entry("div", Set.of("2.5")), // HSQLDB divides decimals to the digits that it likes
            // Fractions that the drivers of two engines do not show, or that the engine itself rounds twice.
            Map.entry("make_time", Set.of("-0.5", "2.5", "0.25", "1.005")),
            Map.entry("add_milliseconds", Set.of("-0.5", "2.5", "-7.25", "1234.565")));

    private FunctionSamples() {}

    private static Expr text(String text) {
        return Expr.Literal.string(text);
    }

    private static Expr argument(Signature signature, int index) {
        Signature.Parameter parameter = signature.parameters().get(index);
        boolean date = parameter.kind().isDate();
        Expr named = BY_NAME.get(parameter.name());
        if (named != null && !date && fits(named, parameter.kind())) {
            return named;
        }
        return switch (parameter.kind()) {
            case TEXT, UNKNOWN -> text("Kestrel ridge");
            case INTEGER -> Expr.Literal.number(2 + index);
            case DECIMAL, FLOAT ->
                new Expr.Literal(LiteralKind.NUMBER, index == 0 ? "0.75" : "0.5", raftcart.sql.Span.NONE);
            case DATE ->
                new Expr.Literal(
                        LiteralKind.DATE,
                        parameter.name().equals("from") ? "2025-11-30" : "2026-03-15",
                        raftcart.sql.Span.NONE);
            case TIMESTAMP ->
                new Expr.Literal(
                        LiteralKind.TIMESTAMP,
                        parameter.name().equals("from") ? "2026-03-14 21:10:05" : "2026-03-15 13:45:30",
                        raftcart.sql.Span.NONE);
            default -> null;
        };
    }

    private static Expr moment() {
        return new Expr.Literal(LiteralKind.TIMESTAMP, "2026-03-15 13:45:30", raftcart.sql.Span.NONE);
    }

    private static boolean fits(Expr value, ValueKind kind) {
        boolean string = value instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
        return string ? kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN : kind.isNumber();
    }

    /** Arguments of functions for which those by kind mean nothing. */
    private static List<Expr> own(String function) {
        return switch (function) {
            case "date_of" -> List.of(text("2026-03-15"));
            case "timestamp_of" -> List.of(text("2026-03-15 13:45:30"));
            case "time_of" -> List.of(text("13:45:30"));
            case "float_of", "number_of" -> List.of(text("2.5"));
            case "bytes_of_hex" -> List.of(text("4b65"));
            case "uuid_to_bytes" -> List.of(text("00112233-4455-6677-8899-aabbccddeeff"));
            case "uuid_of_bytes" ->
                List.of(new Expr.Literal(
                        LiteralKind.BYTES, "00112233445566778899AABBCCDDEEFF", raftcart.sql.Span.NONE));
            case "bytes_of_base64" -> List.of(text("S2U="));
            case "mod", "div" -> List.of(Expr.Literal.number(17), Expr.Literal.number(5));
            case "width_bucket" ->
                List.of(
                        Expr.Literal.number(5),
                        Expr.Literal.number(0),
                        Expr.Literal.number(10),
                        Expr.Literal.number(4));
            case "text_of" -> List.of(Expr.Literal.number(42));
            case "make_date" -> List.of(Expr.Literal.number(2026), Expr.Literal.number(3), Expr.Literal.number(15));
            case "make_date_of_day" -> List.of(Expr.Literal.number(2026), Expr.Literal.number(40));
            case "date_of_days" -> List.of(Expr.Literal.number(740055));
            case "make_time" -> List.of(Expr.Literal.number(2), Expr.Literal.number(3), Expr.Literal.number(5));
            case "log_base" -> List.of(Expr.Literal.number(2), Expr.Literal.number(8));
            case "json_of_text", "json_as_stored" -> List.of(text("{\"a\": 1}"));
            case "interval_of" -> List.of(Expr.Literal.number(2), text("hour"));
            case "substring_before" -> List.of(text("a,b,c"), text(","), Expr.Literal.number(-2));
            case "regexp_substring_nth" ->
                List.of(text("a,b,c"), text("[^,]+"), Expr.Literal.number(1), Expr.Literal.number(2));
            case "next_day" ->
                List.of(new Expr.Literal(LiteralKind.DATE, "2026-03-15", raftcart.sql.Span.NONE), text("monday"));
            case "format_decimals" ->
                List.of(
                        new Expr.Literal(LiteralKind.NUMBER, "1234567.891", raftcart.sql.Span.NONE),
                        Expr.Literal.number(2));
            case "to_zone" -> List.of(moment(), text("+00:00"), text("+02:00"));
            case "split_part" -> List.of(text("a,b,c"), text(","), Expr.Literal.number(2));
            default -> List.of();
        };
    }

    /** A call with usual arguments; empty where they mean nothing. */
    static Optional<Expr.Call> usual(Signature signature) {
        List<Expr> arguments = new ArrayList<>(own(signature.name()));
        if (!arguments.isEmpty()) {
            return Optional.of(new Expr.Call(
                    QualifiedName.of(signature.name()), true, arguments, CallSuffix.NONE, raftcart.sql.Span.NONE));
        }
        for (int i = 0; i < signature.parameters().size(); i++) {
            if (signature.parameters().get(i).optional()) {
                break;
            }
            Expr argument = argument(signature, i);
            if (argument == null) {
                return Optional.empty();
            }
            arguments.add(argument);
            if (signature.parameters().get(i).variable()) {
                arguments.add(text("b"));
            }
        }
        return Optional.of(new Expr.Call(
                QualifiedName.of(signature.name()), true, arguments, CallSuffix.NONE, raftcart.sql.Span.NONE));
    }

    private static Expr number(String digits) {
        return new Expr.Literal(LiteralKind.NUMBER, digits, raftcart.sql.Span.NONE);
    }

    /** The usual call with one argument after the other at an edge. */
    static List<Expr.Call> edges(Signature signature) {
        Optional<Expr.Call> usual = usual(signature);
        List<Expr.Call> calls = new ArrayList<>();
        for (int i = 0; usual.isPresent() && i < usual.get().arguments().size(); i++) {
            int at = Math.min(i, signature.parameters().size() - 1);
            Set<String> left = MEANINGLESS.getOrDefault(signature.name(), Set.of());
            for (Expr edge :
                    edges(usual.get().arguments().get(i), signature.parameters().get(at))) {
                if (left.contains(word((Expr.Literal) edge))) {
                    continue;
                }
                List<Expr> arguments = new ArrayList<>(usual.get().arguments());
                arguments.set(i, edge);
                calls.add(new Expr.Call(
                        QualifiedName.of(signature.name()), true, arguments, CallSuffix.NONE, raftcart.sql.Span.NONE));
            }
        }
        return calls;
    }

    /** The usual call with one number after the other as a binary float, of the source's name for that type. */
    static List<Expr.Call> floats(Signature signature, String type) {
        Optional<Expr.Call> usual = usual(signature);
        List<Expr.Call> calls = new ArrayList<>();
        for (int i = 0; usual.isPresent() && i < usual.get().arguments().size(); i++) {
            int at = Math.min(i, signature.parameters().size() - 1);
            ValueKind kind = signature.parameters().get(at).kind();
            for (Expr digits : kind.isNumber() && kind != ValueKind.INTEGER ? FLOATS : List.<Expr>of()) {
                if (!MEANINGLESS.getOrDefault(signature.name(), Set.of()).contains(word((Expr.Literal) digits))) {
                    List<Expr> arguments = new ArrayList<>(usual.get().arguments());
                    arguments.set(i, new Expr.Cast(digits, TypeName.of(type), false, raftcart.sql.Span.NONE));
                    calls.add(new Expr.Call(
                            QualifiedName.of(signature.name()),
                            true,
                            arguments,
                            CallSuffix.NONE,
                            raftcart.sql.Span.NONE));
                }
            }
        }
        return calls;
    }

    private static String word(Expr.Literal edge) {
        return edge.kind() == LiteralKind.NULL ? "NULL" : edge.text();
    }

    private static List<Expr> edges(Expr usual, Signature.Parameter parameter) {
        if (!(usual instanceof Expr.Literal literal)) {
            return List.of();
        }
        return switch (literal.kind()) {
            case STRING -> parameter.name().equals("pattern") ? PATTERNS : TEXTS;
            case NUMBER -> parameter.kind() == ValueKind.INTEGER ? NUMBERS : FRACTIONS;
            case DATE -> DAYS.stream().map(d -> moment(LiteralKind.DATE, d)).toList();
            case TIMESTAMP ->
                MOMENTS.stream().map(d -> moment(LiteralKind.TIMESTAMP, d)).toList();
            default -> List.of();
        };
    }

    private static Expr moment(LiteralKind kind, String text) {
        return new Expr.Literal(kind, text, raftcart.sql.Span.NONE);
    }
}
