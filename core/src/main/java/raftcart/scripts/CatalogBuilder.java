package raftcart.scripts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.rewrite.CopyRows;
import raftcart.rewrite.ReadingModes;
import raftcart.rewrite.SequencePositions;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.script.ClientLines;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Applies the statements of scripts one after the other; what is there at the end is the catalog. */
final class CatalogBuilder {
    private static final Pattern STRUCTURAL =
            Pattern.compile("(?is)\\s*(create|alter|drop|comment|rename|grant|revoke|exec(ute)?\\s+sp_)\\b.*");

    /** What only asks, and leaves nothing behind. */
    private static final Pattern QUESTION = Pattern.compile("(?is)\\s*(select|show|explain|values)\\b.*");

    private final Language language;
    private final ReadingModes modes;
    private final ObjectNames names;
    private final Definitions definitions;
    private final Map<ObjectName, TableDraft> tables = new LinkedHashMap<>();
    private final Map<ObjectName, TableDraft> parts = new LinkedHashMap<>();
    private final Map<ObjectName, Sequence> sequences = new LinkedHashMap<>();
    private final Map<ObjectName, EnumeratedType> types = new LinkedHashMap<>();
    private final List<CodeObject> code = new ArrayList<>();
    private final LeftStatements left;
    private Optional<TableDraft> copied = Optional.empty();
    private int tablesMade;

    CatalogBuilder(Language language) {
        this.language = language;
        this.modes = new ReadingModes(language);
        this.names = new ObjectNames(language);
        this.left = new LeftStatements(code, names);
        this.definitions = new Definitions(language, names);
    }

    /** Takes the next piece of a file into account. */
    void take(Piece piece, String file) {
        switch (piece.kind()) {
            case STATEMENT, ROWS -> statements(piece, file);
            case DATA -> copied.ifPresent(t -> t.rows += piece.text().lines().count());
            case CLIENT ->
                ClientLines.effect(piece.text())
                        .ifPresent(e -> left.change(e, piece.text().strip(), file, piece.line()));
            case TOO_LONG -> left.keep("a statement that is too long", "", file, piece.line());
            default -> {
                // blanks and comments leave nothing behind
            }
        }
    }

    private void statements(Piece piece, String file) {
        if (language.scripts().contains(ScriptFeature.COPY_DATA) && CopyRows.isCopy(piece.text())) {
            copied = CopyRows.target(piece.text())
                    .flatMap(t -> CopyRows.insert(t, language, piece.line()))
                    .flatMap(i -> table(i.table()));
            return;
        }
        StatementParser.Result parsed =
                StatementParser.parse(piece.text(), modes.language().grammar(), piece.line(), piece.column());
        for (StatementParser.Parsed one : parsed.statements()) {
            one.statement().ifPresent(modes::take);
            String text = VersionedText.of(piece.text(), one.start(), one.end(), language);
            int line = piece.line()
                    + (int) piece.text()
                            .substring(0, one.start())
                            .chars()
                            .filter(c -> c == '\n')
                            .count();
            Optional<String> reason = one.statement().isPresent()
                    ? applied(one.statement().get(), text)
                    : Optional.of(one.failure().orElseThrow().reason());
            if (reason.isPresent() && STRUCTURAL.matcher(text).matches()) {
                left.keep(reason.get(), text, file, line);
            } else if (reason.isPresent() && !QUESTION.matcher(text).matches()) {
                left.change(reason.get(), text, file, line);
            }
        }
    }

    /** Applies what a statement consists of; the reason where it could not be. */
    Optional<String> applied(Statement statement, String text) {
        try {
            return RowChanges.single(statement, language).stream()
                    .flatMap(s -> apply(s, text).stream())
                    .findFirst();
        } catch (Untranslatable e) {
            return Optional.of(e.getMessage());
        }
    }

    /** Applies a statement; the reason where it could not be. */
    Optional<String> apply(Statement statement, String text) {
        if (statement instanceof CreateTable table) {
            return create(table, text);
        }
        if (statement instanceof DdlStatement.CreatePartition part) {
            Optional<TableDraft> whole = table(part.table());
            whole.ifPresent(t ->
                    addPartition(t, names.object(part.name()), part.partition().text()));
            return whole.isPresent() ? Optional.empty() : Optional.of("there is no table " + part.table());
        }
        if (statement instanceof DdlStatement.AlterTable alter) {
            return new Alteration(this, definitions, names).apply(alter);
        }
        if (statement instanceof DdlStatement.RenameTables several) {
            return several.renames().stream()
                    .map(r -> new Alteration(this, definitions, names).apply(r))
                    .flatMap(Optional::stream)
                    .findFirst();
        }
        if (statement instanceof DdlStatement.RenameObject rename) {
            return rename(rename);
        }
        if (statement instanceof DdlStatement.CreateIndex index) {
            return new IndexReader(this, definitions, names, code).create(index, text);
        }
        if (statement instanceof DdlStatement.CreateSequence sequence) {
            sequence(sequence);
            return Optional.empty();
        }
        if (statement instanceof DdlStatement.Drop drop) {
            return drop.ofCode() ? routine("DROP " + drop.kind(), text) : drop(drop);
        }
        if (statement instanceof DdlStatement.Comment comment) {
            new ScriptComments(this, names, code).take(comment, text);
            return Optional.empty();
        }
        if (statement instanceof DdlStatement.ColumnComments comments) {
            new ScriptComments(this, names, code).take(comments, text);
            return Optional.empty();
        }
        return further(statement, text);
    }

    private Optional<String> further(Statement statement, String text) {
        if (statement instanceof DdlStatement.CreateType type && type.fields().isEmpty()) {
            ObjectName name = names.object(type.name());
            types.put(name, new EnumeratedType(name, type.values()));
            definitions.addEnumeration(type.name(), type.values());
        } else if (statement instanceof DdlStatement.CreateDomain domain) {
            definitions.add(domain);
        } else if (statement instanceof DdlStatement.DomainCheck check) {
            definitions.add(check, tables.values());
        } else if (statement instanceof DdlStatement.CreateView view) {
            ObjectKind kind = view.materialized() ? ObjectKind.MATERIALIZED_VIEW : ObjectKind.VIEW;
            put(kind, names.object(view.name()), text);
        } else if (statement instanceof DdlStatement.CreateSynonym synonym) {
            put(ObjectKind.SYNONYM, names.object(synonym.name()), text);
        } else if (statement instanceof DdlStatement.CreateType type) {
            put(ObjectKind.TYPE, names.object(type.name()), text);
        } else if (statement instanceof DdlStatement.Grant grant) {
            grant(grant, text);
        } else if (statement instanceof DdlStatement.CreateRole role) {
            put(ObjectKind.ROLE, new ObjectName("", role.name().text()), text);
        } else if (statement instanceof DdlStatement.RoleMembers members) {
            put(ObjectKind.GRANT, new ObjectName(names.defaultSchema(), MemberNames.of(members)), text);
        } else if (statement instanceof DdlStatement.CreateSchema || statement instanceof Statement.UseSchema) {
            use(statement);
        } else if (statement instanceof Statement.Dml change) {
            return change(change, text);
        } else if (statement instanceof Statement.ClientCommand command
                && command.text().startsWith("COMMENT ON ")) {
            new ScriptComments(this, names, code).takeOther(text);
        } else if (statement instanceof Statement.NotTranslated || statement instanceof CodeStatement) {
            String code = statement instanceof CodeStatement.RunBlock ? "block of code" : "a routine";
            return routine(statement instanceof Statement.NotTranslated not ? not.what() : code, text);
        }
        return Optional.empty();
    }

    private Optional<String> change(Statement.Dml change, String text) {
        if (change instanceof Statement.Insert insert) {
            rows(insert);
        }
        if (change instanceof Statement.QueryStatement query) {
            query.into().ifPresent(t -> put(ObjectKind.TABLE, names.object(t), text));
            SequencePositions.of(query, language.grammar()).ifPresent(this::sequence);
        }
        return RowChanges.reason(change, t -> table(t).isPresent(), t -> table(t).filter(d -> d.rows > 0)
                .isPresent());
    }

    /** Remembers what names without a schema mean from here on. */
    private void use(Statement statement) {
        if (statement instanceof Statement.UseSchema use
                && (!use.database() || language.has(SqlFeature.DATABASES_ARE_SCHEMAS))) {
            names.use(use.schema());
        } else if (statement instanceof DdlStatement.CreateSchema schema
                && !schema.database()
                && language.has(SqlFeature.NEW_SCHEMA_IS_USED)) {
            names.use(schema.name());
        }
    }

    private void grant(DdlStatement.Grant grant, String text) {
        String schema = grant.objects().stream()
                .findFirst()
                .map(o -> names.object(o).schema())
                .orElseGet(names::defaultSchema);
        String what = String.join(", ", grant.grantees()) + " on "
                + String.join(
                        ", ",
                        grant.objects().stream().map(QualifiedName::toString).toList());
        put(ObjectKind.GRANT, new ObjectName(schema, (grant.revoke() ? "revoke " : "") + what), text);
    }

    private Optional<String> routine(String what, String text) {
        String plain = VersionedText.plain(text, language);
        if (RefreshedViews.refresh(plain, code, names)) {
            return Optional.empty();
        }
        if (Routines.isSetting(plain)) {
            return Routines.isAsMade(plain) ? Optional.empty() : Optional.of(what);
        }
        Optional<Routines.Head> dropped = Routines.dropped(plain, language);
        if (dropped.isPresent()) {
            return new CodeDrops(code, names).routine(dropped.get());
        }
        Optional<Routines.Head> head = Routines.head(plain, language);
        head.ifPresent(h -> put(h.kind(), h.object(names), text));
        return head.isPresent() ? Optional.empty() : Optional.of(what);
    }

    /** Keeps an object whose text is all that is known of it; one of the same name and kind is replaced. */
    void put(ObjectKind kind, ObjectName name, String text) {
        boolean repeats = kind != ObjectKind.GRANT;
        code.removeIf(
                c -> repeats && c.kind() == kind && c.name().equals(name) && !Routines.isBodyOf(c.source(), text));
        code.add(new CodeObject(kind, name, text, modes.mode()));
    }

    /** Adds a constraint to a table; one that nothing else can say is kept as it is. */
    void add(TableDraft table, TableConstraint constraint) {
        if (constraint.kind() != ConstraintKind.EXCLUDE) {
            definitions.add(table, constraint);
            return;
        }
        String name = constraint.name().map(Name::text).orElseGet(() -> table.nameFor(List.of(), "excl"));
        put(
                ObjectKind.CONSTRAINT,
                new ObjectName(table.name.schema(), name + " on " + table.name.name()),
                "ALTER TABLE " + table.name.name() + " ADD CONSTRAINT " + name + " "
                        + constraint.leftOut().get(0) + ";");
    }

    private Optional<String> create(CreateTable table, String text) {
        ObjectName name = names.object(table.name());
        if (table.ifNotExists() && tables.containsKey(name)) {
            return Optional.empty();
        }
        boolean temporary = table.temporary() != CreateTable.Temporary.NO;
        if (temporary || table.query().isPresent()) {
            put(ObjectKind.TABLE, name, text);
            return Optional.empty();
        }
        TableDraft draft = new TableDraft(tablesMade++, name);
        Optional<TableDraft> before = Optional.ofNullable(tables.put(name, draft));
        boolean whole = false;
        try {
            table.like().ifPresent(copy -> table(copy.table()).ifPresent(other -> draft.copy(other, copy)));
            definitions.define(draft, table);
            table.constraints().forEach(c -> add(draft, c));
            whole = true;
            return Optional.empty();
        } finally {
            if (!whole) {
                tables.remove(name); // a part of a table would hide that the rest is missing
                before.ifPresent(t -> tables.put(name, t));
            }
        }
    }

    /** Takes a table, or the name of one, for a part of another; what is said of it from then on is said of that. */
    void addPartition(TableDraft table, ObjectName part, String bounds) {
        Optional.ofNullable(tables.remove(part)).ifPresent(p -> {
            table.rows += p.rows;
            p.checks.stream()
                    .filter(c ->
                            table.checks.stream().noneMatch(o -> o.expression().equals(c.expression())))
                    .forEach(c -> table.physical.add("check " + c.name() + " of its partition " + part.name()));
            p.foreignKeys.forEach(
                    k -> table.physical.add("foreign key " + k.name() + " of its partition " + part.name()));
        });
        parts.put(part, table);
        table.addPartition(part.name(), bounds);
    }

    /** True for a part of a table, whose keys and indexes are those of the table. */
    boolean isPart(QualifiedName name) {
        return parts.containsKey(names.object(name));
    }

    /** The table of this name; one of another schema where the name says none and there is but one. */
    Optional<TableDraft> table(QualifiedName name) {
        ObjectName wanted = names.object(name);
        TableDraft exact = tables.get(wanted);
        if (exact != null) {
            return Optional.of(exact);
        }
        if (parts.containsKey(wanted)) {
            return Optional.of(parts.get(wanted));
        }
        List<TableDraft> alike = tables.values().stream()
                .filter(t -> t.name.name().equalsIgnoreCase(wanted.name()))
                .filter(t -> name.parts().size() == 1 || t.name.schema().equalsIgnoreCase(wanted.schema()))
                .toList();
        return alike.size() == 1 ? Optional.of(alike.get(0)) : Optional.empty();
    }

    /** The sequence of this name. */
    Optional<Sequence> sequence(QualifiedName name) {
        return sequence(names.object(name));
    }

    Optional<Sequence> sequence(ObjectName name) {
        return Optional.ofNullable(sequences.get(name));
    }

    /** The keys that triggers fill from sequences. */
    List<KeyTriggers.Fill> filledKeys() {
        return new KeyTriggers(language, names).fills(tables, code);
    }

    /** The tables by their numbers. */
    Map<Integer, TableDraft> drafts() {
        return tables.values().stream().collect(Collectors.toMap(t -> t.id, t -> t));
    }

    /** Gives a table another name, in the foreign keys that lead to it too. */
    void rename(TableDraft table, QualifiedName to) {
        ObjectName old = table.name;
        String schema = to.parts().size() > 1 ? names.object(to).schema() : old.schema();
        tables.remove(old);
        table.name = new ObjectName(schema, names.stored(to.last()));
        tables.put(table.name, table);
        tables.values().forEach(t -> t.foreignKeys.replaceAll(k -> ForeignKeys.leading(k, old, table.name)));
    }

    /** Another name for a table, an index or a constraint; the reason where there is none of the old name. */
    private Optional<String> rename(DdlStatement.RenameObject rename) {
        Optional<TableDraft> table = rename.kind() == DdlStatement.RenameObject.Kind.TABLE_OR_CONSTRAINT
                ? table(rename.from())
                : Optional.empty();
        table.ifPresent(t -> rename(t, new QualifiedName(List.of(rename.to()))));
        String part = rename.from().last().text();
        boolean found = table.isPresent()
                || mayHave(rename.from(), Optional.empty())
                        .anyMatch(t -> t.renamePart(part, names.stored(rename.to())));
        return found ? Optional.empty() : Optional.of("there is nothing called " + rename.from());
    }

    /** The tables that may have an index or constraint: the one that is named, or those of its schema. */
    private Stream<TableDraft> mayHave(QualifiedName part, Optional<QualifiedName> table) {
        String schema = part.parts().size() > 1 ? names.object(part).schema() : "";
        return table.map(t -> table(t).stream()).orElseGet(() -> List.copyOf(tables.values()).stream()
                .filter(t -> schema.isEmpty() || t.name.schema().equalsIgnoreCase(schema)));
    }

    /** Foreign keys follow a column that got another name. */
    void follow(TableDraft table, String old, String now) {
        tables.values().forEach(t -> t.foreignKeys.replaceAll(k -> ForeignKeys.leading(k, table.name, old, now)));
    }

    private void sequence(DdlStatement.CreateSequence given) {
        ObjectName name = names.object(given.name());
        Sequence before = sequences.get(name);
        if (given.alter() && before == null) {
            Alteration.restartIdentity(tables.values(), given);
            return;
        }
        sequences.put(name, Sequences.of(name, given, Optional.ofNullable(before), language));
    }

    private Optional<String> drop(DdlStatement.Drop drop) {
        for (QualifiedName name : drop.names()) {
            ObjectName object = names.object(name);
            if (drop.kind().equals("TABLE") && isPart(name)) {
                return Optional.of("one partition is dropped, with its rows");
            }
            switch (drop.kind()) {
                case "TABLE" ->
                    table(name).ifPresent(t -> {
                        tables.remove(t.name);
                        new CodeDrops(code, names).triggers(t.name);
                    });
                case "SEQUENCE" -> sequences.remove(object);
                case "INDEX" -> {
                    mayHave(name, drop.table())
                            .forEach(t -> t.indexes.removeIf(i -> i.name().equalsIgnoreCase(object.name())));
                    new CodeDrops(code, names).other(drop.kind(), object);
                }
                case "TYPE", "DOMAIN" -> {
                    types.remove(object);
                    definitions.remove(name);
                }
                case "SCHEMA", "DATABASE" -> {
                    tables.keySet().removeIf(t -> t.schema().equalsIgnoreCase(object.name()));
                    sequences.keySet().removeIf(s -> s.schema().equalsIgnoreCase(object.name()));
                    types.keySet().removeIf(t -> t.schema().equalsIgnoreCase(object.name()));
                    code.removeIf(c -> c.name().schema().equalsIgnoreCase(object.name()));
                }
                case "ROLE" -> new CodeDrops(code, names).role(name);
                default -> new CodeDrops(code, names).other(drop.kind(), object);
            }
        }
        return Optional.empty();
    }

    private void rows(Statement.Insert insert) {
        long rows = insert.source().isPresent() && insert.source().get().body() instanceof QueryBody.Values v
                ? v.rows().size()
                : 1;
        table(insert.table()).ifPresent(t -> t.rows += rows);
    }

    /** What all statements together have made. */
    Catalog catalog(String version) {
        new KeyTriggers(language, names).apply(tables, code);
        OwnedSequences.apply(tables, sequences);
        tables.values().forEach(t -> t.foreignKeys.replaceAll(k -> ForeignKeys.complete(k, tables)));
        if (language.has(SqlFeature.FOREIGN_KEYS_ARE_INDEXED)) {
            tables.values().forEach(ForeignKeys::index);
        }
        TreeSet<String> schemas = new TreeSet<>();
        tables.keySet().forEach(t -> schemas.add(t.schema()));
        sequences.keySet().forEach(s -> schemas.add(s.schema()));
        types.keySet().forEach(t -> schemas.add(t.schema()));
        code.forEach(c -> schemas.add(c.name().schema()));
        List<Schema> all = schemas.stream()
                .map(s -> new Schema(
                        s,
                        tables.values().stream()
                                .filter(t -> t.name.schema().equals(s))
                                .sorted(Comparator.comparing(t -> t.name))
                                .map(TableDraft::table)
                                .toList(),
                        sequences.values().stream()
                                .filter(q -> q.name().schema().equals(s))
                                .toList(),
                        types.values().stream()
                                .filter(t -> t.name().schema().equals(s))
                                .toList(),
                        code.stream().filter(c -> c.name().schema().equals(s)).toList()))
                .toList();
        return new Catalog(language.name(), version, names.defaultSchema(), all);
    }
}
