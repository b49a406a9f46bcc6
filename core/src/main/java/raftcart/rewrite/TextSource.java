package raftcart.rewrite;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Opens a stream of bytes as text: by its byte order mark, or in the given encoding. */
public final class TextSource {
    private TextSource() {}

    /** A text that is none. */
    public static final class NotText extends IOException {
        private static final long serialVersionUID = 1L;

        NotText(String message) {
            super(message);
        }
    }

    /**
     * Opens the text; bytes that are no characters of the encoding give an error when they are read.
     *
     * @throws NotText if it holds the byte zero where no encoding has one
     */
    public static Reader open(InputStream bytes, Charset encoding) throws IOException {
        BufferedInputStream in = new BufferedInputStream(bytes, 1 << 16);
        in.mark(4096);
        byte[] start = in.readNBytes(1024);
        in.reset();
        Charset charset = encoding;
        int skip = 0;
        if (starts(start, 0xEF, 0xBB, 0xBF)) {
            charset = StandardCharsets.UTF_8;
            skip = 3;
        } else if (starts(start, 0xFF, 0xFE) || starts(start, 0xFE, 0xFF)) {
            charset = StandardCharsets.UTF_16;
        } else {
            refuseZeros(start);
        }
        in.skipNBytes(skip);
        return new BufferedReader(
                new InputStreamReader(
                        in,
                        charset.newDecoder()
                                .onMalformedInput(CodingErrorAction.REPORT)
                                .onUnmappableCharacter(CodingErrorAction.REPORT)),
                1 << 16);
    }

    /**
     * Where a character stands.
     *
     * @param line from 1
     * @param column from 1, in characters
     */
    public record Place(int line, int column) {
        private static final Place START = new Place(1, 1);

        private Place behind(char c) {
            return c == '\n' ? new Place(line + 1, 1) : new Place(line, column + 1);
        }
    }

    /** The place of the first bytes that are no characters of the encoding, or the end if there are none. */
    public static Place firstBad(InputStream bytes, Charset encoding) throws IOException {
        CharsetDecoder decoder = encoding.newDecoder();
        ByteBuffer in = ByteBuffer.allocate(1 << 16);
        CharBuffer out = CharBuffer.allocate(1 << 16);
        Place place = Place.START;
        boolean bad = false;
        boolean end = false;
        while (!bad && !end) {
            int read = bytes.read(in.array(), in.position(), in.remaining());
            end = read < 0;
            in.position(in.position() + Math.max(read, 0));
            in.flip();
            bad = decoder.decode(in, out, end).isError();
            in.compact();
            out.flip();
            while (out.hasRemaining()) {
                place = place.behind(out.get());
            }
            out.clear();
        }
        return place;
    }

    private static boolean starts(byte[] bytes, int... marks) {
        if (bytes.length < marks.length) {
            return false;
        }
        for (int i = 0; i < marks.length; i++) {
            if ((bytes[i] & 0xFF) != marks[i]) {
                return false;
            }
        }
        return true;
    }

    private static void refuseZeros(byte[] start) throws NotText {
        for (int i = 0; i < start.length; i++) {
            if (start[i] == 0) {
                throw new NotText(
                        "byte " + (i + 1) + " is zero: this is not a text, or one in UTF-16 without a byte order mark");
            }
        }
    }
}
