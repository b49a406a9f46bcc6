package raftcart.error;

/** A statement that builds the target failed. */
public final class BuildException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public BuildException(String message, String advice) {
        super(message, advice, null);
    }

    public BuildException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
