package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** What texts are put together of, in whatever way the source says it. */
final class TextParts {
    private TextParts() {}

    /** The parts of a text; one in which NULL makes all of it NULL, where elsewhere it adds nothing, is a part by itself. */
    static List<Expr> of(Expr text, Language from) {
        return joined(text, from) instanceof Expr.Concat c
                ? c.parts().stream()
                        .flatMap(p -> within(p, c.nullIsEmpty(), from).stream())
                        .toList()
                : List.of(joined(text, from));
    }

    /** The parts of a text that is a part of another, in which NULL adds nothing or makes all NULL. */
    static List<Expr> within(Expr part, boolean nullIsEmpty, Language from) {
        boolean own = joined(part, from) instanceof Expr.Concat c ? c.nullIsEmpty() : nullIsEmpty;
        if (own == nullIsEmpty) {
            return of(part, from);
        }
        return nullIsEmpty
                ? List.of(part)
                : of(part, from).stream()
                        .map(p -> p instanceof Expr.Literal ? p : Expr.Call.of("coalesce", p, Expr.Literal.string("")))
                        .toList();
    }

    /** A text as its parts, if it is put together. */
    static Expr joined(Expr text, Language from) {
        if (text instanceof Expr.Binary b
                && b.operator() == BinaryOperator.ADD
                && from.has(SqlFeature.PLUS_CONCATENATES)
                && Stream.of(of(b.left(), from), of(b.right(), from))
                        .flatMap(List::stream)
                        .anyMatch(TextParts::isText)) {
            return new Expr.Concat(List.of(b.left(), b.right()), false, b.span());
        }
        if (!(text instanceof Expr.Call call) || call.canonical()) {
            return text;
        }
        return from.functions()
                .recognise(call.name().toString(), call.arguments(), e -> ValueKind.UNKNOWN)
                .flatMap(r -> switch (r.signature().name()) {
                    case "concat" -> Optional.of(new Expr.Concat(r.arguments(), false, call.span()));
                    case "concat_skip_nulls" -> Optional.of(new Expr.Concat(r.arguments(), true, call.span()));
                    case "format_text" ->
                        FormattedTexts.parts(r.arguments()).map(p -> new Expr.Concat(p, true, call.span()));
                    default -> Optional.<Expr.Concat>empty();
                })
                .<Expr>map(c -> c)
                .orElse(text);
    }

    static boolean isText(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
    }
}
