package raftcart.type;

/**
 * The forms in which values travel and are compared: bytes between a reader and a writer, and the canonical text that
 * the verification computes in both engines. docs/values.md describes each one.
 */
public enum ValueForm {
    /** {@code 1} or {@code 0}. */
    BOOLEAN,
    /** Decimal digits with an optional minus sign. */
    INTEGER,
    /** Decimal digits with an optional minus sign and point; compared without trailing zeros. */
    DECIMAL,
    /** The shortest decimal that reads back as the same double; compared by its 64 bits. */
    FLOATING,
    /** UTF-8, every character significant. */
    TEXT,
    /** UTF-8; compared without trailing blanks. */
    PADDED_TEXT,
    /** The raw bytes; compared by length and MD5. */
    BYTES,
    /** Zeros and ones, the highest bit first. */
    BITS,
    /** {@code YYYY-MM-DD}. */
    DATE,
    /** {@code HH:MM:SS[.ffffff]}. */
    TIME,
    /** {@code [-]HH:MM:SS[.ffffff]}, hours without limit. */
    DURATION,
    /** {@code YYYY-MM-DD HH:MM:SS[.ffffff]} without zone. */
    TIMESTAMP,
    /** The same in UTC. */
    INSTANT;

    /** True where a value may hold any character, so that its length has to be part of what is digested. */
    public boolean freeText() {
        return this == TEXT || this == PADDED_TEXT;
    }
}
