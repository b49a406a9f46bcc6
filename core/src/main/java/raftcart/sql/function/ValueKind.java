package raftcart.sql.function;

import java.util.Locale;

/** What sort of value an expression has, as far as translation has to know. */
public enum ValueKind {
    BOOLEAN,
    INTEGER,
    DECIMAL,
    FLOAT,
    TEXT,
    BYTES,
    DATE,
    TIME,
    TIMESTAMP,
    INTERVAL,
    JSON,
    ARRAY,
    /** The constant NULL. */
    NULL,
    UNKNOWN;

    /** The kind that a dictionary names; {@code number} is a decimal. */
    static ValueKind named(String word) {
        return switch (word) {
            case "number" -> DECIMAL;
            case "any", "same" -> UNKNOWN;
            default -> valueOf(word.toUpperCase(Locale.ROOT));
        };
    }

    /** True for numbers. */
    public boolean isNumber() {
        return this == INTEGER || this == DECIMAL || this == FLOAT;
    }

    /** True for dates and timestamps. */
    public boolean isDate() {
        return this == DATE || this == TIMESTAMP;
    }

    /** True where a condition of a dictionary on this kind holds for another. */
    boolean covers(ValueKind other) {
        return this == other || (this == DECIMAL && other.isNumber()) || (this == TIMESTAMP && other.isDate());
    }
}
