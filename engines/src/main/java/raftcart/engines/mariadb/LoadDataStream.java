package raftcart.engines.mariadb;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import raftcart.move.RowBuffer;

/** The rows of a buffer as LOAD DATA reads them: tabs and newlines between, backslash escapes, bytes in hexadecimal. */
final class LoadDataStream extends InputStream {
    private static final byte[] HEX = "0123456789ABCDEF".getBytes(StandardCharsets.US_ASCII);

    private final RowBuffer rows;
    private final int to;
    private final boolean[] bytes;
    private int row;
    private byte[] line = new byte[1 << 14];
    private int length;
    private int position;

    LoadDataStream(RowBuffer rows, int from, int to, boolean[] bytes) {
        this.rows = rows;
        this.row = from;
        this.to = to;
        this.bytes = bytes;
    }

    @Override
    public int read() {
        return fill() ? line[position++] & 0xff : -1;
    }

    @Override
    public int read(byte[] target, int offset, int wanted) {
        int done = 0;
        while (done < wanted && fill()) {
            int part = Math.min(wanted - done, length - position);
            System.arraycopy(line, position, target, offset + done, part);
            position += part;
            done += part;
        }
        return done == 0 && wanted > 0 ? -1 : done;
    }

    /** Encodes the next row where the last one is used up; false at the end. */
    private boolean fill() {
        if (position < length) {
            return true;
        }
        if (row >= to) {
            return false;
        }
        position = 0;
        length = 0;
        for (int column = 0; column < bytes.length; column++) {
            if (column > 0) {
                put('\t');
            }
            putField(column);
        }
        put('\n');
        row++;
        return true;
    }

    private void putField(int column) {
        if (rows.isNull(row, column)) {
            put('\\');
            put('N');
            return;
        }
        byte[] data = rows.data();
        int end = rows.end(row, column);
        for (int i = rows.start(row, column); i < end; i++) {
            if (bytes[column]) {
                put(HEX[(data[i] >> 4) & 15]);
                put(HEX[data[i] & 15]);
            } else {
                putEscaped(data[i]);
            }
        }
    }

    private void putEscaped(byte b) {
        switch (b) {
            case '\\', '\t', '\n' -> {
                put('\\');
                put(b == '\t' ? 't' : b == '\n' ? 'n' : b);
            }
            case 0 -> {
                put('\\');
                put('0');
            }
            default -> put(b);
        }
    }

    private void put(int b) {
        if (length == line.length) {
            line = Arrays.copyOf(line, line.length * 2);
        }
        line[length++] = (byte) b;
    }
}
