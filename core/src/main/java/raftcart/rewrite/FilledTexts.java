package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/**
 * Texts of a fixed length that only the target fills up with blanks: before a pattern, which would meet the blanks, they are
 * taken off again. Where only the source's patterns meet them it is said.
 */
final class FilledTexts {
    private FilledTexts() {}

    /** Says where a column of fixed length is beside one of varying length, with its blanks on the source alone. */
    static void besideOthers(List<Expr> compared, ExprAdapter adapter, Span span) {
        if (!adapter.lost(SqlFeature.VARYING_TEXTS_COMPARE_BLANKS)) {
            return;
        }
        List<LogicalType> types = compared.stream()
                .flatMap(e -> adapter.facts(e).flatMap(ColumnFacts::type).stream())
                .toList();
        boolean fixed = types.stream().anyMatch(t -> t instanceof LogicalType.Char c && c.length() > 1);
        boolean varying = types.stream().anyMatch(t -> t instanceof LogicalType.Varchar);
        if (fixed && varying) {
            adapter.note(
                    FindingCode.PADDING,
                    span,
                    "the blanks of a column of fixed length count beside one of varying length on the source only");
        }
    }

    static Expr matched(Expr.Like like, ExprAdapter adapter) {
        boolean open = like.pattern() instanceof Expr.Literal l && l.text().endsWith("%");
        return open ? like.value() : bare(like.value(), adapter);
    }

    static Expr matched(Expr.Matches matches, ExprAdapter adapter) {
        return bare(matches.value(), adapter);
    }

    private static Expr bare(Expr text, ExprAdapter adapter) {
        boolean onSource = areMet(adapter.from);
        boolean fixed = adapter.facts(text)
                .flatMap(ColumnFacts::type)
                .filter(t -> t instanceof LogicalType.Char c && c.length() > 1)
                .isPresent();
        if (!fixed || onSource == areMet(adapter.to)) {
            return text;
        }
        if (onSource) {
            adapter.note(
                    FindingCode.PADDING,
                    text.span(),
                    "the pattern meets the blanks at the end of a column of fixed length on the source only");
            return text;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, text.span(), "without the blanks that the target fills it up with");
        return Expr.Call.of("rtrim", text).at(text.span());
    }

    private static boolean areMet(Language language) {
        return language.has(SqlFeature.CHARACTERS_ARE_PADDED) || language.has(SqlFeature.PATTERNS_MEET_PADDING);
    }
}
