package raftcart.dialect.firebird;

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

/** Firebird's SQL, version 4. */
public final class FirebirdLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(List.of("\"\""), Set.of(LexicalFeature.ALTERNATIVE_QUOTES)),
            NameCase.UPPER,
            Set.of(
                    GrammarFeature.TRIMS_WHOLE_TEXTS,
                    GrammarFeature.PSQL_ROUTINES,
                    GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT,
                    GrammarFeature.FRACTIONS_WITHIN_SECOND),
            OperatorTable.ADDITIVE,
            Map.of());
    private static final Set<SqlFeature> FEATURES = FeatureSets.without(
            FeatureSets.with(
                    SqlFeature.TRUTHS_SHOWN_IN_CAPITALS,
                    SqlFeature.PUBLIC_HAS_ROLES,
                    SqlFeature.FETCH_ENDS_QUIETLY,
                    SqlFeature.WORDS_ARE_DAYS,
                    SqlFeature.INSTANTS_SHOW_OWN_CLOCK,
                    SqlFeature.COMPUTED_TAKE_NO_VALUE,
                    SqlFeature.FIXED_TEXTS_COMPARE_PADDED,
                    SqlFeature.PARTS_HAVE_NO_ORDER,
                    SqlFeature.ROLE_ADMINISTRATORS,
                    SqlFeature.CONVERTS_OR_FAILS,
                    SqlFeature.PRESENT_HAS_FRACTIONS,
                    SqlFeature.AT_TIME_ZONE,
                    SqlFeature.SHIFTS_OF_64_BITS,
                    SqlFeature.FEW_DIGITS_OF_DIVISION,
                    SqlFeature.AVERAGES_KEEP_SCALE,
                    SqlFeature.WHOLE_AVERAGES,
                    SqlFeature.CASTS_ROUND,
                    SqlFeature.PRESENT_HAS_ZONE,
                    SqlFeature.LOCKS_ONE_TABLE,
                    SqlFeature.KEYS_WANT_NOT_NULL,
                    SqlFeature.CHECKS_READ_CLOCK,
                    SqlFeature.DATES_BY_MONTH_NAMES,
                    SqlFeature.DATES_BY_DOTS,
                    SqlFeature.IDENTITY_RESTARTS,
                    SqlFeature.DECIMAL_IDENTITIES,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.IS_TRUE,
                    SqlFeature.IS_DISTINCT_FROM,
                    SqlFeature.NULLS_ORDER,
                    SqlFeature.AGGREGATE_FILTER,
                    SqlFeature.LATERAL,
                    SqlFeature.WINDOW_CLAUSE,
                    SqlFeature.RECURSIVE_WORD,
                    SqlFeature.FOR_UPDATE,
                    SqlFeature.RETURNING,
                    SqlFeature.UPDATE_RETURNING,
                    SqlFeature.MERGE,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.ALIAS_IN_GROUP_BY,
                    SqlFeature.SEQUENCES,
                    SqlFeature.DERIVED_COLUMN_NAMES,
                    SqlFeature.IDENTITY,
                    SqlFeature.EVERY_MENTION_DRAWS,
                    SqlFeature.KEYS_SAY_NOT_NULL,
                    SqlFeature.OR_REPLACE_VIEW,
                    SqlFeature.EXPRESSION_INDEXES,
                    SqlFeature.COMMENT_ON,
                    SqlFeature.ROWS_OF_64_KILOBYTES,
                    SqlFeature.DOMAINS,
                    SqlFeature.DATE_PLUS_DAYS,
                    SqlFeature.GLOBAL_TEMPORARY_TABLES,
                    SqlFeature.GENERATED_COLUMNS),
            SqlFeature.RENAMES_TABLES,
            SqlFeature.RENAMES_INDEXES,
            SqlFeature.RENAMES_CONSTRAINTS,
            SqlFeature.VIEW_LOCAL_CHECK,
            SqlFeature.ORDERED_TEXTS,
            SqlFeature.SELECT_WITHOUT_FROM,
            SqlFeature.ROWS_IN_INSERT,
            SqlFeature.INTERSECT,
            SqlFeature.EXCEPT,
            SqlFeature.ROW_VALUES,
            SqlFeature.SCHEMAS,
            SqlFeature.TEMPORARY_TABLES,
            SqlFeature.TRUNCATE,
            SqlFeature.CREATE_TABLE_AS,
            SqlFeature.STORED_GENERATED_COLUMNS,
            SqlFeature.RESTRICT_ACTION,
            SqlFeature.SCHEMA_GRANTS,
            SqlFeature.SEQUENCE_CACHE,
            SqlFeature.STAR_BESIDE_COLUMNS,
            SqlFeature.CURRENT_SCHEMA,
            SqlFeature.EXPRESSION_DEFAULTS,
            SqlFeature.CASTS_BOOLEANS);

    private FirebirdLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "firebird",
                GRAMMAR,
                "\"\"",
                63,
                LanguageResources.reserved("firebird"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.FETCH,
                "RDB$DATABASE",
                "",
                MaskStyle.WORDS,
                Set.of(ScriptFeature.TERM_COMMAND),
                LanguageResources.functions("firebird"),
                LanguageResources.types("firebird"),
                FirebirdWriters::of);
    }
}
