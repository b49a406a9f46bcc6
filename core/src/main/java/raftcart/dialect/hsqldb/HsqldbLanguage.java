package raftcart.dialect.hsqldb;

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

/** HSQLDB's SQL, version 2.7. */
public final class HsqldbLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(List.of("\"\""), Set.of()),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.PSM_ROUTINES,
                    GrammarFeature.COLUMNS_HIDE_VARIABLES,
                    GrammarFeature.IDENTITY_TYPE_IS_A_KEY,
                    GrammarFeature.IDENTITIES_ARE_INTEGERS,
                    GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT),
            OperatorTable.ADDITIVE,
            Map.of());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.BLOCKS_HANDLE,
                    SqlFeature.LOOPS_OVER_ROWS,
                    SqlFeature.ROWS_OF_LOOPS_ARE_COLUMNS,
                    SqlFeature.TRIGGERS_WATCH_COLUMNS,
                    SqlFeature.TRUTHS_SHOWN_IN_CAPITALS,
                    SqlFeature.GROUPS_BY_DOLLAR,
                    SqlFeature.SEQUENCES_STEP_ONCE_A_ROW,
                    SqlFeature.TIMES_HAVE_EPOCHS,
                    SqlFeature.INTERVAL_SECONDS_HAVE_PARTS,
                    SqlFeature.PARTS_ARE_LATE,
                    SqlFeature.BINARIES_FILLED_UP,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.PLUS_JOINS_TEXTS,
                    SqlFeature.FIRST_ROWS_GIVE_TYPES,
                    SqlFeature.RECURSION_OF_100_ROUNDS,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.STARS_PASS_OVER_JOINED_COLUMNS,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.UNIQUE_IDS_ARE_NO_TEXTS,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.BYTES_ARE_HEX_TEXTS,
                    SqlFeature.HALVES_TOWARDS_ZERO,
                    SqlFeature.FEW_DIGITS_OF_DIVISION,
                    SqlFeature.AVERAGES_KEEP_SCALE,
                    SqlFeature.WHOLE_AVERAGES,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.LOCKS_NAME_COLUMNS,
                    SqlFeature.OVERRIDING,
                    SqlFeature.TRUNCATE_MAY_RESTART,
                    SqlFeature.ADD_IDENTITY,
                    SqlFeature.FRACTIONS_ARE_CUT,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.HAVING_ASKS_EACH_ROW,
                    SqlFeature.KEYS_MOVE_COUNTERS,
                    SqlFeature.NULL_IS_NUMBERED,
                    SqlFeature.GIVEN_NUMBERS_COUNT,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.QUALIFIED_INDEX_NAMES,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.IS_TRUE,
                    SqlFeature.ROW_LISTS_BLUR_NULLS,
                    SqlFeature.KEYS_GROUP_COLUMNS,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.SET_OPERATION_ALL,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.ARRAYS,
                    SqlFeature.INTERVALS,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.PATTERNS_HAVE_FLAGS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.SEQUENCES_FROM_ZERO,
                    SqlFeature.SEQUENCES_ARE_INTEGER,
                    SqlFeature.RECURSION_NAMES_COLUMNS,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.VALUES_NAME_C1,
                    SqlFeature.IDENTITY,
                    SqlFeature.ROUTINES_ARE_OVERLOADED,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.DOMAINS,
                    SqlFeature.PUBLIC_HAS_ROLES,
                    SqlFeature.SYNONYMS,
                    SqlFeature.CASCADE,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES,
                    SqlFeature.RECURSIVE_WORD),
            SqlFeature.SELECT_WITHOUT_FROM,
            SqlFeature.WINDOW_FUNCTIONS,
            SqlFeature.EXPRESSION_DEFAULTS,
            SqlFeature.SEQUENCE_CACHE,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.CASTS_BOOLEANS,
            SqlFeature.AGGREGATE_FILTER,
            SqlFeature.NULL_ITEMS,
            SqlFeature.IS_TRUE);

    private HsqldbLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "hsqldb",
                GRAMMAR,
                "\"\"",
                128,
                LanguageResources.reserved("hsqldb"),
                FEATURES,
                NullOrder.FIRST,
                PagingStyle.FETCH,
                "(VALUES (0))",
                "PUBLIC",
                MaskStyle.WORDS,
                Set.of(ScriptFeature.STATEMENT_LINES),
                LanguageResources.functions("hsqldb"),
                LanguageResources.types("hsqldb"),
                HsqldbWriters::of);
    }
}
