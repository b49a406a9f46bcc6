package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/** A named list of texts that columns use as their type. */
public record EnumeratedType(ObjectName name, List<String> values) {
    public EnumeratedType {
        Objects.requireNonNull(name, "name");
        values = List.copyOf(values);
    }
}
