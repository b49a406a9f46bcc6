package raftcart.engines.jdbc;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** Queries whose results fit into memory. */
public final class Query {
    private Query() {}

    /** Makes an object of the row that a result set stands on. */
    @FunctionalInterface
    public interface RowMapper<T> {
        /** The object for the current row. */
        T map(ResultSet row) throws SQLException;
    }

    /** All rows of a query with text parameters. */
    public static <T> List<T> list(Connection connection, String sql, RowMapper<T> mapper, String... parameters)
            throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < parameters.length; i++) {
                statement.setString(i + 1, parameters[i]);
            }
            List<T> rows = new ArrayList<>();
            try (ResultSet result = statement.executeQuery()) {
                while (result.next()) {
                    rows.add(mapper.map(result));
                }
            }
            return rows;
        }
    }

    /** The first column of the first row as text. */
    public static String text(Connection connection, String sql, String... parameters) throws SQLException {
        return list(connection, sql, row -> row.getString(1), parameters).get(0);
    }

    /** Runs statements. */
    public static void execute(Connection connection, String... statements) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    /** A column as text, empty for NULL. */
    public static String orEmpty(ResultSet row, String column) throws SQLException {
        String text = row.getString(column);
        return text == null ? "" : text;
    }
}
