package raftcart.engines.mariadb;

import java.io.InputStream;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;
import raftcart.engine.TransferColumn;
import raftcart.move.RowBuffer;
import raftcart.move.RowWriter;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/**
 * Writes rows with LOAD DATA LOCAL from a stream. The server takes LOCAL for IGNORE: values that do not fit, and even
 * duplicate keys, are only warned of ("LOAD DATA INFILE"). So every warning, and every row that is missing from the
 * count, makes the batch fail here.
 */
final class MariaDbRowWriter implements RowWriter {
    private static final String DATA_DOES_NOT_FIT = "22000";

    private final Connection connection;
    private final String sql;
    private final boolean[] bytes;

    MariaDbRowWriter(Connection connection, Identifiers identifiers, ObjectName table, List<TransferColumn> columns) {
        this.connection = connection;
        this.bytes = new boolean[columns.size()];
        List<String> fields = new ArrayList<>();
        List<String> assignments = new ArrayList<>();
        for (int i = 0; i < bytes.length; i++) {
            TransferColumn column = columns.get(i);
            String name = identifiers.quote(column.column().name());
            bytes[i] = column.form() == ValueForm.BYTES;
            if (bytes[i]) {
                fields.add("@f" + i);
                String value = "UNHEX(@f" + i + ")";
                boolean place = column.column().type() instanceof LogicalType.Opaque;
                assignments.add(name + " = " + (place ? "ST_GeomFromWKB(" + value + ")" : value));
            } else if (column.column().type() instanceof LogicalType.Bits) {
                fields.add("@f" + i);
                assignments.add(name + " = CAST(CONV(@f" + i + ", 2, 10) AS UNSIGNED)");
            } else if (column.column().declaredType().startsWith("bit")) {
                fields.add("@f" + i); // the letter 0 is the number 48 to a column of bits
                assignments.add(name + " = CAST(@f" + i + " AS UNSIGNED)");
            } else {
                fields.add(name);
            }
        }
        this.sql = "LOAD DATA LOCAL INFILE 'rows' INTO TABLE " + identifiers.quote(table)
                + " CHARACTER SET utf8mb4 FIELDS TERMINATED BY '\\t' ESCAPED BY '\\\\' LINES TERMINATED BY '\\n' ("
                + String.join(", ", fields) + ")"
                + (assignments.isEmpty() ? "" : " SET " + String.join(", ", assignments));
    }

    @Override
    public void write(RowBuffer rows, int from, int to) throws SQLException {
        try (Statement statement = connection.createStatement();
                InputStream stream = new LoadDataStream(rows, from, to, bytes)) {
            statement.unwrap(org.mariadb.jdbc.Statement.class).setLocalInfileInputStream(stream);
            long written = statement.executeLargeUpdate(sql);
            refuseWarnings(statement);
            if (written != to - (long) from) {
                throw new SQLException("LOAD DATA took " + written + " rows of " + (to - from), DATA_DOES_NOT_FIT);
            }
        } catch (java.io.IOException e) {
            throw new SQLException("the stream of rows could not be closed", e);
        }
    }

    private static void refuseWarnings(Statement statement) throws SQLException {
        try (ResultSet count = statement.executeQuery("SELECT @@warning_count")) {
            count.next();
            if (count.getLong(1) == 0) {
                return;
            }
        }
        try (ResultSet warning = statement.executeQuery("SHOW WARNINGS LIMIT 1")) {
            if (warning.next()) {
                throw new SQLException(
                        warning.getString("Message").replace(" at row 1", ""),
                        DATA_DOES_NOT_FIT,
                        warning.getInt("Code"));
            }
        }
        throw new SQLException("LOAD DATA gave warnings that cannot be read", DATA_DOES_NOT_FIT);
    }
}
