package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import raftcart.catalog.ObjectName;
import raftcart.engine.ActingObject;
import raftcart.engines.jdbc.Query;

/** Triggers, which can be disabled, and foreign keys, which are removed and added again ("ALTER TABLE"). */
final class PgActing {
    private static final String TRIGGERS = "SELECT n.nspname, c.relname, t.tgname, format('ALTER TABLE %I.%I DISABLE"
            + " TRIGGER %I', n.nspname, c.relname, t.tgname), format('ALTER TABLE %I.%I ENABLE %s TRIGGER %I', n.nspname,"
            + " c.relname, CASE t.tgenabled WHEN 'A' THEN 'ALWAYS' WHEN 'R' THEN 'REPLICA' ELSE '' END, t.tgname),"
            + " n.nspname, c.relname, NULL FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid"
            + " JOIN pg_namespace n ON n.oid = c.relnamespace"
            + " WHERE NOT t.tgisinternal AND t.tgenabled <> 'D' AND t.tgparentid = 0 ORDER BY 1, 2, 3";

    private static final String FOREIGN_KEYS = "SELECT n.nspname, c.relname, k.conname, format('ALTER TABLE %I.%I DROP"
            + " CONSTRAINT %I', n.nspname, c.relname, k.conname), format('ALTER TABLE %I.%I ADD CONSTRAINT %I %s',"
            + " n.nspname, c.relname, k.conname, pg_get_constraintdef(k.oid)), pn.nspname, p.relname,"
            + " format('COMMENT ON CONSTRAINT %I ON %I.%I IS %L', k.conname, n.nspname, c.relname,"
            + " nullif(obj_description(k.oid, 'pg_constraint'), ''))"
            + " FROM pg_constraint k JOIN pg_class c ON c.oid = k.conrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
            + " JOIN pg_class p ON p.oid = k.confrelid JOIN pg_namespace pn ON pn.oid = p.relnamespace"
            + " WHERE k.contype = 'f' AND k.conparentid = 0 ORDER BY 1, 2, 3";

    private PgActing() {}

    static List<ActingObject> of(Connection connection) throws SQLException {
        List<ActingObject> found = new ArrayList<>();
        found.addAll(Query.list(connection, TRIGGERS, row -> object("trigger", row)));
        found.addAll(Query.list(connection, FOREIGN_KEYS, row -> object("foreign key", row)));
        return found;
    }

    private static ActingObject object(String kind, ResultSet row) throws SQLException {
        ObjectName table = new ObjectName(row.getString(1), row.getString(2));
        return new ActingObject(
                kind + " " + row.getString(3) + " of " + table,
                table,
                new ObjectName(row.getString(6), row.getString(7)),
                kind.equals("foreign key"),
                List.of(row.getString(4)),
                Stream.of(row.getString(5), row.getString(8))
                        .filter(s -> s != null && !s.endsWith(" IS NULL"))
                        .toList());
    }
}
