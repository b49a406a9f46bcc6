package raftcart.dialect;

import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Reads the words of a type table's {@code read} entries, together with the numbers of a type as it is written. */
final class KindReader {
    /** The digits that an asterisk in their place stands for. */
    private static final int MOST_DIGITS = 38;

    private KindReader() {}

    /** The type that the words of an entry mean; numbers that are not written are the entry's. */
    static LogicalType read(String[] words, TypeName name) {
        int first = name.parameter(0, words.length > 1 ? Integer.parseInt(words[1]) : 0);
        int second = name.parameter(1, words.length > 2 ? Integer.parseInt(words[2]) : 0);
        return switch (words[0]) {
            case "bool" -> new LogicalType.Bool();
            case "int8" -> new LogicalType.Int(8, false);
            case "uint8" -> new LogicalType.Int(8, true);
            case "int16" -> new LogicalType.Int(16, false);
            case "uint16" -> new LogicalType.Int(16, true);
            case "int24" -> new LogicalType.Int(24, false);
            case "int32" -> new LogicalType.Int(32, false);
            case "uint32" -> new LogicalType.Int(32, true);
            case "int64" -> new LogicalType.Int(64, false);
            case "uint64" -> new LogicalType.Int(64, true);
            case "fixed" -> new LogicalType.Decimal(Integer.parseInt(words[1]), Integer.parseInt(words[2]), false);
            case "number" -> new LogicalType.Decimal(0, 0, false);
            case "uint24" -> new LogicalType.Int(24, true);
            case "decimal" -> decimal(first, second);
            case "float32" -> new LogicalType.Floating(32);
            case "float64" -> new LogicalType.Floating(64);
            case "float" -> new LogicalType.Floating(first > 0 && first <= 24 ? 32 : 64);
            case "char" -> new LogicalType.Char(Math.max(1, first));
            case "varchar" -> first <= 0 ? new LogicalType.Text(0) : new LogicalType.Varchar(first);
            case "text" -> new LogicalType.Text(0);
            case "binary" -> new LogicalType.Binary(Math.max(1, first));
            case "varbinary" -> first <= 0 ? new LogicalType.Blob(0) : new LogicalType.Varbinary(first);
            case "blob" -> new LogicalType.Blob(0);
            case "bits" -> new LogicalType.Bits(Math.max(1, first), false);
            case "varbits" -> new LogicalType.Bits(first, true);
            case "date" -> new LogicalType.Date();
            case "time" -> new LogicalType.Time(first, false);
            case "timetz" -> new LogicalType.Time(first, true);
            case "timestamp" -> new LogicalType.Timestamp(first, false);
            case "timestamptz" -> new LogicalType.Timestamp(first, true);
            case "seconds" -> new LogicalType.Timestamp(0, false);
            case "year" -> new LogicalType.Year();
            case "json" -> new LogicalType.Json(false);
            case "uuid" -> new LogicalType.Uuid();
            case "enum" -> new LogicalType.Enumeration("", name.values());
            case "set" -> new LogicalType.Members(name.values());
            default -> new LogicalType.Opaque(name.name(), words[0].equals("bytes"));
        };
    }

    /** A scale beyond the precision, or below zero, has no twin elsewhere: the digits are those that hold the values. */
    private static LogicalType decimal(int precision, int scale) {
        int most = precision == TypeName.MAX ? MOST_DIGITS : precision;
        int digits = Math.max(most - Math.min(scale, 0), scale);
        return most == 0
                ? new LogicalType.Decimal(0, 0, false)
                : new LogicalType.Decimal(digits, Math.max(scale, 0), false);
    }
}
