package raftcart.translate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;
import raftcart.catalog.ObjectKind;
import raftcart.finding.Finding;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;

/** Gathers findings, by-hand parts and outcomes while a catalog is translated. */
final class Notes {
    private final Set<Finding> findings = new LinkedHashSet<>();
    private final NavigableMap<String, Outcome> worst = new TreeMap<>();
    private final List<ByHand> byHand = new ArrayList<>();
    private final List<ObjectOutcome> objects = new ArrayList<>();

    void find(FindingCode code, String object, String detail) {
        Finding finding = new Finding(code, object, detail);
        findings.add(finding);
        worst.merge(object, finding.outcome(), Outcome::worse);
    }

    void byHand(String kind, String name, String source, FindingCode code, String reason) {
        byHand.add(new ByHand(kind, name, source, code, reason, ""));
        find(code, name, reason);
    }

    /** Something whose text on the target is known and which only a person can decide to run. */
    void ready(String kind, String name, String source, FindingCode code, String reason, String ready) {
        byHand.add(new ByHand(kind, name, source, code, reason, ready));
        find(code, name, reason);
    }

    /**
     * Records an object's outcome from the findings on it and on its parts. A part that is left to a person makes the
     * whole one to check; only an object that is not created at all is by hand itself.
     */
    void outcome(ObjectKind kind, String name) {
        outcome(kind, name, Map.of());
    }

    /** @param statements the number of statements within it by how they fared */
    void outcome(ObjectKind kind, String name, Map<Outcome, Integer> statements) {
        // Everything that begins with the name and a point stands together in the order of texts.
        Outcome all = worst.subMap(name + ".", name + "/").values().stream()
                .reduce(worst.getOrDefault(name, Outcome.AS_IS), Outcome::worse);
        objects.add(new ObjectOutcome(kind, name, all == Outcome.BY_HAND ? Outcome.CHECK : all, statements));
    }

    void notCreated(ObjectKind kind, String name) {
        notCreated(kind, name, Map.of());
    }

    void notCreated(ObjectKind kind, String name, Map<Outcome, Integer> statements) {
        objects.add(new ObjectOutcome(kind, name, Outcome.BY_HAND, statements));
    }

    List<Finding> findings() {
        return List.copyOf(findings);
    }

    /** Texts of one kind and name, such as a package and its body, stand in one file. */
    List<ByHand> byHandParts() {
        Map<List<String>, ByHand> parts = new LinkedHashMap<>();
        byHand.forEach(b -> parts.merge(
                List.of(b.kind(), b.name()),
                b,
                (first, next) -> first.source().equals(next.source()) ? first : first.and(next.source())));
        return List.copyOf(parts.values());
    }

    List<ObjectOutcome> objects() {
        return List.copyOf(objects);
    }
}
