package raftcart.engines.postgresql;

import java.sql.SQLException;
import raftcart.catalog.ObjectKind;

/** Reads what few schemas have; none of it may go missing in silence. */
final class PgRareObjects {
    private final PgObjects objects;

    private PgRareObjects(PgObjects objects) {
        this.objects = objects;
    }

    static void read(PgObjects objects) throws SQLException {
        PgRareObjects reader = new PgRareObjects(objects);
        reader.ofTables();
        reader.ofViews();
        reader.ofTypes();
        reader.textSearch();
    }

    private static String notOfExtension(String alias) {
        return PgCatalogReader.USER_SCHEMAS + "AND" + String.format(PgCatalogReader.NOT_OF_EXTENSION, alias);
    }

    private void ofTables() throws SQLException {
        objects.add(
                ObjectKind.CONSTRAINT,
                "SELECT n.nspname, k.conname || ' on ' || c.relname, format('ALTER TABLE %I.%I ADD CONSTRAINT %I %s;',"
                        + " n.nspname, c.relname, k.conname, pg_get_constraintdef(k.oid)) FROM pg_constraint k"
                        + " JOIN pg_class c ON c.oid = k.conrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE k.contype = 'x' AND" + PgCatalogReader.USER_SCHEMAS);
        objects.add(
                ObjectKind.RULE,
                "SELECT n.nspname, r.rulename || ' on ' || c.relname, pg_get_ruledef(r.oid, true) FROM pg_rewrite r"
                        + " JOIN pg_class c ON c.oid = r.ev_class JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE r.rulename <> '_RETURN' AND" + PgCatalogReader.USER_SCHEMAS);
        objects.add(
                ObjectKind.POLICY,
                "SELECT p.schemaname, p.policyname || ' on ' || p.tablename, format('CREATE POLICY %I ON %I.%I AS %s FOR %s"
                        + " TO %s%s%s;', p.policyname, p.schemaname, p.tablename, p.permissive, p.cmd,"
                        + " array_to_string(p.roles, ', '), ' USING (' || p.qual || ')', ' WITH CHECK (' || p.with_check"
                        + " || ')') FROM pg_policies p");
        objects.add(
                ObjectKind.STATISTICS,
                "SELECT n.nspname, s.stxname, pg_get_statisticsobjdef(s.oid) || ';' FROM pg_statistic_ext s"
                        + " JOIN pg_namespace n ON n.oid = s.stxnamespace WHERE" + PgCatalogReader.USER_SCHEMAS);
        objects.add(
                ObjectKind.FOREIGN_TABLE,
                "SELECT n.nspname, c.relname, format('CREATE FOREIGN TABLE %I.%I (%s) SERVER %I;', n.nspname, c.relname,"
                        + " (SELECT string_agg(quote_ident(a.attname) || ' ' || format_type(a.atttypid, a.atttypmod)"
                        + " || CASE WHEN a.attnotnull THEN ' NOT NULL' ELSE '' END, ', ' ORDER BY a.attnum)"
                        + " FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped),"
                        + " s.srvname) FROM pg_foreign_table f JOIN pg_class c ON c.oid = f.ftrelid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace JOIN pg_foreign_server s ON s.oid = f.ftserver");
    }

    private void ofViews() throws SQLException {
        objects.add(
                ObjectKind.INDEX,
                "SELECT n.nspname, c.relname, pg_get_indexdef(i.indexrelid) || ';' FROM pg_index i"
                        + " JOIN pg_class c ON c.oid = i.indexrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " JOIN pg_class t ON t.oid = i.indrelid WHERE t.relkind = 'm' AND" + notOfExtension("t"));
        objects.add(
                ObjectKind.SETTING,
                "SELECT n.nspname, 'default of ' || c.relname || '.' || a.attname,"
                        + " format('ALTER VIEW %I.%I ALTER COLUMN %I SET DEFAULT %s;', n.nspname, c.relname, a.attname,"
                        + " pg_get_expr(d.adbin, d.adrelid)) FROM pg_attrdef d JOIN pg_class c ON c.oid = d.adrelid"
                        + " JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum = d.adnum"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind = 'v' AND"
                        + notOfExtension("c"));
    }

    private void ofTypes() throws SQLException {
        objects.add(
                ObjectKind.TYPE,
                "SELECT n.nspname, t.typname, format('CREATE TYPE %I.%I AS RANGE (SUBTYPE = %s);', n.nspname, t.typname,"
                        + " format_type(r.rngsubtype, NULL)) FROM pg_range r JOIN pg_type t ON t.oid = r.rngtypid"
                        + " JOIN pg_namespace n ON n.oid = t.typnamespace WHERE" + notOfExtension("t"));
        objects.add(
                ObjectKind.EXTENSION,
                "SELECT n.nspname, e.extname, format('CREATE EXTENSION %I VERSION %L;', e.extname, e.extversion)"
                        + " FROM pg_extension e JOIN pg_namespace n ON n.oid = e.extnamespace WHERE"
                        + PgCatalogReader.USER_SCHEMAS);
        objects.add(
                ObjectKind.COLLATION,
                "SELECT n.nspname, c.collname, format('CREATE COLLATION %I.%I (PROVIDER = %s, LOCALE = %L,"
                        + " DETERMINISTIC = %s);', n.nspname, c.collname, CASE c.collprovider WHEN 'i' THEN 'icu' ELSE 'libc'"
                        // The name of this column changed twice, in version 15 and in 17.
                        + " END, coalesce(to_jsonb(c)->>'colllocale', to_jsonb(c)->>'colliculocale', c.collcollate),"
                        + " c.collisdeterministic) FROM pg_collation c JOIN pg_namespace n ON n.oid = c.collnamespace WHERE"
                        + notOfExtension("c"));
        objects.add(
                ObjectKind.OPERATOR,
                "SELECT n.nspname, o.oid::regoperator::text, format('CREATE OPERATOR %I.%s (FUNCTION = %s%s%s);', n.nspname,"
                        + " o.oprname, o.oprcode, ', LEFTARG = ' || format_type(nullif(o.oprleft, 0), NULL), ', RIGHTARG = '"
                        + " || format_type(nullif(o.oprright, 0), NULL)) FROM pg_operator o"
                        + " JOIN pg_namespace n ON n.oid = o.oprnamespace WHERE" + notOfExtension("o"));
        objects.add(
                ObjectKind.OPERATOR,
                "SELECT n.nspname, 'class ' || o.opcname || ' for ' || m.amname, format('CREATE OPERATOR CLASS %I.%I%s FOR"
                        + " TYPE %s USING %I;', n.nspname, o.opcname, CASE WHEN o.opcdefault THEN ' DEFAULT' ELSE '' END,"
                        + " format_type(o.opcintype, NULL), m.amname) FROM pg_opclass o JOIN pg_am m ON m.oid = o.opcmethod"
                        + " JOIN pg_namespace n ON n.oid = o.opcnamespace WHERE" + notOfExtension("o"));
    }

    private void textSearch() throws SQLException {
        objects.add(
                ObjectKind.TEXT_SEARCH,
                "SELECT n.nspname, c.cfgname, format('CREATE TEXT SEARCH CONFIGURATION %I.%I (PARSER = %I);', n.nspname,"
                        + " c.cfgname, p.prsname) || coalesce((SELECT string_agg(format(E'\\nALTER TEXT SEARCH CONFIGURATION"
                        + " %I.%I ADD MAPPING FOR %I WITH %s;', n.nspname, c.cfgname, m.alias, m.dictionaries), ''"
                        + " ORDER BY m.alias) FROM (SELECT k.alias, string_agg(w.mapdict::regdictionary::text, ', '"
                        + " ORDER BY w.mapseqno) AS dictionaries FROM pg_ts_config_map w"
                        + " JOIN ts_token_type(c.cfgparser) k ON k.tokid = w.maptokentype WHERE w.mapcfg = c.oid"
                        + " GROUP BY k.alias) m), '') FROM pg_ts_config c JOIN pg_ts_parser p ON p.oid = c.cfgparser"
                        + " JOIN pg_namespace n ON n.oid = c.cfgnamespace WHERE" + notOfExtension("c"));
        objects.add(
                ObjectKind.TEXT_SEARCH,
                "SELECT n.nspname, d.dictname, format('CREATE TEXT SEARCH DICTIONARY %I.%I (TEMPLATE = %I%s);', n.nspname,"
                        + " d.dictname, t.tmplname, ', ' || d.dictinitoption) FROM pg_ts_dict d"
                        + " JOIN pg_ts_template t ON t.oid = d.dicttemplate JOIN pg_namespace n ON n.oid = d.dictnamespace"
                        + " WHERE" + notOfExtension("d"));
    }
}
