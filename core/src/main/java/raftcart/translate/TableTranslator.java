package raftcart.translate;

import java.util.ArrayList;
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
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.DecimalFloats;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.WholeColumns;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.plan.ColumnRule;
import raftcart.plan.Plan;
import raftcart.rewrite.ExpressionRewriter;
import raftcart.rewrite.ExpressionRewriter.Result;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.ImpossibleDates;
import raftcart.type.ValueChoices.OneDigitBoolean;

/** Translates the columns and checks of one table; keys and indexes follow in {@link KeyTranslator}. */
final class TableTranslator {
    private static final int BYTES_OF_NUMBER = 8;

    private final Language from;
    private final Dialect to;
    private final Plan plan;
    private final PlannedCatalog planned;
    private final PlannedReading reading;
    private final Enumerations enumerations;
    private final NameMapper names;
    private final Notes notes;
    private final Table source;
    private final ObjectName target;
    private final Map<String, TypeChoice> choices = new LinkedHashMap<>();
    private final Map<String, TableExpressions.Pair> pairs = new LinkedHashMap<>();
    private final Set<String> columnNames = new HashSet<>();
    private final Map<String, String> assigned = new LinkedHashMap<>();
    private final ExpressionRewriter expressions;

    TableTranslator(
            Language from,
            Dialect to,
            Plan plan,
            PlannedCatalog planned,
            Enumerations enumerations,
            NameMapper names,
            Notes notes,
            Table source) {
        this.from = from;
        this.to = to;
        this.plan = plan;
        this.planned = planned;
        this.enumerations = enumerations;
        this.reading = new PlannedReading(from, plan, planned.whole(source), notes);
        this.names = names;
        this.notes = notes;
        this.source = source;
        this.target = names.table(source.name());
        source.columns().forEach(this::chooseType);
        this.expressions = new TableExpressions(from, to, names).of(target, List.copyOf(pairs.values()));
    }

    Table source() {
        return source;
    }

    ObjectName target() {
        return target;
    }

    ExpressionRewriter expressions() {
        return expressions;
    }

    /** The columns before and after. */
    List<TableExpressions.Pair> pairs() {
        return List.copyOf(pairs.values());
    }

    String targetColumn(String sourceColumn) {
        return pairs.get(sourceColumn).targetName();
    }

    /** The values that the source assigns to columns at every update and the target does not. */
    Map<String, String> assigned() {
        return assigned;
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
    private boolean isTruth(Column column) {
        boolean digit = column.type() instanceof LogicalType.Decimal d && d.precision() == 1 && d.scale() == 0
                || column.type() instanceof LogicalType.Int;
        return digit
                && plan.values().oneDigitBoolean() == OneDigitBoolean.BOOLEAN
                && !from.has(SqlFeature.BOOLEAN_CONSTANTS)
                && source.checks().stream().anyMatch(c -> isOfTruth(c, column));
    }

    private static boolean isOfTruth(CheckConstraint check, Column column) {
        String name = Pattern.quote(column.name());
        return check.expression().matches("(?i)[\"`\\[]?" + name + "[\"`\\]]? IN \\((0, 1|1, 0)\\)");
    }

    private Optional<ColumnRule> rule(Column column) {
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

    List<ColumnMapping> columns() {
        return source.columns().stream().map(this::column).toList();
    }

    private void sayStep(Optional<Identity> numbers, String object) {
        numbers.filter(i -> i.increment() != 1 && to.has(SqlFeature.NUMBERS_BY_ONE))
                .ifPresent(i -> notes.find(
                        FindingCode.SYNTAX_CHECK,
                        object,
                        "the target numbers it by 1, the source by " + i.increment()));
    }

    private ColumnMapping column(Column column) {
        String object = source.name() + "." + column.name();
        TableExpressions.Pair pair = pairs.get(column.name());
        TypeChoice choice = choices.get(column.name());
        boolean uuid = planned.becomesUuid(source.name(), column.name());
        Optional<String> value = uuid
                ? Optional.of(reading.uuid(column))
                : rule(column).flatMap(ColumnRule::value).map(v -> reading.value(column, v));
        Optional<Generated> generated =
                column.generated().filter(g -> value.isEmpty()).flatMap(g -> generated(object, g, choice));
        boolean computes = column.identity().isPresent() || column.generated().isPresent();
        Optional<String> defaultValue = uuid
                ? newUuid(column)
                : computes
                        ? Optional.empty()
                        : column.defaultValue().flatMap(d -> defaultValue(object, column, d, choice));
        boolean nullable = rule(column)
                .flatMap(ColumnRule::nullable)
                .orElseGet(() -> column.nullable()
                        || new AllowedNulls(source.name(), from, to.language(), plan.values(), notes)
                                .in(column, defaultValue));
        sayStep(column.identity().filter(i -> !uuid), object);
        Column targetColumn = new Column(
                pair.targetName(),
                choice.sql(),
                choice.stored(),
                nullable,
                planned(column, defaultValue, nullable),
                generated,
                column.identity().filter(i -> !uuid),
                column.ignoresCase() && to.has(SqlFeature.IGNORES_CASE),
                "",
                column.onUpdate().flatMap(u -> onUpdate(object, u)),
                column.comment());
        boolean typed = uuid
                || value.isPresent() && rule(column).flatMap(ColumnRule::type).isPresent();
        return new ColumnMapping(
                typed ? reading.typed(column, choice.stored()) : column,
                targetColumn,
                typed ? choice.stored().form() : pair.type().form(),
                value.isEmpty() && nullIfImpossible(column, object),
                generated.isEmpty(),
                value);
    }

    /** The default as the plan has it; NULL is none in a column that does not take it, which some engines refuse to hear. */
    private Optional<String> planned(Column column, Optional<String> defaultValue, boolean nullable) {
        return rule(column)
                .flatMap(ColumnRule::defaultValue)
                .map(d -> Optional.of(d).filter(t -> !t.isBlank()))
                .orElse(defaultValue.filter(d -> nullable || !d.equals("NULL")));
    }

    private boolean nullIfImpossible(Column column, String object) {
        boolean dated = from.has(SqlFeature.ZERO_DATES) && isDated(column);
        boolean asNull = dated && plan.values().impossibleDates() == ImpossibleDates.AS_NULL;
        if (dated) {
            String what = asNull ? "as NULL" : "refused";
            notes.find(FindingCode.IMPOSSIBLE_DATES, object, "impossible dates " + what);
        }
        return asNull;
    }

    /** The references of enumerations to the tables of their values. */
    List<ForeignKey> references(List<ColumnMapping> columns) {
        return columns.stream()
                .filter(c -> rule(c.source()).flatMap(ColumnRule::type).isEmpty())
                .flatMap(c -> enumerations
                        .reference(
                                target, c.target(), pairs.get(c.source().name()).type())
                        .stream())
                .toList();
    }

    /** What gives a new row its key. */
    private Optional<String> newUuid(Column column) {
        boolean key = source.primaryKey()
                .map(Key::columns)
                .filter(List.of(column.name())::equals)
                .isPresent();
        boolean refers = source.foreignKeys().stream().anyMatch(k -> k.columns().contains(column.name()));
        return key && !refers
                ? Optional.of(to.language()
                        .writer()
                        .apply(WriterContext.plain(to.language()))
                        .expression(Expr.Call.of("new_uuid")))
                : Optional.empty();
    }

    /** The condition under which rows go. */
    Optional<String> rows() {
        return reading.rows();
    }

    private Optional<Generated> generated(String object, Generated generated, TypeChoice choice) {
        Result result = refusal(generated)
                .map(Result::not)
                .orElseGet(() -> expressions.computed(generated.expression(), choice.stored()));
        if (result.text().isEmpty()) {
            notes.byHand(
                    "generated-column", object, generated.expression(), FindingCode.GENERATED_BY_HAND, result.reason());
            return Optional.empty();
        }
        boolean stored = generated.stored() || !to.has(SqlFeature.VIRTUAL_COLUMNS);
        if (stored && !generated.stored()) {
            notes.find(FindingCode.GENERATED_STORED, object, "computed on reading before");
        }
        note(object, result);
        return Optional.of(new Generated(result.text().get(), stored, false));
    }

    private Optional<String> defaultValue(String object, Column column, String text, TypeChoice choice) {
        Result result = expressions.defaultValue(text, pairs.get(column.name()).type());
        if (result.text().isEmpty()) {
            notes.byHand("default", object, text, FindingCode.DEFAULT_BY_HAND, result.reason());
        }
        note(object, result);
        return result.text();
    }

    private Optional<String> onUpdate(String object, String text) {
        if (to.has(SqlFeature.ASSIGNS_ON_UPDATE)) {
            return expressions.value(text).text();
        }
        assigned.put(targetColumn(object.substring(object.lastIndexOf('.') + 1)), text);
        return Optional.empty();
    }

    private static boolean isDated(Column column) {
        return column.type() instanceof LogicalType.Date || column.type() instanceof LogicalType.Timestamp;
    }

    private void note(String object, Result result) {
        result.notes().forEach(n -> notes.find(n.code(), object, n.detail()));
    }

    private Result check(String expression) {
        Result result = expressions.check(expression);
        boolean governed = result.text().isPresent()
                && to.has(SqlFeature.CHECKS_WITHOUT_GOVERNED_COLUMNS)
                && expressions.columnsOf(expression).stream().anyMatch(n -> isGoverned(n.text()));
        return governed
                ? Result.not("the target's checks may not name a column that it numbers or that a foreign key changes")
                : result;
    }

    private Optional<String> refusal(Generated generated) {
        return new ComputedColumns(source, to)
                .refusal(expressions.columnsOf(generated.expression()), name -> pairs.values().stream()
                        .filter(p -> p.source().name().equalsIgnoreCase(name))
                        .map(p -> choices.get(p.source().name()).stored())
                        .findFirst());
    }

    private boolean isNumbered(String column) {
        return source.columns().stream()
                .anyMatch(c -> c.name().equalsIgnoreCase(column) && c.identity().isPresent());
    }

    private boolean isGoverned(String column) {
        return isNumbered(column)
                || source.foreignKeys().stream()
                        .anyMatch(k -> k.columns().contains(column)
                                && (changes(k.onDelete()) || k.onUpdate() == ReferentialAction.CASCADE));
    }

    private static boolean changes(ReferentialAction action) {
        return action == ReferentialAction.SET_NULL || action == ReferentialAction.SET_DEFAULT;
    }

    /** A column that refers to a key has the key's range already. */
    private boolean isForeignKeyPart(String column) {
        return source.foreignKeys().stream().anyMatch(k -> k.columns().contains(column));
    }

    List<CheckConstraint> checks() {
        List<CheckConstraint> checks = new ArrayList<>();
        for (CheckConstraint check : source.checks()) {
            boolean truth = source.columns().stream().anyMatch(c -> isOfTruth(check, c) && isTruth(c));
            if (truth) {
                continue; // the type says it
            }
            String object = source.name() + "." + check.name();
            Result result = check(check.expression());
            if (result.text().isPresent()) {
                checks.add(new CheckConstraint(
                        names.fit(check.name(), object), result.text().get()));
                note(object, result);
            } else {
                notes.byHand("check", object, check.expression(), FindingCode.CHECK_BY_HAND, result.reason());
            }
        }
        choices.forEach((column, choice) -> choice.checks().forEach(condition -> {
            if (isForeignKeyPart(column)) {
                return;
            }
            String name = to.identifiers().shorten(target.name() + "_" + targetColumn(column) + "_range");
            checks.add(new CheckConstraint(name, condition));
        }));
        return checks;
    }
}
