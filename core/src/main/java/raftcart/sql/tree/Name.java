package raftcart.sql.tree;

import java.util.Locale;
import java.util.Objects;

/** One identifier; a class of its own, since its key is asked for again and again and kept. */
public final class Name {
    private final String text;
    private final boolean exact;
    private String key; // found when it is first asked for; the same whoever finds it

    /**
     * @param text without quotes
     * @param exact true where the case matters, because the name was quoted in a dialect that then distinguishes it
     */
    public Name(String text, boolean exact) {
        this.text = Objects.requireNonNull(text);
        this.exact = exact;
    }

    /** A name whose case does not matter. */
    public static Name of(String text) {
        return new Name(text, false);
    }

    /** The name without quotes. */
    public String text() {
        return text;
    }

    /** True where the case matters. */
    public boolean exact() {
        return exact;
    }

    /** The form by which names are looked up: exact names as they are, others in lower case. */
    public String key() {
        String found = key;
        if (found == null) {
            found = exact ? text : text.toLowerCase(Locale.ROOT);
            key = found;
        }
        return found;
    }

    /** True for a name whose key is this word in small letters. */
    public boolean is(String word) {
        return key().equals(word);
    }

    /** True for the same name; an exact name also matches one in any case that differs in nothing else. */
    public boolean matches(Name other) {
        return exact && other.exact ? text.equals(other.text) : text.equalsIgnoreCase(other.text);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Name name && exact == name.exact && text.equals(name.text);
    }

    @Override
    public int hashCode() {
        return 31 * text.hashCode() + Boolean.hashCode(exact);
    }

    @Override
    public String toString() {
        return exact ? '"' + text + '"' : text;
    }
}
