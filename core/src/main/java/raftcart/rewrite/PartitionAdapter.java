package raftcart.rewrite;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Partitioning;
import raftcart.sql.tree.Partitioning.Bounds;
import raftcart.sql.tree.Partitioning.Limit;
import raftcart.sql.tree.Partitioning.Method;
import raftcart.sql.tree.Partitioning.Partition;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;

/** Divides the rows of a table on the target as they are divided on the source, where the target can; says so where not. */
final class PartitionAdapter {
    private final ExprAdapter adapter;
    private final Around around;
    private final Span span;

    PartitionAdapter(ExprAdapter adapter, Around around, Span span) {
        this.adapter = adapter;
        this.around = around;
        this.span = span;
    }

    /**
     * What the table is like.
     *
     * @param keys its unique keys, the primary key first
     * @param references true where foreign keys lead from it or to it
     * @param stored the types of its columns on the target
     */
    record Around(
            QualifiedName table,
            List<List<Name>> keys,
            boolean references,
            Function<Name, Optional<LogicalType>> stored) {}

    /** Rows from these limits on and below those. */
    private record Range(Optional<QualifiedName> name, List<Limit> from, List<Limit> to) {}

    /** The parts on the target; none, with the reason among the findings, where they are left out. */
    Optional<Partitioning> adapted(Partitioning given) {
        try {
            Partitioning parts = parts(given);
            adapter.note(FindingCode.SYNTAX_ADAPTED, span, "the partitions by " + given.scheme());
            return Optional.of(parts);
        } catch (Untranslatable e) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "the table is not partitioned (was by " + given.scheme() + "): " + e.getMessage());
            return Optional.empty();
        }
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    private Partitioning parts(Partitioning given) {
        if (!has(SqlFeature.PARTITIONS) && !has(SqlFeature.PARTITIONS_ARE_TABLES)) {
            throw new Untranslatable("the target has no partitions of this kind");
        }
        if (around.references() && has(SqlFeature.PARTITIONS_WITHOUT_FOREIGN_KEYS)) {
            throw new Untranslatable("foreign keys and partitions exclude each other on the target");
        }
        List<PartitionKey> keys = keys(given);
        keys.forEach(k -> refuseKey(k, given));
        for (String clause : given.leftOut()) {
            adapter.note(FindingCode.SYNTAX_CHECK, span, "left out of the partitions: " + clause);
        }
        List<Partition> partitions =
                switch (given.method()) {
                    case RANGE -> ranges(given, keys);
                    case LIST -> lists(given, keys);
                    case HASH -> remainders(given);
                };
        boolean follow = adapter.from.has(SqlFeature.PARTITIONS_ARE_TABLES) && has(SqlFeature.PARTITIONS_ARE_TABLES);
        if (partitions.isEmpty() && !follow) {
            throw new Untranslatable("no partitions are known here");
        }
        boolean counted = given.method() == Method.HASH && !has(SqlFeature.PARTITIONS_ARE_TABLES);
        List<Expr> columns = keys.stream().<Expr>map(PartitionKey::column).toList();
        return new Partitioning(
                given.method(),
                columns,
                counted ? List.of() : partitions,
                counted ? partitions.size() : 0,
                List.of(),
                given.scheme());
    }

    private List<PartitionKey> keys(Partitioning given) {
        if (given.keys().isEmpty() && !around.keys().isEmpty()) {
            return around.keys().get(0).stream().map(PartitionKey::of).toList();
        }
        return given.keys().stream()
                .flatMap(e -> PartitionKey.of(e, given.method()).stream())
                .toList();
    }

    private void refuseKey(PartitionKey key, Partitioning given) {
        Name column = key.column().name().last();
        Optional<List<Name>> other = around.keys().stream()
                .filter(k -> k.stream().noneMatch(n -> n.matches(column)))
                .findFirst();
        if (other.isPresent() && has(SqlFeature.UNIQUE_KEYS_NAME_PARTITIONS)) {
            throw new Untranslatable("on the target each unique key has to name " + column.text() + ", and ("
                    + String.join(", ", other.get().stream().map(Name::text).toList()) + ") does not");
        }
        boolean folds = given.method() != Method.HASH
                && adapter.lost(SqlFeature.IGNORES_CASE)
                && adapter.facts(key.column())
                        .filter(f -> f.kind() == ValueKind.TEXT && f.ignoresCase())
                        .isPresent();
        if (folds) {
            adapter.note(FindingCode.CASE_OF_TEXT, span, "PARTITION BY " + column.text());
        }
        boolean divides = around.stored()
                .apply(column)
                .filter(t -> given.method() == Method.HASH ? !isLong(t) : isPlain(t))
                .isPresent();
        if (!divides && has(SqlFeature.PARTITIONS_BY_PLAIN_TYPES)) {
            throw new Untranslatable(column.text() + " has a type by which the target does not partition");
        }
    }

    private static boolean isLong(LogicalType type) {
        return type instanceof LogicalType.Text || type instanceof LogicalType.Blob || type instanceof LogicalType.Json;
    }

    /** A type whose ranges and values MySQL and MariaDB know ("RANGE COLUMNS and LIST COLUMNS Partitioning Types"). */
    private static boolean isPlain(LogicalType type) {
        return type instanceof LogicalType.Int
                || type instanceof LogicalType.Date
                || type instanceof LogicalType.Timestamp stamp && !stamp.zoned()
                || type instanceof LogicalType.Char
                || type instanceof LogicalType.Varchar
                || type instanceof LogicalType.Binary
                || type instanceof LogicalType.Varbinary;
    }

    private List<Partition> ranges(Partitioning given, List<PartitionKey> keys) {
        List<Range> ranges = new ArrayList<>();
        Optional<Partition> rest = Optional.empty();
        List<Limit> last = Collections.nCopies(keys.size(), Limit.LOWEST);
        for (Partition part : given.partitions()) {
            if (part.bounds() instanceof Bounds.Below below) {
                List<Limit> to = limits(below.to(), keys);
                ranges.add(new Range(part.name(), last, to));
                last = to;
            } else if (part.bounds() instanceof Bounds.Between between) {
                ranges.add(new Range(part.name(), limits(between.from(), keys), limits(between.to(), keys)));
            } else {
                rest = Optional.of(part);
            }
        }
        ranges.sort((a, b) -> compare(a.from(), b.from()));
        boolean open =
                ranges.isEmpty() || !ranges.get(ranges.size() - 1).to().get(0).highest();
        boolean grows = given.leftOut().stream()
                .anyMatch(l -> l.toUpperCase(Locale.ROOT).startsWith("INTERVAL"));
        boolean nulls = adapter.lost(SqlFeature.NULLS_IN_LOWEST_PARTITION)
                && keys.stream().anyMatch(this::mayBeNull);
        if (nulls && open && rest.isEmpty()) {
            noteNulls();
        }
        if (!has(SqlFeature.PARTITIONS_ARE_TABLES)) {
            return inside(ranges, rest.isPresent() || grows && open, rest.flatMap(Partition::name));
        }
        List<Partition> parts = new ArrayList<>();
        for (Range range : ranges) {
            parts.add(part(range.name(), new Bounds.Between(range.from(), range.to()), parts.size()));
        }
        if (rest.isPresent() || grows && open || nulls) {
            parts.add(part(
                    rest.flatMap(Partition::name).or(() -> Optional.of(QualifiedName.of("rest"))),
                    new Bounds.Rest(),
                    0));
        }
        return parts;
    }

    private void noteNulls() {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                span,
                has(SqlFeature.PARTITIONS_ARE_TABLES)
                        ? "the partition for rows without a value takes those beyond the others too, which the source refuses"
                        : "the target has no partition for rows without a value");
    }

    private boolean mayBeNull(PartitionKey key) {
        return adapter.facts(key.column()).filter(Scope.ColumnFacts::notNull).isEmpty();
    }

    /** Ranges that follow each other without gaps, each by its upper limit. */
    private List<Partition> inside(List<Range> ranges, boolean rest, Optional<QualifiedName> restName) {
        List<Partition> parts = new ArrayList<>();
        boolean gaps = false;
        List<Limit> last = List.of();
        for (Range range : ranges) {
            boolean first = last.isEmpty();
            gaps |= first ? range.from().get(0).value().isPresent() : compare(last, range.from()) != 0;
            last = range.to();
            parts.add(part(range.name(), new Bounds.Below(range.to()), parts.size()));
        }
        if (gaps && !rest) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "rows between or below the partitions, which the source refuses, are taken");
        }
        if (rest && (last.isEmpty() || !last.get(0).highest())) {
            int columns = ranges.isEmpty() ? 1 : ranges.get(0).to().size();
            parts.add(part(
                    restName.or(() -> Optional.of(QualifiedName.of("rest"))),
                    new Bounds.Below(Collections.nCopies(columns, Limit.HIGHEST)),
                    parts.size()));
        }
        return parts;
    }

    private List<Partition> lists(Partitioning given, List<PartitionKey> keys) {
        if (keys.size() != 1) {
            throw new Untranslatable("a list of several columns");
        }
        List<Partition> parts = new ArrayList<>();
        for (Partition part : given.partitions()) {
            if (part.bounds() instanceof Bounds.Among among) {
                List<Expr> values =
                        among.values().stream().map(v -> value(v, keys.get(0))).toList();
                parts.add(part(part.name(), new Bounds.Among(values), parts.size()));
            } else if (part.bounds() instanceof Bounds.Rest && has(SqlFeature.LIST_PARTITION_FOR_REST)) {
                parts.add(part(part.name(), part.bounds(), parts.size()));
            } else {
                throw new Untranslatable("a partition for all other values");
            }
        }
        return parts;
    }

    private List<Partition> remainders(Partitioning given) {
        int listed = given.partitions().size();
        boolean whole = given.partitions().stream()
                .allMatch(p -> p.bounds() instanceof Bounds.Remainder r && (r.modulus() == 0 || r.modulus() == listed));
        if (!whole) {
            throw new Untranslatable("hash partitions of different sizes");
        }
        int count = Math.max(1, Math.max(given.count(), listed));
        return IntStream.range(0, count)
                .mapToObj(i -> part(
                        i < listed ? given.partitions().get(i).name() : Optional.empty(),
                        new Bounds.Remainder(count, i),
                        i))
                .toList();
    }

    /** A part under its own name, or under that of a table of its own. */
    private Partition part(Optional<QualifiedName> name, Bounds bounds, int index) {
        String own = name.map(n -> n.last().text()).orElse("p" + index);
        if (!has(SqlFeature.PARTITIONS_ARE_TABLES)) {
            return new Partition(Optional.of(QualifiedName.of(own)), bounds, "");
        }
        Name table = around.table().last();
        boolean alone = name.isPresent() && adapter.from.has(SqlFeature.PARTITIONS_ARE_TABLES);
        Name last = new Name(alone ? own : table.text() + "_" + own, table.exact());
        return new Partition(Optional.of(around.table().withLast(last)), bounds, "");
    }

    /** The limits of each column; beyond the highest of one nothing tells rows apart any more. */
    private List<Limit> limits(List<Limit> given, List<PartitionKey> keys) {
        List<Limit> limits = new ArrayList<>();
        boolean end = false;
        for (int i = 0; i < keys.size(); i++) {
            Limit limit = end ? limits.get(i - 1) : given.get(Math.min(i, given.size() - 1));
            end |= limit.value().isEmpty();
            PartitionKey key = keys.get(i);
            limits.add(limit.value().map(v -> Limit.of(value(v, key))).orElse(limit));
        }
        return limits;
    }

    private Expr value(Expr given, PartitionKey key) {
        Expr plain = key.ofColumn(given);
        Optional<KnownColumn> column = adapter.knowledge.table(around.table()).map(t -> t.columns()
                .get(key.column().name().last().text().toLowerCase(Locale.ROOT)));
        Expr adapted =
                new ValueAdapter(adapter).row(List.of(plain), List.of(column)).get(0);
        Expr bare = adapted instanceof Expr.Cast cast ? cast.value() : adapted;
        boolean constant =
                bare instanceof Expr.Literal || bare instanceof Expr.Unary u && u.operand() instanceof Expr.Literal;
        if (!constant) {
            throw new Untranslatable("a bound that is computed");
        }
        return bare;
    }

    private static int compare(List<Limit> left, List<Limit> right) {
        for (int i = 0; i < Math.min(left.size(), right.size()); i++) {
            int order = compare(left.get(i), right.get(i));
            if (order != 0) {
                return order;
            }
        }
        return 0;
    }

    private static int compare(Limit left, Limit right) {
        if (left.value().isEmpty() || right.value().isEmpty()) {
            return Integer.compare(rank(left), rank(right));
        }
        Expr a = left.value().get();
        Expr b = right.value().get();
        Optional<BigDecimal> one = number(a);
        Optional<BigDecimal> other = number(b);
        return one.isPresent() && other.isPresent() ? one.get().compareTo(other.get()) : text(a).compareTo(text(b));
    }

    private static int rank(Limit limit) {
        return limit.value().isPresent() ? 0 : limit.highest() ? 1 : -1;
    }

    private static Optional<BigDecimal> number(Expr e) {
        if (e instanceof Expr.Unary u) {
            return number(u.operand()).map(BigDecimal::negate);
        }
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER
                ? Optional.of(new BigDecimal(l.text()))
                : Optional.empty();
    }

    private static String text(Expr e) {
        return e instanceof Expr.Literal l ? l.text() : "";
    }
}
