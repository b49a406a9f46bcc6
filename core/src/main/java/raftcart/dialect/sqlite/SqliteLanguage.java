package raftcart.dialect.sqlite;

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
import raftcart.sql.LexicalRules;
import raftcart.sql.parse.Grammar;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.parse.NameCase;
import raftcart.sql.parse.OperatorTable;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.BinaryOperator;

/** SQLite's SQL, version 3.35 and later. */
public final class SqliteLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(List.of("\"\"", "``", "[]"), Set.of()),
            NameCase.IGNORED,
            Set.of(
                    GrammarFeature.INTEGER_KEYS_ARE_NUMBERED,
                    GrammarFeature.REPLACE_STATEMENT,
                    GrammarFeature.TRIGGERS_ARE_CHANGES,
                    GrammarFeature.STRINGS_STAND_ALONE,
                    GrammarFeature.REGEXP_OPERATOR,
                    GrammarFeature.SETS_FROM_LEFT_TO_RIGHT,
                    GrammarFeature.UNTYPED_COLUMNS,
                    GrammarFeature.DEFAULTS_NAME_NOTHING,
                    GrammarFeature.PRESENT_IN_UTC,
                    GrammarFeature.END_COMMITS,
                    GrammarFeature.LIKE_IGNORES_CASE,
                    GrammarFeature.NUMBERS_ARE_CONDITIONS),
            OperatorTable.POWER,
            Map.of(BinaryOperator.JSON_GET, OperatorTable.POWER, BinaryOperator.JSON_GET_TEXT, OperatorTable.POWER),
            new SqliteCalls());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.BLOCKS_HANDLE,
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.TRIGGERS_DO_NOT_FIRE_THEMSELVES,
                    SqlFeature.TRIGGERS_ALONE,
                    SqlFeature.TRIGGERS_WATCH_COLUMNS,
                    SqlFeature.TIMES_BECOME_MOMENTS,
                    SqlFeature.FIXED_TEXTS_ARE_PLAIN,
                    SqlFeature.LAST_NUMBER_MOVES,
                    SqlFeature.MOMENTS_ARE_WHOLE_SECONDS,
                    SqlFeature.REMAINDERS_ARE_WHOLE,
                    SqlFeature.UNITS_HAVE_PARTS,
                    SqlFeature.NUMBERS_BEGIN_WITH_1,
                    SqlFeature.VALUES_NAME_COLUMN1,
                    SqlFeature.EXTREMES_CHOOSE_ROW,
                    SqlFeature.COMPUTED_TAKE_NO_VALUE,
                    SqlFeature.INDEXES_LONG_TEXTS,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.WINDOW_DOCUMENTS,
                    SqlFeature.FRACTIONS_OF_DAYS,
                    SqlFeature.JSON_ARROWS,
                    SqlFeature.QUOTIENTS_ARE_FLOATS,
                    SqlFeature.FRAME_GROUPS,
                    SqlFeature.FRAME_EXCLUSION,
                    SqlFeature.VIRTUAL_COLUMNS,
                    SqlFeature.NUMBERS_BY_ONE,
                    SqlFeature.ROUNDS_FRACTIONS_ALONE,
                    SqlFeature.SHIFTS_OF_64_BITS,
                    SqlFeature.TEMPORARY_VIEWS,
                    SqlFeature.TEMPORARY_WITHOUT_SCHEMA,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.CASTS_DECODE_BYTES,
                    SqlFeature.SERIES_COLUMN_IS_VALUE,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.DECIMALS_KEEP_DIGITS,
                    SqlFeature.COMMON_TABLES_BEFORE_CHANGES,
                    SqlFeature.LENIENT_NUMBERS,
                    SqlFeature.WHOLE_DECIMALS,
                    SqlFeature.LIKE_IGNORES_CASE,
                    SqlFeature.DATES_ARE_TEXTS,
                    SqlFeature.RECURSION_FITS_ALL_ROWS,
                    SqlFeature.INSTANTS_IN_UTC,
                    SqlFeature.KEYS_MOVE_COUNTERS,
                    SqlFeature.NULL_IS_NUMBERED,
                    SqlFeature.GIVEN_NUMBERS_COUNT,
                    SqlFeature.ROWID,
                    SqlFeature.NUMBERS_ARE_CONDITIONS,
                    SqlFeature.IS_TRUE,
                    SqlFeature.NUMBERS_SHOWN_SHORT,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.RETURNING,
                    SqlFeature.UPDATE_RETURNING,
                    SqlFeature.ON_CONFLICT,
                    SqlFeature.INSERT_OR,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.NULL_FOR_ZERO_DIVISION,
                    SqlFeature.CONVERTS_SILENTLY,
                    SqlFeature.LOOSE_GROUP_BY,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.ALIAS_IN_HAVING,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.PARTIAL_INDEXES,
                    SqlFeature.GENERATED_COLUMNS,
                    SqlFeature.DEFERRABLE,
                    SqlFeature.IDENTITY,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.STARTS_BEFORE_ARE_COUNTED,
                    SqlFeature.REFERENCES_ARE_PROMISES,
                    SqlFeature.ROWID_KEYS),
            SqlFeature.RENAMES_INDEXES,
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.TYPED_DATES,
            SqlFeature.TRUNCATE,
            SqlFeature.SCHEMAS,
            SqlFeature.GRANTS,
            SqlFeature.ADD_CONSTRAINT,
            SqlFeature.ALTER_COLUMN,
            SqlFeature.VIEW_CHECK_OPTION,
            SqlFeature.DEFAULT_IN_VALUES,
            SqlFeature.FREE_AS,
            SqlFeature.PROCEDURES,
            SqlFeature.TABLE_FUNCTIONS,
            SqlFeature.CURRENT_SCHEMA,
            SqlFeature.DISTINCT_WITH_SEPARATOR,
            SqlFeature.QUANTIFIED_COMPARISONS,
            SqlFeature.CASTS_CUT_TEXTS,
            SqlFeature.CHARACTERS_ARE_PADDED,
            SqlFeature.DEFAULT_FOR_GENERATED);

    private SqliteLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "sqlite",
                GRAMMAR,
                "\"\"",
                1000,
                LanguageResources.reserved("sqlite"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.LIMIT_FIRST,
                "",
                "main",
                MaskStyle.PERCENT_F,
                Set.of(ScriptFeature.DOT_COMMANDS),
                LanguageResources.functions("sqlite"),
                LanguageResources.types("sqlite"),
                SqliteWriters::of);
    }
}
