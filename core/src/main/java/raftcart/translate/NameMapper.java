package raftcart.translate;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import raftcart.catalog.Catalog;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Capabilities;
import raftcart.dialect.Identifiers;
import raftcart.finding.FindingCode;
import raftcart.plan.Plan;

/** Decides the names on the target. The same source always gives the same names. */
final class NameMapper {
    private final Identifiers identifiers;
    private final Capabilities capabilities;
    private final Map<String, String> schemas = new HashMap<>();
    private final Map<String, Set<String>> taken = new HashMap<>();
    private final Notes notes;

    NameMapper(
            Catalog source,
            Plan plan,
            String targetSchema,
            Identifiers identifiers,
            Capabilities capabilities,
            Notes notes) {
        this.identifiers = identifiers;
        this.capabilities = capabilities;
        this.notes = notes;
        boolean single = source.schemas().size() == 1;
        source.schemas().forEach(s -> {
            String fallback = single ? targetSchema : s.name();
            schemas.put(s.name(), plan.schemas().getOrDefault(s.name(), fallback));
        });
    }

    String schema(String sourceSchema) {
        return schemas.getOrDefault(sourceSchema, sourceSchema);
    }

    /** The name of a table or sequence on the target. */
    ObjectName object(ObjectName source) {
        return new ObjectName(schema(source.schema()), fit(source.name(), source.toString()));
    }

    /** The name of a column, constraint or other part, shortened if it must be. */
    String fit(String name, String object) {
        String fitting = identifiers.shorten(name);
        if (!fitting.equals(name)) {
            notes.find(FindingCode.NAME_SHORTENED, object, name + " becomes " + fitting);
        }
        return fitting;
    }

    /** Keeps a name of a schema for a table or sequence, so that no index takes it. */
    void reserve(ObjectName target) {
        names(target.schema()).add(target.name().toLowerCase(Locale.ROOT));
    }

    /** The name of an index on a table of the target, made unique where the target wants that. */
    String index(ObjectName targetTable, String name, String object) {
        String wanted = fit(name, object);
        if (!capabilities.indexNamesPerSchema() || names(targetTable.schema()).add(wanted.toLowerCase(Locale.ROOT))) {
            return wanted;
        }
        String longer = identifiers.shorten(targetTable.name() + "_" + name);
        String unique = longer;
        for (int i = 2; !names(targetTable.schema()).add(unique.toLowerCase(Locale.ROOT)); i++) {
            unique = identifiers.shorten(longer + "_" + i);
        }
        notes.find(FindingCode.NAME_CHANGED, object, "index " + name + " becomes " + unique);
        return unique;
    }

    private Set<String> names(String schema) {
        return taken.computeIfAbsent(schema, k -> new HashSet<>());
    }
}
