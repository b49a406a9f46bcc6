package raftcart.sql.expr;

/** The kinds of constant. */
public enum LiteralKind {
    NULL,
    BOOLEAN,
    NUMBER,
    STRING,
    /** Bytes as hexadecimal digits. */
    BYTES,
    /** Bits as zeros and ones. */
    BITS,
    DATE,
    TIME,
    TIMESTAMP
}
