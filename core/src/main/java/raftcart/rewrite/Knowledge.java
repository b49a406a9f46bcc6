package raftcart.rewrite;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** What is known of a database's objects, from a catalog or from the CREATE statements that were read so far. */
public final class Knowledge {
    private static final long UNKNOWN_ROWS = 1L << 40;

    private final Map<String, KnownTable> tables = new HashMap<>();
    private final Map<String, List<String>> enumerations;
    private final Map<String, DdlStatement.CreateDomain> domains = new HashMap<>();
    private final Set<String> routines = new HashSet<>();
    private final Set<String> triggers = new HashSet<>();
    private final KnownCode code = new KnownCode();
    private final Map<String, CodeStatement.CreateRoutine> triggerFunctions = new HashMap<>();
    private final Set<String> sequences = new HashSet<>();
    private final Set<String> reordered = new HashSet<>();
    private final Map<String, List<Name>> computed = new HashMap<>();
    private final KeyZeros zeros = new KeyZeros(true);
    private final Map<String, Numbered> numbered = new LinkedHashMap<>();
    private final Map<String, List<KnownIndex>> indexes = new HashMap<>();
    private final Map<String, List<KnownIndex>> indexesOf = new HashMap<>();
    private final Set<String> writtenIndexes = new HashSet<>();
    private final Map<String, QualifiedName> temporary = new HashMap<>();
    private final Map<String, Name> addresses = new HashMap<>();
    private final Map<String, List<String>> keysOf = new HashMap<>();
    private Optional<String> current = Optional.empty();
    private boolean paddingSaid;
    private final KnownDefinitions definitions = new KnownDefinitions(this::key);

    public Knowledge() {
        this(new HashMap<>());
    }

    private Knowledge(Map<String, List<String>> enumerations) {
        this.enumerations = enumerations;
    }

    /** Knows the enumerations that the other knows, now and later, and nothing else. */
    public static Knowledge ofTypes(Knowledge other) {
        return new Knowledge(other.enumerations);
    }

    /**
     * A column that the engine numbers.
     *
     * @param start the number from which it goes on, as far as the script says
     * @param highest the highest number that rows brought with them
     */
    record Numbered(QualifiedName table, Name column, BigInteger start, Optional<BigInteger> highest) {
        /** True where rows brought a number that the counter has not reached. */
        boolean isPassed() {
            return highest.filter(h -> h.compareTo(start) >= 0).isPresent();
        }

        /** True where the counter gave numbers to rows that nobody counted. */
        boolean isUncertain() {
            return start.bitLength() > 40;
        }
    }

    /**
     * An index, or a key that has one.
     *
     * @param written its name on the target
     * @param key true for a key
     */
    record KnownIndex(QualifiedName name, QualifiedName table, QualifiedName written, boolean key) {}

    /** A column: its type if it is known, and whether NULL is refused. */
    public record KnownColumn(Name name, Optional<LogicalType> type, boolean notNull, boolean ignoresCase) {}

    /**
     * A table or view with its columns in order and its keys; the primary key comes first.
     *
     * @param facts the same columns as queries see them
     */
    public record KnownTable(
            Map<String, KnownColumn> columns, Map<String, Scope.ColumnFacts> facts, List<List<Name>> keys) {
        private static KnownTable of(List<KnownColumn> columns, List<List<Name>> keys) {
            KnownTable table = new KnownTable(new LinkedHashMap<>(), new LinkedHashMap<>(), new ArrayList<>(keys));
            columns.forEach(table::add);
            return table;
        }

        private void add(KnownColumn column) {
            String key = column.name().text().toLowerCase(Locale.ROOT);
            columns.put(key, column);
            facts.put(key, Scope.ColumnFacts.of(column));
        }

        private KnownTable without(Name column) {
            List<KnownColumn> rest = columns.values().stream()
                    .filter(c -> !c.name().matches(column))
                    .toList();
            return of(
                    rest,
                    keys.stream()
                            .filter(k -> k.stream().noneMatch(column::matches))
                            .toList());
        }

        private KnownTable renamed(Name from, Name to) {
            return of(
                    columns.values().stream()
                            .map(c -> c.name().matches(from)
                                    ? new KnownColumn(to, c.type(), c.notNull(), c.ignoresCase())
                                    : c)
                            .toList(),
                    keys.stream()
                            .map(k -> k.stream()
                                    .map(n -> n.matches(from) ? to : n)
                                    .toList())
                            .toList());
        }

        private KnownTable placed(AlterAction.PlaceColumn place) {
            List<KnownColumn> all = new ArrayList<>(columns.values());
            Optional<KnownColumn> moved =
                    all.stream().filter(c -> c.name().matches(place.column())).findFirst();
            if (moved.isEmpty()) {
                return this;
            }
            all.remove(moved.get());
            int at = place.beside().isEmpty() ? 0 : all.size();
            for (int i = 0; i < all.size() && place.beside().isPresent(); i++) {
                if (all.get(i).name().matches(place.beside().get())) {
                    at = place.before() ? i : i + 1;
                }
            }
            all.add(at, moved.get());
            return of(all, keys);
        }

        /** A table with its name in lower case. */
        record Named(String name, KnownTable table) {}
    }

    /** How columns were defined, in the source's own words. */
    KnownDefinitions definitions() {
        return definitions;
    }

    /** All tables. */
    List<KnownTable.Named> tables() {
        return tables.entrySet().stream()
                .map(e -> new KnownTable.Named(e.getKey().substring(e.getKey().lastIndexOf('.') + 1), e.getValue()))
                .toList();
    }

    private static String lastKey(QualifiedName name) {
        return name.last().text().toLowerCase(Locale.ROOT);
    }

    /** By which a table is looked up: its schema counts where a script has several tables of the name. */
    private String key(QualifiedName name) {
        String last = lastKey(name);
        List<String> all = keysOf.getOrDefault(last, List.of());
        String full = fullKey(name, last);
        if (all.isEmpty() || all.contains(full)) {
            return full;
        }
        return name.parts().size() == 1 ? all.get(all.size() - 1) : all.contains(last) ? last : full;
    }

    /** Tables without a schema are in this one from now on. */
    void use(Name schema) {
        current = Optional.of(schema.text().toLowerCase(Locale.ROOT));
    }

    private String fullKey(QualifiedName name, String last) {
        int parts = name.parts().size();
        String schema = parts > 1 ? name.parts().get(parts - 2).text().toLowerCase(Locale.ROOT) : current.orElse("");
        return schema.isEmpty() ? last : schema + "." + last;
    }

    /** The table of this name, in whichever schema. */
    public Optional<KnownTable> table(QualifiedName name) {
        return Optional.ofNullable(tables.get(key(name)));
    }

    /** True at the first table whose texts compare in another way on the target, for which it is said for all. */
    boolean saysPadding() {
        boolean first = !paddingSaid;
        paddingSaid = true;
        return first;
    }

    /** Remembers a table. */
    public void add(QualifiedName name, List<KnownColumn> columns, List<List<Name>> keys) {
        String full = fullKey(name, lastKey(name));
        keysOf.computeIfAbsent(lastKey(name), k -> new ArrayList<>()).remove(full);
        keysOf.get(lastKey(name)).add(full);
        tables.put(key(name), KnownTable.of(columns, keys));
        addresses.remove(key(name));
        numbered.remove(key(name));
        computed.remove(key(name));
        reordered.remove(key(name));
        forgetIndexes(name);
    }

    /** Remembers the column that is the address of its row. */
    void addAddress(QualifiedName table, Name column) {
        addresses.put(key(table), column);
    }

    Optional<Name> address(QualifiedName table) {
        return Optional.ofNullable(addresses.get(key(table)));
    }

    /** Remembers that a table is temporary. */
    void addTemporary(QualifiedName table) {
        temporary.put(key(table), table);
    }

    boolean isTemporary(QualifiedName table) {
        if (temporary.isEmpty()) {
            return false;
        }
        QualifiedName known = temporary.get(key(table));
        return known != null
                && (table.parts().size() == 1
                        || known.parts().size() == table.parts().size()
                                && known.parts().get(0).matches(table.parts().get(0)));
    }

    /** Remembers a further column of a table that is known. */
    public void addColumn(QualifiedName table, KnownColumn column) {
        table(table).ifPresent(t -> t.add(column));
    }

    /** Forgets a column. */
    void removeColumn(QualifiedName table, Name column) {
        table(table).ifPresent(t -> tables.put(key(table), t.without(column)));
        numbered(table).filter(n -> n.column().matches(column)).ifPresent(n -> numbered.remove(key(table)));
        computed.getOrDefault(key(table), new ArrayList<>()).removeIf(column::matches);
    }

    /** Another name for a column. */
    void renameColumn(QualifiedName table, Name from, Name to) {
        table(table).ifPresent(t -> tables.put(key(table), t.renamed(from, to)));
        numbered(table)
                .filter(n -> n.column().matches(from))
                .ifPresent(n -> numbered.put(key(table), new Numbered(n.table(), to, n.start(), n.highest())));
        computed.getOrDefault(key(table), new ArrayList<>()).replaceAll(c -> c.matches(from) ? to : c);
    }

    /** Another place for a column; its table is not the target's in the order of its columns from then on. */
    void placeColumn(QualifiedName table, AlterAction.PlaceColumn place, boolean alsoOnTarget) {
        table(table).ifPresent(t -> tables.put(key(table), t.placed(place)));
        if (!alsoOnTarget) {
            reordered.add(key(table));
        }
    }

    /** True where the columns of a table stand in another order on the target. */
    boolean isReordered(QualifiedName table) {
        return reordered.contains(key(table));
    }

    /** Another name for a table, which stays in its schema unless that is named as well. */
    void renameTable(QualifiedName from, QualifiedName to) {
        String old = key(from);
        int dot = old.indexOf('.');
        String now =
                to.parts().size() == 1 && dot >= 0 ? old.substring(0, dot + 1) + lastKey(to) : fullKey(to, lastKey(to));
        List<KnownIndex> own = List.copyOf(indexesOf.getOrDefault(old, List.of()));
        own.forEach(this::removeIndex);
        keysOf.getOrDefault(lastKey(from), new ArrayList<>()).remove(old);
        keysOf.computeIfAbsent(lastKey(to), k -> new ArrayList<>()).add(now);
        moved(tables, old, now);
        moved(computed, old, now);
        moved(addresses, old, now);
        moved(temporary, old, now);
        moved(numbered, old, now);
        numbered(to).ifPresent(n -> numbered.put(now, new Numbered(to, n.column(), n.start(), n.highest())));
        if (reordered.remove(old)) {
            reordered.add(now);
        }
        QualifiedName whole = to.parts().size() == 1 ? from.withLast(to.last()) : to;
        own.forEach(i -> addIndex(new KnownIndex(i.name(), whole, i.written(), i.key())));
        definitions.moveConstraints(from, Optional.of(whole));
        definitions.rename(old, now);
    }

    private static <T> void moved(Map<String, T> map, String from, String to) {
        T value = map.remove(from);
        if (value != null) {
            map.put(to, value);
        }
    }

    /** Remembers a further key of a table that is known. */
    public void addKey(QualifiedName table, List<Name> key, boolean primary) {
        table(table).ifPresent(t -> t.keys().add(primary ? 0 : t.keys().size(), key));
    }

    /** Another table of the name, or none, has indexes of its own. */
    private void forgetIndexes(QualifiedName table) {
        List<KnownIndex> gone = indexesOf.remove(key(table));
        if (gone != null) {
            List.copyOf(gone).forEach(this::removeIndex);
        }
    }

    /** Forgets a table. */
    public void remove(QualifiedName table) {
        definitions.moveConstraints(table, Optional.empty());
        tables.remove(key(table));
        numbered.remove(key(table));
        computed.remove(key(table));
        reordered.remove(key(table));
        temporary.remove(key(table));
        forgetIndexes(table);
        keysOf.getOrDefault(lastKey(table), new ArrayList<>()).remove(key(table));
    }

    /** Remembers a column that is computed of others. */
    public void addComputed(QualifiedName table, Name column) {
        computed.computeIfAbsent(key(table), k -> new ArrayList<>()).add(column);
    }

    boolean isComputed(QualifiedName table, Name column) {
        return computed.getOrDefault(key(table), List.of()).stream().anyMatch(column::matches);
    }

    /** Remembers a column that the engine numbers. */
    public void addNumbered(QualifiedName table, Name column, BigInteger start) {
        numbered.put(key(table), new Numbered(table, column, start, Optional.empty()));
    }

    Optional<Numbered> numbered(QualifiedName table) {
        return Optional.ofNullable(numbered.get(key(table)));
    }

    /** The numbered column after which a sequence is named, as in {@code TABLE_COLUMN_seq}. */
    Optional<Numbered> numberedBy(Name sequence) {
        return numbered.values().stream()
                .filter(n ->
                        (n.table().last().text() + "_" + n.column().text() + "_seq").equalsIgnoreCase(sequence.text()))
                .findFirst();
    }

    /** What 0 stands for in a column that the engine numbers, where the source has a say in that. */
    KeyZeros zeros() {
        return zeros;
    }

    /** A number that a row brought with it. */
    void sawNumber(Numbered column, BigInteger number) {
        BigInteger highest = column.highest().map(h -> h.max(number)).orElse(number);
        numbered.put(
                key(column.table()),
                new Numbered(column.table(), column.column(), column.start(), Optional.of(highest)));
    }

    /** Rows took their numbers from the counter, which goes on behind those that rows brought before. */
    void generated(Numbered column, OptionalLong rows) {
        BigInteger next = column.isPassed() ? column.highest().orElseThrow().add(BigInteger.ONE) : column.start();
        // Where nobody knows how many there were, only a number that no counter reaches is beyond it.
        addNumbered(column.table(), column.column(), next.add(BigInteger.valueOf(rows.orElse(UNKNOWN_ROWS))));
    }

    /** The columns whose rows brought higher numbers than the engine would give next; they are forgotten with it. */
    List<Numbered> passedNumbers() {
        List<Numbered> passed =
                numbered.values().stream().filter(Numbered::isPassed).toList();
        passed.forEach(n ->
                addNumbered(n.table(), n.column(), n.highest().orElseThrow().add(BigInteger.ONE)));
        return passed;
    }

    void addIndex(KnownIndex index) {
        indexes.computeIfAbsent(lastKey(index.name()), k -> new ArrayList<>()).add(index);
        indexesOf.computeIfAbsent(key(index.table()), k -> new ArrayList<>()).add(index);
        writtenIndexes.add(lastKey(index.written()));
    }

    /** The index or key of this name on this table, if a script made one. */
    Optional<KnownIndex> index(Name name, QualifiedName table) {
        return indexes.getOrDefault(name.text().toLowerCase(Locale.ROOT), List.of()).stream()
                .filter(i -> key(i.table()).equals(key(table)))
                .findFirst();
    }

    /** The index or key of this name, on whichever table. */
    Optional<KnownIndex> index(Name name) {
        return indexes.getOrDefault(name.text().toLowerCase(Locale.ROOT), List.of()).stream()
                .findFirst();
    }

    /** True for a name that an index or key of the target has. */
    boolean isIndexOfTarget(QualifiedName written) {
        return writtenIndexes.contains(lastKey(written));
    }

    void removeIndex(KnownIndex index) {
        List<KnownIndex> all = indexes.getOrDefault(lastKey(index.name()), new ArrayList<>());
        all.remove(index);
        indexesOf.getOrDefault(key(index.table()), new ArrayList<>()).remove(index);
        writtenIndexes.remove(lastKey(index.written()));
    }

    /** Remembers an enumeration. */
    public void addEnumeration(QualifiedName name, List<String> values) {
        enumerations.put(lastKey(name), values);
    }

    /** Remembers a domain. */
    void addDomain(DdlStatement.CreateDomain domain) {
        if (!domain.isInCircle(domains)) {
            domains.put(lastKey(domain.name()), domain);
        }
    }

    /** Remembers a sequence. */
    void addSequence(QualifiedName name) {
        sequences.add(lastKey(name));
    }

    boolean isSequence(QualifiedName name) {
        return sequences.contains(lastKey(name));
    }

    KnownCode code() {
        return code;
    }

    /** A function whose body goes into the triggers that call it. */
    void addTriggerFunction(CodeStatement.CreateRoutine function) {
        triggerFunctions.put(lastKey(function.name()), function);
    }

    /** True for a trigger whose name no other has had: some engines have the name once in a schema, others once for a table. */
    boolean isFirstTrigger(String name) {
        return triggers.add(name.toLowerCase(Locale.ROOT));
    }

    Optional<CodeStatement.CreateRoutine> triggerFunction(QualifiedName name) {
        return Optional.ofNullable(triggerFunctions.get(lastKey(name)));
    }

    /** Remembers that there is a routine of this name. */
    public void addRoutine(String name) {
        routines.add(name.toLowerCase(Locale.ROOT));
    }

    /** A routine that is not there after all. */
    public void removeRoutine(String name) {
        routines.remove(name.toLowerCase(Locale.ROOT));
    }

    /** True for a routine that may be called. */
    public boolean isRoutine(QualifiedName name) {
        return routines.contains(lastKey(name));
    }

    private static String lastWord(TypeName type) {
        return type.name().substring(type.name().lastIndexOf('.') + 1);
    }

    Optional<List<String>> enumeration(TypeName type) {
        return Optional.ofNullable(type.arrays() > 0 ? null : enumerations.get(lastWord(type)));
    }

    /** The type of which a domain is; empty for other types. */
    Optional<TypeName> base(TypeName type) {
        return domain(type).filter(d -> !d.isOfItself()).map(DdlStatement.CreateDomain::type);
    }

    /** True for an array of a domain or an enumeration. */
    boolean isArrayOfKnown(TypeName type) {
        return type.arrays() > 0
                && (domain(type.element()).isPresent()
                        || enumeration(type.element()).isPresent());
    }

    Optional<DdlStatement.CreateDomain> domain(TypeName type) {
        Optional<DdlStatement.CreateDomain> own =
                Optional.ofNullable(type.arrays() > 0 ? null : domains.get(lastWord(type)));
        return own.map(d -> d.isOfItself() ? d : domain(d.type()).map(d::of).orElse(d));
    }
}
