package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** Unique identifiers where a text is wanted, which the engines that have a type for them do not take for one. */
final class UniqueIds {
    private final ExprAdapter adapter;

    UniqueIds(ExprAdapter adapter) {
        this.adapter = adapter;
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
        return made
                || source instanceof Expr.Column column
                        && adapter.scope
                                .column(column.name())
                                .flatMap(Scope.ColumnFacts::type)
                                .filter(t -> t instanceof LogicalType.Uuid)
                                .isPresent();
    }
}
