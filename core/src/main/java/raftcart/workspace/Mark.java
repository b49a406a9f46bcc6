package raftcart.workspace;

import java.util.Locale;

/** What a journal entry says about a stage. */
public enum Mark {
    BEGUN,
    /** One part of the stage, such as a table, is finished. */
    PART,
    DONE;

    String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
