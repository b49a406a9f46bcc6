package raftcart.catalog;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/** A whole database as one reader saw it. {@code dialect} names the dialect in which all source text is written. */
public record Catalog(String dialect, String version, List<Schema> schemas) {
    public Catalog {
        Objects.requireNonNull(dialect, "dialect");
        Objects.requireNonNull(version, "version");
        schemas = List.copyOf(schemas);
    }

    /** All tables of all schemas in catalog order. */
    public Stream<Table> tables() {
        return schemas.stream().flatMap(s -> s.tables().stream());
    }

    /** The table of this name, compared exactly. */
    public Optional<Table> table(ObjectName name) {
        return tables().filter(t -> t.name().equals(name)).findFirst();
    }
}
