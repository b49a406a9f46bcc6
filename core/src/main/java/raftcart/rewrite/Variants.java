package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/**
 * Parts of documents beside texts, numbers and dates, which the source takes as these ("Semi-structured data types", Snowflake:
 * a VARIANT is converted where another type is wanted), while others compare documents, quotes and all.
 */
final class Variants {
    private static final String[] CHOOSING = {"coalesce", "nullif", "ifnull", "nvl"};

    private final ExprAdapter adapter;

    Variants(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean apply() {
        return adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON);
    }

    /** The expression, still the source's, with its documents as what they are taken for. */
    Expr meant(Expr e) {
        if (!apply()) {
            return e;
        }
        if (e instanceof Expr.Binary binary && binary.operator().calculates()) {
            return sides(binary, ValueKind.DECIMAL, ValueKind.DECIMAL);
        }
        if (e instanceof Expr.Binary binary && binary.operator().compares()) {
            return sides(binary, adapter.kind(binary.right()), adapter.kind(binary.left()));
        }
        if (e instanceof Expr.Between between) {
            Expr value = as(between.value(), adapter.kind(between.low()));
            return new Expr.Between(
                    value, between.low(), between.high(), between.symmetric(), between.negated(), between.span());
        }
        if (e instanceof Expr.InList in && !(in.items().get(0) instanceof Expr.Subquery)) {
            return new Expr.InList(
                    as(in.value(), adapter.kind(in.items().get(0))), in.items(), in.negated(), in.span());
        }
        if (e instanceof Expr.Like like) {
            Expr value = as(like.value(), ValueKind.TEXT);
            return new Expr.Like(value, like.pattern(), like.escape(), like.ignoreCase(), like.negated(), like.span());
        }
        if (e instanceof Expr.Concat concat) {
            List<Expr> parts =
                    concat.parts().stream().map(p -> as(p, ValueKind.TEXT)).toList();
            return new Expr.Concat(parts, concat.nullIsEmpty(), concat.span());
        }
        return choice(e);
    }

    private Expr choice(Expr e) {
        if (e instanceof Expr.Case choice && choice.subject().isPresent()) {
            ValueKind wanted = adapter.kind(choice.branches().get(0).condition());
            return new Expr.Case(
                    Optional.of(as(choice.subject().get(), wanted)),
                    choice.branches(),
                    choice.otherwise(),
                    choice.span());
        }
        if (e instanceof Expr.Call call
                && call.isAny("sum", "avg")
                && call.arguments().size() == 1) {
            return with(call, List.of(as(call.arguments().get(0), ValueKind.DECIMAL)));
        }
        return e instanceof Expr.Call call && call.isAny(CHOOSING) ? chosen(call) : e;
    }

    /** The first of several values, which is what the others are. */
    private Expr chosen(Expr.Call call) {
        Optional<ValueKind> wanted = call.arguments().stream()
                .map(adapter::kind)
                .filter(k -> k != ValueKind.JSON && k != ValueKind.NULL)
                .findFirst();
        return wanted.isEmpty()
                ? call
                : with(
                        call,
                        call.arguments().stream().map(a -> as(a, wanted.get())).toList());
    }

    private static Expr with(Expr.Call call, List<Expr> arguments) {
        return new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span());
    }

    private Expr sides(Expr.Binary binary, ValueKind left, ValueKind right) {
        return new Expr.Binary(binary.operator(), as(binary.left(), left), as(binary.right(), right), binary.span());
    }

    /** A document as a value of the kind that stands beside it or is wanted; anything else as it is. */
    Expr as(Expr e, ValueKind wanted) {
        boolean whole = !(e instanceof Expr.Call part && part.is("json_get"));
        if (!apply() || adapter.kind(e) != ValueKind.JSON || whole && adapter.to.has(SqlFeature.OPENJSON)) {
            return e;
        }
        Expr text = whole
                ? Expr.Call.of("json_get_text", e, Expr.Literal.string("$")).at(e.span())
                : ((Expr.Call) e)
                        .with("json_get_text", ((Expr.Call) e).arguments())
                        .at(e.span());
        Optional<Expr> meant = Optional.empty();
        if (wanted == ValueKind.TEXT) {
            meant = Optional.of(text);
        } else if (wanted.isNumber()) {
            meant = Optional.of(Expr.Call.of("number_of", text).at(e.span()));
        } else {
            meant = type(wanted).map(t -> new Expr.Cast(text, adapter.sourceType(t), false, e.span()));
        }
        meant.ifPresent(m ->
                adapter.note(FindingCode.SYNTAX_ADAPTED, e.span(), "a part of a document as the value that is wanted"));
        return meant.orElse(e);
    }

    private static Optional<LogicalType> type(ValueKind wanted) {
        return Optional.ofNullable(
                switch (wanted) {
                    case BOOLEAN -> new LogicalType.Bool();
                    case DATE -> new LogicalType.Date();
                    case TIMESTAMP -> new LogicalType.Timestamp(6, false);
                    default -> null;
                });
    }
}
