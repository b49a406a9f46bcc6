package raftcart.dialect.cockroachdb;

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
import raftcart.dialect.postgresql.PgLanguage;
import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;
import raftcart.sql.parse.Grammar;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.parse.NameCase;
import raftcart.sql.parse.OperatorTable;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.BinaryOperator;

/** CockroachDB's SQL: PostgreSQL's with some of it missing. */
public final class CockroachLanguage {
    private static final Grammar GRAMMAR = new Grammar(
            new LexicalRules(
                    List.of("\"\""),
                    Set.of(LexicalFeature.DOLLAR_QUOTES, LexicalFeature.ESCAPE_STRINGS, LexicalFeature.CODED_ESCAPES)),
            NameCase.LOWER,
            Set.of(
                    GrammarFeature.CARET_IS_POWER,
                    GrammarFeature.SUBSTRING_TAKES_PATTERN,
                    GrammarFeature.COLUMN_FAMILIES,
                    GrammarFeature.ROW_NUMBERS_OF_THE_CLOCK,
                    GrammarFeature.EXECUTE_IS_PREPARED,
                    GrammarFeature.END_COMMITS,
                    GrammarFeature.NUMBER_SIGN_IS_XOR,
                    GrammarFeature.TYPED_TEXTS,
                    GrammarFeature.OPERATORS_OF_SIGNS,
                    GrammarFeature.SELECT_INTO_TABLE),
            OperatorTable.OTHER,
            Map.of(
                    BinaryOperator.BIT_AND,
                    OperatorTable.OTHER,
                    BinaryOperator.BIT_OR,
                    OperatorTable.OTHER,
                    BinaryOperator.BIT_XOR,
                    OperatorTable.OTHER,
                    BinaryOperator.SHIFT_LEFT,
                    OperatorTable.OTHER,
                    BinaryOperator.SHIFT_RIGHT,
                    OperatorTable.OTHER));
    private static final Set<SqlFeature> FEATURES = FeatureSets.and(
            FeatureSets.without(
                    PgLanguage.create().features(),
                    SqlFeature.ACTIONS_NAME_COLUMNS,
                    SqlFeature.PARTITIONS_ARE_TABLES,
                    SqlFeature.DOTS_MATCH_NEWLINES,
                    SqlFeature.JSON_PATH_ROWS,
                    SqlFeature.ARRAYS_OVER_WINDOWS,
                    SqlFeature.BLOCKS_RESCUE,
                    SqlFeature.PARTS_IF_NOT_EXISTS,
                    SqlFeature.SPECIAL_FLOAT_TEXTS,
                    SqlFeature.SPECIAL_DECIMAL_TEXTS,
                    SqlFeature.BITS_HAVE_TEXT_FUNCTIONS,
                    SqlFeature.OVERRIDING,
                    SqlFeature.TRUNCATE_MAY_RESTART,
                    SqlFeature.TRUNCATES_TOGETHER,
                    SqlFeature.ROWS_UNTIL_COMMIT,
                    SqlFeature.TABLE_AS_WITHOUT_DATA,
                    SqlFeature.WHOLE_DIVISION,
                    SqlFeature.GROUPING_SETS,
                    SqlFeature.ROLLUP,
                    SqlFeature.TABLE_SAMPLE,
                    SqlFeature.TRIGGER_FUNCTIONS,
                    SqlFeature.BITS_OF_NUMBERS,
                    SqlFeature.INDEX_METHODS,
                    SqlFeature.FETCH_WITH_TIES,
                    SqlFeature.CTID,
                    SqlFeature.MERGE,
                    SqlFeature.DOCUMENTS_ARE_MERGED,
                    SqlFeature.COLUMNS_TAKE_THEIR_KIND,
                    SqlFeature.JSON_PATHS_WRAP,
                    SqlFeature.OCTETS_COUNT_PADDING,
                    SqlFeature.PATTERNS_MEET_PADDING,
                    SqlFeature.MERGE_CONDITIONS,
                    SqlFeature.DOMAINS,
                    SqlFeature.DEFERRABLE),
            SqlFeature.PATTERNS_HAVE_FLAGS,
            SqlFeature.CHANGE_LIMIT,
            SqlFeature.CASTS_BOOLEANS);

    private CockroachLanguage() {}

    /** The dialect. */
    public static Language create() {
        return new Language(
                "cockroachdb",
                GRAMMAR,
                "\"\"",
                63,
                LanguageResources.reserved("cockroachdb"),
                FEATURES,
                NullOrder.LOW,
                PagingStyle.LIMIT,
                "",
                "public",
                MaskStyle.WORDS_M,
                Set.of(ScriptFeature.BACKSLASH_COMMANDS, ScriptFeature.COPY_DATA),
                LanguageResources.functions("cockroachdb"),
                LanguageResources.types("cockroachdb"),
                PgLanguage.create().writer());
    }
}
