package raftcart.engines.mariadb;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import raftcart.move.RowBuffer;

/** The rows of a buffer as LOAD DATA reads them: tabs and newlines between, backslash escapes, bytes in hexadecimal. */
final class LoadDataStream extends InputStream {
    private static final byte[] HEX = "0123456789ABCDEF".getBytes(StandardCharsets.US_ASCII);

    /** Rows are encoded until there are so many bytes. */
    private static final int ENOUGH = 1 << 15;

    private static final int LARGEST = Integer.MAX_VALUE - 16;

    private final RowBuffer rows;
    private final int to;
    private final boolean[] bytes;
    private int row;
    private byte[] lines = new byte[ENOUGH * 2];
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
        return fill() ? lines[position++] & 0xff : -1;
    }

    @Override
    public int read(byte[] target, int offset, int wanted) {
        int done = 0;
        while (done < wanted && fill()) {
            int part = Math.min(wanted - done, length - position);
            System.arraycopy(lines, position, target, offset + done, part);
            position += part;
            done += part;
        }
        return done == 0 && wanted > 0 ? -1 : done;
    }

    /** Encodes the next rows where the last ones are used up; false at the end. */
    private boolean fill() {
        if (position < length) {
            return true;
        }
        if (row >= to) {
            return false;
        }
        position = 0;
        length = 0;
        while (row < to && length < ENOUGH) {
            for (int column = 0; column < bytes.length; column++) {
                if (column > 0) {
                    put('\t');
                }
                putField(column);
            }
            put('\n');
            row++;
        }
        return true;
    }

    private void putField(int column) {
        if (rows.isNull(row, column)) {
            put('\\');
            put('N');
            return;
        }
        byte[] data = rows.data();
        int start = rows.start(row, column);
        int end = rows.end(row, column);
        if (bytes[column]) {
            reserve(2L * (end - start));
            for (int i = start; i < end; i++) {
                lines[length++] = HEX[(data[i] >> 4) & 15];
                lines[length++] = HEX[data[i] & 15];
            }
        } else {
            putText(data, start, end);
        }
    }

    /** Most values have nothing to escape, so what lies between escapes is copied as a whole. */
    private void putText(byte[] data, int start, int end) {
        int from = start;
        for (int i = start; i < end; i++) {
            byte b = data[i];
            if (b == '\\' || b == '\t' || b == '\n' || b == 0) {
                putPlain(data, from, i);
                put('\\');
                put(b == '\t' ? 't' : b == '\n' ? 'n' : b == 0 ? '0' : b);
                from = i + 1;
            }
        }
        putPlain(data, from, end);
    }

    private void putPlain(byte[] data, int start, int end) {
        reserve(end - start);
        System.arraycopy(data, start, lines, length, end - start);
        length += end - start;
    }

    private void put(int b) {
        reserve(1);
        lines[length++] = (byte) b;
    }

    private void reserve(long more) {
        long needed = length + more;
        if (needed > LARGEST) {
            throw new IllegalStateException("a row exceeds 2 GiB");
        }
        if (needed > lines.length) {
            lines = Arrays.copyOf(lines, (int) Math.min(LARGEST, Math.max(needed, lines.length * 2L)));
        }
    }
}
