package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TableRef;
import raftcart.type.LogicalType;

/** Adapts ALTER TABLE. */
final class AlterAdapter {
    private final QueryAdapter adapter;
    private final StructureAdapter structure;
    private final ColumnAdapter columns;
    private final ColumnChanges changes;
    private final TableShapes shapes;
    private final RetypedColumns retyped;

    AlterAdapter(QueryAdapter adapter, StructureAdapter structure) {
        this.adapter = adapter;
        this.structure = structure;
        this.columns = new ColumnAdapter(adapter);
        this.changes = new ColumnChanges(adapter);
        this.shapes = new TableShapes(adapter);
        this.retyped = new RetypedColumns(adapter);
    }

    List<Statement> alter(DdlStatement.AlterTable alter) {
        TableAdapter tables = new TableAdapter(adapter);
        DroppedParts drops = new DroppedParts(adapter);
        adapter.scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(TableRef.Table.of(alter.name()), adapter.scope);
        List<AlterAction> actions = new ArrayList<>();
        List<Statement> after = new ArrayList<>();
        List<Statement> before = new ArrayList<>();
        for (AlterAction said : alter.actions()) {
            AlterAction action = adapter.same() ? said : drops.meant(said, alter);
            ownIndex(action, alter).ifPresent(before::add);
            List<AlterAction> whole = adapter.same() ? List.of(action) : changes.whole(action, alter);
            whole.forEach(a -> retyped.before(a, alter.span()));
            remember(action, alter, tables);
            if (adapter.same()) {
                actions.add(action);
            } else if (action instanceof AlterAction.SetComment comment) {
                after.addAll(structure.adapt(
                        new DdlStatement.Comment("TABLE", alter.name(), Optional.of(comment.text()), alter.span())));
            } else if (action instanceof AlterAction.AttachPartition) {
                throw new Untranslatable("a table that becomes a partition of another");
            } else if (action instanceof AlterAction.PlaceColumn place) {
                shapes.placed(place, alter, actions);
            } else {
                whole.forEach(a -> adapted(a, alter, tables, actions, after));
            }
        }
        shapes.renamed(alter);
        return inOrder(alter, before, actions, after);
    }

    /** Indexes that go, the changes themselves, what follows from them, and another name at the very end. */
    private List<Statement> inOrder(
            DdlStatement.AlterTable alter, List<Statement> before, List<AlterAction> actions, List<Statement> after) {
        actions.removeIf(
                a -> a instanceof AlterAction.ChangeColumn c && c.definition().isIdle());
        if (actions.isEmpty()) {
            before.addAll(after);
            return before;
        }
        boolean ifExists =
                alter.ifExists() && (adapter.same() || structure.canSayIf(SqlFeature.ALTER_IF_EXISTS, alter));
        List<Statement> all = new ArrayList<>(before);
        List<AlterAction> last = actions.stream()
                .filter(a -> !after.isEmpty() && a instanceof AlterAction.RenameTable)
                .toList();
        actions.removeAll(last);
        if (!actions.isEmpty()) {
            all.add(new DdlStatement.AlterTable(alter.name(), ifExists, actions, alter.span()));
        }
        all.addAll(after);
        if (!last.isEmpty()) {
            all.add(new DdlStatement.AlterTable(alter.name(), ifExists, last, alter.span()));
        }
        return all;
    }

    /** An index that has the name of a key that is added: Oracle takes it for the key, elsewhere the names clash. */
    private Optional<Statement> ownIndex(AlterAction action, DdlStatement.AlterTable alter) {
        if (adapter.same()
                || !(action instanceof AlterAction.AddConstraint add)
                || add.constraint().name().isEmpty()
                || add.constraint().disabled()) {
            return Optional.empty();
        }
        Name name = add.constraint().name().get();
        Optional<Knowledge.KnownIndex> index =
                adapter.knowledge.index(name, alter.name()).filter(i -> !i.key());
        index.ifPresent(i -> {
            adapter.knowledge.removeIndex(i);
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED, alter.span(), "the key makes the index " + name.text() + " itself");
        });
        return index.map(i -> new DdlStatement.Drop(
                "INDEX", List.of(i.written()), false, false, Optional.of(alter.name()), alter.span()));
    }

    private void remember(AlterAction action, DdlStatement.AlterTable alter, TableAdapter tables) {
        changes.remember(action, alter);
        if (action instanceof AlterAction.AddColumn add) {
            adapter.knowledge.addColumn(alter.name(), tables.known(add.column(), Optional.empty()));
            tables.remember(add.column(), alter.name());
        }
        if (action instanceof AlterAction.ChangeColumn change) {
            adapter.knowledge.addColumn(alter.name(), tables.known(change.definition(), Optional.empty()));
            tables.remember(change.definition(), alter.name());
        }
        shapes.remember(action, alter);
        boolean retyped = action instanceof AlterAction.SetType || action instanceof AlterAction.SetNullable;
        if (retyped) {
            Name name = action instanceof AlterAction.SetType set
                    ? set.column()
                    : ((AlterAction.SetNullable) action).column();
            adapter.knowledge
                    .definitions()
                    .of(alter.name(), name)
                    .ifPresent(d -> adapter.knowledge.addColumn(alter.name(), tables.known(d, Optional.empty())));
        }
        if (action instanceof AlterAction.AddIdentity add) {
            adapter.knowledge.addNumbered(
                    alter.name(), add.column(), add.options().start().orElse(java.math.BigInteger.ONE));
        }
        if (action instanceof AlterAction.RestartIdentity restart) {
            adapter.knowledge
                    .numbered(alter.name())
                    .ifPresent(n -> adapter.knowledge.addNumbered(alter.name(), n.column(), restart.next()));
        }
        if (action instanceof AlterAction.AddConstraint add) {
            if (add.constraint().isKeyOfColumns()) {
                adapter.knowledge.addKey(
                        alter.name(),
                        TableAdapter.names(add.constraint().parts()),
                        add.constraint().kind() == ConstraintKind.PRIMARY_KEY);
            }
        }
    }

    /** What is dropped, without IF EXISTS where the target cannot say that. */
    private AlterAction certain(AlterAction action, DdlStatement.AlterTable alter) {
        if (action instanceof AlterAction.DropConstraint drop && drop.ifExists()) {
            boolean says = structure.canSayIf(SqlFeature.PARTS_IF_EXISTS, alter);
            return new AlterAction.DropConstraint(drop.kind(), drop.name(), says, drop.cascade());
        }
        if (action instanceof AlterAction.DropColumn drop && drop.ifExists()) {
            boolean says = structure.canSayIf(SqlFeature.PARTS_IF_EXISTS, alter);
            return new AlterAction.DropColumn(drop.column(), says, drop.cascade());
        }
        return action;
    }

    /** A column that is numbered from now on, as the whole column anew where the target wants that. */
    private AlterAction numbered(AlterAction action, DdlStatement.AlterTable alter) {
        boolean sequence = action instanceof AlterAction.SetDefault s
                && s.value()
                        .filter(v -> v instanceof Expr.SequenceValue n && n.next())
                        .isPresent();
        boolean counts = sequence && !has(SqlFeature.SEQUENCES) && has(SqlFeature.IDENTITY);
        if (!counts && !(action instanceof AlterAction.AddIdentity)) {
            return action;
        }
        AlterAction.AddIdentity add = action instanceof AlterAction.AddIdentity a
                ? a
                : new AlterAction.AddIdentity(((AlterAction.SetDefault) action).column(), IdentityOptions.DEFAULT);
        if (counts) {
            adapter.knowledge.addNumbered(alter.name(), add.column(), java.math.BigInteger.ONE);
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED, alter.span(), "numbers of a sequence as a column that is numbered");
        }
        Optional<Knowledge.KnownColumn> column = adapter.knowledge
                .table(alter.name())
                .map(t -> t.columns().get(add.column().text().toLowerCase(java.util.Locale.ROOT)));
        if (has(SqlFeature.ADD_IDENTITY)
                || column.isEmpty()
                || column.get().type().isEmpty()) {
            return add;
        }
        return new AlterAction.ChangeColumn(
                add.column(), ColumnAdapter.numbered(column.get(), add.options(), alter.span()));
    }

    private void adapted(
            AlterAction given,
            DdlStatement.AlterTable alter,
            TableAdapter tables,
            List<AlterAction> actions,
            List<Statement> after) {
        DdlStatement.CreateTable none = new DdlStatement.CreateTable(
                alter.name(),
                false,
                DdlStatement.CreateTable.Temporary.NO,
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                alter.span());
        AlterAction action = numbered(certain(given, alter), alter);
        if (action instanceof AlterAction.Physical physical) {
            ConstraintAdapter.sayLeftOut(physical.text(), "", alter.span(), adapter);
        } else if (action instanceof AlterAction.RenameTable rename) {
            actions.add(withinSchema(rename, alter));
        } else if (action instanceof AlterAction.RenamePart rename) {
            new RenamedParts(adapter).meant(rename, alter).ifPresent(actions::add);
        } else if (action instanceof AlterAction.AddColumn add) {
            addColumn(add, alter, none, actions, after);
        } else if (action instanceof AlterAction.AddConstraint add
                && new ConstraintIndexes(adapter).takes(add.constraint())) {
            after.addAll(new ConstraintIndexes(adapter).made(add.constraint(), alter.name()));
        } else if (action instanceof AlterAction.AddConstraint add) {
            new KeyTypes(adapter).retyped(add.constraint(), alter.name()).forEach(r -> changes.whole(r, alter)
                    .forEach(a -> adapted(a, alter, tables, actions, after)));
            notNull(add.constraint(), alter, actions);
            new ConstraintAdapter(adapter)
                    .constraint(new IndexNames(adapter).key(add.constraint(), alter.name()))
                    .ifPresent(c -> actions.add(new AlterAction.AddConstraint(c)));
        } else if (action instanceof AlterAction.DropConstraint drop
                && drop.kind().equals("INDEX")
                && !has(SqlFeature.ALTER_DROPS_INDEXES)) {
            dropIndex(drop, alter, actions, after);
        } else {
            if (action instanceof AlterAction.ChangeColumn change) {
                changes(change, alter, actions, after);
            }
            actions.add(column(action, alter, none, tables));
        }
    }

    /** NOT NULL for the columns of a primary key, where it does not come with the key. */
    private void notNull(TableConstraint key, DdlStatement.AlterTable alter, List<AlterAction> actions) {
        if (key.kind() != ConstraintKind.PRIMARY_KEY || !has(SqlFeature.KEYS_WANT_NOT_NULL)) {
            return;
        }
        for (Name name : TableAdapter.names(key.parts())) {
            Optional<Knowledge.KnownColumn> column = adapter.knowledge
                    .table(alter.name())
                    .map(t -> t.columns().get(name.text().toLowerCase(java.util.Locale.ROOT)));
            if (column.isPresent() && !column.get().notNull()) {
                boolean typed = has(SqlFeature.COMPUTED_WITHOUT_TYPE)
                        && column.get().type().isPresent();
                actions.add(
                        typed
                                ? new AlterAction.ChangeColumn(name, columns.notNull(column.get(), alter.span()))
                                : new AlterAction.SetNullable(name, false));
            }
        }
    }

    /** True for a column that is known to take NULL. */
    private boolean takesNull(Name column, DdlStatement.AlterTable alter) {
        return !adapter.same()
                && adapter.knowledge
                        .table(alter.name())
                        .map(t -> t.columns().get(column.text().toLowerCase(java.util.Locale.ROOT)))
                        .filter(c -> !c.notNull())
                        .isPresent();
    }

    /** What a changed column brings with it. */
    private void changes(
            AlterAction.ChangeColumn change,
            DdlStatement.AlterTable alter,
            List<AlterAction> actions,
            List<Statement> after) {
        comment(change.definition(), alter, after);
        change.definition()
                .identity()
                .flatMap(i -> new TableAdapter(adapter)
                        .keyOf(
                                change.column(),
                                alter.name(),
                                adapter.knowledge
                                        .table(alter.name())
                                        .map(Knowledge.KnownTable::keys)
                                        .orElse(List.of())))
                .ifPresent(c -> {
                    actions.add(new AlterAction.AddConstraint(c));
                    adapter.knowledge.addKey(alter.name(), List.of(change.column()), false);
                });
    }

    private void addColumn(
            AlterAction.AddColumn add,
            DdlStatement.AlterTable alter,
            DdlStatement.CreateTable none,
            List<AlterAction> actions,
            List<Statement> after) {
        List<TableConstraint> more = new ArrayList<>();
        ColumnDefinition column = columns.column(add.column(), none, more);
        Optional<Expr> filled = filled(add.column());
        if (filled.isPresent()) {
            column = column.withDefault(filled);
        }
        Optional<Expr> later =
                add.fills() || has(SqlFeature.DEFAULTS_WITH_VALUES) ? Optional.empty() : column.defaultValue();
        if (later.isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED, alter.span(), "the rows that are there stay NULL, as on the source");
            column = column.withDefault(Optional.empty());
        }
        boolean apart = column.notNull().orElse(false) && !has(SqlFeature.ADD_COLUMN_NOT_NULL);
        actions.add(new AlterAction.AddColumn(
                apart ? column.withNotNull(Optional.empty()) : column,
                add.ifNotExists() && structure.canSayIf(SqlFeature.PARTS_IF_NOT_EXISTS, alter),
                add.fills()));
        if (later.isPresent()) {
            actions.add(AlterAction.SetDefault.of(column.name(), later));
        }
        if (apart) {
            actions.add(new AlterAction.SetNullable(column.name(), false));
        }
        if (filled.isPresent() && !has(SqlFeature.DEFAULTS_ARE_CONSTRAINTS)) {
            actions.add(AlterAction.SetDefault.of(column.name(), Optional.empty()));
        }
        more.forEach(c -> actions.add(new AlterAction.AddConstraint(c)));
        comment(add.column(), alter, after);
    }

    /** What MySQL puts into the rows that are there for a column that is added without a default and refuses NULL. */
    private Optional<Expr> filled(ColumnDefinition column) {
        boolean fills = adapter.lost(SqlFeature.ADDED_COLUMNS_ARE_FILLED)
                && column.notNull().orElse(false)
                && column.defaultValue().isEmpty()
                && column.generated().isEmpty()
                && column.identity().isEmpty()
                && column.type().isPresent();
        if (!fills) {
            return Optional.empty();
        }
        ValueKind kind = KindFinder.kind(adapter.finder.type(column.type().get()));
        if (kind.isNumber() || kind == ValueKind.BOOLEAN) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, column.span(), "0 for the rows that are there, as on the source");
            return Optional.of(
                    kind == ValueKind.BOOLEAN && has(SqlFeature.BOOLEAN_CONSTANTS)
                            ? new Expr.Literal(LiteralKind.BOOLEAN, "false", column.span())
                            : Expr.Literal.number(0));
        }
        if (kind == ValueKind.TEXT && !has(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    column.span(),
                    "an empty text for the rows that are there, as on the source");
            return Optional.of(Expr.Literal.string(""));
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                column.span(),
                "a column that refuses NULL has no value for the rows that are there; give it a default");
        return Optional.empty();
    }

    private AlterAction withinSchema(AlterAction.RenameTable rename, DdlStatement.AlterTable alter) {
        List<Name> to = rename.to().parts();
        List<Name> from = alter.name().parts();
        boolean moves =
                to.size() > 1 && !(from.size() > 1 && to.get(to.size() - 2).matches(from.get(from.size() - 2)));
        if (moves) {
            throw new Untranslatable("a table that moves to another schema");
        }
        return rename;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    private void comment(ColumnDefinition column, DdlStatement.AlterTable alter, List<Statement> after) {
        if (column.comment().isPresent() && !has(SqlFeature.INLINE_COMMENTS) && has(SqlFeature.COMMENT_ON)) {
            after.add(new DdlStatement.Comment(
                    "COLUMN", alter.name().with(column.name()), column.comment(), alter.span()));
        }
    }

    /** MySQL drops an index and the index of a key by the same words. */
    private void dropIndex(
            AlterAction.DropConstraint drop,
            DdlStatement.AlterTable alter,
            List<AlterAction> actions,
            List<Statement> after) {
        Name name = drop.name().orElseThrow();
        Optional<Knowledge.KnownIndex> known = adapter.knowledge.index(name, alter.name());
        known.ifPresent(adapter.knowledge::removeIndex);
        boolean index = known.filter(i -> !i.key()).isPresent();
        boolean table = adapter.knowledge.table(alter.name()).isPresent();
        if (!index && !table) {
            adapter.note(FindingCode.SYNTAX_CHECK, alter.span(), name.text() + " is taken for an index, not for a key");
        }
        if (index || !table) {
            after.add(new DdlStatement.Drop(
                    "INDEX",
                    List.of(alter.name()
                            .withLast(known.map(i -> i.written().last()).orElse(name))),
                    drop.ifExists(),
                    false,
                    Optional.of(alter.name()),
                    alter.span()));
        } else {
            actions.add(new AlterAction.DropConstraint(
                    drop.kind(), known.map(i -> i.written().last()).or(drop::name), drop.ifExists(), drop.cascade()));
        }
    }

    private AlterAction restart(AlterAction.RestartIdentity restart, DdlStatement.AlterTable alter) {
        if (has(SqlFeature.KEYS_MOVE_COUNTERS) || !restart.column().text().isEmpty()) {
            return restart;
        }
        Name column = adapter.knowledge
                .numbered(alter.name())
                .map(Knowledge.Numbered::column)
                .orElseThrow(() -> new Untranslatable("the next number of a column that is not known"));
        return new AlterAction.RestartIdentity(column, restart.next());
    }

    private ColumnDefinition changed(ColumnDefinition definition, DdlStatement.CreateTable none, TableAdapter tables) {
        return columns.column(definition, none, new ArrayList<>());
    }

    private AlterAction column(
            AlterAction action, DdlStatement.AlterTable alter, DdlStatement.CreateTable none, TableAdapter tables) {
        if (action instanceof AlterAction.ChangeColumn change) {
            return new AlterAction.ChangeColumn(
                    change.column(), changed(change.definition(), none, tables), retyped.using(change.column()));
        }
        if (action instanceof AlterAction.SetType set) {
            ColumnDefinition column = ColumnDefinition.of(set.column(), set.type(), Optional.empty(), alter.span());
            return new AlterAction.SetType(
                    set.column(),
                    columns.column(column, none, new ArrayList<>()).type().orElseThrow(),
                    set.using().map(adapter::expr).or(() -> retyped.using(set.column())));
        }
        if (action instanceof AlterAction.RestartIdentity restart) {
            return restart(restart, alter);
        }
        if (action instanceof AlterAction.AddIdentity add) {
            IdentityOptions options = ColumnFactory.fromFirst(add.options(), add.column(), alter.span(), adapter);
            return new AlterAction.AddIdentity(
                    add.column(), StructureAdapter.cached(options.portable(), adapter, alter.span()));
        }
        if (action instanceof AlterAction.SetDefault set) {
            if (set.value().isEmpty() && has(SqlFeature.NULL_IS_A_DEFAULT) && takesNull(set.column(), alter)) {
                return AlterAction.SetDefault.of(set.column(), Optional.of(Expr.Literal.ofNull()));
            }
            boolean refused = !has(SqlFeature.EXPRESSION_DEFAULTS)
                    && set.value()
                            .filter(v -> v instanceof Expr.Call || v instanceof Expr.SequenceValue)
                            .isPresent();
            if (refused) {
                throw new Untranslatable("a default of this kind");
            }
            return withDefault(set, alter);
        }
        return action;
    }

    private AlterAction withDefault(AlterAction.SetDefault set, DdlStatement.AlterTable alter) {
        Optional<LogicalType> type = adapter.knowledge
                .table(alter.name())
                .map(t -> t.columns().get(set.column().text().toLowerCase(java.util.Locale.ROOT)))
                .flatMap(Knowledge.KnownColumn::type);
        return AlterAction.SetDefault.of(set.column(), set.value().map(v -> columns.value(v, type)));
    }
}
