package raftcart.translate;

import java.util.Objects;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;

/** A sequence of the source and the name that it has on the target. */
public record SequenceMapping(Sequence source, ObjectName target) {
    public SequenceMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
    }
}
