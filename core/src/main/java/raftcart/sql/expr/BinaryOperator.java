package raftcart.sql.expr;

/** Operators between two operands; the level says how tightly they bind, a higher one more tightly. */
public enum BinaryOperator {
    OR(1),
    XOR(2),
    AND(3),
    EQUAL(5),
    NOT_EQUAL(5),
    LESS(5),
    LESS_OR_EQUAL(5),
    GREATER(5),
    GREATER_OR_EQUAL(5),
    /** Equal, or both NULL. */
    SAME(5),
    BIT_OR(6),
    BIT_AND(7),
    SHIFT_LEFT(8),
    SHIFT_RIGHT(8),
    ADD(9),
    SUBTRACT(9),
    MULTIPLY(10),
    /** Keeps the fraction, also of two whole numbers. */
    DIVIDE(10),
    /** Cuts the fraction off. */
    DIVIDE_WHOLE(10),
    /** Keeps the fraction unless both operands are whole numbers; becomes one of the two above once types are known. */
    DIVIDE_BY_TYPE(10),
    MODULO(10),
    BIT_XOR(11);

    private final int level;

    BinaryOperator(int level) {
        this.level = level;
    }

    /** The binding strength on a scale of our own, 1 the loosest. */
    public int level() {
        return level;
    }

    /** True for the operators that compare and give a truth value. */
    public boolean compares() {
        return level == 5;
    }

    /** True for AND, OR and XOR. */
    public boolean joinsTruths() {
        return level <= 3;
    }
}
