package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.type.LogicalType;

/**
 * Values of indexes and computed columns, which may hang on nothing but their row where the engine says so ("Function
 * Volatility Categories", PostgreSQL): not on the session's zone or language.
 */
final class SteadyValues extends QueryMapper {
    /** By their names in the dictionary, or on the engine where they were put into its words already. */
    private static final Set<String> BY_SETTINGS = Set.of(
            "format_date",
            "parse_date",
            "parse_timestamp",
            "parse_instant",
            "format_number",
            "parse_number",
            "format_decimals",
            "format_text",
            "format",
            "concat",
            "concat_ws",
            "concat_skip_nulls",
            "day_name",
            "month_name",
            "age",
            "to_char",
            "to_date",
            "to_timestamp",
            "to_number",
            "instant_of_epoch",
            "timestamp_of_epoch");

    /** What is another for every row, session or moment. */
    private static final Set<String> FLEETING = Set.of(
            "new_uuid",
            "gen_random_uuid",
            "random",
            "rand",
            "now",
            "zoned_now",
            "clock_timestamp",
            "current_user",
            "session_user",
            "system_user",
            "current_database",
            "current_schema",
            "connection_id",
            "pg_backend_pid");

    private static final Set<String> OF_TEXTS = Set.of("date_of", "time_of", "timestamp_of");

    private static final String FROM_ANOTHER = "the target computes no column from another that it computes";

    private final QueryAdapter adapter;

    private SteadyValues(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The adapted value with explicit conversions; fails where it hangs on more than its row. */
    static Expr of(Expr adapted, QueryAdapter adapter) {
        boolean asked = adapter.to.has(SqlFeature.GENERATED_IS_IMMUTABLE) && !(adapted instanceof Expr.Column);
        return asked && !adapter.same() ? new SteadyValues(adapter).expr(adapted) : adapted;
    }

    /** What computes a column; nothing, and a finding, where the target does not compute that. */
    static Optional<Expr> computed(
            Expr value, Optional<LogicalType> type, ColumnDefinition column, CreateTable table, QueryAdapter adapter) {
        return new UnsaidParts(adapter)
                .expression("what computes " + column.name().text(), column.span(), () -> {
                    Expr own = ofStored(value, table, adapter);
                    return of(new ValueAdapter(adapter).computed(own, type), adapter);
                });
    }

    /** What computes a column, if it reads none that is computed itself, where the target refuses that. */
    private static Expr ofStored(Expr given, CreateTable table, QueryAdapter adapter) {
        boolean asked = adapter.to.has(SqlFeature.GENERATED_READS_NO_GENERATED) && !adapter.same();
        for (ColumnDefinition column : asked ? table.columns() : List.<ColumnDefinition>of()) {
            if (column.generated().isPresent() && ExprSearch.mentions(given, column.name())) {
                throw new Untranslatable(FROM_ANOTHER);
            }
        }
        return given;
    }

    @Override
    public Expr expr(Expr e) {
        if (isFleeting(e)) {
            throw new Untranslatable("a value that hangs on who reads it and when, which the target refuses here");
        }
        if (e instanceof Expr.Call call) {
            boolean text = OF_TEXTS.contains(call.function())
                    && adapter.kind(call.arguments().get(0)) == ValueKind.TEXT;
            refuse(text || BY_SETTINGS.contains(call.function()), "what " + call.name() + " gives");
        }
        if (e instanceof Expr.Cast cast) {
            ValueKind from = adapter.kind(cast.value());
            ValueKind to = KindFinder.kind(adapter.finder.type(cast.type()));
            refuse(from == ValueKind.TEXT && (to.isDate() || to == ValueKind.TIME), "a date read from a text");
            refuse(from.isDate() && to == ValueKind.TEXT, "a date written as a text");
        }
        if (e instanceof Expr.Concat concat) {
            return super.expr(new Expr.Concat(
                    concat.parts().stream().map(this::text).toList(), concat.nullIsEmpty(), concat.span()));
        }
        if (e instanceof Expr.Column column) {
            Optional<LogicalType> type = adapter.facts(column).flatMap(Scope.ColumnFacts::type);
            refuse(
                    type.filter(t -> t instanceof LogicalType.Timestamp at && at.zoned())
                            .isPresent(),
                    "an instant");
        }
        return super.expr(e);
    }

    /** A part of a text: numbers are converted aloud, which settings do not touch. */
    private Expr text(Expr part) {
        ValueKind kind = adapter.kind(part);
        refuse(kind.isDate() || kind == ValueKind.TIME, "a date written as a text");
        return kind.isNumber() && !(part instanceof Expr.Literal)
                ? new Expr.Cast(part, adapter.castType(new LogicalType.Text(0)), false, part.span())
                : part;
    }

    private static void refuse(boolean hangs, String what) {
        if (hangs) {
            throw new Untranslatable(what + " hangs on the session's settings, which the target refuses here");
        }
    }

    /** True for what may be another when it is asked for again. */
    static boolean isFleeting(Expr e) {
        return e instanceof Expr.CurrentTime || e instanceof Expr.Call now && FLEETING.contains(now.function());
    }
}
