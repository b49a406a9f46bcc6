package raftcart.dialect;

/** What one engine can do and another cannot, as far as translation has to know. */
public enum Feature {
    /** A connection sees several schemas beside each other in one database. */
    SCHEMAS_IN_DATABASE,
    /** Text compares without regard to case unless told otherwise. */
    COMPARES_IGNORING_CASE,
    /** An index part may be an expression. */
    EXPRESSION_INDEXES,
    /** An index part may be the first characters of a column. */
    PREFIX_INDEXES,
    /** An index may have a condition. */
    PARTIAL_INDEXES,
    /** A generated column may be computed on reading. */
    VIRTUAL_COLUMNS,
    /** ON DELETE SET DEFAULT is carried out. */
    SET_DEFAULT_ACTION,
    /** A foreign key may be checked at the end of the transaction. */
    DEFERRABLE_KEYS,
    /** A column may be assigned at every update of its row. */
    ASSIGNS_ON_UPDATE,
    /** The name of an index must be unique in its schema, not just on its table. */
    INDEX_NAMES_PER_SCHEMA,
    /** An enumeration is an object with a name of its own. */
    NAMED_TYPES,
    /** A check may name a column that the engine numbers or that a foreign key changes. */
    CHECKS_ON_GOVERNED_COLUMNS,
    /** Two columns of a table may not differ in case alone. */
    COLUMNS_IGNORE_CASE,
    /** A division by zero gives NULL rather than an error. */
    NULL_FOR_DIVISION_BY_ZERO
}
