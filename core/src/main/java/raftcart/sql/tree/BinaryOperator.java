package raftcart.sql.tree;

/** Operators between two operands. AND, OR and the joining of texts have nodes of their own. */
public enum BinaryOperator {
    XOR("XOR"),
    EQUAL("="),
    NOT_EQUAL("<>"),
    LESS("<"),
    LESS_OR_EQUAL("<="),
    GREATER(">"),
    GREATER_OR_EQUAL(">="),
    /** Equal, with NULL equal to NULL. */
    SAME("IS NOT DISTINCT FROM"),
    DIFFERENT("IS DISTINCT FROM"),
    ADD("+"),
    SUBTRACT("-"),
    MULTIPLY("*"),
    /** As the dialect divides: some cut the fraction off where both sides are whole. */
    DIVIDE("/"),
    DIVIDE_WHOLE("DIV"),
    DIVIDE_EXACT("/"),
    MODULO("%"),
    POWER("^"),
    BIT_OR("|"),
    BIT_AND("&"),
    BIT_XOR("^"),
    SHIFT_LEFT("<<"),
    SHIFT_RIGHT(">>"),
    JSON_GET("->"),
    JSON_GET_TEXT("->>"),
    JSON_PATH("#>"),
    JSON_PATH_TEXT("#>>"),
    CONTAINS("@>"),
    CONTAINED("<@"),
    OVERLAPS("&&"),
    TEXT_SEARCH("@@");

    private final String symbol;

    BinaryOperator(String symbol) {
        this.symbol = symbol;
    }

    /** The most common spelling. */
    public String symbol() {
        return symbol;
    }

    /** True for an operator that gives a truth value by comparing. */
    public boolean compares() {
        return compareTo(EQUAL) >= 0 && compareTo(DIFFERENT) <= 0;
    }

    /** True for the operators of arithmetic. */
    public boolean calculates() {
        return compareTo(ADD) >= 0 && compareTo(POWER) <= 0;
    }

    /** True for a division of any kind. */
    public boolean divides() {
        return this == DIVIDE || this == DIVIDE_WHOLE || this == DIVIDE_EXACT || this == MODULO;
    }
}
