package raftcart.type;

import java.util.Objects;

/** Choices where values of one engine have no obvious twin on another. */
public record ValueChoices(
        ImpossibleDates impossibleDates,
        OneDigitBoolean oneDigitBoolean,
        TimeMeaning time,
        EnumerationForm enumerations) {
    public ValueChoices {
        Objects.requireNonNull(impossibleDates, "impossibleDates");
        Objects.requireNonNull(oneDigitBoolean, "oneDigitBoolean");
        Objects.requireNonNull(time, "time");
        Objects.requireNonNull(enumerations, "enumerations");
    }

    /** The choices made unless the plan says otherwise. */
    public static ValueChoices defaults() {
        return new ValueChoices(
                ImpossibleDates.AS_NULL, OneDigitBoolean.BOOLEAN, TimeMeaning.INTERVAL, EnumerationForm.TYPE);
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

    /** What becomes of an enumeration. */
    public enum EnumerationForm {
        /** The target's own type for it. */
        TYPE,
        /** A text with a check of its values. */
        CHECK,
        /** A text that refers to a table of its values. */
        LOOKUP
    }
}
