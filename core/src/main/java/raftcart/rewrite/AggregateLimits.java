package raftcart.rewrite;

import java.util.Locale;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;

/** What a target cannot say of aggregates, whatever the words. */
final class AggregateLimits {
    private AggregateLimits() {}

    static void check(ExprAdapter adapter, Expr.Call call, CallSuffix suffix) {
        boolean overWindow = suffix.over().isPresent()
                && (call.isAny("median", "mode") || call.function().startsWith("percentile_"));
        if (overWindow && adapter.lost(SqlFeature.WINDOW_PERCENTILES)) {
            throw new Untranslatable(call.function().toUpperCase(Locale.ROOT) + " over a window");
        }
        boolean ofGroups =
                suffix.over().isEmpty() && (call.is("median") || call.function().startsWith("percentile_"));
        if (ofGroups && adapter.to.has(SqlFeature.PERCENTILES_WANT_WINDOWS)) {
            throw new Untranslatable(call.function().toUpperCase(Locale.ROOT) + " of groups, not over a window");
        }
        boolean texts = call.isAny("string_agg", "joined_texts");
        if (texts && suffix.over().isPresent() && !adapter.to.has(SqlFeature.WINDOW_TEXTS)) {
            throw new Untranslatable("texts put together over a window");
        }
        boolean rows = call.is("count")
                && suffix.distinct()
                && call.arguments().stream().anyMatch(Expr.Row.class::isInstance);
        if (rows && adapter.lost(SqlFeature.ROWS_ARE_COUNTED)) {
            throw new Untranslatable("different rows counted, those with NULLs among them");
        }
        documents(adapter, call, suffix);
        if (suffix.distinct() && suffix.over().isPresent() && adapter.lost(SqlFeature.DISTINCT_IN_WINDOWS)) {
            throw new Untranslatable("different values over a window");
        }
        if (call.is("mode_of")
                && !suffix.order().isEmpty()
                && !adapter.from.name().equals(adapter.to.name())) {
            throw new Untranslatable("the most frequent value in an order of its own");
        }
        boolean percentile = call.is("median") || call.function().startsWith("percentile_");
        if (suffix.distinct() && percentile && !adapter.from.name().equals(adapter.to.name())) {
            throw new Untranslatable("the middle of different values");
        }
        if (suffix.distinct() && call.is("json_object_agg")) {
            throw new Untranslatable("DISTINCT members of a JSON object");
        }
        boolean filtered = suffix.filter().isPresent() && !adapter.to.has(SqlFeature.AGGREGATE_FILTER);
        boolean truths = call.isAny("every", "some", "count_if");
        if (filtered && truths && !adapter.to.has(SqlFeature.CONDITIONS_ARE_VALUES)) {
            throw new Untranslatable("FILTER of an aggregate of truth values");
        }
    }

    private static void documents(ExprAdapter adapter, Expr.Call call, CallSuffix suffix) {
        if (!call.isAny("json_array_agg", "json_object_agg", "array_agg")) {
            return;
        }
        boolean chosen = suffix.distinct() || !suffix.order().isEmpty();
        if (chosen && adapter.to.has(SqlFeature.DOCUMENTS_OF_ROWS_AS_THEY_COME)) {
            throw new Untranslatable("a document made of rows in an order, or of different rows");
        }
        if (suffix.filter().isPresent() && !adapter.to.has(SqlFeature.AGGREGATE_FILTER)) {
            throw new Untranslatable("FILTER of an aggregate that takes NULLs in");
        }
        if (suffix.over().isPresent() && !adapter.to.has(SqlFeature.WINDOW_DOCUMENTS)) {
            throw new Untranslatable("documents put together over a window");
        }
    }
}
