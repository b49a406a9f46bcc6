package raftcart.translate;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import raftcart.catalog.ObjectKind;
import raftcart.finding.Finding;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;

/** Gathers findings, by-hand parts and outcomes while a catalog is translated. */
final class Notes {
    private final Set<Finding> findings = new LinkedHashSet<>();
    private final List<ByHand> byHand = new ArrayList<>();
    private final List<ObjectOutcome> objects = new ArrayList<>();

    void find(FindingCode code, String object, String detail) {
        findings.add(new Finding(code, object, detail));
    }

    void byHand(String kind, String name, String source, FindingCode code, String reason) {
        byHand.add(new ByHand(kind, name, source, code, reason));
        find(code, name, reason);
    }

    /**
     * Records an object's outcome from the findings on it and on its parts. A part that is left to a person makes the
     * whole one to check; only an object that is not created at all is by hand itself.
     */
    void outcome(ObjectKind kind, String name) {
        Outcome worst = findings.stream()
                .filter(f -> f.object().equals(name) || f.object().startsWith(name + "."))
                .map(Finding::outcome)
                .reduce(Outcome.AS_IS, Outcome::worse);
        objects.add(new ObjectOutcome(kind, name, worst == Outcome.BY_HAND ? Outcome.CHECK : worst));
    }

    void notCreated(ObjectKind kind, String name) {
        objects.add(new ObjectOutcome(kind, name, Outcome.BY_HAND));
    }

    List<Finding> findings() {
        return List.copyOf(findings);
    }

    List<ByHand> byHandParts() {
        return List.copyOf(byHand);
    }

    List<ObjectOutcome> objects() {
        return List.copyOf(objects);
    }
}
