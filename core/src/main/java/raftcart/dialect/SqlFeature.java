package raftcart.dialect;

/** What the SQL of one dialect can say and that of another cannot. */
public enum SqlFeature {
    /** TRUE and FALSE are constants. */
    BOOLEAN_CONSTANTS,
    /** A condition may stand where a value is wanted. */
    CONDITIONS_ARE_VALUES,
    /** A boolean column may stand where a condition is wanted; without it, it is compared with 1. */
    VALUES_ARE_CONDITIONS,
    /** A number may stand where a condition is wanted. */
    NUMBERS_ARE_CONDITIONS,
    /** x IS TRUE. */
    IS_TRUE,
    /** x IS DISTINCT FROM y. */
    IS_DISTINCT_FROM,
    /** NULLS FIRST and NULLS LAST. */
    NULLS_ORDER,
    /** FILTER (WHERE ...) at aggregates. */
    AGGREGATE_FILTER,
    GROUPING_SETS,
    /** ROLLUP (a, b) as an element of GROUP BY. */
    ROLLUP,
    /** GROUP BY a, b WITH ROLLUP. */
    WITH_ROLLUP,
    FULL_JOIN,
    NATURAL_JOIN,
    USING_JOIN,
    LATERAL,
    APPLY,
    QUALIFY,
    DISTINCT_ON,
    WINDOW_FUNCTIONS,
    WINDOW_CLAUSE,
    /** A frame of groups of peers. */
    FRAME_GROUPS,
    /** A frame leaves out rows (EXCLUDE). */
    FRAME_EXCLUSION,
    /** A frame of a RANGE has a distance as its end. */
    FRAME_DISTANCES,
    /** Arrays are gathered over windows, with a FILTER. */
    ARRAYS_OVER_WINDOWS,
    COMMON_TABLES,
    /** Recursive common tables need the word RECURSIVE. */
    RECURSIVE_WORD,
    RECURSION,
    /** VALUES (1), (2) as a query. */
    VALUES_QUERY,
    /** Several rows after VALUES of an INSERT. */
    ROWS_IN_INSERT,
    INTERSECT,
    EXCEPT,
    /** EXCEPT is spelled MINUS. */
    MINUS,
    /** INTERSECT ALL and EXCEPT ALL. */
    SET_OPERATION_ALL,
    ROW_VALUES,
    /** Rows of values are compared with each other, not only with those of a query or a list. */
    ROW_COMPARISONS,
    /** A SELECT may do without FROM. */
    SELECT_WITHOUT_FROM,
    TABLE_SAMPLE,
    FOR_UPDATE,
    /** The lock that reading takes is said with each table. */
    LOCKS_AT_TABLES,
    SKIP_LOCKED,
    ARRAYS,
    /** The rows of JSON_TABLE in a subquery are those of the first row of the query around, unless a condition names that. */
    JSON_ROWS_ARE_KEPT,
    /** The texts in the rows of JSON_TABLE are those of the document, with its escapes. */
    JSON_ROWS_KEEP_ESCAPES,
    /** An array is the items of a JSON document, for an index on each of them. */
    ARRAYS_ARE_OF_DOCUMENTS,
    /** Parts of JSON documents are named one by one by {@code ->}. */
    JSON_ARROWS,
    /** A part of a document that is cast to a text has no quotes around it. */
    CASTS_UNQUOTE_JSON,
    /** A part of a document is compared and counted with as the text or number that it holds. */
    DOCUMENTS_COMPARE_AS_VALUES,
    /** A part of a document that is JSON's null is the text null. */
    JSON_NULL_IS_TEXT,
    /** Place 0 of a part that is no list is the part itself in a path ($[0] of an object; SQL/JSON's lax mode). */
    JSON_PATHS_WRAP,
    /** {@code #>} and {@code #>>} follow a list of names and places. */
    JSON_PATH_OPERATORS,
    /** Intervals are added to dates with + and -. */
    INTERVALS,
    /** A date plus an interval is a timestamp. */
    DATE_PLUS_INTERVAL_IS_TIMESTAMP,
    /** A number of days may be added to a date with + and -. */
    DATE_PLUS_DAYS,
    /** Dates and times carry their keyword as constants. */
    TYPED_DATES,
    /** Digits of a second for which a column has no room are cut off, not rounded. */
    FRACTIONS_ARE_CUT,
    /** A length of time times a number below zero with a fraction is a second too long. */
    PARTS_ARE_LATE,
    /** A half becomes the next whole number where a floating-point number becomes one; elsewhere the even one. */
    FLOAT_HALVES_GO_UP,
    /** A column takes no text where it holds numbers, dates or truth values, unless it is cast; constants are no texts. */
    COLUMNS_TAKE_THEIR_KIND,
    /** OCTET_LENGTH counts the blanks with which a column of fixed length is filled up. */
    OCTETS_COUNT_PADDING,
    /** There is no MIN or MAX of identifiers, bytes and JSON. */
    FEW_EXTREMES,
    /** Documents of the type JSON have no equality. */
    JSON_DOES_NOT_COMPARE,
    /** MOD by zero gives the first number ("MOD"); elsewhere it fails or gives NULL. */
    MOD_BY_ZERO_GIVES_DIVIDEND,
    /** Bits are a number in expressions; elsewhere they are their digits. */
    BITS_ARE_NUMBERS,
    /** Functions of texts take strings of bits, too, and count bits. */
    BITS_HAVE_TEXT_FUNCTIONS,
    /** A right on a schema is one on all that it holds. */
    SCHEMAS_GRANT_TABLES,
    /** SMALLDATETIME rounds to minutes. */
    SMALL_DATES_ARE_MINUTES,
    /** A time of day may be less than zero and more than 24 hours. */
    TIMES_GO_BEYOND_MIDNIGHT,
    /** A time of day to which a span is added is a moment of some day. */
    TIMES_BECOME_MOMENTS,
    /** There is no type of times of day: they are the intervals since midnight. */
    TIMES_ARE_INTERVALS,
    /** Rights may be granted on schemas. */
    SCHEMA_GRANTS,
    /** Parameters are $1, $2. */
    NUMBERED_BY_DOLLAR,
    /** Parameters may be :1, :2. */
    NUMBERED_BY_COLON,
    /** An interval may stand alone, not only beside a plus or minus. */
    INTERVAL_VALUES,
    /** A text that is cast to JSON is read as such; elsewhere it becomes one JSON text. */
    CASTS_PARSE_JSON,
    /** Whether a text is a JSON document is said by a cast in checks, since older servers know no other word for it. */
    DOCUMENTS_BY_CAST,
    /** A part that begins before the start of a text is empty. */
    NOTHING_BEFORE_THE_START,
    /** A cast to a text type without a length makes 30 characters. */
    CAST_OF_30,
    /** DEFAULT may stand among the values of a row. */
    DEFAULT_IN_VALUES,
    /** MERGE may take its rows from a query. */
    MERGE_FROM_QUERY,
    /** AS may stand, or not, before the name of a table. */
    FREE_AS,
    ALTER_SEQUENCE,
    /** A sequence counts through all of its type's range, from its least number on, unless bounds are said. */
    SEQUENCES_TAKE_ALL,
    /** A sequence begins with 0. */
    SEQUENCES_FROM_ZERO,
    /** A column is put to its place among the others by FIRST and AFTER. */
    PLACES_COLUMNS,
    /** The column that is numbered begins with 1 at the least. */
    NUMBERS_BEGIN_WITH_1,
    /** A column whose default is dropped wants a value in each row, unless NULL is made its default. */
    NULL_IS_A_DEFAULT,
    /** The parts of an instant are those of the zone that is kept with it, not of the session's. */
    INSTANTS_SHOW_OWN_CLOCK,
    /** A column that is added stays NULL in the rows that are there, unless WITH VALUES stands behind its default. */
    DEFAULTS_WITH_VALUES,
    /** REFERENCES beside a column is read and not kept. */
    PASSES_OVER_REFERENCES,
    /** SELECT INTO keeps NOT NULL and the column that is numbered. */
    SELECT_INTO_KEEPS_COLUMNS,
    /** MIN and MAX take no truth values. */
    NO_EXTREMES_OF_TRUTHS,
    /** A number is the value of an enumeration or set at that place, and two digits are a year. */
    LISTED_VALUES_ARE_NUMBERS,
    /** The values of enumerations are sorted as they were listed, and tables have enumerations. */
    LISTED_VALUES_SORT_BY_PLACE,
    /** The values of enumerations are less and more than others as they were listed. */
    LISTED_VALUES_COMPARE_BY_PLACE,
    /** Rows without names of columns have no value for the column that is numbered. */
    NUMBERED_TAKE_NO_VALUE,
    /** Rows without names of columns may have no values for the last ones. */
    ROWS_MAY_BE_SHORT,
    /** Rows without names of columns have no values for columns that are computed. */
    COMPUTED_TAKE_NO_VALUE,
    /** A text such as {@code 2026-01-31} is read as a date beside one, whatever the settings are. */
    ISO_TEXTS_ARE_DATES,
    /** A sequence has 32 bits where its type is not said. */
    SEQUENCES_ARE_INTEGER,
    /** A hidden column rowid tells rows apart. */
    ROWID,
    /** A number that is cast to bits gives its bits. */
    BITS_OF_NUMBERS,
    /** Indexes of other kinds than sorted ones may be named by their method. */
    INDEX_METHODS,
    RETURNING,
    /** A query may read the rows of a change: FROM FINAL TABLE (INSERT ...). */
    CHANGES_AS_TABLES,
    /** RETURNING stands in UPDATE as well. */
    UPDATE_RETURNING,
    OUTPUT,
    ON_CONFLICT,
    ON_DUPLICATE_KEY,
    MERGE,
    /** MERGE with DELETE and conditions at each branch. */
    MERGE_CONDITIONS,
    INSERT_IGNORE,
    INSERT_OR,
    /** INSERT OR REPLACE leaves columns that it does not name as they were. */
    OR_REPLACE_KEEPS_COLUMNS,
    REPLACE,
    INSERT_DEFAULT_VALUES,
    UPDATE_FROM,
    UPDATE_JOIN,
    UPDATE_ALIAS,
    DELETE_JOIN,
    CHANGE_LIMIT,
    /** Columns on the left of an UPDATE's SET may be several. */
    ROW_ASSIGNMENT,
    TRUNCATE,
    /** A quotient of whole numbers is whole. */
    WHOLE_DIVISION,
    /** A division by zero gives NULL. */
    NULL_FOR_ZERO_DIVISION,
    /** But an error in INSERT and UPDATE, as the usual mode has it. */
    ZERO_DIVISION_FAILS_IN_CHANGES,
    /** But an error where a routine gives a variable its value, or returns it. */
    ZERO_DIVISION_FAILS_IN_CODE,
    /** The empty text is NULL. */
    EMPTY_TEXT_IS_NULL,
    /** {@code ESCAPE ''}: nothing escapes in a pattern of LIKE. */
    LIKE_WITHOUT_ESCAPE,
    /** A dot of a regular expression matches the end of a line. */
    DOTS_MATCH_NEWLINES,
    /** A regular expression may begin with flags: {@code (?s)}. */
    PATTERNS_HAVE_FLAGS,
    /** The date of a number is the day of that number since the year 1. */
    NUMBERS_ARE_DAYS,
    /** The length of a number or of a date is that of its bytes, not of a text that shows it. */
    LENGTHS_ARE_OF_STORAGE,
    /** Texts compare without regard to case unless told otherwise. */
    IGNORES_CASE,
    /** REPLACE and TRANSLATE go by the collation, which takes small and capital letters for the same. */
    REPLACES_WITHOUT_CASE,
    /** Texts that compare without regard to case do so without regard to accents, too. */
    IGNORES_ACCENTS,
    /** Trailing blanks do not count in comparisons of texts. */
    IGNORES_PADDING,
    /** + puts texts together. */
    PLUS_CONCATENATES,
    /** Texts and numbers compare by turning the text into a number. */
    CONVERTS_SILENTLY,

    /** The same, and a text that is no number is an error. */
    CONVERTS_OR_FAILS,
    /** A value that is a text or a number becomes a text. */
    MIXED_RESULTS_ARE_TEXTS,

    /** Amounts of money, kept with four digits behind the point, become texts with two, and whole numbers by rounding. */
    MONEY_SHOWS_TWO_DIGITS,

    /** A value that is a text or a number becomes a number, and one that is a text or a date becomes a date. */
    MIXED_RESULTS_ARE_NO_TEXTS,
    /** Functions that give one of several values convert them into the kind of the first. */
    FIRST_RESULT_DECIDES,

    /** What stands for NULL becomes a value of the type of the first argument, with no more digits or characters. */
    NULL_REPLACED_IN_TYPE,

    /** A sequence is named by a text where a function takes it. */
    SEQUENCES_NAMED_BY_TEXTS,

    /** What puts texts together merges JSON documents. */
    DOCUMENTS_ARE_MERGED,

    /** A part of a set operation has no order and no limit of its own, in parentheses either. */
    PARTS_HAVE_NO_ORDER,

    /** An empty text is 0 where a number is wanted, and the first of January 1900 where a date is. */
    EMPTY_TEXT_IS_ZERO,
    /** GROUP BY may leave out columns that are selected. */
    LOOSE_GROUP_BY,
    /** A column beside MIN or MAX that is not grouped is that of the row where these are found. */
    EXTREMES_CHOOSE_ROW,
    /** GROUP BY may name aliases of the select list. */
    ALIAS_IN_GROUP_BY,
    ALIAS_IN_HAVING,
    LIKE_ESCAPES_BY_BACKSLASH,
    ILIKE,
    REGULAR_EXPRESSIONS,
    // Structure
    SCHEMAS,
    SEQUENCES,
    /** GENERATED ... AS IDENTITY. */
    IDENTITY,
    IF_NOT_EXISTS,
    IF_EXISTS,
    OR_REPLACE_VIEW,
    MATERIALIZED_VIEWS,
    VIEW_CHECK_OPTION,
    /** WITH CHECK OPTION is taken of views over joins and groups, too. */
    CHECK_OPTION_OF_JOINS,
    /** WITH LOCAL CHECK OPTION, and WITH CASCADED CHECK OPTION by its name. */
    VIEW_LOCAL_CHECK,
    VIEW_READ_ONLY,
    COMMENT_ON,
    /** Comments are written with the column and table. */
    INLINE_COMMENTS,
    ENUM_TYPES,
    DOMAINS,
    SYNONYMS,
    GRANTS,
    TEMPORARY_TABLES,
    GLOBAL_TEMPORARY_TABLES,
    CREATE_TABLE_AS,
    CREATE_TABLE_LIKE,
    /** An aggregate over a window may take its rows in an order of its own. */
    ORDERED_WINDOW_AGGREGATES,
    /** FETCH FIRST n ROWS WITH TIES stands beside LIMIT. */
    FETCH_WITH_TIES,
    /** A hidden column ctid tells rows apart within one statement. */
    CTID,
    /** A trigger runs a function written apart from it. */
    TRIGGER_FUNCTIONS,
    EXPRESSION_INDEXES,
    PARTIAL_INDEXES,
    PREFIX_INDEXES,
    DESCENDING_INDEXES,
    INCLUDED_COLUMNS,

    /** Names without a schema mean the one that was made last. */
    NEW_SCHEMA_IS_USED,

    /** A row, long values aside, has at most 65,535 bytes. */
    ROWS_OF_64_KILOBYTES,

    /** A query of a table reads those that inherit from it, too. */
    TABLE_INHERITANCE,
    FULLTEXT_INDEXES,
    /** A function that gives rows may stand among the columns of a query. */
    ROWS_AMONG_COLUMNS,
    /** Rows are not locked by a query that is limited to a number of them. */
    LOCKS_WITHOUT_LIMITS,
    /** A date and an interval of months is an error where the month has no such day. */
    MONTHS_MUST_HAVE_THE_DAY,
    /** An instant keeps the zone in which it was given, and shows its time there. */
    ZONES_STAY_WITH_VALUES,
    /** Columns of long texts and bytes can be indexed whole. */
    INDEXES_LONG_TEXTS,
    /** Members join a role by a change of the role rather than by GRANT. */
    MEMBERS_BY_ALTER_ROLE,
    /** GRANT says that it is of a role. */
    GRANTS_NAME_ROLES,
    /** GRANT of a role tells members that are roles from those that are users. */
    MEMBERS_HAVE_KINDS,
    /** A role is made only if there is none of its name. */
    ROLE_IF_NOT_EXISTS,
    /** Members of a role may be allowed to make others members. */
    ROLE_ADMINISTRATORS,
    /** A role can be given to everybody. */
    PUBLIC_HAS_ROLES,
    /** Tables whose definition divides their rows among partitions. */
    PARTITIONS,
    /** Partitions of a table are tables that are made by statements of their own. */
    PARTITIONS_ARE_TABLES,
    /** The lowest partition of a range takes the rows without a value, too. */
    NULLS_IN_LOWEST_PARTITION,
    /** A list of partitions may have one for all other values. */
    LIST_PARTITION_FOR_REST,
    /** Each unique key of a partitioned table names the columns by which it is divided. */
    UNIQUE_KEYS_NAME_PARTITIONS,
    /** Tables with foreign keys, or to which foreign keys lead, cannot be partitioned. */
    PARTITIONS_WITHOUT_FOREIGN_KEYS,
    /** Tables are partitioned by whole numbers, dates, and short texts and bytes alone. */
    PARTITIONS_BY_PLAIN_TYPES,
    GENERATED_COLUMNS,
    STORED_GENERATED_COLUMNS,
    /** The text 'TODAY' is the day at which a row is written, and 'NOW' the moment. */
    WORDS_ARE_DAYS,
    /** A default that is such a word is the moment at which its table was made ("Date/Time Types, Special Values"). */
    DEFAULT_WORDS_STAND_STILL,
    /** What is computed of money has two digits behind the point. */
    MONEY_HAS_CENTS,
    /** TRUNCATE takes tables that refer to each other together, and those that refer to them on demand. */
    TRUNCATES_TOGETHER,
    /** A text of a fixed length is stored as one of any length, with the blanks at its end. */
    FIXED_TEXTS_ARE_PLAIN,
    /** The epoch of a time of day is its seconds since midnight. */
    TIMES_HAVE_EPOCHS,
    /** A part of a text that begins before it has what the places before it leave of its length. */
    STARTS_BEFORE_ARE_COUNTED,
    /** The seconds of an interval have fractions, also where those that are added by a function have none. */
    INTERVAL_SECONDS_HAVE_PARTS,
    /** An aggregate over a window may take each value once. */
    DISTINCT_IN_WINDOWS,
    /** Temporary tables have neither foreign keys nor parts. */
    TEMPORARY_TABLES_STAND_ALONE,
    /** A check does not read a column that the engine numbers. */
    NUMBERED_COLUMNS_UNCHECKED,
    /** A column is defined with one check at most; further ones are the table's. */
    ONE_CHECK_A_COLUMN,
    /** A column that the engine numbers has a sequence, named after its table and itself. */
    COLUMNS_HAVE_SEQUENCES,
    /** Rows have hidden columns that name their table and the transactions that made and removed them. */
    HIDDEN_ROW_COLUMNS,
    /** The name of a table in a query stands for its rows as values. */
    ROWS_BY_TABLE_NAME,
    /** Dates and timestamps can be infinite. */
    INFINITE_MOMENTS,
    /** A generated column is computed from no other that is. */
    GENERATED_READS_NO_GENERATED,
    /** A generated column takes nothing that hangs on the session: no zones, no enumerations as texts. */
    GENERATED_IS_IMMUTABLE,
    /** A generated column may be computed on reading. */
    VIRTUAL_COLUMNS,
    /** A check may not name a column that the engine numbers or that a foreign key changes. */
    CHECKS_WITHOUT_GOVERNED_COLUMNS,
    DEFERRABLE,
    ADD_CONSTRAINT,
    SET_DEFAULT_ACTION,
    /** SET NULL and SET DEFAULT on a deletion may name the columns that they change. */
    ACTIONS_NAME_COLUMNS,
    ON_UPDATE_ACTION,
    RESTRICT_ACTION,
    EXPRESSION_DEFAULTS,
    ASSIGNS_ON_UPDATE,
    /** Columns need no place in GROUP BY beside the primary key of their table. */
    KEYS_GROUP_COLUMNS,
    /** What an engine assigns by itself is assigned at every UPDATE, also at one that changes no value. */
    ASSIGNS_AT_EVERY_UPDATE,
    ALTER_COLUMN,
    /** DROP ... CASCADE. */
    CASCADE,
    /** Columns of a primary key have to say NOT NULL. */
    KEYS_SAY_NOT_NULL,
    /** A column that the engine numbers is written INTEGER PRIMARY KEY. */
    ROWID_KEYS,
    /** A cast to CHAR or BINARY without a length keeps the whole value. */
    CAST_KEEPS_LENGTH,
    /** The complement of a number has no sign. */
    UNSIGNED_BITS,
    /** A recursive common table has to name its columns. */
    RECURSION_NAMES_COLUMNS,
    /** The order of a UNION names its columns by their places. */
    UNION_ORDER_BY_PLACE,
    /** A column of a set operation has a name only if all parts call it alike. */
    UNION_NAMES_AGREE,
    /** An alias of a query in FROM may name its columns. */
    DERIVED_COLUMN_NAMES,
    /** The rows of a query in FROM come in its order, though the standard says nothing of it. */
    DERIVED_ROWS_KEEP_ORDER,
    /** A quotient of exact numbers is a floating-point number. */
    QUOTIENTS_ARE_FLOATS,
    /** A quotient of large whole numbers has few digits behind the point, or none. */
    LARGE_QUOTIENTS_LOSE_DIGITS,
    /** A quotient has four digits more than the dividend. */
    FOUR_DIGITS_OF_DIVISION,
    /** A quotient, or an average, has six digits more than the dividend, up to twelve. */
    SIX_DIGITS_OF_DIVISION,
    /** A quotient of exact numbers may have as few as six digits behind the point, fewer than its types would hold. */
    SHORT_QUOTIENTS,
    /** Quotients and averages of money are money, with four digits behind the point. */
    MONEY_STAYS_MONEY,
    /** Brackets in a LIKE pattern hold characters. */
    LIKE_RANGES,
    /** Nothing begins at the place 0 of a text. */
    PLACE_0_IS_NONE,
    /** EXTRACT gives decimals, which no function takes for whole numbers. */
    PARTS_OF_DATES_ARE_DECIMALS,
    /** The place 0 of a text is its first one; elsewhere the one before it. */
    PLACE_0_IS_FIRST,
    /** A negative start of SUBSTR counts from the end. */
    NEGATIVE_SUBSTRING,
    /** Sequences say how many numbers are kept ready. */
    SEQUENCE_CACHE,
    /** An index is made in a schema that is named. */
    QUALIFIED_INDEX_NAMES,
    /** An index may be made without a name. */
    UNNAMED_INDEXES,
    /** Temporary tables may lose their rows at the end of the transaction. */
    ROWS_UNTIL_COMMIT,
    /** A column that the engine numbers may be of a decimal type. */
    DECIMAL_IDENTITIES,
    /** Arguments may be named in calls. */
    NAMED_ARGUMENTS,
    /** Any function may stand in FROM. */
    TABLE_FUNCTIONS,
    /** There are procedures to call. */
    PROCEDURES,
    /** Foreign keys say what happens to the rows that refer to one that goes. */
    FOREIGN_KEY_ACTIONS,
    /** A transaction has savepoints. */
    SAVEPOINTS,
    /** A star may stand behind or before other columns. */
    STAR_BESIDE_COLUMNS,
    /** A table made like the rows of a query may be left empty. */
    TABLE_AS_WITHOUT_DATA,
    /** The schema for names without one may be set. */
    CURRENT_SCHEMA,
    /** A key that a row brings with it moves the counter of its column on. */
    KEYS_MOVE_COUNTERS,
    /** A common table may read itself without the word RECURSIVE. */
    RECURSION_IS_IMPLIED,
    /** There is a cast to whole numbers without a sign. */
    UNSIGNED_CASTS,
    /** A cast of bytes to a text reads them as characters. */
    CASTS_DECODE_BYTES,
    /** A column may be added only if it is not there. */
    PARTS_IF_NOT_EXISTS,
    /** A text such as NaN is a floating-point number where one is wanted. */
    SPECIAL_FLOAT_TEXTS,
    /** A text such as NaN is an exact number where one is wanted. */
    SPECIAL_DECIMAL_TEXTS,
    /** The engine numbers a column from 1 and by 1, whatever is asked for. */
    NUMBERS_BY_ONE,
    /** A star over a RIGHT JOIN by name gives the columns of the right table first. */
    RIGHT_TABLE_FIRST,
    /** A floating-point column holds neither NaN nor infinity. */
    FLOATS_ARE_NUMBERS,
    /** ROUND rounds to digits behind the point only. */
    ROUNDS_FRACTIONS_ALONE,
    /** HAVING without groups or aggregates chooses single rows. */
    HAVING_OF_ROWS,
    /** HAVING without groups, aggregates or columns is asked of each row, not once of all rows. */
    HAVING_ASKS_EACH_ROW,
    /** Whole numbers are shifted as 64 bits, whatever their type. */
    SHIFTS_OF_64_BITS,
    /** The default of a column may read other columns of the row. */
    DEFAULTS_READ_COLUMNS,
    /** There are views for the session. */
    TEMPORARY_VIEWS,
    /** Primary and unique keys are promises that the engine does not check. */
    KEYS_ARE_PROMISES,
    /** The values of an INSERT may read those before them in their row. */
    VALUES_READ_COLUMNS,
    /** However often a row asks for the next number of a sequence, it gets one. */
    SEQUENCES_STEP_ONCE_A_ROW,
    /** The current number of a sequence is that of an earlier statement. */
    CURRENT_NUMBER_IS_OLDER,
    /** Bytes in a column of a fixed length are filled up with zeros. */
    BINARIES_FILLED_UP,
    /** A foreign key may refer to any columns with an index, also where rows share their values. */
    REFERENCES_ANY_INDEX,
    /** Foreign keys are promises, unless a connection asks for the check. */
    REFERENCES_ARE_PROMISES,
    /** A UNIQUE constraint takes two NULLs for the same value. */
    UNIQUE_KEYS_TAKE_ONE_NULL,
    /** A unique index takes two NULLs for the same value. */
    NULLS_ARE_DUPLICATES,
    /** A unique index of several columns does so where another of them is not NULL. */
    NULLS_ARE_DUPLICATES_IN_PART,
    /** A time without a zone that meets an instant is taken for one of UTC, not of the session's zone. */
    PLAIN_TIMES_ARE_UTC,
    /** A star of one table leaves out the columns by which USING joins it. */
    STARS_PASS_OVER_JOINED_COLUMNS,
    /** A column of USING is not called by the name of a table. */
    JOINED_COLUMNS_HAVE_NO_TABLE,
    /** Constraints that have a name stand apart from the columns. */
    COLUMN_CONSTRAINTS_HAVE_NO_NAMES,
    /** Long texts are large objects, which are not compared, sorted or grouped. */
    LONG_TEXTS_DO_NOT_COMPARE,
    /** There is a table for every series of whole numbers, seq_1_to_10. */
    SERIES_TABLES,
    /** Numbers of a recursive query are rounded to the type of the first rows. */
    FIRST_ROWS_GIVE_TYPES,
    /** Columns of a recursive query take whatever the further rows hold. */
    RECURSION_FITS_ALL_ROWS,
    /** Columns of a recursive query are of one type in the first and in the further rows, to the last digit. */
    RECURSION_WANTS_SAME_TYPES,
    /** A recursive query ends after 100 rounds where nothing else is said. */
    RECURSION_OF_100_ROUNDS,
    /** A recursive query ends after 1,000 rounds where nothing else is said. */
    RECURSION_OF_1000_ROUNDS,
    /** ALTER TABLE ... DROP COLUMN takes no CASCADE. */
    COLUMNS_GO_WITHOUT_CASCADE,
    /** A plus between values of which one is a text puts them together, which || does, too. */
    PLUS_JOINS_TEXTS,
    /** LEFT and RIGHT of a length below zero give all but so many characters of the other end. */
    LENGTHS_BELOW_ZERO,
    /** SUBSTRING with a length below zero gives nothing; elsewhere it is an error, or counts backwards. */
    LENGTHS_BELOW_ZERO_ARE_NOTHING,
    /** The remainder of a division is that of whole numbers, or has no more digits than they would have. */
    REMAINDERS_ARE_WHOLE,
    /** What is added to a moment leaves it without a fraction of its second. */
    MOMENTS_ARE_WHOLE_SECONDS,
    /** A part of a unit of time counts: two and a half hours are 150 minutes. */
    UNITS_HAVE_PARTS,
    /** Parts of seconds count, whatever becomes of those of other units. */
    SECONDS_HAVE_PARTS,
    /** Amounts of units of time are rounded; elsewhere their fractions are cut off. */
    UNITS_ARE_ROUNDED,
    /** An UPDATE or a DELETE has no query on the table that it changes. */
    CHANGED_TABLE_IS_NOT_READ,
    /** The engine numbers one column of a table at most. */
    ONE_NUMBERED_COLUMN,
    /** Tables take another name. */
    RENAMES_TABLES,
    /** Indexes take another name. */
    RENAMES_INDEXES,
    /** Constraints take another name. */
    RENAMES_CONSTRAINTS,
    /** Other names are given by a statement of their own, RENAME TABLE or INDEX ... TO. */
    RENAME_STATEMENT,
    /** A primary key is dropped by DROP PRIMARY KEY. */
    DROPS_PRIMARY_KEY,
    /** A primary key without a name is called as its table, followed by _pkey. */
    KEYS_ARE_NAMED_AFTER_TABLES,
    /** A primary key has no name but PRIMARY. */
    PRIMARY_KEYS_HAVE_NO_NAMES,
    /** ALTER TABLE drops and renames an index; the index of a unique key is one with the key. */
    ALTER_DROPS_INDEXES,
    /** SELECT ... INTO makes a table. */
    SELECT_INTO,
    /** A number sign before its name makes a table temporary. */
    TEMPORARY_BY_NAME,
    /** A change of a column is its whole definition: what it does not say is gone. */
    COLUMNS_CHANGE_AS_A_WHOLE,
    /** A change of a column's type says NOT NULL too, or NULL is allowed from then on. */
    COLUMNS_CHANGE_WITH_NOT_NULL,
    /** Who may SELECT from a sequence may draw numbers from it. */
    SEQUENCES_GIVE_TO_SELECT,
    /** Who may INSERT into a sequence may draw numbers from it. */
    SEQUENCES_GIVE_TO_INSERT,
    /** Who may UPDATE a sequence may draw numbers from it. */
    SEQUENCES_GIVE_TO_UPDATE,
    /** FROM may have a JSON_TABLE. */
    JSON_TABLE,
    /** A column of a JSON_TABLE that holds a document says FORMAT JSON. */
    JSON_COLUMNS_SAY_FORMAT,
    /** A path to the members of a list takes what is no list for a list of one ("lax mode", ISO/IEC 9075-2). */
    JSON_PATHS_TAKE_ONE_FOR_MANY,
    /** FROM may have an OPENJSON. */
    OPENJSON,
    /** A function gives the parts of a document, for a path of the standard, as rows. */
    JSON_PATH_ROWS,
    /** The difference of two timestamps is an interval of days and parts of them. */
    TIMESTAMPS_DIFFER_BY_INTERVALS,
    /** CREATE TABLE AS may name keys beside its query. */
    KEYS_BESIDE_QUERY,
    /** A temporary table is in a schema of its own, which its name must not say. */
    TEMPORARY_WITHOUT_SCHEMA,
    /** A view may be made only if it is not there. */
    VIEW_IF_NOT_EXISTS,
    /** A column that is added without a default and refuses NULL gets 0 or an empty text in the rows that are there. */
    ADDED_COLUMNS_ARE_FILLED,
    /** A default is a constraint, which is dropped by its name alone. */
    DEFAULTS_ARE_CONSTRAINTS,
    /** NULL for a column that the engine numbers stands for the next number. */
    NULL_IS_NUMBERED,
    /** 0 for a column that the engine numbers stands for the next number. */
    ZERO_IS_NUMBERED,
    /** A number that a row brings for a column that the engine numbers is counted: greater ones follow. */
    GIVEN_NUMBERS_COUNT,
    /** The number last given is that of the first row of a statement with several. */
    LAST_NUMBER_IS_OF_FIRST_ROW,
    /** Every mention of the next value of a sequence in a row draws another one. */
    EVERY_MENTION_DRAWS,
    /** The next number of a column that the engine numbers may be set. */
    IDENTITY_RESTARTS,
    /** Functions and procedures may share a name, if their arguments differ. */
    ROUTINES_ARE_OVERLOADED,
    /** Triggers, rules and policies belong to their tables, each of which may have one of a name. */
    TABLES_HAVE_TRIGGERS,
    /** An index belongs to its table, by which it is dropped. */
    INDEXES_OF_TABLES,
    /** Columns of XML and JSON cannot stand in a sorted index. */
    DOCUMENTS_HAVE_NO_ORDER,
    /** The type of instants holds those from 1970 until 2038. */
    INSTANTS_UNTIL_2038,
    /** A unique index takes values of any length. */
    UNIQUE_KEYS_OF_ANY_LENGTH,
    /** A computed column may be kept out of queries that do not name it. */
    HIDDEN_COLUMNS,
    /** FETCH FIRST may say a share of the rows. */
    FETCH_PERCENT,
    /** A column that is added may refuse NULL at once. */
    ADD_COLUMN_NOT_NULL,
    /** A synonym may take the place of one that is there. */
    REPLACES_SYNONYMS,
    /** A date may be written 10/31/2026. */
    DATES_BY_SLASHES,
    /** A date may be written 31.10.2026, and means the same whatever the settings. */
    DATES_BY_DOTS,
    /** A date may be written 31-OCT-2026. */
    DATES_BY_MONTH_NAMES,
    /** Bytes that are cast to a date are those in which it is stored. */
    BYTES_ARE_DATES,
    /** A database is what others call a schema. */
    DATABASES_ARE_SCHEMAS,
    /** A column that is there may be numbered from then on. */
    ADD_IDENTITY,
    /** A foreign key has an index of its columns, which the engine makes if there is none. */
    FOREIGN_KEYS_ARE_INDEXED,
    /** A column that the engine numbers has to be the first of a key. */
    NUMBERED_COLUMNS_ARE_KEYS,
    /** A number added to a timestamp, not to a date, is one of days. */
    TIMESTAMP_PLUS_DAYS,
    /** A computed column may refuse NULL. */
    GENERATED_NOT_NULL,
    /** NULL may stand without a type among what is selected. */
    NULL_ITEMS,
    /** TRUNCATE lets numbered columns begin anew. */
    TRUNCATE_RESTARTS,
    /** TRUNCATE lets numbered columns begin anew if it says so. */
    TRUNCATE_MAY_RESTART,
    /** An index may be made only if it is not there. */
    INDEX_IF_NOT_EXISTS,
    /** COMMENT ON is there for schemas, sequences, indexes and types as well. */
    COMMENT_ON_ALL,
    /** The comment of a view is written as that of a table. */
    VIEWS_COMMENT_AS_TABLES,
    /** An INSERT may give numbers to a column that the engine always numbers. */
    OVERRIDING,
    /** A row may bring a number for a numbered column only after a statement that allows it. */
    KEYS_NEED_LEAVE,
    /** A computed column has the type of its expression and says none. */
    COMPUTED_WITHOUT_TYPE,
    /** ALTER TABLE may be skipped if the table is not there. */
    ALTER_IF_EXISTS,
    /** A column or constraint may be dropped only if it is there. */
    PARTS_IF_EXISTS,
    /** A long text may have a constant as its default. */
    TEXT_DEFAULTS,
    /** A check may read the time of day. */
    CHECKS_READ_CLOCK,
    /** A foreign key has to name the columns that it refers to. */
    REFERENCES_NAME_COLUMNS,
    /** A column has to refuse NULL before it becomes a part of a primary key. */
    KEYS_WANT_NOT_NULL,
    /** A query that is compared with may have a limit. */
    LIMIT_IN_SUBQUERY,
    /** Texts may be put together once each with a separator of choice. */
    DISTINCT_WITH_SEPARATOR,
    /** Texts may be put together in an order. */
    ORDERED_TEXTS,
    /** Temporary tables of a session are in the schema SESSION. */
    TEMPORARY_IN_SESSION,
    /** A date has a time of day. */
    DATES_HAVE_TIME,
    /** A column that is a call, and has no name of its own, is called by the function. */
    NAMES_BY_FUNCTION,
    /** FOR UPDATE OF names tables */
    LOCKS_NAME_TABLES,
    /** FOR UPDATE OF names columns */
    LOCKS_NAME_COLUMNS,
    /** A query that locks reads one table */
    LOCKS_ONE_TABLE,
    /** FOR UPDATE NOWAIT */
    LOCKS_NOWAIT,
    /** FOR UPDATE WAIT with a number of seconds */
    LOCKS_WAIT_SECONDS,
    /** A query may lock its rows against changes only */
    SHARED_LOCKS,
    /** CURRENT_TIMESTAMP has the session's zone. */
    PRESENT_HAS_ZONE,
    /** A timestamp of whole seconds is not compared with an instant. */
    INSTANTS_MEET_NO_SECONDS,
    /** No type has a zone; instants are kept in UTC. */
    INSTANTS_IN_UTC,
    /** A default of the present has as many digits as its column. */
    PRESENT_AS_LONG_AS_COLUMN,
    /** The present has fractions of its second without being asked for them. */
    PRESENT_HAS_FRACTIONS,
    /** The present can be said in UTC. */
    UTC_PRESENT,
    /** Functions give dates as texts. */
    DATES_ARE_TEXTS,
    /** 0000-00-00 is a date. */
    ZERO_DATES,
    /** PERCENTILE_CONT and the like are taken over a window, and never of groups. */
    PERCENTILES_WANT_WINDOWS,
    /** PERCENTILE_CONT and the like may be taken over a window */
    WINDOW_PERCENTILES,
    /** Texts are put together over windows. */
    WINDOW_TEXTS,
    /** The rows of which a JSON document is made come in no order that can be said, and none are left out. */
    DOCUMENTS_OF_ROWS_AS_THEY_COME,
    /** What takes the place of a match refers to its groups by a dollar sign; elsewhere by a backslash. */
    GROUPS_BY_DOLLAR,
    /** A block of a routine may rescue what fails in it, which undoes what the block changed. */
    BLOCKS_RESCUE,
    /** Triggers fire for the rows that a foreign key changes or removes. */
    TRIGGERS_SEE_CASCADES,
    /** The last number is that of a trigger where one gives numbers to rows of its own. */
    LAST_NUMBER_OF_TRIGGERS,
    /** {@code @x} is a variable of the session, without a declaration. */
    SESSION_VARIABLES,
    /** A trigger does not fire for what it does itself, unless the database is set so. */
    TRIGGERS_DO_NOT_FIRE_THEMSELVES,
    /** CREATE OR REPLACE takes routines and triggers. */
    ROUTINES_ARE_REPLACED,
    /** There are triggers, and no code besides. */
    TRIGGERS_ALONE,
    /** Routines are written in another language than SQL. */
    CODE_OF_OTHER_LANGUAGES,
    /** A block of a routine has handlers for what fails in it. */
    BLOCKS_HANDLE,
    /** What a block changed before an error stays when that is handled. */
    HANDLERS_KEEP_CHANGES,
    /** Variables of routines hold rows, and cursors have parameters. */
    ROW_VARIABLES,
    /** A sequence keeps numbers ahead for each session, which are lost at its end; elsewhere for all of them. */
    SESSIONS_KEEP_NUMBERS,
    /** CONCAT shows truth values by their first letters; {@code ||} and casts by their words. */
    CONCAT_ABBREVIATES_TRUTHS,
    /** Code may run a statement that it puts together as a text, with EXECUTE IMMEDIATE. */
    EXECUTES_TEXTS,
    /** A query that code runs as a text hands its rows to the caller. */
    TEXTS_GIVE_ROWS,
    /** A FETCH behind the last row is no error, and no condition that a handler handles. */
    FETCH_ENDS_QUIETLY,
    /** The number of rows that an UPDATE changed has those alone whose values are others now. */
    COUNTS_CHANGED_ROWS,
    /** A routine may go through the rows of a query with FOR. */
    LOOPS_OVER_ROWS,
    /** A routine may go through whole numbers with FOR. */
    LOOPS_OVER_NUMBERS,
    /** The columns of the rows of such a loop are variables, and no parts of a row. */
    ROWS_OF_LOOPS_ARE_COLUMNS,
    /** A query among the statements of a procedure hands its rows to the caller. */
    QUERIES_OF_CODE_GIVE_ROWS,
    /** Code may set savepoints, and end a transaction. */
    CODE_ENDS_TRANSACTIONS,
    /** A trigger may fire for the change of some columns alone. */
    TRIGGERS_WATCH_COLUMNS,
    /** JSON documents are put together over windows. */
    WINDOW_DOCUMENTS,
    /** A truth value that becomes a text is TRUE or FALSE; elsewhere true or false. */
    TRUTHS_SHOWN_IN_CAPITALS,
    /** A number of days that is added to a date may have a fraction. */
    FRACTIONS_OF_DAYS,
    /** A search in a text that starts at a negative place goes back from the end. */
    SEARCHES_BACK,
    /** UPDATE may name a table of FROM, which may be joined in any way */
    UPDATE_NAMES_JOINED,
    /** The alias of a function in FROM is also the name of its column */
    FUNCTION_ALIAS_NAMES_COLUMN,
    /** $1 names a column by its place */
    PLACES_BY_DOLLAR,
    /** The columns of VALUES are called column1 and so on. */
    VALUES_NAME_COLUMN1,
    /** The columns of VALUES are called C1 and so on. */
    VALUES_NAME_C1,
    /** The columns of VALUES are called col0 and so on. */
    VALUES_NAME_COL0,
    /** A table may say how the texts of all its columns compare. */
    TABLE_COLLATIONS,
    /** LIKE takes small and capital letters for the same, whatever the column. */
    LIKE_IGNORES_CASE,
    /** A value may be compared with ANY or ALL rows of a query. */
    QUANTIFIED_COMPARISONS,
    /** A cast of a number to a whole type rounds; elsewhere it cuts the fraction off. */
    CASTS_ROUND,
    /** Truth values may be cast to any type of numbers. */
    CASTS_BOOLEANS,

    /** Truth values may be cast to whole numbers of 32 bits, and to no other type of numbers. */
    CASTS_BOOLEANS_TO_INT,
    /** A cast to a text type with a length cuts what is longer. */
    CASTS_CUT_TEXTS,
    /** A sum of whole numbers of 32 bits is one, and overflows beyond them. */
    SUMS_KEEP_TYPE,
    /** The average of whole numbers is whole. */
    WHOLE_AVERAGES,
    /** An average has as many digits behind the point as what it is taken of. */
    AVERAGES_KEEP_SCALE,
    /** A quotient of exact numbers has hardly more digits behind the point than these have. */
    FEW_DIGITS_OF_DIVISION,
    /** A whole number divided by one with a fraction has few digits behind the point. */
    FEW_DIGITS_OF_WHOLE_NUMBERS,
    /** A cast of a quotient to a whole type rounds halves to the even number. */
    HALVES_TO_EVEN,
    /** A date may be compared with a timestamp. */
    DATES_BESIDE_TIMESTAMPS,
    /** A number of a decimal type without a fraction is a whole number, in divisions too. */
    WHOLE_DECIMALS,
    /** A number with an exponent is a decimal one, not a floating-point number. */
    EXPONENTS_ARE_EXACT,
    /** A trigger changes no rows of the table that it watches. */
    TRIGGERS_SPARE_THEIR_TABLE,
    /** A text of a fixed length has blanks at its end up to that length. */
    CHARACTERS_ARE_PADDED,
    /** Blanks at the end of a text of a fixed length are no part of it wherever it is taken as a text. */
    FIXED_TEXTS_LOSE_BLANKS,
    /** Patterns meet those blanks, though functions do not. */
    PATTERNS_MEET_PADDING,
    /** Parts of dates, and differences of dates, are numbers with a fraction, though it is zero. */
    FRACTIONAL_PARTS,
    /** A quotient has so many digits behind the point that few are left before it. */
    NARROW_QUOTIENTS,
    /** MERGE may change rows that the source does not have. */
    MERGE_BY_SOURCE,
    /** A cast may give NULL for what cannot be converted. */
    SAFE_CASTS,
    /** A text that is cast to a number gives the number with which it begins, or 0. */
    LENIENT_NUMBERS,
    /** WITH may stand before UPDATE, DELETE and MERGE. */
    COMMON_TABLES_BEFORE_CHANGES,
    /** WITH stands before the whole statement, not before the query of an INSERT. */
    COMMON_TABLES_LEAD,
    /** MERGE has WHEN ... THEN DO NOTHING. */
    MERGE_DO_NOTHING,
    /** UPDATE assigns one column after the other, so that later values read the new ones. */
    ASSIGNS_IN_ORDER,
    /** A decimal number with too many digits for its column or cast is cut, not rounded. */
    DECIMALS_ARE_CUT,
    /** A decimal column or cast keeps digits beyond those of its type. */
    DECIMALS_KEEP_DIGITS,
    /** INSERT ... ON CONFLICT takes two NULLs of one statement for the same key, and wants the key named for an update. */
    NULLS_CONFLICT,
    /** A decimal number that is a half beyond its column or cast is rounded towards zero. */
    HALVES_TOWARDS_ZERO,
    /** (a, b) IN ((1, 2), ...) is unknown for every row with a NULL, also where another value differs. */
    ROW_LISTS_BLUR_NULLS,
    /** The operator of whole division gives the exact quotient of numbers with a fraction. */
    WHOLE_DIVISION_KEEPS_FRACTIONS,
    /** A text of a backslash, x and digits is those bytes where bytes are wanted. */
    TEXTS_OF_HEX_BYTES,
    /** A text of hexadecimal digits is read as bytes where bytes are wanted. */
    BYTES_ARE_HEX_TEXTS,
    /** Constant bytes have to be cast for a large object. */
    BLOBS_WANT_CASTS,
    /** A number such as 1260131 is a date: its digits less those of the year 1900. */
    DATES_COUNT_FROM_1900,

    /** A number such as 20260131 is a date where one is wanted. */
    DATES_ARE_NUMBERS_TOO,
    /** DEFAULT may stand among values for a generated column. */
    DEFAULT_FOR_GENERATED,
    /** A text that goes into a column of JSON is read as JSON. */
    JSON_COLUMNS_PARSE,
    /** In a text that is cast to bytes a backslash, x and two digits stand for one of them. */
    TEXTS_OF_ESCAPED_BYTES,
    /** VALUES takes no function that makes JSON; a query has to give such rows. */
    VALUES_ARE_CONSTANTS,
    /** An item of SELECT may be read under its alias by other items and by WHERE. */
    ALIASES_IN_EXPRESSIONS,
    /** A number in GROUP BY is no place of the select list. */
    GROUP_BY_WITHOUT_PLACES,
    /** An expression in ORDER BY may read an item of SELECT under its alias. */
    ALIASES_IN_ORDER_EXPRESSIONS,
    /** The column of a series is named X. */
    SERIES_COLUMN_IS_X,
    /** The column of a series is named value. */
    SERIES_COLUMN_IS_VALUE,
    /** The aggregate that puts texts together takes nothing but texts, and with DISTINCT only their own order. */
    JOINED_TEXTS_ARE_TEXTS,
    /** COUNT(DISTINCT ...) takes a row of values. */
    ROWS_ARE_COUNTED,
    /** A hidden column _ROWID_ tells rows apart. */
    ROWID_BETWEEN_LINES,
    /** A user is told apart by the host from which it comes. */
    GRANTEES_HAVE_HOSTS,
    /** Rights on all tables of a schema are given by schema.*, and reach tables that are made later. */
    GRANTS_BY_STAR,
    /** Rights on all tables of a schema are given in words, and reach those that are there. */
    GRANTS_ON_ALL_TABLES,
    /** A date that becomes a text looks as the settings of the session say. */
    DATES_SHOWN_BY_SETTINGS,
    /** A number that becomes a text has no zero before its point and none at its end. */
    NUMBERS_SHOWN_SHORT,
    /** A number that is cast to a truth value becomes one. */
    CASTS_MAKE_TRUTH,
    /** AT TIME ZONE can be said. */
    AT_TIME_ZONE,
    /** AT TIME ZONE turns plain times into instants, and instants into plain times. */
    ZONES_TURN_TIMES,
    /** AT TIME ZONE turns plain times into instants of that zone. */
    ZONES_TAKE_PLAIN_TIMES,
    /** A time zone that is given by its distance from UTC counts to the west. */
    ZONES_COUNT_WESTWARDS,
    /** A time zone has a name; distances are none. */
    ZONES_BY_NAME_ALONE,
    /** ROW_NUMBER() needs no order of rows. */
    ROW_NUMBERS_WITHOUT_ORDER,
    /** Functions that rank rows or look at others, and frames, need no order of rows. */
    RANKS_WITHOUT_ORDER,
    /** The order of a window's rows may be a constant. */
    WINDOWS_ORDERED_BY_CONSTANTS,
    /** A unique identifier has a type of its own, and has to be made a text where one is wanted. */
    UNIQUE_IDS_ARE_NO_TEXTS,
    /** Columns of a fixed length compare with each other, and with constants, as if padded. */
    FIXED_TEXTS_COMPARE_PADDED,
    /** Blanks at the end count where one of the two is of varying length (nonpadded comparison semantics). */
    VARYING_TEXTS_COMPARE_BLANKS,
    /** A number of one digit, or a bit, holds what is true or not, and its type says which. */
    NUMBERS_HOLD_TRUTH,
    /** A change of a column's type may say what becomes of its values. */
    TYPE_CHANGES_CONVERT,
    /** Time zones have the names that Windows gives them. */
    ZONES_OF_WINDOWS,
    /** Time zones have names where the server's tables of them have been filled. */
    ZONES_BY_TABLES,
    /** A time with a zone that is cast to one without is what it shows, not the time of the session. */
    CASTS_KEEP_LOCAL_TIME,
    /** A time with a zone keeps the instant alone. */
    INSTANTS_LOSE_ZONES,
    /** The last number that was given changes within an INSERT that makes the engine give further ones. */
    LAST_NUMBER_MOVES,
    /** The last number is that of the first row where an INSERT made several. */
    LAST_NUMBER_IS_FIRST,
    /** The columns of a query that fills a new table go into those of their names, not of their places. */
    TABLES_FILLED_BY_NAME,
    /** A path of JSON with wildcards gives a list of all parts that it finds. */
    JSON_WILDCARDS_LIST,
    /** The groups of a query come in the order of what they are grouped by, though nobody asked for it. */
    GROUPS_COME_SORTED,
    /** A place in a text, a length and how many digits are said by whole numbers of 32 bits alone. */
    NARROW_POSITIONS,
    /** Such a number loses its fraction. */
    POSITIONS_ARE_CUT,
    /** Masks of dates fill all fields up; there is no FM ("VARCHAR_FORMAT"). */
    MASKS_FILL_UP,
    /** ROWNUM and LEVEL are columns of every query. */
    ROW_NUMBERS
}
