package raftcart.translate;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.catalog.Catalog;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Identifiers;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.plan.NameRules;
import raftcart.plan.Plan;
import raftcart.rewrite.Knowledge;
import raftcart.sql.parse.NameCase;
import raftcart.sql.tree.Name;

/** Decides the names on the target. The same source always gives the same names. */
final class NameMapper {
    private final Catalog source;
    private final Identifiers identifiers;
    private final Dialect to;
    private final Map<String, String> schemas = new HashMap<>();
    private final Map<String, Set<String>> taken = new HashMap<>();
    private final Notes notes;
    private final NameRules rules;
    private final NameCase fromCase;
    private final Set<ObjectName> clashing = new HashSet<>();
    private final Knowledge types = new Knowledge();

    NameMapper(Catalog source, Plan plan, String targetSchema, Language from, Dialect to, Notes notes) {
        this.rules = plan.names();
        this.fromCase = from.grammar().names();
        this.identifiers = to.identifiers();
        this.to = to;
        this.notes = notes;
        this.source = source;
        boolean single = source.schemas().size() == 1;
        source.schemas().forEach(s -> {
            boolean byDefault = single || s.name().equals(source.defaultSchema());
            String fallback = byDefault ? targetSchema : cased(s.name());
            schemas.put(s.name(), plan.schemas().getOrDefault(s.name(), fallback));
        });
        enumerations().forEach(e -> types.addEnumeration(TableExpressions.exact(e.name()), e.values()));
        findClashes();
    }

    /** Objects whose names differ in case alone: those that are spelled as they would become keep that, the others their own. */
    private void findClashes() {
        Map<ObjectName, List<ObjectName>> alike = new HashMap<>();
        source.tables().map(Table::name).forEach(n -> alike.computeIfAbsent(
                        new ObjectName(schema(n.schema()), cased(n.name())), k -> new ArrayList<>())
                .add(n));
        alike.forEach((name, sources) -> {
            if (sources.size() > 1) {
                sources.stream().filter(n -> !n.name().equals(name.name())).forEach(clashing::add);
            }
        });
    }

    /** The name with its letters as the plan wants them. */
    private String cased(String name) {
        return switch (rules.letters()) {
            case KEEP -> name;
            case LOWER -> name.toLowerCase(Locale.ROOT);
            case UPPER -> name.toUpperCase(Locale.ROOT);
            case FOLD -> folded(name);
        };
    }

    /** A name that the source would store in this way itself, as the target would store it; other names as they are. */
    private String folded(String name) {
        if (!fromCase.fold(name).equals(name)) {
            return name;
        }
        NameCase toCase = to.grammar().names();
        boolean capitals = fromCase == NameCase.UPPER && toCase == NameCase.IGNORED;
        return capitals ? name.toLowerCase(Locale.ROOT) : toCase.fold(name);
    }

    /** The source's enumerations. */
    List<EnumeratedType> enumerations() {
        return source.schemas().stream()
                .flatMap(s -> s.enumeratedTypes().stream())
                .toList();
    }

    /** What is known of the source's types, to be shared by what is known of each of its tables. */
    Knowledge types() {
        return types;
    }

    /** The schema on the target of what has none. */
    String defaultSchema() {
        return schema(source.defaultSchema());
    }

    String schema(String sourceSchema) {
        return schemas.getOrDefault(sourceSchema, sourceSchema);
    }

    /** The name of a table on the target. */
    ObjectName table(ObjectName table) {
        Optional<String> given = rules.named(table);
        String name = rules.tablePrefix() + given.orElseGet(() -> own(table)) + rules.tableSuffix();
        return new ObjectName(schema(table.schema()), shortened(given.orElse(name), table.toString()));
    }

    /** The name of a sequence, view or other object on the target. */
    ObjectName object(ObjectName object) {
        String name = rules.named(object).orElseGet(() -> own(object));
        return new ObjectName(schema(object.schema()), shortened(name, object.toString()));
    }

    private String own(ObjectName object) {
        return clashing.contains(object) ? object.name() : cased(object.name());
    }

    /** The name on the target of a sequence that an expression names, with or without its schema. */
    ObjectName sequence(List<String> names) {
        String name = names.get(names.size() - 1);
        String schema = names.size() > 1 ? names.get(names.size() - 2) : source.defaultSchema();
        return object(meant(new ObjectName(schema, name)));
    }

    /** The sequence of this name; where its schema has none, the only one of another schema, as dumps of a database may name it. */
    private ObjectName meant(ObjectName wanted) {
        List<ObjectName> alike = source.schemas().stream()
                .flatMap(s -> s.sequences().stream())
                .map(Sequence::name)
                .filter(s -> s.name().equals(wanted.name()))
                .toList();
        return alike.size() == 1 && !alike.contains(wanted) ? alike.get(0) : wanted;
    }

    /**
     * The name on the target of a sequence that a column's default names.
     *
     * @throws Untranslatable if the source has none of this name, so that the table could not be made
     */
    ObjectName knownSequence(List<String> names) {
        String name = names.get(names.size() - 1);
        boolean known = source.schemas().stream()
                .flatMap(s -> s.sequences().stream())
                .anyMatch(s -> s.name().name().equalsIgnoreCase(name));
        if (!known) {
            throw new Untranslatable("the sequence " + name + " is not known");
        }
        return sequence(names);
    }

    /** The name of a column of a view. */
    Name viewColumn(Name source) {
        return new Name(cased(source.exact() ? source.text() : fromCase.fold(source.text())), true);
    }

    /** The name of a column among those that its table has already on the target; it is added to them. */
    String column(ObjectName table, String name, Set<String> taken) {
        String object = table + "." + name;
        String fitting = shortened(rules.named(table, name).orElseGet(() -> cased(name)), object);
        String unique = fitting;
        boolean ignoresCase = to.grammar().names() == NameCase.IGNORED;
        for (int i = 2; !taken.add(ignoresCase ? unique.toLowerCase(Locale.ROOT) : unique); i++) {
            unique = identifiers.shorten(fitting + "_" + i);
        }
        if (!unique.equals(fitting)) {
            notes.find(FindingCode.NAME_CHANGED, object, "column " + name + " becomes " + unique);
        }
        return unique;
    }

    /** The name of a column, constraint or other part, shortened if it must be. */
    String fit(String name, String object) {
        return shortened(cased(name), object);
    }

    private String shortened(String name, String object) {
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

    /** A name for a table of one's own that no other object has, which is kept from then on. */
    ObjectName free(ObjectName wanted) {
        ObjectName name = wanted;
        for (int i = 2; !names(name.schema()).add(name.name().toLowerCase(Locale.ROOT)); i++) {
            name = new ObjectName(wanted.schema(), identifiers.shorten(wanted.name() + "_" + i));
        }
        return name;
    }

    /** The name of an index on a table of the target, made unique where the target wants that. */
    String index(ObjectName targetTable, String name, String object) {
        String wanted = fit(name, object);
        if (to.has(SqlFeature.INDEXES_OF_TABLES) || names(targetTable.schema()).add(wanted.toLowerCase(Locale.ROOT))) {
            return wanted;
        }
        String longer = identifiers.shorten(targetTable.name() + "_" + cased(name));
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
