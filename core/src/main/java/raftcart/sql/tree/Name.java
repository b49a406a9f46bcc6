package raftcart.sql.tree;

import java.util.Locale;

/**
 * One identifier.
 *
 * @param text without quotes
 * @param exact true where the case matters, because the name was quoted in a dialect that then distinguishes it
 */
public record Name(String text, boolean exact) {
    /** A name whose case does not matter. */
    public static Name of(String text) {
        return new Name(text, false);
    }

    /** The form by which names are looked up: exact names as they are, others in lower case. */
    public String key() {
        return exact || isSmall() ? text : text.toLowerCase(Locale.ROOT);
    }

    /** True for most names, which is seen sooner than their small letters are made. */
    private boolean isSmall() {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c >= 'A' && c <= 'Z' || c > '~') {
                return false;
            }
        }
        return true;
    }

    /** True for a name whose key is this word in small letters. */
    public boolean is(String key) {
        return exact ? text.equals(key) : text.equalsIgnoreCase(key);
    }

    /** True for the same name; an exact name also matches one in any case that differs in nothing else. */
    public boolean matches(Name other) {
        return exact && other.exact ? text.equals(other.text) : text.equalsIgnoreCase(other.text);
    }
}
