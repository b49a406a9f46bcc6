package raftcart.scripts;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.Name;

/** Foreign keys whose other side is known only when all tables are. */
final class ForeignKeys {
    private ForeignKeys() {}

    /** The key with the new name of the table to which it leads. */
    static ForeignKey leading(ForeignKey key, ObjectName old, ObjectName now) {
        return leadsTo(key, old) ? to(key, now, key.targetColumns()) : key;
    }

    /** The key with the new name of a column of the table to which it leads. */
    static ForeignKey leading(ForeignKey key, ObjectName table, String old, String now) {
        List<String> columns = key.targetColumns().stream()
                .map(c -> c.equalsIgnoreCase(old) ? now : c)
                .toList();
        return leadsTo(key, table) ? to(key, key.target(), columns) : key;
    }

    private static boolean leadsTo(ForeignKey key, ObjectName table) {
        return key.target().toString().equalsIgnoreCase(table.toString());
    }

    /** The key by another name. */
    static ForeignKey named(ForeignKey key, String name) {
        return new ForeignKey(
                name,
                key.columns(),
                key.target(),
                key.targetColumns(),
                key.onDelete(),
                key.onUpdate(),
                key.deferrable(),
                key.initiallyDeferred(),
                key.cleared());
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
                key.initiallyDeferred(),
                key.cleared());
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

    /** Adds the indexes that the engine makes for foreign keys without one. */
    static void index(TableDraft table) {
        for (ForeignKey key : table.foreignKeys) {
            boolean there = Stream.of(
                            table.primaryKey.stream().map(Key::columns),
                            table.uniqueKeys.stream().map(Key::columns),
                            table.indexes.stream().map(i -> i.parts().stream()
                                    .map(KeyPart::column)
                                    .toList()))
                    .flatMap(c -> c)
                    .anyMatch(c -> c.size() >= key.columns().size()
                            && c.subList(0, key.columns().size()).equals(key.columns()));
            if (!there) {
                List<KeyPart> parts =
                        key.columns().stream().map(KeyPart::ofColumn).toList();
                table.indexes.add(new Index(key.name(), false, parts, "", "", List.of()));
            }
        }
    }
}
