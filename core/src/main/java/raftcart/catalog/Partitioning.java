package raftcart.catalog;

import java.util.List;
import java.util.Objects;

/**
 * How the rows of a table are divided, as the engine writes it.
 *
 * @param scheme what follows PARTITION BY, up to the parts
 */
public record Partitioning(String scheme, List<Partition> partitions) {
    public Partitioning {
        Objects.requireNonNull(scheme, "scheme");
        partitions = List.copyOf(partitions);
    }

    /** One part and which rows belong to it. */
    public record Partition(String name, String bounds) {
        public Partition {
            Objects.requireNonNull(name, "name");
            Objects.requireNonNull(bounds, "bounds");
        }
    }
}
