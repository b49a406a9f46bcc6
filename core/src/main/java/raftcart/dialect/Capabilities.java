package raftcart.dialect;

import java.util.Set;

/**
 * What an engine can do.
 *
 * @param digitsOfDivision the fractional digits that an exact division adds to those of its dividend, with the result
 *     rounded to them; 0 where it keeps as many as make sense
 */
public record Capabilities(Set<Feature> features, int digitsOfDivision) {
    public Capabilities {
        features = Set.copyOf(features);
    }

    /** True where the engine has the feature. */
    public boolean has(Feature feature) {
        return features.contains(feature);
    }
}
