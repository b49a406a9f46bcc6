package raftcart.error;

/** The migration folder could not be read or written. */
public final class WorkspaceException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public WorkspaceException(String message, String advice) {
        super(message, advice, null);
    }

    public WorkspaceException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
