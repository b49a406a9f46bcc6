package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.NamedOption;

/**
 * Columns that change. Some engines take a change for the whole definition, so that what it does not say is gone
 * ("ALTER TABLE" of MariaDB and MySQL; of SQL Server for NOT NULL); elsewhere the rest stays.
 */
final class ColumnChanges {
    private final QueryAdapter adapter;

    ColumnChanges(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private Optional<ColumnDefinition> known(DdlStatement.AlterTable alter, Name column) {
        return adapter.knowledge.definitions().of(alter.name(), column);
    }

    /** The change with the rest of the definition, where one of the engines means it so. */
    List<AlterAction> whole(AlterAction action, DdlStatement.AlterTable alter) {
        if (action instanceof AlterAction.SetType set) {
            conversion(set, alter);
            return retyped(set, alter);
        }
        if (action instanceof AlterAction.SetNullable set) {
            return completed(
                    action,
                    alter,
                    set.column(),
                    known(alter, set.column()).map(d -> d.withNotNull(Optional.of(!set.nullable()))));
        }
        if (action instanceof AlterAction.ChangeColumn change) {
            return adapter.from.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE)
                    ? onSource(change, alter)
                    : completed(change, alter, change.column(), merged(change, alter));
        }
        return List.of(action);
    }

    /** Says where the values would become something else than what a cast makes of them. */
    private void conversion(AlterAction.SetType set, DdlStatement.AlterTable alter) {
        boolean converts = set.using().filter(u -> !isOfColumn(u, set.column())).isPresent();
        if (converts && !adapter.same() && !adapter.to.has(SqlFeature.TYPE_CHANGES_CONVERT)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    alter.span(),
                    "the values of " + set.column().text()
                            + " are converted by USING on the source, which is left out");
        }
    }

    private static boolean isOfColumn(Expr using, Name column) {
        Expr value = using instanceof Expr.Cast cast ? cast.value() : using;
        return value instanceof Expr.Column c && c.name().last().matches(column);
    }

    private List<AlterAction> retyped(AlterAction.SetType set, DdlStatement.AlterTable alter) {
        Optional<ColumnDefinition> typed = known(alter, set.column()).map(d -> d.withType(set.type()));
        boolean loosened = adapter.from.has(SqlFeature.COLUMNS_CHANGE_WITH_NOT_NULL)
                && typed.flatMap(ColumnDefinition::notNull).orElse(false)
                && !isKey(alter, set.column());
        if (!loosened) {
            return completed(set, alter, set.column(), typed);
        }
        return asksForMore()
                ? completed(set, alter, set.column(), typed.map(d -> d.withNotNull(Optional.empty())))
                : List.of(set, new AlterAction.SetNullable(set.column(), true));
    }

    private boolean asksForMore() {
        return adapter.to.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE)
                || adapter.to.has(SqlFeature.COLUMNS_CHANGE_WITH_NOT_NULL);
    }

    /** What a column is after a change that leaves alone what it does not say. */
    private Optional<ColumnDefinition> merged(AlterAction.ChangeColumn change, DdlStatement.AlterTable alter) {
        ColumnDefinition said = change.definition();
        return known(alter, change.column())
                .map(old -> new ColumnDefinition(
                        said.name(),
                        said.type().or(old::type),
                        said.notNull().or(old::notNull),
                        said.defaultValue().or(old::defaultValue),
                        said.generated().or(old::generated),
                        old.stored(),
                        said.identity().or(old::identity),
                        said.onUpdate().or(old::onUpdate),
                        said.collation().or(old::collation),
                        said.comment().or(old::comment),
                        said.constraints(),
                        Stream.concat(said.options().stream(), old.options().stream())
                                .toList(),
                        said.leftOut(),
                        said.span()));
    }

    private List<AlterAction> completed(
            AlterAction action, DdlStatement.AlterTable alter, Name column, Optional<ColumnDefinition> definition) {
        if (!asksForMore()) {
            return List.of(action);
        }
        boolean all = adapter.to.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE);
        if (definition.flatMap(ColumnDefinition::type).isEmpty()) {
            boolean said = action instanceof AlterAction.SetNullable
                    || adapter.from.has(SqlFeature.COLUMNS_CHANGE_WITH_NOT_NULL) && !all;
            if (!said) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        alter.span(),
                        column.text() + " loses NOT NULL" + (all ? ", its default and its comment" : "")
                                + " on the target, since it is not known whether it has " + (all ? "them" : "it"));
            }
            return List.of(action);
        }
        ColumnDefinition whole = definition.get();
        boolean simple = action instanceof AlterAction.ChangeColumn c
                && (c.definition().defaultValue().isPresent()
                        || c.definition().identity().isPresent()
                        || c.definition().generated().isPresent()
                        || !c.definition().constraints().isEmpty());
        if (!all && simple) {
            return List.of(action);
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, alter.span(), "the whole definition of " + column.text());
        return List.of(new AlterAction.ChangeColumn(
                column,
                all
                        ? action instanceof AlterAction.ChangeColumn ? whole : whole.alone()
                        : ColumnDefinition.of(whole.name(), whole.type().get(), whole.notNull(), alter.span())));
    }

    /** What is not said and is gone on the source is taken away in as many words. */
    private List<AlterAction> onSource(AlterAction.ChangeColumn change, DdlStatement.AlterTable alter) {
        Optional<ColumnDefinition> known = known(alter, change.column());
        ColumnDefinition definition = change.definition();
        boolean same = adapter.to.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE);
        if (same || known.isEmpty() || definition.type().isEmpty()) {
            return List.of(change);
        }
        boolean silent = definition.notNull().isEmpty() && known.get().notNull().orElse(false);
        boolean key = isKey(alter, change.column());
        boolean emptied = definition.defaultValue().isEmpty()
                && known.get().defaultValue().isPresent();
        AlterAction changed = silent && (!key || asksForMore())
                ? new AlterAction.ChangeColumn(change.column(), definition.withNotNull(Optional.of(key)))
                : change;
        return emptied
                ? List.of(changed, AlterAction.SetDefault.of(definition.name(), Optional.empty()))
                : List.of(changed);
    }

    private boolean isKey(DdlStatement.AlterTable alter, Name column) {
        return adapter.knowledge
                .table(alter.name())
                .filter(t -> !t.keys().isEmpty() && t.keys().get(0).stream().anyMatch(n -> n.matches(column)))
                .isPresent();
    }

    /** Remembers what a column is from now on. */
    void remember(AlterAction action, DdlStatement.AlterTable alter) {
        KnownDefinitions definitions = adapter.knowledge.definitions();
        if (action instanceof AlterAction.AddColumn add) {
            definitions.addNew(alter.name(), add.column());
        } else if (action instanceof AlterAction.ChangeColumn change) {
            ColumnDefinition now = adapter.from.has(SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE)
                    ? change.definition()
                    : merged(change, alter).orElse(change.definition());
            definitions.remove(alter.name(), change.column());
            definitions.add(alter.name(), now);
        } else if (action instanceof AlterAction.SetType set) {
            boolean loosened = adapter.from.has(SqlFeature.COLUMNS_CHANGE_WITH_NOT_NULL) && !isKey(alter, set.column());
            definitions.change(
                    alter.name(),
                    set.column(),
                    d -> loosened ? d.withType(set.type()).withNotNull(Optional.empty()) : d.withType(set.type()));
        } else if (action instanceof AlterAction.SetNullable set) {
            definitions.change(alter.name(), set.column(), d -> d.withNotNull(Optional.of(!set.nullable())));
        } else if (action instanceof AlterAction.SetDefault set) {
            definitions.change(alter.name(), set.column(), d -> {
                ColumnDefinition changed = d.withDefault(set.value());
                return set.constraint()
                        .map(n -> changed.with(new NamedOption(n, true)))
                        .orElse(changed);
            });
        } else if (action instanceof AlterAction.RenameColumn rename) {
            definitions.change(alter.name(), rename.from(), d -> d.named(rename.to()));
        } else if (action instanceof AlterAction.DropConstraint drop
                && drop.kind().equals("PRIMARY KEY")) {
            definitions.removePrimaryKey(alter.name());
        } else if (action instanceof AlterAction.AddConstraint add
                && definitions.remember(alter.name(), add.constraint())) {
            TableAdapter.names(add.constraint().parts())
                    .forEach(n -> definitions.change(alter.name(), n, d -> d.withNotNull(Optional.of(true))));
        }
    }
}
