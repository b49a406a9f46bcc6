package raftcart.rewrite;

import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.AlterAction.DropConstraint;
import raftcart.sql.tree.DdlStatement.AlterTable;

/**
 * What is meant by dropping a constraint: the default or the NOT NULL of a column, or the primary key, which some
 * engines call by its name alone and others by anything but a name.
 */
final class DroppedParts {
    private static final String PRIMARY_KEY = "PRIMARY KEY";

    private final QueryAdapter adapter;

    DroppedParts(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    AlterAction meant(AlterAction action, AlterTable alter) {
        if (!(action instanceof DropConstraint drop)) {
            return action;
        }
        KnownDefinitions definitions = adapter.knowledge.definitions();
        Optional<AlterAction> option = drop.name().flatMap(n -> definitions.without(alter.name(), n));
        if (option.isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_ADAPTED,
                    alter.span(),
                    drop.name().get().text() + " is the name of a column's option");
            return option.get();
        }
        boolean primary = drop.kind().equals(PRIMARY_KEY)
                || drop.name()
                        .filter(n -> definitions.isPrimaryKey(alter.name(), n, adapter.from))
                        .isPresent();
        return primary
                ? new DropConstraint(
                        PRIMARY_KEY,
                        definitions.nameOfPrimaryKey(alter.name(), adapter.to),
                        drop.ifExists(),
                        drop.cascade())
                : action;
    }
}
