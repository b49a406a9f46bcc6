package raftcart.sql;

/** The kinds of token. */
public enum TokenKind {
    WORD,
    QUOTED_NAME,
    STRING,
    NUMBER,
    HEX_STRING,
    BIT_STRING,
    /** A value that the caller supplies, or a variable: {@code ?}, {@code :a}, {@code $1}, {@code @x}. */
    PARAMETER,
    SYMBOL,
    /** Advice to the optimizer in a comment that begins with a plus sign. */
    HINT,
    COMMENT,
    END
}
