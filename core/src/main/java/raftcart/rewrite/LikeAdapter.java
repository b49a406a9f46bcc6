package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** Adapts LIKE: what its pattern holds, what escapes in it, and whether the case of letters counts. */
final class LikeAdapter {
    private final ExprAdapter adapter;

    LikeAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    Expr like(Expr.Like given) {
        Expr.Like like = new Expr.Like(
                FilledTexts.matched(given, adapter),
                given.pattern(),
                given.escape(),
                given.ignoreCase(),
                given.negated(),
                given.span());
        boolean ranges = adapter.from.has(SqlFeature.LIKE_RANGES) != adapter.to.has(SqlFeature.LIKE_RANGES);
        if (ranges && like.pattern() instanceof Expr.Literal l && l.text().indexOf('[') >= 0) {
            if (adapter.to.has(SqlFeature.LIKE_RANGES) || !adapter.to.has(SqlFeature.REGULAR_EXPRESSIONS)) {
                throw new Untranslatable("a LIKE pattern with brackets");
            }
            return ranges(like, l);
        }
        sayExact(like);
        boolean onSource = ignoresCase(like);
        if (!onSource || !adapter.to.has(SqlFeature.LIKE_IGNORES_CASE)) {
            new TextRules(adapter).compared(List.of(like.value(), like.pattern()), like.span());
        }
        LikeEscapes.Pattern escaped = new LikeEscapes(adapter, like).adapted();
        Expr pattern = escaped.text();
        boolean letters =
                !(like.pattern() instanceof Expr.Literal l) || l.text().chars().anyMatch(Character::isLetter);
        boolean ignores = like.ignoreCase() && (letters || adapter.to.has(SqlFeature.LIKE_IGNORES_CASE));
        if (adapter.to.has(SqlFeature.LIKE_IGNORES_CASE) && !ignores && !same()) {
            ignores = !letters || onSource;
        }
        if (ignores != like.ignoreCase() || letters && adapter.lost(SqlFeature.LIKE_IGNORES_CASE)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED, like.span(), "the case of letters counts in LIKE as on the source");
        }
        List<Expr> sides = List.of(asText(like.value()), pattern);
        Expr value = ignores
                ? sides.get(0)
                : ExactTexts.compared(List.of(like.value(), like.pattern()), sides, adapter)
                        .get(0);
        return new Expr.Like(value, pattern, escaped.escape(), ignores, like.negated(), like.span());
    }

    /** Says where GLOB, for which the case of letters counts even in columns that ignore it, meets such a column. */
    private void sayExact(Expr.Like like) {
        boolean exact = !same()
                && !like.ignoreCase()
                && adapter.from.grammar().has(GrammarFeature.LIKE_IGNORES_CASE)
                && adapter.to.has(SqlFeature.IGNORES_CASE);
        boolean ignores = exact
                && TextRules.columns(like.value())
                        .map(adapter::facts)
                        .anyMatch(f -> f.map(Scope.ColumnFacts::ignoresCase).orElse(true));
        if (ignores) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    like.span(),
                    "GLOB minds the case of letters, LIKE of this column does not");
        }
    }

    /** A number as the text that LIKE wants, where the target does not make it one itself. */
    private Expr asText(Expr value) {
        ValueKind kind = adapter.kind(value);
        boolean shown = kind.isNumber() && kind != ValueKind.INTEGER || FunctionArguments.shownAsText(kind);
        if (!same() && adapter.losesConversions() && shown) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, value.span(), "a value of another kind as a text for LIKE");
            return adapter.expr(new Expr.Cast(value, adapter.sourceType(new LogicalType.Text(0)), false, value.span()));
        }
        if (same() || !adapter.losesConversions() || kind != ValueKind.INTEGER) {
            return adapter.expr(value);
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, value.span(), "a number as a text for LIKE");
        return new Expr.Cast(adapter.expr(value), adapter.castType(new LogicalType.Text(0)), false, value.span());
    }

    /** True where the source's LIKE, or the column before it, takes small and capital letters for the same. */
    private boolean ignoresCase(Expr.Like like) {
        return like.ignoreCase()
                || TextRules.columns(like.value())
                        .filter(e -> !(e instanceof Expr.Literal))
                        .map(adapter::facts)
                        .anyMatch(f -> f.map(Scope.ColumnFacts::ignoresCase)
                                .orElseGet(() -> adapter.from.has(SqlFeature.IGNORES_CASE)));
    }

    /** T-SQL's {@code LIKE '[a-c]%'} as a regular expression of the whole text. */
    private Expr ranges(Expr.Like like, Expr.Literal pattern) {
        Optional<String> expression = LikeRanges.expression(pattern.text(), like.escape());
        if (expression.isEmpty()) {
            throw new Untranslatable("this LIKE pattern with brackets");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, like.span(), "a LIKE pattern with brackets as a regular expression");
        new TextRules(adapter).compared(List.of(like.value(), like.pattern()), like.span());
        return new Expr.Matches(
                adapter.expr(like.value()),
                Expr.Literal.string(expression.get()),
                like.ignoreCase(),
                like.negated(),
                like.span());
    }
}
