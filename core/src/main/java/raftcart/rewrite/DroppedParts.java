package raftcart.rewrite;

import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.AlterAction.DropConstraint;
import raftcart.sql.tree.DdlStatement.AlterTable;
import raftcart.sql.tree.Name;

/**
 * What is meant by dropping a constraint: the default or the NOT NULL of a column, or the primary key, which some
 * engines call by its name alone and others by anything but a name.
 */
final class DroppedParts {
    private static final String PRIMARY_KEY = "PRIMARY KEY";

    /** The length up to which PostgreSQL names a key after its table without cutting it. */
    private static final int UNCUT = 58;

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
        Optional<KnownDefinitions.PrimaryKey> key = definitions.primaryKey(alter.name());
        boolean primary = drop.kind().equals(PRIMARY_KEY)
                || drop.name()
                        .filter(n -> key.flatMap(k -> name(k, adapter.from))
                                .filter(n::matches)
                                .isPresent())
                        .isPresent();
        return primary
                ? new DropConstraint(
                        PRIMARY_KEY, key.flatMap(k -> name(k, adapter.to)), drop.ifExists(), drop.cascade())
                : action;
    }

    /** Its name, which an engine may make of that of the table. */
    private static Optional<Name> name(KnownDefinitions.PrimaryKey key, Language language) {
        boolean made = language.has(SqlFeature.KEYS_ARE_NAMED_AFTER_TABLES)
                && key.table().text().length() <= UNCUT;
        return key.name()
                .or(() -> made
                        ? Optional.of(new Name(
                                key.table().text() + "_pkey", key.table().exact()))
                        : Optional.empty());
    }
}
