package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.engine.ActingObject;
import raftcart.engines.jdbc.Query;

/** Triggers and foreign keys; neither can be switched off for one table, so they are removed and made again. */
final class MariaDbActing {
    private MariaDbActing() {}

    static List<ActingObject> of(Connection connection, Dialect dialect, String database) throws SQLException {
        List<ActingObject> found = new ArrayList<>(triggers(connection, dialect, database));
        Map<String, List<ForeignKey>> keys = new MariaDbKeys(connection, database).onlyForeignKeys();
        keys.forEach((table, all) -> all.forEach(key -> {
            ObjectName name = new ObjectName(database, table);
            found.add(new ActingObject(
                    "foreign key " + key.name() + " of " + name,
                    name,
                    key.target(),
                    true,
                    List.of("ALTER TABLE " + dialect.identifiers().quote(name) + " DROP FOREIGN KEY "
                            + dialect.identifiers().quote(key.name())),
                    List.of(dialect.ddl().addForeignKey(name, key))));
        }));
        return found;
    }

    private static List<ActingObject> triggers(Connection connection, Dialect dialect, String database)
            throws SQLException {
        List<ActingObject> found = new ArrayList<>();
        List<ObjectName> names = new ArrayList<>();
        List<ObjectName> tables = new ArrayList<>();
        // In the order in which they act, so that they are made in it again.
        Query.list(
                connection,
                "SELECT TRIGGER_NAME, EVENT_OBJECT_TABLE FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = ?"
                        + " ORDER BY EVENT_OBJECT_TABLE, EVENT_MANIPULATION, ACTION_TIMING, ACTION_ORDER",
                row -> names.add(new ObjectName(database, row.getString(1)))
                        && tables.add(new ObjectName(database, row.getString(2))),
                database);
        for (int i = 0; i < names.size(); i++) {
            String quoted = dialect.identifiers().quote(names.get(i));
            // Its text is read in the mode and with the collation in which it was made ("SHOW CREATE TRIGGER").
            List<String> restore = Query.list(
                            connection,
                            "SHOW CREATE TRIGGER " + quoted,
                            row -> List.of(
                                    "SET @raftcart_mode = @@SESSION.sql_mode,"
                                            + " @raftcart_collation = @@SESSION.collation_connection",
                                    "SET SESSION sql_mode = '" + row.getString("sql_mode")
                                            + "', collation_connection = " + row.getString("collation_connection"),
                                    row.getString("SQL Original Statement"),
                                    "SET SESSION sql_mode = @raftcart_mode,"
                                            + " collation_connection = @raftcart_collation"))
                    .get(0);
            found.add(new ActingObject(
                    "trigger " + names.get(i).name() + " of " + tables.get(i),
                    tables.get(i),
                    tables.get(i),
                    false,
                    List.of("DROP TRIGGER " + quoted),
                    restore));
        }
        return found;
    }
}
