package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
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
        if (function.equals("left") || function.equals("right")) {
            return belowZero(call);
        }
        if (function.equals("locate_pattern") && !adapter.writes(function)) {
            return Optional.of(LikeRanges.located(call, adapter));
        }
        if (function.equals("locate")) {
            return backwards(call);
        }
        return function.equals("substring")
                ? beforeStart(call).or(() -> fromEnd(call)).or(() -> perhapsNothing(call))
                : Optional.empty();
    }

    /** A part whose length is a difference, which may be below zero: nothing on some engines, an error on others. */
    private Optional<Expr> perhapsNothing(Expr.Call call) {
        boolean difference = call.arguments().size() == 3
                && call.arguments().get(2) instanceof Expr.Binary length
                && length.operator() == BinaryOperator.SUBTRACT;
        if (!difference || !adapter.lost(SqlFeature.LENGTHS_BELOW_ZERO_ARE_NOTHING)) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a length below zero gives nothing, as on the source");
        Expr text = call.arguments().get(0);
        Expr some = notBelowZero(call.arguments().get(2), text, call);
        return Optional.of(substring(
                call, adapter.expr(text), adapter.expr(call.arguments().get(1)), some));
    }

    /** The source's length, or zero where it is below; NULL where it is and the text is not. */
    private Expr notBelowZero(Expr length, Expr text, Expr.Call call) {
        // Where all that it is made of stands in the text too, the result is NULL whenever it is.
        boolean apart = ExprSearch.any(
                length,
                e -> e instanceof Expr.Parameter
                        || e instanceof Expr.Subquery
                        || e instanceof Expr.Column && !ExprSearch.any(text, e::equals));
        return apart
                ? adapter.expr(
                        Expr.Call.of("greatest", length, Expr.Literal.number(0)).at(call.span()))
                : orZero(adapter.expr(length), call);
    }

    /** The greater of a length and zero, in whichever words the target has. */
    private Expr orZero(Expr length, Expr.Call call) {
        Expr zero = Expr.Literal.number(0);
        return Stream.of("greatest", "greatest_skip_nulls")
                .filter(adapter::writes)
                .findFirst()
                .<Expr>map(f -> Expr.Call.of(f, length, zero).at(call.span()))
                .orElseGet(() -> Expr.Case.of(
                        new Expr.Binary(BinaryOperator.GREATER_OR_EQUAL, length, zero, call.span()), length, zero));
    }

    /** A length below zero gives nothing, or all but so many characters of the other end. */
    private Optional<Expr> belowZero(Expr.Call call) {
        boolean counts = adapter.to.has(SqlFeature.LENGTHS_BELOW_ZERO);
        Expr length = call.arguments().get(1);
        if (counts == adapter.from.has(SqlFeature.LENGTHS_BELOW_ZERO)) {
            return Optional.empty();
        }
        if (length instanceof Expr.Literal l && l.text().startsWith("-")) {
            return Optional.of(allBut(call, l, counts));
        }
        if (!(length instanceof Expr.Binary difference) || difference.operator() != BinaryOperator.SUBTRACT) {
            return Optional.empty();
        }
        if (!counts) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    call.span(),
                    "a length below zero gives all but so many characters on the source");
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a length below zero gives nothing, as on the source");
        Expr text = call.arguments().get(0);
        return Optional.of(call.with(call.function(), List.of(adapter.expr(text), notBelowZero(length, text, call))));
    }

    /** All but the characters of the other end. */
    private Expr allBut(Expr.Call call, Expr.Literal length, boolean counts) {
        if (counts || !length.text().matches("-\\d{1,9}")) {
            throw new Untranslatable(call.function().toUpperCase(Locale.ROOT) + " with a length below zero");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "all but the characters of the other end");
        Expr text = adapter.expr(call.arguments().get(0));
        Expr all = Expr.Call.of("char_length", text).at(call.span());
        Expr rest = new Expr.Binary(
                BinaryOperator.SUBTRACT,
                all,
                Expr.Literal.number(Long.parseLong(length.text().substring(1))),
                call.span());
        return call.with(call.function(), List.of(text, orZero(rest, call))).at(call.span());
    }

    /** A constant start before the first character, which engines take for it, for nothing, or count with. */
    private Optional<Expr> beforeStart(Expr.Call call) {
        Expr given = call.arguments().get(1);
        long start = given instanceof Expr.Literal l && l.text().matches("-?\\d{1,9}") ? Long.parseLong(l.text()) : 1;
        boolean counted = start == 0 || start < 0 && !adapter.from.has(SqlFeature.NEGATIVE_SUBSTRING);
        if (!counted || adapter.from.name().equals(adapter.to.name())) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a start before the first character");
        Expr text = call.arguments().get(0);
        Expr first = Expr.Literal.number(1);
        if (start == 0 && adapter.from.has(SqlFeature.PLACE_0_IS_NONE)) {
            return Optional.of(substring(call, adapter.expr(text), first, Expr.Literal.number(0)));
        }
        if (call.arguments().size() < 3) {
            return Optional.of(adapter.expr(text));
        }
        Expr length = call.arguments().get(2);
        if (start == 0 && adapter.from.has(SqlFeature.PLACE_0_IS_FIRST)) {
            return Optional.of(substring(call, adapter.expr(text), first, adapter.expr(length)));
        }
        if (!(length instanceof Expr.Literal l) || !l.isDigits(9)) {
            throw new Untranslatable("a part of a text that begins before its first character");
        }
        long rest = Math.max(0, Long.parseLong(l.text()) + start - 1);
        return Optional.of(substring(call, adapter.expr(text), first, Expr.Literal.number(rest)));
    }

    private Expr substring(Expr.Call call, Expr text, Expr start, Expr length) {
        return call.with("substring", List.of(text, start, length)).at(call.span());
    }

    /** A search from the end, as one from the start of the text turned round. */
    private Optional<Expr> backwards(Expr.Call call) {
        boolean back = call.arguments().size() > 2
                && call.arguments().get(2) instanceof Expr.Literal l
                && l.text().startsWith("-");
        if (!back || adapter.from.name().equals(adapter.to.name()) || adapter.to.has(SqlFeature.SEARCHES_BACK)) {
            return Optional.empty();
        }
        if (!((Expr.Literal) call.arguments().get(2)).text().equals("-1") || !adapter.writes("reverse")) {
            throw new Untranslatable("a search from the end of a text");
        }
        Expr text = adapter.expr(call.arguments().get(0));
        Expr part = adapter.expr(call.arguments().get(1));
        Span span = call.span();
        Expr found = Expr.Call.of(
                        "locate",
                        Expr.Call.of("reverse", text).at(span),
                        Expr.Call.of("reverse", part).at(span))
                .at(span);
        Expr end = new Expr.Binary(
                BinaryOperator.SUBTRACT, Expr.Call.of("char_length", text).at(span), found, span);
        Expr start = new Expr.Binary(
                BinaryOperator.SUBTRACT, end, Expr.Call.of("char_length", part).at(span), span);
        Expr place = new Expr.Binary(BinaryOperator.ADD, start, Expr.Literal.number(2), span);
        Expr none = new Expr.Binary(BinaryOperator.EQUAL, found, Expr.Literal.number(0), span);
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a search from the end in the text turned round");
        return Optional.of(Expr.Case.of(none, Expr.Literal.number(0), place));
    }

    /** A negative start counts from the end on some engines only. */
    private Optional<Expr> fromEnd(Expr.Call call) {
        boolean negative =
                call.arguments().get(1) instanceof Expr.Literal l && l.text().matches("-\\d{1,9}");
        boolean before = adapter.from.has(SqlFeature.NOTHING_BEFORE_THE_START)
                        != adapter.to.has(SqlFeature.NOTHING_BEFORE_THE_START)
                && adapter.from.has(SqlFeature.NEGATIVE_SUBSTRING);
        boolean counted = adapter.from.has(SqlFeature.STARTS_BEFORE_ARE_COUNTED)
                && !adapter.to.has(SqlFeature.STARTS_BEFORE_ARE_COUNTED)
                && call.arguments().size() > 2;
        if (!negative || !before && !counted && !adapter.lost(SqlFeature.NEGATIVE_SUBSTRING)) {
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
        if (counted) {
            return Optional.of(counted(call, Expr.Literal.number(Long.parseLong(count)), part));
        }
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

    /** A part of a text that may begin before it: the places before it count as well ("substr(X,Y,Z)", SQLite; "SUBSTRING", H2). */
    private Expr counted(Expr.Call call, Expr start, Expr part) {
        Span span = call.span();
        Expr text = adapter.expr(call.arguments().get(0));
        Expr length = Expr.Call.of("char_length", text).at(span);
        Expr before = new Expr.Binary(
                BinaryOperator.SUBTRACT, start, adapter.expr(call.arguments().get(2)), span);
        Expr within = new Expr.Binary(BinaryOperator.GREATER_OR_EQUAL, length, start, span);
        Expr partly = new Expr.Binary(BinaryOperator.GREATER, length, before, span);
        Expr rest = Expr.Call.of("left", text, new Expr.Binary(BinaryOperator.SUBTRACT, length, before, span))
                .at(span);
        return new Expr.Case(
                Optional.empty(),
                List.of(
                        new Expr.When(within, part),
                        new Expr.When(partly, rest),
                        new Expr.When(new Expr.Is(text, Truth.NULL, true, span), Expr.Literal.string(""))),
                Optional.empty(),
                span);
    }
}
