package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.engines.jdbc.Query;

/** Reads keys, indexes and foreign keys of all tables. */
final class MariaDbKeys {
    private final Connection connection;
    private final String schema;
    private final Map<String, Map<String, IndexParts>> indexes = new LinkedHashMap<>();
    private final Map<String, List<ForeignKey>> foreignKeys = new LinkedHashMap<>();
    private final Map<String, List<String>> clauses = new HashMap<>();

    MariaDbKeys(Connection connection, String schema) {
        this.connection = connection;
        this.schema = schema;
    }

    private record Rules(ReferentialAction onDelete, ReferentialAction onUpdate) {}

    private record IndexParts(boolean unique, String method, List<KeyPart> parts) {}

    void read() throws SQLException {
        Query.list(
                connection,
                "SELECT * FROM information_schema.STATISTICS WHERE TABLE_SCHEMA = ?"
                        + " ORDER BY TABLE_NAME, INDEX_NAME, SEQ_IN_INDEX",
                this::indexPart,
                schema);
        readForeignKeys();
    }

    /** The foreign keys of all tables, and nothing else. */
    Map<String, List<ForeignKey>> onlyForeignKeys() throws SQLException {
        readForeignKeys();
        return foreignKeys;
    }

    private Void indexPart(ResultSet row) throws SQLException {
        if (row.getInt("SEQ_IN_INDEX") == 1) {
            clauses(row);
        }
        boolean unique = row.getInt("NON_UNIQUE") == 0;
        String method = Query.orEmpty(row, "INDEX_TYPE").toLowerCase(Locale.ROOT);
        IndexParts index = indexes.computeIfAbsent(row.getString("TABLE_NAME"), k -> new LinkedHashMap<>())
                .computeIfAbsent(row.getString("INDEX_NAME"), k -> new IndexParts(unique, method, new ArrayList<>()));
        index.parts()
                .add(new KeyPart(
                        row.getString("COLUMN_NAME"),
                        "",
                        row.getInt("SUB_PART"),
                        "D".equals(row.getString("COLLATION"))));
        return null;
    }

    private void clauses(ResultSet row) throws SQLException {
        List<String> of = clauses.computeIfAbsent(row.getString("TABLE_NAME"), k -> new ArrayList<>());
        String index = "index " + row.getString("INDEX_NAME") + " ";
        if (!Query.orEmpty(row, "INDEX_COMMENT").isEmpty()) {
            of.add(index + "COMMENT '" + row.getString("INDEX_COMMENT").replace("'", "''") + "'");
        }
        if (Query.orEmpty(row, "IGNORED").equals("YES")) {
            of.add(index + "IGNORED");
        }
    }

    /** What the indexes of a table say beyond their columns. */
    List<String> indexClauses(String table) {
        return clauses.getOrDefault(table, List.of());
    }

    private void readForeignKeys() throws SQLException {
        Map<String, Rules> rules = new HashMap<>();
        Query.list(
                connection,
                "SELECT TABLE_NAME, CONSTRAINT_NAME, UPDATE_RULE, DELETE_RULE"
                        + " FROM information_schema.REFERENTIAL_CONSTRAINTS WHERE CONSTRAINT_SCHEMA = ?",
                row -> rules.put(
                        row.getString("TABLE_NAME") + "." + row.getString("CONSTRAINT_NAME"),
                        new Rules(action(row.getString("DELETE_RULE")), action(row.getString("UPDATE_RULE")))),
                schema);
        record Part(String table, ForeignKey key) {}
        List<Part> parts = Query.list(
                connection,
                "SELECT TABLE_NAME, CONSTRAINT_NAME, COLUMN_NAME, REFERENCED_TABLE_SCHEMA,"
                        + " REFERENCED_TABLE_NAME, REFERENCED_COLUMN_NAME FROM information_schema.KEY_COLUMN_USAGE"
                        + " WHERE TABLE_SCHEMA = ? AND REFERENCED_TABLE_NAME IS NOT NULL"
                        + " ORDER BY TABLE_NAME, CONSTRAINT_NAME, ORDINAL_POSITION",
                row -> new Part(row.getString("TABLE_NAME"), foreignKey(row, rules)),
                schema);
        for (Part part : parts) {
            List<ForeignKey> keys = foreignKeys.computeIfAbsent(part.table(), k -> new ArrayList<>());
            int last = keys.size() - 1;
            if (last >= 0 && keys.get(last).name().equals(part.key().name())) {
                keys.set(last, longer(keys.get(last), part.key()));
            } else {
                keys.add(part.key());
            }
        }
    }

    private static ForeignKey foreignKey(ResultSet row, Map<String, Rules> rules) throws SQLException {
        Rules rule = rules.get(row.getString("TABLE_NAME") + "." + row.getString("CONSTRAINT_NAME"));
        return new ForeignKey(
                row.getString("CONSTRAINT_NAME"),
                List.of(row.getString("COLUMN_NAME")),
                new ObjectName(row.getString("REFERENCED_TABLE_SCHEMA"), row.getString("REFERENCED_TABLE_NAME")),
                List.of(row.getString("REFERENCED_COLUMN_NAME")),
                rule.onDelete(),
                rule.onUpdate(),
                false,
                false,
                List.of());
    }

    /** "Foreign Keys": RESTRICT and NO ACTION are the same to InnoDB; the standard's word travels better. */
    private static ReferentialAction action(String words) {
        ReferentialAction action = ReferentialAction.of(words);
        return action == ReferentialAction.RESTRICT ? ReferentialAction.NO_ACTION : action;
    }

    private static ForeignKey longer(ForeignKey key, ForeignKey next) {
        List<String> columns = new ArrayList<>(key.columns());
        columns.addAll(next.columns());
        List<String> targetColumns = new ArrayList<>(key.targetColumns());
        targetColumns.addAll(next.targetColumns());
        return new ForeignKey(
                key.name(),
                columns,
                key.target(),
                targetColumns,
                key.onDelete(),
                key.onUpdate(),
                false,
                false,
                List.of());
    }

    Optional<Key> primaryKey(String table) {
        return Optional.ofNullable(indexes.getOrDefault(table, Map.of()).get("PRIMARY"))
                .map(i -> new Key("PRIMARY", i.parts()));
    }

    List<Key> uniqueKeys(String table) {
        return indexes.getOrDefault(table, Map.of()).entrySet().stream()
                .filter(e -> e.getValue().unique() && !e.getKey().equals("PRIMARY"))
                .map(e -> new Key(e.getKey(), e.getValue().parts()))
                .toList();
    }

    List<Index> indexes(String table) {
        return indexes.getOrDefault(table, Map.of()).entrySet().stream()
                .filter(e -> !e.getValue().unique())
                .map(e -> new Index(
                        e.getKey(), false, e.getValue().parts(), e.getValue().method(), "", List.of()))
                .toList();
    }

    List<ForeignKey> foreignKeys(String table) {
        return foreignKeys.getOrDefault(table, List.of());
    }
}
