package raftcart.scripts;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import raftcart.catalog.Column;
import raftcart.catalog.Identity;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.KeyZeros;
import raftcart.sql.Span;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement.Insert;

/**
 * Gives rows the numbers that the source's engine gave them, where the scripts leave that to the engine. Other rows refer to
 * these numbers, so they may not hang on which rows the target takes.
 */
final class RowNumbers {
    private static final Set<String> LAST_NUMBER =
            Set.of("last_insert_id", "scope_identity", "identity_val_local", "last_insert_rowid", "lastval");

    private static final int MOST_DIGITS = 18;

    private final Language language;
    private final CatalogBuilder now;
    private final Map<Integer, List<KeyTriggers.Fill>> fills = new HashMap<>();
    private final Map<String, Counter> counters = new HashMap<>();
    private final Map<String, BigInteger> given = new HashMap<>();
    private final Set<ObjectName> drawn = new LinkedHashSet<>();
    private final Set<String> countedByTarget = new HashSet<>();
    private final Set<ObjectName> drawnByTarget = new HashSet<>();
    private final KeyZeros zeros;
    private Optional<BigInteger> lastNumber = Optional.empty();

    RowNumbers(Language language, CatalogBuilder now, List<KeyTriggers.Fill> filled) {
        this.language = language;
        this.now = now;
        this.zeros = new KeyZeros(language.has(SqlFeature.ZERO_IS_NUMBERED));
        filled.forEach(
                f -> fills.computeIfAbsent(f.table().id, k -> new ArrayList<>()).add(f));
    }

    /**
     * A counter.
     *
     * @param seen the next number by the definition from which it was taken; another one is a new start
     */
    private record Counter(BigInteger seen, BigInteger next) {}

    /** An INSERT with its numbers, and the counters that the target has to draw from for it. */
    record Numbered(Insert insert, List<DrawnNumber> draws) {}

    /** What 0 stands for in the rows that follow. */
    KeyZeros zeros() {
        return zeros;
    }

    /** The numbers that come next of the sequences of which the rows drew, as far as these are still there. */
    Map<ObjectName, BigInteger> next() {
        takeBack();
        Map<ObjectName, BigInteger> next = new HashMap<>();
        drawn.forEach(name -> now.sequence(name).ifPresent(s -> next.put(name, counter(s))));
        return next;
    }

    /** The sequences of which the target itself drew. */
    Set<ObjectName> drawnByTarget() {
        takeBack();
        return Set.copyOf(drawnByTarget);
    }

    /** A sequence that a script sets anew stands where it says, whatever the target drew of it before. */
    private void takeBack() {
        List<ObjectName> set = drawnByTarget.stream()
                .filter(name -> now.sequence(name).filter(s -> !isSeen(s)).isPresent())
                .toList();
        set.forEach(name -> {
            drawnByTarget.remove(name);
            countedByTarget.remove(key(name));
            drawn.add(name);
        });
    }

    private boolean isSeen(Sequence sequence) {
        Counter counter = counters.get(key(sequence.name()));
        return counter != null && counter.seen().equals(sequence.next());
    }

    /**
     * Puts numbers into the rows of a statement.
     *
     * @param columns the numbers of the columns for which it has values; empty where that cannot be told
     */
    Numbered number(Insert insert, TableDraft table, Optional<List<Integer>> columns) {
        takeBack();
        List<NumberedColumn> numbered = numbered(table);
        Optional<List<List<Expr>>> rows = rows(insert);
        boolean plain = insert.upsert().isEmpty() && insert.with().isEmpty() && insert.mode() == Insert.Mode.INSERT;
        if (!plain || rows.isEmpty() || columns.isEmpty()) {
            return new Numbered(insert, leftToTarget(insert, numbered, columns));
        }
        return rows(insert, table, numbered, new ArrayList<>(columns.get()), rows.get());
    }

    private Numbered rows(
            Insert insert,
            TableDraft table,
            List<NumberedColumn> numbered,
            List<Integer> columns,
            List<List<Expr>> rows) {
        List<NumberedColumn> further = numbered.stream()
                .filter(n -> !columns.contains(n.id()) && !countedByTarget.contains(n.key()))
                .toList();
        boolean draws =
                !numbered.isEmpty() || rows.stream().anyMatch(r -> r.stream().anyMatch(RowNumbers::draws));
        if (!draws) {
            return new Numbered(insert, List.of());
        }
        List<List<Expr>> all = new ArrayList<>();
        Optional<BigInteger> first = Optional.empty();
        for (List<Expr> row : rows) {
            Row filled = new Row(columns, numbered, row);
            further.forEach(filled::add);
            all.add(filled.values);
            first = first.or(() -> filled.number);
            boolean ofFirst = language.has(SqlFeature.LAST_NUMBER_IS_OF_FIRST_ROW);
            lastNumber = (ofFirst ? first : filled.number).or(() -> lastNumber);
        }
        if (all.equals(rows) && further.isEmpty()) {
            return new Numbered(insert, List.of());
        }
        List<Name> names = new ArrayList<>();
        columns.forEach(c -> names.add(name(table, c)));
        further.forEach(n -> names.add(name(table, n.id())));
        boolean always = numbered.stream().anyMatch(NumberedColumn::always);
        Insert filled = insert.withColumns(names).withSource(Query.of(new QueryBody.Values(all, insert.span())));
        return new Numbered(always ? filled.withOverriding("SYSTEM") : filled, List.of());
    }

    private static Name name(TableDraft table, int column) {
        return new Name(table.columns.get(table.ids.indexOf(column)).name(), true);
    }

    private static boolean draws(Expr value) {
        return !(value instanceof Expr.Literal);
    }

    /** The rows that a statement gives itself: one of defaults, values, or a query without a table. */
    private Optional<List<List<Expr>>> rows(Insert insert) {
        if (insert.source().isEmpty()) {
            return Optional.of(List.of(List.of()));
        }
        Query source = insert.source().get();
        if (source.body() instanceof QueryBody.Values values) {
            return Optional.of(values.rows());
        }
        return RowChanges.constants(source, language).map(List::of);
    }

    /** From here on the target counts what this statement draws from, as it cannot be told how many numbers it takes. */
    private List<DrawnNumber> leftToTarget(
            Insert insert, List<NumberedColumn> numbered, Optional<List<Integer>> columns) {
        List<DrawnNumber> draws = new ArrayList<>();
        numbered.stream()
                .filter(n -> columns.isEmpty() || !columns.get().contains(n.id()))
                .filter(n -> !countedByTarget.contains(n.key()))
                .forEach(n -> {
                    draws.addAll(n.drawn());
                    countedByTarget.add(n.key());
                    n.sequence().ifPresent(s -> drawnByTarget.add(s.name()));
                });
        insert.source()
                .ifPresent(q -> new QueryMapper() {
                    @Override
                    public Expr expr(Expr e) {
                        if (e instanceof Expr.SequenceValue value) {
                            now.sequence(value.sequence())
                                    .filter(s -> !countedByTarget.contains(key(s.name())))
                                    .ifPresent(s -> {
                                        draws.add(new DrawnNumber(s.name(), Optional.empty(), counter(s)));
                                        countedByTarget.add(key(s.name()));
                                        drawnByTarget.add(s.name());
                                    });
                        }
                        return super.expr(e);
                    }
                }.query(q));
        return draws;
    }

    private static String key(ObjectName sequence) {
        return "sequence " + sequence;
    }

    /**
     * A column that gets numbers.
     *
     * @param identity how it counts; empty where it draws from a sequence
     * @param fromNull true where NULL stands for the next number
     */
    private record NumberedColumn(
            TableDraft table,
            int id,
            Optional<Identity> identity,
            Optional<Sequence> sequence,
            boolean fromNull,
            RowNumbers numbers) {
        String key() {
            return sequence.map(s -> RowNumbers.key(s.name())).orElse("column " + table.id + " " + id);
        }

        String name() {
            return table.columns.get(table.ids.indexOf(id)).name();
        }

        boolean always() {
            return identity.filter(Identity::always).isPresent();
        }

        BigInteger next() {
            return sequence.map(numbers::counter)
                    .orElseGet(
                            () -> numbers.counter(key(), identity.orElseThrow().next()));
        }

        BigInteger draw() {
            if (sequence.isPresent()) {
                return numbers.draw(sequence.get());
            }
            BigInteger number = next();
            numbers.set(
                    key(), number.add(BigInteger.valueOf(identity.orElseThrow().increment())));
            numbers.given.put(key(), number);
            return number;
        }

        /** The column's counter on the target, whichever of the two it is there. */
        List<DrawnNumber> drawn() {
            List<DrawnNumber> drawn = new ArrayList<>();
            drawn.add(new DrawnNumber(table.name, Optional.of(name()), next()));
            sequence.ifPresent(s -> drawn.add(new DrawnNumber(s.name(), Optional.empty(), next())));
            return drawn;
        }
    }

    private List<NumberedColumn> numbered(TableDraft table) {
        List<NumberedColumn> numbered = new ArrayList<>();
        for (int i = 0; i < table.columns.size(); i++) {
            Column column = table.columns.get(i);
            int id = table.ids.get(i);
            if (column.identity().isPresent()) {
                boolean fromNull = language.has(SqlFeature.NULL_IS_NUMBERED);
                numbered.add(new NumberedColumn(table, id, column.identity(), Optional.empty(), fromNull, this));
                continue;
            }
            Optional<Sequence> filled = fills.getOrDefault(table.id, List.of()).stream()
                    .filter(f -> f.column().text().equalsIgnoreCase(column.name()))
                    .findFirst()
                    .flatMap(f -> now.sequence(f.sequence()));
            filled.or(() -> column.defaultValue().flatMap(this::sequence))
                    .ifPresent(s -> numbered.add(
                            new NumberedColumn(table, id, Optional.empty(), Optional.of(s), filled.isPresent(), this)));
        }
        return numbered;
    }

    private Optional<Sequence> sequence(String value) {
        boolean may = value.toLowerCase(Locale.ROOT).matches("(?s).*next\\s*va(l|lue)\\b.*");
        return may && ExprParser.parse(value, language.grammar()) instanceof Expr.SequenceValue next && next.next()
                ? now.sequence(next.sequence())
                : Optional.empty();
    }

    private BigInteger counter(Sequence sequence) {
        return counter(key(sequence.name()), sequence.next());
    }

    private BigInteger counter(String key, BigInteger defined) {
        Counter counter = counters.get(key);
        if (counter == null || !counter.seen().equals(defined)) {
            counters.put(key, new Counter(defined, defined));
            return defined;
        }
        return counter.next();
    }

    private void set(String key, BigInteger next) {
        counters.computeIfPresent(key, (k, c) -> new Counter(c.seen(), next));
    }

    private BigInteger draw(Sequence sequence) {
        BigInteger number = counter(sequence);
        BigInteger next = number.add(sequence.increment());
        set(key(sequence.name()), next);
        drawn.add(sequence.name());
        given.put(key(sequence.name()), number);
        return number;
    }

    /** The values of one row, while numbers take their places. */
    private final class Row {
        private final List<Expr> values = new ArrayList<>();
        private Optional<BigInteger> number = Optional.empty();

        Row(List<Integer> columns, List<NumberedColumn> numbered, List<Expr> row) {
            Map<String, BigInteger> drawn = new HashMap<>();
            for (int i = 0; i < row.size(); i++) {
                int id = i < columns.size() ? columns.get(i) : -1;
                Optional<NumberedColumn> own =
                        numbered.stream().filter(n -> n.id() == id).findFirst();
                Expr value = row.get(i);
                values.add(own.isPresent() ? own(own.get(), value, drawn) : replaced(value, drawn));
            }
        }

        void add(NumberedColumn column) {
            BigInteger drawn = column.draw();
            number = Optional.of(drawn);
            values.add(number(drawn));
        }

        private Expr own(NumberedColumn column, Expr value, Map<String, BigInteger> drawn) {
            boolean asks = value instanceof Expr.Default
                    || value instanceof Expr.Literal none && none.kind() == LiteralKind.NULL && column.fromNull()
                    || value instanceof Expr.Literal zero && zero.text().equals("0") && zeros.areNumbered();
            if (asks && !countedByTarget.contains(column.key())) {
                BigInteger next = column.draw();
                number = Optional.of(next);
                return number(next);
            }
            Expr replaced = replaced(value, drawn);
            boolean counts = column.identity().isPresent() && language.has(SqlFeature.GIVEN_NUMBERS_COUNT);
            if (counts && replaced instanceof Expr.Literal literal && literal.isDigits(MOST_DIGITS)) {
                Identity identity = column.identity().orElseThrow();
                BigInteger after = new BigInteger(literal.text()).add(BigInteger.valueOf(identity.increment()));
                BigInteger next = column.next();
                set(column.key(), identity.increment() < 0 ? next.min(after) : next.max(after));
            }
            return replaced;
        }

        private Expr replaced(Expr value, Map<String, BigInteger> drawn) {
            if (value instanceof Expr.Literal) {
                return value;
            }
            return new QueryMapper() {
                @Override
                public Expr expr(Expr e) {
                    if (e instanceof Expr.SequenceValue sequence) {
                        return sequenceValue(sequence, drawn);
                    }
                    boolean last = e instanceof Expr.Call call
                            && call.arguments().isEmpty()
                            && LAST_NUMBER.contains(call.name().last().key());
                    return last && lastNumber.isPresent() ? number(lastNumber.get()) : super.expr(e);
                }
            }.expr(value);
        }

        /** By the standard, all mentions of a sequence in a row give one number. */
        private Expr sequenceValue(Expr.SequenceValue value, Map<String, BigInteger> drawn) {
            Optional<Source> source = source(value.sequence()).filter(s -> !countedByTarget.contains(s.key()));
            if (source.isEmpty()) {
                return value;
            }
            String key = source.get().key();
            if (!value.next()) {
                return Optional.ofNullable(given.get(key))
                        .map(RowNumbers::number)
                        .orElse(value);
            }
            boolean again = drawn.containsKey(key) && !language.has(SqlFeature.EVERY_MENTION_DRAWS);
            BigInteger number = again ? drawn.get(key) : source.get().draw().get();
            drawn.put(key, number);
            return number(number);
        }
    }

    /** What numbers are drawn from by the name of a sequence. */
    private record Source(String key, Supplier<BigInteger> draw) {}

    /** A sequence, or the counter of a column by the name that PostgreSQL gives it. */
    private Optional<Source> source(QualifiedName name) {
        Optional<Sequence> sequence = now.sequence(name);
        if (sequence.isPresent()) {
            return sequence.map(s -> new Source(key(s.name()), () -> draw(s)));
        }
        return now.drafts().values().stream()
                .filter(t -> name.last()
                        .text()
                        .toLowerCase(Locale.ROOT)
                        .startsWith(t.name.name().toLowerCase(Locale.ROOT)))
                .flatMap(t -> numbered(t).stream()
                        .filter(n -> name.last().text().equalsIgnoreCase(t.name.name() + "_" + n.name() + "_seq")))
                .findFirst()
                .map(n -> new Source(n.key(), n::draw));
    }

    private static Expr number(BigInteger number) {
        return new Expr.Literal(LiteralKind.NUMBER, number.toString(), Span.NONE);
    }
}
