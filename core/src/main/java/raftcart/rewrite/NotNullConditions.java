package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Truth;

/** Conditions that say of columns that they are not NULL. */
final class NotNullConditions {
    private NotNullConditions() {}

    /** The columns, if the condition says nothing else. */
    static Optional<List<Name>> alone(Expr condition) {
        List<Name> columns = new ArrayList<>();
        return collect(condition, columns) ? Optional.of(List.copyOf(columns)) : Optional.empty();
    }

    /** The columns that are not NULL where the condition holds, as far as it says so itself. */
    static List<Name> among(Expr condition) {
        List<Name> columns = new ArrayList<>();
        collect(condition, columns);
        return List.copyOf(columns);
    }

    private static boolean collect(Expr condition, List<Name> columns) {
        if (condition instanceof Expr.Junction all && all.and()) {
            boolean alone = true;
            for (Expr part : all.parts()) {
                alone &= collect(part, columns);
            }
            return alone;
        }
        if (condition instanceof Expr.Is is
                && is.truth() == Truth.NULL
                && is.negated()
                && is.value() instanceof Expr.Column column) {
            columns.add(column.name().last());
            return true;
        }
        return false;
    }
}
