package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
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
import raftcart.finding.FindingCode;
import raftcart.type.ValueChoices.UniqueTexts;

/** Translates the keys and indexes of one table. */
final class KeyTranslator {
    private final Language from;
    private final Dialect to;
    private final NameMapper names;
    private final Notes notes;
    private final Map<ObjectName, TableTranslator> tables;
    private final TableTranslator table;
    private final Table source;
    private final UniqueCase uniqueCase;
    private final IndexTranslator indexes;
    private final List<Key> uniqueKeys = new ArrayList<>();

    KeyTranslator(
            Language from,
            Dialect to,
            UniqueTexts uniqueTexts,
            NameMapper names,
            Notes notes,
            Map<ObjectName, TableTranslator> tables,
            TableTranslator table) {
        this.from = from;
        this.to = to;
        this.names = names;
        this.notes = notes;
        this.tables = tables;
        this.table = table;
        this.source = table.source();
        this.uniqueCase = new UniqueCase(to, uniqueTexts, source, notes);
        this.indexes = new IndexTranslator(from, to, names, notes, table, uniqueCase);
    }

    Optional<Key> primaryKey() {
        return source.primaryKey().map(key -> {
            if (uniqueCase.folds(key.parts())) {
                indexes.addIgnoringCase(asIndex(source.name().name() + "_key", key));
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
        new NullsInKeys(from, to, notes, table.expressions()).say(source);
        sayUnchecked();
        source.primaryKey().ifPresent(k -> uniqueCase.sayExact(k.parts()));
        source.uniqueKeys().forEach(k -> uniqueCase.sayExact(k.parts()));
        source.indexes().stream().filter(Index::unique).forEach(i -> uniqueCase.sayExact(i.parts()));
        source.uniqueKeys().forEach(this::uniqueKey);
        source.indexes().forEach(indexes::add);
    }

    /** Says where the target checks keys that the source did not. */
    private void sayUnchecked() {
        boolean keyed = source.primaryKey().isPresent() || !source.uniqueKeys().isEmpty();
        if (keyed && differ(SqlFeature.KEYS_ARE_PROMISES)) {
            notes.find(
                    FindingCode.UNCHECKED_KEY, source.name().toString(), "rows that have the same key are refused now");
        }
        if (!source.foreignKeys().isEmpty() && differ(SqlFeature.REFERENCES_ARE_PROMISES)) {
            notes.find(
                    FindingCode.UNCHECKED_KEY, source.name().toString(), "rows that refer to nothing are refused now");
        }
    }

    /** True where the source has a lenience that the target has not. */
    private boolean differ(SqlFeature lenience) {
        return from.has(lenience) && !to.has(lenience);
    }

    List<Key> uniqueKeys() {
        return List.copyOf(uniqueKeys);
    }

    List<Index> indexes() {
        return indexes.indexes();
    }

    /** The columns that the indexes need beside those of the source. */
    List<Column> hiddenColumns() {
        return indexes.hiddenColumns();
    }

    private static Index asIndex(String name, Key key) {
        return new Index(name, true, key.parts(), "", "", List.of());
    }

    private void uniqueKey(Key key) {
        boolean prefixed = key.parts().stream().anyMatch(p -> p.prefixLength() > 0);
        if (prefixed && !to.has(SqlFeature.PREFIX_INDEXES)) {
            indexes.add(asIndex(key.name(), key));
            return;
        }
        uniqueKeys.add(
                new Key(names.index(table.target(), key.name(), source.name().toString()), parts(key.parts())));
        if (uniqueCase.folds(key.parts())) {
            indexes.addIgnoringCase(asIndex(key.name(), key));
        }
    }

    private List<KeyPart> parts(List<KeyPart> parts) {
        return parts.stream()
                .map(p -> new KeyPart(table.targetColumn(p.column()), "", p.prefixLength(), p.descending()))
                .toList();
    }

    List<ForeignKey> foreignKeys() {
        List<ForeignKey> keys = new ArrayList<>();
        for (ForeignKey key : source.foreignKeys()) {
            TableTranslator parent = tables.get(key.target());
            String object = source.name() + "." + key.name();
            Optional<String> missing = missing(key, parent);
            if (missing.isPresent()) {
                notes.byHand(
                        "foreign-key",
                        object,
                        "foreign key " + key.name() + " " + key.columns() + " references " + key.target() + " "
                                + key.targetColumns(),
                        FindingCode.NOT_TRANSLATED,
                        missing.get());
                continue;
            }
            boolean whole = key.cleared().isEmpty() || to.has(SqlFeature.ACTIONS_NAME_COLUMNS);
            if (!whole) {
                notes.find(
                        FindingCode.KEY_ACTION_LOST,
                        object,
                        key.onDelete().sql() + " of " + key.cleared() + " alone becomes NO ACTION");
            }
            keys.add(new ForeignKey(
                    names.fit(key.name(), object),
                    key.columns().stream().map(table::targetColumn).toList(),
                    parent.target(),
                    key.targetColumns().stream().map(parent::targetColumn).toList(),
                    whole ? action(object, key.onDelete()) : ReferentialAction.NO_ACTION,
                    action(object, key.onUpdate()),
                    deferrable(object, key),
                    key.initiallyDeferred() && to.has(SqlFeature.DEFERRABLE),
                    whole ? key.cleared().stream().map(table::targetColumn).toList() : List.of()));
        }
        return keys;
    }

    /** What a reference lacks on the target. */
    private Optional<String> missing(ForeignKey key, TableTranslator parent) {
        if (parent == null) {
            return Optional.of("the table " + key.target() + " does not go along");
        }
        if (!isWhole(key, parent)) {
            return Optional.of("it names columns that are not there");
        }
        return differ(SqlFeature.REFERENCES_ANY_INDEX) && !isKey(key.targetColumns(), parent.source())
                ? Optional.of("the columns that it refers to are no key of " + key.target())
                : Optional.empty();
    }

    /** True for the columns of a key, or of a unique index of nothing but columns and of all rows. */
    private static boolean isKey(List<String> columns, Table table) {
        Stream<List<KeyPart>> keys = Stream.concat(
                Stream.concat(table.primaryKey().stream(), table.uniqueKeys().stream())
                        .map(Key::parts),
                table.indexes().stream()
                        .filter(i -> i.unique() && i.predicate().isEmpty())
                        .map(Index::parts));
        return keys.anyMatch(parts -> parts.size() == columns.size()
                && parts.stream().allMatch(p -> p.prefixLength() == 0 && columns.contains(p.column())));
    }

    private boolean isWhole(ForeignKey key, TableTranslator parent) {
        return key.columns().size() == key.targetColumns().size()
                && key.columns().stream().allMatch(c -> source.column(c).isPresent())
                && key.targetColumns().stream()
                        .allMatch(c -> parent.source().column(c).isPresent());
    }

    private ReferentialAction action(String object, ReferentialAction action) {
        if (action == ReferentialAction.SET_DEFAULT && !to.has(SqlFeature.SET_DEFAULT_ACTION)) {
            notes.find(FindingCode.KEY_ACTION_LOST, object, "SET DEFAULT becomes NO ACTION");
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
