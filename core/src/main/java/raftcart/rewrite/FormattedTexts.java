package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Texts with places for values ("format", PostgreSQL), as texts that are put together. */
final class FormattedTexts {
    /** Places without widths ("format", PostgreSQL). */
    private static final Pattern PLACE = Pattern.compile("%(?:(\\d+)\\$)?([sIL%])");

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

    /** The parts of a format with these arguments, of which the format is the first. */
    static Optional<List<Expr>> parts(List<Expr> arguments) {
        if (!(arguments.get(0) instanceof Expr.Literal pattern) || pattern.kind() != LiteralKind.STRING) {
            return Optional.empty();
        }
        List<Expr> parts = new ArrayList<>();
        StringBuilder plain = new StringBuilder();
        Matcher place = PLACE.matcher(pattern.text());
        int end = 0;
        int next = 1;
        while (place.find()) {
            plain.append(pattern.text(), end, place.start());
            end = place.end();
            if (place.group(2).equals("%")) {
                plain.append('%');
                continue;
            }
            int argument = place.group(1) == null ? next : Integer.parseInt(place.group(1));
            if (argument < 1 || argument >= arguments.size()) {
                return Optional.empty();
            }
            next = argument + 1;
            if (!plain.isEmpty()) {
                parts.add(Expr.Literal.string(plain.toString()));
                plain.setLength(0);
            }
            parts.add(put(place.group(2), arguments.get(argument)));
        }
        plain.append(pattern.text().substring(end));
        if (!plain.isEmpty() || parts.size() < 2) {
            parts.add(Expr.Literal.string(plain.toString()));
        }
        boolean others = PLACE.matcher(pattern.text()).replaceAll("").contains("%");
        return others ? Optional.empty() : Optional.of(parts);
    }

    private static Expr put(String kind, Expr value) {
        return switch (kind) {
            case "I" -> Expr.Call.of("quote_name", value);
            case "L" -> Expr.Call.of("quote_nullable", value);
            default -> value;
        };
    }
}
