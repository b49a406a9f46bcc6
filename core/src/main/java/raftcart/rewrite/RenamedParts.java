package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.AlterAction.RenamePart;
import raftcart.sql.tree.DdlStatement.AlterTable;
import raftcart.sql.tree.DdlStatement.RenameObject;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** Other names for indexes and constraints, which one engine calls by themselves and another as parts of their table. */
final class RenamedParts {
    private final QueryAdapter adapter;

    RenamedParts(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The change of the table that it is a part of, or of the table itself; empty where no statement made such a thing. */
    Optional<AlterTable> change(RenameObject rename) {
        Knowledge knowledge = adapter.knowledge;
        Name from = rename.from().last();
        boolean perhapsTable = rename.kind() == RenameObject.Kind.TABLE_OR_CONSTRAINT;
        if (perhapsTable && knowledge.table(rename.from()).isPresent()) {
            return Optional.of(change(rename, rename.from(), table(rename)));
        }
        Optional<QualifiedName> owner = knowledge
                .index(from)
                .map(Knowledge.KnownIndex::table)
                .or(() -> knowledge.definitions().ownerOf(from, adapter.from));
        if (owner.isPresent() || !perhapsTable) {
            boolean index = rename.kind() == RenameObject.Kind.INDEX;
            return owner.map(t -> change(rename, t, new RenamePart(index, from, rename.to())));
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                rename.span(),
                from.text() + " is taken for a table; no statement before makes a table or a key of the name");
        return Optional.of(change(rename, rename.from(), table(rename)));
    }

    private static AlterAction table(RenameObject rename) {
        return new AlterAction.RenameTable(new QualifiedName(List.of(rename.to())));
    }

    private static AlterTable change(RenameObject rename, QualifiedName table, AlterAction action) {
        return new AlterTable(table, false, List.of(action), rename.span());
    }

    /** The part by the name that the target has for it; empty where it has none. */
    Optional<AlterAction> meant(RenamePart rename, AlterTable alter) {
        KnownDefinitions definitions = adapter.knowledge.definitions();
        if (definitions.isPrimaryKey(alter.name(), rename.from(), adapter.from)) {
            return primaryKey(rename, alter);
        }
        Optional<Knowledge.KnownIndex> known = adapter.knowledge.index(rename.from(), alter.name());
        known.ifPresent(adapter.knowledge::removeIndex);
        known.map(i -> new Knowledge.KnownIndex(
                        i.name().withLast(rename.to()), i.table(), i.written().withLast(rename.to()), i.key()))
                .ifPresent(adapter.knowledge::addIndex);
        boolean index = known.map(i -> !i.key() || adapter.to.has(SqlFeature.ALTER_DROPS_INDEXES))
                .orElse(rename.index());
        if (known.isEmpty() && rename.index() && adapter.from.has(SqlFeature.ALTER_DROPS_INDEXES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    alter.span(),
                    rename.from().text() + " is taken for an index, not for a key");
        }
        Name from = known.map(i -> i.written().last()).orElse(rename.from());
        return Optional.of(new RenamePart(index, from, rename.to()));
    }

    private Optional<AlterAction> primaryKey(RenamePart rename, AlterTable alter) {
        KnownDefinitions definitions = adapter.knowledge.definitions();
        Optional<Name> from = definitions.nameOfPrimaryKey(alter.name(), adapter.to);
        definitions.renamePrimaryKey(alter.name(), rename.to());
        if (adapter.to.has(SqlFeature.PRIMARY_KEYS_HAVE_NO_NAMES)) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    alter.span(),
                    rename.from().text() + " is a primary key, which has no name of its own here");
            return Optional.empty();
        }
        Name own = from.orElseThrow(() -> new Untranslatable("another name for a key that the engine named itself"));
        return Optional.of(new RenamePart(false, own, rename.to()));
    }
}
