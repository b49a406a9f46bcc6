package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** What the items of arrays are ("Arrays", PostgreSQL), and with that what is taken out of one, or added to it. */
final class ItemTypes {
    /** Functions that give an array of what their first array has. */
    private static final Set<String> HANDING_ON = Set.of(
            "array_append", "array_cat", "array_prepend", "array_remove", "array_replace", "trim_array", "coalesce");

    private static final Set<String> OF_TEXTS = Set.of("string_to_array", "regexp_split_to_array", "text_to_array");
    private static final int DIGITS = 64;

    private final KindFinder finder;
    private final Scope scope;

    ItemTypes(KindFinder finder, Scope scope) {
        this.finder = finder;
        this.scope = scope;
    }

    /** The kind of an item, of texts or arrays that are put together, or of a text with its collation. */
    ValueKind kind(Expr e) {
        if (e instanceof Expr.Subscript item) {
            return finder.kind(item.array(), scope) == ValueKind.TEXT
                    ? ValueKind.TEXT
                    : item.slice()
                            ? ValueKind.ARRAY
                            : of(item.array()).map(KindFinder::kind).orElse(ValueKind.UNKNOWN);
        }
        boolean array = e instanceof Expr.Concat c && c.parts().stream().anyMatch(this::isArray);
        return array ? ValueKind.ARRAY : ValueKind.TEXT;
    }

    boolean isArray(Expr e) {
        return finder.kind(e, scope) == ValueKind.ARRAY;
    }

    /** What an array has; empty where that is not known. */
    Optional<LogicalType> of(Expr array) {
        if (array instanceof Expr.Column column) {
            return scope.column(column.name()).flatMap(Scope.ColumnFacts::type).flatMap(ItemTypes::element);
        }
        if (array instanceof Expr.Cast cast) {
            return element(finder.type(cast.type()));
        }
        if (array instanceof Expr.ArrayItems items) {
            return common(items.items());
        }
        if (array instanceof Expr.Subscript part) {
            return part.slice() ? of(part.array()) : of(part.array()).flatMap(ItemTypes::element);
        }
        if (array instanceof Expr.Concat concat) {
            return first(concat.parts());
        }
        return array instanceof Expr.Call call ? ofCall(call) : Optional.empty();
    }

    private Optional<LogicalType> ofCall(Expr.Call call) {
        if (HANDING_ON.contains(call.function())) {
            return first(call.arguments());
        }
        if (OF_TEXTS.contains(call.function())) {
            return Optional.of(new LogicalType.Text(0));
        }
        boolean gathers =
                call.isAny("array_agg", "array_of_query") && !call.arguments().isEmpty();
        return gathers
                ? of(finder.kind(call.arguments().get(0), scope))
                : finder.knowledge.code().signatures().result(call.name()).flatMap(ItemTypes::element);
    }

    private Optional<LogicalType> first(List<Expr> arrays) {
        return arrays.stream()
                .filter(this::isArray)
                .flatMap(a -> of(a).stream())
                .findFirst();
    }

    private static Optional<LogicalType> element(LogicalType type) {
        return type instanceof LogicalType.Array array ? Optional.of(array.element()) : Optional.empty();
    }

    private Optional<LogicalType> common(List<Expr> items) {
        List<ValueKind> kinds = items.stream()
                .map(i -> finder.kind(i, scope))
                .filter(k -> k != ValueKind.NULL)
                .distinct()
                .toList();
        if (kinds.size() == 1 && kinds.get(0) == ValueKind.ARRAY) {
            return items.stream().findFirst().flatMap(this::of).map(LogicalType.Array::new);
        }
        return kinds.size() == 1
                ? of(kinds.get(0))
                : !kinds.isEmpty() && kinds.stream().allMatch(ValueKind::isNumber)
                        ? of(ValueKind.DECIMAL)
                        : Optional.empty();
    }

    private static Optional<LogicalType> of(ValueKind kind) {
        return Optional.ofNullable(
                switch (kind) {
                    case TEXT -> new LogicalType.Text(0);
                    case INTEGER -> new LogicalType.Int(DIGITS, false);
                    case DECIMAL -> new LogicalType.Decimal(0, 0, false);
                    case FLOAT -> new LogicalType.Floating(DIGITS);
                    case BOOLEAN -> new LogicalType.Bool();
                    case DATE -> new LogicalType.Date();
                    default -> null;
                });
    }
}
