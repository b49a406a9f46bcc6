package raftcart.translate;

import java.util.Objects;
import raftcart.catalog.ObjectKind;
import raftcart.finding.Outcome;

/** How one object of the source fared. */
public record ObjectOutcome(ObjectKind kind, String name, Outcome outcome) {
    public ObjectOutcome {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(outcome, "outcome");
    }
}
