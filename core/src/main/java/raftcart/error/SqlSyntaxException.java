package raftcart.error;

/** A piece of SQL could not be read; the message begins with line and column. */
public final class SqlSyntaxException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    private final int line;
    private final int column;
    private final String reason;

    public SqlSyntaxException(int line, int column, String reason) {
        super(line + ":" + column + ": " + reason, null, null);
        this.line = line;
        this.column = column;
        this.reason = reason;
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
