package raftcart.translate;

import java.util.Objects;
import raftcart.catalog.CodeObject;

/**
 * What became of an object whose text is all that is known of it.
 *
 * @param source the object of the source by the name under which findings are filed
 * @param target the object with its text on the target
 */
public record CodeMapping(String source, CodeObject target) {
    public CodeMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
    }
}
