package raftcart.sql.tree;

/** Which part of the present is asked for. */
public enum CurrentKind {
    DATE,
    TIME,
    /** Date and time with the session's zone. */
    TIMESTAMP,
    /** Date and time in the session's zone, without it. */
    LOCAL_TIMESTAMP,
    /** Date and time in UTC. */
    UTC_TIMESTAMP
}
