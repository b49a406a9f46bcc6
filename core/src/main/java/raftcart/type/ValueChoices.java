package raftcart.type;

import java.util.Objects;

/** Choices where values of one engine have no obvious twin on another. */
public record ValueChoices(
        ImpossibleDates impossibleDates,
        OneDigitBoolean oneDigitBoolean,
        TimeMeaning time,
        EnumerationForm enumerations,
        UniqueTexts uniqueTexts) {
    public ValueChoices {
        Objects.requireNonNull(impossibleDates, "impossibleDates");
        Objects.requireNonNull(oneDigitBoolean, "oneDigitBoolean");
        Objects.requireNonNull(time, "time");
        Objects.requireNonNull(enumerations, "enumerations");
        Objects.requireNonNull(uniqueTexts, "uniqueTexts");
    }

    /** The choices made unless the plan says otherwise. */
    public static ValueChoices defaults() {
        return new ValueChoices(
                ImpossibleDates.AS_NULL,
                OneDigitBoolean.BOOLEAN,
                TimeMeaning.INTERVAL,
                EnumerationForm.TYPE,
                UniqueTexts.IGNORE_CASE);
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

    /** How keys of texts are unique where the source takes small and capital letters for the same. */
    public enum UniqueTexts {
        /** As on the source, by a further index where the target tells them apart. */
        IGNORE_CASE,
        /** As the target compares texts. */
        EXACT
    }
}
