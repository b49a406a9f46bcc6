package raftcart.dialect;

/**
 * What an engine can do.
 *
 * @param schemasInDatabase true where a connection sees several schemas beside each other in one database
 * @param comparesIgnoringCase true where text compares without regard to case unless told otherwise
 * @param expressionIndexes true where an index part may be an expression
 * @param prefixIndexes true where an index part may be the first characters of a column
 * @param partialIndexes true where an index may have a condition
 * @param virtualColumns true where a generated column may be computed on reading
 * @param setDefaultAction true where ON DELETE SET DEFAULT is carried out
 * @param deferrableKeys true where a foreign key may be checked at the end of the transaction
 * @param assignsOnUpdate true where a column may be assigned at every update of its row
 * @param indexNamesPerSchema true where the name of an index must be unique in its schema, not just on its table
 * @param namedTypes true where an enumeration is an object with a name of its own
 * @param checksOnGovernedColumns true where a check may name a column that the engine numbers or that a foreign
 *     key changes
 * @param columnsIgnoreCase true where two columns of a table may not differ in case alone
 * @param nullForDivisionByZero true where a division by zero gives NULL rather than an error
 * @param digitsOfDivision the fractional digits that an exact division adds to those of its dividend, with the result
 *     rounded to them; 0 where it keeps as many as make sense
 */
public record Capabilities(
        boolean schemasInDatabase,
        boolean comparesIgnoringCase,
        boolean expressionIndexes,
        boolean prefixIndexes,
        boolean partialIndexes,
        boolean virtualColumns,
        boolean setDefaultAction,
        boolean deferrableKeys,
        boolean assignsOnUpdate,
        boolean indexNamesPerSchema,
        boolean namedTypes,
        boolean checksOnGovernedColumns,
        boolean columnsIgnoreCase,
        boolean nullForDivisionByZero,
        int digitsOfDivision) {}
