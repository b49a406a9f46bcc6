package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** An UPDATE that reads another table, as the MERGE that changes the same rows. */
final class MergedUpdates {
    private MergedUpdates() {}

    static Statement.Merge of(
            Statement.Update update, TableRef target, List<TableRef> from, List<Expr> conditions, ExprAdapter adapter) {
        if (!adapter.to.has(SqlFeature.MERGE)
                || from.size() != 1
                || conditions.isEmpty()
                || !update.returning().isEmpty()
                || update.limit().isPresent()) {
            throw new Untranslatable("an UPDATE that reads other tables");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, update.span(), "an UPDATE that reads another table as MERGE");
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                update.span(),
                "a row that matches several rows of the other table is an error");
        List<Expr> pairing = new ArrayList<>(conditions);
        List<Expr> rest = new ArrayList<>();
        if (!adapter.to.has(SqlFeature.MERGE_CONDITIONS)) {
            // Oracle ("MERGE"): the condition that pairs rows may not read what is changed.
            conditions.stream().filter(c -> readsChanged(c, update, target)).forEach(rest::add);
            pairing.removeAll(rest);
        }
        Statement.MergeAction action = new Statement.MergeAction(
                true,
                false,
                OldForms.and(rest),
                Statement.MergeAction.Kind.UPDATE,
                update.assignments(),
                List.of(),
                List.of(),
                Optional.empty());
        Expr on = OldForms.and(pairing)
                .orElseThrow(() -> new Untranslatable("an UPDATE that pairs rows by what it changes"));
        return new Statement.Merge(update.with(), target, from.get(0), on, List.of(action), List.of(), update.span());
    }

    private static boolean readsChanged(Expr condition, Statement.Update update, TableRef target) {
        Name alias = ChangeAdapter.alias(target);
        List<Name> changed = update.assignments().stream()
                .flatMap(a -> a.columns().stream())
                .filter(Expr.Column.class::isInstance)
                .map(c -> ((Expr.Column) c).name().last())
                .toList();
        return ExprSearch.any(
                condition,
                e -> e instanceof Expr.Column c
                        && c.name().qualifier().stream().allMatch(q -> q.matches(alias))
                        && changed.stream().anyMatch(c.name().last()::matches));
    }
}
