package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Statement.Upsert;
import raftcart.sql.tree.TableRef;

/** Says a MERGE that updates or inserts as an upsert. */
final class MergeAdapter {
    private final QueryAdapter adapter;
    private final UpsertAdapter upserts;

    MergeAdapter(QueryAdapter adapter, UpsertAdapter upserts) {
        this.adapter = adapter;
        this.upserts = upserts;
    }

    /** A MERGE that updates or inserts, for targets that have only upserts; its parts are adapted already. */
    Statement insert(Statement.Merge merge) {
        Optional<MergeAction> update =
                merge.actions().stream().filter(MergeAction::matched).findFirst();
        Optional<MergeAction> insert =
                merge.actions().stream().filter(a -> !a.matched()).findFirst();
        refuseOdd(merge, insert);
        TableRef.Table target = (TableRef.Table) merge.target();
        Name source = sourceAlias(merge.source());
        List<Expr> keys = keys(merge.on(), ChangeAdapter.alias(target));
        List<Name> inserted = insert.get().columns();
        boolean found = keys.stream().allMatch(k -> inserted.stream()
                .anyMatch(c -> c.matches(((Expr.Column) k).name().last())));
        if (!found) {
            throw new Untranslatable("a MERGE that does not insert the columns by which rows match");
        }
        List<Assignment> assignments = update.map(MergeAction::assignments).orElse(List.of()).stream()
                .map(a -> a.withValue(newValue(a.value(), source, insert.get())))
                .toList();
        adapter.note(
                FindingCode.UPSERT_DIFFERS,
                merge.span(),
                "MERGE as an upsert; there must be a unique key on the columns by which rows match");
        List<QueryBody.Item> items =
                insert.get().values().stream().map(QueryBody.Item::of).toList();
        Query rows = Query.of(QueryBody.Select.of(items, List.of(merge.source()), always()));
        Upsert upsert = new Upsert(keys, Optional.empty(), assignments, Optional.empty(), false);
        Insert as = new Insert(
                merge.with(),
                Insert.Mode.INSERT,
                target.name(),
                target.alias(),
                insert.get().columns(),
                Optional.of(rows),
                "",
                Optional.of(upsert),
                merge.returning(),
                merge.span());
        if (adapter.to.has(SqlFeature.ON_CONFLICT)) {
            return as;
        }
        return upserts.forDuplicate(target.alias().isEmpty() ? as : unnamed(as, target), unnamed(upsert, target));
    }

    /** The same with the name of the table where its alias stood, which the target does not take. */
    private static Insert unnamed(Insert insert, TableRef.Table target) {
        return new Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                Optional.empty(),
                insert.columns(),
                insert.source(),
                insert.overriding(),
                insert.upsert().map(u -> unnamed(u, target)),
                insert.returning(),
                insert.span());
    }

    private static Upsert unnamed(Upsert upsert, TableRef.Table target) {
        Name alias = ChangeAdapter.alias(target);
        QueryMapper named = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean own = e instanceof Expr.Column c
                        && c.name().parts().size() == 2
                        && c.name().parts().get(0).matches(alias);
                return own
                        ? new Expr.Column(
                                target.name().with(((Expr.Column) e).name().last()), false, e.span())
                        : super.expr(e);
            }
        };
        return new Upsert(
                upsert.target(),
                upsert.constraint(),
                upsert.assignments().stream()
                        .map(a -> a.withValue(named.expr(a.value())))
                        .toList(),
                upsert.where(),
                upsert.anyKey());
    }

    /** A query and ON CONFLICT need a WHERE between them, lest ON is taken for that of a join. */
    private Optional<Expr> always() {
        Expr one = Expr.Literal.number(1);
        return adapter.to.has(SqlFeature.INSERT_OR)
                ? Optional.of(new Expr.Binary(BinaryOperator.EQUAL, one, one, raftcart.sql.Span.NONE))
                : Optional.empty();
    }

    private static Name sourceAlias(TableRef source) {
        if (source instanceof TableRef.Table) {
            return ChangeAdapter.alias(source);
        }
        if (source instanceof TableRef.Derived d && d.alias().isPresent()) {
            return d.alias().get().name();
        }
        throw new Untranslatable("a MERGE with this source");
    }

    private static List<Expr> keys(Expr on, Name target) {
        List<Expr> keys = new ArrayList<>();
        for (Expr part : OldForms.conjuncts(on)) {
            boolean equal = part instanceof Expr.Binary b && b.operator() == BinaryOperator.EQUAL;
            Optional<Expr> key = equal
                    ? side(((Expr.Binary) part).left(), target).or(() -> side(((Expr.Binary) part).right(), target))
                    : Optional.empty();
            keys.add(key.orElseThrow(() -> new Untranslatable("a MERGE whose rows match by other than equal columns")));
        }
        return keys;
    }

    private static Optional<Expr> side(Expr e, Name target) {
        return e instanceof Expr.Column c
                        && c.name().parts().size() > 1
                        && c.name().parts().get(c.name().parts().size() - 2).matches(target)
                ? Optional.of(UpsertAdapter.column(c.name().last()))
                : Optional.empty();
    }

    /** A column of the source as the value that could not be inserted. */
    private static Expr newValue(Expr value, Name source, MergeAction insert) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                int index = e instanceof Expr.Literal ? -1 : insert.values().indexOf(e);
                boolean ofSource = e instanceof Expr.Column c
                        && c.name().parts().size() > 1
                        && c.name().parts().get(c.name().parts().size() - 2).matches(source);
                if (!ofSource && index < 0) {
                    return super.expr(e);
                }
                if (index < 0) {
                    throw new Untranslatable("a MERGE that updates with a value that it does not insert");
                }
                return Expr.Call.of(
                                "new_value",
                                UpsertAdapter.column(insert.columns().get(index)))
                        .at(e.span());
            }
        }.expr(value);
    }

    private static void refuseOdd(Statement.Merge merge, Optional<MergeAction> insert) {
        boolean simple = insert.isPresent()
                && merge.actions().size() <= 2
                && merge.actions().stream()
                        .noneMatch(a -> a.condition().isPresent()
                                || a.bySource()
                                || a.kind() == MergeAction.Kind.DELETE
                                || a.deleteWhere().isPresent())
                && merge.target() instanceof TableRef.Table;
        if (!simple || insert.get().columns().isEmpty()) {
            throw new Untranslatable("a MERGE of this form");
        }
    }

    /** The engine's own table of one row, by which MERGE changes or adds a row of constants, as a query. */
    static TableRef oneRow(TableRef source, QueryAdapter adapter) {
        boolean dummy = source instanceof TableRef.Table t
                && t.name().key().equalsIgnoreCase(adapter.from.dummyTable())
                && !adapter.same();
        if (!dummy) {
            return source;
        }
        QueryBody.Item one = new QueryBody.Item(Expr.Literal.number(1), Optional.of(Name.of("one_")));
        Query row = Query.of(QueryBody.Select.of(List.of(one), List.of(), Optional.empty()));
        Optional<TableRef.Alias> alias = ((TableRef.Table) source).alias();
        return new TableRef.Derived(
                row, false, Optional.of(alias.orElse(TableRef.Alias.of("one_row_"))), source.span());
    }
}
