package raftcart.translate;

import java.util.Objects;
import raftcart.finding.FindingCode;

/**
 * Something left to a person, with its source.
 *
 * @param kind what it is, as a word for a folder: {@code view}, {@code check}, {@code index}
 * @param ready its text on the target, where only the decision to run it is left; empty otherwise
 */
public record ByHand(String kind, String name, String source, FindingCode code, String reason, String ready) {
    public ByHand {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(reason, "reason");
        Objects.requireNonNull(ready, "ready");
    }

    /** The same with a further text behind its source. */
    ByHand and(String further) {
        return new ByHand(kind, name, source.strip() + "\n\n" + further, code, reason, ready);
    }
}
