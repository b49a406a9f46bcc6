package raftcart.sql.parse;

import java.util.Locale;
import raftcart.sql.tree.Name;

/** What a dialect does with names. */
public enum NameCase {
    /** Names without quotes become lower case; quoted ones are exact. */
    LOWER,
    /** Names without quotes become upper case; quoted ones are exact. */
    UPPER,
    /** Case never matters for columns, quoted or not. */
    IGNORED;

    /** The stored form of a name without quotes. */
    public String fold(String text) {
        return switch (this) {
            case LOWER -> text.toLowerCase(Locale.ROOT);
            case UPPER -> text.toUpperCase(Locale.ROOT);
            case IGNORED -> text;
        };
    }

    /** The name that a quoted text stands for; exact only where it would be another one without quotes. */
    public Name quoted(String text) {
        return new Name(text, this != IGNORED && !fold(text).equals(text));
    }
}
