package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.TableRef;

/** Oracle's {@code UPDATE ... DELETE WHERE}, which looks at the rows as they were changed, as a branch of its own. */
final class MergeDeletes {
    private MergeDeletes() {}

    static List<MergeAction> asBranches(List<MergeAction> actions, TableRef target) {
        List<MergeAction> all = new ArrayList<>();
        for (MergeAction action : actions) {
            if (action.deleteWhere().isEmpty()) {
                all.add(action);
                continue;
            }
            List<Expr> conditions = new ArrayList<>();
            action.condition().ifPresent(conditions::add);
            conditions.add(changed(action.deleteWhere().get(), action.assignments(), ChangeAdapter.alias(target)));
            all.add(new MergeAction(
                    true,
                    false,
                    OldForms.and(conditions),
                    MergeAction.Kind.DELETE,
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.empty()));
            all.add(new MergeAction(
                    action.matched(),
                    action.bySource(),
                    action.condition(),
                    action.kind(),
                    action.assignments(),
                    action.columns(),
                    action.values(),
                    Optional.empty()));
        }
        return all;
    }

    /** A condition with the new values for the columns that are assigned. */
    private static Expr changed(Expr condition, List<Assignment> assignments, Name target) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (!(e instanceof Expr.Column column)) {
                    return super.expr(e);
                }
                List<Name> parts = column.name().parts();
                boolean own = parts.size() == 1 || parts.get(parts.size() - 2).matches(target);
                return assignments.stream()
                        .filter(a -> own
                                && a.columns().size() == 1
                                && ((Expr.Column) a.columns().get(0))
                                        .name()
                                        .last()
                                        .matches(column.name().last()))
                        .map(Assignment::value)
                        .findFirst()
                        .orElse(e);
            }
        }.expr(condition);
    }
}
