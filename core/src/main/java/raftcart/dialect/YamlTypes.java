package raftcart.dialect;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.math.BigInteger;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.regex.Pattern;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;
import raftcart.resource.ShippedTable;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * A dialect's types as a table in YAML. {@code read} gives a meaning to each name: a kind and perhaps its numbers, where
 * none are written. {@code write} gives the type for each kind, with {@code $n}, {@code $p} and {@code $s} for length,
 * precision and scale; a list holds {@code up to} bounds, rising, and what lies beyond them; {@code check} says what may be lost,
 * {@code beyond} how many digits of a number, or of the fraction of a second, are kept. {@code decimal floats} names types that hold more digits than a double.
 * {@code unsigned numbers} says that whole numbers may be that; without them a check keeps the range.
 * {@code renewed} names the types whose values the engine gives itself, and again at every change of a row.
 * {@code whole columns} names the decimal types of an engine without others, each with the digits up to which a column
 * holds whole numbers.
 * {@code neutral collations} matches the names of collations that are of no one language.
 * {@code system schemas} may stand before the names of types.
 * {@code growing text} is the type of a text that grows from row to row of a recursive query.
 * {@code exact texts} is the clause that has texts compare letter by letter, where they do not by themselves.
 */
public final class YamlTypes implements TypeTable {
    /** Types that hold so many digits count as exact for numbers without a precision. */
    private static final int EXACT_DIGITS = 38;

    private static final Set<String> READ =
            Set.of(("binary bits blob bool bytes char date decimal enum fixed float float32 float64 int16 int24 "
                            + "int32 int64 int8 json number opaque seconds set text time timestamp timestamptz timetz uint16 uint24 uint32 uint64 uint8 uuid varbinary varbits varchar year")
                    .split(" "));
    private static final Set<String> WRITTEN = Set.of(
            ("address interval xml binary bits blob bool char date decimal duration enum float32 float64 int8 int16 int24 int32 int64 "
                            + "json number set text time timestamp timestamptz uint8 uint16 uint24 uint32 uint64 uuid "
                            + "varbinary varchar year array opaque")
                    .split(" "));

    private final Map<String, JsonNode> read = new HashMap<>();
    private final Map<String, JsonNode> write = new HashMap<>();

    private final Map<String, Integer> wholeColumns = new HashMap<>();
    private final Map<String, Integer> decimalFloats = new HashMap<>();
    private final Set<String> renewed = new HashSet<>();
    private final Set<String> systemSchemas = new HashSet<>();

    private Optional<Pattern> neutralCollations = Optional.empty();
    private Optional<String> exactTexts = Optional.empty();
    private Optional<String> paddedTexts = Optional.empty();
    private Optional<String> growingText = Optional.empty();
    private boolean unsignedNumbers;

    private YamlTypes() {}

    /**
     * Reads a table.
     *
     * @param file its name, for errors
     * @param in the YAML, or its twin in JSON
     * @param others opens the tables that it extends
     */
    public static YamlTypes read(String file, JsonParser in, Function<String, YamlTypes> others) {
        YamlTypes types = new YamlTypes();
        try {
            in.nextToken();
            JsonNode document = ShippedTable.value(in);
            if (document.has("extends")) {
                YamlTypes base = others.apply(document.get("extends").asText());
                types.read.putAll(base.read);
                types.write.putAll(base.write);
                types.exactTexts = base.exactTexts;
                types.paddedTexts = base.paddedTexts;
                types.growingText = base.growingText;
                types.wholeColumns.putAll(base.wholeColumns);
                types.decimalFloats.putAll(base.decimalFloats);
                types.renewed.addAll(base.renewed);
                types.systemSchemas.addAll(base.systemSchemas);
                types.neutralCollations = base.neutralCollations;
            }
            types.traits(document);
            document.path("read").properties().forEach(f -> {
                checked(file, f.getKey(), f.getValue().asText().split("[ ,]+")[0], READ);
                types.read.put(f.getKey(), f.getValue());
            });
            document.path("write").properties().forEach(f -> {
                checked(
                        file,
                        f.getKey(),
                        f.getKey().replaceFirst("^cast | in (key|identity)$| of (months|days)$", ""),
                        WRITTEN);
                types.write.put(f.getKey(), f.getValue());
            });
        } catch (IOException e) {
            throw new PlanException(file + ": " + e.getMessage(), "Mend the YAML.", e);
        }
        return types;
    }

    /** What the table says of the dialect beside its types. */
    private void traits(JsonNode document) {
        if (document.has("neutral collations")) {
            neutralCollations = Optional.of(
                    Pattern.compile("(?i)" + document.get("neutral collations").asText()));
        }
        if (document.has("exact texts")) {
            exactTexts = Optional.of(document.get("exact texts").asText());
        }
        if (document.has("padded texts")) {
            paddedTexts = Optional.of(document.get("padded texts").asText());
        }
        if (document.has("growing text")) {
            growingText = Optional.of(document.get("growing text").asText());
        }
        document.path("renewed").forEach(n -> renewed.add(n.asText()));
        document.path("system schemas").forEach(n -> systemSchemas.add(n.asText()));
        document.path("decimal floats")
                .properties()
                .forEach(f -> decimalFloats.put(f.getKey(), f.getValue().asInt()));
        document.path("whole columns")
                .properties()
                .forEach(f -> wholeColumns.put(f.getKey(), f.getValue().asInt()));
        unsignedNumbers |= document.path("unsigned numbers").asBoolean();
    }

    private static void checked(String file, String entry, String kind, Set<String> kinds) {
        if (!kinds.contains(kind)) {
            throw new PlanException(
                    file + ": the entry '" + entry + "' names the kind '" + kind + "', which does not exist",
                    "Take one of " + String.join(", ", new TreeSet<>(kinds)) + ".",
                    null);
        }
    }

    /** This table in front of another one. */
    public TypeTable over(TypeTable base) {
        return new TypesInFront(this, base);
    }

    /** True where this table itself knows the name of a type. */
    boolean reads(String name) {
        return read.containsKey(name);
    }

    /** True where this table itself says how a type is written. */
    boolean writes(LogicalType type) {
        return write.containsKey(key(type));
    }

    Set<String> systemSchemas() {
        return Collections.unmodifiableSet(systemSchemas);
    }

    Optional<String> ownGrowingText() {
        return growingText;
    }

    @Override
    public Optional<String> exactTexts(boolean padded) {
        return padded ? paddedTexts.or(() -> exactTexts) : exactTexts;
    }

    @Override
    public String growingText() {
        return growingText.orElseGet(TypeTable.super::growingText);
    }

    @Override
    public boolean sortsByLanguage(String collation) {
        return !collation.isEmpty()
                && neutralCollations
                        .filter(n -> !n.matcher(collation).matches())
                        .isPresent();
    }

    @Override
    public boolean renews(TypeName type) {
        return renewed.contains(type.name());
    }

    @Override
    public Map<String, Integer> wholeColumns() {
        return Collections.unmodifiableMap(wholeColumns);
    }

    @Override
    public Map<String, Integer> decimalFloats() {
        return Collections.unmodifiableMap(decimalFloats);
    }

    @Override
    public LogicalType read(TypeName name) {
        return SystemTypes.read(name, systemSchemas, this::known);
    }

    private LogicalType known(TypeName name) {
        JsonNode entry = read.get(name.name());
        if (entry == null) {
            return new LogicalType.Opaque(name.name(), false);
        }
        return KindReader.read(entry.asText().split("[ ,]+"), name);
    }

    @Override
    public TypeChoice choose(LogicalType type, ColumnUse use) {
        JsonNode inKey = write.get("text in key");
        if (use.keyColumns() > 0 && inKey != null && isLongText(type)) {
            String sql = inKey.asText();
            return TypeChoice.of(sql, type).note(FindingCode.TEXT_KEY_LENGTH, sql);
        }
        Optional<TypeChoice> shared = shared(type);
        if (shared.isPresent()) {
            return shared.get();
        }
        Optional<TypeChoice> wide = wideIdentity(type, use);
        if (wide.isPresent()) {
            return wide.get();
        }
        String sql = text(type).orElseGet(() -> text(new LogicalType.Text(0)).orElse("TEXT"));
        TypeChoice choice = TypeChoice.of(sql, type);
        Optional<TypeChoice.Note> note = digitsNote(type, sql).or(() -> kindNote(type, sql));
        return note.map(n -> choice.note(n.code(), n.detail())).orElseGet(() -> ofRange(choice, type, use));
    }

    /** What is said of a number whose digits the target may not keep. */
    private Optional<TypeChoice.Note> digitsNote(LogicalType type, String sql) {
        Optional<String> check =
                entry(type).map(e -> e.path("check").asText("")).filter(c -> !c.isEmpty());
        if (check.isPresent()) {
            return check.map(c -> new TypeChoice.Note(FindingCode.INEXACT_NUMBER, sql + ": " + c));
        }
        Optional<Integer> kept = digitsKept(type);
        if (kept.isPresent()) {
            return kept.map(k -> new TypeChoice.Note(
                    FindingCode.INEXACT_NUMBER, sql + ": numbers of more than " + k + " digits lose some"));
        }
        return type instanceof LogicalType.Decimal d && d.precision() == 0 && sql.indexOf(',') > 0
                ? Optional.of(new TypeChoice.Note(FindingCode.UNBOUNDED_NUMBER, "number without precision as " + sql))
                : Optional.empty();
    }

    /** What is said of a type that the target has under another kind, or with fewer digits of a second. */
    private Optional<TypeChoice.Note> kindNote(LogicalType type, String sql) {
        if (type instanceof LogicalType.Array && entry(type).isEmpty()) {
            return Optional.of(new TypeChoice.Note(FindingCode.ARRAY_AS_JSON, "array as " + sql));
        }
        String foreign = type instanceof LogicalType.Opaque opaque ? opaque.nativeName() : "bits of any number";
        boolean counted = type instanceof LogicalType.Bits b && b.varying() && !sql.regionMatches(true, 0, "bit", 0, 3);
        if (counted || type instanceof LogicalType.Opaque) {
            return Optional.of(new TypeChoice.Note(FindingCode.FOREIGN_TYPE, foreign + " as " + sql));
        }
        boolean time = type instanceof LogicalType.Time || type instanceof LogicalType.Duration;
        if (time && sql.startsWith("INTERVAL")) {
            return Optional.of(
                    new TypeChoice.Note(FindingCode.DURATION_TYPE, sql + ", which counts on after 24 hours"));
        }
        boolean zoneless = type instanceof LogicalType.Timestamp t
                && t.zoned()
                && text(new LogicalType.Timestamp(t.precision(), false)).equals(text(type));
        if (zoneless) {
            return Optional.of(new TypeChoice.Note(FindingCode.INSTANT_AS_UTC, sql + " in UTC"));
        }
        int lost = lostDigits(type);
        return lost > 0
                ? Optional.of(new TypeChoice.Note(
                        FindingCode.INEXACT_NUMBER, sql + ": fractions of a second lose " + lost + " digit(s)"))
                : Optional.empty();
    }

    /** The choice for a numbered column of unsigned 64 bits, where the target has one. */
    private Optional<TypeChoice> wideIdentity(LogicalType type, ColumnUse use) {
        JsonNode wideKey = write.get("uint64 in identity");
        boolean wide = use.identity() && type instanceof LogicalType.Int i && i.unsigned() && i.bits() == 64;
        return wide && wideKey != null
                ? Optional.of(TypeChoice.of(wideKey.asText(), new LogicalType.Int(64, false))
                        .note(FindingCode.UNSIGNED_IDENTITY, wideKey.asText() + " for an unsigned 64-bit identity"))
                : Optional.empty();
    }

    /** The digits that are kept of a number that may have more; empty where all are. */
    private Optional<Integer> digitsKept(LogicalType type) {
        return entry(type)
                .filter(e -> e.has("beyond"))
                .map(e -> e.get("beyond").asInt())
                .filter(b -> type instanceof LogicalType.Decimal d
                        && (d.precision() == 0 ? b < EXACT_DIGITS : d.precision() > b));
    }

    /** True for a text that is written as one without a length, whatever it had. */
    private boolean isLongText(LogicalType type) {
        return type instanceof LogicalType.Text
                || (type instanceof LogicalType.Varchar || type instanceof LogicalType.Char)
                        && text(type).equals(text(new LogicalType.Text(0)));
    }

    /** The choice for a span of time or an XML document, which some engines have, each under a name of its own. */
    private Optional<TypeChoice> shared(LogicalType type) {
        if (!(type instanceof LogicalType.Opaque opaque) || !opaque.isInterval() && !opaque.isXml()) {
            return Optional.empty();
        }
        String key = opaque.isXml() ? "xml" : span(opaque.nativeName());
        return Optional.ofNullable(write.get(key)).map(e -> TypeChoice.of(e.asText(), type));
    }

    /** The entry for a span of time: of months, of days and parts of them, or of both. */
    private static String span(String name) {
        return name.matches(".*(year|month).*")
                ? "interval of months"
                : name.equals("interval") ? name : "interval of days";
    }

    /** The choice with a check that refuses what an unsigned number cannot be. */
    private TypeChoice ofRange(TypeChoice choice, LogicalType type, ColumnUse use) {
        // In the quotes of the standard, which every dialect with such a table reads.
        String column = '"' + use.column().replace("\"", "\"\"") + '"';
        if (type instanceof LogicalType.Int i && i.unsigned() && !unsignedNumbers) {
            BigInteger greatest = BigInteger.ONE.shiftLeft(i.bits()).subtract(BigInteger.ONE);
            return use.identity()
                    ? choice.note(FindingCode.WIDER_TYPE, choice.sql() + " for an identity of unsigned numbers")
                    : choice.check(column + " BETWEEN 0 AND " + greatest)
                            .note(FindingCode.UNSIGNED_RANGE, choice.sql() + " for unsigned " + i.bits() + " bits");
        }
        boolean unsigned = type instanceof LogicalType.Decimal d && d.unsigned()
                || type instanceof LogicalType.Floating f && f.unsigned();
        return unsigned
                ? choice.check(column + " >= 0")
                        .note(FindingCode.UNSIGNED_RANGE, choice.sql() + " for an unsigned number")
                : choice;
    }

    @Override
    public String castName(LogicalType type) {
        JsonNode cast = write.get("cast " + key(type));
        return cast != null
                ? fill(cast.asText(), type)
                : text(type).orElseGet(() -> text(new LogicalType.Text(0)).orElse("TEXT"));
    }

    private Optional<String> text(LogicalType type) {
        return entry(type).map(e -> fill(e.isObject() ? e.get("sql").asText() : e.asText(), type));
    }

    /** The entry for a type; of several with bounds the first that is wide enough. */
    private Optional<JsonNode> entry(LogicalType type) {
        JsonNode entry = write.get(key(type));
        if (entry == null && type instanceof LogicalType.Int i) {
            entry = write.get("int" + (i.bits() == 8 ? 16 : i.bits() == 24 ? 32 : 64));
        }
        if (entry == null) {
            return Optional.empty();
        }
        if (!entry.isArray()) {
            return Optional.of(entry);
        }
        for (JsonNode bound : entry) {
            if (!bound.has("up to") || size(type) <= bound.get("up to").asLong()) {
                return Optional.of(bound);
            }
        }
        return Optional.empty();
    }

    private static long size(LogicalType type) {
        if (type instanceof LogicalType.Decimal d) {
            return d.precision() == 0 ? Long.MAX_VALUE : d.precision();
        }
        if (type instanceof LogicalType.Timestamp t) {
            return t.precision();
        }
        return type instanceof LogicalType.Char c
                ? c.length()
                : type instanceof LogicalType.Varchar v
                        ? v.length()
                        : type instanceof LogicalType.Binary b
                                ? b.length()
                                : type instanceof LogicalType.Varbinary vb ? vb.length() : Long.MAX_VALUE;
    }

    private static String fill(String sql, LogicalType type) {
        String text = sql;
        if (type instanceof LogicalType.Decimal d) {
            return text.replace("$p", "" + d.precision()).replace("$s", "" + d.scale());
        }
        if (type instanceof LogicalType.Timestamp t) {
            return fraction(text, t.precision());
        }
        if (type instanceof LogicalType.Time t) {
            return fraction(text, t.precision());
        }
        if (type instanceof LogicalType.Bits b) {
            return text.replace("$n", "" + Math.max(1, b.length()))
                    .replace("$b", "" + (Math.max(1, b.length()) + 7) / 8);
        }
        long size = size(type);
        return text.replace("$n", "" + (size == Long.MAX_VALUE ? 255 : size));
    }

    /** How many digits of a second's fraction the target's type cannot hold. */
    private int lostDigits(LogicalType type) {
        int wanted = type instanceof LogicalType.Timestamp t
                ? t.precision()
                : type instanceof LogicalType.Time time ? time.precision() : 0;
        String entry = entry(type).map(JsonNode::asText).orElse("");
        Optional<Integer> bound = entry(type).filter(e -> e.has("beyond")).map(e -> e.get("beyond")
                .asInt());
        int held = bound.isPresent()
                ? bound.get()
                : entry.contains("$9") ? 9 : entry.contains("$7") ? 7 : entry.contains("$6") ? 6 : wanted;
        return wanted - held;
    }

    /** {@code $6} is the precision, at most 6; {@code $9} at most 9. */
    private static String fraction(String text, int precision) {
        return text.replace("$9", "" + Math.min(9, precision))
                .replace("$7", "" + Math.min(7, precision))
                .replace("$6", "" + Math.min(6, precision));
    }

    private static String key(LogicalType type) {
        if (type instanceof LogicalType.Int i) {
            return (i.unsigned() ? "uint" : "int") + i.bits();
        }
        if (type instanceof LogicalType.Floating f) {
            return "float" + f.bits();
        }
        if (type instanceof LogicalType.Timestamp t) {
            return t.zoned() ? "timestamptz" : "timestamp";
        }
        if (type instanceof LogicalType.Decimal d) {
            return d.precision() == 0 ? "number" : "decimal";
        }
        return switch (type.getClass().getSimpleName()) {
            case "Enumeration" -> "enum";
            case "Members" -> "set";
            default -> type.getClass().getSimpleName().toLowerCase(Locale.ROOT);
        };
    }
}
