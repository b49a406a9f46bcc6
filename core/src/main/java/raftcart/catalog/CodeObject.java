package raftcart.catalog;

import java.util.Objects;

/** Anything whose source is a text of its own: a view, a routine, a trigger, a grant. */
public record CodeObject(ObjectKind kind, ObjectName name, String source) {
    public CodeObject {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
    }
}
