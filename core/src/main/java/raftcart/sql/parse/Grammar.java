package raftcart.sql.parse;

import java.util.Map;
import java.util.Set;
import raftcart.sql.FlagSet;
import raftcart.sql.LexicalRules;
import raftcart.sql.tree.BinaryOperator;

/**
 * What a dialect decides while a text is read.
 *
 * @param concatLevel how tightly {@code ||} binds, see {@link OperatorTable}
 * @param levels operators that bind otherwise than in most dialects
 * @param calls what calls mean that a dictionary cannot read
 */
public record Grammar(
        LexicalRules lexical,
        NameCase names,
        Set<GrammarFeature> features,
        int concatLevel,
        Map<BinaryOperator, Integer> levels,
        CallReading calls) {
    public Grammar {
        features = FlagSet.copyOf(GrammarFeature.class, features);
        levels = Map.copyOf(levels);
    }

    /** A grammar whose functions all stand in a dictionary. */
    public Grammar(
            LexicalRules lexical,
            NameCase names,
            Set<GrammarFeature> features,
            int concatLevel,
            Map<BinaryOperator, Integer> levels) {
        this(lexical, names, features, concatLevel, levels, CallReading.NONE);
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
