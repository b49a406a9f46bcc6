package raftcart.rewrite;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Columns that get a type of another kind, whose values the source converts and the target only when told how. */
final class RetypedColumns {
    private final ExprAdapter adapter;
    private final Map<String, Expr> conversions = new HashMap<>();

    RetypedColumns(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** What becomes of the values; empty where the target converts them by itself, or the old kind is not known. */
    Optional<Expr> using(Name column) {
        return Optional.ofNullable(conversions.get(column.key()));
    }

    /** Learns what the values are before they change. */
    void before(AlterAction action, Span span) {
        if (action instanceof AlterAction.SetType set && set.using().isEmpty()) {
            conversion(set.column(), set.type(), span)
                    .ifPresent(c -> conversions.put(set.column().key(), c));
        } else if (action instanceof AlterAction.ChangeColumn change) {
            change.definition()
                    .type()
                    .flatMap(t -> conversion(change.column(), t, span))
                    .ifPresent(c -> conversions.put(change.column().key(), c));
        }
    }

    private Optional<Expr> conversion(Name column, TypeName type, Span span) {
        if (!adapter.to.has(SqlFeature.TYPE_CHANGES_CONVERT) || adapter.from.has(SqlFeature.TYPE_CHANGES_CONVERT)) {
            return Optional.empty();
        }
        Expr value = Expr.Column.of(column.text());
        LogicalType wanted = adapter.finder.type(type);
        ValueKind old = adapter.kind(value);
        ValueKind now = KindFinder.kind(wanted);
        boolean letters = old == ValueKind.TEXT && now == ValueKind.BYTES;
        boolean parsed = old == ValueKind.TEXT
                && (now.isNumber()
                        || now.isDate()
                        || now == ValueKind.TIME
                        || now == ValueKind.JSON
                        || wanted instanceof LogicalType.Uuid);
        boolean truth = old == ValueKind.BOOLEAN && now.isNumber() || old.isNumber() && now == ValueKind.BOOLEAN;
        boolean read = old == ValueKind.BYTES && now == ValueKind.TEXT;
        if (letters) {
            return Optional.of(adapter.expr(Expr.Call.of("bytes_of_text", value).at(span)));
        }
        return parsed || truth || read
                ? Optional.of(adapter.expr(new Expr.Cast(value, type, false, span)))
                : Optional.empty();
    }
}
