package raftcart.rewrite;

import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Differences of moments: days, or intervals where a timestamp is among them. */
final class DateDifferences {
    private static final long SECONDS_OF_DAY = 86_400;

    private final ExprAdapter adapter;

    DateDifferences(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A difference of what is taken for two dates. */
    private Expr days(Expr.Binary binary) {
        ValueKind day = adapter.from.has(SqlFeature.DATES_HAVE_TIME) ? ValueKind.TIMESTAMP : ValueKind.DATE;
        return of(binary, day, day);
    }

    /** The days between two dates. */
    Expr of(Expr.Binary binary, ValueKind left, ValueKind right) {
        Expr to = adapter.expr(binary.left());
        Expr from = adapter.expr(binary.right());
        boolean sourceDays = adapter.from.has(SqlFeature.DATE_PLUS_DAYS);
        boolean dates = left == ValueKind.DATE && right == ValueKind.DATE;
        if (dates && sourceDays && adapter.to.has(SqlFeature.DATE_PLUS_DAYS)) {
            return new Expr.Binary(BinaryOperator.SUBTRACT, to, from, binary.span());
        }
        boolean fine = isFine(binary.left()) || isFine(binary.right());
        if (!fine && (isPerhapsFine(binary.left()) || isPerhapsFine(binary.right()))) {
            adapter.note(FindingCode.TYPES_UNKNOWN, binary.span(), "taken for the days between two dates");
        }
        boolean span = adapter.from.has(SqlFeature.DATES_HAVE_TIME) ? fine : !dates;
        if (span
                && adapter.from.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS)
                && adapter.to.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS)) {
            return new Expr.Binary(BinaryOperator.SUBTRACT, to, from, binary.span());
        }
        if (!sourceDays || !dates && adapter.from.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP)) {
            throw new Untranslatable("a difference of times");
        }
        if (fine && adapter.from.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS)) {
            throw new Untranslatable("a difference of timestamps, which is an interval");
        }
        if (!dates && adapter.writes("extract_epoch")) {
            return new Expr.Binary(
                    BinaryOperator.DIVIDE,
                    new Expr.Binary(
                            BinaryOperator.SUBTRACT,
                            epoch(to, binary.right()),
                            epoch(from, binary.left()),
                            binary.span()),
                    Expr.Literal.number(SECONDS_OF_DAY),
                    binary.span());
        }
        if (!dates) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS, binary.span(), "the difference of times in days loses its fraction");
        }
        return Expr.Call.of("days_between", from, to).at(binary.span());
    }

    /** The seconds of a moment; those of the present by the clock of the session where the other moment has no zone. */
    private Expr epoch(Expr e, Expr other) {
        boolean present = e instanceof Expr.CurrentTime now
                && now.kind() == CurrentKind.TIMESTAMP
                && adapter.instants.nature(other) != Instants.Nature.INSTANT;
        if (!present) {
            return Expr.Call.of("extract_epoch", e).at(e.span());
        }
        TypeName plain = adapter.castType(new LogicalType.Timestamp(6, false));
        return Expr.Call.of("extract_epoch", new Expr.Cast(e, plain, false, e.span()))
                .at(e.span());
    }

    /** True for a timestamp with fractions of its second, whose difference from another is no number of days. */
    private boolean isFine(Expr e) {
        if (e instanceof Expr.CurrentTime present) {
            boolean local = present.kind() == CurrentKind.LOCAL_TIMESTAMP && present.precision() >= 0;
            return local || present.kind() == CurrentKind.TIMESTAMP;
        }
        Optional<LogicalType> type = e instanceof Expr.Cast cast
                ? Optional.of(adapter.finder.type(cast.type()))
                : adapter.facts(e).flatMap(Scope.ColumnFacts::type);
        return type.filter(t -> t instanceof LogicalType.Timestamp time && time.precision() > 0)
                .isPresent();
    }

    /** True for a column of which no more is known than that it is a moment, where dates and timestamps differ otherwise. */
    private boolean isPerhapsFine(Expr e) {
        return e instanceof Expr.Column
                && adapter.from.has(SqlFeature.DATES_HAVE_TIME)
                && adapter.facts(e).flatMap(Scope.ColumnFacts::type).isEmpty();
    }

    /** The difference of a moment and something unknown, where dates differ by numbers of days. */
    Expr halfKnown(Expr.Binary binary) {
        boolean span = adapter.from.has(SqlFeature.DATES_HAVE_TIME)
                && adapter.from.has(SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS)
                && (isFine(binary.left()) || isFine(binary.right()));
        adapter.note(
                FindingCode.TYPES_UNKNOWN,
                binary.span(),
                span ? "taken for the time between two timestamps" : "taken for the days between two dates");
        return span ? of(binary, ValueKind.TIMESTAMP, ValueKind.TIMESTAMP) : days(binary);
    }
}
