package raftcart.error;

/** The plan, an option or an argument is wrong; nothing has been done. */
public final class PlanException extends RaftcartException {
    private static final long serialVersionUID = 1L;

    public PlanException(String message, String advice) {
        super(message, advice, null);
    }

    public PlanException(String message, String advice, Throwable cause) {
        super(message, advice, cause);
    }
}
