package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Truth;

/** Parts of texts that are counted from the end, which engines do in different ways. */
final class TextEnds {
    private final ExprAdapter adapter;

    TextEnds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The call in other words, if it counts from the end and the target does not. */
    Optional<Expr> rewrite(Expr.Call call) {
        String function = call.function();
        boolean negative = (function.equals("left") || function.equals("right"))
                && call.arguments().get(1) instanceof Expr.Literal l
                && l.text().startsWith("-");
        if (negative) {
            throw new Untranslatable(function.toUpperCase(Locale.ROOT) + " with a length below zero");
        }
        return function.equals("substring") ? fromEnd(call) : Optional.empty();
    }

    /** A negative start counts from the end on some engines only. */
    private Optional<Expr> fromEnd(Expr.Call call) {
        boolean negative =
                call.arguments().get(1) instanceof Expr.Literal l && l.text().matches("-\\d{1,9}");
        boolean before = adapter.from.has(SqlFeature.NOTHING_BEFORE_THE_START)
                        != adapter.to.has(SqlFeature.NOTHING_BEFORE_THE_START)
                && adapter.from.has(SqlFeature.NEGATIVE_SUBSTRING);
        if (!negative || !before && !adapter.lost(SqlFeature.NEGATIVE_SUBSTRING)) {
            return Optional.empty();
        }
        String count = ((Expr.Literal) call.arguments().get(1)).text().substring(1);
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a start from the end as RIGHT");
        Expr right = Expr.Call.of(
                        "right", adapter.expr(call.arguments().get(0)), Expr.Literal.number(Long.parseLong(count)))
                .at(call.span());
        Expr part = call.arguments().size() < 3
                ? right
                : Expr.Call.of("left", right, adapter.expr(call.arguments().get(2)))
                        .at(call.span());
        if (!adapter.from.has(SqlFeature.NOTHING_BEFORE_THE_START)) {
            return Optional.of(part);
        }
        // A text that is shorter has no such place there, where RIGHT gives all of it.
        Expr length = Expr.Call.of("char_length", adapter.expr(call.arguments().get(0)))
                .at(call.span());
        Expr enough = new Expr.Binary(
                BinaryOperator.GREATER_OR_EQUAL, length, Expr.Literal.number(Long.parseLong(count)), call.span());
        Expr nothing =
                adapter.from.has(SqlFeature.EMPTY_TEXT_IS_NULL) ? Expr.Literal.ofNull() : Expr.Literal.string("");
        if (adapter.from.has(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            return Optional.of(Expr.Case.of(enough, part, nothing));
        }
        Expr there = new Expr.Is(adapter.expr(call.arguments().get(0)), Truth.NULL, true, call.span());
        return Optional.of(new Expr.Case(
                Optional.empty(),
                List.of(new Expr.When(enough, part), new Expr.When(there, nothing)),
                Optional.empty(),
                call.span()));
    }
}
