package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts the definitions of tables; remembers them for what follows. */
final class TableAdapter {
    /** Clauses of a table that say more than where its rows lie. */
    private static final Pattern STRUCTURE =
            Pattern.compile("(?i)partition\\s+by|keys and defaults|with\\s*\\(\\s*system_versioning");

    private final QueryAdapter adapter;

    TableAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    List<Statement> create(CreateTable table) {
        List<KnownColumn> known = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            known.add(known(column));
        }
        table.query().ifPresent(q -> adapter.finder
                .columns(q, adapter.scope)
                .forEach(c -> known.add(new KnownColumn(Name.of(c.name()), c.type(), c.notNull(), c.ignoresCase()))));
        adapter.knowledge.add(table.name(), known, keys(table));
        adapter.scope = new Scope(Optional.of(adapter.scope));
        adapter.knowledge
                .table(table.name())
                .ifPresent(t -> adapter.scope.add(
                        KindFinder.relation(table.name().last().text(), t)));
        if (adapter.same()) {
            return List.of(table);
        }
        leftOut(table.leftOut(), table);
        return adapted(table);
    }

    private void leftOut(List<String> clauses, Statement statement) {
        for (String clause : clauses) {
            boolean structure = STRUCTURE.matcher(clause).lookingAt();
            adapter.note(
                    structure ? FindingCode.SYNTAX_CHECK : FindingCode.PHYSICAL_CLAUSES,
                    statement.span(),
                    (structure ? "left out: " : "") + clause);
        }
    }

    KnownColumn known(ColumnDefinition column) {
        boolean key = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        boolean notNull = key || column.notNull().orElse(false);
        boolean binary = column.collation()
                .filter(c -> c.toLowerCase(Locale.ROOT).matches(".*(bin|_cs).*"))
                .isPresent();
        return new KnownColumn(
                column.name(),
                column.type().map(adapter.finder::type),
                notNull,
                adapter.from.has(SqlFeature.IGNORES_CASE) && !binary);
    }

    private static List<List<Name>> keys(CreateTable table) {
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
        } else if (c.kind() == ConstraintKind.UNIQUE) {
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
        List<ColumnDefinition> columns = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            columns.add(column(column, table, constraints));
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
        if (table.comment().isPresent() && !has(SqlFeature.INLINE_COMMENTS)) {
            comment("TABLE", table.name(), table.comment().get(), table, after);
        }
        new RowidKeys(adapter).rewrite(columns, constraints);
        return finished(table, columns, constraints, after);
    }

    /** A key on the beginnings of texts; elsewhere a unique index on an expression. */
    private boolean isPrefixKey(TableConstraint constraint) {
        return constraint.kind() == ConstraintKind.UNIQUE
                && constraint.parts().stream().anyMatch(p -> p.prefix() > 0)
                && !has(SqlFeature.PREFIX_INDEXES)
                && has(SqlFeature.EXPRESSION_INDEXES);
    }

    private void constraints(CreateTable table, List<TableConstraint> constraints, List<Statement> after) {
        for (TableConstraint constraint : table.constraints()) {
            boolean special = constraint.leftOut().stream().anyMatch(l -> l.matches("FULLTEXT|SPATIAL"));
            if (special && !has(SqlFeature.FULLTEXT_INDEXES)) {
                adapter.note(FindingCode.SYNTAX_CHECK, constraint.span(), "a full-text or spatial index is left out");
            } else if (constraint.kind() == ConstraintKind.INDEX || isPrefixKey(constraint)) {
                after.addAll(new StructureAdapter(adapter).index(index(constraint, table)));
            } else {
                constraint(constraint).ifPresent(constraints::add);
            }
        }
    }

    private List<Statement> finished(
            CreateTable table,
            List<ColumnDefinition> columns,
            List<TableConstraint> constraints,
            List<Statement> after) {
        boolean ifNotExists =
                table.ifNotExists() && new StructureAdapter(adapter).canSayIf(SqlFeature.IF_NOT_EXISTS, table);
        List<Statement> all = new ArrayList<>();
        all.add(new CreateTable(
                table.name(),
                ifNotExists,
                table.temporary(),
                columns,
                constraints,
                table.like(),
                table.query().map(adapter::query),
                table.withData(),
                table.comment(),
                List.of(),
                table.span()));
        all.addAll(after);
        return all;
    }

    /** A column that the engine assigns at every change: by a trigger, where that can be written. */
    private void onUpdate(ColumnDefinition column, CreateTable table, List<Statement> after) {
        String name = column.name().text();
        if (has(SqlFeature.TRIGGER_FUNCTIONS)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, column.span(), "ON UPDATE of " + name + " as a trigger");
            after.add(new DdlStatement.AssignOnUpdate(
                    table.name(), column.name(), adapter.expr(column.onUpdate().get()), column.span()));
        } else {
            onUpdateLeftOut(column);
        }
    }

    private void onUpdateLeftOut(ColumnDefinition column) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                column.span(),
                "ON UPDATE of " + column.name().text() + " is left out; write a trigger that assigns it");
    }

    private void comment(String kind, QualifiedName name, String text, CreateTable table, List<Statement> after) {
        if (has(SqlFeature.COMMENT_ON)) {
            after.add(new DdlStatement.Comment(kind, name, Optional.of(text), table.span()));
        } else {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, table.span(), "the comment on " + name);
        }
    }

    private static DdlStatement.CreateIndex index(TableConstraint constraint, CreateTable table) {
        QualifiedName name = constraint
                .name()
                .map(n -> new QualifiedName(List.of(n)))
                .orElseGet(() -> QualifiedName.of(table.name().last().text() + "_"
                        + String.join(
                                "_",
                                names(constraint.parts()).stream()
                                        .map(Name::text)
                                        .toList()) + "_idx"));
        return new DdlStatement.CreateIndex(
                Optional.of(name),
                constraint.kind() == ConstraintKind.UNIQUE,
                constraint.leftOut().contains("FULLTEXT") ? "FULLTEXT" : "",
                false,
                table.name(),
                constraint.parts(),
                List.of(),
                Optional.empty(),
                "",
                List.of(),
                constraint.span());
    }

    /** A column in the target's terms; constraints that cannot stand with it are added to those of the table. */
    ColumnDefinition column(ColumnDefinition column, CreateTable table, List<TableConstraint> constraints) {
        for (String clause : column.leftOut()) {
            adapter.note(
                    FindingCode.PHYSICAL_CLAUSES, column.span(), column.name().text() + ": " + clause);
        }
        boolean altered = !table.columns().contains(column);
        if (altered && column.onUpdate().isPresent() && !has(SqlFeature.ASSIGNS_ON_UPDATE)) {
            onUpdateLeftOut(column);
        }
        Optional<LogicalType> type = column.type()
                .map(adapter.finder::type)
                .or(() -> table.columns().contains(column) ? missingType(column) : Optional.empty());
        List<TableConstraint> own = own(column, constraints);
        boolean key = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        boolean inKey = key || keys(table).stream().anyMatch(k -> k.stream().anyMatch(n -> n.matches(column.name())));
        Optional<TypeName> written = type.map(t -> type(t, column, inKey, own));
        Optional<Expr> value = column.defaultValue().map(d -> value(d, type));
        if (column.collation().isPresent()) {
            adapter.note(
                    FindingCode.PHYSICAL_CLAUSES,
                    column.span(),
                    column.name().text() + ": COLLATE " + column.collation().get());
        }
        boolean mustSay = inKey && has(SqlFeature.KEYS_SAY_NOT_NULL) && isPrimary(column, table);
        Optional<IdentityOptions> identity = column.identity();
        return new ColumnDefinition(
                column.name(),
                written,
                mustSay ? Optional.of(true) : column.notNull(),
                value.filter(v -> !(v instanceof Expr.Call call && call.is("default_of_type"))),
                column.generated().map(adapter::expr),
                column.stored(),
                identity,
                has(SqlFeature.ASSIGNS_ON_UPDATE) ? column.onUpdate().map(adapter::expr) : Optional.empty(),
                Optional.empty(),
                column.comment(),
                own,
                List.of(),
                column.span());
    }

    /** The constraints that stand with a column; those that cannot are added to those of the table. */
    private List<TableConstraint> own(ColumnDefinition column, List<TableConstraint> constraints) {
        List<TableConstraint> own = new ArrayList<>();
        for (TableConstraint c : column.constraints()) {
            boolean foreign = c.kind() == ConstraintKind.FOREIGN_KEY && has(SqlFeature.ON_DUPLICATE_KEY);
            if (foreign) {
                TableConstraint moved = new TableConstraint(
                        c.kind(),
                        c.name(),
                        List.of(IndexPart.of(column.name())),
                        c.check(),
                        c.reference(),
                        c.deferrable(),
                        c.initiallyDeferred(),
                        c.disabled(),
                        c.leftOut(),
                        c.span());
                constraint(moved).ifPresent(constraints::add);
            } else {
                constraint(c).ifPresent(own::add);
            }
        }
        return own;
    }

    /** The type of a column that says none: that of its expression, if it is computed. */
    private Optional<LogicalType> missingType(ColumnDefinition column) {
        if (adapter.to.grammar().has(GrammarFeature.UNTYPED_COLUMNS)
                || (column.generated().isPresent() && has(SqlFeature.OUTPUT))) {
            return Optional.empty();
        }
        ValueKind kind = column.generated().map(adapter::kind).orElse(ValueKind.UNKNOWN);
        return Optional.of(
                switch (kind) {
                    case INTEGER -> new LogicalType.Int(64, false);
                    case DECIMAL -> new LogicalType.Decimal(38, 10, false);
                    case FLOAT -> new LogicalType.Floating(64);
                    case TEXT -> new LogicalType.Text(0);
                    case DATE -> new LogicalType.Date();
                    case TIMESTAMP -> new LogicalType.Timestamp(6, false);
                    case BOOLEAN -> new LogicalType.Bool();
                    default ->
                        throw new Untranslatable("the column " + column.name().text() + " without a type");
                });
    }

    private static boolean isPrimary(ColumnDefinition column, CreateTable table) {
        return column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                || table.constraints().stream()
                        .filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                        .anyMatch(c -> names(c.parts()).stream().anyMatch(n -> n.matches(column.name())));
    }

    private Expr value(Expr value, Optional<LogicalType> type) {
        Optional<KnownColumn> column = type.map(t -> new KnownColumn(Name.of(""), Optional.of(t), false, false));
        Expr bare = value instanceof Expr.Cast cast && cast.value() instanceof Expr.Literal ? cast.value() : value;
        return new ValueAdapter(adapter).forColumn(bare, column);
    }

    /** The type in the target's terms; an enumeration without a type of its own becomes a text with a check. */
    TypeName type(LogicalType type, ColumnDefinition column, boolean inKey, List<TableConstraint> own) {
        boolean listed = type instanceof LogicalType.Enumeration && !has(SqlFeature.ON_DUPLICATE_KEY);
        if (listed) {
            List<String> values = ((LogicalType.Enumeration) type).values();
            int longest = values.stream().mapToInt(String::length).max().orElse(1);
            List<Expr> items = values.stream().<Expr>map(Expr.Literal::string).toList();
            Expr check = new Expr.InList(
                    new Expr.Column(new QualifiedName(List.of(column.name())), false, column.span()),
                    items,
                    false,
                    column.span());
            own.add(new TableConstraint(
                    ConstraintKind.CHECK,
                    Optional.empty(),
                    List.of(),
                    Optional.of(check),
                    Optional.empty(),
                    false,
                    false,
                    false,
                    List.of(),
                    column.span()));
            adapter.note(
                    FindingCode.ENUMERATION_AS_TYPE,
                    column.span(),
                    column.name().text() + " as a text with a check");
            return chosen(new LogicalType.Varchar(Math.max(1, longest)), column, inKey, own);
        }
        return chosen(type, column, inKey, own);
    }

    private TypeName chosen(LogicalType type, ColumnDefinition column, boolean inKey, List<TableConstraint> own) {
        String stored = adapter.to.grammar().names().fold(column.name().text());
        ColumnUse use =
                new ColumnUse(new ObjectName("", ""), stored, column.identity().isPresent(), inKey ? 1 : 0, false);
        TypeChoice choice = adapter.to.types().choose(type, use);
        for (TypeChoice.Note note : choice.notes()) {
            adapter.note(note.code(), column.span(), column.name().text() + ": " + note.detail());
        }
        for (String check : choice.checks()) {
            Expr condition = ExprParser.parse(check, adapter.to.grammar());
            own.add(new TableConstraint(
                    ConstraintKind.CHECK,
                    Optional.empty(),
                    List.of(),
                    Optional.of(condition),
                    Optional.empty(),
                    false,
                    false,
                    false,
                    List.of(),
                    column.span()));
        }
        return adapter.written(choice.sql());
    }

    Optional<TableConstraint> constraint(TableConstraint c) {
        for (String clause : c.leftOut()) {
            adapter.note(FindingCode.PHYSICAL_CLAUSES, c.span(), clause);
        }
        if (c.disabled()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, c.span(), "a constraint that is switched off on the source is left out");
            return Optional.empty();
        }
        List<IndexPart> parts = c.parts().stream()
                .map(p -> new IndexPart(
                        p.value(), has(SqlFeature.PREFIX_INDEXES) ? p.prefix() : 0, false, Nulls.DEFAULT, List.of()))
                .toList();
        if (c.parts().stream().anyMatch(p -> p.prefix() > 0) && !has(SqlFeature.PREFIX_INDEXES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    c.span(),
                    "the whole column for its beginning in a key, which lets more in");
        }
        return Optional.of(new TableConstraint(
                c.kind(),
                c.name(),
                parts,
                c.check().map(adapter::condition),
                c.reference(),
                c.deferrable(),
                c.initiallyDeferred(),
                false,
                List.of(),
                c.span()));
    }
}
