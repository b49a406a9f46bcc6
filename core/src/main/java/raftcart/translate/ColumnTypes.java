package raftcart.translate;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.DecimalFloats;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.RowSize;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.WholeColumns;
import raftcart.finding.FindingCode;
import raftcart.plan.ColumnRule;
import raftcart.plan.Plan;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.OneDigitBoolean;

/** The names and types that the columns of one table get on the target, and what there is to say of them. */
final class ColumnTypes {
    private static final int BYTES_OF_NUMBER = 8;

    private final Language from;
    private final Dialect to;
    private final Plan plan;
    private final PlannedCatalog planned;
    private final Enumerations enumerations;
    private final NameMapper names;
    private final Notes notes;
    private final Table source;
    private final ObjectName target;
    private final Map<String, TypeChoice> choices = new LinkedHashMap<>();
    private final Map<String, TableExpressions.Pair> pairs = new LinkedHashMap<>();
    private final Set<String> columnNames = new HashSet<>();

    ColumnTypes(
            Language from,
            Dialect to,
            Plan plan,
            PlannedCatalog planned,
            Enumerations enumerations,
            NameMapper names,
            Notes notes,
            Table source,
            ObjectName target) {
        this.from = from;
        this.to = to;
        this.plan = plan;
        this.planned = planned;
        this.enumerations = enumerations;
        this.names = names;
        this.notes = notes;
        this.source = source;
        this.target = target;
        source.columns().forEach(this::chooseType);
        fitRow();
    }

    /** The columns before and after. */
    List<TableExpressions.Pair> pairs() {
        return List.copyOf(pairs.values());
    }

    /** The column that the source calls so, before and after. */
    TableExpressions.Pair pair(String sourceColumn) {
        return pairs.get(sourceColumn);
    }

    /** The type on the target of the column that the source calls so. */
    Optional<LogicalType> stored(Name sourceColumn) {
        return choices.entrySet().stream()
                .filter(c -> c.getKey().equalsIgnoreCase(sourceColumn.text()))
                .map(c -> c.getValue().stored())
                .findFirst();
    }

    TypeChoice choice(String sourceColumn) {
        return choices.get(sourceColumn);
    }

    /** Gives a column the type of the column that it refers to. */
    void follow(String sourceColumn, TypeChoice leading) {
        TypeChoice own = choices.get(sourceColumn);
        choices.put(sourceColumn, new TypeChoice(leading.sql(), leading.stored(), own.checks(), own.notes()));
        notes.find(
                FindingCode.KEY_TYPE_FOLLOWS,
                source.name() + "." + sourceColumn,
                own.sql() + " becomes " + leading.sql());
    }

    private void chooseType(Column column) {
        boolean truth = isTruth(column);
        boolean uuid = planned.becomesUuid(source.name(), column.name());
        LogicalType type = uuid ? new LogicalType.Uuid() : truth ? new LogicalType.Bool() : interpreted(column);
        String name = names.column(source.name(), column.name(), columnNames);
        ColumnUse use = new ColumnUse(
                target,
                name,
                column.identity().isPresent(),
                isKey(column.name()),
                keyColumns(column.name()),
                otherBytes(column.name()),
                column.ignoresCase(),
                from.has(SqlFeature.IGNORES_PADDING));
        String object = source.name() + "." + column.name();
        boolean numbered = column.identity().isPresent() && !uuid;
        TypeChoice choice = rule(column)
                .flatMap(ColumnRule::type)
                .map(this::asPlanned)
                .or(() -> keepsTruth(type) || keepsInstant(type)
                        ? Optional.of(asPlanned(column.declaredType()))
                        : Optional.empty())
                .or(() -> enumerations.choose(type, use))
                .orElseGet(() -> to.types().choose(numbered ? whole(type) : named(type, name, object), use));
        choices.put(column.name(), choice);
        // Whole numbers are divided otherwise than decimal ones.
        pairs.put(column.name(), new TableExpressions.Pair(column, name, numbered ? whole(type) : type));
        if (!from.name().equals(to.name()) && !keepsTruth(type)) {
            from.types().remarks(column, plan.values()).forEach(n -> notes.find(n.code(), object, n.detail()));
        }
        if (!from.name().equals(to.name()) && from.types().sortsByLanguage(column.collation())) {
            notes.find(FindingCode.SORTS_BY_LANGUAGE, object, column.collation());
        }
        if (truth) {
            notes.find(FindingCode.ONE_DIGIT_BOOLEAN, object, column.declaredType() + " of 0 and 1 as boolean");
        }
        choice.notes().forEach(n -> notes.find(n.code(), object, n.detail()));
    }

    /** Takes texts out of a row that would be too long for the target. */
    private void fitRow() {
        if (from.name().equals(to.name()) || !to.has(SqlFeature.ROWS_OF_64_KILOBYTES)) {
            return;
        }
        List<Column> columns = source.columns();
        List<Optional<LogicalType>> types = columns.stream()
                .map(c -> Optional.of(choices.get(c.name()).stored()))
                .toList();
        Set<Integer> apart = RowSize.apart(
                types,
                i -> keyColumns(columns.get(i).name()) > 0
                        || rule(columns.get(i)).flatMap(ColumnRule::type).isPresent());
        for (int place : apart) {
            String name = columns.get(place).name();
            TypeChoice choice = RowSize.longValue(types.get(place).orElseThrow(), to.types());
            choices.put(name, choice);
            choice.notes().forEach(n -> notes.find(n.code(), source.name() + "." + name, n.detail()));
        }
    }

    /** A truth value whose type both engines know. */
    private boolean keepsTruth(LogicalType type) {
        return type instanceof LogicalType.Bool
                && from.has(SqlFeature.NUMBERS_HOLD_TRUTH)
                && to.has(SqlFeature.NUMBERS_HOLD_TRUTH);
    }

    /** An instant of a type that both engines know, with the same limits. */
    private boolean keepsInstant(LogicalType type) {
        return type instanceof LogicalType.Timestamp instant
                && instant.zoned()
                && from.has(SqlFeature.INSTANTS_UNTIL_2038)
                && to.has(SqlFeature.INSTANTS_UNTIL_2038);
    }

    /** What a column is on the target, with what there is to say of it. */
    private LogicalType interpreted(Column column) {
        LogicalType type = from.types().interpret(column, plan.values());
        if (from.types().wholeColumns().isEmpty() || column.declaredType().isEmpty()) {
            return type;
        }
        TypeName declared =
                TypeNameParser.parse(column.declaredType(), from.grammar().lexical());
        DecimalFloats.note(declared, from.types(), to.types())
                .or(() -> WholeColumns.note(declared, type, from.types(), to.types()))
                .ifPresent(n -> notes.find(n.code(), source.name() + "." + column.name(), n.detail()));
        return WholeColumns.type(declared, type, from.types(), to.types());
    }

    /** A number whose check allows 0 and 1 alone, on an engine that has no truth values. */
    boolean isTruth(Column column) {
        boolean digit = column.type() instanceof LogicalType.Decimal d && d.precision() == 1 && d.scale() == 0
                || column.type() instanceof LogicalType.Int;
        return digit
                && plan.values().oneDigitBoolean() == OneDigitBoolean.BOOLEAN
                && !from.has(SqlFeature.BOOLEAN_CONSTANTS)
                && source.checks().stream().anyMatch(c -> isOfTruth(c, column));
    }

    static boolean isOfTruth(CheckConstraint check, Column column) {
        String name = Pattern.quote(column.name());
        return check.expression().matches("(?i)[\"`\\[]?" + name + "[\"`\\]]? IN \\((0, 1|1, 0)\\)");
    }

    /** The first of the plan's rules that fits a column. */
    Optional<ColumnRule> rule(Column column) {
        return plan.columns().stream()
                .filter(r -> r.fits(source.name(), column.name(), column.declaredType()))
                .findFirst();
    }

    private TypeChoice asPlanned(String type) {
        LogicalType stored =
                to.types().read(TypeNameParser.parse(type, to.grammar().lexical()));
        return new TypeChoice(type, stored, List.of(), List.of());
    }

    /** The whole numbers for a column that the engine numbers. */
    private static LogicalType whole(LogicalType type) {
        boolean small = type instanceof LogicalType.Decimal d && d.precision() > 0 && d.precision() <= 9;
        return type instanceof LogicalType.Int ? type : new LogicalType.Int(small ? 32 : 64, false);
    }

    /** An enumeration carries the name that it has on the target; one that is declared with a column gets one there. */
    private LogicalType named(LogicalType type, String column, String object) {
        if (!(type instanceof LogicalType.Enumeration e)) {
            return type;
        }
        if (!to.has(SqlFeature.ENUM_TYPES)) {
            return new LogicalType.Enumeration("", e.values());
        }
        if (!e.name().isEmpty()) {
            return type;
        }
        ObjectName wanted = new ObjectName(target.schema(), to.identifiers().shorten(target.name() + "_" + column));
        String name = names.free(wanted).name();
        notes.find(FindingCode.ENUMERATION_AS_TYPE, object, "type " + name);
        return new LogicalType.Enumeration(name, e.values());
    }

    private boolean isKey(String column) {
        return source.primaryKey().filter(k -> k.columns().contains(column)).isPresent()
                || source.foreignKeys().stream().anyMatch(k -> k.columns().contains(column));
    }

    /** The number of text or binary columns in the largest key that must hold the column whole. */
    private int keyColumns(String column) {
        return keysOf(column)
                .mapToInt(k -> (int) k.stream().filter(this::isLong).count())
                .max()
                .orElse(0);
    }

    /** The bytes of the numbers and dates beside a column in the largest key that it is part of. */
    private int otherBytes(String column) {
        return keysOf(column)
                .mapToInt(k -> BYTES_OF_NUMBER
                        * (int) k.stream().filter(c -> !isLong(c)).count())
                .max()
                .orElse(0);
    }

    private Stream<List<String>> keysOf(String column) {
        return Stream.of(
                        source.primaryKey().stream().map(Key::columns),
                        source.uniqueKeys().stream().map(Key::columns),
                        source.foreignKeys().stream().map(ForeignKey::columns))
                .flatMap(k -> k)
                .filter(k -> k.contains(column));
    }

    private boolean isLong(String column) {
        return source.column(column)
                .map(c -> switch (c.type().form()) {
                    case TEXT, PADDED_TEXT, BYTES -> true;
                    default -> false;
                })
                .orElse(false);
    }
}
