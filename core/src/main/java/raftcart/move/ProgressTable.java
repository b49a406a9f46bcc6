package raftcart.move;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;

/**
 * A small table on the target that says how far each table has come. It is written in the same transaction as the rows
 * that it counts, so it is right after any crash; it is dropped when the load is complete.
 */
public final class ProgressTable {
    /** The table's name in the target's default schema. */
    public static final String NAME = "raftcart_progress";

    private final Connection connection;
    private final String name;

    public ProgressTable(Connection connection, Identifiers identifiers, String schema) {
        this.connection = connection;
        this.name = identifiers.quote(new ObjectName(schema, NAME));
    }

    /** Makes the table unless it is there, and commits. */
    public void create() throws SQLException {
        execute("CREATE TABLE IF NOT EXISTS " + name + " (table_name varchar(255) NOT NULL PRIMARY KEY,"
                + " rows_loaded bigint NOT NULL, rows_refused bigint NOT NULL, finished smallint NOT NULL,"
                + " appended smallint NOT NULL)");
        connection.commit();
    }

    /** Takes the table away, and commits. */
    public void drop() throws SQLException {
        execute("DROP TABLE IF EXISTS " + name);
        connection.commit();
    }

    /** What is known about a table; the caller commits. */
    public Optional<Progress> find(String table) throws SQLException {
        try (PreparedStatement select = connection.prepareStatement(
                "SELECT rows_loaded, rows_refused, finished, appended FROM " + name + " WHERE table_name = ?")) {
            select.setString(1, table);
            try (ResultSet rows = select.executeQuery()) {
                return rows.next()
                        ? Optional.of(new Progress(
                                rows.getLong(1), rows.getLong(2), rows.getInt(3) != 0, rows.getInt(4) != 0))
                        : Optional.empty();
            }
        }
    }

    /** Notes that a table is begun from its first row, and whether it held rows of its own; the caller commits. */
    public void begin(String table, boolean appended) throws SQLException {
        update("DELETE FROM " + name + " WHERE table_name = ?", table);
        update("INSERT INTO " + name + " VALUES (?, 0, 0, 0, " + (appended ? 1 : 0) + ")", table);
    }

    /** Adds rows; the caller commits. */
    public void add(String table, long loaded, long refused) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement("UPDATE " + name
                + " SET rows_loaded = rows_loaded + ?, rows_refused = rows_refused + ? WHERE table_name = ?")) {
            update.setLong(1, loaded);
            update.setLong(2, refused);
            update.setString(3, table);
            update.executeUpdate();
        }
    }

    /** Notes that all rows of a table were read; the caller commits. */
    public void finish(String table) throws SQLException {
        update("UPDATE " + name + " SET finished = 1 WHERE table_name = ?", table);
    }

    private void update(String sql, String table) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setString(1, table);
            statement.executeUpdate();
        }
    }

    private void execute(String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    /**
     * How far a table has come.
     *
     * @param appended true where the table held rows that are not of this load
     */
    public record Progress(long loaded, long refused, boolean finished, boolean appended) {}
}
