package raftcart.catalog;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Objects;

/**
 * Anything whose source is a text of its own: a view, a routine, a trigger, a grant.
 *
 * @param mode the mode of the engine in which the source is read, where that matters; empty for the usual one
 */
public record CodeObject(
        ObjectKind kind,
        ObjectName name,
        String source,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) String mode) {
    public CodeObject {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
        mode = Objects.requireNonNullElse(mode, "");
    }

    /** One that is read in the usual mode. */
    public CodeObject(ObjectKind kind, ObjectName name, String source) {
        this(kind, name, source, "");
    }
}
