package raftcart.rewrite;

import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Constant patterns of SIMILAR TO as regular expressions of the whole text (ISO 9075-2, "similar predicate"): a percent sign
 * is any characters, an underscore one, and what else is special to regular expressions alone stands for itself.
 */
final class SimilarPatterns {
    private static final String PLAIN = ".^$\\";

    private SimilarPatterns() {}

    /** The condition as one of a regular expression; empty where the target has SIMILAR TO, or the pattern is computed. */
    static Optional<Expr> matches(Expr.Call call, ExprAdapter adapter) {
        boolean constant = call.canonical()
                && call.is("matches_similar")
                && !adapter.writes("matches_similar")
                && new CastAdapter(adapter).bare(call.arguments().get(1)) instanceof Expr.Literal;
        if (!constant) {
            return Optional.empty();
        }
        Expr.Literal pattern =
                (Expr.Literal) new CastAdapter(adapter).bare(call.arguments().get(1));
        return regular(pattern.text()).map(r -> {
            adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "SIMILAR TO as a regular expression");
            Expr regular = new Expr.Literal(LiteralKind.STRING, r, pattern.span());
            return new Expr.Matches(call.arguments().get(0), regular, false, false, call.span());
        });
    }

    /** Empty for a pattern with quotes behind a backslash, which mean a part of the text. */
    private static Optional<String> regular(String pattern) {
        StringBuilder text = new StringBuilder("^(");
        boolean list = false;
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == '\\' && i + 1 < pattern.length()) {
                char next = pattern.charAt(++i);
                if (Character.isLetterOrDigit(next) || next == '"') {
                    return Optional.empty();
                }
                text.append(next == '%' || next == '_' ? "" : "\\").append(next);
                continue;
            }
            list = c == '[' || list && c != ']';
            text.append(list || c == ']' ? String.valueOf(c) : outside(c));
        }
        return Optional.of(text.append(")$").toString());
    }

    private static String outside(char c) {
        return switch (c) {
            case '%' -> ".*";
            case '_' -> ".";
            default -> PLAIN.indexOf(c) >= 0 ? "\\" + c : String.valueOf(c);
        };
    }
}
