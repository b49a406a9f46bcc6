package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** Adapts DELETE. */
final class DeleteAdapter {
    private final QueryAdapter adapter;
    private final ChangeAdapter changes;

    DeleteAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
        this.changes = new ChangeAdapter(adapter);
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    private static Statement.Delete counted(Statement.Delete delete) {
        OldForms.Counted counted = OldForms.counted(delete.where());
        return counted.limit().isEmpty()
                ? delete
                : new Statement.Delete(
                        delete.with(),
                        delete.targets(),
                        delete.table(),
                        delete.using(),
                        counted.where(),
                        delete.order(),
                        counted.limit(),
                        delete.returning(),
                        delete.span());
    }

    /** A change of the first rows only, where the target has no limit: of those rows by their address. */
    private Statement.Delete limited(Statement.Delete given) {
        Statement.Delete delete = adapter.lost(SqlFeature.ROW_NUMBERS) ? counted(given) : given;
        boolean plain = delete.targets().isEmpty() && delete.using().isEmpty();
        if (!plain || !changes.needsAddresses(delete.limit(), delete.table())) {
            return delete;
        }
        return new Statement.Delete(
                delete.with(),
                List.of(),
                delete.table(),
                List.of(),
                Optional.of(changes.byAddress(delete.table(), delete.where(), delete.order(), delete.limit())),
                List.of(),
                Optional.empty(),
                delete.returning(),
                delete.span());
    }

    Statement delete(Statement.Delete given) {
        Statement.Delete delete = limited(ChangedQueries.table(
                InlinedTables.in(new CommonTableChanges(adapter).delete(given), adapter), adapter));
        if (delete.targets().size() > 1 && !adapter.same()) {
            throw new Untranslatable("a DELETE from several tables");
        }
        boolean joined = !delete.using().isEmpty() || !delete.targets().isEmpty();
        if (adapter.same() || !joined) {
            return plainDelete(delete);
        }
        if (adapter.from.has(SqlFeature.UPDATE_NAMES_JOINED)) {
            delete = NamedTargets.byAlias(delete);
        }
        if (OuterJoinChanges.isOuter(delete.table()) && !delete.targets().isEmpty()) {
            return withOuterJoin(delete);
        }
        return withOthers(delete);
    }

    private Statement withOthers(Statement.Delete delete) {
        List<TableRef> tables = new ArrayList<>();
        List<Expr> conditions = new ArrayList<>();
        ChangeAdapter.flatten(delete.table(), tables, conditions);
        delete.using().forEach(u -> ChangeAdapter.flatten(u, tables, conditions));
        delete.where().ifPresent(conditions::add);
        TableRef target = delete.targets().isEmpty()
                ? tables.get(0)
                : named(delete.targets().get(0), tables);
        tables.remove(target);
        if (tables.isEmpty()) {
            return plainDelete(new Statement.Delete(
                    delete.with(),
                    List.of(),
                    target,
                    List.of(),
                    OldForms.and(conditions),
                    delete.order(),
                    delete.limit(),
                    delete.returning(),
                    delete.span()));
        }
        boolean twice = ChangeAdapter.isAmong(tables, target) && adapter.to.has(SqlFeature.CHANGED_TABLE_IS_NOT_READ);
        if (twice && has(SqlFeature.DELETE_JOIN)) {
            return joined(delete, target, tables, OldForms.and(conditions));
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, delete.span(), "a DELETE that reads other tables, with EXISTS");
        QueryBody.Select select =
                QueryBody.Select.of(List.of(Item.of(Expr.Literal.number(1))), tables, OldForms.and(conditions));
        Expr exists = new Expr.Exists(Query.of(select), delete.span());
        return plainDelete(new Statement.Delete(
                delete.with(),
                List.of(),
                target,
                List.of(),
                Optional.of(exists),
                delete.order(),
                delete.limit(),
                delete.returning(),
                delete.span()));
    }

    /** A deletion from one of several joined tables, for a target that lets no query below read the changed one. */
    private Statement joined(Statement.Delete delete, TableRef target, List<TableRef> others, Optional<Expr> where) {
        if (!delete.order().isEmpty() || delete.limit().isPresent()) {
            throw new Untranslatable("a DELETE of the first rows of a table that is read under another name, too");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, delete.span(), "the other tables joined to the changed one");
        TableRef tree = target;
        for (TableRef other : others) {
            tree = new TableRef.Join(TableRef.Join.Kind.CROSS, tree, other, Optional.empty(), List.of(), delete.span());
        }
        return plainDelete(new Statement.Delete(
                delete.with(),
                List.of(new QualifiedName(List.of(ChangeAdapter.alias(target)))),
                tree,
                List.of(),
                where,
                List.of(),
                Optional.empty(),
                delete.returning(),
                delete.span()));
    }

    private Statement withOuterJoin(Statement.Delete delete) {
        if (has(SqlFeature.DELETE_JOIN)) {
            return plainDelete(delete);
        }
        TableRef changed = named(delete.targets().get(0), delete.table().leaves());
        return plainDelete(new OuterJoinChanges(adapter).byKey(delete, delete.table(), changed));
    }

    private static TableRef named(QualifiedName name, List<TableRef> tables) {
        return tables.stream()
                .filter(t ->
                        t instanceof TableRef.Table && ChangeAdapter.alias(t).matches(name.last()))
                .findFirst()
                .orElseThrow(() -> new Untranslatable("a DELETE from " + name + ", which is not among its tables"));
    }

    private Statement plainDelete(Statement.Delete given) {
        Statement.Delete delete = adapter.same() ? given : UnnamedTargets.of(given, adapter);
        changes.enter(delete.table());
        delete.using().forEach(changes::enter);
        TableRef table = adapter.table(delete.table());
        List<QualifiedName> targets = delete.targets();
        boolean alias = table instanceof TableRef.Table t && t.alias().isPresent();
        boolean whole = delete.order().isEmpty() && delete.limit().isEmpty();
        if (alias && !adapter.same() && has(SqlFeature.DELETE_JOIN) && whole && targets.isEmpty()) {
            targets = List.of(new QualifiedName(List.of(ChangeAdapter.alias(table))));
        }
        return new Statement.Delete(
                changes.with(delete.with()),
                targets,
                table,
                delete.using().stream().map(adapter::table).toList(),
                adapter.optionalCondition(delete.where()),
                adapter.order(delete.order()),
                delete.limit().map(adapter::expr),
                changes.items(delete.returning()),
                delete.span());
    }
}
