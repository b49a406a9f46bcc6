package raftcart.dialect.postgresql;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.dialect.Identifiers;
import raftcart.dialect.ValueSql;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/**
 * Canonical values in PostgreSQL. The session's settings are those that the adapter makes: UTC, DateStyle ISO,
 * IntervalStyle postgres.
 */
final class PgValues implements ValueSql {
    private final Identifiers identifiers;

    PgValues(Identifiers identifiers) {
        this.identifiers = identifiers;
    }

    /** "Inheritance": the rows of a partitioned table are all in its partitions; without ONLY the rows of tables that inherit would be counted here and there. */
    @Override
    public String rowsOf(Table table) {
        return (table.partitioning().isPresent() ? "" : "ONLY ") + identifiers.quote(table.name());
    }

    @Override
    public String moreThanTruth(Column column) {
        return "";
    }

    @Override
    public List<String> digits(Column column) {
        String name = identifiers.quote(column.name());
        boolean open = column.type() instanceof LogicalType.Decimal d && d.precision() == 0;
        String finite = "CASE WHEN " + name + "::text ~ '^[-0-9.]+$' THEN ";
        return open
                ? List.of(finite + "length(trunc(abs(" + name + "))::text) END", finite + "scale(" + name + ") END")
                : List.of();
    }

    @Override
    public String constant(String value, ValueForm form) {
        boolean digits = (form == ValueForm.INTEGER || form == ValueForm.DECIMAL) && value.matches("-?[0-9.]+");
        return digits ? value : "'" + value.replace("'", "''") + "'";
    }

    @Override
    public String uuidOfNumber(String number) {
        return "lpad(to_hex((" + number + ")::bigint), 32, '0')::uuid";
    }

    @Override
    public String canonical(Column column, ValueForm form) {
        String name = identifiers.quote(column.name());
        LogicalType type = column.type();
        return switch (form) {
            case BOOLEAN -> type instanceof LogicalType.Bool ? name + "::int::text" : name + "::text";
            case INTEGER -> integer(name, type);
            case DECIMAL -> decimal(column.declaredType().equals("money") ? name + "::numeric" : name, type);
            case FLOATING -> "encode(float8send(" + name + "::float8), 'hex')";
            case TEXT -> text(name, type);
            case PADDED_TEXT -> "rtrim(" + name + "::text, ' ')";
            case BYTES -> "octet_length(" + name + ") || ':' || md5(" + name + ")";
            case BITS -> type instanceof LogicalType.Bool ? name + "::int::text" : name + "::text";
            case DATE -> type instanceof LogicalType.Timestamp ? name + "::date::text" : name + "::text";
            case TIMESTAMP -> type instanceof LogicalType.Date ? name + "::timestamp::text" : name + "::text";
            case TIME -> name + "::text";
            case DURATION -> "make_interval(secs => extract(epoch FROM " + name + ")::float8)::text";
            case INSTANT ->
                type instanceof LogicalType.Timestamp t && t.zoned()
                        ? "(" + name + " AT TIME ZONE 'UTC')::text"
                        : name + "::text";
        };
    }

    /** A number where the source has a whole one; the plan may have given it another type here. */
    private static String integer(String name, LogicalType type) {
        if (type instanceof LogicalType.Bool) {
            return name + "::int::text";
        }
        return type instanceof LogicalType.Decimal ? "trim_scale(" + name + ")::text" : name + "::text";
    }

    private static String decimal(String name, LogicalType type) {
        boolean whole = type instanceof LogicalType.Int
                || type instanceof LogicalType.Decimal d && d.precision() > 0 && d.scale() == 0;
        return type instanceof LogicalType.Bool
                ? name + "::int::text"
                : whole ? name + "::text" : "trim_scale(" + name + ")::text";
    }

    private static String text(String name, LogicalType type) {
        if (type instanceof LogicalType.Array array) {
            // Values of types of users' own are texts on any other side.
            return array.element() instanceof LogicalType.Opaque
                    ? "array_to_json(" + name + "::text[])::text"
                    : "array_to_json(" + name + ")::text";
        }
        return type instanceof LogicalType.Address ? "host(" + name + ")" : name + "::text";
    }

    @Override
    public String digestQuery(String fromClause, List<DigestField> fields) {
        String row = fields.stream().map(PgValues::field).collect(Collectors.joining(" || ',' || ", "'' || ", ""));
        // OFFSET 0 keeps the planner from putting md5 into both sums.
        return "SELECT count(*), " + sum(1) + ", " + sum(17) + " FROM (SELECT md5(" + row + ") AS h FROM " + fromClause
                + " OFFSET 0) AS digests";
    }

    @Override
    public String columnDigestsQuery(String fromClause, List<DigestField> fields) {
        return fields.stream()
                .map(f -> "coalesce(sum(('x' || left(md5(" + field(f) + "), 16))::bit(64)::bigint), 0)")
                .collect(Collectors.joining(", ", "SELECT ", " FROM " + fromClause));
    }

    private static String field(DigestField field) {
        String text = field.canonical();
        return field.freeText()
                ? "coalesce(octet_length(" + text + ") || ':' || " + text + ", 'N')"
                : "coalesce(" + text + ", 'N')";
    }

    private static String sum(int from) {
        return "coalesce(sum(('x' || substr(h, " + from + ", 16))::bit(64)::bigint), 0)";
    }

    @Override
    public String impossibleDate(Column column) {
        return "";
    }
}
