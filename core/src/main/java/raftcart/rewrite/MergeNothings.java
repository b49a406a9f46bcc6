package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Truth;

/** Branches of MERGE without those that do nothing: the ones after them have the opposite as a condition. */
final class MergeNothings {
    private MergeNothings() {}

    static List<MergeAction> without(List<MergeAction> actions) {
        List<MergeAction> all = new ArrayList<>();
        for (int i = 0; i < actions.size(); i++) {
            MergeAction action = actions.get(i);
            List<MergeAction> idle = actions.subList(0, i).stream()
                    .filter(a -> a.kind() == MergeAction.Kind.NOTHING
                            && a.matched() == action.matched()
                            && a.bySource() == action.bySource())
                    .toList();
            boolean reached = idle.stream().noneMatch(a -> a.condition().isEmpty());
            if (action.kind() == MergeAction.Kind.NOTHING || !reached) {
                continue;
            }
            List<Expr> conditions = new ArrayList<>();
            action.condition().ifPresent(conditions::add);
            idle.stream()
                    .flatMap(a -> a.condition().stream())
                    .forEach(c -> conditions.add(new Expr.Is(c, Truth.TRUE, true, c.span())));
            all.add(conditioned(action, OldForms.and(conditions)));
        }
        if (all.isEmpty()) {
            throw new Untranslatable("a MERGE that does nothing");
        }
        return all;
    }

    private static MergeAction conditioned(MergeAction action, Optional<Expr> condition) {
        return new MergeAction(
                action.matched(),
                action.bySource(),
                condition,
                action.kind(),
                action.assignments(),
                action.columns(),
                action.values(),
                action.deleteWhere());
    }
}
