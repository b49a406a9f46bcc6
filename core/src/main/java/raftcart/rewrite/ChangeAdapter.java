package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/** Adapts UPDATE, DELETE and MERGE: above all, how other tables come into them. */
final class ChangeAdapter {
    private final QueryAdapter adapter;

    ChangeAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    List<Query.CommonTable> with(List<Query.CommonTable> tables) {
        List<Query.CommonTable> adapted = new ArrayList<>();
        for (Query.CommonTable table : tables) {
            adapter.scope.addCommonTable(table, adapter.finder);
            adapted.add(
                    new Query.CommonTable(table.name(), table.columns(), adapter.query(table.query()), table.hint()));
        }
        return adapted;
    }

    void enter(TableRef table) {
        adapter.finder.addTable(table, adapter.scope);
    }

    /** The old values of an UPDATE, which RETURNING does not give. */
    void refuseOld(List<Item> items) {
        boolean old = !adapter.same()
                && items.stream()
                        .anyMatch(i -> i.value() instanceof Expr.Column c
                                        && c.name().parts().size() == 2
                                        && c.name().parts().get(0).key().matches("deleted|old")
                                || i.value() instanceof Expr.Star s
                                        && s.table()
                                                .filter(t -> t.key().matches("deleted|old"))
                                                .isPresent());
        if (old) {
            throw new Untranslatable("the old values of the rows that an UPDATE changes");
        }
    }

    List<Item> items(List<Item> items) {
        return items.stream()
                .map(i -> new Item(adapter.expr(unqualified(i.value())), i.alias()))
                .toList();
    }

    /** INSERTED.c and DELETED.c name the row that was changed. */
    private Expr unqualified(Expr e) {
        if (e instanceof Expr.Column c
                && c.name().parts().size() == 2
                && c.name().parts().get(0).key().matches("inserted|deleted|old|new")) {
            return new Expr.Column(new QualifiedName(List.of(c.name().last())), false, c.span());
        }
        if (e instanceof Expr.Star s
                && s.table().isPresent()
                && s.table().get().key().matches("inserted|deleted")) {
            return new Expr.Star(Optional.empty(), List.of(), s.span());
        }
        return e;
    }

    List<Assignment> assignments(
            List<Assignment> assignments,
            Optional<KnownTable> table,
            boolean keepQualifier,
            AssignmentOrder order,
            boolean joined) {
        RowSequences.refuse(assignments.stream().map(Assignment::value).toList(), adapter);
        List<Assignment> adapted = new ArrayList<>();
        for (Assignment a : order.arranged(single(assignments), table, joined)) {
            List<Expr> columns = a.columns().stream()
                    .map(c -> keepQualifier ? c : bare((Expr.Column) c))
                    .toList();
            adapted.add(new Assignment(columns, value(a.value(), columns, table)));
        }
        return adapted;
    }

    /** One assignment for each column; those of a query's columns only where the target cannot say them together. */
    private List<Assignment> single(List<Assignment> assignments) {
        if (adapter.same()) {
            return assignments;
        }
        boolean together = has(SqlFeature.ROW_ASSIGNMENT) && has(SqlFeature.ROW_VALUES);
        List<Assignment> all = new ArrayList<>();
        for (Assignment a : assignments) {
            List<Expr> values = a.columns().size() == 1 ? List.of() : values(a.value(), !together);
            if (values.size() != a.columns().size()) {
                all.add(a);
                continue;
            }
            for (int i = 0; i < values.size(); i++) {
                all.add(new Assignment(List.of(a.columns().get(i)), values.get(i)));
            }
        }
        return all;
    }

    private List<Expr> values(Expr value, boolean ofQueries) {
        if (value instanceof Expr.Row row) {
            return row.items();
        }
        boolean apart = ofQueries
                && value instanceof Expr.Subquery q
                && q.query().body() instanceof QueryBody.Select s
                && s.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
        if (!apart) {
            return List.of();
        }
        Query query = ((Expr.Subquery) value).query();
        QueryBody.Select select = (QueryBody.Select) query.body();
        adapter.note(FindingCode.SYNTAX_ADAPTED, value.span(), "a query for each of the columns that it gives");
        return select.items().stream()
                .<Expr>map(i -> new Expr.Subquery(query.withBody(select.withItems(List.of(i))), value.span()))
                .toList();
    }

    /** The table of an UPDATE, as its assignments call it where several are joined. */
    private static Name owner(Statement.Update update, TableRef target) {
        List<Name> parts = ((Expr.Column) update.assignments().get(0).columns().get(0))
                .name()
                .parts();
        return target instanceof Join ? parts.get(Math.max(0, parts.size() - 2)) : alias(target);
    }

    private static Expr bare(Expr.Column column) {
        return new Expr.Column(new QualifiedName(List.of(column.name().last())), false, column.span());
    }

    private Expr value(Expr value, List<Expr> columns, Optional<KnownTable> table) {
        ValueAdapter values = new ValueAdapter(adapter);
        List<Name> names =
                columns.stream().map(c -> ((Expr.Column) c).name().last()).toList();
        if (columns.size() > 1 && value instanceof Expr.Subquery rows) {
            Query fitted = values.fitted(rows.query(), ValueAdapter.types(names, table));
            return adapter.expr(new Expr.Subquery(fitted, rows.span()));
        }
        return values.forColumn(value, ValueAdapter.known(names, table).get(0));
    }

    /** Oracle's ROWNUM below a number, as the limit that it is. */
    private static Statement.Update counted(Statement.Update update) {
        OldForms.Counted counted = OldForms.counted(update.where());
        return counted.limit().isEmpty()
                ? update
                : new Statement.Update(
                        update.with(),
                        update.target(),
                        update.assignments(),
                        update.from(),
                        counted.where(),
                        update.order(),
                        counted.limit(),
                        update.returning(),
                        update.span());
    }

    private Statement.Update limited(Statement.Update given) {
        Statement.Update update = adapter.lost(SqlFeature.ROW_NUMBERS) ? counted(given) : given;
        if (!update.from().isEmpty() || !needsAddresses(update.limit(), update.target())) {
            return update;
        }
        return new Statement.Update(
                update.with(),
                update.target(),
                update.assignments(),
                List.of(),
                Optional.of(byAddress(update.target(), update.where(), update.order(), update.limit())),
                List.of(),
                Optional.empty(),
                update.returning(),
                update.span());
    }

    boolean needsAddresses(Optional<Expr> limit, TableRef table) {
        boolean needed = limit.isPresent() && !adapter.same() && table instanceof TableRef.Table;
        return needed
                && !has(SqlFeature.CHANGE_LIMIT)
                && RowKeys.address(adapter.to).isPresent();
    }

    Expr byAddress(TableRef table, Optional<Expr> where, List<OrderItem> order, Optional<Expr> limit) {
        Span span = limit.orElseThrow().span();
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "the limit of a change as a query for the rows' addresses");
        Expr address = Expr.Column.of(RowKeys.address(adapter.to).orElseThrow().text());
        Query rows = Query.of(QueryBody.Select.of(List.of(Item.of(address)), List.of(table), where))
                .withOrder(order)
                .withPaging(Optional.of(new Query.Paging(Optional.empty(), limit, false, false)));
        return new Expr.InList(address, List.of(new Expr.Subquery(rows, span)), false, span);
    }

    Statement update(Statement.Update given) {
        refuseOld(given.returning());
        Statement.Update update = limited(InlinedTables.in(
                new CommonTableChanges(adapter).update(ChangedQueries.tables(given, adapter)), adapter));
        if (adapter.same()) {
            return plainUpdate(update, update.target(), update.from(), update.where(), true);
        }
        if (adapter.from.has(SqlFeature.UPDATE_NAMES_JOINED)) {
            update = NamedTargets.byAlias(update);
        }
        Optional<TableRef> outer = OuterJoinChanges.tree(update);
        if (outer.isPresent()) {
            return withOuterJoin(update, outer.get());
        }
        TableRef target = update.target();
        List<TableRef> from = new ArrayList<>(update.from());
        List<Expr> conditions = new ArrayList<>();
        if (target instanceof Join) {
            List<TableRef> tables = new ArrayList<>();
            flatten(target, tables, conditions);
            TableRef changed = changed(update, tables);
            tables.remove(changed);
            target = changed;
            from.addAll(tables);
        }
        Optional<TableRef> aliased = namedInFrom(target, from, conditions);
        target = aliased.orElse(target);
        update.where().ifPresent(conditions::add);
        if (from.isEmpty()) {
            return plainUpdate(update, target, from, OldForms.and(conditions), false);
        }
        if (has(SqlFeature.UPDATE_FROM)) {
            return plainUpdate(update, target, from, OldForms.and(conditions), false);
        }
        if (has(SqlFeature.UPDATE_JOIN)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, update.span(), "the other tables joined to the changed one");
            TableRef joined = target;
            for (TableRef table : from) {
                joined = new Join(Join.Kind.CROSS, joined, table, Optional.empty(), List.of(), update.span());
            }
            return plainUpdate(qualified(update, target), joined, List.of(), OldForms.and(conditions), true);
        }
        return merge(MergedUpdates.of(update, target, from, conditions, adapter));
    }

    private Statement withOuterJoin(Statement.Update update, TableRef tree) {
        List<TableRef> tables = tree.leaves();
        TableRef changed = update.target() instanceof TableRef.Table t
                ? tables.stream()
                        .filter(l -> l instanceof TableRef.Table
                                && alias(l).matches(t.name().last()))
                        .findFirst()
                        .orElseThrow()
                : changed(update, tables);
        if (has(SqlFeature.UPDATE_JOIN)) {
            return plainUpdate(qualified(update, changed), tree, List.of(), update.where(), true);
        }
        if (has(SqlFeature.UPDATE_NAMES_JOINED)) {
            TableRef named = TableRef.Table.of(new QualifiedName(List.of(alias(changed))));
            return plainUpdate(update, named, List.of(tree), update.where(), false);
        }
        new AssignmentOrder(adapter, alias(changed)).uncertain(update.assignments());
        return update(new OuterJoinChanges(adapter).byKey(update, tree, changed));
    }

    /** Assignments that name their table, where several are joined. */
    private static Statement.Update qualified(Statement.Update update, TableRef target) {
        Name table = alias(target);
        List<Assignment> assignments = update.assignments().stream()
                .map(a -> new Assignment(
                        a.columns().stream()
                                .<Expr>map(c -> new Expr.Column(
                                        new QualifiedName(List.of(
                                                table, ((Expr.Column) c).name().last())),
                                        false,
                                        c.span()))
                                .toList(),
                        a.value()))
                .toList();
        return new Statement.Update(
                update.with(),
                update.target(),
                assignments,
                update.from(),
                update.where(),
                update.order(),
                update.limit(),
                update.returning(),
                update.span());
    }

    static Name alias(TableRef table) {
        if (table instanceof TableRef.Table named) {
            return named.alias().map(TableRef.Alias::name).orElse(named.name().last());
        }
        Optional<TableRef.Alias> alias = table instanceof TableRef.Derived d
                ? d.alias()
                : table instanceof TableRef.Function f ? f.alias() : Optional.empty();
        return alias.map(TableRef.Alias::name)
                .orElseThrow(() -> new Untranslatable("something in FROM that has no name"));
    }

    /** True where the changed table is read under another name, too. */
    static boolean isAmong(List<TableRef> from, TableRef target) {
        return target instanceof TableRef.Table changed
                && from.stream()
                        .flatMap(f -> f.leaves().stream())
                        .anyMatch(t -> t instanceof TableRef.Table other
                                && other.name().last().matches(changed.name().last()));
    }

    private Statement plainUpdate(
            Statement.Update update,
            TableRef target,
            List<TableRef> from,
            Optional<Expr> where,
            boolean keepQualifier) {
        enter(target);
        from.forEach(this::enter);
        Optional<KnownTable> known = target.leaves().stream()
                .filter(t -> t instanceof TableRef.Table && alias(t).matches(owner(update, target)))
                .findFirst()
                .flatMap(t -> adapter.knowledge.table(((TableRef.Table) t).name()));
        TableRef written = adapter.table(target);
        List<TableRef> tables =
                new ArrayList<>(from.stream().map(adapter::table).toList());
        boolean alias = written instanceof TableRef.Table t && t.alias().isPresent();
        if (!alias && has(SqlFeature.UPDATE_NAMES_JOINED) && isAmong(from, target)) {
            tables.add(0, written); // or the changed table would be taken for the other
        }
        if (alias && !has(SqlFeature.UPDATE_ALIAS)) {
            tables.add(0, written);
            written = TableRef.Table.of(new QualifiedName(List.of(alias(written))));
        }
        return new Statement.Update(
                with(update.with()),
                written,
                assignments(
                        update.assignments(),
                        known,
                        keepQualifier,
                        new AssignmentOrder(adapter, owner(update, target)),
                        target instanceof Join || !from.isEmpty()),
                tables,
                adapter.optionalCondition(where),
                adapter.order(update.order()),
                update.limit().map(adapter::expr),
                items(update.returning()),
                update.span());
    }

    /** The tables of inner joins, and their conditions. */
    static void flatten(TableRef table, List<TableRef> tables, List<Expr> conditions) {
        if (!(table instanceof Join join)) {
            tables.add(table);
            return;
        }
        if ((join.kind() != Join.Kind.INNER && join.kind() != Join.Kind.CROSS)
                || !join.using().isEmpty()) {
            throw new Untranslatable("a change with an outer join or USING");
        }
        flatten(join.left(), tables, conditions);
        flatten(join.right(), tables, conditions);
        join.on().ifPresent(conditions::add);
    }

    /** The table whose columns an UPDATE over several tables changes. */
    private TableRef changed(Statement.Update update, List<TableRef> tables) {
        Expr.Column first = (Expr.Column) update.assignments().get(0).columns().get(0);
        if (first.name().parts().size() == 1) {
            for (TableRef table : tables) {
                boolean owns = table instanceof TableRef.Table t
                        && adapter.knowledge
                                .table(t.name())
                                .filter(k -> k.columns()
                                        .containsKey(first.name().last().key()))
                                .isPresent();
                if (owns) {
                    return table;
                }
            }
            adapter.note(FindingCode.TYPES_UNKNOWN, update.span(), "the first table is taken for the changed one");
            return tables.get(0);
        }
        Name wanted = first.name().parts().get(first.name().parts().size() - 2);
        boolean several = update.assignments().stream()
                .flatMap(a -> a.columns().stream())
                .map(c -> ((Expr.Column) c).name())
                .anyMatch(n -> n.parts().size() > 1
                        && !n.parts().get(n.parts().size() - 2).matches(wanted));
        if (several) {
            throw new Untranslatable("an UPDATE that changes several tables");
        }
        return tables.stream()
                .filter(t -> t instanceof TableRef.Table && alias(t).matches(wanted))
                .findFirst()
                .orElseThrow(
                        () -> new Untranslatable("an UPDATE of " + wanted.text() + ", which is not among its tables"));
    }

    /** UPDATE a ... FROM t AS a: the target is a table of FROM under its alias. */
    private static Optional<TableRef> namedInFrom(TableRef target, List<TableRef> from, List<Expr> conditions) {
        if (from.isEmpty()
                || !(target instanceof TableRef.Table named)
                || named.alias().isPresent()) {
            return Optional.empty();
        }
        List<TableRef> tables = new ArrayList<>();
        List<Expr> joins = new ArrayList<>();
        boolean outer = from.stream().anyMatch(OuterJoinChanges::isOuter);
        if (outer) {
            return Optional.empty();
        }
        from.forEach(f -> flatten(f, tables, joins));
        Optional<TableRef> found = tables.stream()
                .filter(t -> t instanceof TableRef.Table
                        && alias(t).matches(named.name().last()))
                .findFirst();
        if (found.isPresent()) {
            tables.remove(found.get());
            from.clear();
            from.addAll(tables);
            conditions.addAll(joins);
        }
        return found;
    }

    Statement merge(Statement.Merge given) {
        Statement.Merge merge = InlinedTables.in(given, adapter);
        enter(merge.target());
        enter(merge.source());
        Optional<KnownTable> known =
                merge.target() instanceof TableRef.Table t ? adapter.knowledge.table(t.name()) : Optional.empty();
        List<Statement.MergeAction> actions = new ArrayList<>();
        for (Statement.MergeAction a : adapter.same() || has(SqlFeature.MERGE_DO_NOTHING)
                ? merge.actions()
                : MergeNothings.without(merge.actions())) {
            actions.add(new Statement.MergeAction(
                    a.matched(),
                    a.bySource(),
                    adapter.optionalCondition(a.condition()),
                    a.kind(),
                    assignments(
                            a.assignments(), known, false, new AssignmentOrder(adapter, alias(merge.target())), true),
                    a.columns(),
                    new ValueAdapter(adapter).row(a.values(), ValueAdapter.known(a.columns(), known)),
                    adapter.optionalCondition(a.deleteWhere())));
        }
        if (!adapter.same() && has(SqlFeature.MERGE_CONDITIONS)) {
            actions = MergeDeletes.asBranches(actions, merge.target());
        }
        Statement.Merge adapted = new Statement.Merge(
                with(merge.with()),
                adapter.table(merge.target()),
                adapter.table(MergeAdapter.oneRow(merge.source(), adapter)),
                adapter.condition(merge.on()),
                actions,
                items(merge.returning()),
                merge.span());
        return has(SqlFeature.MERGE) || adapter.same()
                ? adapted
                : new MergeAdapter(adapter, new UpsertAdapter(adapter)).insert(adapted);
    }
}
