package raftcart.error;

/** A rules folder of a user's is wrong; the message names file and line. */
public final class RulesException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public RulesException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
