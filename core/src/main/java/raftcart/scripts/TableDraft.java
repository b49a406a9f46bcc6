package raftcart.scripts;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Partitioning;
import raftcart.catalog.Table;
import raftcart.sql.Passwords;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement.TableCopy;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.NamedOption;

/** A table while statements still change it. Names are looked up without regard to case, exact ones first. */
final class TableDraft {
    /** Its number among the tables that scripts made, by which it is known under all of its names. */
    final int id;

    ObjectName name;
    final List<Column> columns = new ArrayList<>();

    /** Of each column its number among those that the table had, by which it is known under all of its names. */
    final List<Integer> ids = new ArrayList<>();

    /** What the rows that were there held in a column that was added, by its number; empty for NULL. */
    final Map<Integer, Optional<String>> filledWith = new HashMap<>();

    /** Defaults and NOT NULLs that have names, by these; each with the number of its column. */
    private final Map<String, Option> options = new HashMap<>();

    Optional<Key> primaryKey = Optional.empty();
    final List<Key> uniqueKeys = new ArrayList<>();
    final List<ForeignKey> foreignKeys = new ArrayList<>();
    final List<CheckConstraint> checks = new ArrayList<>();
    final List<Index> indexes = new ArrayList<>();
    final List<String> physical = new ArrayList<>();
    Optional<Partitioning> partitioning = Optional.empty();

    /** How its texts compare where a column does not say so. */
    Optional<String> collation = Optional.empty();

    String comment = "";
    long rows;
    private int columnsMade;

    TableDraft(int id, ObjectName name) {
        this.id = id;
        this.name = name;
    }

    private record Option(int column, NamedOption option) {}

    /** A name by which the default or the NOT NULL of a column may be dropped. */
    void name(NamedOption option, Name column) {
        column(column)
                .map(columns::indexOf)
                .ifPresent(i -> options.put(option.name().key(), new Option(ids.get(i), option)));
    }

    /** What is meant by dropping this constraint, where it is a default or a NOT NULL. */
    Optional<AlterAction> without(Name constraint) {
        return Optional.ofNullable(options.get(constraint.key()))
                .filter(o -> ids.contains(o.column()))
                .map(o -> o.option()
                        .dropped(new Name(columns.get(ids.indexOf(o.column())).name(), true)));
    }

    /** A further column, behind the others. */
    void add(Column column) {
        columns.add(column);
        ids.add(columnsMade++);
    }

    /** Gets the columns of another table, and as a whole also its keys, checks and indexes; never its foreign keys. */
    void copy(TableDraft other, TableCopy how) {
        other.columns.forEach(c -> add(how.whole() || how.inherits() ? c : c.withoutValues()));
        if (how.inherits()) {
            checks.addAll(other.checks);
            physical.add("INHERITS (" + how.table() + ")");
        }
        if (how.whole()) {
            primaryKey = other.primaryKey;
            uniqueKeys.addAll(other.uniqueKeys);
            checks.addAll(other.checks);
            indexes.addAll(other.indexes);
        }
    }

    /** Divides its rows; parts without names are counted. */
    void divide(raftcart.sql.tree.Partitioning given) {
        partitioning = Optional.of(new Partitioning(given.scheme(), List.of()));
        for (raftcart.sql.tree.Partitioning.Partition part : given.partitions()) {
            int number = partitioning.get().partitions().size();
            addPartition(part.name().map(n -> n.last().text()).orElse("p" + number), part.text());
        }
        given.leftOut().stream().filter("subpartitions"::equals).forEach(physical::add);
    }

    /** A further part. */
    void addPartition(String part, String bounds) {
        List<Partitioning.Partition> all = new ArrayList<>();
        partitioning.ifPresent(p -> all.addAll(p.partitions()));
        all.add(new Partitioning.Partition(part, bounds));
        partitioning = partitioning.map(p -> new Partitioning(p.scheme(), all));
    }

    /** The column's name as it was defined; the given text where there is none. */
    String columnName(Name wanted) {
        return column(wanted).map(Column::name).orElse(wanted.text());
    }

    Optional<Column> column(Name wanted) {
        return columns.stream()
                .filter(c -> c.name().equals(wanted.text()))
                .findFirst()
                .or(() -> columns.stream()
                        .filter(c -> c.name().equalsIgnoreCase(wanted.text()))
                        .findFirst());
    }

    /** Changes a column; false where there is none of this name. */
    boolean change(Name wanted, UnaryOperator<Column> change) {
        Optional<Column> old = column(wanted);
        old.ifPresent(c -> columns.set(columns.indexOf(c), change.apply(c)));
        return old.isPresent();
    }

    /** A name for a part that was given none, as the dialects make them up. */
    String nameFor(List<String> columnNames, String ending) {
        String columnPart = columnNames.isEmpty() ? "" : String.join("_", columnNames) + "_";
        String all = (name.name() + "_" + columnPart).toLowerCase(Locale.ROOT) + ending;
        String unique = all;
        for (int i = 2; isTaken(unique); i++) {
            unique = all + i;
        }
        return unique;
    }

    private boolean isTaken(String part) {
        return checks.stream().anyMatch(c -> c.name().equalsIgnoreCase(part))
                || uniqueKeys.stream().anyMatch(k -> k.name().equalsIgnoreCase(part))
                || indexes.stream().anyMatch(i -> i.name().equalsIgnoreCase(part))
                || foreignKeys.stream().anyMatch(k -> k.name().equalsIgnoreCase(part));
    }

    /** Adds a key; an index that was made for it beforehand is the key's own from then on. */
    void addKey(Key key, boolean primary) {
        indexes.removeIf(i -> i.name().equalsIgnoreCase(key.name()));
        if (primary) {
            primaryKey = Optional.of(key);
            key.columns().forEach(c -> change(Name.of(c), old -> Columns.nullable(old, false)));
        } else {
            uniqueKeys.add(key);
        }
    }

    void removeConstraint(String constraint) {
        primaryKey = primaryKey.filter(k -> !k.name().equalsIgnoreCase(constraint));
        uniqueKeys.removeIf(k -> k.name().equalsIgnoreCase(constraint));
        foreignKeys.removeIf(k -> k.name().equalsIgnoreCase(constraint));
        checks.removeIf(k -> k.name().equalsIgnoreCase(constraint));
    }

    /** Gives a constraint or an index another name; false where there is none of the old one. */
    boolean renamePart(String old, String to) {
        if (!isTaken(old)
                && primaryKey.filter(k -> k.name().equalsIgnoreCase(old)).isEmpty()) {
            return false;
        }
        UnaryOperator<String> named = n -> n.equalsIgnoreCase(old) ? to : n;
        primaryKey = primaryKey.map(k -> new Key(named.apply(k.name()), k.parts()));
        uniqueKeys.replaceAll(k -> new Key(named.apply(k.name()), k.parts()));
        checks.replaceAll(c -> new CheckConstraint(named.apply(c.name()), c.expression()));
        indexes.replaceAll(
                i -> new Index(named.apply(i.name()), i.unique(), i.parts(), i.method(), i.predicate(), i.included()));
        foreignKeys.replaceAll(k -> ForeignKeys.named(k, named.apply(k.name())));
        return true;
    }

    /** Takes a column away with all that stands on it. */
    void removeColumn(Name column) {
        String gone = columnName(column);
        column(column).map(columns::indexOf).ifPresent(i -> {
            columns.remove((int) i);
            ids.remove((int) i);
        });
        primaryKey = primaryKey.filter(k -> !k.columns().contains(gone));
        uniqueKeys.removeIf(k -> k.columns().contains(gone));
        foreignKeys.removeIf(k -> k.columns().contains(gone));
        indexes.removeIf(i -> i.parts().stream().anyMatch(p -> p.column().equals(gone)));
    }

    /** Puts a column to its place among the others. */
    void place(AlterAction.PlaceColumn place) {
        Optional<Column> moved = column(place.column());
        if (moved.isEmpty()) {
            return;
        }
        Integer number = ids.remove(columns.indexOf(moved.get()));
        columns.remove(moved.get());
        int at = place.beside()
                .flatMap(this::column)
                .map(c -> columns.indexOf(c) + (place.before() ? 0 : 1))
                .orElse(place.beside().isPresent() ? columns.size() : 0);
        columns.add(at, moved.get());
        ids.add(at, number);
    }

    /**
     * Gives a column another name, wherever it stands in this table.
     *
     * @param inText puts the new name into an expression
     */
    void renameColumn(Name from, String to, UnaryOperator<String> inText) {
        String old = columnName(from);
        change(from, c -> Columns.named(c, to));
        columns.replaceAll(c -> Columns.computed(
                c, c.generated().map(g -> new Generated(inText.apply(g.expression()), g.stored(), g.hidden()))));
        checks.replaceAll(c -> new CheckConstraint(c.name(), inText.apply(c.expression())));
        primaryKey = primaryKey.map(k -> new Key(k.name(), parts(k.parts(), old, to, inText)));
        uniqueKeys.replaceAll(k -> new Key(k.name(), parts(k.parts(), old, to, inText)));
        indexes.replaceAll(i -> new Index(
                i.name(),
                i.unique(),
                parts(i.parts(), old, to, inText),
                i.method(),
                i.predicate().isEmpty() ? "" : inText.apply(i.predicate()),
                texts(i.included(), old, to)));
        foreignKeys.replaceAll(k -> new ForeignKey(
                k.name(),
                texts(k.columns(), old, to),
                k.target(),
                k.targetColumns(),
                k.onDelete(),
                k.onUpdate(),
                k.deferrable(),
                k.initiallyDeferred(),
                texts(k.cleared(), old, to)));
    }

    private static List<KeyPart> parts(List<KeyPart> parts, String old, String to, UnaryOperator<String> inText) {
        return parts.stream()
                .map(p -> new KeyPart(
                        p.column().equals(old) ? to : p.column(),
                        p.isExpression() ? inText.apply(p.expression()) : p.expression(),
                        p.prefixLength(),
                        p.descending()))
                .toList();
    }

    private static List<String> texts(List<String> texts, String old, String to) {
        return texts.stream().map(t -> t.equals(old) ? to : t).toList();
    }

    void restart(Name column, BigInteger next) {
        change(
                column,
                c -> Columns.numbered(
                        c,
                        c.identity()
                                .map(i -> new Identity(i.start(), i.increment(), i.always(), next))
                                .orElse(new Identity(1, 1, false, next))));
    }

    Table table() {
        return new Table(
                name,
                columns,
                primaryKey,
                uniqueKeys,
                foreignKeys,
                checks,
                indexes,
                comment,
                partitioning,
                physical.stream().map(Passwords::hidden).toList(),
                rows,
                0);
    }
}
