package raftcart.plan;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

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
        return each(
                checker,
                node,
                "tables.rules",
                List.of("table", "rows", "columns", "without", "moves", "key", "since"),
                (r, p) -> new TableRule(
                        checker.requiredText(r.path("table"), p, "table"),
                        checker.text(r.path("rows"), p + ".rows"),
                        checker.texts(r.path("columns"), p + ".columns", List.of()),
                        checker.texts(r.path("without"), p + ".without", List.of()),
                        choice(checker, r.path("moves"), p + ".moves", TableRule.Moves.STRUCTURE_AND_ROWS),
                        choice(checker, r.path("key"), p + ".key", TableRule.KeyStrategy.KEEP),
                        checker.text(r.path("since"), p + ".since")));
    }

    /** The rules of a list, each read from its node and the path to it. */
    private static <T> List<T> each(
            PlanChecker checker, JsonNode node, String path, List<String> keys, BiFunction<JsonNode, String, T> read) {
        List<T> rules = new ArrayList<>();
        if (PlanFile.absent(node) || !checker.isList(node, path)) {
            return rules;
        }
        for (int i = 0; i < node.size(); i++) {
            String own = path + "." + i;
            checker.keys(node.get(i), own, keys);
            rules.add(read.apply(node.get(i), own));
        }
        return rules;
    }

    private static <E extends Enum<E>> Optional<E> choice(PlanChecker checker, JsonNode node, String path, E usual) {
        return PlanFile.absent(node) ? Optional.empty() : Optional.of(checker.choice(node, path, usual));
    }

    static List<ColumnRule> columns(PlanChecker checker, JsonNode node) {
        return each(
                checker,
                node,
                "columns",
                List.of("column", "from", "type", "nullable", "default", "value"),
                (r, p) -> new ColumnRule(
                        checker.text(r.path("column"), p + ".column").orElse("*"),
                        checker.text(r.path("from"), p + ".from").orElse("*"),
                        checker.text(r.path("type"), p + ".type"),
                        checker.truth(r.path("nullable"), p + ".nullable"),
                        checker.text(r.path("default"), p + ".default"),
                        checker.text(r.path("value"), p + ".value")));
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
        rule.since().ifPresent(s -> node.put("since", s));
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
