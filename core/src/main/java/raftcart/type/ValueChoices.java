package raftcart.type;

import java.util.Objects;

/** Choices where values of one engine have no obvious twin on another. */
public record ValueChoices(ImpossibleDates impossibleDates, OneDigitBoolean oneDigitBoolean, TimeMeaning time) {
    public ValueChoices {
        Objects.requireNonNull(impossibleDates, "impossibleDates");
        Objects.requireNonNull(oneDigitBoolean, "oneDigitBoolean");
        Objects.requireNonNull(time, "time");
    }

    /** The choices made unless the plan says otherwise. */
    public static ValueChoices defaults() {
        return new ValueChoices(ImpossibleDates.AS_NULL, OneDigitBoolean.BOOLEAN, TimeMeaning.INTERVAL);
    }

    /** What becomes of dates such as 0000-00-00. */
    public enum ImpossibleDates {
        AS_NULL,
        REFUSE
    }

    /** What a number of one digit is taken for. */
    public enum OneDigitBoolean {
        BOOLEAN,
        NUMBER
    }

    /** What a TIME that may exceed a day is taken for. */
    public enum TimeMeaning {
        INTERVAL,
        TIME_OF_DAY
    }
}
