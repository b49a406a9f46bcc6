package raftcart.engines.rewrite;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
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
import raftcart.sql.tree.Expr;

/** Runs every scalar function that two engines have on both: the same call, translated, has to give the same value. */
class FunctionExecutionTest {
    /** Functions that give something else each time, or whose arguments no example fits. */
    private static final Set<String> NOT_COMPARED = Set.of(
            // The word of a domain's check, which stands for nothing elsewhere.
            "domain_value",
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
            "session_text",
            "keep_session_text",
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
            "row_of_cursor",
            // Each engine quotes names by its own marks; each driver shows intervals and JSON in its own way.
            "quote_name",
            "interval_of",
            "time_of_seconds",
            "instant_of",
            "plain_in_zone",
            "instant_in_zone",
            "json_as_stored",
            "json_of_text",
            "field");

    private static final String NOT_RUN = " does not run ";
    private static final String REFUSES = " refuses ";

    /** Engines that count a letter beyond the first 65,536 as two, as their texts are those of Java. */
    private static final Set<String> HALVES = Set.of("h2", "hsqldb", "derby");

    private final List<String> failures = new ArrayList<>();
    private int compared;

    @Test
    void everyFunctionThatTwoEnginesHaveGivesTheSameOnBoth() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : engines.names()) {
                for (String function : new TreeSet<>(Signatures.names())) {
                    Signature signature = Signatures.find(function).orElseThrow();
                    if (signature.group() == Signature.Group.SCALAR && !NOT_COMPARED.contains(function)) {
                        Optional<Expr.Call> call = FunctionSamples.usual(signature);
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

    @Test
    void argumentsAtTheEdgeGiveTheSameToo() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : engines.names()) {
                for (String function : new TreeSet<>(Signatures.names())) {
                    Signature signature = Signatures.find(function).orElseThrow();
                    if (signature.group() == Signature.Group.SCALAR && !NOT_COMPARED.contains(function)) {
                        for (Expr.Call call : FunctionSamples.edges(signature)) {
                            compare(engines, source, call);
                        }
                    }
                }
            }
        }
        // What either engine refuses is loud: only another value, of which nothing was said, is wrong.
        assertThat(compared).isGreaterThan(30_000);
        assertThat(failures)
                .filteredOn(f -> !f.contains(REFUSES) && !f.contains(NOT_RUN))
                .isEmpty();
    }

    @Test
    void binaryFloatsGiveTheSameToo() throws SQLException {
        try (SqlEngines engines = new SqlEngines()) {
            for (String source : engines.names()) {
                String type = source.equals("mariadb") || source.equals("duckdb") ? "double" : "double precision";
                for (String function : new TreeSet<>(Signatures.names())) {
                    Signature signature = Signatures.find(function).orElseThrow();
                    if (signature.group() == Signature.Group.SCALAR && !NOT_COMPARED.contains(function)) {
                        for (Expr.Call call : FunctionSamples.floats(signature, type)) {
                            compare(engines, source, call);
                        }
                    }
                }
            }
        }
        assertThat(compared).isGreaterThan(3_000);
        assertThat(failures)
                .filteredOn(f -> !f.contains(REFUSES) && !f.contains(NOT_RUN))
                .isEmpty();
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
            failures.add(source + NOT_RUN + sql + ": " + firstLine(e));
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
        boolean halves = HALVES.contains(source) != HALVES.contains(target) && sql.contains(FunctionSamples.WIDE);
        if (result.outcome() == Outcome.BY_HAND || halves) {
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
                failures.add(source + " " + sql + "; " + target + REFUSES + result.text() + ": " + firstLine(e));
            }
        }
    }

    private static String firstLine(SQLException e) {
        return e.getMessage().lines().findFirst().orElse("");
    }
}
