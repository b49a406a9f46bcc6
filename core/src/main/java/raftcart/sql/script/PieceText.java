package raftcart.sql.script;

import java.util.Arrays;

/** The characters of a piece as they are taken; every character of a script passes here, so that it is a plain array. */
final class PieceText implements CharSequence {
    private char[] characters = new char[1 << 12];
    private int length;

    void append(char c) {
        if (length == characters.length) {
            grow(1);
        }
        characters[length++] = c;
    }

    void append(char[] from, int start, int count) {
        if (length + count > characters.length) {
            grow(count);
        }
        System.arraycopy(from, start, characters, length, count);
        length += count;
    }

    void append(String text) {
        if (length + text.length() > characters.length) {
            grow(text.length());
        }
        text.getChars(0, text.length(), characters, length);
        length += text.length();
    }

    private void grow(int count) {
        characters = Arrays.copyOf(characters, Math.max(2 * characters.length, length + count));
    }

    /** Leaves the first so many characters. */
    void shorten(int count) {
        length = count;
    }

    @Override
    public int length() {
        return length;
    }

    @Override
    public char charAt(int index) {
        return characters[index];
    }

    @Override
    public CharSequence subSequence(int start, int end) {
        return new String(characters, start, end - start);
    }

    /** All from this place on. */
    String from(int start) {
        return new String(characters, start, length - start);
    }

    @Override
    public String toString() {
        return from(0);
    }
}
