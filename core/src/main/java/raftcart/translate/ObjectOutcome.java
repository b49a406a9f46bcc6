package raftcart.translate;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Map;
import java.util.Objects;
import raftcart.catalog.ObjectKind;
import raftcart.finding.Outcome;

/**
 * How one object of the source fared.
 *
 * @param statements the number of statements within a routine or trigger by how they fared, its separators where it
 *     could not be read; empty for other objects, and for those that wait for another
 */
public record ObjectOutcome(
        ObjectKind kind,
        String name,
        Outcome outcome,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) Map<Outcome, Integer> statements) {
    public ObjectOutcome {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(outcome, "outcome");
        statements = Map.copyOf(statements);
    }
}
