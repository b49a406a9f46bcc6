package raftcart.dialect;

import java.util.Optional;
import raftcart.sql.Span;

/** Thrown inside the translation where the target cannot say something; it always ends as a finding. */
public final class Untranslatable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Optional<Span> place;

    public Untranslatable(String reason) {
        super(reason);
        this.place = Optional.empty();
    }

    /** @param place the part at fault, where it is one of many of its statement */
    public Untranslatable(String reason, Span place) {
        super(reason);
        this.place = Optional.of(place);
    }

    /** Where the part at fault stands, if it is not the whole statement. */
    public Optional<Span> place() {
        return place;
    }
}
