package raftcart.dialect.postgresql;

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

/** PostgreSQL's SQL, version 13 and later. */
public final class PgLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""),
                    Set.of(
                            LexicalFeature.DOLLAR_QUOTES,
                            LexicalFeature.NESTED_COMMENTS,
                            LexicalFeature.HEX_STRINGS_ARE_BITS,
                            LexicalFeature.ESCAPE_STRINGS)),
            NameCase.LOWER,
            Set.of(
                    GrammarFeature.CARET_IS_POWER,
                    GrammarFeature.SUBSTRING_TAKES_PATTERN,
                    GrammarFeature.EXECUTE_IS_PREPARED,
                    GrammarFeature.END_COMMITS,
                    GrammarFeature.NUMBER_SIGN_IS_XOR,
                    GrammarFeature.SELECT_INTO_TABLE),
            OperatorTable.OTHER,
            Map.of(
                    BinaryOperator.BIT_AND,
                    OperatorTable.OTHER,
                    BinaryOperator.BIT_OR,
                    OperatorTable.OTHER,
                    BinaryOperator.BIT_XOR,
                    OperatorTable.OTHER,
                    BinaryOperator.SHIFT_LEFT,
                    OperatorTable.OTHER,
                    BinaryOperator.SHIFT_RIGHT,
                    OperatorTable.OTHER),
            PgCalls::meaning);
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.INFINITE_MOMENTS,
                    SqlFeature.GENERATED_READS_NO_GENERATED,
                    SqlFeature.LENGTHS_BELOW_ZERO,
                    SqlFeature.UNITS_HAVE_PARTS,
                    SqlFeature.ROWS_MAY_BE_SHORT,
                    SqlFeature.KEYS_ARE_NAMED_AFTER_TABLES,
                    SqlFeature.LISTED_VALUES_SORT_BY_PLACE,
                    SqlFeature.LISTED_VALUES_COMPARE_BY_PLACE,
                    SqlFeature.TYPE_CHANGES_CONVERT,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.UNIQUE_IDS_ARE_NO_TEXTS,
                    SqlFeature.INDEXES_LONG_TEXTS,
                    SqlFeature.TEMPORARY_WITHOUT_SCHEMA,
                    SqlFeature.JSON_PATH_ROWS,
                    SqlFeature.JSON_PATHS_TAKE_ONE_FOR_MANY,
                    SqlFeature.ROWS_AMONG_COLUMNS,
                    SqlFeature.PARTITIONS_ARE_TABLES,
                    SqlFeature.LIST_PARTITION_FOR_REST,
                    SqlFeature.UNIQUE_KEYS_NAME_PARTITIONS,
                    SqlFeature.CASTS_MAKE_TRUTH,
                    SqlFeature.DOCUMENTS_ARE_MERGED,
                    SqlFeature.COLUMNS_TAKE_THEIR_KIND,
                    SqlFeature.SEQUENCES_NAMED_BY_TEXTS,
                    SqlFeature.CASTS_BOOLEANS_TO_INT,
                    SqlFeature.GRANTS_ON_ALL_TABLES,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.ZONES_TURN_TIMES,
                    SqlFeature.ZONES_COUNT_WESTWARDS,
                    SqlFeature.INSTANTS_LOSE_ZONES,
                    SqlFeature.PARTS_OF_DATES_ARE_DECIMALS,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.FRACTIONS_OF_DAYS,
                    SqlFeature.JSON_ARROWS,
                    SqlFeature.FRAME_GROUPS,
                    SqlFeature.FRAME_EXCLUSION,
                    SqlFeature.ARRAYS_OVER_WINDOWS,
                    SqlFeature.GENERATED_IS_IMMUTABLE,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.TEMPORARY_VIEWS,
                    SqlFeature.ROWS_ARE_COUNTED,
                    SqlFeature.JOINED_TEXTS_ARE_TEXTS,
                    SqlFeature.TEXTS_OF_HEX_BYTES,
                    SqlFeature.MERGE_DO_NOTHING,
                    SqlFeature.COMMON_TABLES_BEFORE_CHANGES,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.FRACTIONAL_PARTS,
                    SqlFeature.FUNCTION_ALIAS_NAMES_COLUMN,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.LOCKS_NAME_TABLES,
                    SqlFeature.LOCKS_NOWAIT,
                    SqlFeature.SHARED_LOCKS,
                    SqlFeature.NAMES_BY_FUNCTION,
                    SqlFeature.CHECKS_READ_CLOCK,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.OVERRIDING,
                    SqlFeature.COMMENT_ON_ALL,
                    SqlFeature.TRUNCATE_MAY_RESTART,
                    SqlFeature.ADD_IDENTITY,
                    SqlFeature.DATES_BY_MONTH_NAMES,
                    SqlFeature.DATES_BY_SLASHES,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.UNNAMED_INDEXES,
                    SqlFeature.NAMED_ARGUMENTS,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.VALUES_NAME_COLUMN1,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.IS_TRUE,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.DISTINCT_ON,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.SET_OPERATION_ALL,
                    SqlFeature.TABLE_SAMPLE,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.SKIP_LOCKED,
                    SqlFeature.ARRAYS,
                    SqlFeature.INTERVALS,
                    SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.RETURNING,
                    SqlFeature.UPDATE_RETURNING,
                    SqlFeature.ON_CONFLICT,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.LIKE_ESCAPES_BY_BACKSLASH,
                    SqlFeature.ILIKE,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.IDENTITY,
                    SqlFeature.EVERY_MENTION_DRAWS,
                    SqlFeature.ROUTINES_ARE_OVERLOADED,
                    SqlFeature.TABLES_HAVE_TRIGGERS,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.MATERIALIZED_VIEWS,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.ENUM_TYPES,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.DOCUMENTS_HAVE_NO_ORDER,
                    SqlFeature.PARTIAL_INDEXES,
                    SqlFeature.INCLUDED_COLUMNS,
                    SqlFeature.CASCADE,
                    SqlFeature.CREATE_TABLE_LIKE,
                    SqlFeature.TRIGGER_FUNCTIONS,
                    SqlFeature.BITS_OF_NUMBERS,
                    SqlFeature.INDEX_METHODS,
                    SqlFeature.CASTS_PARSE_JSON,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS,
                    SqlFeature.NUMBERED_BY_DOLLAR,
                    SqlFeature.FETCH_WITH_TIES,
                    SqlFeature.CTID,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.DOMAINS,
                    SqlFeature.DEFERRABLE),
            SqlFeature.CASTS_BOOLEANS,
            SqlFeature.CHARACTERS_ARE_PADDED);

    private PgLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "postgresql",
                GRAMMAR,
                "\"\"",
                63,
                LanguageResources.reserved("postgresql"),
                FEATURES,
                NullOrder.HIGH,
                PagingStyle.LIMIT,
                "",
                "public",
                MaskStyle.WORDS_M,
                Set.of(ScriptFeature.BACKSLASH_COMMANDS, ScriptFeature.COPY_DATA),
                LanguageResources.functions("postgresql"),
                LanguageResources.types("postgresql", PgDialect::types),
                PgWriters::of);
    }
}
