package raftcart.migration;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.error.PlanException;
import raftcart.finding.Finding;
import raftcart.finding.Outcome;
import raftcart.translate.CodeMapping;
import raftcart.translate.ObjectOutcome;
import raftcart.translate.Script;
import raftcart.translate.ScriptWriter;
import raftcart.translate.TableMapping;
import raftcart.translate.Translation;

/**
 * One object of the source beside what it becomes.
 *
 * @param source its text; for a table its columns
 * @param target the statements that make it; empty where it is left to a person
 */
public record ShownObject(
        String kind, String name, Outcome outcome, List<Finding> findings, String source, String target) {
    public ShownObject {
        findings = List.copyOf(findings);
    }

    /** The object of this name, with or without its schema. */
    static ObjectOutcome find(String wanted, Translation translation) {
        return translation.objects().stream()
                .filter(o -> o.name().equalsIgnoreCase(wanted)
                        || o.name().toLowerCase(Locale.ROOT).endsWith("." + wanted.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new PlanException(
                        "the source has no object '" + wanted + "'",
                        "Name it as the source does; reports/translate.json and source/catalog.json list all."));
    }

    static ShownObject of(String wanted, Catalog catalog, Translation translation, Dialect to) {
        ObjectOutcome outcome = find(wanted, translation);
        List<Finding> findings = translation.findings().stream()
                .filter(f -> f.object().equals(outcome.name()) || f.object().startsWith(outcome.name() + "."))
                .toList();
        Optional<Table> table = catalog.tables()
                .filter(t -> t.name().toString().equals(outcome.name()))
                .findFirst();
        return new ShownObject(
                outcome.kind().word(),
                outcome.name(),
                outcome.outcome(),
                findings,
                table.map(ShownObject::columns).orElseGet(() -> text(catalog, outcome)),
                table.map(t -> scripts(translation, t.name(), to)).orElseGet(() -> code(translation, outcome)));
    }

    private static String columns(Table table) {
        List<String> lines = new ArrayList<>();
        for (Column column : table.columns()) {
            lines.add(column.name() + " " + column.declaredType() + (column.nullable() ? "" : " not null")
                    + column.defaultValue().map(d -> " default " + d).orElse("")
                    + column.identity().map(i -> " numbered").orElse("")
                    + column.generated()
                            .map(g -> " computed: " + g.expression())
                            .orElse(""));
        }
        return String.join("\n", lines);
    }

    private static String text(Catalog catalog, ObjectOutcome outcome) {
        return catalog.schemas().stream()
                .flatMap(s -> s.codeObjects().stream())
                .filter(c -> c.kind() == outcome.kind() && c.name().toString().equals(outcome.name()))
                .map(CodeObject::source)
                .collect(Collectors.joining("\n\n"));
    }

    /** All scripts of a table: itself, its indexes and its keys. */
    private static String scripts(Translation translation, ObjectName source, Dialect to) {
        String target = translation
                .mapping(source)
                .map(TableMapping::target)
                .map(t -> t.name().toString())
                .orElse("");
        return ScriptWriter.scripts(translation, to, "").stream()
                .filter(s -> isOf(s, target))
                .map(Script::statements)
                .map(s -> String.join(";\n\n", s) + ";")
                .collect(Collectors.joining("\n\n"));
    }

    /** True for the script of a table of this name, and for those of its indexes and keys. */
    static boolean isOf(Script script, String table) {
        return script.object().equals("table " + table) || script.object().endsWith(" of " + table);
    }

    private static String code(Translation translation, ObjectOutcome outcome) {
        return translation.code().stream()
                .filter(c -> c.source().equals(outcome.name()))
                .map(CodeMapping::target)
                .map(CodeObject::source)
                .collect(Collectors.joining("\n\n"));
    }
}
