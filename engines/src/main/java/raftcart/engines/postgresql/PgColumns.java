package raftcart.engines.postgresql;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.EnumeratedType;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.engines.jdbc.Query;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.LogicalType;

/** Reads the columns of all tables. A column of a domain has the domain's base type and rules. */
final class PgColumns {
    private static final String COLUMNS = PgDomains.WITH
            + "SELECT a.attrelid, a.attname, a.attnotnull OR coalesce(b.required, false) AS attnotnull, a.attidentity,"
            + " a.attgenerated, format_type(a.atttypid, a.atttypmod) AS declared,"
            + " CASE WHEN e.base IS NOT NULL THEN format_type(e.base, e.typmod) || '[]'"
            + " ELSE format_type(bt.oid, coalesce(b.typmod, a.atttypmod)) END AS base,"
            + " tn.nspname AS type_schema, et.typname AS type_name, bt.typcategory = 'A' AS is_array,"
            + " coalesce(pg_get_expr(d.adbin, d.adrelid), CASE WHEN t.typtype = 'd' THEN pg_get_expr(t.typdefaultbin, 0)"
            + " END) AS default_value, col_description(a.attrelid, a.attnum) AS comment,"
            + " q.seqrelid, q.seqstart, q.seqincrement,"
            + " CASE WHEN a.attcollation <> t.typcollation THEN co.collname END AS collation,"
            + " coalesce(NOT co.collisdeterministic, false) AS loose"
            + " FROM pg_attribute a JOIN pg_class c ON c.oid = a.attrelid"
            + " JOIN pg_namespace n ON n.oid = c.relnamespace JOIN pg_type t ON t.oid = a.atttypid"
            + " LEFT JOIN base_type b ON b.domain = a.atttypid"
            + " JOIN pg_type bt ON bt.oid = coalesce(b.base, a.atttypid)"
            + " LEFT JOIN base_type e ON e.domain = bt.typelem AND bt.typcategory = 'A'"
            + " JOIN pg_type et ON et.oid = CASE WHEN bt.typcategory = 'A' THEN coalesce(e.base, nullif(bt.typelem, 0),"
            + " bt.oid) ELSE bt.oid END JOIN pg_namespace tn ON tn.oid = et.typnamespace"
            + " LEFT JOIN pg_attrdef d ON d.adrelid = a.attrelid AND d.adnum = a.attnum"
            + " LEFT JOIN pg_collation co ON co.oid = a.attcollation"
            + " LEFT JOIN pg_depend o ON o.refobjid = a.attrelid AND o.refobjsubid = a.attnum"
            + " AND (o.deptype = 'i' OR o.deptype = 'a' AND EXISTS (SELECT FROM pg_depend u"
            + " WHERE u.objid = d.oid AND u.classid = 'pg_attrdef'::regclass AND u.refobjid = o.objid))"
            + " AND o.classid = 'pg_class'::regclass"
            + " AND EXISTS (SELECT 1 FROM pg_sequence x WHERE x.seqrelid = o.objid)"
            + " LEFT JOIN pg_sequence q ON q.seqrelid = o.objid"
            + " WHERE c.relkind IN ('r', 'p') AND a.attnum > 0 AND NOT a.attisdropped AND"
            + PgCatalogReader.USER_SCHEMAS + "ORDER BY a.attrelid, a.attnum";

    private final Connection connection;
    private final Dialect dialect;
    private final Map<ObjectName, EnumeratedType> enumerations;
    private final PgSequences sequences;
    private final Map<Long, List<Column>> columns = new HashMap<>();

    PgColumns(
            Connection connection,
            Dialect dialect,
            Map<ObjectName, EnumeratedType> enumerations,
            PgSequences sequences) {
        this.connection = connection;
        this.dialect = dialect;
        this.enumerations = enumerations;
        this.sequences = sequences;
    }

    void read() throws SQLException {
        Query.list(connection, COLUMNS, row -> columns.computeIfAbsent(row.getLong("attrelid"), k -> new ArrayList<>())
                .add(column(row)));
    }

    List<Column> of(long table) {
        return columns.getOrDefault(table, List.of());
    }

    private Column column(ResultSet row) throws SQLException {
        Optional<String> expression = Optional.ofNullable(row.getString("default_value"));
        boolean generated = !Query.orEmpty(row, "attgenerated").isEmpty();
        Optional<Identity> identity = identity(row, expression);
        boolean hasDefault = expression.isPresent() && !generated && identity.isEmpty();
        return new Column(
                row.getString("attname"),
                row.getString("declared"),
                type(row),
                !row.getBoolean("attnotnull"),
                hasDefault ? expression : Optional.empty(),
                generated ? expression.map(e -> new Generated(e, true, false)) : Optional.empty(),
                identity,
                row.getString("type_name").equals("citext") || row.getBoolean("loose"),
                Query.orEmpty(row, "collation"),
                Optional.empty(),
                Query.orEmpty(row, "comment"));
    }

    private LogicalType type(ResultSet row) throws SQLException {
        EnumeratedType enumeration =
                enumerations.get(new ObjectName(row.getString("type_schema"), row.getString("type_name")));
        if (enumeration != null) {
            LogicalType type = new LogicalType.Enumeration(enumeration.name().name(), enumeration.values());
            return row.getBoolean("is_array") ? new LogicalType.Array(type) : type;
        }
        return dialect.types()
                .read(TypeNameParser.parse(
                        row.getString("base"), dialect.grammar().lexical()));
    }

    /** An identity column, or a serial one: a default that takes the next number of a sequence of its own. */
    private Optional<Identity> identity(ResultSet row, Optional<String> expression) throws SQLException {
        String kind = Query.orEmpty(row, "attidentity");
        boolean serial = row.getString("seqstart") != null
                && expression.map(e -> e.startsWith("nextval(")).orElse(false);
        if (kind.isEmpty() && !serial) {
            return Optional.empty();
        }
        long start = row.getLong("seqstart");
        long increment = row.getLong("seqincrement");
        BigInteger next = sequences
                .last(row.getLong("seqrelid"))
                .map(last -> last.add(BigInteger.valueOf(increment)))
                .orElse(BigInteger.valueOf(start));
        return Optional.of(new Identity(start, increment, kind.equals("a"), next));
    }
}
