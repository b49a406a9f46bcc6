package raftcart.sql.expr;

/** What {@code IS} compares with. */
public enum Truth {
    NULL,
    TRUE,
    FALSE
}
