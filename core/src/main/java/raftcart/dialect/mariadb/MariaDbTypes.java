package raftcart.dialect.mariadb;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.Column;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.TypeTable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices;
import raftcart.type.ValueChoices.OneDigitBoolean;
import raftcart.type.ValueChoices.TimeMeaning;

/** MariaDB's types ("Data Types"). */
final class MariaDbTypes implements TypeTable {
    /** "FLOAT": with a number of digits behind the point, to which values are rounded. */
    private static final Pattern ROUNDED = Pattern.compile("(?i)(?:float|double|real)\\(\\d+,(\\d+)\\).*");

    /** "Supported Character Sets and Collations": those of no one language. */
    private static final Pattern NEUTRAL =
            Pattern.compile(".*_(general|unicode|bin|nopad|swedish|uca1400_(?!\\w+_(ai|as)).*|520|0900).*|binary|");

    private static final int DEFAULT_PRECISION = 10;
    private static final Map<String, Function<TypeName, LogicalType>> BY_NAME = Map.ofEntries(
            Map.entry("boolean", n -> new LogicalType.Bool()),
            Map.entry("tinyint", n -> oneDigit(n) ? new LogicalType.Bool() : new LogicalType.Int(8, false)),
            Map.entry("tinyint unsigned", n -> new LogicalType.Int(8, true)),
            Map.entry("smallint", n -> new LogicalType.Int(16, false)),
            Map.entry("smallint unsigned", n -> new LogicalType.Int(16, true)),
            Map.entry("mediumint", n -> new LogicalType.Int(24, false)),
            Map.entry("mediumint unsigned", n -> new LogicalType.Int(24, true)),
            Map.entry("int", n -> new LogicalType.Int(32, false)),
            Map.entry("int unsigned", n -> new LogicalType.Int(32, true)),
            Map.entry("bigint", n -> new LogicalType.Int(64, false)),
            Map.entry("bigint unsigned", n -> new LogicalType.Int(64, true)),
            Map.entry("signed", n -> new LogicalType.Int(64, false)),
            Map.entry("unsigned", n -> new LogicalType.Int(64, true)),
            Map.entry("signed int", n -> new LogicalType.Int(64, false)),
            Map.entry("signed integer", n -> new LogicalType.Int(64, false)),
            Map.entry("unsigned int", n -> new LogicalType.Int(64, true)),
            Map.entry("unsigned integer", n -> new LogicalType.Int(64, true)),
            Map.entry("decimal", n -> decimal(n, false)),
            Map.entry("decimal unsigned", n -> decimal(n, true)),
            Map.entry("float", n -> floating(n, 32, false)),
            Map.entry("float unsigned", n -> floating(n, 32, true)),
            Map.entry("double", n -> floating(n, 64, false)),
            Map.entry("double unsigned", n -> floating(n, 64, true)),
            Map.entry("char", n -> new LogicalType.Char(n.parameter(0, 1))),
            Map.entry("varchar", n -> new LogicalType.Varchar(n.parameter(0, 0))),
            Map.entry("tinytext", n -> new LogicalType.Text(255)),
            Map.entry("text", n -> new LogicalType.Text(65_535)),
            Map.entry("mediumtext", n -> new LogicalType.Text(16_777_215)),
            Map.entry("longtext", n -> new LogicalType.Text(4_294_967_295L)),
            Map.entry("binary", n -> new LogicalType.Binary(n.parameter(0, 1))),
            Map.entry("varbinary", n -> new LogicalType.Varbinary(n.parameter(0, 0))),
            Map.entry("tinyblob", n -> new LogicalType.Blob(255)),
            Map.entry("blob", n -> new LogicalType.Blob(65_535)),
            Map.entry("mediumblob", n -> new LogicalType.Blob(16_777_215)),
            Map.entry("longblob", n -> new LogicalType.Blob(4_294_967_295L)),
            // A single bit holds what is true or not, which is how drivers give it, too.
            Map.entry(
                    "bit",
                    n -> n.parameter(0, 1) == 1
                            ? new LogicalType.Bool()
                            : new LogicalType.Bits(n.parameter(0, 1), false)),
            Map.entry("date", n -> new LogicalType.Date()),
            Map.entry("time", n -> new LogicalType.Duration(n.parameter(0, 0))),
            Map.entry("datetime", n -> new LogicalType.Timestamp(n.parameter(0, 0), false)),
            Map.entry("timestamp", n -> new LogicalType.Timestamp(n.parameter(0, 0), true)),
            Map.entry("year", n -> new LogicalType.Year()),
            Map.entry("enum", n -> new LogicalType.Enumeration("", n.values())),
            Map.entry("set", n -> new LogicalType.Members(n.values())),
            Map.entry("json", n -> new LogicalType.Json(false)),
            Map.entry("uuid", n -> new LogicalType.Uuid()),
            Map.entry("inet6", n -> new LogicalType.Address()),
            Map.entry("inet4", n -> new LogicalType.Address()));
    static final java.util.Set<String> GEOMETRIES = java.util.Set.of(
            "geometry",
            "point",
            "linestring",
            "polygon",
            "multipoint",
            "multilinestring",
            "multipolygon",
            "geometrycollection");

    private static boolean oneDigit(TypeName name) {
        return name.parameter(0, 4) == 1;
    }

    private static LogicalType decimal(TypeName name, boolean unsigned) {
        return new LogicalType.Decimal(name.parameter(0, DEFAULT_PRECISION), name.parameter(1, 0), unsigned);
    }

    private static LogicalType floating(TypeName name, int bits, boolean unsigned) {
        // "FLOAT": FLOAT(p) with p from 25 on is a double; FLOAT(m,d) is not.
        boolean wide = name.parameters().size() == 1 && name.parameter(0, 0) > 24;
        return new LogicalType.Floating(wide ? 64 : bits, unsigned);
    }

    @Override
    public Optional<String> exactTexts(boolean padded) {
        return Optional.of(padded ? "COLLATE utf8mb4_bin" : "COLLATE utf8mb4_nopad_bin");
    }

    @Override
    public LogicalType read(TypeName name) {
        if (GEOMETRIES.contains(name.name())) {
            return new LogicalType.Opaque(name.name(), true);
        }
        Function<TypeName, LogicalType> reader = BY_NAME.get(name.name());
        return reader == null ? new LogicalType.Opaque(name.name(), false) : reader.apply(name);
    }

    @Override
    public LogicalType interpret(Column column, ValueChoices choices) {
        if (column.type() instanceof LogicalType.Bool && choices.oneDigitBoolean() == OneDigitBoolean.NUMBER) {
            return column.declaredType().startsWith("bit")
                    ? new LogicalType.Bits(1, false)
                    : new LogicalType.Int(8, false);
        }
        if (column.type() instanceof LogicalType.Duration duration && choices.time() == TimeMeaning.TIME_OF_DAY) {
            return new LogicalType.Time(duration.precision(), false);
        }
        return column.type();
    }

    @Override
    public List<TypeChoice.Note> remarks(Column column, ValueChoices choices) {
        Matcher rounded = ROUNDED.matcher(column.declaredType());
        if (rounded.matches()) {
            return List.of(new TypeChoice.Note(
                    FindingCode.SYNTAX_CHECK,
                    column.declaredType() + " rounds to " + rounded.group(1) + " digits, the target keeps them all"));
        }
        boolean taken = interpret(column, choices) instanceof LogicalType.Bool
                && !column.declaredType().startsWith("bit");
        return taken
                ? List.of(new TypeChoice.Note(FindingCode.ONE_DIGIT_BOOLEAN, column.declaredType() + " as boolean"))
                : List.of();
    }

    @Override
    public boolean sortsByLanguage(String collation) {
        return !NEUTRAL.matcher(collation).matches();
    }

    @Override
    public TypeChoice choose(LogicalType type, ColumnUse use) {
        return type.accept(new MariaDbTypeChooser(use));
    }

    @Override
    public String castName(LogicalType type) {
        return type.accept(new MariaDbCastTypes());
    }
}
