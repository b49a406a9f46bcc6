package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/** A primary or unique key; {@code name} is the constraint's name, empty where the engine has none. */
public record Key(String name, List<KeyPart> parts) {
    public Key {
        Objects.requireNonNull(name, "name");
        parts = List.copyOf(parts);
    }

    /** The names of the key's columns in key order. */
    public List<String> columns() {
        return parts.stream().map(KeyPart::column).toList();
    }
}
