package raftcart.translate;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectName;
import raftcart.finding.Finding;

/**
 * What became of a catalog.
 *
 * @param target the database to build, in the target's own terms
 * @param tables how each table's rows cross, parents before children
 * @param lookups the tables that are made for the values of enumerations
 * @param code views, triggers and the like with their text on the target, in an order in which they can be made
 * @param objects every object of the source with its outcome
 * @param findings everything there is to say, in the order of the objects
 * @param byHand everything that was left to a person
 */
public record Translation(
        Catalog target,
        List<TableMapping> tables,
        List<SequenceMapping> sequences,
        List<Lookup> lookups,
        List<CodeMapping> code,
        List<ObjectOutcome> objects,
        List<Finding> findings,
        List<ByHand> byHand) {
    public Translation {
        Objects.requireNonNull(target, "target");
        tables = List.copyOf(tables);
        sequences = List.copyOf(sequences);
        lookups = List.copyOf(lookups);
        code = List.copyOf(code);
        objects = List.copyOf(objects);
        findings = List.copyOf(findings);
        byHand = List.copyOf(byHand);
    }

    /** The mapping of the source table of this name. */
    public Optional<TableMapping> mapping(ObjectName source) {
        return tables.stream().filter(t -> t.source().name().equals(source)).findFirst();
    }
}
