package raftcart.error;

/** A database could not be reached, or refused us. */
public final class ConnectException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public ConnectException(String message, String advice) {
        super(message, advice, null);
    }

    public ConnectException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
