package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import raftcart.catalog.ObjectKind;

/** Reads the source text of views, routines, triggers and user types, and the grants on tables. */
final class PgCodeReader {
    private static final String GRANTEE = "CASE WHEN g.grantee = 0 THEN 'PUBLIC' ELSE g.grantee::regrole::text END";
    /** What is added to the name and to the text of rights that their holder may pass on. */
    private static final String NAMED_OPTION = "CASE WHEN g.is_grantable THEN ' to pass on' ELSE '' END";

    private static final String OPTION = "CASE WHEN g.is_grantable THEN ' WITH GRANT OPTION' ELSE '' END";

    private final PgObjects objects;

    private PgCodeReader(PgObjects objects) {
        this.objects = objects;
    }

    static PgObjects read(Connection connection) throws SQLException {
        PgObjects objects = new PgObjects(connection);
        new PgCodeReader(objects).code();
        PgRareObjects.read(objects);
        PgServerObjects.read(objects);
        PgComments.read(objects);
        return objects;
    }

    private void code() throws SQLException {
        views("v", ObjectKind.VIEW, "VIEW");
        views("m", ObjectKind.MATERIALIZED_VIEW, "MATERIALIZED VIEW");
        routines("f", ObjectKind.FUNCTION);
        routines("w", ObjectKind.FUNCTION);
        aggregates();
        routines("p", ObjectKind.PROCEDURE);
        objects.add(
                ObjectKind.TRIGGER,
                "SELECT n.nspname, t.tgname || ' on ' || c.relname, pg_get_triggerdef(t.oid, true) || ';'"
                        + " FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE NOT t.tgisinternal AND"
                        + PgCatalogReader.USER_SCHEMAS);
        objects.add(
                ObjectKind.TYPE,
                "SELECT n.nspname, t.typname, 'CREATE DOMAIN ' || format('%I.%I', n.nspname, t.typname) || ' AS '"
                        + " || format_type(t.typbasetype, t.typtypmod) || coalesce(' ' || (SELECT string_agg("
                        + "pg_get_constraintdef(k.oid), ' ') FROM pg_constraint k WHERE k.contypid = t.oid), '') || ';'"
                        + " FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace WHERE t.typtype = 'd' AND"
                        + PgCatalogReader.USER_SCHEMAS + "AND" + String.format(PgCatalogReader.NOT_OF_EXTENSION, "t"));
        objects.add(
                ObjectKind.TYPE,
                "SELECT n.nspname, t.typname, 'CREATE TYPE ' || format('%I.%I', n.nspname, t.typname) || ' AS ('"
                        + " || (SELECT string_agg(format('%I ', a.attname) || format_type(a.atttypid, a.atttypmod), ', '"
                        + " ORDER BY a.attnum) FROM pg_attribute a WHERE a.attrelid = t.typrelid AND a.attnum > 0) || ');'"
                        + " FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace"
                        + " JOIN pg_class c ON c.oid = t.typrelid AND c.relkind = 'c' WHERE"
                        + PgCatalogReader.USER_SCHEMAS);
        grants();
    }

    /** Rights on tables and views, and who holds them by being in a role. */
    private void grants() throws SQLException {
        objects.add(
                ObjectKind.GRANT,
                "SELECT n.nspname, " + GRANTEE + " || ' on ' || c.relname || " + NAMED_OPTION
                        + ", format('GRANT %s ON %s%I.%I TO %s%s;',"
                        + " string_agg(g.privilege_type, ', ' ORDER BY g.privilege_type),"
                        + " CASE WHEN c.relkind = 'S' THEN 'SEQUENCE ' ELSE '' END, n.nspname, c.relname, "
                        + GRANTEE + ", " + OPTION + ") FROM pg_class c"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace, LATERAL aclexplode(c.relacl) g"
                        + " WHERE g.grantee <> c.relowner AND" + PgCatalogReader.USER_SCHEMAS
                        + "GROUP BY n.nspname, c.relname, c.relkind, g.grantee, g.is_grantable");
        partialGrants();
        objects.add(
                ObjectKind.GRANT,
                "SELECT min(n.nspname), m.rolname || ' in ' || r.rolname, format('GRANT %I TO %I', r.rolname, m.rolname)"
                        + " || CASE WHEN a.admin_option THEN ' WITH ADMIN OPTION;' ELSE ';' END FROM pg_auth_members a"
                        + " JOIN pg_roles r ON r.oid = a.roleid JOIN pg_roles m ON m.oid = a.member"
                        + " JOIN pg_class c ON true JOIN pg_namespace n ON n.oid = c.relnamespace,"
                        + " LATERAL aclexplode(c.relacl) g WHERE g.grantee = r.oid AND" + PgCatalogReader.USER_SCHEMAS
                        + "GROUP BY r.rolname, m.rolname, a.admin_option");
    }

    /** Rights on columns, on schemas and on routines. */
    private void partialGrants() throws SQLException {
        objects.add(
                ObjectKind.GRANT,
                "SELECT p.nspname, p.grantee || ' on columns of ' || p.relname || p.named,"
                        + " format('GRANT %s ON %I.%I TO %s%s;', string_agg(p.privilege, ', ' ORDER BY p.privilege),"
                        + " p.nspname, p.relname, p.grantee, p.option)"
                        + " FROM (SELECT n.nspname, c.relname, " + GRANTEE + " AS grantee, " + NAMED_OPTION
                        + " AS named, " + OPTION + " AS option, g.privilege_type || ' ('"
                        + " || string_agg(quote_ident(a.attname), ', ' ORDER BY a.attnum) || ')' AS privilege"
                        + " FROM pg_attribute a JOIN pg_class c ON c.oid = a.attrelid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace, LATERAL aclexplode(a.attacl) g"
                        + " WHERE g.grantee <> c.relowner AND" + PgCatalogReader.USER_SCHEMAS
                        + "GROUP BY n.nspname, c.relname, g.grantee, g.privilege_type, g.is_grantable) p"
                        + " GROUP BY p.nspname, p.relname, p.grantee, p.named, p.option");
        objects.add(
                ObjectKind.GRANT,
                "SELECT n.nspname, " + GRANTEE + " || ' on schema' || " + NAMED_OPTION
                        + ", format('GRANT %s ON SCHEMA %I TO %s%s;',"
                        + " string_agg(g.privilege_type, ', ' ORDER BY g.privilege_type), n.nspname, " + GRANTEE + ", "
                        + OPTION + ") FROM pg_namespace n, LATERAL aclexplode(n.nspacl) g"
                        + " WHERE g.grantee <> n.nspowner AND n.nspname <> 'public' AND" + PgCatalogReader.USER_SCHEMAS
                        + "GROUP BY n.nspname, g.grantee, g.is_grantable");
        objects.add(
                ObjectKind.GRANT,
                "SELECT n.nspname, " + GRANTEE
                        + " || ' on ' || p.proname || '(' || pg_get_function_identity_arguments(p.oid) || ')' || "
                        + NAMED_OPTION
                        + ", format('GRANT EXECUTE ON %s %I.%I(%s) TO %s%s;', CASE WHEN p.prokind = 'p' THEN 'PROCEDURE'"
                        + " ELSE 'FUNCTION' END, n.nspname, p.proname, pg_get_function_identity_arguments(p.oid), "
                        + GRANTEE + ", " + OPTION
                        + ") FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace, LATERAL aclexplode(p.proacl) g"
                        + " WHERE g.grantee NOT IN (0, p.proowner) AND" + PgCatalogReader.USER_SCHEMAS + "AND"
                        + String.format(PgCatalogReader.NOT_OF_EXTENSION, "p"));
    }

    private void views(String kind, ObjectKind objectKind, String words) throws SQLException {
        String all = "SELECT c.oid FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind = '"
                + kind + "' AND" + PgCatalogReader.USER_SCHEMAS + "AND"
                + String.format(PgCatalogReader.NOT_OF_EXTENSION, "c") + "ORDER BY n.nspname, c.relname";
        objects.addInChunks(
                objectKind,
                all,
                chunk -> "SELECT n.nspname, c.relname, 'CREATE " + words + " ' || format('%I.%I', n.nspname, c.relname)"
                        + " || coalesce((SELECT ' WITH (' || string_agg(o, ', ') || ')' FROM unnest(c.reloptions) o"
                        + " WHERE o NOT LIKE 'check_option=%'), '') || ' AS' || chr(10) || rtrim(pg_get_viewdef(c.oid, true), ';') || coalesce((SELECT chr(10) || ' WITH '"
                        + " || upper(substring(o FROM 14)) || ' CHECK OPTION' FROM unnest(c.reloptions) o"
                        + " WHERE o LIKE 'check_option=%'), '') || ';' FROM pg_class c"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.oid IN " + chunk);
    }

    private void routines(String kind, ObjectKind objectKind) throws SQLException {
        objects.add(
                objectKind,
                "SELECT n.nspname, p.proname || '(' || pg_get_function_identity_arguments(p.oid) || ')',"
                        + " pg_get_functiondef(p.oid) FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace"
                        + " WHERE p.prokind = '" + kind
                        + "' AND NOT EXISTS (SELECT 1 FROM pg_depend i WHERE i.objid = p.oid"
                        + " AND i.deptype = 'i') AND" + PgCatalogReader.USER_SCHEMAS + "AND"
                        + String.format(PgCatalogReader.NOT_OF_EXTENSION, "p"));
    }

    private void aggregates() throws SQLException {
        objects.add(
                ObjectKind.FUNCTION,
                "SELECT n.nspname, p.proname || '(' || pg_get_function_identity_arguments(p.oid) || ')',"
                        + " format('CREATE AGGREGATE %I.%I(%s) (SFUNC = %s, STYPE = %s%s%s);', n.nspname, p.proname,"
                        + " pg_get_function_identity_arguments(p.oid), a.aggtransfn, format_type(a.aggtranstype, NULL),"
                        + " CASE WHEN a.aggfinalfn <> 0 THEN ', FINALFUNC = ' || a.aggfinalfn ELSE '' END,"
                        + " ', INITCOND = ' || quote_literal(a.agginitval))"
                        + " FROM pg_aggregate a JOIN pg_proc p ON p.oid = a.aggfnoid"
                        + " JOIN pg_namespace n ON n.oid = p.pronamespace WHERE" + PgCatalogReader.USER_SCHEMAS + "AND"
                        + String.format(PgCatalogReader.NOT_OF_EXTENSION, "p"));
    }
}
