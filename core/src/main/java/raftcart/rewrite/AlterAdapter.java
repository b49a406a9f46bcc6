package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TableRef;

/** Adapts ALTER TABLE. */
final class AlterAdapter {
    private final QueryAdapter adapter;
    private final StructureAdapter structure;

    AlterAdapter(QueryAdapter adapter, StructureAdapter structure) {
        this.adapter = adapter;
        this.structure = structure;
    }

    List<Statement> alter(DdlStatement.AlterTable alter) {
        TableAdapter tables = new TableAdapter(adapter);
        adapter.scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(TableRef.Table.of(alter.name()), adapter.scope);
        List<AlterAction> actions = new ArrayList<>();
        List<Statement> after = new ArrayList<>();
        for (AlterAction action : alter.actions()) {
            remember(action, alter, tables);
            if (adapter.same()) {
                actions.add(action);
            } else if (action instanceof AlterAction.Physical physical) {
                adapter.note(FindingCode.PHYSICAL_CLAUSES, alter.span(), physical.text());
            } else {
                adapted(action, alter, tables, actions, after);
            }
        }
        if (actions.isEmpty()) {
            return after;
        }
        boolean ifExists = alter.ifExists() && (adapter.same() || structure.canSayIf(SqlFeature.IF_EXISTS, alter));
        List<Statement> all = new ArrayList<>();
        all.add(new DdlStatement.AlterTable(alter.name(), ifExists, actions, alter.span()));
        all.addAll(after);
        return all;
    }

    private void remember(AlterAction action, DdlStatement.AlterTable alter, TableAdapter tables) {
        if (action instanceof AlterAction.AddColumn add) {
            adapter.knowledge.addColumn(alter.name(), tables.known(add.column()));
        }
        if (action instanceof AlterAction.AddConstraint add) {
            boolean primary = add.constraint().kind() == ConstraintKind.PRIMARY_KEY;
            if (primary || add.constraint().kind() == ConstraintKind.UNIQUE) {
                adapter.knowledge.addKey(
                        alter.name(), TableAdapter.names(add.constraint().parts()), primary);
            }
        }
    }

    private void adapted(
            AlterAction action,
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
                List.of(),
                alter.span());
        if (action instanceof AlterAction.AddColumn add) {
            List<TableConstraint> more = new ArrayList<>();
            actions.add(new AlterAction.AddColumn(
                    tables.column(add.column(), none, more),
                    add.ifNotExists() && structure.canSayIf(SqlFeature.IF_NOT_EXISTS, alter)));
            more.forEach(c -> actions.add(new AlterAction.AddConstraint(c)));
        } else if (action instanceof AlterAction.AddConstraint add
                && add.constraint().kind() == ConstraintKind.INDEX) {
            TableConstraint c = add.constraint();
            after.addAll(structure.index(new DdlStatement.CreateIndex(
                    c.name().map(n -> new raftcart.sql.tree.QualifiedName(List.of(n))),
                    false,
                    "",
                    false,
                    alter.name(),
                    c.parts(),
                    List.of(),
                    Optional.empty(),
                    "",
                    List.of(),
                    c.span())));
        } else if (action instanceof AlterAction.AddConstraint add) {
            tables.constraint(add.constraint()).ifPresent(c -> actions.add(new AlterAction.AddConstraint(c)));
        } else {
            actions.add(column(action, alter, none, tables));
        }
    }

    private ColumnDefinition changed(ColumnDefinition definition, DdlStatement.CreateTable none, TableAdapter tables) {
        return tables.column(definition, none, new ArrayList<>());
    }

    private AlterAction column(
            AlterAction action, DdlStatement.AlterTable alter, DdlStatement.CreateTable none, TableAdapter tables) {
        if (action instanceof AlterAction.ChangeColumn change) {
            return new AlterAction.ChangeColumn(change.column(), changed(change.definition(), none, tables));
        }
        if (action instanceof AlterAction.SetType set) {
            ColumnDefinition column = new ColumnDefinition(
                    set.column(),
                    Optional.of(set.type()),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    alter.span());
            return new AlterAction.SetType(
                    set.column(),
                    tables.column(column, none, new ArrayList<>()).type().orElseThrow(),
                    set.using().map(adapter::expr));
        }
        if (action instanceof AlterAction.SetDefault set) {
            return new AlterAction.SetDefault(set.column(), set.value().map(adapter::expr));
        }
        return action;
    }
}
