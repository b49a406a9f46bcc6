package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Texts with places for values ("format", PostgreSQL), as texts that are put together. */
final class FormattedTexts {
    private FormattedTexts() {}

    /** The parts put together, NULL as an empty text; empty where the pattern is no constant or has more than plain places. */
    static Optional<Expr> joined(Expr.Call call, ExprAdapter adapter) {
        if (!call.is("format_text") || adapter.writes("format_text")) {
            return Optional.empty();
        }
        return parts(call.arguments()).map(parts -> {
            adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the format as texts that are put together");
            return adapter.expr(new Expr.Concat(parts, true, call.span()));
        });
    }

    private static Optional<List<Expr>> parts(List<Expr> arguments) {
        if (!(arguments.get(0) instanceof Expr.Literal pattern) || pattern.kind() != LiteralKind.STRING) {
            return Optional.empty();
        }
        List<Expr> parts = new ArrayList<>();
        StringBuilder plain = new StringBuilder();
        String text = pattern.text();
        int next = 1;
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) != '%') {
                plain.append(text.charAt(i));
                continue;
            }
            i++;
            char kind = i < text.length() ? text.charAt(i) : ' ';
            if (kind == '%') {
                plain.append('%');
            } else if (kind == 's' && next < arguments.size()) {
                if (!plain.isEmpty()) {
                    parts.add(Expr.Literal.string(plain.toString()));
                    plain.setLength(0);
                }
                parts.add(arguments.get(next++));
            } else {
                return Optional.empty();
            }
        }
        if (!plain.isEmpty() || parts.size() < 2) {
            parts.add(Expr.Literal.string(plain.toString()));
        }
        return Optional.of(parts);
    }
}
