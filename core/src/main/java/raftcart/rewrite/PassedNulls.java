package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.Window;

/** Functions over a window that pass over NULLs (IGNORE NULLS), as the array of what is not NULL in it. */
final class PassedNulls {
    private final ExprAdapter adapter;

    PassedNulls(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The call in other words, yet to be adapted, where the target has none for it. */
    Optional<Expr> rewrite(Expr.Call call) {
        CallSuffix suffix = call.suffix();
        boolean possible = suffix.nulls().equals("IGNORE NULLS")
                && !adapter.from.name().equals(adapter.to.name())
                && adapter.to.has(SqlFeature.ARRAYS_OVER_WINDOWS)
                && suffix.over().filter(w -> w.base().isEmpty()).isPresent();
        if (!possible) {
            return Optional.empty();
        }
        Window window = suffix.over().orElseThrow();
        List<Expr> a = call.arguments();
        Expr nth = a.size() > 1 ? a.get(1) : Expr.Literal.number(1);
        Expr found =
                switch (call.function()) {
                    case "first_value" -> item(call, window, Expr.Literal.number(1));
                    case "last_value" -> item(call, window, count(call, window));
                    case "nth_value" -> item(call, window, nth);
                    case "lag" -> {
                        Window before = framed(window, "UNBOUNDED PRECEDING", 1, "PRECEDING");
                        Expr last = new Expr.Binary(BinaryOperator.SUBTRACT, count(call, before), nth, call.span());
                        Expr place = new Expr.Binary(BinaryOperator.ADD, last, Expr.Literal.number(1), call.span());
                        yield item(call, before, place);
                    }
                    case "lead" -> item(call, framed(window, "UNBOUNDED FOLLOWING", 1, "FOLLOWING"), nth);
                    default -> null;
                };
        if (found == null) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "IGNORE NULLS as an array of what is not NULL");
        return Optional.of(a.size() > 2 ? Expr.Call.of("coalesce", found, a.get(2)) : found);
    }

    private static Expr item(Expr.Call call, Window window, Expr place) {
        Expr value = call.arguments().get(0);
        Expr there = new Expr.Is(value, Truth.NULL, true, call.span());
        CallSuffix suffix = new CallSuffix(false, List.of(), false, Optional.of(there), "", Optional.of(window));
        Expr array = new Expr.Call(QualifiedName.of("array_agg"), true, List.of(value), suffix, call.span());
        return new Expr.Subscript(array, Optional.of(place), Optional.empty(), false, call.span());
    }

    private static Expr count(Expr.Call call, Window window) {
        return new Expr.Call(
                QualifiedName.of("count"),
                true,
                List.of(call.arguments().get(0)),
                CallSuffix.NONE.withOver(window),
                call.span());
    }

    /** The window from one of its ends up to a row beside the current one. */
    private static Window framed(Window window, String end, int distance, String side) {
        Window.Bound open = new Window.Bound(Optional.empty(), end);
        Window.Bound near = new Window.Bound(Optional.of(Expr.Literal.number(distance)), side);
        boolean before = side.equals("PRECEDING");
        Window.Frame frame = new Window.Frame("ROWS", before ? open : near, Optional.of(before ? near : open), "");
        return new Window(Optional.empty(), window.partition(), window.order(), Optional.of(frame));
    }
}
