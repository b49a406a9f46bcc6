package raftcart.error;

/** A piece of SQL could not be read; the message holds the position. */
public final class SqlSyntaxException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public SqlSyntaxException(String message, String advice) {
        super(message, advice, null);
    }

    public SqlSyntaxException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
