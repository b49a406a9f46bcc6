package raftcart.dialect.h2;

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

/** H2's SQL, version 2, in its regular mode. */
public final class H2Language {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\"", "``"), Set.of(LexicalFeature.DOLLAR_QUOTES, LexicalFeature.BACKTICKS_FOLD)),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.CALL_EVALUATES,
                    GrammarFeature.IDENTITY_TYPE_IS_A_KEY,
                    GrammarFeature.FRACTIONS_WITHIN_SECOND,
                    GrammarFeature.WEEKS_GO_BY_LANGUAGE,
                    GrammarFeature.SECONDS_ARE_WHOLE,
                    GrammarFeature.REGEXP_OPERATOR,
                    GrammarFeature.BARE_COMPUTED_COLUMNS,
                    GrammarFeature.CHANGES_AS_TABLES),
            OperatorTable.ADDITIVE,
            Map.of());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.CODE_OF_OTHER_LANGUAGES,
                    SqlFeature.TRUTHS_SHOWN_IN_CAPITALS,
                    SqlFeature.GROUPS_BY_DOLLAR,
                    SqlFeature.SEQUENCES_STEP_ONCE_A_ROW,
                    SqlFeature.TIMES_HAVE_EPOCHS,
                    SqlFeature.INTERVAL_SECONDS_HAVE_PARTS,
                    SqlFeature.BINARIES_FILLED_UP,
                    SqlFeature.REMAINDERS_ARE_WHOLE,
                    SqlFeature.UNITS_ARE_ROUNDED,
                    SqlFeature.RECURSION_FITS_ALL_ROWS,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.COLUMNS_GO_WITHOUT_CASCADE,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.LISTED_VALUES_SORT_BY_PLACE,
                    SqlFeature.LISTED_VALUES_COMPARE_BY_PLACE,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.CONVERTS_OR_FAILS,
                    SqlFeature.ROLE_IF_NOT_EXISTS,
                    SqlFeature.CASTS_MAKE_TRUTH,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.WINDOW_TEXTS,
                    SqlFeature.WINDOW_DOCUMENTS,
                    SqlFeature.DISTINCT_IN_WINDOWS,
                    SqlFeature.ORDERED_WINDOW_AGGREGATES,
                    SqlFeature.SEARCHES_BACK,
                    SqlFeature.FRAME_GROUPS,
                    SqlFeature.FRAME_EXCLUSION,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.VIRTUAL_COLUMNS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.SPECIAL_DECIMAL_TEXTS,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.RECURSION_IS_IMPLIED,
                    SqlFeature.CASTS_DECODE_BYTES,
                    SqlFeature.ROWID_BETWEEN_LINES,
                    SqlFeature.SERIES_COLUMN_IS_X,
                    SqlFeature.GROUP_BY_WITHOUT_PLACES,
                    SqlFeature.ROW_LISTS_BLUR_NULLS,
                    SqlFeature.FEW_DIGITS_OF_WHOLE_NUMBERS,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.LOCKS_NOWAIT,
                    SqlFeature.LOCKS_WAIT_SECONDS,
                    SqlFeature.SKIP_LOCKED,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.CHECKS_READ_CLOCK,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.OVERRIDING,
                    SqlFeature.COMMENT_ON_ALL,
                    SqlFeature.TRUNCATE_MAY_RESTART,
                    SqlFeature.DATABASES_ARE_SCHEMAS,
                    SqlFeature.REPLACES_SYNONYMS,
                    SqlFeature.FETCH_WITH_TIES,
                    SqlFeature.FETCH_PERCENT,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.QUALIFIED_INDEX_NAMES,
                    SqlFeature.UNNAMED_INDEXES,
                    SqlFeature.INTERVAL_VALUES,
                    SqlFeature.TIMESTAMPS_DIFFER_BY_INTERVALS,
                    SqlFeature.FLOAT_HALVES_GO_UP,
                    SqlFeature.PLACE_0_IS_FIRST,
                    SqlFeature.CHANGES_AS_TABLES,
                    SqlFeature.NEGATIVE_SUBSTRING,
                    SqlFeature.STARTS_BEFORE_ARE_COUNTED,
                    SqlFeature.IS_TRUE,
                    SqlFeature.KEYS_GROUP_COLUMNS,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.QUALIFY,
                    SqlFeature.DISTINCT_ON,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.ARRAYS,
                    SqlFeature.INTERVALS,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.ROW_ASSIGNMENT,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.ALIAS_IN_HAVING,
                    SqlFeature.LIKE_ESCAPES_BY_BACKSLASH,
                    SqlFeature.LIKE_WITHOUT_ESCAPE,
                    SqlFeature.ILIKE,
                    SqlFeature.REGULAR_EXPRESSIONS,
                    SqlFeature.PATTERNS_HAVE_FLAGS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.RECURSION_NAMES_COLUMNS,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.VALUES_NAME_C1,
                    SqlFeature.IDENTITY,
                    SqlFeature.IF_NOT_EXISTS,
                    SqlFeature.IF_EXISTS,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.DOMAINS,
                    SqlFeature.PUBLIC_HAS_ROLES,
                    SqlFeature.SYNONYMS,
                    SqlFeature.GENERATED_COLUMNS,
                    SqlFeature.CASCADE,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES),
            SqlFeature.RANKS_WITHOUT_ORDER,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.VIEW_CHECK_OPTION,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.DISTINCT_ON,
            SqlFeature.FULL_JOIN,
            SqlFeature.JSON_COLUMNS_PARSE,
            SqlFeature.USING_JOIN,
            SqlFeature.NATURAL_JOIN);

    private H2Language() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "h2",
                GRAMMAR,
                "\"\"",
                256,
                LanguageResources.reserved("h2"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.FETCH,
                "",
                "PUBLIC",
                MaskStyle.LETTERS,
                Set.of(),
                LanguageResources.functions("h2"),
                LanguageResources.types("h2"),
                H2Writers::of);
    }
}
