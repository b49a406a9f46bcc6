package raftcart.engines.postgresql;

import java.sql.SQLException;
import raftcart.catalog.ObjectKind;

/** Reads the comments on everything but tables and their columns, which have theirs themselves. */
final class PgComments {
    /** Object numbers below belong to what initdb made ("System Catalog Initial Data"). */
    private static final String MADE_BY_USERS = "d.objoid >= 16384";

    private PgComments() {}

    static void read(PgObjects objects) throws SQLException {
        objects.add(
                ObjectKind.COMMENT,
                "SELECT coalesce(i.schema, a.object_names[1]), CASE WHEN i.type ~ 'column$' THEN 'column' ELSE i.type END"
                        + " || ' ' || i.identity, 'COMMENT ON ' || upper(CASE WHEN i.type ~ 'column$' THEN 'column'"
                        + " WHEN i.type ~ 'constraint$' THEN 'constraint' WHEN i.type = 'statistics object' THEN 'statistics'"
                        + " ELSE i.type END) || ' ' || CASE i.type WHEN 'domain constraint' THEN replace(i.identity, ' on ',"
                        + " ' on domain ') ELSE i.identity END || ' IS ' || quote_literal(d.description) || ';'"
                        + " FROM (SELECT d.* FROM pg_description d LEFT JOIN pg_class c ON c.oid = d.objoid"
                        + " AND d.classoid = 'pg_class'::regclass WHERE c.oid IS NULL OR c.relkind NOT IN ('r', 'p') OFFSET 0) d,"
                        + " LATERAL pg_identify_object(d.classoid, d.objoid, d.objsubid) i,"
                        + " LATERAL pg_identify_object_as_address(d.classoid, d.objoid, d.objsubid) a WHERE "
                        + MADE_BY_USERS + " AND d.classoid IN ('pg_class'::regclass, 'pg_proc'::regclass,"
                        + " 'pg_type'::regclass, 'pg_constraint'::regclass, 'pg_trigger'::regclass, 'pg_rewrite'::regclass,"
                        + " 'pg_policy'::regclass, 'pg_namespace'::regclass, 'pg_statistic_ext'::regclass)"
                        + " AND NOT EXISTS (SELECT FROM pg_depend e"
                        + " WHERE e.classid = d.classoid AND e.objid = d.objoid AND e.deptype = 'e')");
    }
}
