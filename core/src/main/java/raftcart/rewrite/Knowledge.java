package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** What is known of a database's objects, from a catalog or from the CREATE statements that were read so far. */
public final class Knowledge {
    private final Map<String, KnownTable> tables = new HashMap<>();
    private final Map<String, List<String>> enumerations = new HashMap<>();
    private final Map<String, TypeName> domains = new HashMap<>();
    private final Set<String> routines = new HashSet<>();

    /** A column: its type if it is known, and whether NULL is refused. */
    public record KnownColumn(Name name, Optional<LogicalType> type, boolean notNull, boolean ignoresCase) {}

    /** A table or view with its columns in order and its keys; the primary key comes first. */
    public record KnownTable(Map<String, KnownColumn> columns, List<List<Name>> keys) {}

    private static String key(QualifiedName name) {
        return name.last().text().toLowerCase(Locale.ROOT);
    }

    /** The table of this name, in whichever schema. */
    public Optional<KnownTable> table(QualifiedName name) {
        return Optional.ofNullable(tables.get(key(name)));
    }

    /** Remembers a table. */
    public void add(QualifiedName name, List<KnownColumn> columns, List<List<Name>> keys) {
        Map<String, KnownColumn> byName = new LinkedHashMap<>();
        columns.forEach(c -> byName.put(c.name().text().toLowerCase(Locale.ROOT), c));
        tables.put(key(name), new KnownTable(byName, new ArrayList<>(keys)));
    }

    /** Remembers a further column of a table that is known. */
    public void addColumn(QualifiedName table, KnownColumn column) {
        table(table).ifPresent(t -> t.columns().put(column.name().text().toLowerCase(Locale.ROOT), column));
    }

    /** Remembers a further key of a table that is known. */
    public void addKey(QualifiedName table, List<Name> key, boolean primary) {
        table(table).ifPresent(t -> t.keys().add(primary ? 0 : t.keys().size(), key));
    }

    /** Forgets a table. */
    public void remove(QualifiedName table) {
        tables.remove(key(table));
    }

    /** Remembers an enumeration. */
    public void addEnumeration(QualifiedName name, List<String> values) {
        enumerations.put(key(name), values);
    }

    /** Remembers a domain. */
    public void addDomain(QualifiedName name, TypeName type) {
        domains.put(key(name), type);
    }

    /** Remembers that there is a routine of this name. */
    public void addRoutine(String name) {
        routines.add(name.toLowerCase(Locale.ROOT));
    }

    boolean isRoutine(QualifiedName name) {
        return routines.contains(key(name));
    }

    private static String lastWord(TypeName type) {
        return type.name().substring(type.name().lastIndexOf('.') + 1);
    }

    Optional<List<String>> enumeration(TypeName type) {
        return Optional.ofNullable(enumerations.get(lastWord(type)));
    }

    Optional<TypeName> domain(TypeName type) {
        return Optional.ofNullable(domains.get(lastWord(type)));
    }
}
