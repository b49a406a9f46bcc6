package raftcart.sql;

/** What a token is, before any grammar looks at it. */
public enum TokenKind {
    /** A name or keyword without quotes. */
    WORD,
    /** A name in the dialect's quotes; the token's value is the name itself. */
    QUOTED_NAME,
    /** A character string; the value is the string itself. */
    STRING,
    /** Bytes in hexadecimal; the value is the digits. */
    HEX_STRING,
    /** Bits as zeros and ones; the value is the digits. */
    BIT_STRING,
    NUMBER,
    /** An operator or a punctuation mark. */
    SYMBOL,
    COMMENT,
    /** The end of the text. */
    END
}
