package raftcart.engines.postgresql;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engine.EngineSession;
import raftcart.engines.jdbc.Query;

/**
 * Parts the rows of a table. With a primary key, the bounds are keys of a sample of the table's pages, so that skewed
 * keys of whatever type and any number of columns give parts of about the same size. Without one, rows are parted by
 * the pages on which they lie; the table is then locked against being written anew until the snapshot ends.
 */
final class PgParts {
    /** So many rows of the sample for each part keep the parts within a tenth or so of the same size. */
    private static final int SAMPLE_ROWS_PER_PART = 300;

    private static final int SAMPLE_PAGES_PER_PART = 40;

    private PgParts() {}

    static List<String> of(EngineSession session, Table table, int wanted) throws SQLException {
        if (wanted < 2) {
            return List.of();
        }
        return table.primaryKey().isPresent() ? byKey(session, table, wanted) : byPages(session, table, wanted);
    }

    private static List<String> byKey(EngineSession session, Table table, int wanted) throws SQLException {
        Dialect dialect = session.engine().dialect();
        List<Column> key = table.primaryKey().orElseThrow().columns().stream()
                .map(name -> table.column(name).orElseThrow())
                .toList();
        String names =
                dialect.identifiers().quoteAll(key.stream().map(Column::name).toList());
        // A bound is the key as constants of the key's types, made by the server; a type that would cut a constant to
        // the
        // length of 1 gives way to its twin without a length.
        String bound = key.stream()
                .map(c -> dialect.identifiers().quote(c.name()))
                .map(name -> "quote_literal(" + name + ") || '::' || CASE pg_typeof(" + name + ")::text"
                        + " WHEN 'character' THEN 'bpchar' WHEN 'bit' THEN 'varbit' ELSE pg_typeof(" + name
                        + ")::text END")
                .collect(Collectors.joining(" || ', ' || "));
        double percent = percent(session, table, wanted);
        String sample = "SELECT " + bound + " AS bound, row_number() OVER (ORDER BY " + names
                + ") - 1 AS place, count(*) OVER () AS rows FROM "
                + dialect.values().rowsOf(table)
                + " TABLESAMPLE SYSTEM (" + percent + ") REPEATABLE (1)";
        // The bound of part n is the first key of its share of the sample.
        List<String> bounds = Query.list(
                session.connection(),
                "SELECT DISTINCT ON (place * " + wanted + " / rows) bound FROM (" + sample
                        + ") AS sample ORDER BY place * " + wanted + " / rows, place",
                row -> row.getString(1));
        List<String> cuts = new ArrayList<>(new LinkedHashSet<>(bounds));
        if (cuts.size() < 2) {
            return List.of();
        }
        cuts.remove(0); // the first part begins below all keys
        return ranges("(" + names + ")", cuts.stream().map(c -> "(" + c + ")").toList());
    }

    /** The sample takes pages as a whole, so that it needs some of them for each part, however many rows they hold. */
    private static double percent(EngineSession session, Table table, int wanted) throws SQLException {
        long pages = pages(session, table);
        double byRows = (double) wanted * SAMPLE_ROWS_PER_PART / Math.max(1, table.rowEstimate());
        double byPages = (double) wanted * SAMPLE_PAGES_PER_PART / Math.max(1, pages);
        return pages == 0 ? Math.min(100, 100 * byRows + 1) : Math.min(100, 100 * Math.max(byRows, byPages));
    }

    /** The pages of a table itself; 0 where it has partitions. */
    private static long pages(EngineSession session, Table table) throws SQLException {
        return Long.parseLong(Query.text(
                session.connection(),
                "SELECT pg_relation_size(?::regclass) / current_setting('block_size')::int",
                session.engine().dialect().identifiers().quote(table.name())));
    }

    private static List<String> byPages(EngineSession session, Table table, int wanted) throws SQLException {
        boolean plain = table.partitioning().isEmpty()
                && Integer.parseInt(Query.text(session.connection(), "SHOW server_version_num")) >= 140000;
        if (!plain) {
            return List.of(); // older servers read the whole table for a range of places
        }
        String name = session.engine().dialect().identifiers().quote(table.name());
        Query.execute(session.connection(), "LOCK TABLE ONLY " + name + " IN ACCESS SHARE MODE");
        long pages = pages(session, table);
        List<String> cuts = new ArrayList<>();
        for (int i = 1; i < wanted; i++) {
            cuts.add("'(" + pages * i / wanted + ",0)'::tid");
        }
        return pages < wanted ? List.of() : ranges("ctid", cuts);
    }

    private static List<String> ranges(String what, List<String> cuts) {
        List<String> ranges = new ArrayList<>();
        ranges.add(what + " < " + cuts.get(0));
        for (int i = 1; i < cuts.size(); i++) {
            ranges.add(what + " >= " + cuts.get(i - 1) + " AND " + what + " < " + cuts.get(i));
        }
        ranges.add(what + " >= " + cuts.get(cuts.size() - 1));
        return ranges;
    }
}
