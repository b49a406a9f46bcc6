package raftcart.engines.postgresql;

import java.sql.SQLException;
import raftcart.catalog.ObjectKind;

/**
 * Reads what belongs to the database as a whole and to no schema of it; it is told with the schema that bare names mean.
 * Options of servers and values of settings that are not the engine's own may be secrets, so that they are not read.
 */
final class PgServerObjects {
    private static final String HOME = "coalesce(current_schema(), (SELECT min(n.nspname) FROM pg_namespace n WHERE"
            + PgCatalogReader.USER_SCHEMAS + "))";

    private final PgObjects objects;

    private PgServerObjects(PgObjects objects) {
        this.objects = objects;
    }

    static void read(PgObjects objects) throws SQLException {
        PgServerObjects reader = new PgServerObjects(objects);
        reader.objects();
        reader.rights();
        reader.settings();
    }

    private void objects() throws SQLException {
        objects.add(
                ObjectKind.CAST,
                "SELECT " + HOME + ", format_type(c.castsource, NULL) || ' as ' || format_type(c.casttarget, NULL),"
                        + " format('CREATE CAST (%s AS %s) %s%s;', format_type(c.castsource, NULL),"
                        + " format_type(c.casttarget, NULL), CASE c.castmethod WHEN 'f' THEN 'WITH FUNCTION '"
                        + " || c.castfunc::regprocedure WHEN 'i' THEN 'WITH INOUT' ELSE 'WITHOUT FUNCTION' END,"
                        + " CASE c.castcontext WHEN 'i' THEN ' AS IMPLICIT' WHEN 'a' THEN ' AS ASSIGNMENT' ELSE '' END)"
                        + " FROM pg_cast c WHERE c.oid >= 16384 AND"
                        + String.format(PgCatalogReader.NOT_OF_EXTENSION, "c"));
        objects.add(
                ObjectKind.FOREIGN_SERVER,
                "SELECT " + HOME
                        + ", s.srvname, format('CREATE SERVER %I FOREIGN DATA WRAPPER %I;', s.srvname, w.fdwname)"
                        + " FROM pg_foreign_server s JOIN pg_foreign_data_wrapper w ON w.oid = s.srvfdw");
        objects.add(
                ObjectKind.EVENT_TRIGGER,
                "SELECT " + HOME
                        + ", t.evtname, format('CREATE EVENT TRIGGER %I ON %s%s EXECUTE FUNCTION %s();', t.evtname,"
                        + " t.evtevent, ' WHEN TAG IN (' || (SELECT string_agg(quote_literal(g), ', ') FROM unnest(t.evttags) g)"
                        + " || ')', t.evtfoid::regproc) FROM pg_event_trigger t WHERE"
                        + String.format(PgCatalogReader.NOT_OF_EXTENSION, "t"));
        objects.add(
                ObjectKind.PUBLICATION,
                "SELECT " + HOME
                        + ", p.pubname, format('CREATE PUBLICATION %I FOR %s;', p.pubname, CASE WHEN p.puballtables"
                        + " THEN 'ALL TABLES' ELSE 'TABLE ' || coalesce((SELECT string_agg(format('%I.%I', t.schemaname,"
                        + " t.tablename), ', ') FROM pg_publication_tables t WHERE t.pubname = p.pubname), '') END)"
                        + " FROM pg_publication p");
        objects.add(
                ObjectKind.LARGE_OBJECT,
                "SELECT " + HOME
                        + ", count(*) || ' large objects', '-- SELECT oid, lo_get(oid) FROM pg_largeobject_metadata'"
                        + " FROM pg_largeobject_metadata HAVING count(*) > 0");
    }

    private void rights() throws SQLException {
        String role = "CASE WHEN g.grantee = 0 THEN 'PUBLIC' ELSE g.grantee::regrole::text END";
        objects.add(
                ObjectKind.DEFAULT_RIGHT,
                "SELECT coalesce(n.nspname, " + HOME + "), " + role
                        + " || ' on ' || CASE d.defaclobjtype WHEN 'r' THEN 'tables'"
                        + " WHEN 'S' THEN 'sequences' WHEN 'f' THEN 'routines' WHEN 'T' THEN 'types' ELSE 'schemas' END || ' of '"
                        + " || d.defaclrole::regrole, format('ALTER DEFAULT PRIVILEGES FOR ROLE %s%s GRANT %s ON %s TO %s;',"
                        + " d.defaclrole::regrole, ' IN SCHEMA ' || quote_ident(n.nspname), string_agg(g.privilege_type, ', '"
                        + " ORDER BY g.privilege_type), CASE d.defaclobjtype WHEN 'r' THEN 'TABLES' WHEN 'S' THEN 'SEQUENCES'"
                        + " WHEN 'f' THEN 'ROUTINES' WHEN 'T' THEN 'TYPES' ELSE 'SCHEMAS' END, " + role + ")"
                        + " FROM pg_default_acl d LEFT JOIN pg_namespace n ON n.oid = d.defaclnamespace,"
                        + " LATERAL aclexplode(d.defaclacl) g WHERE g.grantee <> d.defaclrole"
                        + " GROUP BY n.nspname, d.defaclobjtype, d.defaclrole, g.grantee");
    }

    private void settings() throws SQLException {
        objects.add(
                ObjectKind.SETTING,
                "SELECT " + HOME + ", s.name || coalesce(' of ' || r.rolname, ''), format('ALTER %s SET %s TO %s;',"
                        + " coalesce('ROLE ' || quote_ident(r.rolname) || ' IN ', '') || 'DATABASE '"
                        + " || quote_ident(current_database()), s.name, CASE WHEN EXISTS (SELECT FROM pg_settings k"
                        + " WHERE k.name = s.name AND k.category <> 'Customized Options') THEN quote_literal(s.value)"
                        + " ELSE '...' END) FROM pg_db_role_setting x JOIN pg_database b ON b.oid = x.setdatabase"
                        + " LEFT JOIN pg_roles r ON r.oid = x.setrole, LATERAL (SELECT split_part(c, '=', 1) AS name,"
                        + " substring(c FROM position('=' IN c) + 1) AS value FROM unnest(x.setconfig) c) s"
                        + " WHERE b.datname = current_database()");
        objects.add(
                ObjectKind.COMMENT,
                "SELECT " + HOME
                        + ", 'database', format('COMMENT ON DATABASE %I IS %L;', current_database(), d.description)"
                        + " FROM pg_shdescription d JOIN pg_database b ON b.oid = d.objoid"
                        + " WHERE d.classoid = 'pg_database'::regclass AND b.datname = current_database()");
    }
}
