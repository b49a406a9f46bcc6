package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Values of which one becomes the result, where they are texts and other things at once: engines that convert without
 * being asked make texts of them all, others refuse the mixture.
 */
final class ResultKinds {
    private static final Set<String> CHOOSING = Set.of("coalesce", "if_null", "greatest", "least");

    private final ExprAdapter adapter;

    ResultKinds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The same choice between texts; it is still the source's. */
    Expr.Case texts(Expr.Case choice) {
        List<Expr> results = Stream.concat(
                        choice.branches().stream().map(Expr.When::result), choice.otherwise().stream())
                .toList();
        if (!isMixed(results)) {
            return choice;
        }
        note(choice.span());
        return new Expr.Case(
                choice.subject(),
                choice.branches().stream()
                        .map(b -> new Expr.When(b.condition(), text(b.result())))
                        .toList(),
                choice.otherwise().map(this::text),
                choice.span());
    }

    /** The same call of texts, if it is one that gives one of its arguments. */
    Expr.Call texts(Expr.Call call) {
        if (call.is("nullif") && isMixed(call.arguments()) && call.arguments().get(1) instanceof Expr.Literal text) {
            adapter.note(FindingCode.IMPLICIT_CAST, call.span(), "a text is compared with a number");
            return call.with("nullif", List.of(call.arguments().get(0), PlainConstants.leading(text)));
        }
        if (call.is("if")
                && isMixed(call.arguments().subList(1, call.arguments().size()))) {
            note(call.span());
            List<Expr> arguments = new ArrayList<>(call.arguments());
            arguments.replaceAll(a -> a == call.arguments().get(0) ? a : text(a));
            return call.with("if", arguments);
        }
        if (!CHOOSING.contains(call.function()) || !isMixed(call.arguments())) {
            return call;
        }
        note(call.span());
        List<Expr> arguments = new ArrayList<>();
        call.arguments().forEach(a -> arguments.add(text(a)));
        return call.with(call.function(), arguments);
    }

    private void note(Span span) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "values of several kinds become texts, as on the source");
    }

    private boolean isMixed(List<Expr> values) {
        return adapter.lost(SqlFeature.CONVERTS_SILENTLY)
                && adapter.from.has(SqlFeature.MIXED_RESULTS_ARE_TEXTS)
                && values.stream().anyMatch(v -> adapter.kind(v) == ValueKind.TEXT)
                && values.stream().anyMatch(this::isOther);
    }

    private boolean isOther(Expr value) {
        return switch (adapter.kind(value)) {
            case INTEGER, DECIMAL, FLOAT, DATE, TIME, TIMESTAMP -> true;
            default -> false;
        };
    }

    private Expr text(Expr value) {
        if (value instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER) {
            return new Expr.Literal(LiteralKind.STRING, l.text(), l.span());
        }
        TypeName text = adapter.sourceType(new LogicalType.Text(0));
        return isOther(value) ? new Expr.Cast(value, text, false, value.span()) : value;
    }
}
