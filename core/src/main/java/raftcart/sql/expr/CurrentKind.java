package raftcart.sql.expr;

/** Which part of the current time is asked for. */
public enum CurrentKind {
    TIMESTAMP,
    DATE,
    TIME
}
