package raftcart.dialect.teradata;

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

/** Teradata's SQL, version 17. */
public final class TeradataLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(List.of("\"\""), Set.of(LexicalFeature.NUMBER_SIGNS_IN_NAMES)),
            NameCase.IGNORED,
            Set.of(
                    GrammarFeature.SHORT_VERBS,
                    GrammarFeature.PSM_ROUTINES,
                    GrammarFeature.COLON_VARIABLES,
                    GrammarFeature.PERIODS,
                    GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT,
                    GrammarFeature.MOD_OPERATOR,
                    GrammarFeature.INTERVAL_QUALIFIERS,
                    GrammarFeature.WORD_COMPARISONS,
                    GrammarFeature.SHORT_NOW,
                    GrammarFeature.END_COMMITS,
                    GrammarFeature.DATA_ATTRIBUTES),
            OperatorTable.ADDITIVE,
            Map.of());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.HANDLERS_KEEP_CHANGES,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.RENAME_STATEMENT,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.LONG_TEXTS_DO_NOT_COMPARE,
                    SqlFeature.PARTS_HAVE_NO_ORDER,
                    SqlFeature.SUMS_KEEP_TYPE,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.DATES_SHOWN_BY_SETTINGS,
                    SqlFeature.DATES_COUNT_FROM_1900,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.ALIASES_IN_ORDER_EXPRESSIONS,
                    SqlFeature.ALIASES_IN_EXPRESSIONS,
                    SqlFeature.SAFE_CASTS,
                    SqlFeature.FEW_DIGITS_OF_DIVISION,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.DATABASES_ARE_SCHEMAS,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.QUALIFY,
                    SqlFeature.INTERVALS,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.UPDATE_FROM,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.IGNORES_CASE,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.CONVERTS_SILENTLY,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.RECURSION_NAMES_COLUMNS,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.IDENTITY,
                    SqlFeature.KEYS_SAY_NOT_NULL,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES,
                    SqlFeature.SET_OPERATION_ALL),
            SqlFeature.RENAMES_INDEXES,
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.VIEW_LOCAL_CHECK,
            SqlFeature.ISO_TEXTS_ARE_DATES,
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.ROW_NUMBERS_WITHOUT_ORDER,
            SqlFeature.FRAME_DISTANCES,
            SqlFeature.BOOLEAN_CONSTANTS,
            SqlFeature.CONDITIONS_ARE_VALUES,
            SqlFeature.VALUES_ARE_CONDITIONS,
            SqlFeature.NATURAL_JOIN,
            SqlFeature.USING_JOIN,
            SqlFeature.ROWS_IN_INSERT,
            SqlFeature.TRUNCATE,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.DESCENDING_INDEXES,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.ON_UPDATE_ACTION,
            SqlFeature.RESTRICT_ACTION,
            SqlFeature.SCHEMAS,
            SqlFeature.EXPRESSION_DEFAULTS,
            SqlFeature.STAR_BESIDE_COLUMNS,
            SqlFeature.SAVEPOINTS,
            SqlFeature.UTC_PRESENT);

    private TeradataLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "teradata",
                GRAMMAR,
                "\"\"",
                128,
                LanguageResources.reserved("teradata"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.TOP,
                "",
                "",
                MaskStyle.WORDS,
                Set.of(ScriptFeature.DOT_COMMANDS),
                LanguageResources.functions("teradata"),
                LanguageResources.types("teradata"),
                TeradataWriters::of);
    }
}
