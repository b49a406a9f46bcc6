package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Constant regular expressions whose dots match the end of a line on one engine and not on the other ("Regular Expression
 * Matching Rules", PostgreSQL; "Pattern Matching", Oracle), and the flags beside them.
 */
final class RegexPatterns {
    private static final int PATTERN = 1;
    private static final int FLAGS = 2;
    private static final int REPLACEMENT = 2;

    private final ExprAdapter adapter;

    RegexPatterns(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A regular expression whose flag says no more than whether the case of letters counts. */
    static Optional<Expr> matched(Expr.Call call) {
        boolean plain = call.is("regexp_like")
                && call.arguments().size() == 3
                && call.arguments().get(2) instanceof Expr.Literal flag
                && flag.text().matches("[ic]");
        return plain
                ? Optional.of(new Expr.Matches(
                        call.arguments().get(0),
                        call.arguments().get(1),
                        ((Expr.Literal) call.arguments().get(2)).text().equals("i"),
                        false,
                        call.span()))
                : Optional.empty();
    }

    /** The same call, with its pattern and its flags as the target reads them. */
    Expr.Call adapted(Expr.Call call) {
        List<Expr> a = call.arguments();
        if (!call.function().startsWith("regexp_") || a.size() <= PATTERN) {
            return call;
        }
        boolean flagged = call.is("regexp_like") && a.size() > FLAGS && a.get(FLAGS) instanceof Expr.Literal;
        String flags = flagged ? ((Expr.Literal) a.get(FLAGS)).text() : "";
        List<Expr> arguments = new ArrayList<>(a);
        arguments.set(PATTERN, pattern(a.get(PATTERN), flags));
        if (call.isAny("regexp_replace", "regexp_replace_all") && a.size() > REPLACEMENT) {
            arguments.set(REPLACEMENT, new GroupReferences(adapter).adapted(a.get(REPLACEMENT)));
        }
        if (flagged && adapter.to.has(SqlFeature.DOTS_MATCH_NEWLINES)) {
            String own =
                    flags.replaceAll("[nsc]", "").replace('m', 'w'); // which are its own ways, or a mode of its own
            arguments.set(FLAGS, Expr.Literal.string(own));
            if (own.isEmpty()) {
                arguments.remove(FLAGS);
            }
        }
        return new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span());
    }

    /** The pattern; anything but a constant as it is. */
    Expr pattern(Expr pattern, String flags) {
        boolean source = adapter.from.has(SqlFeature.DOTS_MATCH_NEWLINES);
        boolean target = adapter.to.has(SqlFeature.DOTS_MATCH_NEWLINES);
        boolean dots = pattern instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && source != target
                && !flags.matches(".*[ns].*")
                && !l.text().startsWith("(?s")
                && !withoutDots(l.text()).equals(l.text());
        if (!dots) {
            return pattern;
        }
        Expr.Literal literal = (Expr.Literal) pattern;
        if (target) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, literal.span(), "a dot that stays within its line");
            return new Expr.Literal(LiteralKind.STRING, withoutDots(literal.text()), literal.span());
        }
        if (adapter.to.has(SqlFeature.PATTERNS_HAVE_FLAGS)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, literal.span(), "a dot that matches the end of a line, too");
            return new Expr.Literal(LiteralKind.STRING, "(?s)" + literal.text(), literal.span());
        }
        adapter.note(
                FindingCode.FUNCTION_DIFFERS, literal.span(), "a dot matches the end of a line on the source only");
        return literal;
    }

    /** The pattern with its dots as what is no end of a line. */
    private static String withoutDots(String pattern) {
        StringBuilder text = new StringBuilder();
        boolean list = false;
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == '\\' && i + 1 < pattern.length()) {
                text.append(c).append(pattern.charAt(++i));
                continue;
            }
            int end = list && c == '[' ? endOfClass(pattern, i) : 0;
            if (end > 0) {
                text.append(pattern, i, end);
                i = end - 1;
                continue;
            }
            boolean first = i > 0 && (pattern.charAt(i - 1) == '[' || pattern.startsWith("[^", i - 2));
            list = c == '[' || list && !(c == ']' && !first);
            text.append(c == '.' && !list ? "[^\\n]" : String.valueOf(c));
        }
        return text.toString();
    }

    /** Where a class of characters within a list ends, as in {@code [[:alnum:].]}; 0 where there is none. */
    private static int endOfClass(String pattern, int start) {
        char kind = start + 1 < pattern.length() ? pattern.charAt(start + 1) : ' ';
        int end = ":.=".indexOf(kind) < 0 ? -1 : pattern.indexOf(kind + "]", start + 2);
        return end < 0 ? 0 : end + 2;
    }
}
