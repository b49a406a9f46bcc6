package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;

/** How the columns of tables were defined by the statements that were read so far, in the source's own words. */
final class KnownDefinitions {
    /** The length up to which PostgreSQL names a key after its table without cutting it. */
    private static final int UNCUT = 58;

    private final Map<String, Map<String, ColumnDefinition>> tables = new HashMap<>();
    private final Map<String, PrimaryKey> primaryKeys = new HashMap<>();
    private final Map<String, QualifiedName> owners = new HashMap<>();
    private final Map<String, Map<String, QualifiedName>> references = new HashMap<>();
    private final Function<QualifiedName, String> keys;

    /**
     * A primary key.
     *
     * @param name empty where it was given none
     * @param madeFor the table's name when it got the key
     * @param table the table by its name now
     */
    record PrimaryKey(Optional<Name> name, Name madeFor, QualifiedName table) {
        /** Its name, which an engine may make of that of the table. */
        Optional<Name> name(Language language) {
            boolean made = language.has(SqlFeature.KEYS_ARE_NAMED_AFTER_TABLES)
                    && madeFor.text().length() <= UNCUT;
            return name.or(
                    () -> made ? Optional.of(new Name(madeFor.text() + "_pkey", madeFor.exact())) : Optional.empty());
        }
    }

    /** @param keys by which tables are looked up */
    KnownDefinitions(Function<QualifiedName, String> keys) {
        this.keys = keys;
    }

    private static String key(Name name) {
        return name.text().toLowerCase(Locale.ROOT);
    }

    /** A table that is made now; the columns of its primary key refuse NULL whether they say so or not. */
    void add(CreateTable table) {
        tables.remove(keys.apply(table.name()));
        primaryKeys.remove(keys.apply(table.name()));
        references.remove(keys.apply(table.name()));
        table.columns().forEach(c -> addNew(table.name(), c));
        table.constraints().stream()
                .filter(c -> remember(table.name(), c))
                .flatMap(c -> TableAdapter.names(c.parts()).stream())
                .forEach(n -> change(table.name(), n, d -> d.withNotNull(Optional.of(true))));
    }

    /** A column that was not there before, which may bring the primary key with it. */
    void addNew(QualifiedName table, ColumnDefinition column) {
        column.constraints().forEach(c -> remember(table, c));
        add(table, column);
    }

    void add(QualifiedName table, ColumnDefinition column) {
        boolean primary = column.constraints().stream().anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
        tables.computeIfAbsent(keys.apply(table), k -> new HashMap<>())
                .put(key(column.name()), primary ? column.withNotNull(Optional.of(true)) : column);
    }

    /** Remembers whose constraint it is and what it refers to; true for one that is a primary key. */
    boolean remember(QualifiedName table, TableConstraint constraint) {
        constraint
                .reference()
                .map(Reference::table)
                .filter(parent -> !keys.apply(parent).equals(keys.apply(table)))
                .ifPresent(parent -> references
                        .computeIfAbsent(keys.apply(table), k -> new LinkedHashMap<>())
                        .put(keys.apply(parent), table));
        constraint.name().ifPresent(n -> owners.put(key(n), table));
        boolean primary = constraint.kind() == ConstraintKind.PRIMARY_KEY;
        if (primary) {
            primaryKeys.put(keys.apply(table), new PrimaryKey(constraint.name(), table.last(), table));
        }
        return primary;
    }

    Optional<PrimaryKey> primaryKey(QualifiedName table) {
        return Optional.ofNullable(primaryKeys.get(keys.apply(table)));
    }

    /** Its name, which an engine may make of that of the table. */
    Optional<Name> nameOfPrimaryKey(QualifiedName table, Language language) {
        return primaryKey(table).flatMap(k -> k.name(language));
    }

    /** True for the name of the primary key of this table. */
    boolean isPrimaryKey(QualifiedName table, Name name, Language language) {
        return nameOfPrimaryKey(table, language).filter(name::matches).isPresent();
    }

    void renamePrimaryKey(QualifiedName table, Name to) {
        primaryKeys.computeIfPresent(
                keys.apply(table), (k, old) -> new PrimaryKey(Optional.of(to), old.madeFor(), old.table()));
    }

    /** The table that has this constraint, or this primary key under a name that the engine made. */
    Optional<QualifiedName> ownerOf(Name constraint, Language language) {
        return Optional.ofNullable(owners.get(key(constraint))).or(() -> primaryKeys.values().stream()
                .filter(k -> k.name(language).filter(constraint::matches).isPresent())
                .map(PrimaryKey::table)
                .findFirst());
    }

    void removePrimaryKey(QualifiedName table) {
        primaryKeys.remove(keys.apply(table));
    }

    void change(QualifiedName table, Name column, UnaryOperator<ColumnDefinition> how) {
        of(table, column).ifPresent(old -> {
            remove(table, column);
            add(table, how.apply(old));
        });
    }

    void remove(QualifiedName table, Name column) {
        Map<String, ColumnDefinition> columns = tables.get(keys.apply(table));
        if (columns != null) {
            columns.remove(key(column));
        }
    }

    /** The tables that refer to this one, itself aside. */
    List<QualifiedName> referring(QualifiedName table) {
        String parent = keys.apply(table);
        return references.values().stream()
                .filter(r -> r.containsKey(parent))
                .map(r -> r.get(parent))
                .toList();
    }

    /** The tables in an order in which none comes before those that refer to it, as far as there is one. */
    List<QualifiedName> referringFirst(List<QualifiedName> tables) {
        List<QualifiedName> left = new ArrayList<>(tables);
        List<QualifiedName> sorted = new ArrayList<>();
        while (!left.isEmpty()) {
            QualifiedName next = left.stream()
                    .filter(t -> referring(t).stream().noneMatch(r -> holds(left, r)))
                    .findFirst()
                    .orElse(left.get(0));
            left.remove(next);
            sorted.add(next);
        }
        return sorted;
    }

    private boolean holds(List<QualifiedName> tables, QualifiedName table) {
        return tables.stream().anyMatch(t -> keys.apply(t).equals(keys.apply(table)));
    }

    /** The constraints of a table that is gone, or has another name now. */
    void moveConstraints(QualifiedName table, Optional<QualifiedName> to) {
        String from = keys.apply(table);
        Map<String, QualifiedName> own = references.remove(from);
        if (own != null && to.isPresent()) {
            own.replaceAll((parent, old) -> to.get());
            references.put(keys.apply(to.get()), own);
        }
        references.values().forEach(r -> {
            QualifiedName child = r.remove(from);
            if (child != null && to.isPresent()) {
                r.put(keys.apply(to.get()), child);
            }
        });
        owners.entrySet().removeIf(e -> to.isEmpty() && keys.apply(e.getValue()).equals(from));
        owners.replaceAll((name, owner) -> keys.apply(owner).equals(from) ? to.orElse(owner) : owner);
        to.ifPresent(t -> primaryKeys.computeIfPresent(from, (k, key) -> new PrimaryKey(key.name(), key.madeFor(), t)));
    }

    void rename(String from, String to) {
        Map<String, ColumnDefinition> columns = tables.remove(from);
        if (columns != null) {
            tables.put(to, columns);
        }
        PrimaryKey key = primaryKeys.remove(from);
        if (key != null) {
            primaryKeys.put(to, key);
        }
    }

    /** What is meant by dropping a constraint of this name, where it is a default or a NOT NULL of a column. */
    Optional<AlterAction> without(QualifiedName table, Name constraint) {
        return tables.getOrDefault(keys.apply(table), Map.of()).values().stream()
                .flatMap(c -> c.without(constraint).stream())
                .findFirst();
    }

    Optional<ColumnDefinition> of(QualifiedName table, Name column) {
        return Optional.ofNullable(tables.get(keys.apply(table))).map(t -> t.get(key(column)));
    }
}
