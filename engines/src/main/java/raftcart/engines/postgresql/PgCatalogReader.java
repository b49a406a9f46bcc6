package raftcart.engines.postgresql;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Catalog;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Partitioning;
import raftcart.catalog.Schema;
import raftcart.catalog.Sequence;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;

/** Reads all schemas of a database that are not PostgreSQL's own, with a fixed number of queries. */
final class PgCatalogReader {
    /** Rows as last counted; of a table that was never analyzed, as many as its bytes hold of 100 each. A join would read all of pg_class for each. */
    private static final String ROWS =
            "SELECT CASE WHEN t.relpages > 0 THEN t.reltuples ELSE pg_relation_size(t.oid) / 100 END"
                    + " FROM pg_class t WHERE t.oid = l.relid AND t.relkind = 'r'";

    /** A table and its parts; the function gives nothing for a table that has none. */
    private static final String PARTS =
            "(SELECT c.oid AS relid UNION SELECT p.relid FROM pg_partition_tree(c.oid) p) l";

    /** The sequences that number the column to which they belong: those of identity columns, and those of its default. */
    private static final String NUMBERING =
            "SELECT d.objid FROM pg_depend d WHERE d.classid = 'pg_class'::regclass AND d.deptype = 'i' AND d.refobjsubid > 0"
                    + " UNION ALL SELECT d.objid FROM pg_depend d JOIN pg_attrdef e ON e.adrelid = d.refobjid"
                    + " AND e.adnum = d.refobjsubid JOIN pg_depend u ON u.objid = e.oid AND u.refobjid = d.objid"
                    + " AND u.classid = 'pg_attrdef'::regclass WHERE d.classid = 'pg_class'::regclass AND d.deptype = 'a'";

    static final String USER_SCHEMAS = " n.nspname !~ '^pg_' AND n.nspname <> 'information_schema' ";
    /** Keeps out what an extension brought along. */
    static final String NOT_OF_EXTENSION =
            " NOT EXISTS (SELECT 1 FROM pg_depend e WHERE e.objid = %s.oid AND e.deptype = 'e') ";

    private final Connection connection;
    private final Dialect dialect;

    PgCatalogReader(Connection connection, Dialect dialect) {
        this.connection = connection;
        this.dialect = dialect;
    }

    Catalog read(String version, String defaultSchema) throws SQLException {
        Map<ObjectName, EnumeratedType> enumerations = enumerations();
        PgSequences numbers = PgSequences.read(connection);
        PgColumns columns = new PgColumns(connection, dialect, enumerations, numbers);
        columns.read();
        PgKeys keys = new PgKeys(connection, dialect);
        keys.read();
        PgTableClauses clauses = new PgTableClauses();
        clauses.read(connection);
        List<Table> tables = tables(columns, keys, clauses);
        List<Sequence> sequences = sequences(numbers);
        PgObjects code = PgCodeReader.read(connection);
        List<String> names = Query.list(
                connection,
                "SELECT n.nspname FROM pg_namespace n WHERE" + USER_SCHEMAS + "ORDER BY n.nspname",
                row -> row.getString(1));
        List<Schema> schemas = new ArrayList<>();
        for (String name : names) {
            Schema schema = new Schema(
                    name,
                    tables.stream().filter(t -> t.name().schema().equals(name)).toList(),
                    sequences.stream()
                            .filter(s -> s.name().schema().equals(name))
                            .toList(),
                    enumerations.values().stream()
                            .filter(t -> t.name().schema().equals(name))
                            .toList(),
                    code.in(name));
            if (!isEmpty(schema)) {
                schemas.add(schema);
            }
        }
        return new Catalog(dialect.name(), version, defaultSchema, schemas);
    }

    private static boolean isEmpty(Schema schema) {
        return schema.tables().isEmpty()
                && schema.sequences().isEmpty()
                && schema.enumeratedTypes().isEmpty()
                && schema.codeObjects().isEmpty();
    }

    private List<Table> tables(PgColumns columns, PgKeys keys, PgTableClauses clauses) throws SQLException {
        Map<Long, List<Partitioning.Partition>> partitions = partitions();
        return Query.list(
                connection,
                "SELECT c.oid, n.nspname, c.relname,"
                        + " obj_description(c.oid, 'pg_class') AS comment,"
                        + " (SELECT sum((" + ROWS + "))::bigint FROM " + PARTS + ") AS rows,"
                        + " (SELECT sum(pg_table_size(l.relid)) FROM " + PARTS + ") AS bytes,"
                        + " CASE WHEN c.relkind = 'p' THEN pg_get_partkeydef(c.oid) END AS partition_key,"
                        + " EXISTS (SELECT FROM pg_inherits i JOIN pg_class p ON p.oid = i.inhrelid"
                        + " WHERE i.inhparent = c.oid AND p.relkind = 'p') AS divided_again"
                        + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE c.relkind IN ('r', 'p') AND NOT c.relispartition AND" + USER_SCHEMAS + "AND"
                        + String.format(NOT_OF_EXTENSION, "c") + "ORDER BY n.nspname, c.relname",
                row -> table(row, columns, keys, clauses, partitions));
    }

    /** The parts of partitioned tables; of a part that is divided again, no more than its own bounds. */
    private Map<Long, List<Partitioning.Partition>> partitions() throws SQLException {
        Map<Long, List<Partitioning.Partition>> partitions = new HashMap<>();
        Query.list(
                connection,
                "SELECT i.inhparent, c.relname, pg_get_expr(c.relpartbound, c.oid) AS bounds"
                        + " FROM pg_inherits i JOIN pg_class c ON c.oid = i.inhrelid"
                        + " WHERE c.relispartition AND c.relkind IN ('r', 'p') ORDER BY c.relname",
                row -> partitions
                        .computeIfAbsent(row.getLong("inhparent"), k -> new ArrayList<>())
                        .add(new Partitioning.Partition(row.getString("relname"), row.getString("bounds"))));
        return partitions;
    }

    private static Table table(
            ResultSet row,
            PgColumns columns,
            PgKeys keys,
            PgTableClauses clauses,
            Map<Long, List<Partitioning.Partition>> partitions)
            throws SQLException {
        long oid = row.getLong("oid");
        List<String> physical = new ArrayList<>(keys.indexOptions(oid));
        physical.addAll(clauses.of(oid));
        if (row.getBoolean("divided_again")) {
            physical.add("partitions of its partitions");
        }
        return new Table(
                new ObjectName(row.getString("nspname"), row.getString("relname")),
                columns.of(oid),
                keys.primaryKey(oid),
                keys.uniqueKeys(oid),
                keys.foreignKeys(oid),
                keys.checks(oid),
                keys.indexes(oid),
                Query.orEmpty(row, "comment"),
                Optional.ofNullable(row.getString("partition_key"))
                        .map(k -> new Partitioning(k, partitions.getOrDefault(oid, List.of()))),
                physical,
                row.getLong("rows"),
                row.getLong("bytes"));
    }

    private Map<ObjectName, EnumeratedType> enumerations() throws SQLException {
        Map<ObjectName, List<String>> values = new LinkedHashMap<>();
        Query.list(
                connection,
                "SELECT n.nspname, t.typname, e.enumlabel FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace"
                        + " JOIN pg_enum e ON e.enumtypid = t.oid WHERE" + USER_SCHEMAS
                        + "ORDER BY n.nspname, t.typname, e.enumsortorder",
                row -> values.computeIfAbsent(
                                new ObjectName(row.getString(1), row.getString(2)), k -> new ArrayList<>())
                        .add(row.getString(3)));
        Map<ObjectName, EnumeratedType> types = new LinkedHashMap<>();
        values.forEach((name, labels) -> types.put(name, new EnumeratedType(name, labels)));
        return types;
    }

    /** A sequence from which the column that it belongs to is numbered is part of that column. */
    private List<Sequence> sequences(PgSequences numbers) throws SQLException {
        return Query.list(
                connection,
                "SELECT c.oid, n.nspname, c.relname, s.seqstart, s.seqincrement, s.seqmin, s.seqmax, s.seqcache, s.seqcycle"
                        + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " JOIN pg_sequence s ON s.seqrelid = c.oid"
                        + " WHERE c.oid NOT IN (" + NUMBERING + ") AND" + USER_SCHEMAS
                        + "ORDER BY n.nspname, c.relname",
                row -> sequence(row, numbers));
    }

    private static Sequence sequence(ResultSet row, PgSequences numbers) throws SQLException {
        BigInteger increment = BigInteger.valueOf(row.getLong("seqincrement"));
        BigInteger start = BigInteger.valueOf(row.getLong("seqstart"));
        return new Sequence(
                new ObjectName(row.getString("nspname"), row.getString("relname")),
                start,
                increment,
                BigInteger.valueOf(row.getLong("seqmin")),
                BigInteger.valueOf(row.getLong("seqmax")),
                numbers.last(row.getLong("oid"))
                        .map(last -> last.add(increment))
                        .orElse(start),
                row.getLong("seqcache"),
                row.getBoolean("seqcycle"));
    }
}
