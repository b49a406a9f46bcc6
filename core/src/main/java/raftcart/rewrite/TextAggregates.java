package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Window;
import raftcart.type.LogicalType;

/** Texts of many rows put together to one: their order, and what happens to equal ones. */
final class TextAggregates {
    private final ExprAdapter adapter;
    private final Language to;

    TextAggregates(ExprAdapter adapter, Language to) {
        this.adapter = adapter;
        this.to = to;
    }

    /** The arguments of an aggregate; no separator is none also where an empty text is NULL. */
    List<Expr> adapted(Expr.Call call) {
        List<Expr> given = call.arguments();
        boolean none = call.is("string_agg")
                && given.size() == 2
                && given.get(1) instanceof Expr.Literal l
                && l.text().isEmpty();
        boolean shows = call.isAny("string_agg", "json_array_agg", "json_object_agg");
        List<Expr> adapted = none ? List.of(adapter.expr(given.get(0)), given.get(1)) : adapter.exprs(given);
        return shows
                ? IntStream.range(0, given.size())
                        .mapToObj(i -> Truths.shown(given.get(i), adapted.get(i), adapter))
                        .toList()
                : adapted;
    }

    /** The order of an aggregate as that of its window, whose frame then is the whole partition. */
    CallSuffix inWindow(CallSuffix suffix, Expr.Call call) {
        boolean both = !suffix.order().isEmpty()
                && suffix.over().isPresent()
                && call.isAny("string_agg", "array_agg", "json_array_agg")
                && !adapter.from.name().equals(to.name())
                && !to.has(SqlFeature.ORDERED_WINDOW_AGGREGATES);
        if (!both) {
            return suffix;
        }
        if (!suffix.over().get().order().isEmpty()
                || suffix.over().get().frame().isPresent()) {
            throw new Untranslatable("an aggregate over a window with an order of its own");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the order of the aggregate as that of its window");
        Window window = suffix.over().get();
        Window.Frame whole = new Window.Frame(
                "ROWS",
                new Window.Bound(Optional.empty(), "UNBOUNDED PRECEDING"),
                Optional.of(new Window.Bound(Optional.empty(), "UNBOUNDED FOLLOWING")),
                "");
        return suffix.withoutOrder()
                .withOver(new Window(window.base(), window.partition(), suffix.order(), Optional.of(whole)));
    }

    /** Values that are no texts, or not known to be: as texts, or as an array where their own order is wanted. */
    Optional<Expr> ofValues(Expr.Call call, List<Expr> arguments, CallSuffix suffix) {
        boolean concerned = call.is("string_agg")
                && to.has(SqlFeature.JOINED_TEXTS_ARE_TEXTS)
                && !adapter.from.has(SqlFeature.JOINED_TEXTS_ARE_TEXTS);
        if (!concerned) {
            return Optional.empty();
        }
        boolean text = adapter.kind(call.arguments().get(0)) == ValueKind.TEXT;
        boolean ordered = suffix.distinct() && !suffix.order().isEmpty();
        CallSuffix own = ordered ? inOwnOrder(arguments.get(0), suffix, call) : suffix;
        if (text) {
            return ordered
                    ? Optional.of(new Expr.Call(call.name(), true, arguments, own, call.span()))
                    : Optional.empty();
        }
        if (ordered) {
            if (!adapter.writes("joined_array")) {
                throw new Untranslatable("different values put together in an order that is not that of their texts");
            }
            Expr array =
                    new Expr.Call(QualifiedName.of("array_agg"), true, List.of(arguments.get(0)), own, call.span());
            Expr joined = Expr.Call.of("joined_array", array, arguments.get(1)).at(call.span());
            return Optional.of(
                    Expr.Call.of("nullif", joined, Expr.Literal.string("")).at(call.span()));
        }
        Expr asText = new Expr.Cast(arguments.get(0), adapter.castType(new LogicalType.Text(0)), false, call.span());
        return Optional.of(new Expr.Call(call.name(), true, List.of(asText, arguments.get(1)), suffix, call.span()));
    }

    /** Different values can only be in their own order. */
    private CallSuffix inOwnOrder(Expr value, CallSuffix suffix, Expr.Call call) {
        OrderItem first = suffix.order().get(0);
        if (suffix.order().size() == 1 && first.value().equals(value)) {
            return suffix;
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                call.span(),
                "different values put together in their own order, not in the one that is asked for");
        return suffix.withOrder(List.of(first.withValue(value)));
    }

    /** The arguments of an aggregate; texts put together once each may have to do without a separator of choice. */
    List<Expr> arguments(List<Expr> arguments, Expr.Call call, FunctionDictionary.Kinds kinds) {
        if (!call.is("string_agg")) {
            return arguments;
        }
        if (!call.suffix().order().isEmpty() && !to.has(SqlFeature.ORDERED_TEXTS)) {
            throw new Untranslatable("texts put together in an order");
        }
        if (!call.suffix().distinct() || to.has(SqlFeature.DISTINCT_WITH_SEPARATOR)) {
            return arguments;
        }
        List<Expr> alone = arguments.subList(0, 1);
        boolean comma = arguments.get(1) instanceof Expr.Literal l && l.text().equals(",");
        if (!comma || to.functions().write("string_agg", alone, kinds).isEmpty()) {
            throw new Untranslatable("different texts put together with a separator");
        }
        return alone;
    }
}
