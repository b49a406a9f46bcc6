package raftcart.move;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import raftcart.catalog.ObjectName;

/**
 * How many foreign keys stand one above the other over a table: 0 for tables that refer to none, otherwise one more than
 * the highest of those that they refer to. Keys that close a circle do not count.
 */
final class LoadLevels {
    private final Map<ObjectName, List<ObjectName>> parents;
    private final Map<ObjectName, Integer> levels = new HashMap<>();
    private final Set<ObjectName> above = new HashSet<>();

    /** @param parents the tables to which each table refers */
    LoadLevels(Map<ObjectName, List<ObjectName>> parents) {
        this.parents = parents;
    }

    /** The level of a table. */
    int of(ObjectName table) {
        Integer known = levels.get(table);
        if (known != null) {
            return known;
        }
        above.add(table);
        int level = parents.getOrDefault(table, List.of()).stream()
                .filter(p -> !above.contains(p))
                .mapToInt(p -> of(p) + 1)
                .max()
                .orElse(0);
        above.remove(table);
        levels.put(table, level);
        return level;
    }
}
