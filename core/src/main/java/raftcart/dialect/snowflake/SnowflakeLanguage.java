package raftcart.dialect.snowflake;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.FeatureSets;
import raftcart.dialect.Language;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.MaskStyle;
import raftcart.dialect.NullOrder;
import raftcart.dialect.PagingStyle;
import raftcart.dialect.SqlFeature;
import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;
import raftcart.sql.parse.CallReading;
import raftcart.sql.parse.Grammar;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.parse.NameCase;
import raftcart.sql.parse.OperatorTable;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;

/** Snowflake's SQL. */
public final class SnowflakeLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""),
                    Set.of(
                            LexicalFeature.BACKSLASH_ESCAPES,
                            LexicalFeature.CODED_ESCAPES,
                            LexicalFeature.SLASH_COMMENTS,
                            LexicalFeature.DOLLAR_QUOTES)),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.EMPTY_NAME_PARTS,
                    GrammarFeature.LIKE_COPIES_ALL,
                    GrammarFeature.SECONDS_ARE_WHOLE,
                    GrammarFeature.COLON_PATHS,
                    GrammarFeature.KEYS_ARE_PROMISES,
                    GrammarFeature.REGEXP_OPERATOR,
                    GrammarFeature.REGEXP_OF_WHOLE_TEXTS),
            OperatorTable.ADDITIVE,
            Map.of(),
            call -> inUtc(call).or(() -> SnowflakeCalls.meaning(call)));
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.UNITS_ARE_ROUNDED,
                    SqlFeature.KEYS_ARE_PROMISES,
                    SqlFeature.REFERENCES_ARE_PROMISES,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.COLUMNS_GO_WITHOUT_CASCADE,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.CONVERTS_OR_FAILS,
                    SqlFeature.CASTS_MAKE_TRUTH,
                    SqlFeature.GRANTS_ON_ALL_TABLES,
                    SqlFeature.ROLE_IF_NOT_EXISTS,
                    SqlFeature.MEMBERS_HAVE_KINDS,
                    SqlFeature.ZONES_BY_NAME_ALONE,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.WINDOW_DOCUMENTS,
                    SqlFeature.DISTINCT_IN_WINDOWS,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.SHIFTS_OF_64_BITS,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.BYTES_ARE_HEX_TEXTS,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.ALIASES_IN_EXPRESSIONS,
                    SqlFeature.VALUES_ARE_CONSTANTS,
                    SqlFeature.SAFE_CASTS,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.PLACES_BY_DOLLAR,
                    SqlFeature.SIX_DIGITS_OF_DIVISION,
                    SqlFeature.VALUES_NAME_COLUMN1,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.NAMED_ARGUMENTS,
                    SqlFeature.ORDERED_WINDOW_AGGREGATES,
                    SqlFeature.CASTS_UNQUOTE_JSON,
                    SqlFeature.DOCUMENTS_COMPARE_AS_VALUES,
                    SqlFeature.PLACE_0_IS_FIRST,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.LENGTHS_BELOW_ZERO_ARE_NOTHING,
                    SqlFeature.IS_TRUE,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.QUALIFY,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.TABLE_SAMPLE,
                    SqlFeature.INTERVALS,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.NULL_FOR_ZERO_DIVISION,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.ALIAS_IN_HAVING,
                    SqlFeature.NEW_SCHEMA_IS_USED,
                    SqlFeature.ILIKE,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.IDENTITY,
                    SqlFeature.ROUTINES_ARE_OVERLOADED,
                    SqlFeature.EVERY_MENTION_DRAWS,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.MATERIALIZED_VIEWS,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.INLINE_COMMENTS,
                    SqlFeature.CASCADE,
                    SqlFeature.CREATE_TABLE_LIKE,
                    SqlFeature.GENERATED_COLUMNS),
            SqlFeature.RENAMES_INDEXES,
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.ROW_NUMBERS_WITHOUT_ORDER,
            SqlFeature.NULL_FOR_ZERO_DIVISION,
            SqlFeature.VIEW_CHECK_OPTION,
            SqlFeature.ROW_VALUES,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.SAVEPOINTS,
            SqlFeature.SEQUENCE_CACHE,
            SqlFeature.CHARACTERS_ARE_PADDED,
            SqlFeature.JSON_COLUMNS_PARSE);

    private SnowflakeLanguage() {}

    /** SYSDATE is the present in UTC, unlike GETDATE ("SYSDATE"). */
    private static Optional<CallReading.Meaning> inUtc(Expr.Call call) {
        boolean sysdate = !call.canonical()
                && call.function().equals("sysdate")
                && call.arguments().isEmpty();
        return sysdate
                ? Optional.of(CallReading.Meaning.of(new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, -1, call.span())))
                : Optional.empty();
    }

    /** The dialect. */
    public static Language create() {
        return new Language(
                "snowflake",
                GRAMMAR,
                "\"\"",
                255,
                LanguageResources.reserved("snowflake"),
                FEATURES,
                NullOrder.HIGH,
                PagingStyle.LIMIT,
                "",
                "PUBLIC",
                MaskStyle.WORDS,
                Set.of(),
                LanguageResources.functions("snowflake"),
                LanguageResources.types("snowflake"),
                SnowflakeWriters::of);
    }
}
