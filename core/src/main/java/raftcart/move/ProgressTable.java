package raftcart.move;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;

/**
 * A small table on the target that says how far each part of each table has come. It is written in the same transaction as the rows
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
        execute("CREATE TABLE IF NOT EXISTS " + name + " (table_name varchar(255) NOT NULL, part integer NOT NULL,"
                + " part_rows text NOT NULL, source_state text NOT NULL, rows_loaded bigint NOT NULL, rows_refused bigint NOT NULL,"
                + " finished smallint NOT NULL, appended smallint NOT NULL, PRIMARY KEY (table_name, part))");
        connection.commit();
    }

    /** Takes the table away, and commits. */
    public void drop() throws SQLException {
        execute("DROP TABLE IF EXISTS " + name);
        connection.commit();
    }

    /** What is known about a table, all its parts together; the caller commits. */
    public Optional<Progress> find(String table) throws SQLException {
        List<Part> parts = parts(table);
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(new Progress(
                        parts.stream().mapToLong(Part::loaded).sum(),
                        parts.stream().mapToLong(Part::refused).sum(),
                        parts.stream().allMatch(Part::finished),
                        parts.get(0).appended()));
    }

    /** True where any table was begun; the caller commits. */
    public boolean holdsAny() throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT COUNT(*) FROM " + name)) {
            rows.next();
            return rows.getLong(1) > 0;
        }
    }

    /** The parts of a table in their order, none where it was not begun; the caller commits. */
    public List<Part> parts(String table) throws SQLException {
        List<Part> parts = new ArrayList<>();
        try (PreparedStatement select = connection.prepareStatement(
                "SELECT part, part_rows, source_state, rows_loaded, rows_refused, finished, appended FROM " + name
                        + " WHERE table_name = ? ORDER BY part")) {
            select.setString(1, key(table));
            try (ResultSet rows = select.executeQuery()) {
                while (rows.next()) {
                    parts.add(new Part(
                            rows.getInt(1),
                            rows.getString(2),
                            rows.getString(3),
                            rows.getLong(4),
                            rows.getLong(5),
                            rows.getInt(6) != 0,
                            rows.getInt(7) != 0));
                }
            }
        }
        return parts;
    }

    /** Notes that a table is begun from its first row, as a whole; the caller commits. */
    public void begin(String table) throws SQLException {
        begin(table, List.of(""), "", false);
    }

    /**
     * Notes that a table is begun from its first row; the caller commits.
     *
     * @param conditions of its parts; one that is empty for the whole table
     * @param sourceState what tells whether the source was written to since; empty where it is not known
     * @param appended true where it holds rows of its own
     */
    public void begin(String table, List<String> conditions, String sourceState, boolean appended) throws SQLException {
        try (PreparedStatement delete = connection.prepareStatement("DELETE FROM " + name + " WHERE table_name = ?")) {
            delete.setString(1, key(table));
            delete.executeUpdate();
        }
        try (PreparedStatement insert = connection.prepareStatement(
                "INSERT INTO " + name + " VALUES (?, ?, ?, ?, 0, 0, 0, " + (appended ? 1 : 0) + ")")) {
            for (int part = 0; part < conditions.size(); part++) {
                insert.setString(1, key(table));
                insert.setInt(2, part);
                insert.setString(3, conditions.get(part));
                insert.setString(4, sourceState);
                insert.addBatch();
            }
            insert.executeBatch();
        }
    }

    /** Takes a table out; the caller commits. */
    public void forget(String table) throws SQLException {
        try (PreparedStatement delete = connection.prepareStatement("DELETE FROM " + name + " WHERE table_name = ?")) {
            delete.setString(1, key(table));
            delete.executeUpdate();
        }
    }

    /** Adds rows to a table that goes as a whole; the caller commits. */
    public void add(String table, long loaded, long refused) throws SQLException {
        add(table, 0, loaded, refused, false);
    }

    /**
     * Adds rows to a part; the caller commits.
     *
     * @param finished true where all rows of the part were read
     */
    public void add(String table, int part, long loaded, long refused, boolean finished) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement("UPDATE " + name
                + " SET rows_loaded = rows_loaded + ?, rows_refused = rows_refused + ?, finished = ?"
                + " WHERE table_name = ? AND part = ?")) {
            update.setLong(1, loaded);
            update.setLong(2, refused);
            update.setInt(3, finished ? 1 : 0);
            update.setString(4, key(table));
            update.setInt(5, part);
            update.executeUpdate();
        }
    }

    /**
     * What a table is called here: collations that take letters for the same must not make two tables one, so that names
     * of other letters than small ones have their hash behind them.
     */
    private static String key(String table) {
        return table.matches("[a-z0-9_.]*") ? table : table + String.format(" #%08x", table.hashCode());
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

    /**
     * How far a part of a table has come.
     *
     * @param condition which rows it has, in the source's SQL; empty for the whole table
     * @param sourceState the state of the source from which it is read, see {@link raftcart.engine.SnapshotPlace}
     */
    public record Part(
            int number,
            String condition,
            String sourceState,
            long loaded,
            long refused,
            boolean finished,
            boolean appended) {}
}
