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
     * Removes what a load that stopped has written.
     *
     * @param appended true where the table held rows before; they cannot be told from those of the load, and must not be
     *     removed with them
     * @param loaded how many rows were written
     */
    static void emptyForRestart(EngineSession target, TableMapping table, boolean appended, long loaded)
            throws SQLException {
        if (!appended) {
            remove(target, table.target().name());
        } else if (loaded > 0) {
            throw new LoadException(
                    "the load stopped while it appended to " + table.target().name() + ", which held rows before; "
                            + loaded + " rows were added and cannot be told from those",
                    "Restore the table as it was, remove its lines from " + ProgressTable.NAME
                            + " on the target, and run the load again.");
        }
    }
}
