package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import raftcart.engines.jdbc.Query;

/** Reads what tables say beyond their columns, keys and indexes: the state of constraints and triggers, storage. */
final class PgTableClauses {
    /** Constraints that do not check all rows, or not at once; foreign keys know by themselves when they check. */
    private static final String CONSTRAINTS =
            "SELECT k.conrelid AS relid, 1 AS place, 'constraint ' || quote_ident(k.conname)"
                    + " || CASE WHEN k.condeferrable AND k.contype <> 'f' THEN ' DEFERRABLE' ELSE '' END"
                    + " || CASE WHEN k.condeferred AND k.contype <> 'f' THEN ' INITIALLY DEFERRED' ELSE '' END"
                    + " || CASE WHEN k.convalidated THEN '' ELSE ' NOT VALID' END"
                    + " || CASE WHEN k.connoinherit AND k.contype = 'c' THEN ' NO INHERIT' ELSE '' END AS clause"
                    + " FROM pg_constraint k WHERE k.contype IN ('p', 'u', 'f', 'c') AND (NOT k.convalidated"
                    + " OR k.contype <> 'f' AND k.condeferrable OR k.contype = 'c' AND k.connoinherit)";

    /** "pg_trigger": who fires only on a replica, or never. The triggers of foreign keys are internal. */
    private static final String TRIGGERS = "SELECT t.tgrelid, 2, CASE t.tgenabled WHEN 'D' THEN 'DISABLE TRIGGER '"
            + " WHEN 'A' THEN 'ENABLE ALWAYS TRIGGER ' ELSE 'ENABLE REPLICA TRIGGER ' END || CASE WHEN t.tgisinternal"
            + " THEN coalesce('of constraint ' || (SELECT quote_ident(k.conname) FROM pg_constraint k"
            + " WHERE k.oid = t.tgconstraint), quote_ident(t.tgname)) ELSE quote_ident(t.tgname) END"
            + " FROM pg_trigger t WHERE t.tgenabled <> 'O'";

    private static final String SECURITY = "SELECT c.oid, 3, 'ENABLE ROW LEVEL SECURITY'"
            + " || CASE WHEN c.relforcerowsecurity THEN ', FORCE ROW LEVEL SECURITY' ELSE '' END FROM pg_class c"
            + " WHERE c.relrowsecurity AND c.relkind IN ('r', 'p')";

    private static final String INHERITANCE =
            "SELECT i.inhrelid, 4, 'INHERITS (' || string_agg(i.inhparent::regclass::text,"
                    + " ', ' ORDER BY i.inhseqno) || ')' FROM pg_inherits i JOIN pg_class c ON c.oid = i.inhrelid"
                    + " WHERE c.relkind = 'r' AND NOT c.relispartition GROUP BY i.inhrelid";

    /** Counters of numbered columns that do more than count on from their start. */
    private static final String COUNTERS = "SELECT o.refobjid, 5, 'the counter of ' || quote_ident(a.attname)"
            + " || CASE WHEN q.seqcycle THEN ' CYCLE' ELSE '' END || CASE WHEN q.seqcache > 1 THEN ' CACHE ' || q.seqcache"
            + " ELSE '' END || CASE WHEN q.seqincrement > 0 AND q.seqmin <> 1 THEN ' MINVALUE ' || q.seqmin ELSE '' END"
            + " || CASE WHEN q.seqincrement > 0 AND q.seqmax NOT IN (32767, 2147483647, 9223372036854775807)"
            + " THEN ' MAXVALUE ' || q.seqmax ELSE '' END FROM pg_sequence q JOIN pg_depend o ON o.objid = q.seqrelid"
            + " AND o.classid = 'pg_class'::regclass AND o.deptype IN ('a', 'i') AND o.refobjsubid > 0"
            + " JOIN pg_attribute a ON a.attrelid = o.refobjid AND a.attnum = o.refobjsubid"
            + " WHERE q.seqcycle OR q.seqcache > 1 OR q.seqincrement > 0 AND (q.seqmin <> 1"
            + " OR q.seqmax NOT IN (32767, 2147483647, 9223372036854775807))";

    private static final String STORAGE = "SELECT c.oid, 6, 'UNLOGGED' FROM pg_class c WHERE c.relpersistence = 'u'"
            + " AND c.relkind IN ('r', 'p') UNION ALL"
            + " SELECT c.oid, 7, 'WITH (' || array_to_string(c.reloptions, ', ') || ')' FROM pg_class c"
            + " WHERE c.reloptions IS NOT NULL AND c.relkind IN ('r', 'p') UNION ALL"
            + " SELECT i.indrelid, 8, 'index ' || quote_ident(c.relname) || ' WITH (' || array_to_string(c.reloptions, ', ')"
            + " || ')' FROM pg_class c JOIN pg_index i ON i.indexrelid = c.oid WHERE c.reloptions IS NOT NULL UNION ALL"
            + " SELECT coalesce(i.indrelid, c.oid), 9, CASE WHEN i.indrelid IS NULL THEN '' ELSE 'index '"
            + " || quote_ident(c.relname) || ' ' END || 'TABLESPACE ' || quote_ident(s.spcname) FROM pg_class c"
            + " JOIN pg_tablespace s ON s.oid = c.reltablespace LEFT JOIN pg_index i ON i.indexrelid = c.oid"
            + " WHERE c.relkind IN ('r', 'p', 'i') AND s.spcname !~ '^pg_' UNION ALL"
            + " SELECT c.oid, 10, 'REPLICA IDENTITY' FROM pg_class c WHERE c.relreplident <> 'd' AND c.relkind IN ('r', 'p')"
            + " UNION ALL SELECT i.indrelid, 11, 'CLUSTER ON ' || quote_ident(c.relname) FROM pg_index i"
            + " JOIN pg_class c ON c.oid = i.indexrelid WHERE i.indisclustered UNION ALL"
            + " SELECT a.attrelid, 12, 'column ' || quote_ident(a.attname) || CASE WHEN a.attstorage <> t.typstorage"
            + " THEN ' STORAGE ' || CASE a.attstorage WHEN 'p' THEN 'PLAIN' WHEN 'e' THEN 'EXTERNAL' WHEN 'm' THEN 'MAIN'"
            + " ELSE 'EXTENDED' END ELSE '' END || CASE WHEN a.attstattarget > 0 THEN ' STATISTICS ' || a.attstattarget"
            + " ELSE '' END FROM pg_attribute a JOIN pg_type t ON t.oid = a.atttypid JOIN pg_class c ON c.oid = a.attrelid"
            + " WHERE c.relkind IN ('r', 'p') AND a.attnum > 0 AND NOT a.attisdropped"
            + " AND (a.attstorage <> t.typstorage OR a.attstattarget > 0)";

    private final Map<Long, List<String>> clauses = new HashMap<>();

    void read(Connection connection) throws SQLException {
        String all = String.join(" UNION ALL ", CONSTRAINTS, TRIGGERS, SECURITY, INHERITANCE, COUNTERS, STORAGE);
        Query.list(
                connection,
                "SELECT a.relid, a.clause FROM (" + all + ") a JOIN pg_class c ON c.oid = a.relid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE NOT c.relispartition AND"
                        + PgCatalogReader.USER_SCHEMAS + "GROUP BY a.relid, a.place, a.clause"
                        + " ORDER BY a.relid, a.place, a.clause",
                row -> clauses.computeIfAbsent(row.getLong("relid"), k -> new ArrayList<>())
                        .add(row.getString("clause")));
    }

    List<String> of(long table) {
        return clauses.getOrDefault(table, List.of());
    }
}
