package raftcart.translate;

import java.util.Objects;
import raftcart.finding.FindingCode;

/**
 * Something left to a person, with its source.
 *
 * @param kind what it is, as a word for a folder: {@code view}, {@code check}, {@code index}
 */
public record ByHand(String kind, String name, String source, FindingCode code, String reason) {
    public ByHand {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(reason, "reason");
    }
}
