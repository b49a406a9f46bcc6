package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.Span;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;
import raftcart.type.LogicalType;

/** Changes a statement so that it does on the target what it does on the source; may become none or several. */
final class StatementAdapter {
    private final QueryAdapter adapter;

    StatementAdapter(Language from, Language to, Knowledge knowledge, AdaptNotes notes) {
        this.adapter = new QueryAdapter(from, to, knowledge, notes);
    }

    QueryAdapter expressions() {
        return adapter;
    }

    List<Statement> adapt(Statement statement) {
        refuseCursors(statement);
        List<Statement> statements = new ArrayList<>();
        for (Statement one : adapted(statement)) {
            statements.add(TemporaryNames.of(one, adapter));
        }
        return statements;
    }

    private List<Statement> adapted(Statement statement) {
        if (statement instanceof Statement.QueryStatement query) {
            Optional<Statement.CallProcedure> call = query.into().isPresent()
                    ? Optional.empty()
                    : adapter.knowledge.code().signatures().called(query.query());
            return call.isPresent() ? List.of(called(call.get())) : query(query);
        }
        if (statement instanceof Insert insert) {
            boolean strict = insert.mode() != Insert.Mode.IGNORE && from(SqlFeature.ZERO_DIVISION_FAILS_IN_CHANGES);
            return adapter.dividing(strict, () -> inserts(insert));
        }
        if (statement instanceof Statement.MultiInsert multi) {
            return multi(multi);
        }
        if (statement instanceof Statement.Update update) {
            ReadTargets.note(update, adapter);
            return adapter.dividing(
                    from(SqlFeature.ZERO_DIVISION_FAILS_IN_CHANGES),
                    () -> List.of(new ChangeAdapter(adapter).update(update)));
        }
        if (statement instanceof Statement.Delete delete) {
            ReadTargets.note(delete, adapter);
            return List.of(new DeleteAdapter(adapter).delete(delete));
        }
        if (statement instanceof Statement.Merge merge) {
            return merged(merge);
        }
        if (statement instanceof Statement.Truncate truncate) {
            truncate.leftOut().forEach(c -> adapter.note(FindingCode.PHYSICAL_CLAUSES, truncate.span(), c));
            return adapter.same() ? List.of(truncate) : new EmptiedTables(adapter).adapt(truncate);
        }
        if (statement instanceof Statement.CallProcedure call) {
            return List.of(called(call));
        }
        if (statement instanceof CodeStatement code) {
            return new CodeAdapter(this).adapt(code);
        }
        if (statement instanceof DdlStatement.CreateTable table) {
            return table(table);
        }
        if (statement instanceof DdlStatement ddl) {
            return structure(ddl);
        }
        return other(statement);
    }

    /** The row that a cursor is at, where the target does not know it. */
    private void refuseCursors(Statement statement) {
        Optional<Expr> where = statement instanceof Statement.Update u
                ? u.where()
                : statement instanceof Statement.Delete d ? d.where() : Optional.empty();
        boolean current = where.filter(w -> w instanceof Expr.Call c && c.is("row_of_cursor"))
                .isPresent();
        if (current && !adapter.same() && !adapter.writes("row_of_cursor")) {
            throw CodeAdapter.at(where.get().span(), "WHERE CURRENT OF a cursor");
        }
    }

    private Statement called(Statement.CallProcedure given) {
        Statement.CallProcedure call = SplitCalls.whole(given, adapter, true);
        KnownSignatures signatures = adapter.knowledge.code().signatures();
        if (!adapter.same() && signatures.givesCursors(call.name())) {
            throw CodeAdapter.at(
                    call.span(), "a call of " + call.name() + ", whose rows have to be fetched from cursors");
        }
        List<Expr> arguments = signatures.arguments(call.name(), call.arguments(), adapter);
        boolean rows = !adapter.same()
                && CodeWay.of(adapter.from, adapter.to) == CodeWay.TO_RESCUES
                && signatures.givesRows(call.name());
        return rows
                ? CodeResults.asked(call, arguments)
                : new Statement.CallProcedure(call.name(), arguments, call.span());
    }

    private boolean from(SqlFeature feature) {
        return adapter.from.has(feature);
    }

    private List<Statement> table(DdlStatement.CreateTable table) {
        if (keysApart(table)) {
            List<Statement> all = new ArrayList<>(adapted(table.withoutConstraints()));
            List<AlterAction> keys = new ArrayList<>();
            table.constraints().forEach(c -> keys.add(new AlterAction.AddConstraint(c)));
            all.addAll(adapted(new DdlStatement.AlterTable(table.name(), false, keys, table.span())));
            return all;
        }
        return FilledTables.parted(table, adapter)
                .map(parts -> parts.stream().flatMap(p -> adapted(p).stream()).toList())
                .orElseGet(() -> new TableAdapter(adapter).create(table));
    }

    private List<Statement> structure(DdlStatement statement) {
        if (statement instanceof DdlStatement.ColumnComments comments) {
            return comments.texts().entrySet().stream()
                    .flatMap(e -> adapt(new DdlStatement.Comment(
                                    "COLUMN",
                                    comments.table().with(e.getKey()),
                                    Optional.of(e.getValue()),
                                    comments.span()))
                            .stream())
                    .toList();
        }
        if (statement instanceof DdlStatement.RenameTables several) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, several.span(), "the tables get their names one after the other");
            return several.renames().stream().flatMap(r -> adapt(r).stream()).toList();
        }
        if (statement instanceof DdlStatement.RenameObject rename && !adapter.same()) {
            return new RenamedParts(adapter).change(rename).map(this::adapt).orElse(List.of(rename));
        }
        return new StructureAdapter(adapter).adapt(statement);
    }

    private List<Statement> inserts(Insert given) {
        Insert insert = new ImplicitColumns(adapter).named(given);
        KeyNumbers numbers = new KeyNumbers(adapter);
        List<Statement> all = new ArrayList<>();
        for (Insert part : new NumberedRows(adapter).spelled(insert)) {
            for (Insert one : new DefaultValues(adapter).without(part)) {
                numbers.before(one).forEach(s -> all.addAll(adapt(s)));
                all.addAll(numbers.allowed(one, insert(one)));
            }
        }
        return all;
    }

    /** True for a table of a query with keys that the target wants apart from it. */
    private boolean keysApart(DdlStatement.CreateTable table) {
        return !adapter.same()
                && table.query().isPresent()
                && table.columns().isEmpty()
                && !table.constraints().isEmpty()
                && !has(SqlFeature.KEYS_BESIDE_QUERY);
    }

    private List<Statement> merged(Statement.Merge merge) {
        return MergeBySource.split(adapter, merge)
                .map(parts -> parts.stream().flatMap(p -> adapt(p).stream()).toList())
                .orElseGet(() -> List.of(new ChangeAdapter(adapter).merge(merge)));
    }

    private List<Statement> other(Statement statement) {
        if (statement instanceof Statement.NotTranslated not) {
            throw not.routine() ? new Untranslatable(not.what(), not.span()) : new Untranslatable(not.what());
        }
        if (statement instanceof Statement.ZerosInKeys zeros) {
            adapter.knowledge.zeros().take(zeros);
            if (adapter.same()) {
                return List.of(zeros);
            }
            adapter.note(FindingCode.CLIENT_COMMAND, zeros.span(), zeros.text());
            return List.of();
        }
        if (statement instanceof Statement.ClientCommand command && !adapter.same()) {
            boolean meaning = SETTING.matcher(command.text()).matches();
            adapter.note(
                    meaning ? FindingCode.SYNTAX_CHECK : FindingCode.CLIENT_COMMAND,
                    command.span(),
                    (meaning ? "left out, though it changes what statements mean: " : "") + command.text());
            return List.of();
        }
        if (statement instanceof Statement.UseSchema use) {
            if (!use.database() || adapter.from.has(SqlFeature.DATABASES_ARE_SCHEMAS)) {
                adapter.knowledge.use(use.schema());
            }
            return adapter.same() ? List.of(use) : use(use);
        }
        if (statement instanceof Statement.Transaction t
                && t.kind() == Statement.Transaction.Kind.BEGIN
                && !adapter.same()
                && !has(SqlFeature.SELECT_WITHOUT_FROM)) {
            adapter.note(FindingCode.CLIENT_COMMAND, t.span(), "BEGIN: a transaction begins by itself");
            return List.of();
        }
        return List.of(statement);
    }

    private List<Statement> use(Statement.UseSchema use) {
        boolean connects = use.database()
                && !adapter.from.has(SqlFeature.DATABASES_ARE_SCHEMAS)
                && !has(SqlFeature.DATABASES_ARE_SCHEMAS);
        if (connects) {
            adapter.note(
                    FindingCode.CLIENT_COMMAND,
                    use.span(),
                    "connect to the database " + use.schema().text());
            return List.of();
        }
        boolean usual = !use.database() && use.schema().text().equalsIgnoreCase(adapter.from.defaultSchema());
        if (!has(SqlFeature.CURRENT_SCHEMA)
                || usual && adapter.to.defaultSchema().isEmpty()) {
            adapter.note(
                    FindingCode.CLIENT_COMMAND,
                    use.span(),
                    "the schema for names without one: " + use.schema().text());
            return List.of();
        }
        return List.of(usual ? new Statement.UseSchema(Name.of(adapter.to.defaultSchema()), false, use.span()) : use);
    }

    /** Settings by which the same statement gives another result. */
    private static final Pattern SETTING =
            Pattern.compile("(?is)(SET|ALTER SESSION)\\b.*\\b(date_?style|date_?format|rowcount"
                    + "|ansi_nulls\\s+off|ansi_padding\\s+off|concat_null_yields_null\\s+off|nls_\\w+|constraints|isolation"
                    + "|transaction|timezone|time_zone|time\\s+zone|search_path|path|xact_abort)\\b.*");

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    private List<Statement> query(Statement.QueryStatement statement) {
        if (isSessionSetting(statement.query()) && !adapter.same()) {
            adapter.note(FindingCode.CLIENT_COMMAND, statement.span(), "set_config");
            return List.of();
        }
        Optional<DdlStatement.CreateSequence> position =
                adapter.same() ? Optional.empty() : SequencePositions.of(statement, adapter.from.grammar());
        if (position.isPresent()) {
            return adapt(position.get());
        }
        if (new ColumnSequences(adapter).follows(statement.query())) {
            return List.of();
        }
        if (statement.into().isEmpty()) {
            Query query = adapter.query(statement.query());
            return List.of(new Statement.QueryStatement(query, Optional.empty(), false, statement.span()));
        }
        return intoTable(statement, statement.into().get());
    }

    private List<Statement> intoTable(Statement.QueryStatement statement, QualifiedName table) {
        if (adapter.same() && has(SqlFeature.SELECT_INTO)) {
            return List.of(new Statement.QueryStatement(
                    adapter.query(statement.query()), statement.into(), statement.temporary(), statement.span()));
        }
        if (!has(SqlFeature.SELECT_INTO)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, statement.span(), "SELECT INTO as CREATE TABLE AS");
        }
        if (adapter.lost(SqlFeature.SELECT_INTO_KEEPS_COLUMNS) && !statement.temporary()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    statement.span(),
                    "the columns of the new table take NULL, and none is numbered; on the source they are as in the old one");
        }
        DdlStatement.CreateTable.Temporary temporary = statement.temporary()
                ? DdlStatement.CreateTable.Temporary.SESSION
                : DdlStatement.CreateTable.Temporary.NO;
        return new TableAdapter(adapter)
                .create(new DdlStatement.CreateTable(
                        table,
                        false,
                        temporary,
                        List.of(),
                        List.of(),
                        Optional.empty(),
                        Optional.of(statement.query()),
                        true,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(),
                        statement.span()));
    }

    /** A query that does nothing but set something for the session, as dumps have it. */
    private static boolean isSessionSetting(Query query) {
        return query.body() instanceof QueryBody.Select s
                && s.items().size() == 1
                && s.from().isEmpty()
                && s.items().get(0).value() instanceof Expr.Call call
                && call.function().equals("set_config");
    }

    private Statement insert(Insert whole) {
        ChangeAdapter changes = new ChangeAdapter(adapter);
        Insert given = new ColumnSequences(adapter).numbered(whole);
        Insert insert = LastNumbers.askedBefore(
                RowSequences.once(new CommonTableChanges(adapter).insert(given), adapter), adapter);
        List<Query.CommonTable> with = changes.with(insert.with());
        Optional<KnownTable> table = adapter.knowledge.table(insert.table());
        Optional<Query> source = insert.source().map(q -> source(q, insert, table));
        TableRef target = new TableRef.Table(insert.table(), insert.alias(), Optional.empty(), false, insert.span());
        Optional<Statement.Upsert> upsert = insert.upsert().map(u -> {
            changes.enter(target);
            return new Statement.Upsert(
                    u.target(),
                    u.constraint(),
                    changes.assignments(
                            u.assignments(),
                            table,
                            false,
                            new AssignmentOrder(adapter, ChangeAdapter.alias(target)),
                            false),
                    adapter.optionalCondition(u.where()),
                    u.anyKey());
        });
        if (!adapter.same()) {
            new KeyNumbers(adapter).saw(insert, table);
        }
        changes.enter(target);
        Insert adapted = new Insert(
                with,
                insert.mode(),
                insert.table(),
                insert.alias(),
                insert.columns(),
                source,
                insert.overriding(),
                upsert,
                changes.items(insert.returning()),
                insert.span());
        return adapter.same() ? adapted : new UpsertAdapter(adapter).adapt(adapted);
    }

    private Query source(Query query, Insert insert, Optional<KnownTable> table) {
        if (query.body() instanceof QueryBody.Values values
                && query.order().isEmpty()
                && query.paging().isEmpty()) {
            List<List<Expr>> rows = new ArrayList<>(values.rows().size());
            ValueAdapter forColumns = new ValueAdapter(adapter);
            List<Optional<Knowledge.KnownColumn>> known = ValueAdapter.known(insert.columns(), table);
            for (List<Expr> row : values.rows()) {
                refuseColumns(row, table);
                rows.add(forColumns.row(row, known));
            }
            return query.withBody(
                    adapter.to.has(SqlFeature.VALUES_ARE_CONSTANTS) && !adapter.same()
                            ? JsonRows.selected(rows, values.span())
                            : new QueryBody.Values(rows, values.span()));
        }
        List<Optional<LogicalType>> types = ValueAdapter.types(insert.columns(), table);
        Query fitted = new ValueAdapter(adapter).fitted(query, types);
        adapter.instants.goInto(fitted.body(), types);
        return adapter.query(fitted);
    }

    /** MySQL lets a value read those before it in its row ("INSERT"), which no other engine does. */
    private void refuseColumns(List<Expr> row, Optional<KnownTable> table) {
        if (table.isEmpty() || !adapter.lost(SqlFeature.VALUES_READ_COLUMNS)) {
            return;
        }
        for (Expr value : row) {
            if (!(value instanceof Expr.Literal) && reads(value, table.get(), adapter.scope)) {
                throw new Untranslatable("a value that reads another of its row");
            }
        }
    }

    /** True where a column of the row is read; a variable of a routine, or of the row of a trigger, is none. */
    private static boolean reads(Expr value, KnownTable table, Scope scope) {
        return ExprSearch.anyOutside(
                Expr.Subquery.class::isInstance,
                value,
                e -> e instanceof Expr.Column column
                        && scope.column(column.name()).isEmpty()
                        && table.columns()
                                .containsKey(column.name().last().text().toLowerCase(Locale.ROOT)));
    }

    /** INSERT ALL as one INSERT for each table. */
    private List<Statement> multi(Statement.MultiInsert multi) {
        if (adapter.same()) {
            throw new Untranslatable("INSERT into several tables");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, multi.span(), "INSERT ALL as one INSERT for each table");
        boolean constant = multi.source().body() instanceof QueryBody.Select s
                && s.from().size() == 1
                && s.from().get(0) instanceof TableRef.Table t
                && t.name().key().equals("dual");
        List<Statement> all = new ArrayList<>();
        for (Statement.Branch branch : exclusive(multi)) {
            all.add(insert(branch(branch, multi, constant)));
        }
        return all;
    }

    /** The branches with conditions of their own: that those before do not hold, for INSERT FIRST and for ELSE. */
    private static List<Statement.Branch> exclusive(Statement.MultiInsert multi) {
        List<Expr> before = new ArrayList<>();
        List<Statement.Branch> branches = new ArrayList<>();
        for (Statement.Branch branch : multi.branches()) {
            List<Expr> all = new ArrayList<>();
            boolean excludes = multi.first() || branch.otherwise();
            before.stream()
                    .filter(c -> excludes && !branch.condition().equals(Optional.of(c)))
                    .forEach(c -> all.add(new Expr.Is(c, Truth.TRUE, true, c.span())));
            branch.condition().ifPresent(all::add);
            branch.condition().filter(c -> !before.contains(c)).ifPresent(before::add);
            branches.add(
                    new Statement.Branch(OldForms.and(all), false, branch.table(), branch.columns(), branch.values()));
        }
        return branches;
    }

    private static Insert branch(Statement.Branch branch, Statement.MultiInsert multi, boolean constant) {
        Span span = multi.span();
        Query source;
        if (constant && branch.condition().isEmpty() && !branch.values().isEmpty()) {
            source = Query.of(new QueryBody.Values(List.of(branch.values()), span));
        } else {
            List<QueryBody.Item> items = branch.values().isEmpty()
                    ? List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), span)))
                    : branch.values().stream().map(QueryBody.Item::of).toList();
            TableRef rows =
                    new TableRef.Derived(multi.source(), false, Optional.of(TableRef.Alias.of("source_rows_")), span);
            source = Query.of(QueryBody.Select.of(items, List.of(rows), branch.condition()));
        }
        return new Insert(
                List.of(),
                Insert.Mode.INSERT,
                branch.table(),
                Optional.empty(),
                branch.columns(),
                Optional.of(source),
                "",
                Optional.empty(),
                List.of(),
                span);
    }
}
