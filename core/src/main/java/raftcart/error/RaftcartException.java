package raftcart.error;

import java.util.Objects;
import java.util.Optional;

/**
 * Root of everything that goes wrong for a reason a user can act on. The message says what failed and where; the
 * advice says what to do about it. Neither holds a secret; the server's own words in a message may name a value.
 */
public abstract class RaftcartException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String advice;

    protected RaftcartException(String message, String advice, Throwable cause) {
        super(Objects.requireNonNull(message, "message"), cause);
        this.advice = advice;
    }

    /** What the user can do, a sentence or more. */
    public Optional<String> advice() {
        return Optional.ofNullable(advice);
    }
}
