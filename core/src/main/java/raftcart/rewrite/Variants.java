package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/**
 * Parts of documents beside texts, numbers and dates, which some engines take as these ("Semi-structured data types", Snowflake:
 * a VARIANT is converted where another type is wanted; "Comparison of JSON values", MySQL and MariaDB), while others compare
 * documents, quotes and all.
 */
final class Variants {
    private static final Pattern DOCUMENT = Pattern.compile("\\s*[\\[{]");
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
            sayDifferences(binary);
            return sides(binary, adapter.kind(binary.right()), adapter.kind(binary.left()));
        }
        if (e instanceof Expr.Between between) {
            Expr value = listed(between.value(), adapter.kind(between.low()));
            return new Expr.Between(
                    value, between.low(), between.high(), between.symmetric(), between.negated(), between.span());
        }
        if (e instanceof Expr.InList in && !(in.items().get(0) instanceof Expr.Subquery)) {
            ValueKind wanted = adapter.kind(in.items().get(0));
            Expr value = in.items().size() == 1 ? as(in.value(), wanted) : listed(in.value(), wanted);
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
            Expr subject = listed(choice.subject().get(), wanted);
            return new Expr.Case(Optional.of(subject), choice.branches(), choice.otherwise(), choice.span());
        }
        return e instanceof Expr.Call call ? meant(call) : e;
    }

    private Expr meant(Expr.Call call) {
        if (call.isAny("sum", "avg") && call.arguments().size() == 1) {
            return with(call, List.of(as(call.arguments().get(0), ValueKind.DECIMAL)));
        }
        boolean compares = call.isAny("nullif")
                && !adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON)
                && adapter.kind(call.arguments().get(0)) == ValueKind.JSON;
        if (compares) { // without its quotes, while what it gives has them
            Expr value = call.arguments().get(0);
            Expr same = new Expr.Binary(
                    BinaryOperator.EQUAL, value, call.arguments().get(1), call.span());
            return Expr.Case.of(same, Expr.Literal.ofNull(), value);
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
        return with(
                call,
                call.arguments().stream().map(a -> argument(a, wanted.get())).toList());
    }

    private static Expr with(Expr.Call call, List<Expr> arguments) {
        return new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span());
    }

    private Expr sides(Expr.Binary binary, ValueKind left, ValueKind right) {
        return new Expr.Binary(binary.operator(), as(binary.left(), left), as(binary.right(), right), binary.span());
    }

    /** An argument of a function that wants this kind. */
    Expr argument(Expr e, ValueKind wanted) {
        return wanted == ValueKind.TEXT ? asText(e) : as(e, wanted);
    }

    /** A document as a value of the kind that stands beside it or is wanted; anything else as it is. */
    private Expr as(Expr e, ValueKind wanted) {
        boolean other = wanted == ValueKind.TEXT || wanted.isNumber() || wanted.isDate() || wanted == ValueKind.BOOLEAN;
        Optional<Expr> text = other && apply() && adapter.kind(e) == ValueKind.JSON ? text(e) : Optional.empty();
        if (text.isEmpty()) {
            return e;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, e.span(), "a part of a document as the value that is wanted");
        if (wanted == ValueKind.TEXT) {
            return text.get();
        }
        if (wanted.isNumber()) {
            if (adapter.lost(SqlFeature.LENIENT_NUMBERS)) {
                adapter.note(
                        FindingCode.IMPLICIT_CAST,
                        e.span(),
                        "a part of a document that is no number is 0 or 1 on the source and refused on the target");
            }
            return Expr.Call.of("number_of", text.get()).at(e.span());
        }
        if (wanted == ValueKind.BOOLEAN && adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
            return truth(text.get(), e.span());
        }
        LogicalType type = wanted == ValueKind.BOOLEAN
                ? new LogicalType.Bool()
                : wanted == ValueKind.DATE ? new LogicalType.Date() : new LogicalType.Timestamp(6, false);
        return new Expr.Cast(text.get(), adapter.sourceType(type), false, e.span());
    }

    /** A document among several values, beside which texts have their quotes where = goes without them. */
    private Expr listed(Expr e, ValueKind wanted) {
        Expr value = argument(e, wanted);
        if (value != e && wanted == ValueKind.TEXT && !adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    e.span(),
                    "in BETWEEN, CASE and lists the text of a document has its quotes, with = it has none");
        }
        return value;
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
            return part.arguments().size() == 2
                    ? Optional.of(part.with("json_get_text", part.arguments()).at(e.span()))
                    : Optional.empty();
        }
        boolean path = e instanceof Expr.Binary step
                && step.operator() == BinaryOperator.JSON_GET
                && step.right() instanceof Expr.Literal steps
                && steps.text().startsWith("$");
        if (path) {
            Expr.Binary part = (Expr.Binary) e;
            return Optional.of(
                    Expr.Call.of("json_get_text", part.left(), part.right()).at(e.span()));
        }
        if (!(e instanceof Expr.Column) || adapter.to.has(SqlFeature.OPENJSON)) {
            return Optional.empty();
        }
        if (adapter.lost(SqlFeature.CASTS_UNQUOTE_JSON)) {
            return Optional.of(
                    Expr.Call.of("json_get_text", e, Expr.Literal.string("$")).at(e.span()));
        }
        adapter.note(
                FindingCode.FUNCTION_DIFFERS,
                e.span(),
                "a whole document is compared as the text that it is written as");
        return Optional.of(asText(e));
    }

    /** True, false, 1 and 0 of a document as truth values. */
    private static Expr truth(Expr text, Span span) {
        List<Expr.When> words = Stream.of("true", "1", "false", "0")
                .map(w -> new Expr.When(
                        Expr.Literal.string(w),
                        new Expr.Literal(LiteralKind.BOOLEAN, String.valueOf(w.equals("true") || w.equals("1")), span)))
                .toList();
        return new Expr.Case(Optional.of(text), words, Optional.empty(), span);
    }

    /** Says where a part of a document is beside a text that is itself one, and where it may be JSON's null. */
    private void sayDifferences(Expr.Binary binary) {
        boolean part = Stream.of(binary.left(), binary.right()).anyMatch(e -> adapter.kind(e) == ValueKind.JSON);
        boolean document = Stream.of(binary.left(), binary.right())
                .anyMatch(e -> e instanceof Expr.Literal l
                        && DOCUMENT.matcher(l.text()).lookingAt());
        boolean nulls =
                part && binary.operator() == BinaryOperator.NOT_EQUAL && adapter.lost(SqlFeature.JSON_NULL_IS_TEXT);
        if (nulls) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS, binary.span(), "JSON's null is unlike any text on the source alone");
        }
        if (part && document) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    binary.span(),
                    "documents are compared as texts, in which engines set blanks in different ways");
        }
    }
}
