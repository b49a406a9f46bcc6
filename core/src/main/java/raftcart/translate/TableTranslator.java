package raftcart.translate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Key;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.plan.ColumnRule;
import raftcart.plan.Plan;
import raftcart.rewrite.ExpressionRewriter;
import raftcart.rewrite.ExpressionRewriter.Result;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.ImpossibleDates;

/** Translates the columns and checks of one table; keys and indexes follow in {@link KeyTranslator}. */
final class TableTranslator {
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
    private final ColumnTypes types;
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
        this.types = new ColumnTypes(from, to, plan, planned, enumerations, names, notes, source, target);
        this.expressions = new TableExpressions(from, to, names).of(target, types.pairs());
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
        return types.pairs();
    }

    ColumnTypes types() {
        return types;
    }

    String targetColumn(String sourceColumn) {
        return types.pair(sourceColumn).targetName();
    }

    /** The values that the source assigns to columns at every update and the target does not. */
    Map<String, String> assigned() {
        return assigned;
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
        TableExpressions.Pair pair = types.pair(column.name());
        TypeChoice choice = types.choice(column.name());
        boolean uuid = planned.becomesUuid(source.name(), column.name());
        Optional<String> value = uuid
                ? Optional.of(reading.uuid(column))
                : types.rule(column).flatMap(ColumnRule::value).map(v -> reading.value(column, v));
        Optional<Generated> generated =
                column.generated().filter(g -> value.isEmpty()).flatMap(g -> generated(object, g, choice));
        boolean computes = column.identity().isPresent() || column.generated().isPresent();
        Optional<String> defaultValue = uuid
                ? newUuid(column)
                : computes
                        ? Optional.empty()
                        : column.defaultValue().flatMap(d -> defaultValue(object, column, d, choice));
        boolean nullable = types.rule(column)
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
                || value.isPresent()
                        && types.rule(column).flatMap(ColumnRule::type).isPresent();
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
        return types.rule(column)
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
                .filter(c -> types.rule(c.source()).flatMap(ColumnRule::type).isEmpty())
                .flatMap(c -> enumerations
                        .reference(
                                target,
                                c.target(),
                                types.pair(c.source().name()).type())
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
        Result result = expressions.defaultValue(text, types.pair(column.name()).type());
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
                .refusal(expressions.columnsOf(generated.expression()), name -> types.pairs().stream()
                        .filter(p -> p.source().name().equalsIgnoreCase(name))
                        .map(p -> types.choice(p.source().name()).stored())
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
            boolean truth =
                    source.columns().stream().anyMatch(c -> ColumnTypes.isOfTruth(check, c) && types.isTruth(c));
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
        types.pairs().stream().filter(p -> !isForeignKeyPart(p.source().name())).forEach(p -> types.choice(
                        p.source().name())
                .checks()
                .forEach(condition -> checks.add(new CheckConstraint(
                        to.identifiers().shorten(target.name() + "_" + p.targetName() + "_range"), condition))));
        return checks;
    }
}
