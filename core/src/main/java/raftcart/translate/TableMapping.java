package raftcart.translate;

import java.util.List;
import java.util.Objects;
import raftcart.catalog.Table;

/** A table of the source, the table that it becomes, and its columns in order. */
public record TableMapping(Table source, Table target, List<ColumnMapping> columns) {
    public TableMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
        columns = List.copyOf(columns);
    }
}
