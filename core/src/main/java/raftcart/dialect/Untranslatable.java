package raftcart.dialect;

/** Thrown inside the translation where the target cannot say something; it always ends as a finding. */
public final class Untranslatable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Untranslatable(String reason) {
        super(reason);
    }
}
