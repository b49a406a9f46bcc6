package raftcart.sql.expr;

/** Operators before one operand. */
public enum UnaryOperator {
    NOT,
    MINUS,
    PLUS,
    BIT_NOT
}
