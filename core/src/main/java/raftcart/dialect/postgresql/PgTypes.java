package raftcart.dialect.postgresql;

import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.Identifiers;
import raftcart.dialect.TypeChoice;
import raftcart.dialect.TypeTable;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** PostgreSQL's types ("Data Types"). */
final class PgTypes implements TypeTable {
    /** "Collation Support": those of no one language. */
    private static final Pattern NEUTRAL =
            Pattern.compile("(?i)|(pg_catalog[.])?(C|POSIX|C\\.utf-?8|ucs_basic|default|unicode|und-.*)");

    private static final int MICROSECONDS = 6;
    private static final Map<String, Function<TypeName, LogicalType>> BY_NAME = Map.ofEntries(
            Map.entry("boolean", n -> new LogicalType.Bool()),
            Map.entry("bool", n -> new LogicalType.Bool()),
            Map.entry("smallint", n -> new LogicalType.Int(16, false)),
            Map.entry("int2", n -> new LogicalType.Int(16, false)),
            Map.entry("integer", n -> new LogicalType.Int(32, false)),
            Map.entry("int", n -> new LogicalType.Int(32, false)),
            Map.entry("int4", n -> new LogicalType.Int(32, false)),
            Map.entry("bigint", n -> new LogicalType.Int(64, false)),
            Map.entry("int8", n -> new LogicalType.Int(64, false)),
            Map.entry("oid", n -> new LogicalType.Int(32, true)),
            Map.entry("numeric", n -> new LogicalType.Decimal(n.parameter(0, 0), n.parameter(1, 0), false)),
            Map.entry("decimal", n -> new LogicalType.Decimal(n.parameter(0, 0), n.parameter(1, 0), false)),
            Map.entry("real", n -> new LogicalType.Floating(32)),
            Map.entry("float4", n -> new LogicalType.Floating(32)),
            Map.entry("double precision", n -> new LogicalType.Floating(64)),
            Map.entry("float8", n -> new LogicalType.Floating(64)),
            Map.entry("character", n -> new LogicalType.Char(n.parameter(0, 1))),
            Map.entry("char", n -> new LogicalType.Char(n.parameter(0, 1))),
            Map.entry("bpchar", n -> new LogicalType.Text(0)),
            Map.entry("character varying", PgTypes::varchar),
            Map.entry("varchar", PgTypes::varchar),
            Map.entry("text", n -> new LogicalType.Text(0)),
            Map.entry("citext", n -> new LogicalType.Text(0)),
            Map.entry("name", n -> new LogicalType.Varchar(63)),
            Map.entry("bytea", n -> new LogicalType.Blob(0)),
            Map.entry("bit", n -> new LogicalType.Bits(n.parameter(0, 1), false)),
            Map.entry("bit varying", n -> new LogicalType.Bits(n.parameter(0, 0), true)),
            Map.entry("date", n -> new LogicalType.Date()),
            Map.entry("time", n -> new LogicalType.Time(n.parameter(0, MICROSECONDS), false)),
            Map.entry("time without time zone", n -> new LogicalType.Time(n.parameter(0, MICROSECONDS), false)),
            Map.entry("time with time zone", n -> new LogicalType.Time(n.parameter(0, MICROSECONDS), true)),
            Map.entry("timestamp", n -> new LogicalType.Timestamp(n.parameter(0, MICROSECONDS), false)),
            Map.entry(
                    "timestamp without time zone", n -> new LogicalType.Timestamp(n.parameter(0, MICROSECONDS), false)),
            Map.entry("timestamptz", n -> new LogicalType.Timestamp(n.parameter(0, MICROSECONDS), true)),
            Map.entry("timestamp with time zone", n -> new LogicalType.Timestamp(n.parameter(0, MICROSECONDS), true)),
            Map.entry("interval hour to second", n -> new LogicalType.Duration(n.parameter(0, MICROSECONDS))),
            Map.entry("json", n -> new LogicalType.Json(false)),
            Map.entry("jsonb", n -> new LogicalType.Json(true)),
            Map.entry("uuid", n -> new LogicalType.Uuid()));

    private final Identifiers identifiers;

    PgTypes(Identifiers identifiers) {
        this.identifiers = identifiers;
    }

    private static LogicalType varchar(TypeName name) {
        return name.parameters().isEmpty() ? new LogicalType.Text(0) : new LogicalType.Varchar(name.parameter(0, 0));
    }

    @Override
    public LogicalType read(TypeName name) {
        if (name.array()) {
            return new LogicalType.Array(read(name.element()));
        }
        Function<TypeName, LogicalType> reader = BY_NAME.get(name.name());
        return reader == null ? new LogicalType.Opaque(name.name(), false) : reader.apply(name);
    }

    @Override
    public boolean sortsByLanguage(String collation) {
        return !NEUTRAL.matcher(collation).matches();
    }

    @Override
    public TypeChoice choose(LogicalType type, ColumnUse use) {
        return type.accept(new PgTypeChooser(identifiers, use));
    }

    @Override
    public String castName(LogicalType type) {
        boolean nameless =
                type instanceof LogicalType.Enumeration listed && listed.name().isEmpty();
        return nameless ? "text" : choose(type, ColumnUse.PLAIN).sql();
    }
}
