package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Texts with places for values ("format", PostgreSQL), as texts that are put together. */
final class FormattedTexts {
    private FormattedTexts() {}

    /** The parts put together, NULL as an empty text; null where the pattern is no constant or has more than plain places. */
    static Expr joined(List<Expr> arguments, Span span) {
        if (!(arguments.get(0) instanceof Expr.Literal pattern) || pattern.kind() != LiteralKind.STRING) {
            return null;
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
                return null;
            }
        }
        if (!plain.isEmpty() || parts.size() < 2) {
            parts.add(Expr.Literal.string(plain.toString()));
        }
        return parts.size() == 1 ? parts.get(0) : new Expr.Concat(parts, true, span);
    }
}
