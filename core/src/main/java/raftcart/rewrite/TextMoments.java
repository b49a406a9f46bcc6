package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.type.LogicalType;

/** Dates beside moments for a target that keeps both as texts, of which a date is only the beginning, or keeps them apart. */
final class TextMoments {
    private static final LogicalType MOMENT = new LogicalType.Timestamp(6, false);

    private final ExprAdapter adapter;
    private final boolean concerned;
    /** True where dates and moments are texts, or of types that do not meet. */
    private final boolean apart;

    TextMoments(ExprAdapter adapter) {
        this.adapter = adapter;
        this.concerned = adapter.to.has(SqlFeature.DATES_ARE_TEXTS) && !adapter.from.has(SqlFeature.DATES_ARE_TEXTS);
        this.apart = concerned
                || adapter.from.has(SqlFeature.DATES_BESIDE_TIMESTAMPS)
                        && !adapter.to.has(SqlFeature.DATES_BESIDE_TIMESTAMPS);
    }

    /** The values that are compared, or of which one is the result: the dates among moments as their midnights. */
    List<Expr> alike(List<Expr> values) {
        List<ValueKind> kinds = concerned ? values.stream().map(adapter::kind).toList() : List.of();
        return kinds.contains(ValueKind.TIMESTAMP) && kinds.contains(ValueKind.DATE)
                ? values.stream().map(v -> moment(v, adapter.kind(v))).toList()
                : values;
    }

    /** A value for a column of this type. */
    Expr stored(Expr value, ValueKind kind, LogicalType type) {
        boolean longer = kind == ValueKind.DATE && type instanceof LogicalType.Timestamp;
        boolean shorter = kind == ValueKind.TIMESTAMP && type instanceof LogicalType.Date;
        return apart && (longer || shorter) ? cast(value, type) : value;
    }

    /** A date as its midnight; anything else as it is. */
    private Expr moment(Expr value, ValueKind kind) {
        return concerned && kind == ValueKind.DATE ? cast(value, MOMENT) : value;
    }

    /** A column of a set operation some of whose parts give moments in it. */
    void columns(int column, List<ValueKind> kinds, List<List<Item>> parts) {
        for (int part = 0; part < parts.size(); part++) {
            List<Item> items = parts.get(part);
            UnionKinds.put(moment(items.get(column).value(), kinds.get(part)), items, column);
        }
    }

    /** A value that is looked for among the rows of a query. */
    Expr.InList amongRows(Expr.InList in, ValueKind column) {
        ValueKind kind = adapter.kind(in.value());
        if (apart && kind == ValueKind.DATE && column == ValueKind.TIMESTAMP) {
            return new Expr.InList(cast(in.value(), MOMENT), in.items(), in.negated(), in.span());
        }
        Expr.Subquery rows = (Expr.Subquery) in.items().get(0);
        boolean dates = apart && kind == ValueKind.TIMESTAMP && column == ValueKind.DATE;
        if (!dates || !(rows.query().body() instanceof Select select)) {
            return in;
        }
        List<Item> items = List.of(Item.of(cast(select.items().get(0).value(), MOMENT)));
        Query moments = rows.query().withBody(select.withItems(items));
        return new Expr.InList(in.value(), List.of(new Expr.Subquery(moments, rows.span())), in.negated(), in.span());
    }

    private Expr cast(Expr value, LogicalType type) {
        return new Expr.Cast(value, adapter.sourceType(type), false, value.span());
    }
}
