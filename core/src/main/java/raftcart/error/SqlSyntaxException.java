package raftcart.error;

/** A piece of SQL could not be read; the message begins with line and column. */
public final class SqlSyntaxException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    private final int line;
    private final int column;
    private final String reason;
    private final boolean understood;

    public SqlSyntaxException(int line, int column, String reason) {
        this(line, column, reason, false);
    }

    /**
     * A piece of SQL that cannot be read, or is not to be.
     *
     * @param understood true for a form that is known, but has no place in the tree since nothing could be done about it
     */
    public SqlSyntaxException(int line, int column, String reason, boolean understood) {
        super(line + ":" + column + ": " + reason, null, null);
        this.understood = understood;
        this.line = line;
        this.column = column;
        this.reason = reason;
    }

    /** True for a form that is known and left to a person. */
    public boolean isUnderstood() {
        return understood;
    }

    /** The line, from 1. */
    public int line() {
        return line;
    }

    /** The column, from 1. */
    public int column() {
        return column;
    }

    /** What was found and what was expected, without the position. */
    public String reason() {
        return reason;
    }
}
