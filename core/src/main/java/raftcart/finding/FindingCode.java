package raftcart.finding;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import java.util.Optional;

/**
 * Everything the tool can find, by stable code. Titles, causes and advice stand in {@code findings.yaml} beside this
 * class; {@link FindingCatalog} reads them.
 */
public enum FindingCode {
    UNSIGNED_RANGE("RC0101"),
    ONE_DIGIT_BOOLEAN("RC0102"),
    YEAR_AS_NUMBER("RC0103"),
    MEMBERS_AS_TEXT("RC0104"),
    ENUMERATION_AS_TYPE("RC0105"),
    DURATION_TYPE("RC0106"),
    IMPOSSIBLE_DATES("RC0107"),
    UNSIGNED_IDENTITY("RC0108"),
    FIXED_BYTES("RC0109"),
    UNBOUNDED_NUMBER("RC0110"),
    FOREIGN_TYPE("RC0111"),
    KEY_TYPE_FOLLOWS("RC0112"),
    TEXT_KEY_LENGTH("RC0113"),
    INSTANT_AS_UTC("RC0114"),
    ARRAY_AS_JSON("RC0115"),
    SPECIAL_FLOATS("RC0116"),
    WIDER_TYPE("RC0117"),
    JSON_TEXT("RC0118"),
    INEXACT_NUMBER("RC0119"),
    ENUMERATION_AS_TEXT("RC0120"),
    TYPE_BY_DATA("RC0121"),
    JSON_IN_TEXT("RC0122"),
    WHOLE_NUMBER("RC0123"),
    SORTS_BY_LANGUAGE("RC0124"),
    NUMBERED_ONCE("RC0125"),
    NAME_SHORTENED("RC0201"),
    NAME_CHANGED("RC0202"),
    DEFAULT_BY_HAND("RC0301"),
    CHECK_BY_HAND("RC0302"),
    GENERATED_BY_HAND("RC0303"),
    GENERATED_STORED("RC0304"),
    ASSIGNED_ON_UPDATE("RC0305"),
    COMPARISON_FOLDED("RC0306"),
    INDEX_BY_HAND("RC0307"),
    HIDDEN_COLUMN("RC0308"),
    UNIQUE_IGNORING_CASE("RC0401"),
    TEXT_IGNORING_CASE("RC0402"),
    PREFIX_INDEX("RC0403"),
    KEY_ACTION_LOST("RC0405"),
    DEFERRABLE_LOST("RC0406"),
    PARTIAL_INDEX("RC0407"),
    UNIQUE_WITH_CASE("RC0408"),
    ACCENTS_IGNORED("RC0409"),
    UNCHECKED_KEY("RC0410"),
    NOT_TRANSLATED("RC0501"),
    PHYSICAL_CLAUSES("RC0502"),
    RIGHTS_HANDED_OVER("RC0503"),
    COLUMN_LEFT_OUT("RC0701"),
    PART_LEFT_OUT("RC0702"),
    KEY_CHANGED("RC0703"),
    VALUE_CHANGED("RC0704"),
    ROWS_LEFT_OUT("RC0705"),
    NOT_UNDERSTOOD("RC0601"),
    NO_COUNTERPART("RC0602"),
    CODE_BY_HAND("RC0603"),
    CLIENT_COMMAND("RC0604"),
    HINT_DROPPED("RC0605"),
    FUNCTION_UNKNOWN("RC0606"),
    FUNCTION_DIFFERS("RC0607"),
    FUNCTION_RENAMED("RC0608"),
    SYNTAX_ADAPTED("RC0609"),
    TYPES_UNKNOWN("RC0610"),
    NULL_ORDER("RC0611"),
    CASE_OF_TEXT("RC0612"),
    EMPTY_TEXT("RC0613"),
    CONDITION_ADAPTED("RC0614"),
    DIVISION("RC0615"),
    ENGINE_CATALOG("RC0616"),
    PADDING("RC0617"),
    ROWS_SPLIT("RC0618"),
    RULE_APPLIED("RC0619"),
    FORMAT_MASK("RC0620"),
    PARAMETERS("RC0621"),
    GROUPING_LOOSE("RC0622"),
    UPSERT_DIFFERS("RC0623"),
    SAMPLE_DIFFERS("RC0624"),
    IMPLICIT_CAST("RC0625"),
    PRIVILEGE("RC0626"),
    SYNTAX_CHECK("RC0627"),
    DEFECT("RC0628");

    private final String code;

    FindingCode(String code) {
        this.code = code;
    }

    /** The code as users see it: RC and four digits. */
    @JsonValue
    public String code() {
        return code;
    }

    /** The outcome that the code stands for, from the catalogue. */
    public Outcome outcome() {
        return FindingCatalog.get(this).outcome();
    }

    /** The code of this spelling, in any case. */
    public static Optional<FindingCode> of(String text) {
        String wanted = text.strip().toUpperCase(Locale.ROOT);
        for (FindingCode code : values()) {
            if (code.code.equals(wanted)) {
                return Optional.of(code);
            }
        }
        return Optional.empty();
    }
}
