package raftcart.sql.parse;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import raftcart.sql.LexicalRules;
import raftcart.sql.tree.BinaryOperator;

/**
 * What a dialect decides while a text is read.
 *
 * @param concatLevel how tightly {@code ||} binds, see {@link OperatorTable}
 * @param levels operators that bind otherwise than in most dialects
 */
public record Grammar(
        LexicalRules lexical,
        NameCase names,
        Set<GrammarFeature> features,
        int concatLevel,
        Map<BinaryOperator, Integer> levels) {
    public Grammar {
        features = Collections.unmodifiableSet(
                features.isEmpty() ? EnumSet.noneOf(GrammarFeature.class) : EnumSet.copyOf(features));
        levels = Map.copyOf(levels);
    }

    /** A grammar in which operators bind as in the standard. */
    public static Grammar of(LexicalRules lexical, NameCase names, GrammarFeature... features) {
        return new Grammar(lexical, names, Set.of(features), OperatorTable.ADDITIVE, Map.of());
    }

    /** True where the dialect has the feature. */
    public boolean has(GrammarFeature feature) {
        return features.contains(feature);
    }
}
