package raftcart.dialect.mariadb;

import java.util.stream.Collectors;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.TypeChoice;
import raftcart.finding.FindingCode;
import raftcart.type.LogicalType;
import raftcart.type.TypeVisitor;

/** Chooses MariaDB's type for a column. */
final class MariaDbTypeChooser implements TypeVisitor<TypeChoice> {
    /** "Microseconds in MariaDB": digits of a second's fraction. */
    private static final int MOST_DIGITS = 6;

    /** "InnoDB Limitations": the parts of a key take 3072 bytes at most; utf8mb4 needs 4 a character. */
    private static final int KEY_BYTES = 3072;
    /** "VARBINARY": a row has 65,535 bytes for all of its columns. */
    private static final int LONGEST_VARBINARY = 8000;

    private static final int BYTES_A_CHARACTER = 4;
    /** "VARCHAR": a row holds 65,535 bytes; longer text goes to a text type of its own. */
    private static final int LONGEST_VARCHAR = 4000;

    private static final int LONGEST_CHAR = 255;
    private static final int GREATEST_PRECISION = 65;
    private static final int GREATEST_SCALE = 38;
    private static final String IGNORING_CASE = " COLLATE utf8mb4_general_ci";
    /** "Supported Character Sets and Collations": blanks at the end do not count to it; to that of our tables they do. */
    private static final String IGNORING_BLANKS = " COLLATE utf8mb4_bin";

    private final ColumnUse use;

    MariaDbTypeChooser(ColumnUse use) {
        this.use = use;
    }

    private String collation() {
        return use.ignoresCase() ? IGNORING_CASE : use.ignoresPadding() ? IGNORING_BLANKS : "";
    }

    @Override
    public TypeChoice visitBool(LogicalType.Bool type) {
        return TypeChoice.of("tinyint(1)", type);
    }

    @Override
    public TypeChoice visitInt(LogicalType.Int type) {
        String name =
                switch (type.bits()) {
                    case 8 -> "tinyint(4)";
                    case 16 -> "smallint";
                    case 24 -> "mediumint";
                    case 32 -> "int";
                    default -> "bigint";
                };
        return TypeChoice.of(type.unsigned() ? name + " unsigned" : name, type);
    }

    @Override
    public TypeChoice visitDecimal(LogicalType.Decimal type) {
        boolean fits = type.precision() > 0
                && type.precision() <= GREATEST_PRECISION
                && type.scale() >= 0
                && type.scale() <= Math.min(GREATEST_SCALE, type.precision());
        if (!fits) {
            String declared = type.precision() == 0
                    ? "number without precision"
                    : "numeric(" + type.precision() + "," + type.scale() + ")";
            return TypeChoice.of("decimal(65,30)", new LogicalType.Decimal(65, 30, false))
                    .note(FindingCode.UNBOUNDED_NUMBER, declared + " as decimal(65,30)");
        }
        String name = "decimal(" + type.precision() + "," + type.scale() + ")";
        return TypeChoice.of(type.unsigned() ? name + " unsigned" : name, type);
    }

    @Override
    public TypeChoice visitFloating(LogicalType.Floating type) {
        String name = (type.bits() == 32 ? "float" : "double") + (type.unsigned() ? " unsigned" : "");
        return TypeChoice.of(name, type).note(FindingCode.SPECIAL_FLOATS, name);
    }

    @Override
    public TypeChoice visitChar(LogicalType.Char type) {
        if (type.length() > LONGEST_CHAR) {
            return TypeChoice.of("varchar(" + type.length() + ")" + collation(), type)
                    .note(FindingCode.WIDER_TYPE, "varchar for a char of " + type.length());
        }
        return TypeChoice.of("char(" + type.length() + ")" + collation(), type);
    }

    @Override
    public TypeChoice visitVarchar(LogicalType.Varchar type) {
        if (use.keyColumns() > 0 && type.length() > longestInKey()) {
            return textInKey("varchar(" + type.length() + ")");
        }
        return type.length() > LONGEST_VARCHAR
                ? TypeChoice.of("mediumtext" + collation(), new LogicalType.Text(16_777_215))
                        .note(FindingCode.WIDER_TYPE, "mediumtext for a varchar of " + type.length())
                : TypeChoice.of("varchar(" + type.length() + ")" + collation(), type);
    }

    private int longestInKey() {
        return (KEY_BYTES - use.otherBytes()) / BYTES_A_CHARACTER / Math.max(1, use.keyColumns());
    }

    private TypeChoice textInKey(String declared) {
        int length = longestInKey();
        return TypeChoice.of("varchar(" + length + ")" + collation(), new LogicalType.Varchar(length))
                .note(FindingCode.TEXT_KEY_LENGTH, declared + " as varchar(" + length + ")");
    }

    @Override
    public TypeChoice visitText(LogicalType.Text type) {
        if (use.keyColumns() > 0) {
            return textInKey("text");
        }
        return TypeChoice.of(textName(type.maxBytes(), "text") + collation(), type);
    }

    private static String textName(long maxBytes, String suffix) {
        if (maxBytes == 0 || maxBytes > 16_777_215) {
            return "long" + suffix;
        }
        return maxBytes > 65_535 ? "medium" + suffix : maxBytes > 255 ? suffix : "tiny" + suffix;
    }

    @Override
    public TypeChoice visitBinary(LogicalType.Binary type) {
        return TypeChoice.of("binary(" + type.length() + ")", type);
    }

    @Override
    public TypeChoice visitVarbinary(LogicalType.Varbinary type) {
        if (type.length() > LONGEST_VARBINARY && use.keyColumns() == 0) {
            LogicalType.Blob blob = new LogicalType.Blob(type.length());
            return TypeChoice.of(textName(type.length(), "blob"), blob)
                    .note(FindingCode.WIDER_TYPE, "a blob for a varbinary of " + type.length());
        }
        return TypeChoice.of("varbinary(" + type.length() + ")", type);
    }

    @Override
    public TypeChoice visitBlob(LogicalType.Blob type) {
        if (use.keyColumns() > 0) {
            int length = KEY_BYTES / use.keyColumns() / 2;
            return TypeChoice.of("varbinary(" + length + ")", new LogicalType.Varbinary(length))
                    .note(FindingCode.TEXT_KEY_LENGTH, "bytes in a key as varbinary(" + length + ")");
        }
        return TypeChoice.of(textName(type.maxBytes(), "blob"), type);
    }

    @Override
    public TypeChoice visitBits(LogicalType.Bits type) {
        if (!type.varying() && type.length() <= 64) {
            return TypeChoice.of("bit(" + type.length() + ")", type);
        }
        return type.length() > 0 && type.length() <= LONGEST_VARCHAR
                ? TypeChoice.of("varchar(" + type.length() + ")", new LogicalType.Varchar(type.length()))
                        .note(FindingCode.FOREIGN_TYPE, "bit string as text of zeros and ones")
                : TypeChoice.of("longtext", new LogicalType.Text(0))
                        .note(FindingCode.FOREIGN_TYPE, "bit string as text of zeros and ones");
    }

    @Override
    public TypeChoice visitDate(LogicalType.Date type) {
        return TypeChoice.of("date", type);
    }

    @Override
    public TypeChoice visitTime(LogicalType.Time type) {
        if (type.zoned()) {
            return TypeChoice.of("varchar(32)", new LogicalType.Varchar(32))
                    .note(FindingCode.FOREIGN_TYPE, "time with a zone as text");
        }
        int digits = Math.min(type.precision(), MOST_DIGITS);
        return fraction(TypeChoice.of("time(" + digits + ")", new LogicalType.Duration(digits)), type.precision());
    }

    private static TypeChoice fraction(TypeChoice choice, int precision) {
        return precision <= MOST_DIGITS
                ? choice
                : choice.note(
                        FindingCode.INEXACT_NUMBER,
                        choice.sql() + ": fractions of a second lose " + (precision - MOST_DIGITS) + " digit(s)");
    }

    @Override
    public TypeChoice visitDuration(LogicalType.Duration type) {
        return TypeChoice.of("time(" + type.precision() + ")", type);
    }

    @Override
    public TypeChoice visitTimestamp(LogicalType.Timestamp type) {
        int digits = Math.min(type.precision(), MOST_DIGITS);
        TypeChoice choice = fraction(
                TypeChoice.of("datetime(" + digits + ")", new LogicalType.Timestamp(digits, false)), type.precision());
        return type.zoned() ? choice.note(FindingCode.INSTANT_AS_UTC, choice.sql() + " in UTC") : choice;
    }

    @Override
    public TypeChoice visitYear(LogicalType.Year type) {
        return TypeChoice.of("year", type);
    }

    @Override
    public TypeChoice visitEnumeration(LogicalType.Enumeration type) {
        return TypeChoice.of(
                "enum(" + texts(type.values()) + ")" + collation(), new LogicalType.Enumeration("", type.values()));
    }

    @Override
    public TypeChoice visitMembers(LogicalType.Members type) {
        return TypeChoice.of("set(" + texts(type.values()) + ")" + collation(), type);
    }

    private static String texts(java.util.List<String> values) {
        return values.stream()
                .map(v -> "'" + v.replace("\\", "\\\\").replace("'", "''") + "'")
                .collect(Collectors.joining(","));
    }

    @Override
    public TypeChoice visitJson(LogicalType.Json type) {
        TypeChoice choice = TypeChoice.of("json", new LogicalType.Json(false));
        return type.normalized() ? choice.note(FindingCode.JSON_TEXT, "jsonb as json") : choice;
    }

    @Override
    public TypeChoice visitUuid(LogicalType.Uuid type) {
        return TypeChoice.of("uuid", type);
    }

    @Override
    public TypeChoice visitAddress(LogicalType.Address type) {
        return TypeChoice.of("inet6", type);
    }

    @Override
    public TypeChoice visitArray(LogicalType.Array type) {
        return TypeChoice.of("json", new LogicalType.Json(false)).note(FindingCode.ARRAY_AS_JSON, "array as json");
    }

    @Override
    public TypeChoice visitOpaque(LogicalType.Opaque type) {
        if (use.keyColumns() > 0 && !type.bytes()) {
            return textInKey(type.nativeName()).note(FindingCode.FOREIGN_TYPE, type.nativeName() + " as text");
        }
        if (type.bytes() && MariaDbTypes.GEOMETRIES.contains(type.nativeName())) {
            return TypeChoice.of(type.nativeName(), type);
        }
        TypeChoice choice = type.bytes()
                ? TypeChoice.of("longblob", new LogicalType.Blob(0))
                : TypeChoice.of("longtext", new LogicalType.Text(0));
        return choice.note(FindingCode.FOREIGN_TYPE, type.nativeName() + " as " + choice.sql());
    }
}
