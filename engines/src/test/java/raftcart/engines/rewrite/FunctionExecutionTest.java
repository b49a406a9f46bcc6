package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Signatures;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;

/** Runs every scalar function that two engines have on both: the same call, translated, has to give the same value. */
class FunctionExecutionTest {
    /** Functions that give something else each time, or whose arguments no example fits. */
    private static final Set<String> NOT_COMPARED = Set.of(
            "random",
            "random_between",
            "uuid_bytes",
            "uuid_hex",
            "random_seeded",
            "new_uuid",
            "current_user",
            "session_user",
            "system_user",
            "current_user_at_host",
            "session_user_at_host",
            "current_database",
            "current_schema",
            "version",
            "connection_id",
            "last_identity",
            "row_count",
            "found_rows",
            "sleep",
            "clock_timestamp",
            "current_transaction",
            "set_sequence",
            "utc_date",
            "utc_time",
            "type_name",
            "new_value",
            "array_of_query",
            "convert_with_style",
            "cast_with_format",
            "format_date",
            "parse_date",
            "parse_timestamp",
            "format_number",
            "age",
            "time_diff",
            "is_nan",
            "make_date",
            "regexp_split",
            "text_to_array",
            "parse_number",
            "rows_of_array",
            "json_rows",
            "series",
            "default_of_type",
            // Each engine quotes names by its own marks; each driver shows intervals and JSON in its own way.
            "quote_name",
            "interval_of",
            "time_of_seconds",
            "instant_of",
            "plain_in_zone",
            "instant_in_zone",
            "json_of_text",
            "field");

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

    private final List<String> failures = new ArrayList<>();
    private int compared;

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
            case "json_of_text" -> List.of(text("{\"a\": 1}"));
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

    private static Optional<Expr.Call> call(Signature signature) {
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

    @Test
    void everyFunctionThatTwoEnginesHaveGivesTheSameOnBoth() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : engines.names()) {
                for (String function : new TreeSet<>(Signatures.names())) {
                    Signature signature = Signatures.find(function).orElseThrow();
                    if (signature.group() == Signature.Group.SCALAR && !NOT_COMPARED.contains(function)) {
                        Optional<Expr.Call> call = call(signature);
                        if (call.isPresent()) {
                            compare(engines, source, call.get());
                        }
                    }
                }
            }
        }
        assertThat(compared).isGreaterThan(1500);
        assertThat(failures).isEmpty();
    }

    private void compare(SqlEngines engines, String source, Expr.Call call) throws SQLException {
        Language from = Languages.named(source).orElseThrow();
        String dummy = from.dummyTable().isEmpty() ? "" : " FROM " + from.dummyTable();
        String sql;
        String expected;
        try {
            sql = "SELECT " + from.writer().apply(WriterContext.plain(from)).expression(call) + dummy;
        } catch (Untranslatable e) {
            return;
        }
        try {
            expected = engines.rows(source, sql, false).get(0);
        } catch (SQLException e) {
            failures.add(source + " does not run " + sql + ": " + firstLine(e));
            return;
        }
        for (String target : engines.names()) {
            if (!target.equals(source)) {
                compare(engines, source, sql, expected, target);
            }
        }
    }

    private void compare(SqlEngines engines, String source, String sql, String expected, String target) {
        StatementResult result = new StatementRewriter(
                        Languages.named(source).orElseThrow(),
                        Languages.named(target).orElseThrow(),
                        new Knowledge(),
                        TokenRules.NONE)
                .rewrite(sql, 1, 1)
                .get(0);
        if (result.outcome() == Outcome.BY_HAND) {
            return;
        }
        boolean differs = result.findings().stream().anyMatch(f -> f.outcome() == Outcome.CHECK);
        try {
            String found = engines.rows(target, result.text(), false).get(0);
            compared++;
            // What tells the time may have moved on, which the source then says too.
            boolean moved = !found.equals(expected)
                    && !differs
                    && engines.rows(source, sql, false).get(0).equals(found);
            if (!found.equals(expected) && !differs && !moved) {
                failures.add(
                        source + " " + sql + " = " + expected + "; " + target + " " + result.text() + " = " + found);
            }
        } catch (SQLException e) {
            // A refusal is loud; it is a failure only where nothing was said about the call.
            if (!differs) {
                failures.add(source + " " + sql + "; " + target + " refuses " + result.text() + ": " + firstLine(e));
            }
        }
    }

    private static String firstLine(SQLException e) {
        return e.getMessage().lines().findFirst().orElse("");
    }
}
