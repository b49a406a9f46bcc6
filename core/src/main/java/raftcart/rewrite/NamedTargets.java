package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/**
 * The table that a change with FROM names by its own name, where it stands there under an alias: to T-SQL it is the same
 * table ("UPDATE (Transact-SQL)", table_or_view_name), elsewhere another one, all of whose rows would be changed.
 */
final class NamedTargets {
    private NamedTargets() {}

    /** The same change of the alias. */
    static Statement.Update byAlias(Statement.Update update) {
        boolean plain = update.target() instanceof TableRef.Table t && t.alias().isEmpty();
        Optional<Name> alias =
                plain ? alias(((TableRef.Table) update.target()).name(), update.from()) : Optional.empty();
        return alias.map(a -> new Statement.Update(
                        update.with(),
                        TableRef.Table.of(new QualifiedName(List.of(a))),
                        update.assignments(),
                        update.from(),
                        update.where(),
                        update.order(),
                        update.limit(),
                        update.returning(),
                        update.span()))
                .orElse(update);
    }

    /** The same deletion from the alias. */
    static Statement.Delete byAlias(Statement.Delete delete) {
        Optional<Name> alias = delete.targets().size() == 1
                ? alias(delete.targets().get(0), List.of(delete.table()))
                : Optional.empty();
        return alias.map(a -> new Statement.Delete(
                        delete.with(),
                        List.of(new QualifiedName(List.of(a))),
                        delete.table(),
                        delete.using(),
                        delete.where(),
                        delete.order(),
                        delete.limit(),
                        delete.returning(),
                        delete.span()))
                .orElse(delete);
    }

    private static Optional<Name> alias(QualifiedName target, List<TableRef> from) {
        List<TableRef> tables = from.stream().flatMap(f -> f.leaves().stream()).toList();
        boolean named = tables.stream().anyMatch(t -> ChangeAdapter.alias(t).matches(target.last()));
        List<Name> aliases = named
                ? List.of()
                : tables.stream()
                        .filter(t -> t instanceof TableRef.Table other
                                && other.name().last().matches(target.last()))
                        .map(ChangeAdapter::alias)
                        .toList();
        if (aliases.size() > 1) {
            throw new Untranslatable("a change of " + target + ", which FROM reads more than once");
        }
        return aliases.stream().findFirst();
    }
}
