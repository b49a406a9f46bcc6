package raftcart.error;

/** The comparison could not be carried out. */
public final class VerifyException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public VerifyException(String message, String advice) {
        super(message, advice, null);
    }

    public VerifyException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
