package raftcart.catalog;

/** What happens to the referring rows (SQL standard, part 2, referential actions). */
public enum ReferentialAction {
    NO_ACTION("NO ACTION"),
    RESTRICT("RESTRICT"),
    CASCADE("CASCADE"),
    SET_NULL("SET NULL"),
    SET_DEFAULT("SET DEFAULT");

    private final String sql;

    ReferentialAction(String sql) {
        this.sql = sql;
    }

    /** The words of the standard. */
    public String sql() {
        return sql;
    }

    /** Reads the words of the standard; anything else is {@link #NO_ACTION}, the standard's default. */
    public static ReferentialAction of(String words) {
        for (ReferentialAction action : values()) {
            if (action.sql.equalsIgnoreCase(words)) {
                return action;
            }
        }
        return NO_ACTION;
    }
}
