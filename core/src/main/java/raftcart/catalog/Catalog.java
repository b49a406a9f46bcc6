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
 * @param observations what a look at the rows told, if there was one
 */
public record Catalog(
        String dialect, String version, String defaultSchema, List<Schema> schemas, List<Observation> observations) {
    public Catalog {
        Objects.requireNonNull(dialect, "dialect");
        Objects.requireNonNull(version, "version");
        Objects.requireNonNull(defaultSchema, "defaultSchema");
        schemas = List.copyOf(schemas);
        observations = observations == null ? List.of() : List.copyOf(observations);
    }

    /** A catalog whose rows nobody looked at. */
    public Catalog(String dialect, String version, String defaultSchema, List<Schema> schemas) {
        this(dialect, version, defaultSchema, schemas, List.of());
    }

    /** The same catalog with what a look at the rows told. */
    public Catalog with(List<Observation> seen) {
        return new Catalog(dialect, version, defaultSchema, schemas, seen);
    }

    /** What was observed of a column. */
    public Stream<Observation> observations(ObjectName table, String column) {
        return observations.stream()
                .filter(o -> o.table().equals(table) && o.column().equals(column));
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
