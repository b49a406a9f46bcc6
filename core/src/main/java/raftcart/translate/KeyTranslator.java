package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.UniqueTexts;
import raftcart.type.ValueForm;

/** Translates the keys and indexes of one table. */
final class KeyTranslator {
    private static final Set<String> ORDERED_METHODS = Set.of("", "btree", "hash");
    private static final Pattern CONSTANT = Pattern.compile("-?\\d+|'[^']*'");
    private static final int PREFIX_OF_LONG_TEXT = 255;
    private static final int BYTES_OF_CHARACTER = 4;

    private final UniqueTexts uniqueTexts;
    private final Language from;
    private final Dialect to;
    private final NameMapper names;
    private final Notes notes;
    private final Map<ObjectName, TableTranslator> tables;
    private final TableTranslator table;
    private final Table source;
    private final List<Index> indexes = new ArrayList<>();
    private final List<Key> uniqueKeys = new ArrayList<>();

    KeyTranslator(
            Language from,
            Dialect to,
            UniqueTexts uniqueTexts,
            NameMapper names,
            Notes notes,
            Map<ObjectName, TableTranslator> tables,
            TableTranslator table) {
        this.uniqueTexts = uniqueTexts;
        this.from = from;
        this.to = to;
        this.names = names;
        this.notes = notes;
        this.tables = tables;
        this.table = table;
        this.source = table.source();
    }

    Optional<Key> primaryKey() {
        return source.primaryKey().map(key -> {
            if (foldsCase(key.parts())) {
                index(new Index(source.name().name() + "_key_ignoring_case", true, key.parts(), "", "", List.of()));
            }
            String name = !to.has(SqlFeature.INDEXES_OF_TABLES)
                    ? names.index(
                            table.target(), primaryKeyName(key), source.name().toString())
                    : "";
            return new Key(name, parts(key.parts()));
        });
    }

    /** An engine that calls every primary key the same gives no name worth keeping. */
    private String primaryKeyName(Key key) {
        return key.name().isEmpty() || key.name().equals("PRIMARY")
                ? table.target().name() + "_pkey"
                : key.name();
    }

    /** Translates unique keys and indexes; they are then found in {@link #uniqueKeys} and {@link #indexes}. */
    void translateIndexes() {
        new NullsInKeys(from, to, notes).say(source);
        source.primaryKey().ifPresent(k -> sayExact(k.parts()));
        source.uniqueKeys().forEach(k -> sayExact(k.parts()));
        source.indexes().stream().filter(Index::unique).forEach(i -> sayExact(i.parts()));
        source.uniqueKeys().forEach(this::uniqueKey);
        source.indexes().forEach(this::index);
    }

    List<Key> uniqueKeys() {
        return List.copyOf(uniqueKeys);
    }

    List<Index> indexes() {
        return List.copyOf(indexes);
    }

    private void uniqueKey(Key key) {
        boolean prefixed = key.parts().stream().anyMatch(p -> p.prefixLength() > 0);
        if (!foldsCase(key.parts()) && !(prefixed && !to.has(SqlFeature.PREFIX_INDEXES))) {
            uniqueKeys.add(new Key(
                    names.index(table.target(), key.name(), source.name().toString()), parts(key.parts())));
            return;
        }
        if (foldsCase(key.parts()) && isReferred(key)) {
            uniqueKeys.add(new Key(
                    names.index(
                            table.target(), key.name() + "_exact", source.name().toString()),
                    parts(key.parts())));
        }
        index(new Index(key.name(), true, key.parts(), "", "", List.of()));
    }

    private boolean isReferred(Key key) {
        return tables.values().stream()
                .flatMap(t -> t.source().foreignKeys().stream())
                .anyMatch(f ->
                        f.target().equals(source.name()) && f.targetColumns().equals(key.columns()));
    }

    private boolean foldsCase(List<KeyPart> parts) {
        return differsByCase(parts, UniqueTexts.IGNORE_CASE);
    }

    /** Says where small and capital letters are no longer the same in a key. */
    private void sayExact(List<KeyPart> parts) {
        if (differsByCase(parts, UniqueTexts.EXACT)) {
            parts.stream()
                    .filter(this::ignoresCase)
                    .forEach(p -> notes.find(
                            FindingCode.UNIQUE_WITH_CASE,
                            source.name() + "." + p.column(),
                            "small and capital letters are not the same any more"));
        }
    }

    private boolean differsByCase(List<KeyPart> parts, UniqueTexts wanted) {
        boolean differs = from.has(SqlFeature.IGNORES_CASE)
                && !to.has(SqlFeature.IGNORES_CASE)
                && parts.stream().anyMatch(this::ignoresCase);
        return differs && uniqueTexts == wanted;
    }

    private boolean ignoresCase(KeyPart part) {
        return source.column(part.column())
                .filter(Column::ignoresCase)
                .filter(c -> c.type() instanceof LogicalType.Char
                        || c.type() instanceof LogicalType.Varchar
                        || c.type() instanceof LogicalType.Text)
                .isPresent();
    }

    private void index(Index given) {
        String object = source.name() + "." + given.name();
        Index index = withoutConstants(given, object);
        Optional<String> obstacle = obstacle(index);
        if (obstacle.isPresent()) {
            notes.byHand("index", object, describe(index), FindingCode.INDEX_BY_HAND, obstacle.get());
            return;
        }
        if (index.method().equals("hash")) {
            notes.find(FindingCode.PHYSICAL_CLAUSES, object, "a hash index becomes a sorted one");
        }
        List<KeyPart> parts = new ArrayList<>();
        for (KeyPart part : index.parts()) {
            Optional<KeyPart> translated = part(object, part, index.unique());
            if (translated.isEmpty()) {
                notes.byHand("index", object, describe(index), FindingCode.INDEX_BY_HAND, "an expression of the index");
                return;
            }
            parts.add(translated.get());
        }
        if (to.longestKey() > 0 && bytes(parts) > to.longestKey()) {
            if (index.unique()) {
                notes.byHand(
                        "index",
                        object,
                        describe(index),
                        FindingCode.INDEX_BY_HAND,
                        "its values are longer than the " + to.longestKey() + " bytes that a key may have");
                return;
            }
            shorten(object, parts);
        }
        Optional<String> predicate = predicate(object, index);
        if (predicate.isEmpty()) {
            return;
        }
        String name = names.index(table.target(), index.name(), source.name().toString());
        List<String> included =
                index.included().stream().map(table::targetColumn).toList();
        indexes.add(new Index(name, index.unique(), parts, "", predicate.get(), included));
    }

    /** A constant in an index is there for rows whose other parts are NULL, which other engines index anyway. */
    private Index withoutConstants(Index index, String object) {
        List<KeyPart> parts = index.parts().stream()
                .filter(p -> !CONSTANT.matcher(p.expression()).matches())
                .toList();
        if (index.unique() || parts.isEmpty() || parts.size() == index.parts().size()) {
            return index;
        }
        notes.find(FindingCode.PHYSICAL_CLAUSES, object, "a constant in the index, for rows with NULL");
        return new Index(index.name(), false, parts, index.method(), index.predicate(), index.included());
    }

    private Optional<String> obstacle(Index index) {
        if (!ORDERED_METHODS.contains(index.method())) {
            return Optional.of("an index of the kind " + index.method());
        }
        boolean expression = index.parts().stream().anyMatch(KeyPart::isExpression);
        if (expression && !to.has(SqlFeature.EXPRESSION_INDEXES)) {
            return Optional.of("the target has no indexes on expressions");
        }
        if (index.unique() && !index.predicate().isEmpty() && !to.has(SqlFeature.PARTIAL_INDEXES)) {
            return Optional.of("the target has no unique indexes with a condition");
        }
        return Optional.empty();
    }

    private Optional<String> predicate(String object, Index index) {
        if (index.predicate().isEmpty()) {
            return Optional.of("");
        }
        if (!to.has(SqlFeature.PARTIAL_INDEXES)) {
            notes.find(FindingCode.PARTIAL_INDEX, object, "condition " + index.predicate());
            return Optional.of("");
        }
        Optional<String> text = table.expressions().condition(index.predicate()).text();
        if (text.isEmpty()) {
            notes.byHand("index", object, describe(index), FindingCode.INDEX_BY_HAND, "the condition of the index");
        }
        return text;
    }

    private Optional<KeyPart> part(String object, KeyPart part, boolean unique) {
        if (part.isExpression()) {
            return table.expressions()
                    .value(part.expression())
                    .text()
                    .map(e -> new KeyPart("", e, 0, part.descending()));
        }
        String column = to.identifiers().quote(table.targetColumn(part.column()));
        boolean cut = part.prefixLength() > 0 && !to.has(SqlFeature.PREFIX_INDEXES);
        boolean fold = unique && foldsCase(List.of(part));
        if (!cut && !fold) {
            return Optional.of(whole(object, part));
        }
        String expression = column;
        if (cut) {
            expression = beginning(part);
            notes.find(FindingCode.PREFIX_INDEX, object, "first " + part.prefixLength() + " of " + part.column());
        }
        if (fold) {
            expression = "lower(" + expression + ")";
            notes.find(FindingCode.UNIQUE_IGNORING_CASE, object, "unique on lower(" + part.column() + ")");
        }
        return Optional.of(new KeyPart("", expression, 0, part.descending()));
    }

    /** The beginning of a column, as the target writes it. */
    private String beginning(KeyPart part) {
        Expr column = new Expr.Column(
                new QualifiedName(List.of(new Name(table.targetColumn(part.column()), true))), false, Span.NONE);
        Expr length = Expr.Literal.number(part.prefixLength());
        boolean bytes = table.choice(part.column()).stored().form() == ValueForm.BYTES;
        Expr beginning = bytes
                ? Expr.Call.of("substring", column, Expr.Literal.number(1), length)
                : Expr.Call.of("left", column, length);
        Language language = to.language().quotingAll();
        return language.writer().apply(WriterContext.plain(language)).expression(beginning);
    }

    private KeyPart whole(String object, KeyPart part) {
        int prefix = part.prefixLength();
        LogicalType stored = table.choice(part.column()).stored();
        boolean tooLong = stored instanceof LogicalType.Text || stored instanceof LogicalType.Blob;
        if (prefix == 0 && tooLong && to.has(SqlFeature.PREFIX_INDEXES)) {
            prefix = PREFIX_OF_LONG_TEXT;
            notes.find(FindingCode.PREFIX_INDEX, object, "first " + prefix + " of " + part.column());
        }
        return new KeyPart(table.targetColumn(part.column()), "", prefix, part.descending());
    }

    /** The greatest number of bytes of a key of these parts, as far as lengths are declared. */
    private int bytes(List<KeyPart> parts) {
        return parts.stream().mapToInt(this::bytes).sum();
    }

    private int bytes(KeyPart part) {
        LogicalType stored = table.pairs().stream()
                .filter(p -> p.targetName().equals(part.column()))
                .findFirst()
                .map(p -> table.choice(p.source().name()).stored())
                .orElse(new LogicalType.Int(64, false));
        int length = length(stored);
        int characters = part.prefixLength() > 0 ? Math.min(part.prefixLength(), Math.max(1, length)) : length;
        return stored instanceof LogicalType.Varbinary || stored instanceof LogicalType.Binary
                ? characters
                : characters * BYTES_OF_CHARACTER;
    }

    private static int length(LogicalType type) {
        if (type instanceof LogicalType.Varchar text) {
            return text.length();
        }
        if (type instanceof LogicalType.Char text) {
            return text.length();
        }
        if (type instanceof LogicalType.Varbinary bytes) {
            return bytes.length();
        }
        return type instanceof LogicalType.Text || type instanceof LogicalType.Blob ? PREFIX_OF_LONG_TEXT : 2;
    }

    /** Puts the beginnings of the longest columns into the key in their place. */
    private void shorten(String object, List<KeyPart> parts) {
        for (int longest = PREFIX_OF_LONG_TEXT; bytes(parts) > to.longestKey() && longest > 1; longest /= 2) {
            for (int i = 0; i < parts.size(); i++) {
                KeyPart part = parts.get(i);
                if (bytes(part) > longest * BYTES_OF_CHARACTER) {
                    parts.set(i, new KeyPart(part.column(), "", longest, part.descending()));
                }
            }
        }
        parts.stream()
                .filter(p -> p.prefixLength() > 0)
                .forEach(p -> notes.find(
                        FindingCode.PREFIX_INDEX, object, "first " + p.prefixLength() + " of " + p.column()));
    }

    private List<KeyPart> parts(List<KeyPart> parts) {
        return parts.stream()
                .map(p -> new KeyPart(table.targetColumn(p.column()), "", p.prefixLength(), p.descending()))
                .toList();
    }

    private static String describe(Index index) {
        List<String> parts = index.parts().stream()
                .map(p -> p.isExpression() ? p.expression() : p.column())
                .toList();
        return (index.unique() ? "unique " : "") + "index " + index.name()
                + (index.method().isEmpty() ? "" : " using " + index.method()) + " (" + String.join(", ", parts) + ")"
                + (index.predicate().isEmpty() ? "" : " where " + index.predicate());
    }

    List<ForeignKey> foreignKeys() {
        List<ForeignKey> keys = new ArrayList<>();
        for (ForeignKey key : source.foreignKeys()) {
            TableTranslator parent = tables.get(key.target());
            String object = source.name() + "." + key.name();
            if (parent == null || !isWhole(key, parent)) {
                notes.byHand(
                        "foreign-key",
                        object,
                        "foreign key " + key.name() + " " + key.columns() + " references " + key.target() + " "
                                + key.targetColumns(),
                        FindingCode.NOT_TRANSLATED,
                        parent == null
                                ? "the table " + key.target() + " does not go along"
                                : "it names columns that are not there");
                continue;
            }
            keys.add(new ForeignKey(
                    names.fit(key.name(), object),
                    key.columns().stream().map(table::targetColumn).toList(),
                    parent.target(),
                    key.targetColumns().stream().map(parent::targetColumn).toList(),
                    action(object, key.onDelete()),
                    action(object, key.onUpdate()),
                    deferrable(object, key),
                    key.initiallyDeferred() && to.has(SqlFeature.DEFERRABLE)));
        }
        return keys;
    }

    private boolean isWhole(ForeignKey key, TableTranslator parent) {
        return key.columns().size() == key.targetColumns().size()
                && key.columns().stream().allMatch(c -> source.column(c).isPresent())
                && key.targetColumns().stream()
                        .allMatch(c -> parent.source().column(c).isPresent());
    }

    private ReferentialAction action(String object, ReferentialAction action) {
        if (action == ReferentialAction.SET_DEFAULT && !to.has(SqlFeature.SET_DEFAULT_ACTION)) {
            notes.find(FindingCode.SET_DEFAULT_ACTION, object, "SET DEFAULT becomes NO ACTION");
            return ReferentialAction.NO_ACTION;
        }
        return action;
    }

    private boolean deferrable(String object, ForeignKey key) {
        if (key.deferrable() && !to.has(SqlFeature.DEFERRABLE)) {
            notes.find(FindingCode.DEFERRABLE_LOST, object, "not deferrable on the target");
        }
        return key.deferrable() && to.has(SqlFeature.DEFERRABLE);
    }
}
