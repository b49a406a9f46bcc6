package raftcart.demo.observatory;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;

/** Rows as the text that LOAD DATA reads: tabs between fields, backslash escapes, {@code \N} for NULL. */
final class RowStream extends InputStream {
    private static final int BLOCK = 1 << 16;

    private final Iterator<String[]> rows;
    private byte[] block = new byte[0];
    private int position;

    RowStream(Iterator<String[]> rows) {
        this.rows = rows;
    }

    @Override
    public int read() {
        return fill() ? block[position++] & 0xff : -1;
    }

    @Override
    public int read(byte[] target, int offset, int length) {
        if (!fill()) {
            return -1;
        }
        int part = Math.min(length, block.length - position);
        System.arraycopy(block, position, target, offset, part);
        position += part;
        return part;
    }

    private boolean fill() {
        if (position < block.length) {
            return true;
        }
        StringBuilder text = new StringBuilder(BLOCK + 1024);
        while (text.length() < BLOCK && rows.hasNext()) {
            String[] row = rows.next();
            for (int i = 0; i < row.length; i++) {
                text.append(i == 0 ? "" : "\t").append(row[i] == null ? "\\N" : escaped(row[i]));
            }
            text.append('\n');
        }
        block = text.toString().getBytes(StandardCharsets.UTF_8);
        position = 0;
        return block.length > 0;
    }

    private static String escaped(String text) {
        return text.indexOf('\\') < 0 && text.indexOf('\t') < 0 && text.indexOf('\n') < 0
                ? text
                : text.replace("\\", "\\\\").replace("\t", "\\t").replace("\n", "\\n");
    }
}
