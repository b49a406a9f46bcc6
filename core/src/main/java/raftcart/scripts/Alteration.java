package raftcart.scripts;

import java.math.BigInteger;
import java.util.Collection;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.Identity;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.NamedOption;

/** Applies ALTER TABLE. */
final class Alteration {
    private final CatalogBuilder builder;
    private final Definitions definitions;
    private final ObjectNames names;

    Alteration(CatalogBuilder builder, Definitions definitions, ObjectNames names) {
        this.builder = builder;
        this.definitions = definitions;
        this.names = names;
    }

    Optional<String> apply(DdlStatement.AlterTable alter) {
        if (builder.isPart(alter.name())) {
            return alter.actions().stream().allMatch(Alteration::isOfWhole)
                    ? Optional.empty()
                    : Optional.of("a change of one partition alone");
        }
        Optional<TableDraft> table = builder.table(alter.name());
        if (table.isEmpty()) {
            // Dumps say by ALTER TABLE whose sequences and views these are, too; scripts begin by dropping what was
            // there.
            boolean noTable = alter.actions().stream()
                    .allMatch(a -> a instanceof AlterAction.Physical || a instanceof AlterAction.DropConstraint);
            return alter.ifExists() || noTable ? Optional.empty() : Optional.of("there is no table " + alter.name());
        }
        for (AlterAction action : alter.actions()) {
            column(table.get(), action);
        }
        return Optional.empty();
    }

    /** What a dump says of each partition again, as it is said of the table. */
    private static boolean isOfWhole(AlterAction action) {
        boolean key = action instanceof AlterAction.AddConstraint add
                && (add.constraint().kind() == ConstraintKind.PRIMARY_KEY
                        || add.constraint().kind() == ConstraintKind.UNIQUE);
        return key || action instanceof AlterAction.SetDefault || action instanceof AlterAction.Physical;
    }

    private void column(TableDraft table, AlterAction action) {
        if (action instanceof AlterAction.AddColumn add) {
            boolean there =
                    add.ifNotExists() && table.column(add.column().name()).isPresent();
            if (!there) {
                definitions.add(table, add.column());
                fill(table, add.fills());
            }
        } else if (action instanceof AlterAction.PlaceColumn place) {
            table.place(place);
        } else if (action instanceof AlterAction.DropColumn drop) {
            table.removeColumn(drop.column());
        } else if (action instanceof AlterAction.ChangeColumn change) {
            definitions.change(table, change.column(), change.definition());
        } else if (action instanceof AlterAction.SetType set) {
            definitions.retype(table, set.column(), set.type());
        } else if (action instanceof AlterAction.SetDefault set) {
            table.change(set.column(), c -> Columns.withDefault(c, set.value().map(definitions::text)));
            set.constraint().ifPresent(n -> table.name(new NamedOption(n, true), set.column()));
        } else if (action instanceof AlterAction.SetNullable set) {
            table.change(set.column(), c -> Columns.nullable(c, set.nullable()));
        } else if (action instanceof AlterAction.AddIdentity add) {
            Identity identity = definitions.identity(add.options());
            table.change(add.column(), c -> Columns.numbered(c, identity));
        } else if (action instanceof AlterAction.RestartIdentity restart) {
            table.restart(restart.column(), restart.next());
        } else {
            whole(table, action);
        }
    }

    /** Remembers what the rows that are there hold in the column that was added last. */
    private void fill(TableDraft table, boolean withDefault) {
        int last = table.columns.size() - 1;
        Column column = table.columns.get(last);
        Optional<String> value = withDefault ? column.defaultValue() : Optional.empty();
        if (value.isEmpty() && !column.nullable()) {
            value = definitions.zero(column);
        }
        table.filledWith.put(table.ids.get(last), value);
    }

    private void whole(TableDraft table, AlterAction action) {
        if (action instanceof AlterAction.AddConstraint add) {
            builder.add(table, add.constraint());
        } else if (action instanceof AlterAction.DropConstraint drop) {
            drop(table, drop);
        } else if (action instanceof AlterAction.RenameColumn rename) {
            String old = table.columnName(rename.from());
            table.renameColumn(
                    rename.from(),
                    names.stored(rename.to()),
                    text -> definitions.renamed(text, rename.from(), rename.to()));
            builder.follow(table, old, names.stored(rename.to()));
        } else if (action instanceof AlterAction.RenamePart rename) {
            table.renamePart(rename.from().text(), names.stored(rename.to()));
        } else if (action instanceof AlterAction.RenameTable rename) {
            builder.rename(table, rename.to());
        } else if (action instanceof AlterAction.SetComment comment) {
            table.comment = comment.text();
        } else if (action instanceof AlterAction.AttachPartition part) {
            builder.addPartition(table, names.object(part.part()), part.bounds());
        } else if (action instanceof AlterAction.Physical physical) {
            table.physical.add(physical.text());
        }
    }

    private void drop(TableDraft table, AlterAction.DropConstraint drop) {
        if (drop.kind().equals("PRIMARY KEY")) {
            table.primaryKey = Optional.empty();
            return;
        }
        Optional<AlterAction> option = drop.name().flatMap(table::without);
        if (option.isPresent()) {
            column(table, option.get());
            return;
        }
        String name = drop.name().map(Name::text).orElse("");
        table.removeConstraint(name);
        if (drop.kind().equals("INDEX")) {
            table.indexes.removeIf(i -> i.name().equalsIgnoreCase(name));
        }
    }

    /** The sequence behind a numbered column, by the name that PostgreSQL gives it. */
    static void restartIdentity(Collection<TableDraft> tables, DdlStatement.CreateSequence sequence) {
        String name = sequence.name().last().text();
        Optional<BigInteger> next = sequence.restart().map(BigInteger::valueOf);
        for (TableDraft table : tables) {
            table.columns.stream()
                    .filter(c -> c.identity().isPresent()
                            && name.equalsIgnoreCase(table.name.name() + "_" + c.name() + "_seq"))
                    .findFirst()
                    .ifPresent(c -> next.ifPresent(n -> table.restart(new Name(c.name(), true), n)));
        }
    }
}
