package raftcart.translate;

import java.util.List;
import java.util.Objects;
import raftcart.catalog.Table;

/** A table made for the values of an enumeration: each value and its place among them, from 1 on. */
public record Lookup(Table table, List<String> values) {
    public Lookup {
        Objects.requireNonNull(table, "table");
        values = List.copyOf(values);
    }
}
