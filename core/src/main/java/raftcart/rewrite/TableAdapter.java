package raftcart.rewrite;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.Clauses;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.Span;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Partitioning;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts the definitions of tables; remembers them for what follows. */
final class TableAdapter {
    private static final Pattern NO_CASE = Pattern.compile("nocase|[-_]ci\\b|_ci_|sql_text_ucc");
    private static final Pattern TYPE_WITHOUT_CASE = Pattern.compile("(\\w+[.])?citext|varchar_ignorecase");

    private final QueryAdapter adapter;

    private final ColumnAdapter columns;

    TableAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
        this.columns = new ColumnAdapter(adapter);
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    List<Statement> create(CreateTable given) {
        CopiedTables copies = new CopiedTables(adapter);
        CreateTable table = new TableLimits(adapter).within(copies.spelled(given));
        List<KnownColumn> known = copies.known(table).collect(Collectors.toCollection(ArrayList::new));
        for (ColumnDefinition column : table.columns()) {
            known.add(known(column, table.collation()));
        }
        table.query().ifPresent(q -> adapter.finder
                .columns(q, adapter.scope)
                .forEach(c -> known.add(new KnownColumn(Name.of(c.name()), c.type(), c.notNull(), c.ignoresCase()))));
        adapter.knowledge.add(table.name(), known, keys(table));
        adapter.knowledge.definitions().add(table);
        new KeyTypes(adapter).remember(table, c -> known(c, table.collation()));
        adapter.scope = new Scope(Optional.of(adapter.scope));
        Relation.of(table.name().last().text(), table.name(), adapter.knowledge).ifPresent(adapter.scope::add);
        rememberAddress(table);
        table.columns().forEach(c -> remember(c, table.name()));
        if (adapter.same()) {
            return List.of(table);
        }
        leftOut(table.leftOut(), table);
        new TextRules(adapter).stored(known, table.span());
        return has(SqlFeature.IDENTITY) || !has(SqlFeature.SEQUENCES) ? adapted(table) : numberedBySequences(table);
    }

    private List<Statement> numberedBySequences(CreateTable table) {
        List<Statement> all = new ArrayList<>();
        all.addAll(adapted(new ColumnSequences(adapter).made(table, all::add)));
        return all;
    }

    /** SQLite's INTEGER PRIMARY KEY is another name of the row's address; other names of the type will not do. */
    private void rememberAddress(CreateTable table) {
        List<List<Name>> keys = keys(table);
        if (!adapter.from.has(SqlFeature.ROWID_KEYS)
                || keys.isEmpty()
                || keys.get(0).size() != 1) {
            return;
        }
        Name key = keys.get(0).get(0);
        table.columns().stream()
                .filter(c -> c.name().matches(key))
                .filter(c -> c.type().filter(t -> t.name().equals("integer")).isPresent())
                .forEach(c -> adapter.knowledge.addAddress(table.name(), c.name()));
    }

    /** Remembers a column that the engine numbers. */
    void remember(ColumnDefinition column, QualifiedName table) {
        column.generated().ifPresent(g -> adapter.knowledge.addComputed(table, column.name()));
        column.identity()
                .ifPresent(i -> adapter.knowledge.addNumbered(
                        table, column.name(), i.start().orElse(BigInteger.ONE)));
        column.constraints().stream()
                .filter(c -> c.kind() == ConstraintKind.UNIQUE && c.name().isPresent())
                .map(c -> new QualifiedName(List.of(c.name().get())))
                .forEach(n -> adapter.knowledge.addIndex(new Knowledge.KnownIndex(n, table, n, true)));
    }

    private void leftOut(List<String> clauses, Statement statement) {
        for (String clause : clauses) {
            boolean structure = Clauses.hasMeaning(clause);
            adapter.note(
                    structure ? FindingCode.SYNTAX_CHECK : FindingCode.PHYSICAL_CLAUSES,
                    statement.span(),
                    (structure ? "left out: " : "") + clause);
        }
    }

    KnownColumn known(ColumnDefinition column, Optional<String> ofTable) {
        boolean key = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        boolean notNull = key || column.notNull().orElse(false);
        Optional<LogicalType> type = ColumnFactory.type(column, adapter)
                .map(t -> column.identity().isPresent() ? columns.numberedType(t) : t);
        LogicalType perhaps = type.orElse(new LogicalType.Text(0));
        return new KnownColumn(
                column.name(), type, notNull, ColumnFactory.ignoresCase(column, perhaps, ofTable, adapter.from));
    }

    /** True where the column says itself that its texts compare without regard to case. */
    static boolean saysItIgnoresCase(ColumnDefinition column) {
        String collation = column.collation().orElse("").toLowerCase(Locale.ROOT);
        return !collation.isEmpty() && NO_CASE.matcher(collation).find()
                || column.type().filter(TableAdapter::ignoresCase).isPresent();
    }

    /** True for a type whose texts are the same in capitals and small letters. */
    static boolean ignoresCase(TypeName type) {
        return TYPE_WITHOUT_CASE.matcher(type.name()).matches();
    }

    static List<List<Name>> keys(CreateTable table) {
        List<List<Name>> keys = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            for (TableConstraint c : column.constraints()) {
                addKey(keys, c, List.of(column.name()));
            }
        }
        for (TableConstraint c : table.constraints()) {
            addKey(keys, c, names(c.parts()));
        }
        return keys;
    }

    private static void addKey(List<List<Name>> keys, TableConstraint c, List<Name> columns) {
        if (c.kind() == ConstraintKind.PRIMARY_KEY) {
            keys.add(0, columns);
        } else if (c.isKeyOfColumns()) {
            keys.add(columns);
        }
    }

    static List<Name> names(List<IndexPart> parts) {
        List<Name> names = new ArrayList<>();
        for (IndexPart part : parts) {
            if (part.value() instanceof Expr.Column column) {
                names.add(column.name().last());
            }
        }
        return names;
    }

    private List<Statement> adapted(CreateTable table) {
        List<Statement> after = new ArrayList<>();
        List<TableConstraint> constraints = new ArrayList<>();
        List<ColumnDefinition> adapted = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            if (columns.readsNumbered(column, table)) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        column.span(),
                        "the computed column " + column.name().text()
                                + " is left out, since it reads the numbered one");
                continue;
            }
            adapted.add(columns.column(column, table, constraints));
            if (column.comment().isPresent() && !has(SqlFeature.INLINE_COMMENTS)) {
                comment(
                        "COLUMN",
                        table.name().with(column.name()),
                        column.comment().get(),
                        table,
                        after);
            }
            if (column.onUpdate().isPresent() && !has(SqlFeature.ASSIGNS_ON_UPDATE)) {
                onUpdate(column, table, after);
            }
        }
        constraints(table, constraints, after);
        table.columns().forEach(c -> startOfNumbers(c, table, after));
        adapted.stream()
                .filter(c -> c.identity().isPresent())
                .findFirst()
                .flatMap(c -> keyOf(c.name(), table.name(), keys(table)))
                .ifPresent(constraints::add);
        dropTwins(constraints, table);
        if (table.comment().isPresent() && !has(SqlFeature.INLINE_COMMENTS)) {
            comment("TABLE", table.name(), table.comment().get(), table, after);
        }
        new RowidKeys(adapter).rewrite(adapted, constraints);
        new TableLimits(adapter).oneCheckEach(adapted, constraints);
        new TableLimits(adapter).inRow(adapted, constraints);
        return finished(table, adapted, constraints, after);
    }

    /** The first number of a column, where the target says that of a table that is there. */
    private void startOfNumbers(ColumnDefinition column, CreateTable table, List<Statement> after) {
        column.identity()
                .flatMap(IdentityOptions::start)
                .filter(s -> s.compareTo(BigInteger.ONE) > 0
                        && has(SqlFeature.NUMBERS_BY_ONE)
                        && has(SqlFeature.IDENTITY_RESTARTS))
                .ifPresent(s -> after.add(new DdlStatement.AlterTable(
                        table.name(),
                        false,
                        List.of(new AlterAction.RestartIdentity(column.name(), s)),
                        column.span())));
    }

    /** A unique key on the columns of the primary key says nothing more, and some engines refuse it. */
    private void dropTwins(List<TableConstraint> constraints, CreateTable table) {
        List<List<String>> primary = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            column.constraints().stream()
                    .filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                    .forEach(c -> primary.add(List.of(column.name().key())));
        }
        constraints.stream().filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY).forEach(c -> primary.add(keys(c)));
        boolean dropped = constraints.removeIf(c -> c.kind() == ConstraintKind.UNIQUE && primary.contains(keys(c)));
        if (dropped) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, table.span(), "UNIQUE on the columns of the primary key");
        }
    }

    private static List<String> keys(TableConstraint constraint) {
        return names(constraint.parts()).stream().map(Name::key).toList();
    }

    private void constraints(CreateTable table, List<TableConstraint> constraints, List<Statement> after) {
        ConstraintIndexes indexes = new ConstraintIndexes(adapter);
        for (TableConstraint constraint : table.constraints()) {
            if (indexes.takes(constraint)) {
                after.addAll(new UnsaidParts(adapter)
                        .statements(
                                "the index " + constraint.name().map(Name::text).orElse(""),
                                constraint.span(),
                                () -> indexes.made(constraint, table.name())));
            } else {
                new ConstraintAdapter(adapter)
                        .constraint(new IndexNames(adapter).key(constraint, table.name()))
                        .ifPresent(constraints::add);
            }
        }
    }

    private List<Statement> finished(
            CreateTable table,
            List<ColumnDefinition> adapted,
            List<TableConstraint> constraints,
            List<Statement> after) {
        Temporary temporary = new TemporaryTables(adapter).lifetime(table);
        boolean together = adapter.same() || FilledTables.keptTogether(adapter);
        if (!together
                && table.query().isPresent()
                && adapted.stream().anyMatch(c -> c.type().isPresent())) {
            throw new Untranslatable("columns defined beside a query");
        }
        boolean ifNotExists =
                table.ifNotExists() && new StructureAdapter(adapter).canSayIf(SqlFeature.IF_NOT_EXISTS, table);
        accents(table);
        List<Statement> all = new ArrayList<>();
        if (table.query().isPresent() && !has(SqlFeature.CREATE_TABLE_AS) && has(SqlFeature.SELECT_INTO)) {
            all.addAll(intoTable(table, temporary, ifNotExists));
            replaced(table).ifPresent(d -> all.add(0, d));
            return all;
        }
        Optional<Partitioning> parts =
                table.partitioning().flatMap(p -> partitions(table, adapted).adapted(p));
        boolean apart = has(SqlFeature.PARTITIONS_ARE_TABLES);
        all.add(new CreateTable(
                table.name(),
                ifNotExists,
                temporary,
                adapted,
                constraints,
                table.like(),
                table.query()
                        .map(new ItemNames(adapter)::named)
                        .map(q -> adapter.query(table.withData() ? q : withoutRows(q))),
                table.withData() || !has(SqlFeature.TABLE_AS_WITHOUT_DATA),
                table.comment(),
                columns.collationOfTable(table),
                parts.map(p -> apart ? p.withPartitions(List.of()) : p),
                List.of(),
                table.span()));
        parts.filter(p -> apart).stream()
                .flatMap(p -> p.partitions().stream())
                .map(p -> new DdlStatement.CreatePartition(p.name().orElseThrow(), table.name(), p, table.span()))
                .forEach(all::add);
        all.addAll(after);
        replaced(table).ifPresent(d -> all.add(0, d));
        return all;
    }

    private void accents(CreateTable table) {
        String names = table.columns().stream()
                .filter(c -> c.type().isPresent()
                        && known(c, table.collation()).ignoresCase()
                        && ColumnFactory.losesAccents(
                                ColumnFactory.collation(c, table.collation()), adapter.from, adapter.to))
                .map(c -> c.name().text())
                .collect(Collectors.joining(", "));
        if (!names.isEmpty()) {
            adapter.note(FindingCode.ACCENTS_IGNORED, table.span(), names);
        }
    }

    private PartitionAdapter partitions(CreateTable table, List<ColumnDefinition> adapted) {
        boolean references = Stream.concat(
                        table.constraints().stream(), table.columns().stream().flatMap(c -> c.constraints().stream()))
                .anyMatch(c -> c.kind() == ConstraintKind.FOREIGN_KEY);
        PartitionAdapter.Around around =
                new PartitionAdapter.Around(table.name(), keys(table), references, n -> adapted.stream()
                        .filter(c -> c.name().matches(n))
                        .findFirst()
                        .flatMap(ColumnDefinition::type)
                        .map(t -> adapter.to
                                .types()
                                .read(TypeNameParser.parse(
                                        t.name(), adapter.to.grammar().lexical()))));
        return new PartitionAdapter(adapter, around, table.span());
    }

    /** What drops the table that is there, for a table that takes its place. */
    private Optional<Statement> replaced(CreateTable table) {
        if (!table.leftOut().contains("OR REPLACE")) {
            return Optional.empty();
        }
        if (!has(SqlFeature.IF_EXISTS)) {
            adapter.note(FindingCode.SYNTAX_CHECK, table.span(), "OR REPLACE is left out; drop the table first");
            return Optional.empty();
        }
        return Optional.of(
                new DdlStatement.Drop("TABLE", List.of(table.name()), true, false, Optional.empty(), table.span()));
    }

    /** CREATE TABLE AS as SELECT ... INTO. */
    private List<Statement> intoTable(CreateTable table, Temporary temporary, boolean ifNotExists) {
        if (ifNotExists || !table.constraints().isEmpty()) {
            throw new Untranslatable("a table of a query with more than the rows");
        }
        Query query = new ItemNames(adapter).named(table.query().orElseThrow());
        Query rows = adapter.query(table.withData() ? query : withoutRows(query));
        if (!(rows.body() instanceof QueryBody.Select)) {
            TableRef all = new TableRef.Derived(rows, false, Optional.of(TableRef.Alias.of("rows_")), table.span());
            Expr star = new Expr.Star(Optional.empty(), List.of(), table.span());
            rows = Query.of(QueryBody.Select.of(List.of(QueryBody.Item.of(star)), List.of(all), Optional.empty()));
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, table.span(), "CREATE TABLE AS as SELECT INTO");
        return List.of(
                new Statement.QueryStatement(rows, Optional.of(table.name()), temporary != Temporary.NO, table.span()));
    }

    /** A query without rows, where the statement itself cannot say that the table is to be empty. */
    private Query withoutRows(Query query) {
        if (has(SqlFeature.TABLE_AS_WITHOUT_DATA)) {
            return query;
        }
        Expr never =
                new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(1), Expr.Literal.number(0), query.span());
        TableRef rows =
                new TableRef.Derived(query, false, Optional.of(TableRef.Alias.of("source_rows_")), query.span());
        return Query.of(QueryBody.Select.of(
                List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), query.span()))),
                List.of(rows),
                Optional.of(never)));
    }

    /** A column that the engine assigns at every change: by a trigger, where that can be written. */
    private void onUpdate(ColumnDefinition column, CreateTable table, List<Statement> after) {
        String name = column.name().text();
        if (has(SqlFeature.TRIGGER_FUNCTIONS)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, column.span(), "ON UPDATE of " + name + " as a trigger");
            after.add(new DdlStatement.AssignOnUpdate(
                    table.name(), column.name(), adapter.expr(column.onUpdate().get()), watched(table), column.span()));
        } else {
            columns.onUpdateLeftOut(column);
        }
    }

    /** The columns that are no computed ones, where there are such. */
    private static List<Name> watched(CreateTable table) {
        boolean computed = table.columns().stream().anyMatch(c -> c.generated().isPresent());
        return computed
                ? table.columns().stream()
                        .filter(c -> c.generated().isEmpty())
                        .map(ColumnDefinition::name)
                        .toList()
                : List.of();
    }

    private void comment(String kind, QualifiedName name, String text, CreateTable table, List<Statement> after) {
        if (has(SqlFeature.COMMENT_ON)) {
            after.add(new DdlStatement.Comment(kind, name, Optional.of(text), table.span()));
        } else {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, table.span(), "the comment on " + name);
        }
    }

    /** A name for an index that has none. */
    static QualifiedName indexName(QualifiedName table, List<IndexPart> parts) {
        List<String> columns = names(parts).stream().map(Name::text).toList();
        return QualifiedName.of(table.last().text() + "_" + String.join("_", columns) + "_idx");
    }

    /** The key that a numbered column needs, where it has none yet. */
    Optional<TableConstraint> keyOf(Name column, QualifiedName table, List<List<Name>> keys) {
        boolean there = keys.stream().anyMatch(k -> k.get(0).matches(column));
        if (there || !has(SqlFeature.NUMBERED_COLUMNS_ARE_KEYS)) {
            return Optional.empty();
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                Span.NONE,
                "a key for " + column.text() + ", which is numbered, of " + table);
        return Optional.of(new TableConstraint(
                ConstraintKind.UNIQUE,
                Optional.empty(),
                List.of(IndexPart.of(column)),
                Optional.empty(),
                Optional.empty(),
                false,
                false,
                false,
                List.of(),
                Span.NONE));
    }
}
