package raftcart.dialect.mysql;

import java.util.Set;
import raftcart.dialect.FeatureSets;
import raftcart.dialect.Language;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.mariadb.MariaDbLanguage;

/** MySQL's SQL, version 8, in its default mode: that of its sister with a few differences. */
public final class MySqlLanguage {
    private static final Language MARIADB = MariaDbLanguage.create();
    private static final Set<SqlFeature> FEATURES = FeatureSets.and(
            FeatureSets.without(
                    MARIADB.features(),
                    SqlFeature.WINDOW_PERCENTILES,
                    SqlFeature.PERCENTILES_WANT_WINDOWS,
                    SqlFeature.FRACTIONS_ARE_CUT,
                    SqlFeature.ZERO_DIVISION_FAILS_IN_CODE,
                    SqlFeature.SERIES_TABLES,
                    SqlFeature.LIST_PARTITION_FOR_REST,
                    SqlFeature.VIEW_IF_NOT_EXISTS,
                    SqlFeature.LOCKS_WAIT_SECONDS,
                    SqlFeature.TEXT_DEFAULTS,
                    SqlFeature.ALTER_IF_EXISTS,
                    SqlFeature.PARTS_IF_EXISTS,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.INDEX_IF_NOT_EXISTS,
                    SqlFeature.UNIQUE_KEYS_OF_ANY_LENGTH,
                    SqlFeature.HIDDEN_COLUMNS,
                    SqlFeature.RETURNING,
                    SqlFeature.SEQUENCES,
                    SqlFeature.LOOPS_OVER_ROWS,
                    SqlFeature.LOOPS_OVER_NUMBERS,
                    SqlFeature.JSON_ROWS_ARE_KEPT,
                    SqlFeature.JSON_ROWS_KEEP_ESCAPES,
                    SqlFeature.ROW_VARIABLES,
                    SqlFeature.EXECUTES_TEXTS,
                    SqlFeature.ROUTINES_ARE_REPLACED,
                    SqlFeature.VALUES_QUERY),
            SqlFeature.ARRAYS_ARE_OF_DOCUMENTS,
            SqlFeature.CHANGED_TABLE_IS_NOT_READ,
            SqlFeature.CASTS_PARSE_JSON,
            SqlFeature.PASSES_OVER_REFERENCES,
            SqlFeature.FETCH_WITH_TIES,
            SqlFeature.DERIVED_COLUMN_NAMES,
            SqlFeature.LATERAL,
            SqlFeature.DOCUMENTS_OF_ROWS_AS_THEY_COME,
            SqlFeature.WINDOW_DOCUMENTS,
            SqlFeature.GROUPS_BY_DOLLAR,
            SqlFeature.EXPRESSION_INDEXES,
            SqlFeature.GENERATED_NOT_NULL,
            SqlFeature.LOCKS_NAME_TABLES,
            SqlFeature.COMMON_TABLES_BEFORE_CHANGES);

    private MySqlLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "mysql",
                MariaDbLanguage.grammar(false),
                MARIADB.quotes(),
                MARIADB.longestName(),
                LanguageResources.reserved("mysql"),
                FEATURES,
                MARIADB.nulls(),
                MARIADB.paging(),
                MARIADB.dummyTable(),
                MARIADB.defaultSchema(),
                MARIADB.masks(),
                MARIADB.scripts(),
                LanguageResources.functions("mysql"),
                LanguageResources.types("mysql", MARIADB.typeTable()),
                MARIADB.writer());
    }
}
