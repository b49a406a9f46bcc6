package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import raftcart.catalog.CodeObject;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.DdlPrinter;
import raftcart.dialect.Dialect;
import raftcart.finding.Finding;

/** Makes the scripts of a translation: one object a file, named so that the order of names is the order of running. */
public final class ScriptWriter {
    /** Where the scripts of tables stand, one a table in the order of the translation's tables. */
    public static final String TABLES = "target/40-tables/";

    /** The folder of the scripts that make types. */
    public static final String TYPES = "target/20-types/";

    /** The folder of the scripts that make sequences. */
    public static final String SEQUENCES = "target/30-sequences/";

    /** The folder of the scripts that make tables of values. */
    public static final String LOOKUPS = "target/35-lookups/";

    private static final String RUN =
            "-- `raftcart build --stage after-data` and `raftcart load` run this file once it is edited.\n";

    private final Translation translation;
    private final Dialect to;
    private final DdlPrinter ddl;
    private final List<Script> scripts = new ArrayList<>();
    private int number;

    private ScriptWriter(Translation translation, Dialect to) {
        this.translation = translation;
        this.to = to;
        this.ddl = to.ddl();
    }

    /** All scripts in running order; those of before the data come first. */
    public static List<Script> scripts(Translation translation, Dialect to, String defaultSchema) {
        ScriptWriter writer = new ScriptWriter(translation, to);
        writer.write(defaultSchema);
        return List.copyOf(writer.scripts);
    }

    private void write(String defaultSchema) {
        List<Schema> schemas = translation.target().schemas();
        schemas.stream()
                .map(Schema::name)
                .filter(s -> !s.equals(defaultSchema))
                .forEach(s -> add("target/10-schemas/", s, "schema " + s, List.of(ddl.createSchema(s)), false));
        number = 0;
        for (Schema schema : schemas) {
            for (EnumeratedType type : schema.enumeratedTypes()) {
                add(TYPES, type.name().name(), "type " + type.name(), List.of(ddl.createType(type)), false);
            }
        }
        number = 0;
        for (Schema schema : schemas) {
            for (Sequence sequence : schema.sequences()) {
                add(
                        SEQUENCES,
                        sequence.name().name(),
                        "sequence " + sequence.name(),
                        List.of(ddl.createSequence(sequence)),
                        false);
            }
        }
        number = 0;
        for (Lookup lookup : translation.lookups()) {
            ObjectName name = lookup.table().name();
            List<String> statements = new ArrayList<>(ddl.createTable(lookup.table()));
            statements.addAll(rows(lookup));
            add(LOOKUPS, name.name(), "table " + name + " of values", statements, false);
        }
        number = 0;
        for (TableMapping mapping : created()) {
            Table table = mapping.target();
            add(TABLES, table.name().name(), "table " + table.name(), ddl.createTable(table), false);
        }
        afterData();
        code();
    }

    private List<String> rows(Lookup lookup) {
        String into = "INSERT INTO " + to.identifiers().quote(lookup.table().name()) + " VALUES (";
        List<String> rows = new ArrayList<>();
        for (String value : lookup.values()) {
            rows.add(into + Enumerations.literal(value, to) + ", " + (rows.size() + 1) + ")");
        }
        return rows;
    }

    private void afterData() {
        number = 0;
        for (TableMapping mapping : created()) {
            ObjectName table = mapping.target().name();
            for (Key key : mapping.target().uniqueKeys()) {
                add(
                        "target/50-indexes/",
                        table.name() + "." + key.name(),
                        "unique key " + key.name() + " of " + table,
                        List.of(ddl.addUniqueKey(table, key)),
                        true);
            }
            for (Index index : mapping.target().indexes()) {
                add(
                        "target/50-indexes/",
                        table.name() + "." + index.name(),
                        "index " + index.name() + " of " + table,
                        List.of(ddl.createIndex(table, index)),
                        true);
            }
        }
        number = 0;
        for (TableMapping mapping : created()) {
            ObjectName table = mapping.target().name();
            for (ForeignKey key : mapping.target().foreignKeys()) {
                add(
                        "target/60-foreign-keys/",
                        table.name() + "." + key.name(),
                        "foreign key " + key.name() + " of " + table,
                        List.of(ddl.addForeignKey(table, key)),
                        true);
            }
        }
    }

    /** Views, which may read any table, and triggers, which are not to see the rows that are loaded. */
    private void code() {
        Map<ObjectKind, String> folders = Map.of(
                ObjectKind.FUNCTION, "target/65-routines/",
                ObjectKind.PROCEDURE, "target/65-routines/",
                ObjectKind.PACKAGE, "target/65-routines/",
                ObjectKind.TRIGGER, "target/80-triggers/",
                ObjectKind.GRANT, "target/90-grants/");
        number = 0;
        for (CodeMapping mapping : translation.code()) {
            CodeObject object = mapping.target();
            String folder = folders.getOrDefault(object.kind(), "target/70-views/");
            String what = object.kind().word() + " " + object.name();
            add(folder, object.name().name(), what, List.of(object.source()), true);
        }
    }

    private void add(String folder, String name, String object, List<String> statements, boolean afterData) {
        String path = String.format("%s%04d-%s.sql", folder, ++number, fileName(name));
        scripts.add(new Script(path, object, statements, afterData));
    }

    /** The text of a script's file: what it makes, what there is to know, and its statements. */
    public static String text(Script script, List<Finding> findings) {
        StringBuilder text = new StringBuilder("-- ").append(script.object()).append('\n');
        for (Finding finding : findings) {
            text.append("-- ")
                    .append(finding.code().code())
                    .append(' ')
                    .append(finding.outcome().label());
            text.append(": ")
                    .append(finding.object())
                    .append(": ")
                    .append(oneLine(finding.detail()))
                    .append('\n');
        }
        return text.append(script.statements().stream()
                        .map(ScriptWriter::ended)
                        .collect(Collectors.joining("\n\n", "", "\n")))
                .toString();
    }

    /** A statement with its separator, which one that names another separator brings with it. */
    static String ended(String statement) {
        return statement.endsWith(";") ? statement : statement + ";";
    }

    private List<TableMapping> created() {
        return translation.tables().stream().filter(TableMapping::isCreated).toList();
    }

    /** The path and text of the file that hands an object to a person. */
    public static Script byHand(ByHand byHand) {
        String head = "-- " + byHand.kind() + " " + byHand.name() + "\n-- "
                + byHand.code().code() + " by hand: " + oneLine(byHand.reason()) + "\n";
        String text = byHand.ready().isEmpty()
                ? "-- The source is below; nothing of it is on the target. Put the target's statements in its place:\n"
                        + RUN + byHand.source().strip() + "\n"
                : "-- It is translated; to have it run, remove this line:\n" + RUN + "-- The source:\n"
                        + byHand.source().strip().replaceAll("(?m)^", "--   ") + "\n"
                        + byHand.ready().strip() + "\n";
        return new Script(
                "by-hand/" + byHand.kind() + "/" + fileName(byHand.name()) + ".sql",
                byHand.kind() + " " + byHand.name(),
                List.of(head + text),
                true);
    }

    private static String oneLine(String text) {
        return text.replaceAll("\\s+", " ");
    }

    /** A name as part of a file name on any system; two names never meet, since a number or kind stands before. */
    private static String fileName(String name) {
        String safe = name.replaceAll("[^\\p{L}\\p{N}._-]", "_");
        String cut = safe.length() > 100 ? safe.substring(0, 100) : safe;
        return cut.equals(name) ? cut : cut + String.format(Locale.ROOT, "-%08x", name.hashCode());
    }
}
