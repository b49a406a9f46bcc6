package raftcart.error;

/** Loading rows stopped part-way; it can be resumed. */
public final class LoadException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public LoadException(String message, String advice) {
        super(message, advice, null);
    }

    public LoadException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
