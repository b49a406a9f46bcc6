package raftcart.scripts;

import java.util.List;
import java.util.Map;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.Name;

/** Foreign keys whose other side is known only when all tables are. */
final class ForeignKeys {
    private ForeignKeys() {}

    /** The key with the new name of the table to which it leads. */
    static ForeignKey leading(ForeignKey key, ObjectName old, ObjectName now) {
        boolean meant = key.target().toString().equalsIgnoreCase(old.toString());
        return meant ? to(key, now, key.targetColumns()) : key;
    }

    private static ForeignKey to(ForeignKey key, ObjectName target, List<String> columns) {
        return new ForeignKey(
                key.name(),
                key.columns(),
                target,
                columns,
                key.onDelete(),
                key.onUpdate(),
                key.deferrable(),
                key.initiallyDeferred());
    }

    /** The key with the table and columns that it means, by the names that they have there. */
    static ForeignKey complete(ForeignKey key, Map<ObjectName, TableDraft> tables) {
        TableDraft target = tables.get(key.target());
        if (target == null) {
            target = tables.values().stream()
                    .filter(t -> t.name.name().equalsIgnoreCase(key.target().name()))
                    .findFirst()
                    .orElse(null);
        }
        if (target == null) {
            return key;
        }
        TableDraft found = target;
        List<String> columns = key.targetColumns().isEmpty()
                ? found.primaryKey.map(Key::columns).orElse(List.of())
                : key.targetColumns().stream()
                        .map(c -> found.columnName(new Name(c, true)))
                        .toList();
        return to(key, found.name, columns);
    }
}
