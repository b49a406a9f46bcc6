package raftcart.sql;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * How a dialect writes its tokens.
 *
 * @param nameQuotes pairs of characters that open and close a quoted name, such as {@code ""} and {@code []}
 */
public record LexicalRules(List<String> nameQuotes, Set<LexicalFeature> features) {
    public LexicalRules {
        nameQuotes = List.copyOf(nameQuotes);
        features = Collections.unmodifiableSet(
                features.isEmpty() ? EnumSet.noneOf(LexicalFeature.class) : EnumSet.copyOf(features));
    }

    /** Rules with these features. */
    public static LexicalRules of(List<String> nameQuotes, LexicalFeature... features) {
        return new LexicalRules(nameQuotes, Set.of(features));
    }

    /** True where the dialect has the feature. */
    public boolean has(LexicalFeature feature) {
        return features.contains(feature);
    }

    /** The character that closes a name opened by this one, or 0 if it opens none. */
    char closing(char open) {
        for (int i = 0; i < nameQuotes.size(); i++) {
            if (nameQuotes.get(i).charAt(0) == open) {
                return nameQuotes.get(i).charAt(1);
            }
        }
        return 0;
    }
}
