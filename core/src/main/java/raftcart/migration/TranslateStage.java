package raftcart.migration;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import raftcart.engine.EngineSession;
import raftcart.finding.Finding;
import raftcart.finding.Outcome;
import raftcart.translate.ByHand;
import raftcart.translate.ObjectOutcome;
import raftcart.translate.Script;
import raftcart.translate.ScriptWriter;
import raftcart.translate.Translation;
import raftcart.workspace.Json;
import raftcart.workspace.Manifest;
import raftcart.workspace.Mark;
import raftcart.workspace.Stage;

/** Writes the scripts that build the target, and the files that hand the rest to a person. */
public final class TranslateStage {
    private TranslateStage() {}

    /** Runs the stage. */
    public static Result run(Migration migration) {
        long start = System.nanoTime();
        migration.catalog();
        String targetSchema;
        try (EngineSession target = migration.openTarget()) {
            targetSchema = target.defaultSchema();
        }
        Translation translation = migration.translation(targetSchema);
        List<Script> scripts = ScriptWriter.scripts(translation, migration.targetDialect(), targetSchema);
        Manifest manifest = Manifest.of(migration.workspace());
        Map<String, List<Finding>> findings = findings(translation);
        for (Script script : scripts) {
            manifest.generate(
                    script.path(), ScriptWriter.text(script, findings.getOrDefault(script.object(), List.of())));
        }
        for (ByHand byHand : translation.byHand()) {
            Script script = ScriptWriter.byHand(byHand);
            manifest.generate(script.path(), script.statements().get(0));
        }
        manifest.finish();
        Result result = new Result(
                scripts.size(),
                count(translation.objects()),
                translation.byHand().size(),
                translation.findings(),
                translation.objects(),
                manifest.kept(),
                (System.nanoTime() - start) / 1e9);
        migration.workspace().keepReport("translate.json", Json.MAPPER.valueToTree(result));
        journal(migration, result, targetSchema);
        return result;
    }

    /**
     * Makes the files of one object anew, also where a person edited them; all others stay as they are.
     *
     * @param wanted the object's name on the source, with or without its schema
     */
    public static Redone redo(Migration migration, String wanted) {
        migration.catalog();
        String targetSchema;
        try (EngineSession target = migration.openTarget()) {
            targetSchema = target.defaultSchema();
        }
        Translation translation = migration.translation(targetSchema);
        ObjectOutcome object = ShownObject.find(wanted, translation);
        Map<String, List<Finding>> findings = findings(translation);
        Manifest manifest = Manifest.of(migration.workspace());
        List<String> files = new ArrayList<>();
        for (Script script : ScriptWriter.scripts(translation, migration.targetDialect(), targetSchema)) {
            if (isOf(script, object, translation)) {
                manifest.redo(
                        script.path(), ScriptWriter.text(script, findings.getOrDefault(script.object(), List.of())));
                files.add(script.path());
            }
        }
        for (ByHand byHand : translation.byHand()) {
            if (byHand.name().equals(object.name()) || byHand.name().startsWith(object.name() + ".")) {
                Script script = ScriptWriter.byHand(byHand);
                manifest.redo(script.path(), script.statements().get(0));
                files.add(script.path());
            }
        }
        return new Redone(object.kind().word(), object.name(), object.outcome(), files);
    }

    private static boolean isOf(Script script, ObjectOutcome object, Translation translation) {
        return translation.tables().stream()
                        .filter(t -> t.source().name().toString().equals(object.name()))
                        .anyMatch(
                                t -> ShownObject.isOf(script, t.target().name().toString()))
                || translation.sequences().stream()
                        .filter(s -> s.source().name().toString().equals(object.name()))
                        .anyMatch(s -> script.object().equals("sequence " + s.target()))
                || translation.code().stream()
                        .filter(c -> c.source().equals(object.name()))
                        .map(c -> c.target())
                        .anyMatch(c -> script.object().equals(c.kind().word() + " " + c.name()));
    }

    /** One object whose files were made anew. */
    public record Redone(String kind, String name, Outcome outcome, List<String> files) {
        public Redone {
            files = List.copyOf(files);
        }
    }

    private static void journal(Migration migration, Result result, String targetSchema) {
        ObjectNode details = Json.MAPPER.createObjectNode();
        details.put("targetSchema", targetSchema);
        details.put("plan", migration.workspace().planHash());
        details.put("scripts", result.scripts());
        details.set("objects", Json.MAPPER.valueToTree(result.outcomes()));
        details.put("byHand", result.byHand());
        details.put("seconds", result.seconds());
        migration.workspace().journal().add(Stage.TRANSLATE, Mark.DONE, details);
    }

    /** What there is to know, by the label of the script that carries it; a table's carries that about its columns too. */
    private static Map<String, List<Finding>> findings(Translation translation) {
        Map<String, String> labels = new HashMap<>();
        translation
                .tables()
                .forEach(t -> labels.put(
                        t.source().name().toString(), "table " + t.target().name()));
        translation
                .code()
                .forEach(c -> labels.put(
                        c.source(), c.target().kind().word() + " " + c.target().name()));
        Map<String, List<Finding>> findings = new HashMap<>();
        for (Finding finding : translation.findings()) {
            String name = finding.object();
            for (int end = name.length(); end > 0; end = name.lastIndexOf('.', end - 1)) {
                String label = labels.get(name.substring(0, end));
                if (label != null) {
                    findings.computeIfAbsent(label, k -> new ArrayList<>()).add(finding);
                }
            }
        }
        return findings;
    }

    private static Map<Outcome, Integer> count(List<ObjectOutcome> objects) {
        Map<Outcome, Integer> counts = new EnumMap<>(Outcome.class);
        objects.forEach(o -> counts.merge(o.outcome(), 1, Integer::sum));
        return counts;
    }

    /**
     * What was translated.
     *
     * @param outcomes the number of the source's objects by outcome
     * @param byHand the number of objects and parts of objects left to a person
     * @param keptEdits files that were left as a person edited them
     */
    public record Result(
            int scripts,
            Map<Outcome, Integer> outcomes,
            int byHand,
            List<Finding> findings,
            List<ObjectOutcome> objects,
            List<String> keptEdits,
            double seconds) {}
}
