package raftcart.dialect.oracle;

import java.util.List;
import java.util.Map;
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
import raftcart.sql.parse.Grammar;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.parse.NameCase;
import raftcart.sql.parse.OperatorTable;
import raftcart.sql.script.ScriptFeature;

/** Oracle's SQL, version 19. */
public final class OracleLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""),
                    Set.of(
                            LexicalFeature.ALTERNATIVE_QUOTES,
                            LexicalFeature.FLOAT_SUFFIXES,
                            LexicalFeature.SUBSTITUTION_VARIABLES,
                            LexicalFeature.NUMBER_SIGNS_IN_NAMES)),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.PLSQL_ROUTINES,
                    GrammarFeature.INTO_WANTS_A_ROW,
                    GrammarFeature.CURRENT_DATE_HAS_TIME,
                    GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT,
                    GrammarFeature.SHOW_IS_FOR_CLIENT,
                    GrammarFeature.NULL_CONCATENATES_AS_EMPTY,
                    GrammarFeature.SETS_FROM_LEFT_TO_RIGHT),
            OperatorTable.ADDITIVE,
            Map.of(),
            OracleCalls::meaning);
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.FETCH_ENDS_QUIETLY,
                    SqlFeature.SEQUENCES_STEP_ONCE_A_ROW,
                    SqlFeature.CHECK_OPTION_OF_JOINS,
                    SqlFeature.GENERATED_READS_NO_GENERATED,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.POSITIONS_ARE_CUT,
                    SqlFeature.TIMES_ARE_INTERVALS,
                    SqlFeature.MOD_BY_ZERO_GIVES_DIVIDEND,
                    SqlFeature.UNITS_HAVE_PARTS,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.LONG_TEXTS_DO_NOT_COMPARE,
                    SqlFeature.STARS_PASS_OVER_JOINED_COLUMNS,
                    SqlFeature.JOINED_COLUMNS_HAVE_NO_TABLE,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.VARYING_TEXTS_COMPARE_BLANKS,
                    SqlFeature.PARTITIONS,
                    SqlFeature.LOCKS_WITHOUT_LIMITS,
                    SqlFeature.MONTHS_MUST_HAVE_THE_DAY,
                    SqlFeature.ZONES_STAY_WITH_VALUES,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.LIST_PARTITION_FOR_REST,
                    SqlFeature.PARTS_HAVE_NO_ORDER,
                    SqlFeature.CONVERTS_OR_FAILS,
                    SqlFeature.DATES_SHOWN_BY_SETTINGS,
                    SqlFeature.NUMBERS_SHOWN_SHORT,
                    SqlFeature.EXPONENTS_ARE_EXACT,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.CASTS_KEEP_LOCAL_TIME,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.DISTINCT_IN_WINDOWS,
                    SqlFeature.FRACTIONS_OF_DAYS,
                    SqlFeature.SEARCHES_BACK,
                    SqlFeature.VIRTUAL_COLUMNS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.NULLS_ARE_DUPLICATES_IN_PART,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.BYTES_ARE_HEX_TEXTS,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.ROWID,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.SAFE_CASTS,
                    SqlFeature.LOCKS_NAME_COLUMNS,
                    SqlFeature.LOCKS_NOWAIT,
                    SqlFeature.LOCKS_WAIT_SECONDS,
                    SqlFeature.DATES_HAVE_TIME,
                    SqlFeature.VIEWS_COMMENT_AS_TABLES,
                    SqlFeature.DATES_BY_MONTH_NAMES,
                    SqlFeature.REPLACES_SYNONYMS,
                    SqlFeature.FETCH_WITH_TIES,
                    SqlFeature.FETCH_PERCENT,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.QUALIFIED_INDEX_NAMES,
                    SqlFeature.NAMED_ARGUMENTS,
                    SqlFeature.NOTHING_BEFORE_THE_START,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS,
                    SqlFeature.NUMBERED_BY_COLON,
                    SqlFeature.ORDERED_WINDOW_AGGREGATES,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.APPLY,
                    SqlFeature.MINUS,
                    SqlFeature.TABLE_SAMPLE,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.SKIP_LOCKED,
                    SqlFeature.INTERVALS,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.MERGE,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.EMPTY_TEXT_IS_NULL,
                    SqlFeature.FIRST_RESULT_DECIDES,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.RECURSION_NAMES_COLUMNS,
                    SqlFeature.IDENTITY,
                    SqlFeature.PLACE_0_IS_FIRST,
                    SqlFeature.JSON_TABLE,
                    SqlFeature.JSON_COLUMNS_SAY_FORMAT,
                    SqlFeature.JSON_PATHS_TAKE_ONE_FOR_MANY,
                    SqlFeature.JSON_PATHS_WRAP,
                    SqlFeature.SEQUENCES_GIVE_TO_SELECT,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.LENGTHS_BELOW_ZERO_ARE_NOTHING,
                    SqlFeature.ROW_NUMBERS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.MATERIALIZED_VIEWS,
                    SqlFeature.VIEW_READ_ONLY,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.PUBLIC_HAS_ROLES,
                    SqlFeature.SYNONYMS,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.GENERATED_COLUMNS,
                    SqlFeature.DEFERRABLE,
                    SqlFeature.CASCADE,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES),
            SqlFeature.VIEW_LOCAL_CHECK,
            SqlFeature.ISO_TEXTS_ARE_DATES,
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.ROW_NUMBERS_WITHOUT_ORDER,
            SqlFeature.ROW_COMPARISONS,
            SqlFeature.BOOLEAN_CONSTANTS,
            SqlFeature.CONDITIONS_ARE_VALUES,
            SqlFeature.VALUES_ARE_CONDITIONS,
            SqlFeature.SELECT_WITHOUT_FROM,
            SqlFeature.ROWS_IN_INSERT,
            SqlFeature.INSERT_DEFAULT_VALUES,
            SqlFeature.TEMPORARY_TABLES,
            SqlFeature.ON_UPDATE_ACTION,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.RESTRICT_ACTION,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.SCHEMAS,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.FREE_AS,
            SqlFeature.STAR_BESIDE_COLUMNS);

    private OracleLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "oracle",
                GRAMMAR,
                "\"\"",
                128,
                LanguageResources.reserved("oracle"),
                FEATURES,
                NullOrder.HIGH,
                PagingStyle.FETCH,
                "DUAL",
                "",
                MaskStyle.WORDS,
                Set.of(ScriptFeature.SLASH_LINES, ScriptFeature.CLIENT_WORDS),
                LanguageResources.functions("oracle"),
                LanguageResources.types("oracle"),
                OracleWriters::of);
    }
}
