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
import java.util.stream.Collectors;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;
import raftcart.sql.Lexer;
import raftcart.sql.Token;

/** Reads keys, checks, foreign keys and indexes of all tables. */
final class PgKeys {
    private static final String CONSTRAINTS = "SELECT c.conrelid, c.conname, c.contype, c.condeferrable, c.condeferred,"
            + " c.confdeltype, c.confupdtype, c.confmatchtype, pg_get_expr(c.conbin, c.conrelid) AS expression,"
            // The column is new in version 15; through JSON it is simply absent before.
            + " coalesce((SELECT (to_jsonb(x)->>'indnullsnotdistinct')::boolean FROM pg_index x"
            + " WHERE x.indexrelid = c.conindid), false) AS equal_nulls,"
            + " (SELECT array_agg(a.attname ORDER BY k.position) FROM unnest(c.conkey) WITH ORDINALITY"
            + " AS k(number, position) JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = k.number)::text[]"
            + " AS columns, fn.nspname AS target_schema, f.relname AS target_table,"
            + " (SELECT array_agg(a.attname ORDER BY k.position) FROM unnest(c.confkey) WITH ORDINALITY"
            + " AS k(number, position) JOIN pg_attribute a ON a.attrelid = c.confrelid AND a.attnum = k.number)::text[]"
            + " AS target_columns,"
            // Columns named by the action of a deletion are new in version 15, too.
            + " coalesce((SELECT array_agg(a.attname ORDER BY a.attnum)"
            + " FROM jsonb_array_elements_text(nullif(to_jsonb(c)->'confdelsetcols', 'null')) AS k(number)"
            + " JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = k.number::int)::text[], '{}') AS cleared"
            + " FROM pg_constraint c JOIN pg_namespace n ON n.oid = c.connamespace"
            + " LEFT JOIN pg_class f ON f.oid = c.confrelid LEFT JOIN pg_namespace fn ON fn.oid = f.relnamespace"
            + " WHERE c.contype IN ('p', 'u', 'f', 'c') AND c.conparentid = 0 AND c.conrelid <> 0 AND"
            + PgCatalogReader.USER_SCHEMAS + "ORDER BY c.conrelid, c.conname";
    /** indoption: bit 0 is set for a descending part. An expression has attribute number 0. */
    private static final String INDEXES = "SELECT i.indrelid, c.relname, i.indisunique, i.indnkeyatts,"
            + " CASE WHEN coalesce((to_jsonb(i)->>'indnullsnotdistinct')::boolean, false)"
            + " THEN m.amname || ', nulls not distinct' ELSE m.amname END AS method,"
            + " pg_get_expr(i.indpred, i.indrelid) AS predicate, k.position, a.attname,"
            + " pg_get_indexdef(i.indexrelid, k.position::int, true) AS definition,"
            + " coalesce((i.indoption[k.position - 1] & 1) = 1, false) AS descending"
            + " FROM pg_index i JOIN pg_class c ON c.oid = i.indexrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
            + " JOIN pg_am m ON m.oid = c.relam JOIN pg_class t ON t.oid = i.indrelid"
            + " CROSS JOIN LATERAL unnest(i.indkey) WITH ORDINALITY AS k(number, position)"
            + " LEFT JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = k.number AND k.number > 0"
            + " WHERE NOT EXISTS (SELECT 1 FROM pg_constraint x WHERE x.conindid = i.indexrelid"
            + " AND x.contype IN ('p', 'u', 'x')) AND NOT t.relispartition AND";

    /** Operator classes, collations and the place of NULLs in an index; they bear on speed and order alone. */
    private static final String INDEX_OPTIONS = "SELECT i.indrelid, c.relname, (SELECT string_agg(o[1], ', ')"
            + " FROM regexp_matches(pg_get_indexdef(i.indexrelid), '(COLLATE \\S+|\\w+_ops|NULLS FIRST|NULLS LAST)', 'g')"
            + " AS o) AS options FROM pg_index i JOIN pg_class c ON c.oid = i.indexrelid"
            + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE" + PgCatalogReader.USER_SCHEMAS
            + "ORDER BY c.relname";

    private static final String DOMAIN_CHECKS = PgDomains.WITH
            + "SELECT a.attrelid, a.attname, k.conname, pg_get_expr(k.conbin, 0) AS expression FROM pg_constraint k"
            + " JOIN domain_base b ON b.base = k.contypid JOIN pg_attribute a ON a.atttypid = b.domain"
            + " JOIN pg_class c ON c.oid = a.attrelid AND c.relkind IN ('r', 'p') JOIN pg_namespace n"
            + " ON n.oid = c.relnamespace WHERE k.contypid <> 0 AND k.contype = 'c' AND a.attnum > 0 AND NOT a.attisdropped AND"
            + PgCatalogReader.USER_SCHEMAS + "ORDER BY a.attrelid, a.attnum, k.conname";

    private final Connection connection;
    private final Dialect dialect;
    private final Map<Long, Key> primaryKeys = new HashMap<>();
    private final Map<Long, List<Key>> uniqueKeys = new HashMap<>();
    private final Map<Long, List<ForeignKey>> foreignKeys = new HashMap<>();
    private final Map<Long, List<CheckConstraint>> checks = new HashMap<>();
    private final Map<Long, List<Index>> indexes = new HashMap<>();
    private final Map<Long, List<String>> indexOptions = new HashMap<>();

    PgKeys(Connection connection, Dialect dialect) {
        this.connection = connection;
        this.dialect = dialect;
    }

    void read() throws SQLException {
        Query.list(connection, CONSTRAINTS, this::constraint);
        Query.list(connection, DOMAIN_CHECKS, this::domainCheck);
        Query.list(connection, INDEX_OPTIONS, this::indexOption);
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
            case "u" -> addUnique(row, table, name);
            case "c" -> add(checks, table, new CheckConstraint(name, row.getString("expression")));
            default -> foreignKey(row, table, name);
        }
        return null;
    }

    private void foreignKey(ResultSet row, long table, String name) throws SQLException {
        List<String> columns = texts(row, "columns");
        add(
                foreignKeys,
                table,
                new ForeignKey(
                        name,
                        columns,
                        new ObjectName(row.getString("target_schema"), row.getString("target_table")),
                        texts(row, "target_columns"),
                        action(row.getString("confdeltype")),
                        action(row.getString("confupdtype")),
                        row.getBoolean("condeferrable"),
                        row.getBoolean("condeferred"),
                        texts(row, "cleared")));
        if (columns.size() > 1 && row.getString("confmatchtype").equals("f")) {
            // MATCH FULL is MATCH SIMPLE together with: all columns are NULL, or none is (SQL:2016, 4.20.3).
            String none = joined(columns, " IS NOT NULL");
            String all = joined(columns, " IS NULL");
            add(checks, table, new CheckConstraint(name + "_full", "(" + all + ") OR (" + none + ")"));
        }
    }

    private String joined(List<String> columns, String test) {
        return columns.stream().map(c -> dialect.identifiers().quote(c) + test).collect(Collectors.joining(" AND "));
    }

    /** "NULLS NOT DISTINCT" is another rule than that of a unique key; it is kept apart as an index of its own kind. */
    private void addUnique(ResultSet row, long table, String name) throws SQLException {
        if (row.getBoolean("equal_nulls")) {
            add(indexes, table, new Index(name, true, parts(row), "btree, nulls not distinct", "", List.of()));
        } else {
            add(uniqueKeys, table, new Key(name, parts(row)));
        }
    }

    /** A domain's check becomes one of the column: VALUE stands for the column there. */
    private Void domainCheck(ResultSet row) throws SQLException {
        String expression = row.getString("expression");
        String column = dialect.identifiers().quote(row.getString("attname"));
        StringBuilder text = new StringBuilder();
        int copied = 0;
        for (Token token : Lexer.tokens(expression, dialect.grammar().lexical())) {
            if (token.isWord("VALUE")) {
                text.append(expression, copied, token.span().start()).append(column);
                copied = token.span().end();
            }
        }
        text.append(expression.substring(copied));
        String name = row.getString("attname") + "_" + row.getString("conname");
        add(checks, row.getLong("attrelid"), new CheckConstraint(name, text.toString()));
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
                    row.getString("method"),
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

    private Void indexOption(ResultSet row) throws SQLException {
        if (row.getString("options") != null) {
            add(
                    indexOptions,
                    row.getLong("indrelid"),
                    "index " + row.getString("relname") + " " + row.getString("options"));
        }
        return null;
    }

    /** What indexes of the table say beyond their columns. */
    List<String> indexOptions(long table) {
        return indexOptions.getOrDefault(table, List.of());
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
