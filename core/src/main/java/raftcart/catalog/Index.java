package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/**
 * An index that is not the body of a key constraint.
 *
 * @param method the access method as the engine names it, in lower case
 * @param predicate the condition of a partial index in the engine's SQL, empty for all rows
 * @param included columns carried along without being part of the key
 */
public record Index(
        String name, boolean unique, List<KeyPart> parts, String method, String predicate, List<String> included) {
    public Index {
        Objects.requireNonNull(name, "name");
        parts = List.copyOf(parts);
        Objects.requireNonNull(method, "method");
        Objects.requireNonNull(predicate, "predicate");
        included = List.copyOf(included);
    }
}
