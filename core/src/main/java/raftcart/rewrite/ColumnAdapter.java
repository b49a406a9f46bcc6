package raftcart.rewrite;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts columns: types, defaults and numbering. */
final class ColumnAdapter {
    private static final Pattern PADDED = Pattern.compile("(?i)\\brtrim\\b");
    private static final Pattern INFINITE = Pattern.compile("(?i)[-+]?infinity");

    private static final int MICROSECONDS = 6;

    private final QueryAdapter adapter;

    ColumnAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    void onUpdateLeftOut(ColumnDefinition column) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                column.span(),
                "ON UPDATE of " + column.name().text() + " is left out; write a trigger that assigns it");
    }

    private static Expr typed(Expr value, Optional<TypeName> type) {
        return type.<Expr>map(t -> new Expr.Cast(value, t, false, Span.NONE)).orElse(value);
    }

    private void leftOut(ColumnDefinition column, CreateTable table, boolean altered) {
        for (String clause : column.leftOut()) {
            ConstraintAdapter.sayLeftOut(clause, column.name().text() + ": ", column.span(), adapter);
        }
        boolean counts = column.identity()
                .filter(o -> o.start()
                                .filter(s -> s.signum() != 0 && !s.equals(BigInteger.ONE))
                                .filter(s -> s.signum() < 0 || !has(SqlFeature.IDENTITY_RESTARTS))
                                .isPresent()
                        || o.increment().filter(s -> !s.equals(BigInteger.ONE)).isPresent())
                .isPresent();
        if (counts && !adapter.same() && has(SqlFeature.NUMBERS_BY_ONE)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the target numbers " + column.name().text() + " from 1 and by 1, the source otherwise");
        }
        if (altered && column.onUpdate().isPresent() && !has(SqlFeature.ASSIGNS_ON_UPDATE)) {
            onUpdateLeftOut(column);
        }
        if (column.onUpdate().isPresent() && adapter.lost(SqlFeature.ASSIGNS_AT_EVERY_UPDATE)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "the source sets " + column.name().text()
                            + " at every UPDATE and lets nobody else do so, here it changes where other values do");
        }
        collationLeftOut(column, table);
    }

    private void collationLeftOut(ColumnDefinition column, CreateTable table) {
        String name = column.name().text();
        boolean language = !adapter.same()
                && adapter.from.types().sortsByLanguage(ColumnFactory.collation(column, Optional.empty()));
        if (language) {
            adapter.note(
                    FindingCode.SORTS_BY_LANGUAGE,
                    column.span(),
                    name + ": " + ColumnFactory.collation(column, Optional.empty()));
        }
        boolean ignores = TableAdapter.saysItIgnoresCase(column);
        if (ignores && !has(SqlFeature.IGNORES_CASE)) {
            adapter.note(FindingCode.CASE_OF_TEXT, column.span(), name);
        }
        boolean padded =
                column.collation().filter(c -> PADDED.matcher(c).find()).isPresent()
                        && !adapter.to.has(SqlFeature.IGNORES_PADDING);
        if (padded && !adapter.same()) {
            adapter.note(FindingCode.PADDING, column.span(), name);
        }
        boolean said = column.collation().isPresent() && !ignores && !language && !isExact(column, table);
        if (said) {
            adapter.note(
                    FindingCode.PHYSICAL_CLAUSES,
                    column.span(),
                    name + ": " + column.collation().get());
        }
    }

    /** A column in the target's terms; constraints that cannot stand with it are added to those of the table. */
    ColumnDefinition column(ColumnDefinition given, CreateTable table, List<TableConstraint> constraints) {
        ColumnDefinition column = numberedBySequence(ofDomain(given));
        boolean altered = !table.columns().contains(given);
        leftOut(column, table, altered);
        Optional<LogicalType> type = ColumnFactory.type(column, adapter)
                .map(t -> new KeyTypes(adapter).following(t, column, table.constraints()))
                .or(() -> !altered || column.generated().isPresent() ? missingType(column) : Optional.empty());
        ColumnFactory.sayDifferences(column, adapter);
        List<TableConstraint> own = own(column, constraints);
        boolean key = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        boolean inKey = key || ColumnFactory.isInKey(column, table);
        Optional<LogicalType> known = column.identity().isPresent() ? type.map(this::numberedType) : type;
        Optional<TypeName> written = known.map(t -> type(t, column, inKey, own));
        Optional<Expr> value = column.defaultValue()
                .flatMap(d -> said(d, known, column))
                .filter(d -> new PossibleDefaults(adapter).isOne(d, column, table));
        Optional<Expr> computed =
                column.generated().flatMap(e -> SteadyValues.computed(e, known, column, table, adapter));
        boolean untyped = computed.isPresent() && has(SqlFeature.COMPUTED_WITHOUT_TYPE);
        boolean mustSay = inKey && has(SqlFeature.KEYS_SAY_NOT_NULL) && isPrimary(column, table);
        Optional<Boolean> notNull =
                mustSay ? Optional.of(true) : notNull(column).filter(n -> !isRenounced(value));
        return new ColumnDefinition(
                column.name(),
                untyped ? Optional.empty() : written,
                notNull,
                value.filter(v -> !isIdle(v) || !notNull.orElse(isPrimary(column, table))),
                computed.map(e -> untyped ? typed(e, written) : e),
                column.stored(),
                identity(given, column, table),
                has(SqlFeature.ASSIGNS_ON_UPDATE)
                        ? column.onUpdate().map(adapter::expr).map(e -> asLong(e, known))
                        : Optional.empty(),
                written.filter(t -> !t.name().endsWith("lob") && isExact(column, table))
                        .flatMap(t -> collationOfTable(table).isPresent()
                                ? Optional.empty()
                                : adapter.to.types().exactTexts(adapter.from.has(SqlFeature.IGNORES_PADDING))),
                column.comment(),
                own,
                List.of(),
                List.of(),
                column.span());
    }

    private Optional<IdentityOptions> identity(ColumnDefinition given, ColumnDefinition column, CreateTable table) {
        return NumberedOnce.identity(given, column, table, adapter)
                .map(o -> ColumnFactory.fromFirst(o, column.name(), column.span(), adapter))
                .map(o -> StructureAdapter.cached(o.portable(), adapter, table.span()))
                .map(o -> has(SqlFeature.OVERRIDING) ? o : o.byDefault());
    }

    /** A column that is known, refusing NULL, in the target's terms. */
    ColumnDefinition notNull(KnownColumn column, Span span) {
        ColumnUse use = new ColumnUse(new ObjectName("", ""), column.name().text(), false, false, 1, 0, false, false);
        TypeName type = adapter.written(
                adapter.to.types().choose(column.type().orElseThrow(), use).sql());
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                span,
                "NOT NULL for " + column.name().text() + " of the key");
        return ColumnDefinition.of(column.name(), type, Optional.of(true), span);
    }

    /** A column that is known, as one that is numbered. */
    static ColumnDefinition numbered(KnownColumn column, IdentityOptions options, Span span) {
        boolean small = column.type()
                .filter(t -> t instanceof LogicalType.Int i && i.bits() <= 32
                        || t instanceof LogicalType.Decimal d && d.precision() > 0 && d.precision() <= 9)
                .isPresent();
        return ColumnDefinition.of(column.name(), TypeName.of(small ? "integer" : "bigint"), Optional.of(true), span)
                .withIdentity(options);
    }

    /** The type of a numbered column on the target; engines divide whole numbers otherwise than decimal ones. */
    LogicalType numberedType(LogicalType type) {
        boolean decimal = type instanceof LogicalType.Decimal d && d.precision() > 0 && d.scale() == 0;
        if (decimal && has(SqlFeature.DECIMAL_IDENTITIES)) {
            return type;
        }
        boolean small = type instanceof LogicalType.Decimal d && d.precision() > 0 && d.precision() <= 9;
        return type instanceof LogicalType.Int ? type : new LogicalType.Int(small ? 32 : 64, false);
    }

    /** A column whose numbers come from a sequence, where the engine numbers columns and has no sequences. */
    private ColumnDefinition numberedBySequence(ColumnDefinition column) {
        boolean sequence = column.defaultValue()
                        .filter(d -> d instanceof Expr.SequenceValue s && s.next())
                        .isPresent()
                && !has(SqlFeature.SEQUENCES)
                && has(SqlFeature.IDENTITY)
                && column.identity().isEmpty();
        if (!sequence) {
            return column;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, column.span(), "numbers of a sequence as a column that is numbered");
        return column.withDefault(Optional.empty()).withIdentity(IdentityOptions.DEFAULT);
    }

    /** The checks, default and NOT NULL of a domain with the column itself. */
    private ColumnDefinition ofDomain(ColumnDefinition column) {
        Optional<DdlStatement.CreateDomain> domain =
                adapter.same() ? Optional.empty() : column.type().flatMap(adapter.knowledge::domain);
        if (domain.isEmpty()) {
            return column;
        }
        Expr own = new Expr.Column(new QualifiedName(List.of(column.name())), false, column.span());
        List<TableConstraint> checks = new ArrayList<>();
        for (Expr check : domain.get().checks()) {
            Expr ofColumn = DomainValue.replaced(check, e -> own);
            checks.add(TableConstraint.check(ofColumn, column.span()));
        }
        return column.withNotNull(
                        domain.get().notNull() && column.notNull().isEmpty() ? Optional.of(true) : column.notNull())
                .withDefault(column.defaultValue().or(domain.get()::defaultValue))
                .withConstraints(checks);
    }

    /** The constraints that stand with a column; those that cannot are added to those of the table. */
    private List<TableConstraint> own(ColumnDefinition column, List<TableConstraint> constraints) {
        List<TableConstraint> own = new ArrayList<>();
        boolean nullable = !column.notNull().orElse(false);
        for (TableConstraint c : column.constraints()) {
            if (c.kind() == ConstraintKind.UNIQUE && nullable && !adapter.same()) {
                List<IndexPart> key = List.of(IndexPart.of(column.name()));
                new ConstraintAdapter(adapter).nulls(key, SqlFeature.UNIQUE_KEYS_TAKE_ONE_NULL, column.span());
            }
            boolean apart = c.kind() == ConstraintKind.FOREIGN_KEY && has(SqlFeature.ON_DUPLICATE_KEY)
                    || c.name().isPresent() && has(SqlFeature.COLUMN_CONSTRAINTS_HAVE_NO_NAMES);
            if (apart) {
                TableConstraint moved = c.kind() == ConstraintKind.CHECK
                        ? c
                        : ColumnFactory.withParts(c, List.of(IndexPart.of(column.name())));
                new ConstraintAdapter(adapter).constraint(moved).ifPresent(constraints::add);
            } else {
                new ConstraintAdapter(adapter).constraint(c).ifPresent(own::add);
            }
        }
        return own;
    }

    /** True for texts that the source compares letter by letter, and the target only if it is told to. */
    private boolean isExact(ColumnDefinition column, CreateTable table) {
        Optional<LogicalType> type = column.type().map(adapter.finder::type);
        boolean text = type.filter(t -> t instanceof LogicalType.Char
                        || t instanceof LogicalType.Varchar
                        || t instanceof LogicalType.Text)
                .isPresent();
        return text
                && column.generated().isEmpty()
                && has(SqlFeature.IGNORES_CASE)
                && !new TableAdapter(adapter).known(column, table.collation()).ignoresCase();
    }

    /** The clause for all texts of a table, where all of the source's texts compare letter by letter. */
    Optional<String> collationOfTable(CreateTable table) {
        boolean exact = has(SqlFeature.TABLE_COLLATIONS)
                && !adapter.from.has(SqlFeature.IGNORES_CASE)
                && table.columns().stream().anyMatch(c -> isExact(c, table))
                && table.columns().stream().noneMatch(TableAdapter::saysItIgnoresCase);
        return exact ? adapter.to.types().exactTexts(adapter.from.has(SqlFeature.IGNORES_PADDING)) : Optional.empty();
    }

    /** The type of a column that says none: that of its expression, if it is computed. */
    private Optional<LogicalType> missingType(ColumnDefinition column) {
        if (adapter.to.grammar().has(GrammarFeature.UNTYPED_COLUMNS)
                || (column.generated().isPresent() && has(SqlFeature.OUTPUT))) {
            return Optional.empty();
        }
        if (column.generated().isEmpty() && adapter.from.grammar().has(GrammarFeature.UNTYPED_COLUMNS)) {
            adapter.note(FindingCode.FOREIGN_TYPE, column.span(), column.name().text() + ": without a type, as text");
            return Optional.of(new LogicalType.Text(0));
        }
        return Optional.of(column.generated()
                .flatMap(e -> ColumnFactory.named(e, adapter.finder, adapter.from)
                        .or(() -> ColumnFactory.ofKind(adapter.kind(e))))
                .orElseThrow(
                        () -> new Untranslatable("the column " + column.name().text() + " without a type")));
    }

    private static boolean isPrimary(ColumnDefinition column, CreateTable table) {
        return column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                || table.constraints().stream()
                        .filter(c -> c.kind() == ConstraintKind.PRIMARY_KEY)
                        .anyMatch(c -> TableAdapter.names(c.parts()).stream().anyMatch(n -> n.matches(column.name())));
    }

    /** True where the default is NULL in the place of a date that does not exist, which rows then have. */
    private boolean isRenounced(Optional<Expr> value) {
        return value.filter(ColumnAdapter::isNull).isPresent() && adapter.from.has(SqlFeature.ZERO_DATES);
    }

    private static boolean isNull(Expr value) {
        return value instanceof Expr.Literal l && l.kind() == LiteralKind.NULL;
    }

    /** True for a default of NULL, which some engines refuse to hear of in a column that does not take it. */
    private boolean isIdle(Expr value) {
        return isNull(value) && !adapter.same();
    }

    private Optional<Boolean> notNull(ColumnDefinition column) {
        boolean left =
                column.generated().isPresent() && column.notNull().orElse(false) && !has(SqlFeature.GENERATED_NOT_NULL);
        if (left) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    "NOT NULL of the computed column " + column.name().text() + " is left out");
        }
        boolean renewed = column.type().filter(adapter.from.types()::renews).isPresent();
        if (renewed) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    column.span(),
                    column.name().text()
                            + " is NULL until something gives it a value, as the source did at every change");
        }
        return left || renewed ? Optional.empty() : column.notNull();
    }

    /** MariaDB computes nothing from a column that it numbers. */
    boolean readsNumbered(ColumnDefinition column, CreateTable table) {
        if (!has(SqlFeature.NUMBERED_COLUMNS_ARE_KEYS) || column.generated().isEmpty()) {
            return false;
        }
        return ExprSearch.any(
                column.generated().get(),
                e -> e instanceof Expr.Column c
                        && table.columns().stream()
                                .anyMatch(t -> t.identity().isPresent()
                                        && t.name().matches(c.name().last())));
    }

    /** What DB2 takes for WITH DEFAULT alone ("CREATE TABLE": DEFAULT values). */
    static Expr ofType(LogicalType type, Span span) {
        return switch (KindFinder.kind(type)) {
            case INTEGER, DECIMAL, FLOAT -> Expr.Literal.number(0);
            case BOOLEAN -> new Expr.Literal(LiteralKind.BOOLEAN, "false", span);
            case BYTES -> new Expr.Literal(LiteralKind.BYTES, "", span);
            case DATE -> new Expr.CurrentTime(CurrentKind.DATE, -1, span);
            case TIME -> new Expr.CurrentTime(CurrentKind.TIME, -1, span);
            case TIMESTAMP -> new Expr.CurrentTime(CurrentKind.LOCAL_TIMESTAMP, -1, span);
            case TEXT -> Expr.Literal.string("");
            default -> throw new Untranslatable("WITH DEFAULT of a type that is not known");
        };
    }

    private Optional<Expr> said(Expr value, Optional<LogicalType> type, ColumnDefinition column) {
        return new UnsaidParts(adapter)
                .expression("the default of " + column.name().text(), column.span(), () -> value(value, type));
    }

    Expr value(Expr value, Optional<LogicalType> type) {
        if (value instanceof Expr.Call call && call.is("default_of_type")) {
            return adapter.expr(
                    ofType(type.orElseThrow(() -> new Untranslatable("WITH DEFAULT without a type")), call.span()));
        }
        Optional<KnownColumn> column = type.map(t -> new KnownColumn(Name.of(""), Optional.of(t), false, false));
        Expr bare = value instanceof Expr.Cast cast && cast.value() instanceof Expr.Literal ? cast.value() : value;
        boolean infinite = bare instanceof Expr.Literal l
                && INFINITE.matcher(l.text()).matches()
                && type.filter(t -> KindFinder.kind(t).isDate()).isPresent()
                && adapter.lost(SqlFeature.INFINITE_MOMENTS);
        if (infinite) {
            throw new Untranslatable("a moment beyond all others");
        }
        ValueAdapter values = new ValueAdapter(adapter);
        if (type.filter(t -> values.isWordForDay(bare, t)).isPresent()
                && adapter.lost(SqlFeature.DEFAULT_WORDS_STAND_STILL)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    bare.span(),
                    ((Expr.Literal) bare).text()
                            + " as a default: on the source the moment at which it made the table, here that of each row");
        }
        Expr adapted = values.forColumn(bare, column);
        if (!has(SqlFeature.EXPRESSION_DEFAULTS) && !adapter.same()) {
            adapted = adapter.instants.ofSession(bare, adapted);
        }
        return asLong(adapted, type);
    }

    /** The present with as many digits of its seconds as the column has, where the target wants that. */
    private Expr asLong(Expr value, Optional<LogicalType> type) {
        boolean digits = value instanceof Expr.CurrentTime
                && has(SqlFeature.PRESENT_AS_LONG_AS_COLUMN)
                && type.isPresent()
                && !adapter.same();
        if (!digits) {
            return value;
        }
        int precision = type.get() instanceof LogicalType.Timestamp t ? Math.min(t.precision(), MICROSECONDS) : 0;
        return new Expr.CurrentTime(((Expr.CurrentTime) value).kind(), precision > 0 ? precision : -1, value.span());
    }

    /** The type in the target's terms; an enumeration without a type of its own becomes a text with a check. */
    TypeName type(LogicalType type, ColumnDefinition column, boolean inKey, List<TableConstraint> own) {
        if (column.type().filter(adapter.instants::keeps).isPresent()) {
            return column.type().get();
        }
        boolean kept = type instanceof LogicalType.Bool
                && column.type().isPresent()
                && adapter.from.has(SqlFeature.NUMBERS_HOLD_TRUTH)
                && has(SqlFeature.NUMBERS_HOLD_TRUTH);
        if (kept) {
            return column.type().get();
        }
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
            own.add(TableConstraint.check(check, column.span()));
            adapter.note(
                    FindingCode.ENUMERATION_AS_TEXT,
                    column.span(),
                    column.name().text() + " as a text with a check");
            return chosen(new LogicalType.Varchar(Math.max(1, longest)), column, inKey, own);
        }
        return chosen(type, column, inKey, own);
    }

    private TypeName chosen(LogicalType type, ColumnDefinition column, boolean inKey, List<TableConstraint> own) {
        String stored = adapter.to.grammar().names().fold(column.name().text());
        ColumnUse use = new ColumnUse(
                new ObjectName("", ""), stored, column.identity().isPresent(), false, inKey ? 1 : 0, 0, false, false);
        TypeChoice choice = adapter.to.types().choose(type, use);
        for (TypeChoice.Note note : choice.notes()) {
            boolean never =
                    note.code() == FindingCode.SPECIAL_FLOATS && adapter.from.has(SqlFeature.FLOATS_ARE_NUMBERS);
            if (never) {
                continue;
            }
            adapter.note(note.code(), column.span(), column.name().text() + ": " + note.detail());
        }
        boolean digit = type instanceof LogicalType.Bool
                && choice.stored() instanceof LogicalType.Bool
                && column.type()
                        .filter(t -> t.name().equalsIgnoreCase("tinyint"))
                        .isPresent();
        if (digit && !adapter.same()) {
            adapter.note(
                    FindingCode.ONE_DIGIT_BOOLEAN,
                    column.span(),
                    column.name().text() + ": tinyint(1) as " + choice.sql());
        }
        for (String check : choice.checks()) {
            Expr condition = ExprParser.parse(check, adapter.to.grammar());
            own.add(TableConstraint.check(condition, column.span()));
        }
        return adapter.written(choice.sql());
    }
}
