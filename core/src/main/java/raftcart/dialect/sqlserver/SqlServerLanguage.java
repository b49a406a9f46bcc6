package raftcart.dialect.sqlserver;

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
import raftcart.sql.tree.BinaryOperator;

/** SQL Server's SQL, version 2016 and later. */
public final class SqlServerLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("[]", "\"\""),
                    Set.of(
                            LexicalFeature.NUMBER_SIGN_NAMES,
                            LexicalFeature.NUMBER_SIGNS_IN_NAMES,
                            LexicalFeature.NESTED_COMMENTS,
                            LexicalFeature.HEX_NUMBERS_ARE_BYTES)),
            NameCase.IGNORED,
            Set.of(
                    GrammarFeature.EMPTY_NAME_PARTS,
                    GrammarFeature.PLUS_CONCATENATES,
                    GrammarFeature.SELECT_INTO_TABLE,
                    GrammarFeature.ALIAS_BY_EQUALS,
                    GrammarFeature.STRINGS_STAND_ALONE,
                    GrammarFeature.ADDED_COLUMNS_STAY_NULL,
                    GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR,
                    GrammarFeature.TSQL_ROUTINES,
                    GrammarFeature.CONVERT_TYPE_FIRST),
            OperatorTable.ADDITIVE,
            Map.of(
                    BinaryOperator.BIT_AND,
                    OperatorTable.ADDITIVE,
                    BinaryOperator.BIT_OR,
                    OperatorTable.ADDITIVE,
                    BinaryOperator.BIT_XOR,
                    OperatorTable.ADDITIVE),
            SqlServerCalls::meaning);
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.SEQUENCES_STEP_ONCE_A_ROW,
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.TRIGGERS_DO_NOT_FIRE_THEMSELVES,
                    SqlFeature.FETCH_ENDS_QUIETLY,
                    SqlFeature.CHECK_OPTION_OF_JOINS,
                    SqlFeature.BINARIES_FILLED_UP,
                    SqlFeature.POSITIONS_ARE_CUT,
                    SqlFeature.GENERATED_READS_NO_GENERATED,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.SERIES_COLUMN_IS_VALUE,
                    SqlFeature.SMALL_DATES_ARE_MINUTES,
                    SqlFeature.SCHEMAS_GRANT_TABLES,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.RECURSION_WANTS_SAME_TYPES,
                    SqlFeature.RECURSION_OF_100_ROUNDS,
                    SqlFeature.PLAIN_TIMES_ARE_UTC,
                    SqlFeature.NUMBERED_TAKE_NO_VALUE,
                    SqlFeature.DEFAULTS_WITH_VALUES,
                    SqlFeature.SELECT_INTO_KEEPS_COLUMNS,
                    SqlFeature.NO_EXTREMES_OF_TRUTHS,
                    SqlFeature.COMPUTED_TAKE_NO_VALUE,
                    SqlFeature.UNIQUE_IDS_ARE_NO_TEXTS,
                    SqlFeature.PARTS_HAVE_NO_ORDER,
                    SqlFeature.MEMBERS_BY_ALTER_ROLE,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.MIXED_RESULTS_ARE_NO_TEXTS,
                    SqlFeature.EMPTY_TEXT_IS_ZERO,
                    SqlFeature.NULL_REPLACED_IN_TYPE,
                    SqlFeature.MONEY_SHOWS_TWO_DIGITS,
                    SqlFeature.ZONES_TAKE_PLAIN_TIMES,
                    SqlFeature.ZONES_OF_WINDOWS,
                    SqlFeature.PERCENTILES_WANT_WINDOWS,
                    SqlFeature.CASTS_KEEP_LOCAL_TIME,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.VIRTUAL_COLUMNS,
                    SqlFeature.FLOATS_ARE_NUMBERS,
                    SqlFeature.UNIQUE_KEYS_TAKE_ONE_NULL,
                    SqlFeature.NULLS_ARE_DUPLICATES,
                    SqlFeature.DEFAULTS_ARE_CONSTRAINTS,
                    SqlFeature.SELECT_INTO,
                    SqlFeature.TEMPORARY_BY_NAME,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.OPENJSON,
                    SqlFeature.JSON_PATHS_TAKE_ONE_FOR_MANY,
                    SqlFeature.SEQUENCES_GIVE_TO_UPDATE,
                    SqlFeature.LOCKS_AT_TABLES,
                    SqlFeature.COLUMNS_CHANGE_WITH_NOT_NULL,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.COMMON_TABLES_LEAD,
                    SqlFeature.COMMON_TABLES_BEFORE_CHANGES,
                    SqlFeature.SAFE_CASTS,
                    SqlFeature.MERGE_BY_SOURCE,
                    SqlFeature.WHOLE_AVERAGES,
                    SqlFeature.SUMS_KEEP_TYPE,
                    SqlFeature.UPDATE_NAMES_JOINED,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.CHECKS_READ_CLOCK,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.COMPUTED_WITHOUT_TYPE,
                    SqlFeature.KEYS_NEED_LEAVE,
                    SqlFeature.TRUNCATE_RESTARTS,
                    SqlFeature.TIMESTAMP_PLUS_DAYS,
                    SqlFeature.BYTES_ARE_DATES,
                    SqlFeature.DATES_BY_MONTH_NAMES,
                    SqlFeature.DATES_BY_SLASHES,
                    SqlFeature.INDEXES_OF_TABLES,
                    SqlFeature.KEYS_MOVE_COUNTERS,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.NAMED_ARGUMENTS,
                    SqlFeature.CAST_OF_30,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.APPLY,
                    SqlFeature.OUTPUT,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.DELETE_JOIN,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.IGNORES_CASE,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.PLUS_CONCATENATES,
                    SqlFeature.TEXTS_GIVE_ROWS,
                    SqlFeature.CONVERTS_SILENTLY,
                    SqlFeature.SEQUENCES,
                    SqlFeature.SEQUENCES_TAKE_ALL,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.SHORT_QUOTIENTS,
                    SqlFeature.REPLACES_WITHOUT_CASE,
                    SqlFeature.MONEY_STAYS_MONEY,
                    SqlFeature.LIKE_RANGES,
                    SqlFeature.IDENTITY,
                    SqlFeature.GIVEN_NUMBERS_COUNT,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.SYNONYMS,
                    SqlFeature.PARTIAL_INDEXES,
                    SqlFeature.INCLUDED_COLUMNS,
                    SqlFeature.GENERATED_COLUMNS),
            SqlFeature.VIEW_LOCAL_CHECK,
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.ROW_NUMBERS_WITHOUT_ORDER,
            SqlFeature.WINDOWS_ORDERED_BY_CONSTANTS,
            SqlFeature.FRAME_DISTANCES,
            SqlFeature.BOOLEAN_CONSTANTS,
            SqlFeature.CONDITIONS_ARE_VALUES,
            SqlFeature.VALUES_ARE_CONDITIONS,
            SqlFeature.TYPED_DATES,
            SqlFeature.NATURAL_JOIN,
            SqlFeature.USING_JOIN,
            SqlFeature.ROW_VALUES,
            SqlFeature.TEMPORARY_TABLES,
            SqlFeature.CREATE_TABLE_AS,
            SqlFeature.RESTRICT_ACTION,
            SqlFeature.UPDATE_ALIAS,
            SqlFeature.INDEX_IF_NOT_EXISTS,
            SqlFeature.DISTINCT_WITH_SEPARATOR,
            SqlFeature.SCHEMA_GRANTS);

    private SqlServerLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "sqlserver",
                GRAMMAR,
                "[]",
                128,
                LanguageResources.reserved("sqlserver"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.TOP_OR_FETCH,
                "",
                "dbo",
                MaskStyle.LETTERS_D,
                Set.of(ScriptFeature.GO_LINES),
                LanguageResources.functions("sqlserver"),
                LanguageResources.types("sqlserver"),
                SqlServerWriters::of);
    }
}
