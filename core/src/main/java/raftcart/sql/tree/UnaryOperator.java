package raftcart.sql.tree;

/** Operators before one operand. */
public enum UnaryOperator {
    NOT,
    MINUS,
    PLUS,
    BIT_NOT,
    /** The parent's value in a hierarchical query. */
    PRIOR,
    /** The root's value in a hierarchical query. */
    ROOT
}
