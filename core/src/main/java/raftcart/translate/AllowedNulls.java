package raftcart.translate;

import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.ValueChoices;
import raftcart.type.ValueChoices.ImpossibleDates;

/** Columns that are not NULL on the source and may be on the target, where nothing gives them what they had. */
final class AllowedNulls {
    private final ObjectName table;
    private final Language from;
    private final Language to;
    private final ValueChoices choices;
    private final Notes notes;

    AllowedNulls(ObjectName table, Language from, Language to, ValueChoices choices, Notes notes) {
        this.table = table;
        this.from = from;
        this.to = to;
        this.choices = choices;
        this.notes = notes;
    }

    /** @param defaultValue the default on the target */
    boolean in(Column column, Optional<String> defaultValue) {
        return isRenewed(column) || isRenounced(column, defaultValue);
    }

    /** True where the default is NULL in the place of a date that does not exist, which rows then have. */
    private boolean isRenounced(Column column, Optional<String> defaultValue) {
        boolean none = choices.impossibleDates() == ImpossibleDates.AS_NULL
                && from.has(SqlFeature.ZERO_DATES)
                && defaultValue.equals(Optional.of("NULL"));
        if (none) {
            notes.find(FindingCode.IMPOSSIBLE_DATES, table + "." + column.name(), "NULL is allowed");
        }
        return none;
    }

    /** A column to which the engine gave a value at every change of a row: none is given here, so that there is none. */
    private boolean isRenewed(Column column) {
        boolean renewed = !from.name().equals(to.name())
                && !column.declaredType().isEmpty()
                && from.types()
                        .renews(TypeNameParser.parse(
                                column.declaredType(), from.grammar().lexical()));
        if (renewed) {
            notes.find(
                    FindingCode.SYNTAX_CHECK,
                    table + "." + column.name(),
                    "NULL until something gives it a value, as the source did at every change");
        }
        return renewed;
    }
}
