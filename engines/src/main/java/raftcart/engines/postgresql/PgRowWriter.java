package raftcart.engines.postgresql;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyIn;
import org.postgresql.copy.CopyManager;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Identifiers;
import raftcart.engine.TransferColumn;
import raftcart.move.RowBuffer;
import raftcart.move.RowWriter;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Writes rows with COPY in text format. */
final class PgRowWriter implements RowWriter {
    private static final byte[] HEX = "0123456789abcdef".getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    private static final int BLOCK = 1 << 16;

    private final CopyManager copies;
    private final String sql;
    private final boolean[] bytes;
    private final boolean[] arrays;
    private final boolean[] documents;
    private final byte[] block = new byte[BLOCK];
    private int used;

    PgRowWriter(Connection connection, Identifiers identifiers, ObjectName table, List<TransferColumn> columns)
            throws SQLException {
        this.copies = connection.unwrap(PGConnection.class).getCopyAPI();
        this.sql = "COPY " + identifiers.quote(table) + " ("
                + identifiers.quoteAll(
                        columns.stream().map(c -> c.column().name()).toList())
                + ") FROM STDIN";
        this.bytes = new boolean[columns.size()];
        this.arrays = new boolean[columns.size()];
        this.documents = new boolean[columns.size()];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = columns.get(i).form() == ValueForm.BYTES;
            LogicalType type = columns.get(i).column().type();
            arrays[i] = type instanceof LogicalType.Array;
            documents[i] = type instanceof LogicalType.Array array && array.element() instanceof LogicalType.Json;
        }
    }

    @Override
    public void write(RowBuffer rows, int from, int to) throws SQLException {
        CopyIn copy = copies.copyIn(sql);
        try {
            used = 0;
            for (int row = from; row < to; row++) {
                writeRow(copy, rows, row);
            }
            copy.writeToCopy(block, 0, used);
            long written = copy.endCopy();
            if (written != to - (long) from) {
                throw new SQLException("COPY took " + written + " rows of " + (to - from));
            }
        } finally {
            // Only a failure leaves the copy open; the connection must be usable again for the rollback.
            if (copy.isActive()) {
                copy.cancelCopy();
            }
        }
    }

    private void writeRow(CopyIn copy, RowBuffer rows, int row) throws SQLException {
        for (int column = 0; column < bytes.length; column++) {
            if (column > 0) {
                put(copy, '\t');
            }
            if (rows.isNull(row, column)) {
                put(copy, '\\');
                put(copy, 'N');
            } else if (bytes[column]) {
                putHex(copy, rows.data(), rows.start(row, column), rows.end(row, column));
            } else if (arrays[column]) {
                byte[] array = PgArrays.constant(
                        rows.data(), rows.start(row, column), rows.end(row, column), documents[column]);
                putText(copy, array, 0, array.length);
            } else {
                putText(copy, rows.data(), rows.start(row, column), rows.end(row, column));
            }
        }
        put(copy, '\n');
    }

    /** Most values have nothing to escape, so what lies between escapes is copied as a whole. */
    private void putText(CopyIn copy, byte[] data, int start, int end) throws SQLException {
        int from = start;
        for (int i = start; i < end; i++) {
            byte b = data[i];
            if (b == '\\' || b == '\t' || b == '\n' || b == '\r') {
                putPlain(copy, data, from, i);
                putEscaped(copy, b == '\t' ? 't' : b == '\n' ? 'n' : b == '\r' ? 'r' : b);
                from = i + 1;
            }
        }
        putPlain(copy, data, from, end);
    }

    private void putPlain(CopyIn copy, byte[] data, int start, int end) throws SQLException {
        int from = start;
        while (from < end) {
            if (used == BLOCK) {
                copy.writeToCopy(block, 0, used);
                used = 0;
            }
            int part = Math.min(end - from, BLOCK - used);
            System.arraycopy(data, from, block, used, part);
            used += part;
            from += part;
        }
    }

    private void putEscaped(CopyIn copy, int letter) throws SQLException {
        put(copy, '\\');
        put(copy, letter);
    }

    private void putHex(CopyIn copy, byte[] data, int start, int end) throws SQLException {
        put(copy, '\\');
        put(copy, '\\');
        put(copy, 'x');
        for (int i = start; i < end; i++) {
            put(copy, HEX[(data[i] >> 4) & 15]);
            put(copy, HEX[data[i] & 15]);
        }
    }

    private void put(CopyIn copy, int b) throws SQLException {
        if (used == BLOCK) {
            copy.writeToCopy(block, 0, used);
            used = 0;
        }
        block[used++] = (byte) b;
    }
}
