package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/**
 * Parts of documents beside texts, numbers and dates, which some engines take as these ("Semi-structured data types", Snowflake:
 * a VARIANT is converted where another type is wanted; "Comparison of JSON values", MySQL and MariaDB), while others compare
 * documents, quotes and all.
 */
final class Variants {
    private static final String[] CHOOSING = {"coalesce", "nullif", "ifnull", "nvl"};

    private final ExprAdapter adapter;

    Variants(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean apply() {
        return adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON) || adapter.lost(SqlFeature.DOCUMENTS_COMPARE_AS_VALUES);
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
            Expr value = as(in.value(), adapter.kind(in.items().get(0)));
            return new Expr.InList(value, in.items(), in.negated(), in.span());
        }
        if (e instanceof Expr.Like like) {
            Expr value = asText(like.value());
            return new Expr.Like(value, like.pattern(), like.escape(), like.ignoreCase(), like.negated(), like.span());
        }
        if (e instanceof Expr.Concat concat) {
            List<Expr> parts = concat.parts().stream().map(this::asText).toList();
            return new Expr.Concat(parts, concat.nullIsEmpty(), concat.span());
        }
        if (e instanceof Expr.Case choice && choice.subject().isPresent()) {
            ValueKind wanted = adapter.kind(choice.branches().get(0).condition());
            Expr subject = as(choice.subject().get(), wanted);
            return new Expr.Case(Optional.of(subject), choice.branches(), choice.otherwise(), choice.span());
        }
        return e instanceof Expr.Call call ? meant(call) : e;
    }

    private Expr meant(Expr.Call call) {
        if (call.isAny("sum", "avg") && call.arguments().size() == 1) {
            return with(call, List.of(as(call.arguments().get(0), ValueKind.DECIMAL)));
        }
        Optional<ValueKind> wanted = call.isAny(CHOOSING)
                ? call.arguments().stream()
                        .map(adapter::kind)
                        .filter(k -> k != ValueKind.JSON && k != ValueKind.NULL)
                        .findFirst()
                : Optional.empty();
        if (wanted.isEmpty()) {
            return call;
        }
        boolean text = wanted.get() == ValueKind.TEXT;
        return with(
                call,
                call.arguments().stream()
                        .map(a -> text ? asText(a) : as(a, wanted.get()))
                        .toList());
    }

    private static Expr with(Expr.Call call, List<Expr> arguments) {
        return new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span());
    }

    private Expr sides(Expr.Binary binary, ValueKind left, ValueKind right) {
        return new Expr.Binary(binary.operator(), as(binary.left(), left), as(binary.right(), right), binary.span());
    }

    /** A document as a value of the kind that stands beside it or is wanted; anything else as it is. */
    Expr as(Expr e, ValueKind wanted) {
        Optional<Expr> text = apply() && adapter.kind(e) == ValueKind.JSON ? text(e) : Optional.empty();
        if (text.isEmpty()) {
            return e;
        }
        Optional<Expr> meant;
        if (wanted == ValueKind.TEXT) {
            meant = text;
        } else if (wanted.isNumber()) {
            meant = Optional.of(Expr.Call.of("number_of", text.get()).at(e.span()));
        } else {
            meant = type(wanted).map(t -> new Expr.Cast(text.get(), adapter.sourceType(t), false, e.span()));
        }
        meant.ifPresent(m ->
                adapter.note(FindingCode.SYNTAX_ADAPTED, e.span(), "a part of a document as the value that is wanted"));
        return meant.orElse(e);
    }

    /** A document where a text is wanted: without its quotes on some engines, as it is written on others. */
    Expr asText(Expr e) {
        if (adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON)) {
            return as(e, ValueKind.TEXT);
        }
        return apply() && adapter.kind(e) == ValueKind.JSON
                ? new Expr.Cast(e, adapter.sourceType(new LogicalType.Text(0)), false, e.span())
                : e;
    }

    /** The text of a document or of its part; empty where the target has none for a whole one. */
    private Optional<Expr> text(Expr e) {
        if (e instanceof Expr.Call part && part.isAny("json_get", "json_extract")) {
            boolean path = part.arguments().size() == 2;
            return path
                    ? Optional.of(part.with("json_get_text", part.arguments()).at(e.span()))
                    : Optional.empty();
        }
        if (e instanceof Expr.Binary step
                && (step.operator() == BinaryOperator.JSON_GET || step.operator() == BinaryOperator.JSON_PATH)) {
            BinaryOperator text = step.operator() == BinaryOperator.JSON_GET
                    ? BinaryOperator.JSON_GET_TEXT
                    : BinaryOperator.JSON_PATH_TEXT;
            return Optional.of(new Expr.Binary(text, step.left(), step.right(), step.span()));
        }
        boolean whole = e instanceof Expr.Column && !adapter.to.has(SqlFeature.OPENJSON);
        return whole
                ? Optional.of(Expr.Call.of("json_get_text", e, Expr.Literal.string("$"))
                        .at(e.span()))
                : Optional.empty();
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
