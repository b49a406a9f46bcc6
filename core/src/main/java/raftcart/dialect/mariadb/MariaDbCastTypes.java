package raftcart.dialect.mariadb;

import raftcart.dialect.Untranslatable;
import raftcart.type.LogicalType;
import raftcart.type.TypeVisitor;

/** The few types that MariaDB's CAST knows ("CAST"). */
final class MariaDbCastTypes implements TypeVisitor<String> {
    /** "Microseconds in MariaDB": digits of a second's fraction. */
    private static final int MOST_DIGITS = 6;

    @Override
    public String visitBool(LogicalType.Bool type) {
        return "SIGNED";
    }

    @Override
    public String visitInt(LogicalType.Int type) {
        return type.unsigned() ? "UNSIGNED" : "SIGNED";
    }

    @Override
    public String visitDecimal(LogicalType.Decimal type) {
        boolean fits = type.precision() > 0 && type.precision() <= 65 && type.scale() <= 30;
        return fits ? "DECIMAL(" + type.precision() + "," + type.scale() + ")" : "DECIMAL(65,30)";
    }

    @Override
    public String visitFloating(LogicalType.Floating type) {
        return type.bits() == 32 ? "FLOAT" : "DOUBLE";
    }

    @Override
    public String visitChar(LogicalType.Char type) {
        return "CHAR(" + type.length() + ")";
    }

    @Override
    public String visitVarchar(LogicalType.Varchar type) {
        return "CHAR(" + type.length() + ")";
    }

    @Override
    public String visitText(LogicalType.Text type) {
        return "CHAR";
    }

    @Override
    public String visitBinary(LogicalType.Binary type) {
        return "BINARY(" + type.length() + ")";
    }

    @Override
    public String visitVarbinary(LogicalType.Varbinary type) {
        return "BINARY";
    }

    @Override
    public String visitBlob(LogicalType.Blob type) {
        return "BINARY";
    }

    @Override
    public String visitBits(LogicalType.Bits type) {
        return none("bit strings");
    }

    @Override
    public String visitDate(LogicalType.Date type) {
        return "DATE";
    }

    @Override
    public String visitTime(LogicalType.Time type) {
        return "TIME(" + Math.min(type.precision(), MOST_DIGITS) + ")";
    }

    @Override
    public String visitDuration(LogicalType.Duration type) {
        return "TIME(" + Math.min(type.precision(), MOST_DIGITS) + ")";
    }

    @Override
    public String visitTimestamp(LogicalType.Timestamp type) {
        return type.zoned()
                ? none("timestamps with a zone")
                : "DATETIME(" + Math.min(type.precision(), MOST_DIGITS) + ")";
    }

    @Override
    public String visitYear(LogicalType.Year type) {
        return "UNSIGNED";
    }

    @Override
    public String visitEnumeration(LogicalType.Enumeration type) {
        return "CHAR";
    }

    @Override
    public String visitMembers(LogicalType.Members type) {
        return "CHAR";
    }

    @Override
    public String visitJson(LogicalType.Json type) {
        return "CHAR";
    }

    @Override
    public String visitUuid(LogicalType.Uuid type) {
        return "UUID";
    }

    @Override
    public String visitAddress(LogicalType.Address type) {
        return "INET6";
    }

    @Override
    public String visitArray(LogicalType.Array type) {
        return none("arrays");
    }

    @Override
    public String visitOpaque(LogicalType.Opaque type) {
        return none(type.nativeName());
    }

    private static String none(String what) {
        throw new Untranslatable("MariaDB has no cast to " + what);
    }
}
