package raftcart.error;

/** Loading rows stopped part-way; it can be resumed. */
public final class LoadException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    private static final String INTERRUPTED = "the load was interrupted";

    public LoadException(String message, String advice) {
        super(message, advice, null);
    }

    public LoadException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }

    /** A load that was told to stop, by the user or because another part of it had failed. */
    public static LoadException interrupted(Throwable cause) {
        return new LoadException(INTERRUPTED, "Run `raftcart load` again; it goes on.", cause);
    }

    /** True where the load was told to stop, and did not fail by itself. */
    public boolean isInterruption() {
        return INTERRUPTED.equals(getMessage());
    }
}
