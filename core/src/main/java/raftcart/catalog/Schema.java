package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/** A schema (in MariaDB: a database) and what it contains. */
public record Schema(
        String name,
        List<Table> tables,
        List<Sequence> sequences,
        List<EnumeratedType> enumeratedTypes,
        List<CodeObject> codeObjects) {
    public Schema {
        Objects.requireNonNull(name, "name");
        tables = List.copyOf(tables);
        sequences = List.copyOf(sequences);
        enumeratedTypes = List.copyOf(enumeratedTypes);
        codeObjects = List.copyOf(codeObjects);
    }
}
