package raftcart.dialect.mariadb;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.dialect.Identifiers;
import raftcart.dialect.ValueSql;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Canonical values in MariaDB. The session's time zone is UTC and its character set utf8mb4. */
final class MariaDbValues implements ValueSql {
    private final Identifiers identifiers;

    MariaDbValues(Identifiers identifiers) {
        this.identifiers = identifiers;
    }

    @Override
    public String rowsOf(Table table) {
        return identifiers.quote(table.name());
    }

    @Override
    public String moreThanTruth(Column column) {
        return column.type() instanceof LogicalType.Bool ? identifiers.quote(column.name()) + " NOT IN (0, 1)" : "";
    }

    @Override
    public List<String> digits(Column column) {
        return List.of();
    }

    @Override
    public String constant(String value, ValueForm form) {
        boolean digits = (form == ValueForm.INTEGER || form == ValueForm.DECIMAL) && value.matches("-?[0-9.]+");
        return digits ? value : "'" + value.replace("\\", "\\\\").replace("'", "''") + "'";
    }

    @Override
    public String uuidOfNumber(String number) {
        return "INSERT(INSERT(INSERT(INSERT(LPAD(LOWER(HEX(" + number
                + ")), 32, '0'), 9, 0, '-'), 14, 0, '-'), 19, 0, '-'), 24, 0, '-')";
    }

    @Override
    public String canonical(Column column, ValueForm form) {
        String name = identifiers.quote(column.name());
        LogicalType type = column.type();
        return switch (form) {
            case BOOLEAN -> "CAST(" + name + " + 0 AS CHAR)";
            // ZEROFILL pads on output; adding nothing takes the padding away.
            case INTEGER -> decimal(name, type);
            case DECIMAL -> decimal(name, type);
            // "ST_AsWKB": a point's well-known binary holds the eight bytes of its coordinates, lowest first.
            case FLOATING -> "LOWER(HEX(REVERSE(SUBSTR(ST_AsWKB(POINT(" + name + ", 0)), 6, 8))))";
            case TEXT ->
                type instanceof LogicalType.Uuid || type instanceof LogicalType.Address
                        ? "CAST(" + name + " AS CHAR)"
                        : utf8(name);
            case PADDED_TEXT -> "TRIM(TRAILING ' ' FROM " + utf8(name) + ")";
            case BYTES -> bytes(name, type);
            case BITS ->
                type instanceof LogicalType.Bits bits
                        ? "LPAD(BIN(" + name + " + 0), " + bits.length() + ", '0')"
                        : type instanceof LogicalType.Bool ? "CAST(" + name + " + 0 AS CHAR)" : utf8(name);
            case DATE -> "CAST(" + (type instanceof LogicalType.Timestamp ? "DATE(" + name + ")" : name) + " AS CHAR)";
            case TIMESTAMP ->
                type instanceof LogicalType.Date
                        ? "CAST(CAST(" + name + " AS DATETIME) AS CHAR)"
                        : fraction(name, type);
            case TIME, DURATION, INSTANT -> fraction(name, type);
        };
    }

    private static String utf8(String name) {
        return "CONVERT(" + name + " USING utf8mb4)";
    }

    private static String bytes(String name, LogicalType type) {
        String value = type instanceof LogicalType.Opaque ? "ST_AsWKB(" + name + ")" : name;
        return "CONCAT(LENGTH(" + value + "), ':', MD5(" + value + "))";
    }

    private static String decimal(String name, LogicalType type) {
        // Only of a number with a point may zeros at its end be taken away.
        boolean pointed = type instanceof LogicalType.Decimal d && d.scale() > 0;
        return pointed ? trimmed(name + " + 0") : "CAST(" + name + " + 0 AS CHAR)";
    }

    private static String fraction(String name, LogicalType type) {
        boolean whole = (type instanceof LogicalType.Timestamp t && t.precision() == 0)
                || (type instanceof LogicalType.Duration d && d.precision() == 0);
        return whole ? "CAST(" + name + " AS CHAR)" : trimmed(name);
    }

    /** Without the zeros at the end of a fraction, and without its point if nothing is left of it. */
    private static String trimmed(String expression) {
        return "TRIM(TRAILING '.' FROM TRIM(TRAILING '0' FROM CAST(" + expression + " AS CHAR)))";
    }

    @Override
    public String digestQuery(String fromClause, List<DigestField> fields) {
        String row =
                fields.stream().map(MariaDbValues::field).collect(Collectors.joining(", ',', ", "CONCAT('', ", ")"));
        // With a LIMIT the inner query is carried out first; merged into the outer one, it would compute MD5 twice.
        return "SELECT COUNT(*), " + sum(1) + ", " + sum(17) + " FROM (SELECT MD5(" + row + ") AS h FROM " + fromClause
                + " LIMIT 18446744073709551615) AS digests";
    }

    @Override
    public String columnDigestsQuery(String fromClause, List<DigestField> fields) {
        return fields.stream()
                .map(f -> "COALESCE(SUM(CAST(CONV(LEFT(MD5(" + field(f) + "), 16), 16, 10) AS UNSIGNED)), 0)")
                .collect(Collectors.joining(", ", "SELECT ", " FROM " + fromClause));
    }

    private static String field(DigestField field) {
        String text = field.canonical();
        return field.freeText()
                ? "COALESCE(CONCAT(LENGTH(" + text + "), ':', " + text + "), 'N')"
                : "COALESCE(" + text + ", 'N')";
    }

    /** CONV gives a text; as a number it would be summed in floating point, as an unsigned integer it is exact. */
    private static String sum(int from) {
        return "COALESCE(SUM(CAST(CONV(SUBSTR(h, " + from + ", 16), 16, 10) AS UNSIGNED)), 0)";
    }

    @Override
    public String impossibleDate(Column column) {
        String name = identifiers.quote(column.name());
        boolean dated = column.type() instanceof LogicalType.Date || column.type() instanceof LogicalType.Timestamp;
        return dated ? "(MONTH(" + name + ") = 0 OR DAYOFMONTH(" + name + ") = 0)" : "";
    }
}
