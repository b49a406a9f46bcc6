package raftcart.dialect.postgresql;

import java.util.List;
import java.util.Set;
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.Identifiers;
import raftcart.dialect.TypeChoice;
import raftcart.finding.FindingCode;
import raftcart.type.LogicalType;
import raftcart.type.TypeVisitor;

/** Chooses PostgreSQL's type for a column. */
final class PgTypeChooser implements TypeVisitor<TypeChoice> {
    /** "Data Types": those that no other engine has, which come from PostgreSQL itself. */
    private static final Set<String> OWN = Set.of(
            "inet",
            "cidr",
            "macaddr",
            "macaddr8",
            "tsvector",
            "tsquery",
            "box",
            "circle",
            "line",
            "lseg",
            "path",
            "point",
            "polygon",
            "int4range",
            "int8range",
            "numrange",
            "tsrange",
            "tstzrange",
            "daterange",
            "int4multirange",
            "int8multirange",
            "nummultirange",
            "tsmultirange",
            "tstzmultirange",
            "datemultirange",
            "jsonpath",
            "oid",
            "pg_lsn",
            "name",
            "regclass");

    /** "Numeric Types": declared precision may be as large as this. */
    private static final int GREATEST_PRECISION = 1000;
    /** "Date/Time Types": digits of a second's fraction. */
    private static final int MOST_DIGITS = 6;

    private static final int GREATEST_LENGTH = 10_485_760;

    private final Identifiers identifiers;
    private final ColumnUse use;

    PgTypeChooser(Identifiers identifiers, ColumnUse use) {
        this.identifiers = identifiers;
        this.use = use;
    }

    private String column() {
        return identifiers.quote(use.column());
    }

    @Override
    public TypeChoice visitBool(LogicalType.Bool type) {
        return TypeChoice.of("boolean", type);
    }

    @Override
    public TypeChoice visitInt(LogicalType.Int type) {
        if (type.unsigned()) {
            return unsigned(type);
        }
        if (type.bits() <= 16) {
            TypeChoice choice = TypeChoice.of("smallint", new LogicalType.Int(16, false));
            return type.bits() == 16 ? choice : choice.note(FindingCode.WIDER_TYPE, "8 bits in a smallint");
        }
        if (type.bits() <= 32) {
            TypeChoice choice = TypeChoice.of("integer", new LogicalType.Int(32, false));
            return type.bits() == 32 ? choice : choice.note(FindingCode.WIDER_TYPE, "24 bits in an integer");
        }
        return TypeChoice.of("bigint", type);
    }

    private TypeChoice unsigned(LogicalType.Int type) {
        if (type.bits() == 64 && use.identity()) {
            return TypeChoice.of("bigint", new LogicalType.Int(64, false))
                    .note(FindingCode.UNSIGNED_IDENTITY, "bigint for an unsigned 64-bit identity");
        }
        if (type.bits() == 64 && use.key()) {
            return TypeChoice.of("bigint", new LogicalType.Int(64, false))
                    .check(column() + " >= 0")
                    .note(FindingCode.UNSIGNED_IDENTITY, "bigint for an unsigned 64-bit key");
        }
        if (type.bits() == 64) {
            return TypeChoice.of("numeric(20,0)", new LogicalType.Decimal(20, 0, false))
                    .check(column() + " BETWEEN 0 AND 18446744073709551615")
                    .note(FindingCode.UNSIGNED_RANGE, "numeric(20,0) for unsigned 64 bits");
        }
        int bits = type.bits() == 8 ? 16 : type.bits() < 32 ? 32 : 64;
        String sql = bits == 16 ? "smallint" : bits == 32 ? "integer" : "bigint";
        TypeChoice choice = TypeChoice.of(sql, new LogicalType.Int(bits, false));
        if (use.identity()) {
            return choice.note(FindingCode.WIDER_TYPE, sql + " for an identity of unsigned " + type.bits() + " bits");
        }
        return choice.check(column() + " BETWEEN 0 AND " + ((1L << type.bits()) - 1))
                .note(FindingCode.UNSIGNED_RANGE, sql + " for unsigned " + type.bits() + " bits");
    }

    @Override
    public TypeChoice visitDecimal(LogicalType.Decimal type) {
        LogicalType.Decimal stored = new LogicalType.Decimal(type.precision(), type.scale(), false);
        boolean bounded = type.precision() > 0 && type.precision() <= GREATEST_PRECISION;
        String sql = bounded ? "numeric(" + type.precision() + "," + type.scale() + ")" : "numeric";
        TypeChoice choice = TypeChoice.of(sql, stored);
        return type.unsigned()
                ? choice.check(column() + " >= 0").note(FindingCode.UNSIGNED_RANGE, sql + " for an unsigned number")
                : choice;
    }

    @Override
    public TypeChoice visitFloating(LogicalType.Floating type) {
        String sql = type.bits() == 32 ? "real" : "double precision";
        TypeChoice choice = TypeChoice.of(sql, new LogicalType.Floating(type.bits()));
        return type.unsigned()
                ? choice.check(column() + " >= 0").note(FindingCode.UNSIGNED_RANGE, sql + " for an unsigned number")
                : choice;
    }

    @Override
    public TypeChoice visitChar(LogicalType.Char type) {
        return TypeChoice.of("character(" + Math.max(1, type.length()) + ")", type);
    }

    @Override
    public TypeChoice visitVarchar(LogicalType.Varchar type) {
        if (type.length() < 1 || type.length() > GREATEST_LENGTH) {
            return TypeChoice.of("text", new LogicalType.Text(0));
        }
        return TypeChoice.of("character varying(" + type.length() + ")", type);
    }

    @Override
    public TypeChoice visitText(LogicalType.Text type) {
        return TypeChoice.of("text", new LogicalType.Text(0));
    }

    @Override
    public TypeChoice visitBinary(LogicalType.Binary type) {
        return TypeChoice.of("bytea", new LogicalType.Blob(0))
                .check("octet_length(" + column() + ") = " + type.length())
                .note(FindingCode.FIXED_BYTES, "bytea with a check for " + type.length() + " bytes");
    }

    @Override
    public TypeChoice visitVarbinary(LogicalType.Varbinary type) {
        return TypeChoice.of("bytea", new LogicalType.Blob(0))
                .check("octet_length(" + column() + ") <= " + type.length())
                .note(FindingCode.FIXED_BYTES, "bytea with a check for at most " + type.length() + " bytes");
    }

    @Override
    public TypeChoice visitBlob(LogicalType.Blob type) {
        return TypeChoice.of("bytea", new LogicalType.Blob(0));
    }

    @Override
    public TypeChoice visitBits(LogicalType.Bits type) {
        String length = type.length() > 0 ? "(" + type.length() + ")" : "";
        return TypeChoice.of((type.varying() ? "bit varying" : "bit") + length, type);
    }

    @Override
    public TypeChoice visitDate(LogicalType.Date type) {
        return TypeChoice.of("date", type);
    }

    @Override
    public TypeChoice visitTime(LogicalType.Time type) {
        String zone = type.zoned() ? " with time zone" : " without time zone";
        return fraction(TypeChoice.of("time(" + digits(type.precision()) + ")" + zone, type), type.precision());
    }

    @Override
    public TypeChoice visitDuration(LogicalType.Duration type) {
        return TypeChoice.of("interval hour to second(" + type.precision() + ")", type)
                .note(FindingCode.DURATION_TYPE, "interval for hours beyond a day");
    }

    @Override
    public TypeChoice visitTimestamp(LogicalType.Timestamp type) {
        String zone = type.zoned() ? " with time zone" : " without time zone";
        return fraction(TypeChoice.of("timestamp(" + digits(type.precision()) + ")" + zone, type), type.precision());
    }

    private static int digits(int precision) {
        return Math.min(precision, MOST_DIGITS);
    }

    private static TypeChoice fraction(TypeChoice choice, int precision) {
        return precision <= MOST_DIGITS
                ? choice
                : choice.note(
                        FindingCode.INEXACT_NUMBER,
                        choice.sql() + ": fractions of a second lose " + (precision - MOST_DIGITS) + " digit(s)");
    }

    @Override
    public TypeChoice visitYear(LogicalType.Year type) {
        return TypeChoice.of("smallint", new LogicalType.Int(16, false))
                .check(column() + " = 0 OR " + column() + " BETWEEN 1901 AND 2155")
                .note(FindingCode.YEAR_AS_NUMBER, "smallint with a check");
    }

    @Override
    public TypeChoice visitEnumeration(LogicalType.Enumeration type) {
        String name =
                type.name().isEmpty() ? identifiers.shorten(use.table().name() + "_" + use.column()) : type.name();
        ObjectName qualified = new ObjectName(use.table().schema(), name);
        TypeChoice choice =
                TypeChoice.of(identifiers.quote(qualified), new LogicalType.Enumeration(name, type.values()));
        return type.name().isEmpty() ? choice.note(FindingCode.ENUMERATION_AS_TYPE, "type " + name) : choice;
    }

    @Override
    public TypeChoice visitMembers(LogicalType.Members type) {
        int length = type.values().stream().mapToInt(String::length).sum()
                + Math.max(0, type.values().size() - 1);
        String sql = "character varying(" + Math.max(1, length) + ")";
        String members = type.values().stream()
                .map(v -> "'" + v.replace("'", "''") + "'")
                .collect(java.util.stream.Collectors.joining(", "));
        return TypeChoice.of(sql, new LogicalType.Varchar(Math.max(1, length)))
                .check("string_to_array(" + column() + ", ',') <@ ARRAY[" + members + "]::text[]")
                .note(FindingCode.MEMBERS_AS_TEXT, sql + " with a check");
    }

    @Override
    public TypeChoice visitJson(LogicalType.Json type) {
        return TypeChoice.of(type.normalized() ? "jsonb" : "json", type);
    }

    @Override
    public TypeChoice visitUuid(LogicalType.Uuid type) {
        return TypeChoice.of("uuid", type);
    }

    @Override
    public TypeChoice visitAddress(LogicalType.Address type) {
        return TypeChoice.of("inet", type);
    }

    @Override
    public TypeChoice visitArray(LogicalType.Array type) {
        TypeChoice element = type.element().accept(this);
        TypeChoice array = TypeChoice.of(element.sql() + "[]", new LogicalType.Array(element.stored()));
        if (!element.checks().isEmpty()) {
            return array.note(FindingCode.SYNTAX_CHECK, array.sql() + ", whose items no check keeps in their range");
        }
        return new TypeChoice(array.sql(), array.stored(), List.of(), element.notes());
    }

    @Override
    public TypeChoice visitOpaque(LogicalType.Opaque type) {
        if (type.isInterval()) {
            return TypeChoice.of("interval", type);
        }
        if (type.isXml()) {
            return TypeChoice.of("xml", type);
        }
        if (!type.bytes() && OWN.contains(type.nativeName())) {
            return TypeChoice.of(type.nativeName(), type);
        }
        TypeChoice choice = type.bytes()
                ? TypeChoice.of("bytea", new LogicalType.Blob(0))
                : TypeChoice.of("text", new LogicalType.Text(0));
        return choice.note(FindingCode.FOREIGN_TYPE, type.nativeName() + " as " + choice.sql());
    }
}
