package raftcart.dialect.derby;

import java.util.List;
import java.util.Map;
import java.util.Set;
import raftcart.dialect.CastFunctions;
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

/** Derby's SQL, version 10.16. */
public final class DerbyLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(List.of("\"\""), Set.of()),
            NameCase.UPPER,
            Set.of(GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT),
            OperatorTable.ADDITIVE,
            Map.of(),
            CastFunctions::meaning);
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.CODE_OF_OTHER_LANGUAGES,
                    SqlFeature.ONE_NUMBERED_COLUMN,
                    SqlFeature.RENAME_STATEMENT,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.TIMES_BECOME_MOMENTS,
                    SqlFeature.IGNORES_PADDING,
                    SqlFeature.LONG_TEXTS_DO_NOT_COMPARE,
                    SqlFeature.STARS_PASS_OVER_JOINED_COLUMNS,
                    SqlFeature.DROPS_PRIMARY_KEY,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.FLOATS_ARE_NUMBERS,
                    SqlFeature.NULLS_ARE_DUPLICATES,
                    SqlFeature.BLOBS_WANT_CASTS,
                    SqlFeature.DECIMALS_ARE_CUT,
                    SqlFeature.NARROW_QUOTIENTS,
                    SqlFeature.WHOLE_AVERAGES,
                    SqlFeature.SUMS_KEEP_TYPE,
                    SqlFeature.INSTANTS_IN_UTC,
                    SqlFeature.LOCKS_NAME_COLUMNS,
                    SqlFeature.TEMPORARY_IN_SESSION,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.QUALIFIED_INDEX_NAMES,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.ROLLUP,
                    SqlFeature.VALUES_QUERY,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.SEQUENCES,
                    SqlFeature.SEQUENCES_TAKE_ALL,
                    SqlFeature.SEQUENCES_ARE_INTEGER,
                    SqlFeature.UNION_ORDER_BY_PLACE,
                    SqlFeature.UNION_NAMES_AGREE,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.IDENTITY,
                    SqlFeature.KEYS_SAY_NOT_NULL,
                    SqlFeature.PUBLIC_HAS_ROLES,
                    SqlFeature.SYNONYMS,
                    SqlFeature.SET_OPERATION_ALL,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES),
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.COMMON_TABLES,
            SqlFeature.RECURSION,
            SqlFeature.SELECT_WITHOUT_FROM,
            SqlFeature.FULL_JOIN,
            SqlFeature.ROW_VALUES,
            SqlFeature.WINDOW_FUNCTIONS,
            SqlFeature.INSERT_DEFAULT_VALUES,
            SqlFeature.TEMPORARY_TABLES,
            SqlFeature.VIEW_CHECK_OPTION,
            SqlFeature.CREATE_TABLE_AS,
            SqlFeature.SET_DEFAULT_ACTION,
            SqlFeature.EXPRESSION_DEFAULTS,
            SqlFeature.NATURAL_JOIN,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.MERGE_FROM_QUERY,
            SqlFeature.ALTER_SEQUENCE,
            SqlFeature.SEQUENCE_CACHE,
            SqlFeature.STAR_BESIDE_COLUMNS,
            SqlFeature.ON_UPDATE_ACTION,
            SqlFeature.NULL_ITEMS,
            SqlFeature.UTC_PRESENT,
            SqlFeature.CASTS_BOOLEANS,
            SqlFeature.DATES_BESIDE_TIMESTAMPS);

    private DerbyLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "derby",
                GRAMMAR,
                "\"\"",
                128,
                LanguageResources.reserved("derby"),
                FEATURES,
                NullOrder.HIGH,
                PagingStyle.FETCH,
                "SYSIBM.SYSDUMMY1",
                "APP",
                MaskStyle.WORDS,
                Set.of(),
                LanguageResources.functions("derby"),
                LanguageResources.types("derby"),
                DerbyWriters::of);
    }
}
