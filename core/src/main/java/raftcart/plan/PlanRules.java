package raftcart.plan;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rules of a plan for tables and columns, read and written. */
final class PlanRules {
    private PlanRules() {}

    static Selection tables(PlanChecker checker, JsonNode node) {
        checker.keys(node, "tables", List.of("include", "exclude", "rules"));
        Selection everything = Selection.everything();
        return new Selection(
                checker.texts(node.path("include"), "tables.include", everything.include()),
                checker.texts(node.path("exclude"), "tables.exclude", everything.exclude()),
                rules(checker, node.path("rules")));
    }

    private static List<TableRule> rules(PlanChecker checker, JsonNode node) {
        List<TableRule> rules = new ArrayList<>();
        if (PlanFile.absent(node) || !checker.isList(node, "tables.rules")) {
            return rules;
        }
        for (int i = 0; i < node.size(); i++) {
            String path = "tables.rules." + i;
            JsonNode rule = node.get(i);
            checker.keys(rule, path, List.of("table", "rows", "columns", "without", "moves", "key"));
            rules.add(new TableRule(
                    checker.requiredText(rule.path("table"), path, "table"),
                    checker.text(rule.path("rows"), path + ".rows"),
                    checker.texts(rule.path("columns"), path + ".columns", List.of()),
                    checker.texts(rule.path("without"), path + ".without", List.of()),
                    choice(checker, rule.path("moves"), path + ".moves", TableRule.Moves.STRUCTURE_AND_ROWS),
                    choice(checker, rule.path("key"), path + ".key", TableRule.KeyStrategy.KEEP)));
        }
        return rules;
    }

    private static <E extends Enum<E>> Optional<E> choice(PlanChecker checker, JsonNode node, String path, E usual) {
        return PlanFile.absent(node) ? Optional.empty() : Optional.of(checker.choice(node, path, usual));
    }

    static List<ColumnRule> columns(PlanChecker checker, JsonNode node) {
        List<ColumnRule> rules = new ArrayList<>();
        if (PlanFile.absent(node) || !checker.isList(node, "columns")) {
            return rules;
        }
        for (int i = 0; i < node.size(); i++) {
            String path = "columns." + i;
            JsonNode rule = node.get(i);
            checker.keys(rule, path, List.of("column", "from", "type", "nullable", "default", "value"));
            rules.add(new ColumnRule(
                    checker.text(rule.path("column"), path + ".column").orElse("*"),
                    checker.text(rule.path("from"), path + ".from").orElse("*"),
                    checker.text(rule.path("type"), path + ".type"),
                    checker.truth(rule.path("nullable"), path + ".nullable"),
                    checker.text(rule.path("default"), path + ".default"),
                    checker.text(rule.path("value"), path + ".value")));
        }
        return rules;
    }

    static void tree(ObjectNode node, Selection tables) {
        tables.include().forEach(node.putArray("include")::add);
        tables.exclude().forEach(node.putArray("exclude")::add);
        var rules = node.putArray("rules");
        tables.rules().forEach(r -> tree(rules.addObject(), r));
    }

    private static void tree(ObjectNode node, TableRule rule) {
        node.put("table", rule.table());
        rule.rows().ifPresent(r -> node.put("rows", r));
        if (!rule.columns().isEmpty()) {
            rule.columns().forEach(node.putArray("columns")::add);
        }
        if (!rule.without().isEmpty()) {
            rule.without().forEach(node.putArray("without")::add);
        }
        rule.moves().ifPresent(m -> node.put("moves", PlanChecker.word(m)));
        rule.key().ifPresent(k -> node.put("key", PlanChecker.word(k)));
    }

    static void tree(ObjectNode node, ColumnRule rule) {
        node.put("column", rule.column());
        node.put("from", rule.from());
        rule.type().ifPresent(t -> node.put("type", t));
        rule.nullable().ifPresent(n -> node.put("nullable", n));
        rule.defaultValue().ifPresent(d -> node.put("default", d));
        rule.value().ifPresent(v -> node.put("value", v));
    }
}
