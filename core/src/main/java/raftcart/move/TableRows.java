package raftcart.move;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import raftcart.catalog.ObjectName;
import raftcart.engine.EngineSession;
import raftcart.error.LoadException;
import raftcart.translate.TableMapping;

/** The rows that a table of the target holds before a load. */
final class TableRows {
    private TableRows() {}

    /** True where there is one. */
    static boolean exist(EngineSession target, ObjectName table) throws SQLException {
        String sql = "SELECT 1 FROM " + target.engine().dialect().identifiers().quote(table);
        try (Statement statement = target.connection().createStatement()) {
            statement.setMaxRows(1);
            try (ResultSet rows = statement.executeQuery(sql)) {
                return rows.next();
            }
        }
    }

    /** Removes them. */
    static void remove(EngineSession target, ObjectName table) throws SQLException {
        try (Statement statement = target.connection().createStatement()) {
            statement.execute(target.engine().dialect().ddl().emptyTable(table));
        }
    }

    /**
     * Stops a load where an earlier one wrote rows into a table that held others: they cannot be told apart, and the
     * others must not be removed.
     *
     * @param loaded how many rows were written
     */
    static void refuseMixed(TableMapping table, long loaded) {
        if (loaded > 0) {
            throw new LoadException(
                    "the load stopped while it appended to " + table.target().name() + ", which held rows before; "
                            + loaded + " rows were added and cannot be told from those",
                    "Restore the table as it was, remove its lines from " + ProgressTable.NAME
                            + " on the target, and run the load again; or replace its rows by --if-not-empty replace.");
        }
    }
}
