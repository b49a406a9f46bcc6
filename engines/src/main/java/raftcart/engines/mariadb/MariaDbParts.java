package raftcart.engines.mariadb;

import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.engine.EngineSession;
import raftcart.engines.jdbc.Query;

/**
 * Parts the rows of a table by its primary key. The heaviest part is halved again and again between its lowest and its
 * highest key; how many rows lie on both sides is what the optimizer sees when it dives into the index, so that no rows
 * are read and keys may be skewed. A part with one value of the first column is halved by the next one.
 */
final class MariaDbParts {
    /** Probes of the index for a table; each takes a fraction of a millisecond. */
    private static final int MOST_PROBES = 4000;

    private static final int MOST_HALVINGS = 70;
    /** Two parts are good halves where one has no more than so many times the rows of the other. */
    private static final int LOPSIDED = 2;

    private static final Duration LONGEST = Duration.ofSeconds(20);

    private final EngineSession session;
    private final String table;
    private final List<Column> key;
    private final Instant end = Instant.now().plus(LONGEST);
    private int probes;

    private MariaDbParts(EngineSession session, Table table, List<Column> key) {
        this.session = session;
        this.table = session.engine().dialect().identifiers().quote(table.name());
        this.key = key;
    }

    static List<String> of(EngineSession session, Table table, int wanted) throws SQLException {
        if (wanted < 2 || table.primaryKey().isEmpty()) {
            return List.of();
        }
        List<Column> key = new ArrayList<>();
        for (String name : table.primaryKey().get().columns()) {
            Column column = table.column(name).orElseThrow();
            if (KeySpace.of(column).isEmpty()) {
                break; // the columns before it part the rows as well, if not as finely
            }
            key.add(column);
        }
        if (key.isEmpty()) {
            return List.of();
        }
        List<String> parts = new MariaDbParts(session, table, key).cut(wanted);
        return parts.size() < 2 ? List.of() : parts;
    }

    /**
     * Rows between two keys.
     *
     * @param before conditions that set the columns before this one
     * @param column the place of the column by which the part may be halved
     * @param from the condition that keeps what is lower away, empty for none
     * @param to the same for what is higher
     */
    private record Range(String before, int column, String from, String to, String low, String high, long rows) {
        String condition() {
            List<String> all = new ArrayList<>(List.of(before, from, to));
            all.removeIf(String::isEmpty);
            return String.join(" AND ", all);
        }
    }

    /** The parts in the order of the key. */
    private List<String> cut(int wanted) throws SQLException {
        Optional<Range> all = range("", 0, "", "");
        if (all.isEmpty()) {
            return List.of();
        }
        List<Range> ranges = new ArrayList<>(List.of(all.get()));
        Set<Range> whole = new HashSet<>();
        long share = Math.max(1, all.get().rows() / wanted);
        while (probes < MOST_PROBES && Instant.now().isBefore(end)) {
            // A part of one and a half shares is as near to one as two of three quarters are.
            Optional<Range> heaviest = ranges.stream()
                    .filter(r -> !whole.contains(r) && r.rows() * 2 > share * 3)
                    .max(Comparator.comparingLong(Range::rows));
            if (heaviest.isEmpty()) {
                break;
            }
            List<Range> halves = halved(heaviest.get());
            if (halves.isEmpty()) {
                whole.add(heaviest.get());
            } else {
                int place = ranges.indexOf(heaviest.get());
                ranges.remove(place);
                ranges.addAll(place, halves);
            }
        }
        return ranges.stream().map(Range::condition).toList();
    }

    /** Two parts by a value between the lowest and the highest, at which neither is much smaller than the other. */
    private List<Range> halved(Range range) throws SQLException {
        KeySpace space = KeySpace.of(key.get(range.column())).orElseThrow();
        String name = name(range.column());
        String low = range.low();
        String high = range.high();
        List<Range> best = List.of();
        for (int i = 0; i < MOST_HALVINGS; i++) {
            Optional<String> middle = space.between(low, high);
            if (middle.isEmpty()) {
                break;
            }
            String constant = space.constant(middle.get());
            Optional<Range> below = range(range.before(), range.column(), range.from(), name + " < " + constant);
            Optional<Range> above = range(range.before(), range.column(), name + " >= " + constant, range.to());
            long rowsBelow = below.map(Range::rows).orElse(0L);
            long rowsAbove = above.map(Range::rows).orElse(0L);
            if (below.isPresent() && above.isPresent()) {
                if (best.isEmpty() || Math.min(rowsBelow, rowsAbove) > smaller(best)) {
                    best = List.of(below.get(), above.get());
                }
                if (Math.min(rowsBelow, rowsAbove) * LOPSIDED >= Math.max(rowsBelow, rowsAbove)) {
                    return best;
                }
            }
            if (rowsBelow > rowsAbove) {
                high = middle.get();
            } else {
                low = middle.get();
            }
        }
        return best.isEmpty() ? ofNextColumn(range) : best;
    }

    private static long smaller(List<Range> halves) {
        return halves.stream().mapToLong(Range::rows).min().orElse(0);
    }

    /** Where all rows have one value, those with it are parted by the next column of the key. */
    private List<Range> ofNextColumn(Range range) throws SQLException {
        boolean last = range.column() + 1 == key.size();
        if (last || !range.low().equals(range.high())) {
            return List.of();
        }
        KeySpace space = KeySpace.of(key.get(range.column())).orElseThrow();
        String equal = name(range.column()) + " = " + space.constant(range.low());
        String before = range.before().isEmpty() ? equal : range.before() + " AND " + equal;
        return range(before, range.column() + 1, "", "").map(List::of).orElse(List.of());
    }

    /** The range with its lowest and highest key, empty where it holds no rows. */
    private Optional<Range> range(String before, int column, String from, String to) throws SQLException {
        probes++;
        Range range = new Range(before, column, from, to, "", "", 0);
        String where = range.condition().isEmpty() ? "" : " WHERE " + range.condition();
        KeySpace space = KeySpace.of(key.get(column)).orElseThrow();
        List<String> ends = Query.list(
                        session.connection(),
                        "SELECT " + space.text("MIN(" + name(column) + ")") + ", "
                                + space.text("MAX(" + name(column) + ")") + " FROM " + table + where,
                        row -> row.getString(1) == null
                                ? List.<String>of()
                                : List.of(row.getString(1), row.getString(2)))
                .get(0);
        if (ends.isEmpty()) {
            return Optional.empty();
        }
        long rows = Query.list(
                        session.connection(),
                        "EXPLAIN SELECT 1 FROM " + table + " FORCE INDEX (PRIMARY)" + where,
                        row -> row.getLong("rows"))
                .get(0);
        return Optional.of(new Range(before, column, from, to, ends.get(0), ends.get(1), Math.max(1, rows)));
    }

    private String name(int column) {
        return session.engine().dialect().identifiers().quote(key.get(column).name());
    }
}
