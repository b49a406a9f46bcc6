package raftcart.plan;

import java.util.Map;
import java.util.Objects;
import raftcart.finding.FindingCatalog;
import raftcart.finding.FindingCode;

/**
 * How long a person needs, for estimates.
 *
 * @param minutesPerLine for a line of code that is left to a person
 * @param least the part of the estimate that is needed if all goes well
 * @param most the multiple of it that is needed if much does not
 * @param minutes other times for single findings than those of the catalogue
 */
public record EffortRates(double minutesPerLine, double least, double most, Map<FindingCode, Integer> minutes) {
    public EffortRates {
        Objects.requireNonNull(minutes, "minutes");
        minutes = Map.copyOf(minutes);
    }

    /** The rates unless the plan has others. */
    public static EffortRates defaults() {
        return new EffortRates(2, 0.6, 1.6, Map.of());
    }

    /** The minutes for one finding. */
    public int minutesFor(FindingCode code) {
        return minutes.getOrDefault(code, FindingCatalog.get(code).minutes());
    }
}
