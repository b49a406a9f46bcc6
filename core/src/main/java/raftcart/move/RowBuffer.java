package raftcart.move;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * A batch of rows as bytes: all fields one after the other in one array. No object is made for a value; the array and
 * the offsets grow to the largest batch and are used again.
 */
public final class RowBuffer {
    private static final int FULL_BYTES = 4 << 20;
    private static final int LARGEST = Integer.MAX_VALUE - 16;

    private final int columns;
    private final int mostRows;
    private byte[] data = new byte[1 << 16];
    private int used;
    /** The end of every field in {@link #data}, as its complement where the field is NULL. */
    private int[] ends = new int[1 << 10];

    private int fields;

    public RowBuffer(int columns, int mostRows) {
        this.columns = columns;
        this.mostRows = mostRows;
    }

    /** Forgets all rows. */
    public void clear() {
        used = 0;
        fields = 0;
    }

    /** The number of columns of every row. */
    public int columns() {
        return columns;
    }

    /** The number of whole rows. */
    public int rows() {
        return columns == 0 ? 0 : fields / columns;
    }

    /** The number of bytes of all values. */
    public int size() {
        return used;
    }

    /** True where no further row should be added. */
    public boolean isFull() {
        return used >= FULL_BYTES || rows() >= mostRows;
    }

    /** Adds a NULL as the next field. */
    public void addNull() {
        endField(true);
    }

    /** Adds a value as the next field. */
    public void add(byte[] value) {
        add(value, 0, value.length);
    }

    /** Adds a part of an array as the next field. */
    public void add(byte[] source, int offset, int length) {
        reserve(length);
        System.arraycopy(source, offset, data, used, length);
        used += length;
        endField(false);
    }

    /** Adds a byte to the field that {@link #endField} will end. */
    public void append(byte value) {
        if (used == data.length) {
            reserve(1);
        }
        data[used++] = value;
    }

    /** Ends the field made by {@link #append}. */
    public void endField() {
        endField(false);
    }

    private void endField(boolean isNull) {
        if (fields == ends.length) {
            ends = Arrays.copyOf(ends, ends.length * 2);
        }
        ends[fields++] = isNull ? ~used : used;
    }

    private void reserve(int length) {
        long needed = (long) used + length;
        if (needed > LARGEST) {
            throw new IllegalStateException("a batch of rows exceeds 2 GiB");
        }
        if (needed > data.length) {
            data = Arrays.copyOf(data, (int) Math.min(LARGEST, Math.max(needed, data.length * 2L)));
        }
    }

    /** True where the field is NULL. */
    public boolean isNull(int row, int column) {
        return ends[row * columns + column] < 0;
    }

    /** The array that holds the values; only {@link #start} to {@link #end} of a field belong to it. */
    public byte[] data() {
        return data;
    }

    /** Where a field's value starts. */
    public int start(int row, int column) {
        int field = row * columns + column;
        return field == 0 ? 0 : offset(ends[field - 1]);
    }

    /** Where a field's value ends. */
    public int end(int row, int column) {
        return offset(ends[row * columns + column]);
    }

    private static int offset(int end) {
        return end < 0 ? ~end : end;
    }

    /** A field's value as text, for messages about a single row. */
    public String text(int row, int column) {
        int start = start(row, column);
        return new String(data, start, end(row, column) - start, StandardCharsets.UTF_8);
    }
}
