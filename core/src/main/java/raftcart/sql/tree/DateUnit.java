package raftcart.sql.tree;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A unit or field of dates and times, with the words by which dialects name it. */
public enum DateUnit {
    YEAR("year", "years", "yy", "yyyy", "yr", "sql_tsi_year"),
    QUARTER("quarter", "quarters", "qq", "q", "qtr", "sql_tsi_quarter"),
    MONTH("month", "months", "mm", "mon", "mons", "sql_tsi_month"),
    WEEK("week", "weeks", "wk", "ww", "sql_tsi_week"),
    DAY("day", "days", "dd", "d", "dayofmonth", "day_of_month", "sql_tsi_day"),
    HOUR("hour", "hours", "hh", "hrs", "sql_tsi_hour"),
    MINUTE("minute", "minutes", "mi", "n", "mins", "sql_tsi_minute"),
    SECOND("second", "seconds", "ss", "s", "secs", "sql_tsi_second"),
    MILLISECOND("millisecond", "milliseconds", "ms"),
    MICROSECOND("microsecond", "microseconds", "mcs", "us"),
    NANOSECOND("nanosecond", "nanoseconds", "ns", "sql_tsi_frac_second"),
    DAY_OF_WEEK("dow", "dayofweek", "weekday", "dw", "dayofweek_iso"),
    ISO_DAY_OF_WEEK("isodow", "isodayofweek", "iso_day_of_week"),
    DAY_OF_YEAR("doy", "dayofyear", "day_of_year", "dy", "yearday"),
    ISO_WEEK("isowk", "isoww", "iso_week", "isoweek", "week_iso"),
    EPOCH("epoch", "epoch_second"),
    DECADE("decade", "decades"),
    CENTURY("century", "centuries"),
    MILLENNIUM("millennium", "millenniums"),
    ISO_YEAR("isoyear", "iso_year", "iso_week_year");

    private static final Map<String, DateUnit> BY_WORD = new HashMap<>();

    static {
        for (DateUnit unit : values()) {
            for (String word : unit.words) {
                BY_WORD.put(word, unit);
            }
        }
    }

    private final String[] words;

    DateUnit(String... words) {
        this.words = words;
    }

    /** The unit that a word or text names, in any case. */
    public static Optional<DateUnit> named(String word) {
        return Optional.ofNullable(BY_WORD.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The common word for the unit in lower case. */
    public String word() {
        return words[0];
    }

    /** True for a unit that an interval can be made of. */
    public boolean isSpan() {
        return compareTo(NANOSECOND) <= 0;
    }
}
