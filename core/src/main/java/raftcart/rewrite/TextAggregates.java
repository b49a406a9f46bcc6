package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Window;

/** Texts of many rows put together to one: their order, and what happens to equal ones. */
final class TextAggregates {
    private final ExprAdapter adapter;
    private final Language to;

    TextAggregates(ExprAdapter adapter, Language to) {
        this.adapter = adapter;
        this.to = to;
    }

    /** The order of an aggregate as that of its window, whose frame then is the whole partition. */
    CallSuffix inWindow(CallSuffix suffix, Expr.Call call) {
        boolean both = !suffix.order().isEmpty()
                && suffix.over().isPresent()
                && suffix.over().get().order().isEmpty()
                && suffix.over().get().frame().isEmpty()
                && call.is("string_agg")
                && !to.has(SqlFeature.ORDERED_WINDOW_AGGREGATES);
        if (!both) {
            return suffix;
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
