package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;

/**
 * Texts that are made of something else than columns of texts: beside constants an engine that ignores case compares them by
 * the collation of the session, while columns have one that says that they compare letter by letter.
 */
final class ExactTexts {
    /** Functions whose texts do not have the collation of their arguments. */
    private static final Set<String> OF_SESSION = Set.of(
            "format_date",
            "format_number",
            "format_decimals",
            "day_name",
            "month_name",
            "md5",
            "sha1",
            "sha256",
            "hex_of_bytes",
            "hex_of_text",
            "base64_of_bytes",
            "type_name");

    private ExactTexts() {}

    /** The sides of a comparison as they were adapted, one of them under a collation where it needs that. */
    static List<Expr> compared(List<Expr> given, List<Expr> adapted, ExprAdapter adapter) {
        boolean falls = !adapter.from.has(SqlFeature.IGNORES_CASE)
                && adapter.to.has(SqlFeature.IGNORES_CASE)
                && adapter.writes("exact_text")
                && given.stream().allMatch(e -> isText(e) || isMade(e, adapter) || e instanceof Expr.Parameter)
                && given.stream().anyMatch(e -> !(e instanceof Expr.Parameter))
                && mayDiffer(
                        given.stream().filter(Expr.Literal.class::isInstance).toList())
                && adapted.stream().noneMatch(e -> isOfColumn(e, adapter));
        if (!falls) {
            return adapted;
        }
        List<Expr> exact = new ArrayList<>(adapted);
        int first = IntStream.range(0, given.size())
                .filter(i -> !(given.get(i) instanceof Expr.Parameter))
                .findFirst()
                .orElseThrow();
        Expr text = adapted.get(first);
        adapter.note(FindingCode.SYNTAX_ADAPTED, text.span(), "compared letter by letter, as on the source");
        exact.set(first, Expr.Call.of("exact_text", text).at(text.span()));
        return exact;
    }

    private static boolean isText(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
    }

    private static boolean isMade(Expr e, ExprAdapter adapter) {
        boolean ofEngine = e instanceof Expr.Call call && call.arguments().isEmpty();
        return !(e instanceof Expr.Literal) && !ofEngine && adapter.kind(e) == ValueKind.TEXT;
    }

    /** True where one of the constants has letters, or blanks at its end, or none is known. */
    private static boolean mayDiffer(List<Expr> constants) {
        return constants.isEmpty()
                || constants.stream()
                        .map(e -> ((Expr.Literal) e).text())
                        .anyMatch(
                                t -> t.isEmpty() || t.endsWith(" ") || t.chars().anyMatch(Character::isLetter));
    }

    /** True where the value has the collation of a column. */
    static boolean isOfColumn(Expr e, ExprAdapter adapter) {
        return ExprSearch.anyOutside(
                inner ->
                        inner instanceof Expr.Cast || inner instanceof Expr.Call c && OF_SESSION.contains(c.function()),
                e,
                inner -> inner instanceof Expr.Subquery
                        || inner instanceof Expr.Column && !isOfOtherKind(adapter.kind(inner)));
    }

    private static boolean isOfOtherKind(ValueKind kind) {
        return kind != ValueKind.TEXT && kind != ValueKind.UNKNOWN && kind != ValueKind.JSON;
    }
}
