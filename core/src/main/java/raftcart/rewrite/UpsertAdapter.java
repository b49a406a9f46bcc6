package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Statement.Upsert;
import raftcart.sql.tree.TableParts;
import raftcart.sql.tree.TableRef;

/** Brings the ways of inserting rows that may be there already into each other. */
final class UpsertAdapter {
    private static final String NEW_ROWS = "new_rows_";

    private final QueryAdapter adapter;

    UpsertAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    /** The INSERT in a form that the target has; its source and values are adapted already. */
    Statement adapt(Insert insert) {
        Optional<KnownTable> table = adapter.knowledge.table(insert.table());
        if (insert.upsert().isEmpty() && insert.mode() == Insert.Mode.INSERT) {
            return insert;
        }
        boolean several = table.filter(t -> t.keys().size() > 1).isPresent();
        boolean unnamed =
                insert.upsert().isEmpty() || insert.upsert().get().target().isEmpty();
        if (several && unnamed && insert.mode() != Insert.Mode.REPLACE && nullsDiffer()) {
            adapter.note(
                    FindingCode.UPSERT_DIFFERS,
                    insert.span(),
                    "one engine takes two NULLs of one statement for the same key, the other does not");
        }
        if (insert.mode() == Insert.Mode.IGNORE && has(SqlFeature.INSERT_IGNORE) != has(SqlFeature.INSERT_OR)) {
            return insert;
        }
        boolean replaces = insert.mode() == Insert.Mode.REPLACE && replaces(insert, table);
        if (replaces && !(several && has(SqlFeature.NULLS_CONFLICT))) {
            return insert;
        }
        Upsert upsert = insert.upsert().orElseGet(() -> fromMode(insert, table));
        if (has(SqlFeature.ON_CONFLICT)) {
            return withUpsert(apart(insert), forConflict(upsert, insert, table));
        }
        if (has(SqlFeature.ON_DUPLICATE_KEY)) {
            return forDuplicate(insert, upsert);
        }
        return merge(insert, forConflict(upsert, insert, table));
    }

    /** True where the target has words of its own for REPLACE, which do the same with the columns that are not named. */
    private boolean replaces(Insert insert, Optional<KnownTable> table) {
        boolean words = has(SqlFeature.REPLACE) || has(SqlFeature.INSERT_OR);
        boolean alike = keeps() == has(SqlFeature.OR_REPLACE_KEEPS_COLUMNS);
        boolean all = insert.columns().isEmpty()
                || table.isPresent() && unnamed(insert, table).isEmpty();
        if (words && !alike && !all && table.isEmpty()) {
            throw new Untranslatable(
                    "REPLACE of a table that is not known, whose further columns one engine leaves as they"
                            + " are; translate its CREATE TABLE in the same run");
        }
        return words && (alike || all);
    }

    /** True where REPLACE on the source leaves the columns that are not named as they were. */
    private boolean keeps() {
        return adapter.from.has(SqlFeature.OR_REPLACE_KEEPS_COLUMNS);
    }

    private boolean nullsDiffer() {
        return adapter.from.has(SqlFeature.NULLS_CONFLICT) != has(SqlFeature.NULLS_CONFLICT);
    }

    /** A query and ON CONFLICT need a WHERE between them, lest ON is taken for that of a join. */
    private Insert apart(Insert insert) {
        boolean open = insert.source().isPresent()
                && insert.source().get().body() instanceof QueryBody.Select s
                && s.where().isEmpty()
                && s.groupBy().isEmpty()
                && insert.source().get().order().isEmpty();
        if (!open || !has(SqlFeature.INSERT_OR)) {
            return insert;
        }
        Query source = insert.source().get();
        Expr one = Expr.Literal.number(1);
        Expr always = new Expr.Binary(BinaryOperator.EQUAL, one, one, insert.span());
        return new Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                insert.alias(),
                insert.columns(),
                Optional.of(source.withBody(((QueryBody.Select) source.body()).withWhere(Optional.of(always)))),
                insert.overriding(),
                insert.upsert(),
                insert.returning(),
                insert.span());
    }

    private static Insert withUpsert(Insert insert, Upsert upsert) {
        return new Insert(
                insert.with(),
                Insert.Mode.INSERT,
                insert.table(),
                insert.alias(),
                insert.columns(),
                insert.source(),
                insert.overriding(),
                Optional.of(upsert),
                insert.returning(),
                insert.span());
    }

    /** REPLACE gives all columns their new values, IGNORE none. */
    private Upsert fromMode(Insert insert, Optional<KnownTable> table) {
        if (insert.mode() == Insert.Mode.IGNORE) {
            adapter.note(FindingCode.UPSERT_DIFFERS, insert.span(), "IGNORE also passes over other errors");
            return new Upsert(List.of(), Optional.empty(), List.of(), Optional.empty(), true);
        }
        sayDeletes(insert);
        List<Name> columns = columns(insert, table);
        List<Name> key = key(insert, table);
        List<Assignment> assignments = new ArrayList<>();
        for (Name column : columns) {
            if (key.stream().noneMatch(k -> k.matches(column))) {
                assignments.add(new Assignment(List.of(column(column)), Expr.Call.of("new_value", column(column))));
            }
        }
        for (Name column : keeps() ? List.<Name>of() : unnamed(insert, table)) {
            boolean set = key.stream().noneMatch(k -> k.matches(column));
            if (set && !adapter.knowledge.isComputed(insert.table(), column)) {
                assignments.add(new Assignment(List.of(column(column)), new Expr.Default(insert.span())));
            }
        }
        return new Upsert(List.of(), Optional.empty(), assignments, Optional.empty(), true);
    }

    /** REPLACE is more than what the upsert does: what hangs on the deletion of a row happens too. */
    private void sayDeletes(Insert insert) {
        if (keeps()) {
            return; // which updates the row
        }
        adapter.note(
                FindingCode.UPSERT_DIFFERS,
                insert.span(),
                "REPLACE deletes the old row first: rows that refer to it go or keep it, triggers of DELETE run, and columns"
                        + " that are not named get their defaults");
    }

    /** The columns of the table that the INSERT leaves to their defaults. */
    private static List<Name> unnamed(Insert insert, Optional<KnownTable> table) {
        return insert.columns().isEmpty()
                ? List.of()
                : table.stream()
                        .flatMap(t -> t.columns().values().stream())
                        .map(Knowledge.KnownColumn::name)
                        .filter(c -> insert.columns().stream().noneMatch(c::matches))
                        .toList();
    }

    private static List<Name> columns(Insert insert, Optional<KnownTable> table) {
        if (!insert.columns().isEmpty()) {
            return insert.columns();
        }
        return table.map(t -> t.columns().values().stream()
                        .map(Knowledge.KnownColumn::name)
                        .toList())
                .orElseThrow(
                        () -> new Untranslatable("an upsert without a list of columns, of a table that is not known"));
    }

    private List<Name> key(Insert insert, Optional<KnownTable> table) {
        List<List<Name>> keys = table.map(KnownTable::keys).orElse(List.of());
        if (keys.isEmpty()) {
            throw new Untranslatable("an upsert of " + insert.table()
                    + ", whose keys are not known; translate its CREATE TABLE in the same run");
        }
        // A key that the rows do not bring, and that has no default, is numbered or NULL, and meets no other.
        List<Name> columns = columns(insert, table);
        List<List<Name>> brought = keys.stream()
                .filter(k -> k.stream()
                        .allMatch(n -> columns.stream().anyMatch(n::matches) || hasDefault(insert.table(), n)))
                .toList();
        List<Name> key = brought.isEmpty() ? keys.get(0) : brought.get(0);
        if (keys.size() > 1 && brought.size() != 1) {
            adapter.note(
                    FindingCode.UPSERT_DIFFERS,
                    insert.span(),
                    "the source looks at all keys of the table, the target at "
                            + key.stream().map(Name::text).collect(Collectors.joining(", ", "(", ")")));
        }
        return key;
    }

    private boolean hasDefault(QualifiedName table, Name column) {
        return adapter.knowledge
                .definitions()
                .of(table, column)
                .flatMap(TableParts.ColumnDefinition::defaultValue)
                .filter(d -> !(d instanceof Expr.Literal l && l.kind() == LiteralKind.NULL))
                .isPresent();
    }

    static Expr column(Name name) {
        return new Expr.Column(new QualifiedName(List.of(name)), false, raftcart.sql.Span.NONE);
    }

    /** An upsert with the columns by which a row is found. */
    private Upsert forConflict(Upsert upsert, Insert insert, Optional<KnownTable> table) {
        boolean named = !upsert.target().isEmpty() || upsert.constraint().isPresent();
        boolean nothing = upsert.assignments().isEmpty() && has(SqlFeature.ON_CONFLICT);
        List<Expr> target = named || nothing
                ? upsert.target()
                : key(insert, table).stream().map(UpsertAdapter::column).toList();
        if (target.isEmpty() && upsert.constraint().isPresent() && !has(SqlFeature.ON_CONFLICT)) {
            target = key(insert, table).stream().map(UpsertAdapter::column).toList();
        }
        boolean constraint = upsert.constraint().isPresent() && has(SqlFeature.INSERT_OR);
        if (constraint) {
            throw new Untranslatable("ON CONFLICT ON CONSTRAINT");
        }
        List<Assignment> assignments = upsert.assignments().stream()
                .map(a -> a.withValue(qualified(a.value(), alias(insert))))
                .toList();
        return new Upsert(
                target, upsert.constraint(), assignments, upsert.where().map(w -> qualified(w, alias(insert))), false);
    }

    private static Name alias(Insert insert) {
        return insert.alias().map(TableRef.Alias::name).orElse(insert.table().last());
    }

    /** Columns without a table are those of the row that is there. */
    private static Expr qualified(Expr value, Name table) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean apart =
                        e instanceof Expr.Subquery || e instanceof Expr.Exists; // where its own tables come first
                if (apart || e instanceof Expr.Call call && call.is("new_value")) {
                    return e;
                }
                return e instanceof Expr.Column c && c.name().parts().size() == 1
                        ? new Expr.Column(
                                new QualifiedName(List.of(table, c.name().last())), false, c.span())
                        : super.expr(e);
            }
        }.expr(value);
    }

    Statement forDuplicate(Insert insert, Upsert conditional) {
        Upsert upsert = conditional.where().isPresent() ? chosen(conditional, alias(insert)) : conditional;
        if (!upsert.anyKey()) {
            adapter.note(FindingCode.UPSERT_DIFFERS, insert.span(), "the target looks at all keys of the table");
        }
        if (upsert.assignments().isEmpty()) {
            return new Insert(
                    insert.with(),
                    Insert.Mode.IGNORE,
                    insert.table(),
                    insert.alias(),
                    insert.columns(),
                    insert.source(),
                    insert.overriding(),
                    Optional.empty(),
                    insert.returning(),
                    insert.span());
        }
        return withUpsert(insert, upsert);
    }

    /** The condition of an upsert as a choice between the new value and the old one. */
    private Upsert chosen(Upsert upsert, Name table) {
        Expr condition = upsert.where().orElseThrow();
        if (upsert.assignments().size() != 1
                || upsert.assignments().get(0).columns().size() != 1) {
            throw new Untranslatable("an upsert of several columns with a condition");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, condition.span(), "the condition of an upsert as a choice of values");
        Assignment assignment = upsert.assignments().get(0);
        Expr choice = Expr.Case.of(
                condition, assignment.value(), qualified(assignment.columns().get(0), table));
        return new Upsert(
                upsert.target(),
                upsert.constraint(),
                List.of(assignment.withValue(choice)),
                Optional.empty(),
                upsert.anyKey());
    }

    private Statement merge(Insert insert, Upsert upsert) {
        if (!has(SqlFeature.MERGE)) {
            throw new Untranslatable("an upsert");
        }
        if (upsert.target().isEmpty() || !insert.returning().isEmpty()) {
            throw new Untranslatable("an upsert of this form");
        }
        Optional<KnownTable> table = adapter.knowledge.table(insert.table());
        List<Name> columns = columns(insert, table);
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "an upsert as MERGE");
        Name target = alias(insert);
        TableRef rows = rows(insert, columns);
        List<Expr> on = new ArrayList<>();
        for (Expr key : upsert.target()) {
            if (!(key instanceof Expr.Column column)) {
                throw new Untranslatable("an upsert by a key on an expression");
            }
            Name name = column.name().last();
            if (columns.stream().noneMatch(name::matches)) {
                throw new Untranslatable("an upsert whose rows do not bring its key");
            }
            on.add(new Expr.Binary(BinaryOperator.EQUAL, of(target, name), of(Name.of(NEW_ROWS), name), insert.span()));
        }
        List<MergeAction> actions = new ArrayList<>();
        if (!upsert.assignments().isEmpty()) {
            actions.add(new MergeAction(
                    true,
                    false,
                    upsert.where().map(this::newRow),
                    MergeAction.Kind.UPDATE,
                    upsert.assignments().stream()
                            .map(a -> a.withValue(newRow(a.value())))
                            .toList(),
                    List.of(),
                    List.of(),
                    Optional.empty()));
        }
        List<Expr> values = columns.stream().map(c -> of(Name.of(NEW_ROWS), c)).toList();
        actions.add(new MergeAction(
                false, false, Optional.empty(), MergeAction.Kind.INSERT, List.of(), columns, values, Optional.empty()));
        TableRef into = new TableRef.Table(insert.table(), insert.alias(), Optional.empty(), false, insert.span());
        return new Statement.Merge(
                insert.with(), into, rows, OldForms.and(on).orElseThrow(), actions, List.of(), insert.span());
    }

    private static Expr of(Name table, Name column) {
        return new Expr.Column(new QualifiedName(List.of(table, column)), false, raftcart.sql.Span.NONE);
    }

    private Expr newRow(Expr value) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Call call && call.is("new_value")
                        ? of(
                                Name.of(NEW_ROWS),
                                ((Expr.Column) call.arguments().get(0)).name().last())
                        : super.expr(e);
            }
        }.expr(value);
    }

    /** The new rows as a query whose columns have names. */
    private TableRef rows(Insert insert, List<Name> columns) {
        Query source = insert.source().orElseThrow(() -> new Untranslatable("an upsert of a row of defaults"));
        QueryBody body = source.body();
        if (body instanceof QueryBody.Values values) {
            if (values.rows().stream().flatMap(List::stream).anyMatch(Expr.Default.class::isInstance)) {
                throw new Untranslatable("an upsert with DEFAULT among its values");
            }
            if (values.rows().stream().anyMatch(r -> r.size() != columns.size())) {
                throw new Untranslatable("an upsert with more or fewer values than columns");
            }
            QueryBody all = null;
            for (List<Expr> row : values.rows()) {
                List<QueryBody.Item> items = new ArrayList<>();
                for (int i = 0; i < row.size(); i++) {
                    items.add(new QueryBody.Item(row.get(i), Optional.of(columns.get(i))));
                }
                QueryBody select = QueryBody.Select.of(items, List.of(), Optional.empty());
                all = all == null
                        ? select
                        : new QueryBody.SetOperation(
                                QueryBody.SetOperation.Kind.UNION, true, all, select, insert.span());
            }
            body = all;
        } else if (body instanceof QueryBody.Select select
                && select.items().size() == columns.size()
                && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)) {
            List<QueryBody.Item> items = new ArrayList<>();
            for (int i = 0; i < columns.size(); i++) {
                items.add(new QueryBody.Item(select.items().get(i).value(), Optional.of(columns.get(i))));
            }
            body = select.withItems(items);
        } else if (!adapter.to.has(SqlFeature.DERIVED_COLUMN_NAMES)) {
            throw new Untranslatable("an upsert of a query whose columns have other names");
        }
        TableRef.Alias alias =
                new TableRef.Alias(Name.of(NEW_ROWS), body == source.body() ? columns : List.of(), List.of());
        return new TableRef.Derived(source.withBody(body), false, Optional.of(alias), insert.span());
    }
}
