package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.engines.jdbc.Query;

/** Reads keys, checks, foreign keys and indexes of all tables. */
final class PgKeys {
    private static final String CONSTRAINTS = "SELECT c.conrelid, c.conname, c.contype, c.condeferrable, c.condeferred,"
            + " c.confdeltype, c.confupdtype, pg_get_expr(c.conbin, c.conrelid) AS expression,"
            + " (SELECT array_agg(a.attname ORDER BY k.position) FROM unnest(c.conkey) WITH ORDINALITY"
            + " AS k(number, position) JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = k.number)::text[]"
            + " AS columns, fn.nspname AS target_schema, f.relname AS target_table,"
            + " (SELECT array_agg(a.attname ORDER BY k.position) FROM unnest(c.confkey) WITH ORDINALITY"
            + " AS k(number, position) JOIN pg_attribute a ON a.attrelid = c.confrelid AND a.attnum = k.number)::text[]"
            + " AS target_columns FROM pg_constraint c JOIN pg_namespace n ON n.oid = c.connamespace"
            + " LEFT JOIN pg_class f ON f.oid = c.confrelid LEFT JOIN pg_namespace fn ON fn.oid = f.relnamespace"
            + " WHERE c.contype IN ('p', 'u', 'f', 'c') AND c.conparentid = 0 AND c.conrelid <> 0 AND"
            + PgCatalogReader.USER_SCHEMAS + "ORDER BY c.conrelid, c.conname";
    /** indoption: bit 0 is set for a descending part. An expression has attribute number 0. */
    private static final String INDEXES = "SELECT i.indrelid, c.relname, i.indisunique, m.amname, i.indnkeyatts,"
            + " pg_get_expr(i.indpred, i.indrelid) AS predicate, k.position, a.attname,"
            + " pg_get_indexdef(i.indexrelid, k.position::int, true) AS definition,"
            + " coalesce((i.indoption[k.position - 1] & 1) = 1, false) AS descending"
            + " FROM pg_index i JOIN pg_class c ON c.oid = i.indexrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
            + " JOIN pg_am m ON m.oid = c.relam JOIN pg_class t ON t.oid = i.indrelid"
            + " CROSS JOIN LATERAL unnest(i.indkey) WITH ORDINALITY AS k(number, position)"
            + " LEFT JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = k.number AND k.number > 0"
            + " WHERE NOT EXISTS (SELECT 1 FROM pg_constraint x WHERE x.conindid = i.indexrelid"
            + " AND x.contype IN ('p', 'u', 'x')) AND NOT t.relispartition AND";

    private final Connection connection;
    private final Map<Long, Key> primaryKeys = new HashMap<>();
    private final Map<Long, List<Key>> uniqueKeys = new HashMap<>();
    private final Map<Long, List<ForeignKey>> foreignKeys = new HashMap<>();
    private final Map<Long, List<CheckConstraint>> checks = new HashMap<>();
    private final Map<Long, List<Index>> indexes = new HashMap<>();

    PgKeys(Connection connection) {
        this.connection = connection;
    }

    void read() throws SQLException {
        Query.list(connection, CONSTRAINTS, this::constraint);
        Query.list(
                connection,
                INDEXES + PgCatalogReader.USER_SCHEMAS + "ORDER BY i.indrelid, c.relname, k.position",
                this::indexPart);
    }

    private Void constraint(ResultSet row) throws SQLException {
        long table = row.getLong("conrelid");
        String name = row.getString("conname");
        switch (row.getString("contype")) {
            case "p" -> primaryKeys.put(table, new Key(name, parts(row)));
            case "u" -> add(uniqueKeys, table, new Key(name, parts(row)));
            case "c" -> add(checks, table, new CheckConstraint(name, row.getString("expression")));
            default ->
                add(
                        foreignKeys,
                        table,
                        new ForeignKey(
                                name,
                                texts(row, "columns"),
                                new ObjectName(row.getString("target_schema"), row.getString("target_table")),
                                texts(row, "target_columns"),
                                action(row.getString("confdeltype")),
                                action(row.getString("confupdtype")),
                                row.getBoolean("condeferrable"),
                                row.getBoolean("condeferred")));
        }
        return null;
    }

    private static <T> void add(Map<Long, List<T>> lists, long table, T item) {
        lists.computeIfAbsent(table, k -> new ArrayList<>()).add(item);
    }

    private static List<KeyPart> parts(ResultSet row) throws SQLException {
        return texts(row, "columns").stream().map(KeyPart::ofColumn).toList();
    }

    private static List<String> texts(ResultSet row, String column) throws SQLException {
        return Arrays.asList((String[]) row.getArray(column).getArray());
    }

    /** "pg_constraint": one letter an action. */
    private static ReferentialAction action(String letter) {
        return switch (letter) {
            case "r" -> ReferentialAction.RESTRICT;
            case "c" -> ReferentialAction.CASCADE;
            case "n" -> ReferentialAction.SET_NULL;
            case "d" -> ReferentialAction.SET_DEFAULT;
            default -> ReferentialAction.NO_ACTION;
        };
    }

    private Void indexPart(ResultSet row) throws SQLException {
        long table = row.getLong("indrelid");
        String name = row.getString("relname");
        String column = Query.orEmpty(row, "attname");
        boolean included = row.getInt("position") > row.getInt("indnkeyatts");
        KeyPart part = new KeyPart(
                column, column.isEmpty() ? row.getString("definition") : "", 0, row.getBoolean("descending"));
        List<Index> list = indexes.computeIfAbsent(table, k -> new ArrayList<>());
        int last = list.size() - 1;
        if (last < 0 || !list.get(last).name().equals(name)) {
            list.add(new Index(
                    name,
                    row.getBoolean("indisunique"),
                    List.of(part),
                    row.getString("amname"),
                    Query.orEmpty(row, "predicate"),
                    List.of()));
        } else {
            list.set(last, longer(list.get(last), part, included));
        }
        return null;
    }

    private static Index longer(Index index, KeyPart part, boolean included) {
        List<KeyPart> parts = new ArrayList<>(index.parts());
        List<String> carried = new ArrayList<>(index.included());
        if (included) {
            carried.add(part.column());
        } else {
            parts.add(part);
        }
        return new Index(index.name(), index.unique(), parts, index.method(), index.predicate(), carried);
    }

    Optional<Key> primaryKey(long table) {
        return Optional.ofNullable(primaryKeys.get(table));
    }

    List<Key> uniqueKeys(long table) {
        return uniqueKeys.getOrDefault(table, List.of());
    }

    List<ForeignKey> foreignKeys(long table) {
        return foreignKeys.getOrDefault(table, List.of());
    }

    List<CheckConstraint> checks(long table) {
        return checks.getOrDefault(table, List.of());
    }

    List<Index> indexes(long table) {
        return indexes.getOrDefault(table, List.of());
    }
}
