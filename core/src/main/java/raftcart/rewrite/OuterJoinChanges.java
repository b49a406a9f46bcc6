package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/**
 * Changes of a table that is joined to others by an outer join, for targets whose changes name one table: a query over
 * the join gives the keys, or the addresses, of the rows and their new values.
 */
final class OuterJoinChanges {
    private static final Name CHANGED = Name.of("changed_");

    private final ExprAdapter adapter;

    OuterJoinChanges(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** True for a join one of whose parts is an outer join, or merges columns. */
    static boolean isOuter(TableRef table) {
        return table instanceof Join join
                && (!join.using().isEmpty()
                        || (join.kind() != Join.Kind.INNER && join.kind() != Join.Kind.CROSS)
                        || isOuter(join.left())
                        || isOuter(join.right()));
    }

    /** The joined tables of an UPDATE, its target among them, if there is an outer join among them. */
    static Optional<TableRef> tree(Statement.Update update) {
        if (update.target() instanceof Join) {
            return Optional.of(update.target()).filter(OuterJoinChanges::isOuter);
        }
        boolean named = update.from().size() == 1
                && update.target() instanceof TableRef.Table t
                && t.alias().isEmpty()
                && isOuter(update.from().get(0))
                && update.from().get(0).leaves().stream()
                        .anyMatch(l -> l instanceof TableRef.Table
                                && ChangeAdapter.alias(l).matches(t.name().last()));
        return named ? Optional.of(update.from().get(0)) : Optional.empty();
    }

    /** The UPDATE by the keys of the rows. */
    Statement.Update byKey(Statement.Update update, TableRef tree, TableRef changed) {
        List<Name> keys = keys(changed);
        Name name = ChangeAdapter.alias(changed);
        adapter.note(FindingCode.SYNTAX_ADAPTED, update.span(), "a change with an outer join by the keys of the rows");
        boolean apart = keys.size() == 1 && update.assignments().stream().allMatch(a -> isOf(a.value(), name));
        if (apart) {
            return with(update, changed, update.assignments(), List.of(), within(tree, update.where(), name, keys));
        }
        List<Item> items = new ArrayList<>();
        List<Expr> conditions = new ArrayList<>();
        for (Name key : keys) {
            Name given = Name.of("row_key_" + (items.size() + 1) + "_");
            items.add(new Item(column(name, key), Optional.of(given)));
            conditions.add(
                    new Expr.Binary(BinaryOperator.EQUAL, column(name, key), column(CHANGED, given), update.span()));
        }
        List<Assignment> assignments = new ArrayList<>();
        for (Assignment a : update.assignments()) {
            if (a.columns().size() > 1) {
                throw new Untranslatable("a change of several columns at once with an outer join");
            }
            Name given = Name.of("value_" + (assignments.size() + 1) + "_");
            items.add(new Item(a.value(), Optional.of(given)));
            assignments.add(new Assignment(a.columns(), column(CHANGED, given)));
        }
        TableRef rows = new TableRef.Derived(
                Query.of(Select.of(items, List.of(tree), update.where())),
                false,
                Optional.of(TableRef.Alias.of(CHANGED.text())),
                update.span());
        return with(update, changed, assignments, List.of(rows), OldForms.and(conditions));
    }

    private static Statement.Update with(
            Statement.Update update,
            TableRef target,
            List<Assignment> assignments,
            List<TableRef> from,
            Optional<Expr> where) {
        if (update.limit().isPresent()) {
            throw new Untranslatable("a change with an outer join and a limit");
        }
        return new Statement.Update(
                update.with(),
                target,
                assignments,
                from,
                where,
                List.of(),
                Optional.empty(),
                update.returning(),
                update.span());
    }

    /** The DELETE by the key of the rows. */
    Statement.Delete byKey(Statement.Delete delete, TableRef tree, TableRef changed) {
        List<Name> keys = keys(changed);
        if (keys.size() > 1 && !adapter.to.has(SqlFeature.ROW_VALUES)
                || delete.limit().isPresent()) {
            throw new Untranslatable("a DELETE with an outer join by a key of several columns, or with a limit");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, delete.span(), "a change with an outer join by the keys of the rows");
        return new Statement.Delete(
                delete.with(),
                List.of(),
                changed,
                List.of(),
                within(tree, delete.where(), ChangeAdapter.alias(changed), keys),
                List.of(),
                Optional.empty(),
                delete.returning(),
                delete.span());
    }

    private List<Name> keys(TableRef changed) {
        List<Name> keys = changed instanceof TableRef.Table table ? RowKeys.of(adapter, table) : List.of();
        if (keys.isEmpty()) {
            throw new Untranslatable("a change with an outer join of a table whose key is not known");
        }
        return keys;
    }

    private static Optional<Expr> within(TableRef tree, Optional<Expr> where, Name table, List<Name> keys) {
        List<Expr> columns = keys.stream().map(k -> column(table, k)).toList();
        Query rows = Query.of(Select.of(columns.stream().map(Item::of).toList(), List.of(tree), where));
        Expr row = columns.size() == 1 ? columns.get(0) : new Expr.Row(columns, Span.NONE);
        return Optional.of(new Expr.InList(row, List.of(new Expr.Subquery(rows, Span.NONE)), false, Span.NONE));
    }

    private static Expr column(Name table, Name column) {
        return new Expr.Column(new QualifiedName(List.of(table, column)), false, Span.NONE);
    }

    /** True for a value that reads nothing but columns of this table. */
    private static boolean isOf(Expr value, Name table) {
        return !ExprSearch.any(value, e -> {
            boolean own = e instanceof Expr.Column c
                    && c.name().parts().size() > 1
                    && c.name().parts().get(c.name().parts().size() - 2).matches(table);
            return e instanceof Expr.Subquery || e instanceof Expr.Column && !own;
        });
    }
}
