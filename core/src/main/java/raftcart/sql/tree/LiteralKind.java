package raftcart.sql.tree;

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
    TIMESTAMP,
    /** A timestamp whose text ends in a zone or offset. */
    ZONED_TIMESTAMP
}
