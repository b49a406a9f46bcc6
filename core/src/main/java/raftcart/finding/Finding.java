package raftcart.finding;

import java.util.Objects;

/** One thing to know about one object: the code says what kind of thing, the detail says what exactly. */
public record Finding(FindingCode code, String object, String detail) {
    public Finding {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(object, "object");
        Objects.requireNonNull(detail, "detail");
    }

    /** The outcome of the object as far as this finding goes. */
    public Outcome outcome() {
        return code.outcome();
    }
}
