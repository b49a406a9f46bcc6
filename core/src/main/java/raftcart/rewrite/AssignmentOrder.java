package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.type.LogicalType;

/**
 * MySQL and MariaDB assign one column after the other, and values read what was assigned before them ("UPDATE Statement"
 * of MySQL's manual); by the standard all values are of the row as it was.
 */
final class AssignmentOrder {
    private final ExprAdapter adapter;
    private final Name table;

    AssignmentOrder(ExprAdapter adapter, Name table) {
        this.adapter = adapter;
        this.table = table;
    }

    /** The assignments in the target's sense; {@code joined} where the rows come from several tables. */
    List<Assignment> arranged(List<Assignment> assignments, Optional<KnownTable> known, boolean joined) {
        boolean before = adapter.from.has(SqlFeature.ASSIGNS_IN_ORDER);
        boolean after = adapter.to.has(SqlFeature.ASSIGNS_IN_ORDER);
        if (before == after || assignments.size() < 2) {
            return assignments;
        }
        if (before && joined) {
            uncertain(assignments);
            return assignments;
        }
        return before ? substituted(assignments, known) : sorted(assignments);
    }

    /** Over several tables the source promises no order: which values are read depends on its plan. */
    void uncertain(List<Assignment> assignments) {
        boolean loses = adapter.lost(SqlFeature.ASSIGNS_IN_ORDER);
        for (int i = 1; i < assignments.size() && loses; i++) {
            Assignment reader = assignments.get(i);
            if (assignments.subList(0, i).stream().anyMatch(a -> reads(reader, a))) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        reader.value().span(),
                        "reads a column that was assigned before; the target reads its old value, the source the old or the new");
            }
        }
    }

    private static Name column(Assignment assignment) {
        return ((Expr.Column) assignment.columns().get(0)).name().last();
    }

    /** Values that name what was assigned before them, in place of its column. */
    private List<Assignment> substituted(List<Assignment> assignments, Optional<KnownTable> known) {
        Map<String, Expr> assigned = new LinkedHashMap<>();
        List<Assignment> all = new ArrayList<>();
        for (Assignment a : assignments) {
            Expr value = assigned.isEmpty() ? a.value() : withNew(a.value(), assigned, known);
            if (value != a.value() && !value.equals(a.value())) {
                adapter.note(
                        FindingCode.SYNTAX_ADAPTED,
                        value.span(),
                        "the new value of a column that was assigned before, where it is read");
            }
            assigned.put(column(a).key(), value);
            all.add(a.withValue(value));
        }
        return all;
    }

    /** A value as its column holds it. */
    private Expr stored(Expr value, Name column, Optional<KnownTable> known) {
        Optional<LogicalType> type =
                known.map(t -> t.columns().get(column.key())).flatMap(KnownColumn::type);
        boolean fits = value instanceof Expr.Literal l && l.kind() == LiteralKind.NULL
                || type.filter(t -> t instanceof LogicalType.Bool || adapter.kind(value) == KindFinder.kind(t))
                        .filter(t -> !isNarrower(t, value))
                        .isPresent();
        if (fits) {
            return value;
        }
        return type.<Expr>map(t -> new Expr.Cast(value, adapter.sourceType(t), false, value.span()))
                .orElse(value);
    }

    private boolean isNarrower(LogicalType type, Expr value) {
        Optional<Integer> digits = Digits.of(value, adapter);
        return Digits.of(type).filter(d -> digits.isEmpty() || digits.get() > d).isPresent();
    }

    private Expr withNew(Expr value, Map<String, Expr> assigned, Optional<KnownTable> known) {
        return new QueryMapper() {
            private boolean inside;

            @Override
            public Query query(Query query) {
                boolean outer = inside;
                inside = true;
                try {
                    return super.query(query);
                } finally {
                    inside = outer;
                }
            }

            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Call call && call.is("new_value")) {
                    return e;
                }
                Expr replacement = e instanceof Expr.Column c
                        ? assigned.get(c.name().last().key())
                        : null;
                if (replacement == null || !isOwn((Expr.Column) e)) {
                    return super.expr(e);
                }
                if (inside && ((Expr.Column) e).name().parts().size() == 1) {
                    throw new Untranslatable("a query that may read a column that is assigned in the same UPDATE");
                }
                return stored(replacement, ((Expr.Column) e).name().last(), known);
            }
        }.expr(value);
    }

    private boolean isOwn(Expr.Column column) {
        List<Name> parts = column.name().parts();
        return parts.size() == 1 || parts.get(parts.size() - 2).matches(table);
    }

    /** Each assignment after those that read its column. */
    private List<Assignment> sorted(List<Assignment> assignments) {
        List<Assignment> left = new ArrayList<>(assignments);
        List<Assignment> done = new ArrayList<>();
        while (!left.isEmpty()) {
            Assignment next = left.stream()
                    .filter(a -> left.stream().noneMatch(b -> b != a && reads(b, a)))
                    .findFirst()
                    .orElseThrow(() -> new Untranslatable(
                            "an UPDATE of columns that read each other, which the target assigns one after the other"));
            left.remove(next);
            done.add(next);
        }
        if (!done.equals(assignments)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    assignments.get(0).value().span(),
                    "columns in an order in which none is read after it was assigned");
        }
        return done;
    }

    private boolean reads(Assignment reader, Assignment assignment) {
        return ExprSearch.anyOutside(
                e -> e instanceof Expr.Call call && call.is("new_value"),
                reader.value(),
                e -> e instanceof Expr.Column c
                        && isOwn(c)
                        && assignment.columns().stream().anyMatch(a -> ((Expr.Column) a)
                                .name()
                                .last()
                                .matches(c.name().last())));
    }
}
