package raftcart.migration;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectKind;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.finding.Finding;
import raftcart.finding.FindingCatalog;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.plan.EffortRates;
import raftcart.plan.Plan;
import raftcart.translate.ByHand;
import raftcart.translate.ObjectOutcome;
import raftcart.translate.Translation;
import raftcart.translate.Translator;

/**
 * What a move to one target would mean, by the catalog alone.
 *
 * @param target the dialect of the target
 * @param kinds the objects by kind
 * @param findings what there is to know, that which takes longest first
 * @param hoursLeast the effort of a person if all goes well, in hours
 * @param hoursMost the same if much does not
 */
public record Assessment(
        String target,
        List<KindShare> kinds,
        List<FindingGroup> findings,
        List<ObjectOutcome> objects,
        double hoursLeast,
        double hoursMost) {
    public Assessment {
        kinds = List.copyOf(kinds);
        findings = List.copyOf(findings);
        objects = List.copyOf(objects);
    }

    /**
     * The objects of one kind and how they fare; lines of code are those that are not blank.
     *
     * @param statements the statements of code of this kind by how they fare; a view is one, and so is code that we cannot read
     */
    public record KindShare(
            ObjectKind kind,
            int objects,
            Map<Outcome, Integer> outcomes,
            long lines,
            Map<Outcome, Integer> statements) {
        public KindShare {
            outcomes = Map.copyOf(outcomes);
            statements = Map.copyOf(statements);
        }

        /** The number of statements of an outcome. */
        public int statementsOf(Outcome outcome) {
            return statements.getOrDefault(outcome, 0);
        }

        /** All statements. */
        public int allStatements() {
            return statements.values().stream().mapToInt(Integer::intValue).sum();
        }

        /** The number of objects of an outcome. */
        public int of(Outcome outcome) {
            return outcomes.getOrDefault(outcome, 0);
        }
    }

    /** All findings of one code. */
    public record FindingGroup(FindingCode code, String title, Outcome outcome, double hours, List<Finding> findings) {
        public FindingGroup {
            findings = List.copyOf(findings);
        }
    }

    /** Translates the catalog in memory and counts. */
    public static Assessment of(Catalog catalog, Language from, Dialect to, Plan plan) {
        String schema = to.language().defaultSchema().isEmpty()
                ? catalog.defaultSchema()
                : to.language().defaultSchema();
        Translation translation = Translator.translate(catalog, from, to, plan, schema);
        Map<String, Double> minutes = minutesByHand(translation, plan.effort());
        List<FindingGroup> findings = findings(translation, plan.effort(), minutes);
        double hours = findings.stream().mapToDouble(FindingGroup::hours).sum();
        return new Assessment(
                to.name(),
                kinds(catalog, translation),
                findings,
                translation.objects(),
                hours * plan.effort().least(),
                hours * plan.effort().most());
    }

    /** The minutes for whole objects that are left to a person, by their lines. */
    private static Map<String, Double> minutesByHand(Translation translation, EffortRates rates) {
        Map<String, Double> minutes = new HashMap<>();
        for (ByHand part : translation.byHand()) {
            if (part.code() == FindingCode.NOT_TRANSLATED) {
                minutes.merge(part.name(), lines(part.source()) * rates.minutesPerLine(), Double::sum);
            }
        }
        return minutes;
    }

    private static long lines(String source) {
        return source.lines().filter(l -> !l.isBlank()).count();
    }

    private static List<FindingGroup> findings(Translation translation, EffortRates rates, Map<String, Double> byHand) {
        Map<FindingCode, List<Finding>> groups = new EnumMap<>(FindingCode.class);
        translation.findings().forEach(f -> groups.computeIfAbsent(f.code(), c -> new ArrayList<>())
                .add(f));
        List<FindingGroup> all = new ArrayList<>();
        groups.forEach((code, findings) -> {
            int whole = (int) findings.stream()
                    .filter(f -> code == FindingCode.NOT_TRANSLATED && byHand.containsKey(f.object()))
                    .count();
            double minutes = whole > 0
                    ? findings.stream()
                            .mapToDouble(f -> byHand.getOrDefault(f.object(), rates.minutesFor(code, 1)))
                            .sum()
                    : rates.minutesFor(code, findings.size());
            FindingCatalog.Entry entry = FindingCatalog.get(code);
            all.add(new FindingGroup(code, entry.title(), entry.outcome(), minutes / 60, findings));
        });
        all.sort(Comparator.comparingDouble(FindingGroup::hours)
                .reversed()
                .thenComparing(g -> g.outcome(), Comparator.reverseOrder())
                .thenComparing(FindingGroup::code));
        return all;
    }

    private static List<KindShare> kinds(Catalog catalog, Translation translation) {
        Map<ObjectKind, Long> lines = new EnumMap<>(ObjectKind.class);
        catalog.schemas().forEach(s -> s.codeObjects().stream()
                .filter(c -> isCode(c.kind()))
                .forEach(c -> lines.merge(c.kind(), lines(c.source()), Long::sum)));
        Map<ObjectKind, Map<Outcome, Integer>> outcomes = new TreeMap<>();
        translation.objects().forEach(o -> outcomes.computeIfAbsent(o.kind(), k -> new EnumMap<>(Outcome.class))
                .merge(o.outcome(), 1, Integer::sum));
        Map<ObjectKind, Map<Outcome, Integer>> statements = new EnumMap<>(ObjectKind.class);
        translation.objects().stream().filter(o -> isCode(o.kind())).forEach(o -> statementsOf(o)
                .forEach((outcome, number) -> statements
                        .computeIfAbsent(o.kind(), k -> new EnumMap<>(Outcome.class))
                        .merge(outcome, number, Integer::sum)));
        List<KindShare> shares = new ArrayList<>();
        outcomes.forEach((kind, counts) -> shares.add(new KindShare(
                kind,
                counts.values().stream().mapToInt(Integer::intValue).sum(),
                counts,
                lines.getOrDefault(kind, 0L),
                statements.getOrDefault(kind, Map.of()))));
        return shares;
    }

    private static Map<Outcome, Integer> statementsOf(ObjectOutcome object) {
        return object.statements().isEmpty() ? Map.of(object.outcome(), 1) : object.statements();
    }

    private static boolean isCode(ObjectKind kind) {
        return switch (kind) {
            case VIEW, MATERIALIZED_VIEW, FUNCTION, PROCEDURE, PACKAGE, TRIGGER, EVENT, RULE -> true;
            default -> false;
        };
    }
}
