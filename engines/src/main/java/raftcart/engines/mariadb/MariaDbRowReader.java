package raftcart.engines.mariadb;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.Dialect;
import raftcart.engine.TransferColumn;
import raftcart.move.RowBuffer;
import raftcart.move.RowReader;
import raftcart.type.LogicalType;

/** Reads rows with a SELECT whose result is streamed; every value comes as text or bytes, never as an object. */
final class MariaDbRowReader implements RowReader {
    private static final int FETCH_ROWS = 2000;

    private final Statement statement;
    private final ResultSet rows;
    private final int columns;

    MariaDbRowReader(Connection connection, Dialect dialect, String from, List<TransferColumn> columns)
            throws SQLException {
        String select = columns.stream().map(c -> expression(dialect, c)).collect(Collectors.joining(", "));
        this.columns = columns.size();
        this.statement = connection.createStatement(ResultSet.TYPE_FORWARD_ONLY, ResultSet.CONCUR_READ_ONLY);
        try {
            statement.setFetchSize(FETCH_ROWS);
            this.rows = statement.executeQuery("SELECT " + select + " FROM " + from);
        } catch (SQLException e) {
            statement.close();
            throw e;
        }
    }

    private static String expression(Dialect dialect, TransferColumn column) {
        String value = form(dialect.identifiers().quote(column.column().name()), column);
        return column.nullIfImpossible()
                ? "CASE WHEN " + dialect.values().impossibleDate(column.column()) + " THEN NULL ELSE " + value + " END"
                : value;
    }

    /** The column in the form in which it travels. */
    private static String form(String name, TransferColumn column) {
        LogicalType type = column.column().type();
        return switch (column.form()) {
            case TEXT, PADDED_TEXT -> text(name, type);
            case BYTES -> type instanceof LogicalType.Opaque ? "ST_AsWKB(" + name + ")" : name;
            case BITS ->
                type instanceof LogicalType.Bits bits
                        ? "LPAD(BIN(" + name + " + 0), " + bits.length() + ", '0')"
                        : type instanceof LogicalType.Bool ? "CAST(" + name + " + 0 AS CHAR)" : text(name, type);
            // FLOAT is printed with six digits; the double of the same value is printed with all that it has.
            case FLOATING -> "CAST(CAST(" + name + " AS DOUBLE) AS CHAR)";
            case BOOLEAN, INTEGER, DECIMAL -> "CAST(" + name + " + 0 AS CHAR)";
            case DATE, TIME, DURATION, TIMESTAMP, INSTANT -> "CAST(" + name + " AS CHAR)";
        };
    }

    private static String text(String name, LogicalType type) {
        boolean plain = type instanceof LogicalType.Uuid || type instanceof LogicalType.Address;
        return plain ? "CAST(" + name + " AS CHAR)" : "CONVERT(" + name + " USING utf8mb4)";
    }

    @Override
    public boolean fill(RowBuffer buffer) throws SQLException {
        while (!buffer.isFull()) {
            if (!rows.next()) {
                return false;
            }
            for (int i = 1; i <= columns; i++) {
                byte[] value = rows.getBytes(i);
                if (value == null) {
                    buffer.addNull();
                } else {
                    buffer.add(value);
                }
            }
        }
        return true;
    }

    @Override
    public void close() throws SQLException {
        try (statement) {
            rows.close();
        }
    }
}
