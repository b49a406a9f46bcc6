package raftcart.finding;

import com.fasterxml.jackson.annotation.JsonValue;

/** How an object, statement or column fared, from best to worst. */
public enum Outcome {
    AS_IS("as is"),
    ADAPTED("adapted"),
    CHECK("check"),
    BY_HAND("by hand");

    private final String label;

    Outcome(String label) {
        this.label = label;
    }

    /** The wording shown to people and written to JSON. */
    @JsonValue
    public String label() {
        return label;
    }

    /** The worse of the two. */
    public Outcome worse(Outcome other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
