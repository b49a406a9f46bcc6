package raftcart.dialect;

import static raftcart.dialect.SqlFeature.ADD_COLUMN_NOT_NULL;
import static raftcart.dialect.SqlFeature.ADD_CONSTRAINT;
import static raftcart.dialect.SqlFeature.ALTER_COLUMN;
import static raftcart.dialect.SqlFeature.ALTER_SEQUENCE;
import static raftcart.dialect.SqlFeature.BOOLEAN_CONSTANTS;
import static raftcart.dialect.SqlFeature.CASTS_BOOLEANS;
import static raftcart.dialect.SqlFeature.CASTS_CUT_TEXTS;
import static raftcart.dialect.SqlFeature.CHARACTERS_ARE_PADDED;
import static raftcart.dialect.SqlFeature.COMMON_TABLES;
import static raftcart.dialect.SqlFeature.CONDITIONS_ARE_VALUES;
import static raftcart.dialect.SqlFeature.CREATE_TABLE_AS;
import static raftcart.dialect.SqlFeature.CURRENT_SCHEMA;
import static raftcart.dialect.SqlFeature.DATES_BESIDE_TIMESTAMPS;
import static raftcart.dialect.SqlFeature.DEFAULT_FOR_GENERATED;
import static raftcart.dialect.SqlFeature.DEFAULT_IN_VALUES;
import static raftcart.dialect.SqlFeature.DERIVED_ROWS_KEEP_ORDER;
import static raftcart.dialect.SqlFeature.DESCENDING_INDEXES;
import static raftcart.dialect.SqlFeature.DISTINCT_WITH_SEPARATOR;
import static raftcart.dialect.SqlFeature.EXCEPT;
import static raftcart.dialect.SqlFeature.EXPRESSION_DEFAULTS;
import static raftcart.dialect.SqlFeature.FOREIGN_KEY_ACTIONS;
import static raftcart.dialect.SqlFeature.FRAME_DISTANCES;
import static raftcart.dialect.SqlFeature.FREE_AS;
import static raftcart.dialect.SqlFeature.FULL_JOIN;
import static raftcart.dialect.SqlFeature.GENERATED_NOT_NULL;
import static raftcart.dialect.SqlFeature.GRANTS;
import static raftcart.dialect.SqlFeature.INDEX_IF_NOT_EXISTS;
import static raftcart.dialect.SqlFeature.INSERT_DEFAULT_VALUES;
import static raftcart.dialect.SqlFeature.INTERSECT;
import static raftcart.dialect.SqlFeature.ISO_TEXTS_ARE_DATES;
import static raftcart.dialect.SqlFeature.JSON_COLUMNS_PARSE;
import static raftcart.dialect.SqlFeature.LIMIT_IN_SUBQUERY;
import static raftcart.dialect.SqlFeature.MERGE_FROM_QUERY;
import static raftcart.dialect.SqlFeature.NATURAL_JOIN;
import static raftcart.dialect.SqlFeature.NULL_ITEMS;
import static raftcart.dialect.SqlFeature.ON_UPDATE_ACTION;
import static raftcart.dialect.SqlFeature.ORDERED_TEXTS;
import static raftcart.dialect.SqlFeature.PROCEDURES;
import static raftcart.dialect.SqlFeature.QUANTIFIED_COMPARISONS;
import static raftcart.dialect.SqlFeature.RANKS_WITHOUT_ORDER;
import static raftcart.dialect.SqlFeature.RECURSION;
import static raftcart.dialect.SqlFeature.RENAMES_CONSTRAINTS;
import static raftcart.dialect.SqlFeature.RENAMES_INDEXES;
import static raftcart.dialect.SqlFeature.RENAMES_TABLES;
import static raftcart.dialect.SqlFeature.RESTRICT_ACTION;
import static raftcart.dialect.SqlFeature.ROWS_IN_INSERT;
import static raftcart.dialect.SqlFeature.ROW_COMPARISONS;
import static raftcart.dialect.SqlFeature.ROW_NUMBERS_WITHOUT_ORDER;
import static raftcart.dialect.SqlFeature.ROW_VALUES;
import static raftcart.dialect.SqlFeature.SAVEPOINTS;
import static raftcart.dialect.SqlFeature.SCHEMAS;
import static raftcart.dialect.SqlFeature.SCHEMA_GRANTS;
import static raftcart.dialect.SqlFeature.SELECT_WITHOUT_FROM;
import static raftcart.dialect.SqlFeature.SEQUENCE_CACHE;
import static raftcart.dialect.SqlFeature.SET_DEFAULT_ACTION;
import static raftcart.dialect.SqlFeature.STAR_BESIDE_COLUMNS;
import static raftcart.dialect.SqlFeature.STORED_GENERATED_COLUMNS;
import static raftcart.dialect.SqlFeature.TABLE_FUNCTIONS;
import static raftcart.dialect.SqlFeature.TEMPORARY_TABLES;
import static raftcart.dialect.SqlFeature.TEXT_DEFAULTS;
import static raftcart.dialect.SqlFeature.TRUNCATE;
import static raftcart.dialect.SqlFeature.TYPED_DATES;
import static raftcart.dialect.SqlFeature.UPDATE_ALIAS;
import static raftcart.dialect.SqlFeature.USING_JOIN;
import static raftcart.dialect.SqlFeature.UTC_PRESENT;
import static raftcart.dialect.SqlFeature.VALUES_ARE_CONDITIONS;
import static raftcart.dialect.SqlFeature.VIEW_CHECK_OPTION;
import static raftcart.dialect.SqlFeature.VIEW_LOCAL_CHECK;
import static raftcart.dialect.SqlFeature.WINDOWS_ORDERED_BY_CONSTANTS;
import static raftcart.dialect.SqlFeature.WINDOW_FUNCTIONS;

import java.util.EnumSet;
import java.util.Set;

/** Features that many dialects have in common, to which each adds its own and from which it takes away. */
public final class FeatureSets {
    private static final Set<SqlFeature> COMMON = EnumSet.of(
            BOOLEAN_CONSTANTS,
            CONDITIONS_ARE_VALUES,
            VALUES_ARE_CONDITIONS,
            FULL_JOIN,
            NATURAL_JOIN,
            USING_JOIN,
            WINDOW_FUNCTIONS,
            FRAME_DISTANCES,
            ROW_NUMBERS_WITHOUT_ORDER,
            RANKS_WITHOUT_ORDER,
            WINDOWS_ORDERED_BY_CONSTANTS,
            ROW_COMPARISONS,
            COMMON_TABLES,
            RECURSION,
            ROWS_IN_INSERT,
            INTERSECT,
            EXCEPT,
            ROW_VALUES,
            SELECT_WITHOUT_FROM,
            TYPED_DATES,
            INSERT_DEFAULT_VALUES,
            UPDATE_ALIAS,
            TRUNCATE,
            SCHEMAS,
            GRANTS,
            SCHEMA_GRANTS,
            FREE_AS,
            ALTER_SEQUENCE,
            DEFAULT_IN_VALUES,
            MERGE_FROM_QUERY,
            TEMPORARY_TABLES,
            CREATE_TABLE_AS,
            DESCENDING_INDEXES,
            ADD_CONSTRAINT,
            SET_DEFAULT_ACTION,
            ON_UPDATE_ACTION,
            RESTRICT_ACTION,
            EXPRESSION_DEFAULTS,
            ALTER_COLUMN,
            VIEW_CHECK_OPTION,
            VIEW_LOCAL_CHECK,
            ISO_TEXTS_ARE_DATES,
            STORED_GENERATED_COLUMNS,
            SEQUENCE_CACHE,
            TABLE_FUNCTIONS,
            PROCEDURES,
            FOREIGN_KEY_ACTIONS,
            SAVEPOINTS,
            STAR_BESIDE_COLUMNS,
            CURRENT_SCHEMA,
            ADD_COLUMN_NOT_NULL,
            GENERATED_NOT_NULL,
            NULL_ITEMS,
            INDEX_IF_NOT_EXISTS,
            TEXT_DEFAULTS,
            LIMIT_IN_SUBQUERY,
            DISTINCT_WITH_SEPARATOR,
            ORDERED_TEXTS,
            UTC_PRESENT,
            QUANTIFIED_COMPARISONS,
            CASTS_BOOLEANS,
            CASTS_CUT_TEXTS,
            DATES_BESIDE_TIMESTAMPS,
            CHARACTERS_ARE_PADDED,
            DEFAULT_FOR_GENERATED,
            JSON_COLUMNS_PARSE,
            RENAMES_TABLES,
            RENAMES_INDEXES,
            DERIVED_ROWS_KEEP_ORDER,
            RENAMES_CONSTRAINTS);

    private FeatureSets() {}

    /** The common features with these added. */
    public static Set<SqlFeature> with(SqlFeature... more) {
        Set<SqlFeature> features = EnumSet.copyOf(COMMON);
        features.addAll(Set.of(more));
        return features;
    }

    /** Features with some taken away. */
    public static Set<SqlFeature> without(Set<SqlFeature> features, SqlFeature... less) {
        Set<SqlFeature> rest = EnumSet.copyOf(features);
        rest.removeAll(Set.of(less));
        return rest;
    }

    /** Features with some more. */
    public static Set<SqlFeature> and(Set<SqlFeature> features, SqlFeature... more) {
        Set<SqlFeature> all = EnumSet.copyOf(features);
        all.addAll(Set.of(more));
        return all;
    }
}
