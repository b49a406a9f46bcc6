package raftcart.dialect;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;

/** Thrown inside the translation where the target cannot say something; it always ends as a finding. */
public final class Untranslatable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Optional<Span> place;
    private final transient List<Untranslatable> parts;

    public Untranslatable(String reason) {
        super(reason);
        this.place = Optional.empty();
        this.parts = List.of(this);
    }

    /** @param place the part at fault, where it is one of many of its statement */
    public Untranslatable(String reason, Span place) {
        super(reason);
        this.place = Optional.of(place);
        this.parts = List.of(this);
    }

    /** @param parts all parts at fault, of which there is one at least */
    public Untranslatable(List<Untranslatable> parts) {
        super(parts.get(0).getMessage());
        this.place = parts.get(0).place();
        this.parts = List.copyOf(parts);
    }

    /** Where the part at fault stands, if it is not the whole statement. */
    public Optional<Span> place() {
        return place;
    }

    /** The parts at fault, where the reasons of several are known; otherwise this one. */
    public List<Untranslatable> parts() {
        return parts;
    }
}
