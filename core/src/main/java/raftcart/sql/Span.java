package raftcart.sql;

/**
 * Where in a text something stands: offsets of its first character and past its last, and the 1-based line and
 * column of the first. All spans are equal to each other, so that trees compare by meaning and not by place.
 */
public record Span(int start, int end, int line, int column) {
    /** The place of something that was not read from a text. */
    public static final Span NONE = new Span(0, 0, 1, 1);

    @Override
    public boolean equals(Object other) {
        return other instanceof Span;
    }

    @Override
    public int hashCode() {
        return 0;
    }
}
