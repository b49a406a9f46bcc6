package raftcart.sql.parse;

/** Ways in which dialects read the same text differently. */
public enum GrammarFeature {
    /** The milliseconds and microseconds of a moment are those of its second alone. */
    FRACTIONS_WITHIN_SECOND,
    /** EXTRACT gives seconds without their fraction. */
    SECONDS_ARE_WHOLE,
    /** INTERSECT binds no tighter than UNION: operations on sets go from the left to the right. */
    SETS_FROM_LEFT_TO_RIGHT,
    /** SERIAL stands for numbers of 64 bits that are a key; elsewhere for those of 32 bits. */
    SERIAL_IS_A_WIDE_KEY,
    /** The bodies of routines are texts in a language that is named. */
    BODIES_ARE_TEXTS,
    /** The bodies of routines are SQL/PSM. */
    PSM_ROUTINES,
    /** Inside of SQL the variables of a routine have a colon before them. */
    COLON_VARIABLES,
    /** The bodies of triggers are changes, and queries that raise errors. */
    TRIGGERS_ARE_CHANGES,
    /** A name that could mean a column or a variable of a routine means the column. */
    COLUMNS_HIDE_VARIABLES,
    /** The bodies of routines are PL/SQL. */
    PLSQL_ROUTINES,
    /** The bodies of routines are Firebird's PSQL. */
    PSQL_ROUTINES,
    /** The bodies of routines are T-SQL. */
    TSQL_ROUTINES,
    /** SELECT INTO fails where there is no row; elsewhere the variables keep what they have, unless that is handled. */
    INTO_WANTS_A_ROW,
    /** {@code database..table} leaves out the schema; elsewhere two points stand between the ends of a range. */
    EMPTY_NAME_PARTS,
    /** {@code ||} joins conditions. */
    PIPES_ARE_OR,
    /** {@code ISNULL(x)} asks whether x is NULL. */
    ISNULL_ASKS,
    /** {@code &&} joins conditions. */
    AMPERSANDS_ARE_AND,
    /** {@code ^} is a power rather than an exclusive or. */
    CARET_IS_POWER,
    /** {@code #} is an exclusive or. */
    NUMBER_SIGN_IS_XOR,
    /** A NULL among texts that are put together is an empty text. */
    NULL_CONCATENATES_AS_EMPTY,
    /** {@code +} puts texts together. */
    PLUS_CONCATENATES,
    /** DIV, MOD, XOR, REGEXP and RLIKE are operators. */
    WORD_OPERATORS,
    /** A long text with a check that it is JSON is a column of documents. */
    CHECKED_TEXTS_ARE_JSON,
    /** {@code unique_rowid()} as a default numbers the rows. */
    ROW_NUMBERS_OF_THE_CLOCK,
    /** MOD is an operator. */
    MOD_OPERATOR,
    /** {@code alias = value} in a select list. */
    ALIAS_BY_EQUALS,
    /** A string behind a string names it and does not continue it. */
    STRINGS_STAND_ALONE,
    /** A column that is added stays NULL in the rows that are there, whatever its default is. */
    ADDED_COLUMNS_STAY_NULL,
    /** {@code value DAYS}. */
    LABELLED_DURATIONS,
    /** {@code column:path.of.fields}. */
    COLON_PATHS,
    /** A difference of times says its unit behind it: {@code (a - b) DAY}. */
    INTERVAL_QUALIFIERS,
    /** Statements may follow each other with nothing between. */
    STATEMENTS_WITHOUT_SEPARATOR,
    /** The type comes first in CONVERT. */
    CONVERT_TYPE_FIRST,
    /** REPLACE is a statement. */
    REPLACE_STATEMENT,
    /** {@code !} before a condition is NOT. */
    BANG_IS_NOT,
    /** A name that stands for a default is a text ("Double-quoted String Literals Are Accepted"). */
    DEFAULTS_NAME_NOTHING,
    /** A column definition may do without a type. */
    UNTYPED_COLUMNS,
    /** A number counts as a condition. */
    NUMBERS_ARE_CONDITIONS,
    /** {@code {name: value}} and {@code [a, b]} are values. */
    BRACKET_VALUES,
    /** GROUP_CONCAT puts its arguments together before it puts rows together. */
    GROUP_CONCAT_JOINS_ARGUMENTS,
    /** The expression of a computed column may stand without parentheses. */
    BARE_COMPUTED_COLUMNS,
    /** {@code SEL} is SELECT, and so on. */
    SHORT_VERBS,
    /** EQ, NE, LT, LE, GT and GE compare. */
    WORD_COMPARISONS,
    /** DATE and TIME alone are the present. */
    SHORT_NOW,
    /** CURRENT_DATE, CURRENT_TIME and CURRENT_TIMESTAMP are the present in UTC. */
    PRESENT_IN_UTC,
    /** EXECUTE runs a statement that was prepared; elsewhere it calls a procedure. */
    EXECUTE_IS_PREPARED,
    /** END ends a transaction. */
    END_COMMITS,
    /** A type, format or title in parentheses may follow a value, as in {@code d (FORMAT 'YYYY')}. */
    DATA_ATTRIBUTES,
    /** END(p) is the end of a period. */
    PERIODS,
    /** The rows of a temporary table go at the end of the transaction, unless something else is said. */
    TEMPORARY_ROWS_END_AT_COMMIT,
    /** CONCAT between two values joins them. */
    CONCAT_OPERATOR,
    /** EXTRACT counts weeks from the first Sunday of the year. */
    WEEKS_BEGIN_ON_SUNDAY,
    /** EXTRACT counts weeks as the language of the server does, and their days from 1 for Sunday. */
    WEEKS_GO_BY_LANGUAGE,
    /** SUBSTRING with a text in the place of a position finds what that pattern matches. */
    SUBSTRING_TAKES_PATTERN,
    /** REGEXP between two texts looks for a regular expression. */
    REGEXP_OPERATOR,
    /** A regular expression behind REGEXP or RLIKE has to hold for the whole text. */
    REGEXP_OF_WHOLE_TEXTS,
    /** Blanks at the end of a quoted name are no part of it. */
    NAMES_END_BEFORE_BLANKS,
    /** SHOW is for the client, not a question to the engine. */
    SHOW_IS_FOR_CLIENT,
    /** A whole number that is the primary key gets its values from the engine where rows do not bring them. */
    INTEGER_KEYS_ARE_NUMBERED,
    /** A column of the type IDENTITY is its table's primary key. */
    IDENTITY_TYPE_IS_A_KEY,
    /** The type IDENTITY is a whole number of 32 bits, not 64. */
    IDENTITIES_ARE_INTEGERS,
    /** CURRENT_DATE has a time of day. */
    CURRENT_DATE_HAS_TIME,
    /** FROM may name the rows of a change, as in {@code FINAL TABLE (INSERT ...)}. */
    CHANGES_AS_TABLES,
    /** Keys are never enforced, whether they say so or not. */
    KEYS_ARE_PROMISES,
    /** SELECT ... INTO makes a table; elsewhere it fills variables. */
    SELECT_INTO_TABLE,
    /** LIKE takes small and capital letters for the same. */
    LIKE_IGNORES_CASE,
    /** TRIM takes away a text as a whole; elsewhere each of its characters. */
    TRIMS_WHOLE_TEXTS,
    /** SIMILAR TO and ~ take a regular expression that matches the whole text. */
    SIMILAR_IS_REGULAR,
    /** SET SQL_MODE says how statements are read from there on, and what zeros in keys mean. */
    SQL_MODES,
    /** A table made LIKE another has its keys, defaults and indexes too, without a word. */
    LIKE_COPIES_ALL,
    /** CALL gives the value of an expression: there are functions and no procedures. */
    CALL_EVALUATES,
    /** Any signs that follow each other without a blank are an operator. */
    OPERATORS_OF_SIGNS,
    /** The name of any type before a text casts it. */
    TYPED_TEXTS,
    /** Columns of a table are kept together in families. */
    COLUMN_FAMILIES
}
