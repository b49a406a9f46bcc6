package raftcart.dialect.duckdb;

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

/** DuckDB's SQL, version 1. */
public final class DuckDbLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""),
                    Set.of(LexicalFeature.DOLLAR_QUOTES, LexicalFeature.ESCAPE_STRINGS, LexicalFeature.CODED_ESCAPES)),
            NameCase.IGNORED,
            Set.of(
                    GrammarFeature.SECONDS_ARE_WHOLE,
                    GrammarFeature.SIMILAR_IS_REGULAR,
                    GrammarFeature.CARET_IS_POWER,
                    GrammarFeature.EXECUTE_IS_PREPARED,
                    GrammarFeature.BRACKET_VALUES),
            OperatorTable.OTHER,
            Map.of());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.CODE_OF_OTHER_LANGUAGES,
                    SqlFeature.INFINITE_MOMENTS,
                    SqlFeature.FIXED_TEXTS_ARE_PLAIN,
                    SqlFeature.TIMES_HAVE_EPOCHS,
                    SqlFeature.LENGTHS_BELOW_ZERO,
                    SqlFeature.UNITS_HAVE_PARTS,
                    SqlFeature.LISTED_VALUES_SORT_BY_PLACE,
                    SqlFeature.LISTED_VALUES_COMPARE_BY_PLACE,
                    SqlFeature.COMPUTED_TAKE_NO_VALUE,
                    SqlFeature.UNIQUE_IDS_ARE_NO_TEXTS,
                    SqlFeature.INDEXES_LONG_TEXTS,
                    SqlFeature.TEMPORARY_WITHOUT_SCHEMA,
                    SqlFeature.CASTS_MAKE_TRUTH,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.ZONES_TURN_TIMES,
                    SqlFeature.ZONES_BY_NAME_ALONE,
                    SqlFeature.INSTANTS_LOSE_ZONES,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.DISTINCT_IN_WINDOWS,
                    SqlFeature.FRAME_GROUPS,
                    SqlFeature.FRAME_EXCLUSION,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.ROUNDS_FRACTIONS_ALONE,
                    SqlFeature.TEMPORARY_VIEWS,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.ROWS_ARE_COUNTED,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.ALIASES_IN_EXPRESSIONS,
                    SqlFeature.TEXTS_OF_ESCAPED_BYTES,
                    SqlFeature.WHOLE_DIVISION_KEEPS_FRACTIONS,
                    SqlFeature.NULLS_CONFLICT,
                    SqlFeature.MERGE_DO_NOTHING,
                    SqlFeature.COMMON_TABLES_BEFORE_CHANGES,
                    SqlFeature.SAFE_CASTS,
                    SqlFeature.HALVES_TO_EVEN,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.QUOTIENTS_ARE_FLOATS,
                    SqlFeature.INSTANTS_MEET_NO_SECONDS,
                    SqlFeature.REFERENCES_NAME_COLUMNS,
                    SqlFeature.CHECKS_READ_CLOCK,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.TRUNCATE_RESTARTS,
                    SqlFeature.DATABASES_ARE_SCHEMAS,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.ROWID,
                    SqlFeature.CASTS_PARSE_JSON,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS,
                    SqlFeature.NUMBERED_BY_DOLLAR,
                    SqlFeature.ORDERED_WINDOW_AGGREGATES,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.IS_TRUE,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.QUALIFY,
                    SqlFeature.DISTINCT_ON,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.SET_OPERATION_ALL,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.ARRAYS,
                    SqlFeature.INTERVALS,
                    SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.RETURNING,
                    SqlFeature.UPDATE_RETURNING,
                    SqlFeature.ON_CONFLICT,
                    SqlFeature.INSERT_OR,
                    SqlFeature.OR_REPLACE_KEEPS_COLUMNS,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.VALUES_NAME_COL0,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.ALIAS_IN_HAVING,
                    SqlFeature.ILIKE,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.PATTERNS_HAVE_FLAGS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.EVERY_MENTION_DRAWS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.ENUM_TYPES,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.GENERATED_COLUMNS,
                    SqlFeature.FIRST_ROWS_GIVE_TYPES,
                    SqlFeature.CASCADE),
            SqlFeature.RENAMES_INDEXES,
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.GRANTS,
            SqlFeature.VIEW_CHECK_OPTION,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.ALTER_SEQUENCE,
            SqlFeature.SEQUENCE_CACHE,
            SqlFeature.PROCEDURES,
            SqlFeature.FOREIGN_KEY_ACTIONS,
            SqlFeature.SAVEPOINTS,
            SqlFeature.ADD_CONSTRAINT,
            SqlFeature.ADD_COLUMN_NOT_NULL,
            SqlFeature.CASTS_CUT_TEXTS,
            SqlFeature.CHARACTERS_ARE_PADDED,
            SqlFeature.ROW_VALUES,
            SqlFeature.DEFAULT_FOR_GENERATED);

    private DuckDbLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "duckdb",
                GRAMMAR,
                "\"\"",
                1000,
                LanguageResources.reserved("duckdb"),
                FEATURES,
                NullOrder.LAST,
                PagingStyle.LIMIT,
                "",
                "main",
                MaskStyle.PERCENT_M,
                Set.of(ScriptFeature.DOT_COMMANDS),
                LanguageResources.functions("duckdb"),
                LanguageResources.types("duckdb"),
                DuckDbWriters::of);
    }
}
