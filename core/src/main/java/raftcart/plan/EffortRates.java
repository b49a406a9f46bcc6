package raftcart.plan;

import java.util.Map;
import java.util.Objects;
import raftcart.finding.FindingCatalog;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;

/**
 * How long a person needs, for estimates.
 *
 * @param minutesPerLine for a line of code that is left to a person
 * @param repeat the part of the time that each further finding of a code takes which is not left to a person as a whole
 * @param least the part of the estimate that is needed if all goes well
 * @param most the multiple of it that is needed if much does not
 * @param minutes other times for single findings than those of the catalogue
 */
public record EffortRates(
        double minutesPerLine, double repeat, double least, double most, Map<FindingCode, Integer> minutes) {
    public EffortRates {
        Objects.requireNonNull(minutes, "minutes");
        minutes = Map.copyOf(minutes);
    }

    /** The rates unless the plan has others. */
    public static EffortRates defaults() {
        return new EffortRates(2, 0.2, 0.6, 1.6, Map.of());
    }

    /** The minutes for so many findings of a code. */
    public double minutesFor(FindingCode code, int findings) {
        int one = minutes.getOrDefault(code, FindingCatalog.get(code).minutes());
        double further = code.outcome() == Outcome.BY_HAND ? 1 : repeat;
        return one * (1 + (findings - 1) * further);
    }
}
