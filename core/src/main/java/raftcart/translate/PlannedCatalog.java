package raftcart.translate;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Observation;
import raftcart.catalog.Schema;
import raftcart.catalog.Table;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;
import raftcart.plan.Plan;
import raftcart.plan.TableRule.KeyStrategy;
import raftcart.type.LogicalType;

/** A source as the rules of the plan leave it: without the columns that stay behind, and with other keys. */
final class PlannedCatalog {
    private final Plan plan;
    private final Notes notes;
    private final boolean numbersOnce;
    private final Map<ObjectName, Set<String>> leftOut = new LinkedHashMap<>();
    private final Set<ColumnOf> uuids = new HashSet<>();
    private final Catalog source;
    private final Catalog catalog;

    /** A column and its table. */
    private record ColumnOf(ObjectName table, String column) {}

    /** @param numbersOnce true where the target numbers one column of a table at most */
    PlannedCatalog(Catalog source, Plan plan, Notes notes, boolean numbersOnce) {
        this.numbersOnce = numbersOnce;
        this.source = source;
        this.plan = plan;
        this.notes = notes;
        source.tables().filter(t -> plan.tables().takes(t.name())).forEach(this::chooseColumns);
        this.catalog = new Catalog(
                source.dialect(),
                source.version(),
                source.defaultSchema(),
                source.schemas().stream().map(this::schema).toList());
        chooseUuids();
    }

    /** The source without what stays behind. */
    Catalog catalog() {
        return catalog;
    }

    /** A table with all its columns. */
    Table whole(Table table) {
        return leftOut.containsKey(table.name()) ? source.table(table.name()).orElse(table) : table;
    }

    /** True for a key of numbers that becomes one of UUIDs, and for what refers to one. */
    boolean becomesUuid(ObjectName table, String column) {
        return uuids.contains(new ColumnOf(table, column));
    }

    /** A column that a text reads although it stays behind, as far as words can tell. */
    Optional<String> missing(String text) {
        for (Map.Entry<ObjectName, Set<String>> table : leftOut.entrySet()) {
            if (names(text, table.getKey().name())) {
                Optional<String> column =
                        table.getValue().stream().filter(c -> names(text, c)).findFirst();
                if (column.isPresent()) {
                    return column.map(c -> table.getKey() + "." + c);
                }
            }
        }
        return Optional.empty();
    }

    /** True where a text has the name among its words. */
    static boolean names(String text, String name) {
        return Pattern.compile("(?<![\\w$#])" + Pattern.quote(name) + "(?![\\w$#])", Pattern.CASE_INSENSITIVE)
                .matcher(text)
                .find();
    }

    private void chooseColumns(Table table) {
        Set<String> left = new HashSet<>();
        for (Column column : table.columns()) {
            if (!plan.tables().takesColumn(table.name(), column.name())) {
                left.add(column.name());
                notes.find(FindingCode.COLUMN_LEFT_OUT, table.name() + "." + column.name(), "stays on the source");
            }
        }
        if (left.size() == table.columns().size() && !left.isEmpty()) {
            throw new PlanException(
                    "the plan leaves no column of " + table.name(),
                    "Look at `columns` and `without` under `tables.rules` in raftcart.yaml, or exclude the table.");
        }
        if (!left.isEmpty() && plan.source().isScripts()) {
            throw PlannedReading.noDatabase(table.name(), "without");
        }
        if (!left.isEmpty()) {
            leftOut.put(table.name(), left);
        }
    }

    private Schema schema(Schema schema) {
        Schema going = StayingSchemas.without(schema, source, plan.tables());
        return new Schema(
                going.name(),
                going.tables().stream().map(this::table).toList(),
                going.sequences(),
                going.enumeratedTypes(),
                going.codeObjects());
    }

    private Table table(Table table) {
        Set<String> left = leftOut.getOrDefault(table.name(), Set.of());
        Predicate<String> whole = text -> left.stream().noneMatch(c -> names(text, c));
        Predicate<List<String>> kept = columns -> columns.stream().noneMatch(left::contains);
        return new Table(
                table.name(),
                table.columns().stream()
                        .filter(c -> !left.contains(c.name()))
                        .map(c -> column(table, c, whole))
                        .toList(),
                table.primaryKey().filter(k -> keeps(table, "primary key", kept.test(k.columns()))),
                table.uniqueKeys().stream()
                        .filter(k -> keeps(table, "unique key " + k.name(), kept.test(k.columns())))
                        .toList(),
                table.foreignKeys().stream()
                        .filter(k -> keeps(table, "foreign key " + k.name(), isWhole(k, kept)))
                        .toList(),
                table.checks().stream()
                        .filter(c -> keeps(table, "check " + c.name(), whole.test(c.expression())))
                        .toList(),
                table.indexes().stream()
                        .filter(i -> keeps(table, "index " + i.name(), isWhole(i, left, whole)))
                        .toList(),
                table.comment(),
                table.partitioning().filter(p -> keeps(table, "partitions by " + p.scheme(), whole.test(p.scheme()))),
                table.physical(),
                table.rowEstimate(),
                table.byteEstimate());
    }

    private boolean keeps(Table table, String part, boolean whole) {
        if (!whole) {
            notes.find(FindingCode.PART_LEFT_OUT, table.name().toString(), part);
        }
        return whole;
    }

    private boolean isWhole(ForeignKey key, Predicate<List<String>> kept) {
        Set<String> there = leftOut.getOrDefault(key.target(), Set.of());
        return kept.test(key.columns()) && key.targetColumns().stream().noneMatch(there::contains);
    }

    private static boolean isWhole(Index index, Set<String> left, Predicate<String> whole) {
        return index.parts().stream().allMatch(p -> isWhole(p, left, whole))
                && index.included().stream().noneMatch(left::contains)
                && whole.test(index.predicate());
    }

    private static boolean isWhole(KeyPart part, Set<String> left, Predicate<String> whole) {
        return part.isExpression() ? whole.test(part.expression()) : !left.contains(part.column());
    }

    private Column column(Table table, Column column, Predicate<String> whole) {
        Optional<Generated> generated = column.generated().filter(g -> whole.test(g.expression()));
        boolean stays = generated.isEmpty() && column.generated().isPresent();
        if (stays) {
            notes.find(
                    FindingCode.PART_LEFT_OUT,
                    table.name() + "." + column.name(),
                    "what computes it; its values go as they are");
        }
        boolean numbered = plan.tables().takes(table.name())
                && plan.tables().key(table.name()) == KeyStrategy.IDENTITY
                && isNumber(table, column)
                && column.identity().isEmpty();
        if (numbered) {
            notes.find(
                    FindingCode.KEY_CHANGED,
                    table.name() + "." + column.name(),
                    "numbered by the target from the highest number on");
        }
        return new Column(
                column.name(),
                column.declaredType(),
                seen(table, column),
                column.nullable(),
                numbered ? Optional.empty() : column.defaultValue(),
                generated,
                numbered
                        ? Optional.of(new Identity(1, 1, false, BigInteger.ONE))
                        : column.identity().filter(i -> staysNumbered(table, column)),
                column.ignoresCase(),
                column.collation(),
                column.onUpdate(),
                column.comment());
    }

    /** True for the one numbered column of a table, which is that of the primary key or else the first. */
    private boolean staysNumbered(Table table, Column column) {
        List<String> numbered = table.columns().stream()
                .filter(c -> c.identity().isPresent())
                .map(Column::name)
                .toList();
        List<String> key = table.primaryKey().map(Key::columns).orElse(List.of());
        String chosen = numbered.stream().filter(key::contains).findFirst().orElse(numbered.get(0));
        boolean stays = !numbersOnce || chosen.equals(column.name());
        if (!stays) {
            notes.find(FindingCode.NUMBERED_ONCE, table.name() + "." + column.name(), chosen + " stays numbered");
        }
        return stays;
    }

    /** The type of a column as its rows are, if somebody looked at them. */
    private LogicalType seen(Table table, Column column) {
        LogicalType type = column.type();
        for (Observation seen : source.observations(table.name(), column.name()).toList()) {
            String object = table.name() + "." + column.name();
            String rows = " in " + seen.rows() + " rows";
            switch (seen.kind()) {
                case MORE_THAN_TRUTH -> {
                    type = new LogicalType.Int(8, false);
                    notes.find(FindingCode.TYPE_BY_DATA, object, "a number, as there are others than 0 and 1" + rows);
                }
                case DIGITS -> {
                    int after = Math.max(0, seen.after());
                    type = new LogicalType.Decimal(Math.max(1, seen.before() + after), after, false);
                    notes.find(
                            FindingCode.TYPE_BY_DATA,
                            object,
                            "at most " + seen.before() + " digits before and " + after + " behind the point" + rows);
                }
                case JSON -> notes.find(FindingCode.JSON_IN_TEXT, object, "every text is a JSON document" + rows);
                default -> throw new IllegalStateException("an observation of no known kind");
            }
        }
        return type;
    }

    /** True for a key that is one whole number. */
    private static boolean isNumber(Table table, Column column) {
        boolean whole = column.type() instanceof LogicalType.Int
                || column.type() instanceof LogicalType.Decimal d && d.scale() == 0;
        return whole
                && column.generated().isEmpty()
                && table.primaryKey()
                        .map(Key::columns)
                        .filter(List.of(column.name())::equals)
                        .isPresent();
    }

    /** Keys that become UUIDs, and from there on all that refers to them. */
    private void chooseUuids() {
        List<Table> selected =
                catalog.tables().filter(t -> plan.tables().takes(t.name())).toList();
        for (Table table : selected) {
            if (plan.tables().key(table.name()) == KeyStrategy.UUID) {
                table.columns().stream()
                        .filter(c -> isNumber(table, c))
                        .forEach(c -> uuids.add(new ColumnOf(table.name(), c.name())));
            }
        }
        boolean more = !uuids.isEmpty();
        while (more) {
            more = selected.stream().map(this::follow).toList().contains(true);
        }
        List<ColumnOf> all = new ArrayList<>(uuids);
        all.sort((a, b) -> (a.table() + "." + a.column()).compareTo(b.table() + "." + b.column()));
        all.forEach(c -> notes.find(
                FindingCode.KEY_CHANGED,
                c.table() + "." + c.column(),
                "a UUID that ends in the number; queries that compare it with numbers have to change"));
    }

    private boolean follow(Table table) {
        boolean more = false;
        for (ForeignKey key : table.foreignKeys()) {
            for (int i = 0; i < key.columns().size() && i < key.targetColumns().size(); i++) {
                more |= uuids.contains(
                                new ColumnOf(key.target(), key.targetColumns().get(i)))
                        && uuids.add(new ColumnOf(table.name(), key.columns().get(i)));
            }
        }
        return more;
    }
}
