package raftcart.dialect.mariadb;

import java.util.HashSet;
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

/** MariaDB's SQL, version 10.6 and later, in its default mode. */
public final class MariaDbLanguage {
    private static final Set<LexicalFeature> LEXICAL = Set.of(
            LexicalFeature.DOUBLE_QUOTED_STRINGS,
            LexicalFeature.BACKSLASH_ESCAPES,
            LexicalFeature.DIGIT_NAMES,
            LexicalFeature.HASH_COMMENTS,
            LexicalFeature.VERSION_COMMENTS,
            LexicalFeature.DASHES_BEFORE_BLANK,
            LexicalFeature.HEX_NUMBERS_ARE_BYTES);
    private static final Set<GrammarFeature> GRAMMAR = Set.of(
            GrammarFeature.PSM_ROUTINES,
            GrammarFeature.LIKE_COPIES_ALL,
            GrammarFeature.FRACTIONS_WITHIN_SECOND,
            GrammarFeature.WEEKS_BEGIN_ON_SUNDAY,
            GrammarFeature.SECONDS_ARE_WHOLE,
            GrammarFeature.TRIMS_WHOLE_TEXTS,
            GrammarFeature.GROUP_CONCAT_JOINS_ARGUMENTS,
            GrammarFeature.PIPES_ARE_OR,
            GrammarFeature.ISNULL_ASKS,
            GrammarFeature.EXECUTE_IS_PREPARED,
            GrammarFeature.AMPERSANDS_ARE_AND,
            GrammarFeature.WORD_OPERATORS,
            GrammarFeature.REPLACE_STATEMENT,
            GrammarFeature.SQL_MODES,
            GrammarFeature.SERIAL_IS_A_WIDE_KEY,
            GrammarFeature.BANG_IS_NOT,
            GrammarFeature.NUMBERS_ARE_CONDITIONS);

    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.LAST_NUMBER_IS_FIRST,
                    SqlFeature.VALUES_READ_COLUMNS,
                    SqlFeature.BINARIES_FILLED_UP,
                    SqlFeature.REFERENCES_ANY_INDEX,
                    SqlFeature.JSON_WILDCARDS_LIST,
                    SqlFeature.GROUPS_COME_SORTED,
                    SqlFeature.TABLES_FILLED_BY_NAME,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.UNITS_ARE_ROUNDED,
                    SqlFeature.SECONDS_HAVE_PARTS,
                    SqlFeature.FIRST_ROWS_GIVE_TYPES,
                    SqlFeature.NULL_IS_A_DEFAULT,
                    SqlFeature.FRACTIONS_ARE_CUT,
                    SqlFeature.TIMES_GO_BEYOND_MIDNIGHT,
                    SqlFeature.BITS_ARE_NUMBERS,
                    SqlFeature.SERIES_TABLES,
                    SqlFeature.TRIGGERS_SPARE_THEIR_TABLE,
                    SqlFeature.RECURSION_OF_1000_ROUNDS,
                    SqlFeature.COLUMN_CONSTRAINTS_HAVE_NO_NAMES,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.NUMBERS_BEGIN_WITH_1,
                    SqlFeature.PLACES_COLUMNS,
                    SqlFeature.LISTED_VALUES_ARE_NUMBERS,
                    SqlFeature.LISTED_VALUES_SORT_BY_PLACE,
                    SqlFeature.NUMBERS_HOLD_TRUTH,
                    SqlFeature.ZONES_BY_TABLES,
                    SqlFeature.GRANTEES_HAVE_HOSTS,
                    SqlFeature.GRANTS_BY_STAR,
                    SqlFeature.ROLE_IF_NOT_EXISTS,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.INSTANTS_LOSE_ZONES,
                    SqlFeature.FOREIGN_KEYS_ARE_INDEXED,
                    SqlFeature.MIXED_RESULTS_ARE_TEXTS,
                    SqlFeature.FETCH_WITH_TIES,
                    SqlFeature.VIRTUAL_COLUMNS,
                    SqlFeature.CHECKS_WITHOUT_GOVERNED_COLUMNS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.NUMBERS_BY_ONE,
                    SqlFeature.RIGHT_TABLE_FIRST,
                    SqlFeature.FLOATS_ARE_NUMBERS,
                    SqlFeature.HAVING_OF_ROWS,
                    SqlFeature.HAVING_ASKS_EACH_ROW,
                    SqlFeature.CHECK_OPTION_OF_JOINS,
                    SqlFeature.TEMPORARY_TABLES_STAND_ALONE,
                    SqlFeature.NUMBERED_COLUMNS_UNCHECKED,
                    SqlFeature.ONE_CHECK_A_COLUMN,
                    SqlFeature.SHIFTS_OF_64_BITS,
                    SqlFeature.DEFAULTS_READ_COLUMNS,
                    SqlFeature.ALTER_DROPS_INDEXES,
                    SqlFeature.PRIMARY_KEYS_HAVE_NO_NAMES,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.ADDED_COLUMNS_ARE_FILLED,
                    SqlFeature.CASTS_DECODE_BYTES,
                    SqlFeature.UNSIGNED_CASTS,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.DATES_ARE_NUMBERS_TOO,
                    SqlFeature.ASSIGNS_IN_ORDER,
                    SqlFeature.LENIENT_NUMBERS,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.TABLE_COLLATIONS,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PERCENTILES_WANT_WINDOWS,
                    SqlFeature.ZERO_DATES,
                    SqlFeature.INSTANTS_IN_UTC,
                    SqlFeature.PRESENT_AS_LONG_AS_COLUMN,
                    SqlFeature.LOCKS_NOWAIT,
                    SqlFeature.LOCKS_WAIT_SECONDS,
                    SqlFeature.SHARED_LOCKS,
                    SqlFeature.REFERENCES_NAME_COLUMNS,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.TRUNCATE_RESTARTS,
                    SqlFeature.NUMBERED_COLUMNS_ARE_KEYS,
                    SqlFeature.DATABASES_ARE_SCHEMAS,
                    SqlFeature.INDEXES_OF_TABLES,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.KEYS_MOVE_COUNTERS,
                    SqlFeature.NULL_IS_NUMBERED,
                    SqlFeature.GIVEN_NUMBERS_COUNT,
                    SqlFeature.LAST_NUMBER_IS_OF_FIRST_ROW,
                    SqlFeature.EVERY_MENTION_DRAWS,
                    SqlFeature.ZERO_IS_NUMBERED,
                    SqlFeature.NOTHING_BEFORE_THE_START,
                    SqlFeature.ROUTINES_ARE_REPLACED,
                    SqlFeature.BLOCKS_HANDLE,
                    SqlFeature.SESSION_VARIABLES,
                    SqlFeature.ROW_VARIABLES,
                    SqlFeature.EXECUTES_TEXTS,
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.COUNTS_CHANGED_ROWS,
                    SqlFeature.TEXTS_GIVE_ROWS,
                    SqlFeature.JSON_ROWS_ARE_KEPT,
                    SqlFeature.JSON_ROWS_KEEP_ESCAPES,
                    SqlFeature.LOOPS_OVER_ROWS,
                    SqlFeature.LOOPS_OVER_NUMBERS,
                    SqlFeature.QUERIES_OF_CODE_GIVE_ROWS,
                    SqlFeature.CODE_ENDS_TRANSACTIONS,
                    SqlFeature.FOUR_DIGITS_OF_DIVISION,
                    SqlFeature.CAST_KEEPS_LENGTH,
                    SqlFeature.UNSIGNED_BITS,
                    SqlFeature.JSON_NULL_IS_TEXT,
                    SqlFeature.DOCUMENTS_COMPARE_AS_VALUES,
                    SqlFeature.JSON_PATHS_WRAP,
                    SqlFeature.PLACE_0_IS_NONE,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.LENGTHS_BELOW_ZERO_ARE_NOTHING,
                    SqlFeature.NUMBERS_ARE_CONDITIONS,
                    SqlFeature.IS_TRUE,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.WITH_ROLLUP,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.SKIP_LOCKED,
                    SqlFeature.INTERVALS,
                    SqlFeature.ON_DUPLICATE_KEY,
                    SqlFeature.INSERT_IGNORE,
                    SqlFeature.REPLACE,
                    SqlFeature.UPDATE_JOIN,
                    SqlFeature.DELETE_JOIN,
                    SqlFeature.CHANGE_LIMIT,
                    SqlFeature.NULL_FOR_ZERO_DIVISION,
                    SqlFeature.ZERO_DIVISION_FAILS_IN_CHANGES,
                    SqlFeature.ZERO_DIVISION_FAILS_IN_CODE,
                    SqlFeature.IGNORES_CASE,
                    SqlFeature.IGNORES_ACCENTS,
                    SqlFeature.COLUMNS_CHANGE_AS_A_WHOLE,
                    SqlFeature.KEYS_BESIDE_QUERY,
                    SqlFeature.JSON_TABLE,
                    SqlFeature.SEQUENCES_GIVE_TO_INSERT,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.CONVERTS_SILENTLY,
                    SqlFeature.LOOSE_GROUP_BY,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.ALIAS_IN_HAVING,
                    SqlFeature.LIKE_ESCAPES_BY_BACKSLASH,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.PATTERNS_HAVE_FLAGS,
                    SqlFeature.IDENTITY,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.INLINE_COMMENTS,
                    SqlFeature.ROWS_OF_64_KILOBYTES,
                    SqlFeature.PREFIX_INDEXES,
                    SqlFeature.UNIQUE_KEYS_OF_ANY_LENGTH,
                    SqlFeature.HIDDEN_COLUMNS,
                    SqlFeature.INSTANTS_UNTIL_2038,
                    SqlFeature.FULLTEXT_INDEXES,
                    SqlFeature.PARTITIONS,
                    SqlFeature.NULLS_IN_LOWEST_PARTITION,
                    SqlFeature.LIST_PARTITION_FOR_REST,
                    SqlFeature.UNIQUE_KEYS_NAME_PARTITIONS,
                    SqlFeature.PARTITIONS_WITHOUT_FOREIGN_KEYS,
                    SqlFeature.PARTITIONS_BY_PLAIN_TYPES,
                    SqlFeature.GENERATED_COLUMNS,
                    SqlFeature.ASSIGNS_ON_UPDATE,
                    SqlFeature.CREATE_TABLE_LIKE,
                    SqlFeature.RETURNING,
                    SqlFeature.SEQUENCES,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.SET_OPERATION_ALL),
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.FULL_JOIN,
            SqlFeature.INSERT_DEFAULT_VALUES,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.TABLE_FUNCTIONS,
            SqlFeature.STAR_BESIDE_COLUMNS,
            SqlFeature.GENERATED_NOT_NULL,
            SqlFeature.LIMIT_IN_SUBQUERY,
            SqlFeature.DERIVED_ROWS_KEEP_ORDER,
            SqlFeature.CHARACTERS_ARE_PADDED);

    private MariaDbLanguage() {}

    /** The grammar of this dialect and its sister. */
    public static Grammar grammar(boolean ownComments) {
        Set<LexicalFeature> lexical = new HashSet<>(LEXICAL);
        Set<GrammarFeature> features = new HashSet<>(GRAMMAR);
        if (ownComments) {
            lexical.add(LexicalFeature.M_VERSION_COMMENTS);
            features.add(GrammarFeature.CHECKED_TEXTS_ARE_JSON);
        }
        return grammar(new LexicalRules(List.of("``"), lexical), features, OperatorTable.OR);
    }

    /** The dialect. */
    public static Language create() {
        return new Language(
                "mariadb",
                grammar(true),
                "``",
                64,
                LanguageResources.reserved("mariadb"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.LIMIT_FIRST,
                "",
                "",
                MaskStyle.PERCENT_I,
                Set.of(ScriptFeature.DELIMITER_COMMAND),
                LanguageResources.functions("mariadb"),
                LanguageResources.types("mariadb", MariaDbDialect::types),
                MariaDbWriters::of);
    }

    /** The dialect in a mode that its grammar tells; empty for the usual one. */
    public static Language inMode(String mode) {
        return mode.isEmpty() ? create() : oracleMode(mode.equals(MariaDbReading.EMPTY_IS_NULL));
    }

    /**
     * The dialect where its mode is Oracle's ("sql_mode=ORACLE"): other routines, quotes and joined texts.
     *
     * @param emptyIsNull true where an empty text is NULL, too (EMPTY_STRING_IS_NULL)
     */
    private static Language oracleMode(boolean emptyIsNull) {
        Language usual = create();
        Set<SqlFeature> features = FeatureSets.and(
                FeatureSets.without(
                        FEATURES,
                        SqlFeature.PLACE_0_IS_NONE,
                        SqlFeature.ZERO_DIVISION_FAILS_IN_CHANGES,
                        SqlFeature.ZERO_DIVISION_FAILS_IN_CODE),
                SqlFeature.FETCH_ENDS_QUIETLY,
                SqlFeature.PLACE_0_IS_FIRST);
        return new Language(
                usual.name(),
                oracleGrammar(),
                usual.quotes(),
                usual.longestName(),
                usual.reserved(),
                emptyIsNull ? FeatureSets.and(features, SqlFeature.EMPTY_TEXT_IS_NULL) : features,
                usual.nulls(),
                usual.paging(),
                usual.dummyTable(),
                usual.defaultSchema(),
                usual.masks(),
                usual.scripts(),
                LanguageResources.functions("mariadb-oracle"),
                LanguageResources.types("mariadb-oracle", usual.typeTable()),
                usual.writer());
    }

    private static Grammar oracleGrammar() {
        Set<LexicalFeature> lexical = new HashSet<>(LEXICAL);
        lexical.remove(LexicalFeature.DOUBLE_QUOTED_STRINGS);
        lexical.add(LexicalFeature.M_VERSION_COMMENTS);
        Set<GrammarFeature> features = new HashSet<>(GRAMMAR);
        features.removeAll(Set.of(GrammarFeature.PSM_ROUTINES, GrammarFeature.PIPES_ARE_OR));
        features.addAll(Set.of(
                GrammarFeature.PLSQL_ROUTINES,
                GrammarFeature.NULL_CONCATENATES_AS_EMPTY,
                GrammarFeature.CHECKED_TEXTS_ARE_JSON));
        return grammar(new LexicalRules(List.of("``", "\"\""), lexical), features, OperatorTable.ADDITIVE);
    }

    private static Grammar grammar(LexicalRules lexical, Set<GrammarFeature> features, int joining) {
        return new Grammar(
                lexical,
                NameCase.IGNORED,
                features,
                joining,
                Map.of(
                        BinaryOperator.JSON_GET,
                        OperatorTable.POSTFIX,
                        BinaryOperator.JSON_GET_TEXT,
                        OperatorTable.POSTFIX),
                new MariaDbReading());
    }
}
