package raftcart.sql.tree;

/** What {@code IS} compares with. */
public enum Truth {
    NULL,
    TRUE,
    FALSE,
    UNKNOWN
}
