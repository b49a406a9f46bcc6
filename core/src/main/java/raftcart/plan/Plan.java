package raftcart.plan;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import raftcart.type.ValueChoices;

/**
 * A migration as the user wants it.
 *
 * @param schemas target schema by source schema, for those that shall change
 */
public record Plan(
        Endpoint source,
        Endpoint target,
        Selection tables,
        Map<String, String> schemas,
        NameRules names,
        List<ColumnRule> columns,
        ValueChoices values,
        Grants grants,
        LoadSettings load,
        EffortRates effort) {
    public Plan {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
        Objects.requireNonNull(tables, "tables");
        schemas = Map.copyOf(schemas);
        Objects.requireNonNull(names, "names");
        columns = List.copyOf(columns);
        Objects.requireNonNull(values, "values");
        Objects.requireNonNull(grants, "grants");
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(effort, "effort");
    }

    /** A plan with all defaults between two databases. */
    public static Plan between(Endpoint source, Endpoint target) {
        return new Plan(
                source,
                target,
                Selection.everything(),
                Map.of(),
                NameRules.defaults(),
                List.of(),
                ValueChoices.defaults(),
                Grants.HAND_OVER,
                LoadSettings.defaults(),
                EffortRates.defaults());
    }
}
