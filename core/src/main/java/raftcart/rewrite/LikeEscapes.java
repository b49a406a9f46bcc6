package raftcart.rewrite;

import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** What escapes in a pattern of LIKE that says nothing of it: a backslash on some engines, nothing on others. */
final class LikeEscapes {
    private static final String BACKSLASH = "\\";

    private final ExprAdapter adapter;
    private final Expr.Like like;

    LikeEscapes(ExprAdapter adapter, Expr.Like like) {
        this.adapter = adapter;
        this.like = like;
    }

    /** A pattern, adapted, with what escapes in it where that is said. */
    record Pattern(Expr text, Optional<Expr> escape) {}

    Pattern adapted() {
        Expr pattern = adapter.expr(like.pattern());
        Optional<Expr> escape = like.escape().map(adapter::expr);
        if (isWildcard(escape)) {
            return byBackslash(pattern);
        }
        boolean onSource = adapter.from.has(SqlFeature.LIKE_ESCAPES_BY_BACKSLASH);
        boolean differs = !adapter.from.name().equals(adapter.to.name())
                && onSource != adapter.to.has(SqlFeature.LIKE_ESCAPES_BY_BACKSLASH);
        boolean harmless = like.pattern() instanceof Expr.Literal l && !l.text().contains(BACKSLASH);
        if (escape.isPresent() || !differs || harmless) {
            return new Pattern(pattern, escape);
        }
        boolean literal = like.pattern() instanceof Expr.Literal;
        if (!literal && adapter.to.has(SqlFeature.LIKE_IGNORES_CASE)) { // GLOB, where case counts, has no escape
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS, like.span(), "a backslash in the pattern escapes on one engine only");
            return new Pattern(pattern, escape);
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                like.span(),
                onSource ? "a backslash escapes, as on the source" : "a backslash stands for itself, as on the source");
        if (onSource) {
            return new Pattern(pattern, Optional.of(Expr.Literal.string(BACKSLASH)));
        }
        if (literal) {
            Expr.Literal text = (Expr.Literal) like.pattern();
            String doubled = text.text().replace(BACKSLASH, BACKSLASH + BACKSLASH);
            return new Pattern(new Expr.Literal(LiteralKind.STRING, doubled, text.span()), escape);
        }
        return adapter.to.has(SqlFeature.LIKE_WITHOUT_ESCAPE)
                ? new Pattern(pattern, Optional.of(Expr.Literal.string("")))
                : new Pattern(doubled(pattern), escape);
    }

    private boolean isWildcard(Optional<Expr> escape) {
        return !adapter.from.name().equals(adapter.to.name())
                && escape.filter(e -> e instanceof Expr.Literal l && l.text().matches("[%_]"))
                        .isPresent();
    }

    /** A pattern in which one of the wildcards escapes, which some engines take for a wildcard all the same. */
    private Pattern byBackslash(Expr pattern) {
        if (!(pattern instanceof Expr.Literal text)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, like.span(), "a wildcard that escapes");
            return new Pattern(pattern, like.escape().map(adapter::expr));
        }
        String wildcard = ((Expr.Literal) like.escape().orElseThrow()).text();
        String escaped = escaped(text.text(), wildcard.charAt(0));
        adapter.note(FindingCode.SYNTAX_ADAPTED, like.span(), "a backslash escapes in place of " + wildcard);
        return new Pattern(
                new Expr.Literal(LiteralKind.STRING, escaped, text.span()),
                Optional.of(Expr.Literal.string(BACKSLASH)));
    }

    private static String escaped(String pattern, char escape) {
        StringBuilder escaped = new StringBuilder();
        for (int i = 0; i < pattern.length(); i++) {
            boolean escapes = pattern.charAt(i) == escape && i + 1 < pattern.length();
            char c = pattern.charAt(escapes ? ++i : i);
            // Before any other letter an escape is an error to some engines.
            escaped.append(c == '\\' || escapes && (c == '%' || c == '_') ? BACKSLASH : "")
                    .append(c);
        }
        return escaped.toString();
    }

    private Expr doubled(Expr pattern) {
        return Expr.Call.of(
                        "replace", pattern, Expr.Literal.string(BACKSLASH), Expr.Literal.string(BACKSLASH + BACKSLASH))
                .at(like.span());
    }
}
