package raftcart.sql.expr;

/** Which part of the current time is asked for. */
public enum CurrentKind {
    TIMESTAMP,
    /** The same in UTC, whatever the zone of the session. */
    UTC_TIMESTAMP,
    DATE,
    TIME
}
