package raftcart.engine;

import java.util.List;
import java.util.Objects;
import raftcart.catalog.ObjectName;

/**
 * A trigger or a foreign key of a table, which acts when rows come into it.
 *
 * @param what its kind and name, for the user and to know it again
 * @param table its table
 * @param parent the table to which a foreign key leads; that of a trigger is its own
 * @param foreignKey false for a trigger
 * @param remove statements after which it does not act
 * @param restore statements after which it is as before
 */
public record ActingObject(
        String what,
        ObjectName table,
        ObjectName parent,
        boolean foreignKey,
        List<String> remove,
        List<String> restore) {
    public ActingObject {
        Objects.requireNonNull(what, "what");
        Objects.requireNonNull(table, "table");
        Objects.requireNonNull(parent, "parent");
        remove = List.copyOf(remove);
        restore = List.copyOf(restore);
    }
}
