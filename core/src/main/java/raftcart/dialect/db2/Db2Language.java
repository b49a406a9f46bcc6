package raftcart.dialect.db2;

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

/** DB2's SQL, version 11.5 for Linux, UNIX and Windows. */
public final class Db2Language {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""), Set.of(LexicalFeature.NUMBER_SIGNS_IN_NAMES, LexicalFeature.GRAPHIC_STRINGS)),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.PSM_ROUTINES,
                    GrammarFeature.COLUMNS_HIDE_VARIABLES,
                    GrammarFeature.LABELLED_DURATIONS,
                    GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT,
                    GrammarFeature.CONCAT_OPERATOR,
                    GrammarFeature.CHANGES_AS_TABLES,
                    GrammarFeature.NAMES_END_BEFORE_BLANKS),
            OperatorTable.ADDITIVE,
            Map.of(),
            Db2Calls::meaning);
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.JSON_PATHS_WRAP,
                    SqlFeature.BLOCKS_HANDLE,
                    SqlFeature.LOOPS_OVER_ROWS,
                    SqlFeature.CODE_ENDS_TRANSACTIONS,
                    SqlFeature.TRIGGERS_WATCH_COLUMNS,
                    SqlFeature.TRUTHS_SHOWN_IN_CAPITALS,
                    SqlFeature.GROUPS_BY_DOLLAR,
                    SqlFeature.SEQUENCES_STEP_ONCE_A_ROW,
                    SqlFeature.CURRENT_NUMBER_IS_OLDER,
                    SqlFeature.POSITIONS_ARE_CUT,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.MASKS_FILL_UP,
                    SqlFeature.RENAME_STATEMENT,
                    SqlFeature.CONVERTS_OR_FAILS,
                    SqlFeature.LENGTHS_ARE_OF_STORAGE,
                    SqlFeature.NUMBERS_ARE_DAYS,
                    SqlFeature.MIXED_RESULTS_ARE_NO_TEXTS,
                    SqlFeature.FRACTIONS_ARE_CUT,
                    SqlFeature.LONG_TEXTS_DO_NOT_COMPARE,
                    SqlFeature.STARS_PASS_OVER_JOINED_COLUMNS,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.GRANTS_NAME_ROLES,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.SEARCHES_BACK,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.NULLS_ARE_DUPLICATES,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.JOINED_TEXTS_ARE_TEXTS,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.DECIMALS_ARE_CUT,
                    SqlFeature.WHOLE_AVERAGES,
                    SqlFeature.CHANGES_AS_TABLES,
                    SqlFeature.ASSIGNS_AT_EVERY_UPDATE,
                    SqlFeature.SUMS_KEEP_TYPE,
                    SqlFeature.INSTANTS_IN_UTC,
                    SqlFeature.LOCKS_NAME_COLUMNS,
                    SqlFeature.TEMPORARY_IN_SESSION,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.OVERRIDING,
                    SqlFeature.VIEWS_COMMENT_AS_TABLES,
                    SqlFeature.ADD_IDENTITY,
                    SqlFeature.DATES_BY_DOTS,
                    SqlFeature.DATES_BY_SLASHES,
                    SqlFeature.REPLACES_SYNONYMS,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.SYNONYMS,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.QUALIFIED_INDEX_NAMES,
                    SqlFeature.NAMED_ARGUMENTS,
                    SqlFeature.ORDERED_WINDOW_AGGREGATES,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.LATERAL,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.SET_OPERATION_ALL,
                    SqlFeature.TABLE_SAMPLE,
                    SqlFeature.INTERVALS,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.SEQUENCES_ARE_INTEGER,
                    SqlFeature.RECURSION_NAMES_COLUMNS,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.IDENTITY,
                    SqlFeature.ROUTINES_ARE_OVERLOADED,
                    SqlFeature.KEYS_SAY_NOT_NULL,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.INCLUDED_COLUMNS,
                    SqlFeature.IS_TRUE,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES),
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.SELECT_WITHOUT_FROM,
            SqlFeature.TYPED_DATES,
            SqlFeature.INSERT_DEFAULT_VALUES,
            SqlFeature.TEMPORARY_TABLES,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.STAR_BESIDE_COLUMNS,
            SqlFeature.EXPRESSION_DEFAULTS);

    private Db2Language() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "db2",
                GRAMMAR,
                "\"\"",
                128,
                LanguageResources.reserved("db2"),
                FEATURES,
                NullOrder.HIGH,
                PagingStyle.FETCH,
                "SYSIBM.SYSDUMMY1",
                "",
                MaskStyle.WORDS,
                Set.of(ScriptFeature.TERMINATOR_COMMENTS),
                LanguageResources.functions("db2"),
                LanguageResources.types("db2"),
                Db2Writers::of);
    }
}
