package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.util.List;
import java.util.stream.Collectors;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyOut;
import raftcart.dialect.Dialect;
import raftcart.engine.TransferColumn;
import raftcart.move.RowBuffer;
import raftcart.move.RowReader;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Reads rows with COPY in text format; the server sends one row a message. */
final class PgRowReader implements RowReader {
    private final Connection connection;
    private final Savepoint before;
    private final CopyOut copy;
    private final boolean[] bytes;
    private boolean ended;

    PgRowReader(Connection connection, Dialect dialect, String rows, List<TransferColumn> columns) throws SQLException {
        String select = columns.stream().map(c -> expression(dialect, c)).collect(Collectors.joining(", "));
        String sql = "COPY (SELECT " + select + " FROM " + rows + ") TO STDOUT";
        this.connection = connection;
        this.before = connection.setSavepoint();
        this.copy = connection.unwrap(PGConnection.class).getCopyAPI().copyOut(sql);
        this.bytes = new boolean[columns.size()];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = columns.get(i).form() == ValueForm.BYTES;
        }
    }

    /** The column in the form in which it travels. */
    private static String expression(Dialect dialect, TransferColumn column) {
        String name = dialect.identifiers().quote(column.column().name());
        LogicalType type = column.column().type();
        return switch (column.form()) {
            case BOOLEAN -> type instanceof LogicalType.Bool ? name + "::int" : name;
            case TEXT -> dialect.values().canonical(column.column(), ValueForm.TEXT);
            case DURATION -> "make_interval(secs => extract(epoch FROM " + name + ")::float8)";
            case INSTANT -> type instanceof LogicalType.Timestamp t && t.zoned() ? name + " AT TIME ZONE 'UTC'" : name;
            // A real is printed with the digits of its double, so that no second rounding can change it.
            case FLOATING -> name + "::float8";
            case DECIMAL -> column.column().declaredType().equals("money") ? name + "::numeric" : name;
            case INTEGER, PADDED_TEXT, BYTES, BITS, DATE, TIME, TIMESTAMP -> name;
        };
    }

    @Override
    public boolean fill(RowBuffer buffer) throws SQLException {
        while (!buffer.isFull()) {
            byte[] row = copy.readFromCopy();
            if (row == null) {
                ended = true;
                return false;
            }
            parse(row, buffer);
        }
        return true;
    }

    /** "COPY, Text Format": tabs between fields, backslash escapes, {@code \N} for NULL, a newline at the end. */
    private void parse(byte[] row, RowBuffer buffer) {
        int position = 0;
        int end = row.length - 1;
        for (int column = 0; column < bytes.length; column++) {
            if (position + 1 < row.length && row[position] == '\\' && row[position + 1] == 'N') {
                buffer.addNull();
                position += 3;
            } else if (bytes[column]) {
                position = parseBytes(row, position, end, buffer);
            } else {
                position = parseText(row, position, end, buffer);
            }
        }
    }

    private static int parseText(byte[] row, int from, int end, RowBuffer buffer) {
        int position = from;
        while (position < end && row[position] != '\t' && row[position] != '\\') {
            position++;
        }
        if (position >= end || row[position] == '\t') {
            buffer.add(row, from, position - from);
            return position + 1;
        }
        for (int i = from; i < position; i++) {
            buffer.append(row[i]);
        }
        while (position < end && row[position] != '\t') {
            byte b = row[position++];
            buffer.append(b == '\\' ? unescape(row[position++]) : b);
        }
        buffer.endField();
        return position + 1;
    }

    private static byte unescape(byte b) {
        return switch (b) {
            case 'b' -> '\b';
            case 'f' -> '\f';
            case 'n' -> '\n';
            case 'r' -> '\r';
            case 't' -> '\t';
            case 'v' -> 0x0b;
            default -> b;
        };
    }

    /** Bytes come as two backslashes, an x, and two hexadecimal digits a byte. */
    private static int parseBytes(byte[] row, int from, int end, RowBuffer buffer) {
        int position = from + 3;
        while (position < end && row[position] != '\t') {
            int high = Character.digit(row[position], 16);
            buffer.append((byte) (high << 4 | Character.digit(row[position + 1], 16)));
            position += 2;
        }
        buffer.endField();
        return position + 1;
    }

    @Override
    public void close() throws SQLException {
        if (!ended && copy.isActive()) {
            copy.cancelCopy();
        }
        // Gives the locks of the table and its indexes back, of which servers keep some thousand, and keeps the
        // snapshot.
        connection.rollback(before);
        connection.releaseSavepoint(before);
    }
}
