package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/**
 * A reference from columns of one table to a key of another (or the same) table.
 *
 * @param cleared those of the columns that SET NULL or SET DEFAULT changes on a deletion; empty for all of them
 */
public record ForeignKey(
        String name,
        List<String> columns,
        ObjectName target,
        List<String> targetColumns,
        ReferentialAction onDelete,
        ReferentialAction onUpdate,
        boolean deferrable,
        boolean initiallyDeferred,
        List<String> cleared) {
    public ForeignKey {
        Objects.requireNonNull(name, "name");
        columns = List.copyOf(columns);
        Objects.requireNonNull(target, "target");
        targetColumns = List.copyOf(targetColumns);
        Objects.requireNonNull(onDelete, "onDelete");
        Objects.requireNonNull(onUpdate, "onUpdate");
        cleared = List.copyOf(cleared);
    }
}
