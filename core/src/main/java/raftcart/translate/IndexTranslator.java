package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.catalog.Column;
import raftcart.catalog.Index;
import raftcart.catalog.KeyPart;
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
import raftcart.type.ValueForm;

/** Translates the indexes of one table. */
final class IndexTranslator {
    private static final Set<String> ORDERED_METHODS = Set.of("", "btree", "hash", "art");
    private static final Pattern CONSTANT = Pattern.compile("-?\\d+|'[^']*'");
    private static final int PREFIX_OF_LONG_TEXT = 255;
    private static final int BYTES_OF_CHARACTER = 4;

    private final Language from;
    private final Dialect to;
    private final NameMapper names;
    private final Notes notes;
    private final TableTranslator table;
    private final Table source;
    private final UniqueCase uniqueCase;
    private final HiddenColumns hidden;
    private final List<Index> indexes = new ArrayList<>();

    IndexTranslator(
            Language from, Dialect to, NameMapper names, Notes notes, TableTranslator table, UniqueCase uniqueCase) {
        this.from = from;
        this.to = to;
        this.names = names;
        this.notes = notes;
        this.table = table;
        this.source = table.source();
        this.uniqueCase = uniqueCase;
        this.hidden = new HiddenColumns(from, to, names, table);
    }

    /** Those that were translated so far. */
    List<Index> indexes() {
        return List.copyOf(indexes);
    }

    /** The columns that they need beside those of the source. */
    List<Column> hiddenColumns() {
        return hidden.columns();
    }

    /** Translates one index, which is then among {@link #indexes} or goes to a person. */
    void add(Index index) {
        if (!index.unique() || !uniqueCase.folds(index.parts())) {
            add(index, false);
            return;
        }
        boolean cut = index.parts().stream().anyMatch(this::isCut);
        if (cut) {
            add(index, true);
        } else {
            add(index, false);
            addIgnoringCase(index);
        }
    }

    /** Adds, beside a unique key or index, one that refuses texts that differ in case alone. */
    void addIgnoringCase(Index index) {
        String name = index.name() + UniqueCase.SUFFIX;
        add(new Index(name, true, index.parts(), index.method(), index.predicate(), List.of()), true);
    }

    private boolean isCut(KeyPart part) {
        return part.prefixLength() > 0 && !to.has(SqlFeature.PREFIX_INDEXES);
    }

    private void add(Index given, boolean ignoringCase) {
        String object = source.name() + "." + given.name();
        if (isOfOwnKind(given)) {
            ofOwnKind(object, given).ifPresent(indexes::add);
            return;
        }
        Index index = withBeginnings(withoutNeedlessCondition(object, withoutConstants(given, object)));
        Optional<String> obstacle = obstacle(index);
        if (obstacle.isPresent()) {
            byHand(object, index, obstacle.get());
            return;
        }
        if (index.method().equals("hash")) {
            notes.find(FindingCode.PHYSICAL_CLAUSES, object, "a hash index becomes a sorted one");
        }
        boolean hides = needsHiddenColumns(index);
        Optional<List<KeyPart>> translated = hides ? hiddenParts(object, index) : parts(object, index, ignoringCase);
        if (translated.isEmpty()) {
            byHand(object, index, "an expression of the index");
            return;
        }
        List<KeyPart> parts = new ArrayList<>(translated.get());
        boolean anyLength = index.unique() && to.has(SqlFeature.UNIQUE_KEYS_OF_ANY_LENGTH);
        if (to.longestKey() > 0 && bytes(parts) > to.longestKey() && !anyLength) {
            if (index.unique()) {
                byHand(
                        object,
                        index,
                        "its values are longer than the " + to.longestKey() + " bytes that a key may have");
                return;
            }
            shorten(object, parts);
        }
        Optional<String> predicate = hides ? Optional.of("") : predicate(object, index);
        if (predicate.isEmpty()) {
            return;
        }
        String name = names.index(table.target(), index.name(), source.name().toString());
        indexes.add(new Index(name, index.unique(), parts, "", predicate.get(), included(object, index)));
    }

    private List<String> included(String object, Index index) {
        if (index.included().isEmpty() || to.has(SqlFeature.INCLUDED_COLUMNS)) {
            return index.included().stream().map(table::targetColumn).toList();
        }
        notes.find(
                FindingCode.PHYSICAL_CLAUSES,
                object,
                "the columns that the index carries along: " + String.join(", ", index.included()));
        return List.of();
    }

    /** True for an index that is not a sorted one, of a kind that the target has. */
    private boolean isOfOwnKind(Index index) {
        return !ORDERED_METHODS.contains(index.method())
                && !computes(index)
                && !index.unique()
                && to.ddl()
                        .indexes(
                                index.method(),
                                index.parts().stream()
                                        .map(p ->
                                                table.types().choice(p.column()).stored())
                                        .toList());
    }

    private Optional<Index> ofOwnKind(String object, Index index) {
        List<KeyPart> parts = index.parts().stream()
                .map(p -> KeyPart.ofColumn(table.targetColumn(p.column())))
                .toList();
        String name = names.index(table.target(), index.name(), source.name().toString());
        return predicate(object, index).map(p -> new Index(name, false, parts, index.method(), p, List.of()));
    }

    private void byHand(String object, Index index, String reason) {
        notes.byHand("index", object, describe(index), FindingCode.INDEX_BY_HAND, reason);
    }

    private boolean needsHiddenColumns(Index index) {
        return index.unique()
                && to.has(SqlFeature.HIDDEN_COLUMNS)
                && (computes(index) && !to.has(SqlFeature.EXPRESSION_INDEXES)
                        || !index.predicate().isEmpty() && !to.has(SqlFeature.PARTIAL_INDEXES));
    }

    private static boolean computes(Index index) {
        return index.parts().stream().anyMatch(KeyPart::isExpression);
    }

    private Optional<List<KeyPart>> hiddenParts(String object, Index index) {
        Optional<List<KeyPart>> parts = hidden.parts(index);
        parts.ifPresent(p -> notes.find(
                FindingCode.HIDDEN_COLUMN,
                object,
                p.stream()
                        .map(KeyPart::column)
                        .filter(c ->
                                hidden.columns().stream().anyMatch(h -> h.name().equals(c)))
                        .collect(Collectors.joining(", ", "unique by ", ""))));
        return parts;
    }

    private Optional<List<KeyPart>> parts(String object, Index index, boolean ignoringCase) {
        List<KeyPart> parts = new ArrayList<>();
        for (KeyPart part : index.parts()) {
            boolean fold = ignoringCase && uniqueCase.folds(List.of(part));
            Optional<KeyPart> translated = fold || isCut(part) || part.isExpression()
                    ? computed(object, part, fold)
                    : Optional.of(whole(object, part, index.unique() && to.has(SqlFeature.UNIQUE_KEYS_OF_ANY_LENGTH)));
            if (translated.isEmpty()) {
                return Optional.empty();
            }
            parts.add(translated.get());
        }
        return Optional.of(parts);
    }

    /** The first characters of a text, where the source computes them and the target has a word for them. */
    private Index withBeginnings(Index index) {
        if (!to.has(SqlFeature.PREFIX_INDEXES) || !computes(index)) {
            return index;
        }
        List<KeyPart> parts =
                index.parts().stream().map(p -> beginningOf(p).orElse(p)).toList();
        return new Index(index.name(), index.unique(), parts, index.method(), index.predicate(), index.included());
    }

    private Optional<KeyPart> beginningOf(KeyPart part) {
        return Optional.of(part)
                .filter(KeyPart::isExpression)
                .flatMap(p -> table.expressions().beginning(p.expression()))
                .flatMap(b -> source.columns().stream()
                        .filter(c -> c.name().equalsIgnoreCase(b.column().text()))
                        .filter(c -> table.types().choice(c.name()).stored().form() == ValueForm.TEXT)
                        .map(c -> new KeyPart(c.name(), "", b.length(), part.descending()))
                        .findFirst());
    }

    /** Where the condition is that the key is not NULL, rows with NULL in it are no duplicates on the target anyway. */
    private Index withoutNeedlessCondition(String object, Index index) {
        if (index.predicate().isEmpty()
                || !index.unique()
                || to.has(SqlFeature.PARTIAL_INDEXES)
                || !passesNulls(index)) {
            return index;
        }
        notes.find(FindingCode.SYNTAX_ADAPTED, object, "the condition is not needed: rows with NULL are no duplicates");
        return new Index(index.name(), true, index.parts(), index.method(), "", index.included());
    }

    private boolean passesNulls(Index index) {
        if (computes(index)
                || to.has(SqlFeature.NULLS_ARE_DUPLICATES)
                || index.parts().size() > 1 && to.has(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART)) {
            return false;
        }
        List<String> key = index.parts().stream()
                .map(p -> p.column().toLowerCase(Locale.ROOT))
                .toList();
        List<String> notNull = table.expressions().notNulls(index.predicate()).stream()
                .flatMap(List::stream)
                .map(n -> n.text().toLowerCase(Locale.ROOT))
                .toList();
        boolean othersToo = !from.has(SqlFeature.NULLS_ARE_DUPLICATES)
                || index.parts().stream()
                        .filter(p -> !notNull.contains(p.column().toLowerCase(Locale.ROOT)))
                        .allMatch(p -> source.column(p.column())
                                .filter(c -> !c.nullable())
                                .isPresent());
        return !notNull.isEmpty() && key.containsAll(notNull) && othersToo;
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
        boolean document = index.parts().stream()
                .filter(p -> !p.isExpression())
                .map(p -> table.types().choice(p.column()).stored())
                .anyMatch(t -> t instanceof LogicalType.Opaque other && other.isXml()
                        || t instanceof LogicalType.Json json && !json.normalized());
        if (document && to.has(SqlFeature.DOCUMENTS_HAVE_NO_ORDER)) {
            return Optional.of("documents have no order on the target");
        }
        if (needsHiddenColumns(index)) {
            return Optional.empty();
        }
        if (computes(index) && !to.has(SqlFeature.EXPRESSION_INDEXES)) {
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
            byHand(object, index, "the condition of the index");
        }
        return text;
    }

    private Optional<KeyPart> computed(String object, KeyPart part, boolean fold) {
        if (part.isExpression()) {
            return table.expressions()
                    .indexed(part.expression())
                    .text()
                    .map(e -> new KeyPart("", e, 0, part.descending()));
        }
        String expression = to.identifiers().quote(table.targetColumn(part.column()));
        if (isCut(part)) {
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
        boolean bytes = table.types().choice(part.column()).stored().form() == ValueForm.BYTES;
        Expr beginning = bytes
                ? Expr.Call.of("substring", column, Expr.Literal.number(1), length)
                : Expr.Call.of("left", column, length);
        Language language = to.language().quotingAll();
        return language.writer().apply(WriterContext.plain(language)).expression(beginning);
    }

    private KeyPart whole(String object, KeyPart part, boolean anyLength) {
        int prefix = part.prefixLength();
        LogicalType stored = table.types().choice(part.column()).stored();
        boolean tooLong = stored instanceof LogicalType.Text || stored instanceof LogicalType.Blob;
        if (prefix == 0 && tooLong && !anyLength && to.has(SqlFeature.PREFIX_INDEXES)) {
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
                .map(p -> table.types().choice(p.source().name()).stored())
                .findFirst()
                .or(() -> hidden.columns().stream()
                        .filter(c -> c.name().equals(part.column()))
                        .map(Column::type)
                        .findFirst())
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

    private static String describe(Index index) {
        List<String> parts = index.parts().stream()
                .map(p -> p.isExpression() ? p.expression() : p.column())
                .toList();
        return (index.unique() ? "unique " : "") + "index " + index.name()
                + (index.method().isEmpty() ? "" : " using " + index.method()) + " (" + String.join(", ", parts) + ")"
                + (index.predicate().isEmpty() ? "" : " where " + index.predicate());
    }
}
