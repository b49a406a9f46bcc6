package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/**
 * The columns of the tables that a query joins, each with the table that it is of, as far as that is known, and which of
 * them are equal in every row.
 */
final class JoinedColumns {
    /** Kinds of values that are the same where they are equal, which texts need not be. */
    private static final Set<ValueKind> EXACT =
            Set.of(ValueKind.INTEGER, ValueKind.DECIMAL, ValueKind.DATE, ValueKind.TIMESTAMP, ValueKind.BOOLEAN);

    private final ExprAdapter adapter;
    private final Set<String> names = new HashSet<>();
    private final Map<String, KnownTable> tables = new HashMap<>();
    private final List<Set<String>> equal = new ArrayList<>();

    JoinedColumns(ExprAdapter adapter, Select select) {
        this.adapter = adapter;
        select.from().forEach(this::remember);
        select.from().forEach(this::compared);
        select.where().ifPresent(this::compared);
    }

    static String low(Name name) {
        return name.text().toLowerCase(Locale.ROOT);
    }

    /** The column with the name of its table before a point, which is empty where it is not known. */
    String key(Expr.Column column) {
        return table(column) + "." + low(column.name().last());
    }

    /** The key of another column of the same table. */
    String beside(Expr.Column column, Name other) {
        return table(column) + "." + low(other);
    }

    private String table(Expr.Column column) {
        List<Name> parts = column.name().parts();
        if (parts.size() > 1) {
            return low(parts.get(parts.size() - 2));
        }
        List<String> owners = tables.entrySet().stream()
                .filter(t ->
                        t.getValue().columns().containsKey(low(column.name().last())))
                .map(Map.Entry::getKey)
                .toList();
        boolean alone = names.size() == 1;
        return alone ? names.iterator().next() : owners.size() == 1 ? owners.get(0) : "";
    }

    /** True for two keys of one column; a column whose table is not known is that of its name. */
    boolean same(String one, String other) {
        int point = one.indexOf('.');
        int second = other.indexOf('.');
        return point >= 0
                && second >= 0
                && one.substring(point).equals(other.substring(second))
                && (point == 0 || second == 0 || one.equals(other));
    }

    /** True for the keys of two columns that are compared with each other, so that they have one value in each row. */
    boolean equal(String one, String other) {
        return equal.stream().anyMatch(e -> e.contains(one) && e.contains(other));
    }

    /** The tables of the query that may have this column. */
    List<KnownTable> owners(Expr.Column column) {
        List<Name> parts = column.name().parts();
        return tables.entrySet().stream()
                .filter(t -> parts.size() == 1 || t.getKey().equals(low(parts.get(parts.size() - 2))))
                .map(Map.Entry::getValue)
                .filter(t -> t.columns().containsKey(low(column.name().last())))
                .toList();
    }

    /** A column of a query around this one has one value for all its rows. */
    boolean isOfOuterQuery(Expr.Column column) {
        List<Name> parts = column.name().parts();
        return parts.size() > 1
                ? !names.contains(low(parts.get(parts.size() - 2)))
                : tables.size() == names.size() && owners(column).isEmpty();
    }

    private void remember(TableRef ref) {
        if (ref instanceof TableRef.Join join) {
            remember(join.left());
            remember(join.right());
            return;
        }
        names.add(exposedName(ref));
        if (ref instanceof TableRef.Table named) {
            adapter.knowledge.table(named.name()).ifPresent(t -> tables.put(low(ChangeAdapter.alias(named)), t));
        }
    }

    private static String exposedName(TableRef ref) {
        Optional<TableRef.Alias> alias = ref instanceof TableRef.Table named
                ? Optional.of(TableRef.Alias.of(ChangeAdapter.alias(named).text()))
                : ref instanceof TableRef.Derived derived
                        ? derived.alias()
                        : ref instanceof TableRef.Function function
                                ? function.alias()
                                : ref instanceof TableRef.JsonTable json ? json.alias() : Optional.empty();
        return alias.map(a -> low(a.name())).orElse("");
    }

    /** What the conditions of joins compare that leave no row without a partner. */
    private void compared(TableRef ref) {
        if (!(ref instanceof TableRef.Join join)) {
            return;
        }
        boolean inner = join.kind() == TableRef.Join.Kind.INNER || join.kind() == TableRef.Join.Kind.CROSS;
        if (inner || join.kind() == TableRef.Join.Kind.LEFT) {
            compared(join.left());
        }
        if (inner || join.kind() == TableRef.Join.Kind.RIGHT) {
            compared(join.right());
        }
        if (inner) {
            join.on().ifPresent(this::compared);
        }
    }

    private void compared(Expr condition) {
        for (Expr part : OldForms.conjuncts(condition)) {
            if (part instanceof Expr.Binary b
                    && b.operator() == BinaryOperator.EQUAL
                    && b.left() instanceof Expr.Column left
                    && b.right() instanceof Expr.Column right
                    && EXACT.contains(kind(left))
                    && kind(left) == kind(right)) {
                join(key(left), key(right));
            }
        }
    }

    private ValueKind kind(Expr.Column column) {
        List<KnownTable> owners = owners(column);
        return owners.size() != 1
                ? ValueKind.UNKNOWN
                : owners.get(0)
                        .columns()
                        .get(low(column.name().last()))
                        .type()
                        .map(KindFinder::kind)
                        .orElse(ValueKind.UNKNOWN);
    }

    private void join(String one, String other) {
        Set<String> all = new HashSet<>(Set.of(one, other));
        equal.removeIf(e -> {
            boolean touches = e.contains(one) || e.contains(other);
            all.addAll(touches ? e : Set.of());
            return touches;
        });
        equal.add(all);
    }
}
