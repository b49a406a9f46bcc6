package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Unique identifiers where a text is wanted, which the engines that have a type for them do not take for one. */
final class UniqueIds {
    private static final Pattern ID = Pattern.compile("[{]?(?:[0-9A-Fa-f]{4}-?){8}}?");

    private final ExprAdapter adapter;

    UniqueIds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The digits of an identifier as engines give them themselves; a text that is none as it is. */
    static Expr.Literal usual(Expr.Literal text) {
        if (!ID.matcher(text.text()).matches()) {
            return text;
        }
        String digits = text.text().replaceAll("[{}-]", "").toLowerCase(Locale.ROOT);
        String usual = String.join(
                "-",
                digits.substring(0, 8),
                digits.substring(8, 12),
                digits.substring(12, 16),
                digits.substring(16, 20),
                digits.substring(20));
        return new Expr.Literal(LiteralKind.STRING, usual, text.span());
    }

    /** Values that are compared: the constants beside an identifier in the usual spelling, since a target may keep texts. */
    List<Expr> alike(List<Expr> compared) {
        boolean texts = !adapter.from.name().equals(adapter.to.name())
                && compared.stream().anyMatch(this::isColumn);
        return texts
                ? compared.stream()
                        .map(e -> e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING ? usual(l) : e)
                        .toList()
                : compared;
    }

    private boolean isColumn(Expr e) {
        return adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(LogicalType.Uuid.class::isInstance)
                .isPresent();
    }

    /** The adapted value as a text, if it is an identifier and the target wants that said. */
    Expr asText(Expr source, Expr adapted) {
        boolean same = adapter.from.name().equals(adapter.to.name());
        if (same || !adapter.to.has(SqlFeature.UNIQUE_IDS_ARE_NO_TEXTS) || !isId(source, adapted)) {
            return adapted;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, source.span(), "a unique identifier as a text");
        return new Expr.Cast(adapted, adapter.castType(new LogicalType.Text(0)), false, source.span());
    }

    private boolean isId(Expr source, Expr adapted) {
        boolean made = adapted instanceof Expr.Call call && call.canonical() && call.is("new_uuid");
        return made || isColumn(source);
    }
}
