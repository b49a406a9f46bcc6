package raftcart.catalog;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A whole database as one reader saw it.
 *
 * @param dialect the dialect in which all source text is written
 * @param defaultSchema the schema that unqualified names mean
 */
public record Catalog(String dialect, String version, String defaultSchema, List<Schema> schemas) {
    public Catalog {
        Objects.requireNonNull(dialect, "dialect");
        Objects.requireNonNull(version, "version");
        Objects.requireNonNull(defaultSchema, "defaultSchema");
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
