package raftcart.dialect;

import java.util.List;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.type.ValueForm;

/** Expressions that bring a column's values into a given form inside the engine; docs/values.md describes the forms. */
public interface ValueSql {
    /** What stands after FROM to read the rows of a table itself. */
    String rowsOf(Table table);

    /** The canonical text of a column's values; NULL stays NULL. */
    String canonical(Column column, ValueForm form);

    /**
     * A query of one row: the number of rows, and the sums of both 64-bit halves of every row's MD5, each right modulo
     * 2^64. The rows' texts are put together from the canonical fields so that no two different rows have the same text.
     */
    String digestQuery(String fromClause, List<DigestField> fields);

    /**
     * A query of one row with a number for each field: the sum of the first 64 bits of the MD5 of its texts, right
     * modulo 2^64. It tells which columns of two tables differ.
     */
    String columnDigestsQuery(String fromClause, List<DigestField> fields);

    /**
     * The condition under which a date or timestamp of this engine is no date at all, such as the year zero with month
     * zero; empty where the engine has no such values.
     */
    String impossibleDate(Column column);

    /** The condition under which a column's number is more than a truth value; empty where the engine has those. */
    String moreThanTruth(Column column);

    /**
     * The numbers of digits before and behind the point of a column's number that has no precision; empty where the engine has
     * no such numbers.
     */
    List<String> digits(Column column);

    /** A value in its form as a constant that a column of this form is compared with. */
    String constant(String value, ValueForm form);

    /** A UUID that ends in the digits of a whole number, given as an expression. */
    String uuidOfNumber(String number);

    /** A field of the digest: its canonical expression and whether its text can hold any character. */
    record DigestField(String canonical, boolean freeText) {}
}
