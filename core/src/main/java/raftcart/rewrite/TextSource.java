package raftcart.rewrite;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
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

    /** The line, from 1, of the first bytes that are no characters of the encoding; 1 if there are none. */
    public static int firstBadLine(InputStream bytes, Charset encoding) throws IOException {
        BufferedInputStream in = new BufferedInputStream(bytes, 1 << 16);
        java.io.ByteArrayOutputStream line = new java.io.ByteArrayOutputStream();
        int number = 1;
        for (int b = in.read(); b >= 0; b = in.read()) {
            line.write(b);
            if (b == '\n' || line.size() > 1 << 20) {
                if (!isText(line.toByteArray(), encoding)) {
                    return number;
                }
                number += b == '\n' ? 1 : 0;
                line.reset();
            }
        }
        return isText(line.toByteArray(), encoding) ? 1 : number;
    }

    private static boolean isText(byte[] bytes, Charset encoding) {
        try {
            encoding.newDecoder().decode(java.nio.ByteBuffer.wrap(bytes));
            return true;
        } catch (java.nio.charset.CharacterCodingException e) {
            return false; // that is the question
        }
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
