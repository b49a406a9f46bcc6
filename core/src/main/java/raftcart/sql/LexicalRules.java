package raftcart.sql;

import java.util.List;
import java.util.Set;

/** How a dialect writes its tokens. */
public final class LexicalRules {
    private final char[] closings = new char[128];
    private final long features;

    /**
     * Rules of a dialect.
     *
     * @param nameQuotes pairs of ASCII characters that open and close a quoted name, such as {@code ""} and {@code []}
     */
    public LexicalRules(List<String> nameQuotes, Set<LexicalFeature> features) {
        for (String pair : nameQuotes) {
            closings[pair.charAt(0)] = pair.charAt(1);
        }
        long bits = 0;
        for (LexicalFeature feature : features) {
            bits |= 1L << feature.ordinal();
        }
        this.features = bits;
    }

    /** Rules with these features. */
    public static LexicalRules of(List<String> nameQuotes, LexicalFeature... features) {
        return new LexicalRules(nameQuotes, Set.of(features));
    }

    /** True where the dialect has the feature. */
    public boolean has(LexicalFeature feature) {
        return (features & 1L << feature.ordinal()) != 0;
    }

    /** The character that closes a name opened by this one, or 0 if it opens none. */
    public char closing(char open) {
        return open < closings.length ? closings[open] : 0;
    }
}
