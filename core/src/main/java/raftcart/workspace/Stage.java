package raftcart.workspace;

import java.util.Locale;

/** The stages of a migration in their order. */
public enum Stage {
    SURVEY,
    TRANSLATE,
    BUILD,
    LOAD,
    VERIFY;

    /** The stage of this name. */
    static Stage of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The stage's name as users see it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
