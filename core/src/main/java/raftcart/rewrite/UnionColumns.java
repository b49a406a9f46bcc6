package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.QueryBody.SetOperation;
import raftcart.type.LogicalType;

/** What is known of the columns of a set operation by those of both sides (ISO/IEC 9075-2, "Result of data type combinations"). */
final class UnionColumns {
    private UnionColumns() {}

    /**
     * The columns, which have the names of the left.
     *
     * @param right empty where a star hides them
     */
    static List<ColumnFacts> of(SetOperation.Kind kind, List<ColumnFacts> left, List<ColumnFacts> right) {
        if (kind == SetOperation.Kind.EXCEPT) {
            return left;
        }
        List<ColumnFacts> columns = new ArrayList<>();
        for (int i = 0; i < left.size(); i++) {
            ColumnFacts one = left.get(i);
            if (i >= right.size()) {
                boolean notNull = kind == SetOperation.Kind.INTERSECT && one.notNull();
                columns.add(new ColumnFacts(one.name(), one.kind(), one.type(), notNull, one.ignoresCase()));
                continue;
            }
            ColumnFacts other = right.get(i);
            boolean notNull = kind == SetOperation.Kind.INTERSECT
                    ? one.notNull() || other.notNull()
                    : one.notNull() && other.notNull();
            columns.add(new ColumnFacts(
                    one.name(),
                    combined(one.kind(), other.kind()),
                    combined(one.type(), other.type()),
                    notNull,
                    one.ignoresCase() || other.ignoresCase()));
        }
        return columns;
    }

    /** The columns of VALUES, of which every row is a side of its own. */
    static List<ColumnFacts> ofRows(List<List<ColumnFacts>> rows) {
        return rows.stream()
                .reduce((above, row) -> of(SetOperation.Kind.UNION, above, row))
                .orElse(List.of());
    }

    private static Optional<LogicalType> combined(Optional<LogicalType> one, Optional<LogicalType> other) {
        if (one.isEmpty() || other.isEmpty()) {
            return one.or(() -> other);
        }
        return one.filter(other.get()::equals);
    }

    private static ValueKind combined(ValueKind one, ValueKind other) {
        if (one == other || other == ValueKind.NULL) {
            return one;
        }
        if (one == ValueKind.NULL) {
            return other;
        }
        if (isNumber(one) && isNumber(other)) {
            List<ValueKind> both = List.of(one, other);
            return Stream.of(ValueKind.FLOAT, ValueKind.DECIMAL)
                    .filter(both::contains)
                    .findFirst()
                    .orElse(ValueKind.INTEGER);
        }
        if (one.isDate() && other.isDate()) {
            return ValueKind.TIMESTAMP;
        }
        // What is not known is most often of the same kind, but among numbers there are several.
        return other == ValueKind.UNKNOWN && !one.isNumber() ? one : ValueKind.UNKNOWN;
    }

    private static boolean isNumber(ValueKind kind) {
        return kind.isNumber() || kind == ValueKind.BOOLEAN;
    }
}
