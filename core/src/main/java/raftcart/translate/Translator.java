package raftcart.translate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.catalog.Clauses;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.error.PlanException;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.plan.Plan;
import raftcart.rewrite.ColumnFactory;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;

/** Translates a whole catalog by the plan. */
public final class Translator {
    private final PlannedCatalog planned;
    private final Catalog source;
    private final Language from;
    private final Dialect to;
    private final Plan plan;
    private final String targetSchema;
    private final Notes notes = new Notes();
    private final NameMapper names;
    private final Map<ObjectName, TableTranslator> tables = new LinkedHashMap<>();
    private final Map<ObjectName, TableTranslator> byTarget = new HashMap<>();
    private final Set<ObjectName> referred = new HashSet<>();
    private final CodeTranslator code;
    private final Enumerations enumerations;

    private Translator(Catalog source, Language from, Dialect to, Plan plan, String targetSchema) {
        this.planned = new PlannedCatalog(source, plan, notes, to.language().has(SqlFeature.ONE_NUMBERED_COLUMN));
        this.source = planned.catalog();
        this.from = from;
        this.to = to;
        this.plan = plan;
        this.targetSchema = targetSchema;
        this.names = new NameMapper(this.source, plan, targetSchema, from, to, notes);
        this.code = new CodeTranslator(this.source, from, to, names, notes, planned::missing);
        this.enumerations = new Enumerations(to, names, plan.values().enumerations());
    }

    /**
     * Translates a catalog.
     *
     * @param targetSchema the schema of the target for a source that has only one
     */
    public static Translation translate(Catalog source, Language from, Dialect to, Plan plan, String targetSchema) {
        return new Translator(source, from, to, plan, targetSchema).run();
    }

    /** Translates a catalog, and keeps what translates statements for the same target. */
    public static Planned planned(Catalog source, Language from, Dialect to, Plan plan, String targetSchema) {
        Translator translator = new Translator(source, from, to, plan, targetSchema);
        Translation translation = translator.run();
        return new Planned(
                translation, new RowStatements(translator.code), new PlannedStatements(translator.code, from));
    }

    /**
     * A translation with what translates statements for the same target.
     *
     * @param rows those of scripts that insert rows
     * @param statements any others
     */
    public record Planned(Translation translation, RowStatements rows, PlannedStatements statements) {}

    private Translation run() {
        List<Table> selected = TableOrder.of(
                source.tables().filter(t -> plan.tables().takes(t.name())).toList());
        selected.forEach(t -> names.reserve(names.table(t.name())));
        for (Table table : selected) {
            if (table.columns().stream().allMatch(c -> c.generated().isPresent())) {
                leaveTable(table);
                continue;
            }
            TableTranslator translator =
                    new TableTranslator(from, to, plan, planned, enumerations, names, notes, table);
            refuseCollision(translator);
            tables.put(table.name(), translator);
        }
        List<SequenceMapping> sequences = sequences();
        followReferredTypes();
        List<TableMapping> mappings = tables.values().stream().map(this::table).toList();
        List<EnumeratedType> types = enumeratedTypes(mappings);
        List<CodeMapping> made = codeObjects();
        return new Translation(
                new Catalog(to.name(), "", targetSchema, schemas(mappings, sequences, types, made)),
                mappings,
                sequences,
                enumerations.lookups(),
                made,
                notes.objects(),
                notes.findings(),
                notes.byHandParts());
    }

    /** Rows that hold nothing of their own cannot be loaded; there are only so many of them. */
    private void leaveTable(Table table) {
        String name = table.name().toString();
        String source = table.columns().isEmpty()
                ? "table " + name + " without columns"
                : "table " + name + " of computed columns alone";
        notes.byHand("table", name, source, FindingCode.NOT_TRANSLATED, "a table without columns that could be loaded");
        notes.notCreated(ObjectKind.TABLE, name);
    }

    private void refuseCollision(TableTranslator translator) {
        TableTranslator other = byTarget.putIfAbsent(translator.target(), translator);
        if (other != null) {
            throw new PlanException(
                    other.source().name() + " and " + translator.source().name() + " would both become "
                            + translator.target(),
                    "Send their schemas to different ones with `schemas` in raftcart.yaml, or exclude one.");
        }
    }

    private List<SequenceMapping> sequences() {
        List<SequenceMapping> mappings = new ArrayList<>();
        for (Schema schema : source.schemas()) {
            for (Sequence sequence : schema.sequences()) {
                ObjectName target = names.object(sequence.name());
                names.reserve(target);
                mappings.add(new SequenceMapping(sequence, target));
                notes.outcome(ObjectKind.SEQUENCE, sequence.name().toString());
            }
        }
        return mappings;
    }

    /** Both sides of a foreign key need one type; a chain of keys settles from its root on. */
    private void followReferredTypes() {
        boolean changed = true;
        for (int round = 0; changed && round <= tables.size(); round++) {
            changed = false;
            for (TableTranslator child : tables.values()) {
                for (ForeignKey key : child.source().foreignKeys()) {
                    changed |= follow(child, key);
                }
            }
        }
    }

    private boolean follow(TableTranslator child, ForeignKey key) {
        TableTranslator parent = tables.get(key.target());
        boolean changed = false;
        for (int i = 0; parent != null && i < key.columns().size(); i++) {
            TypeChoice leading = parent.types().choice(key.targetColumns().get(i));
            TypeChoice own = child.types().choice(key.columns().get(i));
            if (!own.sql().equals(leading.sql())) {
                child.types().follow(key.columns().get(i), leading);
                changed = true;
            }
        }
        return changed;
    }

    private TableMapping table(TableTranslator translator) {
        Table table = translator.source();
        List<ColumnMapping> columns = translator.columns();
        KeyTranslator keys = new KeyTranslator(from, to, plan.values().uniqueTexts(), names, notes, tables, translator);
        java.util.Optional<Key> primaryKey = keys.primaryKey();
        keys.translateIndexes();
        List<Key> uniqueKeys = keys.uniqueKeys();
        Table target = new Table(
                translator.target(),
                Stream.concat(columns.stream().map(ColumnMapping::target), keys.hiddenColumns().stream())
                        .toList(),
                primaryKey,
                uniqueKeys,
                Stream.concat(keys.foreignKeys().stream(), translator.references(columns).stream())
                        .toList(),
                translator.checks(),
                keys.indexes(),
                table.comment(),
                new PartitionTranslator(to, names, notes)
                        .partitions(
                                translator, Stream.concat(primaryKey.stream(), uniqueKeys.stream()), isReferred(table)),
                List.of(),
                table.rowEstimate(),
                table.byteEstimate());
        noteTable(table);
        return new TableMapping(
                table, target, columns, translator.rows(), plan.tables().moves(table.name()));
    }

    private boolean isReferred(Table table) {
        if (referred.isEmpty()) {
            tables.values().forEach(t -> t.source().foreignKeys().forEach(k -> referred.add(k.target())));
        }
        return referred.contains(table.name());
    }

    private void noteTable(Table table) {
        List<String> ignoring = table.columns().stream()
                .filter(Column::ignoresCase)
                .map(Column::name)
                .toList();
        if (!to.has(SqlFeature.IGNORES_CASE) && !ignoring.isEmpty()) {
            notes.find(FindingCode.TEXT_IGNORING_CASE, table.name().toString(), String.join(", ", ignoring));
        }
        List<String> accents = table.columns().stream()
                .filter(c -> c.ignoresCase() && ColumnFactory.losesAccents(c.collation(), from, to.language()))
                .map(Column::name)
                .toList();
        if (!accents.isEmpty()) {
            notes.find(FindingCode.ACCENTS_IGNORED, table.name().toString(), String.join(", ", accents));
        }
        List<String> storage = new ArrayList<>(table.physical());
        storage.removeIf(c -> c.startsWith(Clauses.NUMBERED) || Clauses.hasMeaning(c));
        table.physical().stream()
                .filter(Clauses::hasMeaning)
                .forEach(c -> notes.find(FindingCode.SYNTAX_CHECK, table.name().toString(), "left out: " + c));
        if (!storage.isEmpty()) {
            notes.find(FindingCode.PHYSICAL_CLAUSES, table.name().toString(), String.join("; ", storage));
        }
        table.physical().stream()
                .filter(c -> c.startsWith(Clauses.NUMBERED))
                .forEach(c -> notes.find(
                        FindingCode.SYNTAX_ADAPTED,
                        table.name().toString(),
                        c.substring(Clauses.NUMBERED.length()).strip()));
        notes.outcome(ObjectKind.TABLE, table.name().toString());
    }

    /** Enumerations that are objects of their own on the target: those of the source, and those made for columns. */
    private List<EnumeratedType> enumeratedTypes(List<TableMapping> mappings) {
        Map<ObjectName, EnumeratedType> types = new TreeMap<>();
        if (to.has(SqlFeature.ENUM_TYPES)) {
            mappings.forEach(m -> m.target().columns().forEach(c -> {
                LogicalType type = c.type() instanceof LogicalType.Array a ? a.element() : c.type();
                if (type instanceof LogicalType.Enumeration e) {
                    ObjectName name = new ObjectName(m.target().name().schema(), e.name());
                    types.put(name, new EnumeratedType(name, e.values()));
                }
            }));
        }
        if (enumerations.areTypes()) {
            names.enumerations().forEach(t -> {
                ObjectName name = new ObjectName(
                        names.schema(t.name().schema()),
                        to.identifiers().shorten(t.name().name()));
                types.putIfAbsent(name, new EnumeratedType(name, t.values()));
            });
        }
        source.schemas().stream()
                .flatMap(s -> s.enumeratedTypes().stream())
                .forEach(t -> notes.outcome(ObjectKind.TYPE, t.name().toString()));
        return List.copyOf(types.values());
    }

    /** What are statements of their own; what nobody takes care of is left to a person. */
    private List<CodeMapping> codeObjects() {
        tables.values().forEach(code::add);
        RoutineTranslator routines = new RoutineTranslator(code, source, names, from, to.language(), notes);
        source.schemas().stream().flatMap(s -> s.codeObjects().stream()).forEach(routines::know);
        routines.attempt(false);
        code.translate();
        routines.attempt(true);
        List<CodeMapping> all = new ArrayList<>(code.done());
        tables.values().forEach(t -> t.assigned()
                .forEach((column, value) -> assigned(t, column, value).ifPresent(all::add)));
        GrantTranslator grants = new GrantTranslator(code, names, to, plan.grants(), notes);
        ObjectComments comments = new ObjectComments(code, names, notes);
        ViewIndexes indexes = new ViewIndexes(code, names, to, notes);
        for (Schema schema : source.schemas()) {
            List<CodeObject> inOrder = schema.codeObjects().stream()
                    .sorted(Comparator.comparing(o -> o.kind() == ObjectKind.TRIGGER)) // behind what they call
                    .toList();
            for (CodeObject object : inOrder) {
                switch (object.kind()) {
                    case VIEW, MATERIALIZED_VIEW, SYNONYM -> {
                        // they are done already, in the order in which they read each other
                    }
                    case GRANT, ROLE -> grants.translate(object).ifPresent(all::add);
                    case COMMENT -> comments.translate(object).ifPresent(all::add);
                    case INDEX -> indexes.translate(object).ifPresent(all::add);
                    case FUNCTION, PROCEDURE, PACKAGE, TRIGGER ->
                        routines.translate(object).ifPresent(all::add);
                    case EVENT -> routines.event(object).ifPresent(all::add);
                    default -> leave(object);
                }
            }
        }
        return all;
    }

    private void leave(CodeObject object) {
        if (object.kind() == ObjectKind.TYPE && isDomain(object)) {
            String name = object.name().toString();
            notes.find(FindingCode.SYNTAX_ADAPTED, name, "its columns have its type, default and checks themselves");
            notes.outcome(object.kind(), name);
            return;
        }
        notes.byHand(
                object.kind().fileWord(),
                object.name().toString(),
                object.kind() == ObjectKind.STATEMENT ? withoutReason(object.source()) : object.source(),
                FindingCode.NOT_TRANSLATED,
                reason(object));
        notes.notCreated(object.kind(), object.name().toString());
    }

    private static String reason(CodeObject object) {
        return switch (object.kind()) {
            case STATEMENT -> notTaken(object.source());
            case TABLE -> "a temporary table, or one made by a query: it is made by what uses it, or by hand";
            default -> object.kind().indefinite() + ", which is not translated yet";
        };
    }

    private static String withoutReason(String source) {
        return source.startsWith("-- ") ? source.substring(source.indexOf('\n') + 1) : source;
    }

    /** Why a statement of a script was not taken into account, which stands in its first line. */
    private static String notTaken(String source) {
        String first = source.lines().findFirst().orElse("");
        return first.startsWith("-- ") ? first.substring(3) : "a statement that was not taken into account";
    }

    private boolean isDomain(CodeObject object) {
        try {
            return code.parse(object) instanceof DdlStatement.CreateDomain;
        } catch (SqlSyntaxException e) {
            return false; // it is left to a person with its text
        }
    }

    /** A column that is assigned at every update, by a trigger. */
    private Optional<CodeMapping> assigned(TableTranslator table, String column, String value) {
        QualifiedName name = TableExpressions.exact(table.target());
        boolean computes =
                table.source().columns().stream().anyMatch(c -> c.generated().isPresent());
        List<Name> watched = computes
                ? table.pairs().stream()
                        .filter(p -> p.source().generated().isEmpty())
                        .map(p -> new Name(p.targetName(), true))
                        .toList()
                : List.of();
        ObjectRewriter.Result result = to.has(SqlFeature.TRIGGER_FUNCTIONS)
                ? code.rewriter().assignOnUpdate(name, new Name(column, true), value, watched)
                : ObjectRewriter.Result.not("set to " + value + " at every update");
        String object = table.source().name() + "." + column;
        if (!result.done()) {
            notes.byHand("on-update", object, value, FindingCode.ASSIGNED_ON_UPDATE, result.reason());
            return Optional.empty();
        }
        notes.find(FindingCode.SYNTAX_ADAPTED, object, "assigned at every update by a trigger");
        String text = String.join(";\n\n", result.statements());
        ObjectName trigger =
                new ObjectName(table.target().schema(), table.target().name() + "_" + column);
        return Optional.of(new CodeMapping(object, new CodeObject(ObjectKind.TRIGGER, trigger, text)));
    }

    private List<Schema> schemas(
            List<TableMapping> tables,
            List<SequenceMapping> sequences,
            List<EnumeratedType> types,
            List<CodeMapping> code) {
        Set<String> names = new LinkedHashSet<>();
        tables.forEach(t -> names.add(t.target().name().schema()));
        sequences.forEach(s -> names.add(s.target().schema()));
        code.forEach(c -> names.add(c.target().name().schema()));
        return names.stream()
                .sorted(Comparator.naturalOrder())
                .map(name -> new Schema(
                        name,
                        tables.stream()
                                .map(TableMapping::target)
                                .filter(t -> t.name().schema().equals(name))
                                .toList(),
                        sequences.stream()
                                .filter(s -> s.target().schema().equals(name))
                                .map(s -> renamed(s.source(), s.target(), cache(s.source())))
                                .toList(),
                        types.stream()
                                .filter(t -> t.name().schema().equals(name))
                                .toList(),
                        code.stream()
                                .map(CodeMapping::target)
                                .filter(c -> c.name().schema().equals(name))
                                .toList()))
                .toList();
    }

    /** How many numbers are kept ahead: none where each session would lose what all of them share on the source. */
    private long cache(Sequence sequence) {
        boolean lost =
                to.language().has(SqlFeature.SESSIONS_KEEP_NUMBERS) && !from.has(SqlFeature.SESSIONS_KEEP_NUMBERS);
        if (lost && sequence.cache() > 1) {
            notes.find(
                    FindingCode.SYNTAX_ADAPTED,
                    sequence.name().toString(),
                    "no numbers ahead: each session would keep, and lose, " + sequence.cache() + " of them");
        }
        return lost ? Math.min(1, sequence.cache()) : sequence.cache();
    }

    private static Sequence renamed(Sequence s, ObjectName name, long cache) {
        return new Sequence(name, s.start(), s.increment(), s.minimum(), s.maximum(), s.next(), cache, s.cycle());
    }
}
