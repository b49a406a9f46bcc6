package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.Locking;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/** Locks that stand with the tables of a query on one engine, and behind the query on the other. */
final class TableLocks {
    private final QueryAdapter adapter;

    TableLocks(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        boolean source = adapter.from.has(SqlFeature.LOCKS_AT_TABLES);
        boolean target = adapter.to.has(SqlFeature.LOCKS_AT_TABLES);
        if (source == target) {
            return query;
        }
        return source ? behind(query) : atTables(query);
    }

    /** The locks of tables behind the query. */
    private Query behind(Query query) {
        if (!(query.body() instanceof Select select)) {
            return query;
        }
        List<TableRef.Table> tables =
                select.from().stream().flatMap(TableRef::tables).toList();
        List<TableRef.Table> locked =
                tables.stream().filter(t -> t.lock().isPresent()).toList();
        if (locked.isEmpty()) {
            return query;
        }
        if (!adapter.to.has(SqlFeature.FOR_UPDATE)
                || select.distinct()
                || !select.groupBy().isEmpty()
                || select.having().isPresent()
                || select.items().stream().anyMatch(i -> Aggregates.in(i.value(), adapter.from))) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, query.span(), "rows are read without the lock that the source takes");
            return query;
        }
        Locking first = locked.get(0).lock().get();
        List<QualifiedName> of = locked.size() == tables.size()
                ? List.of()
                : locked.stream()
                        .map(t -> QualifiedName.of(t.alias()
                                .map(a -> a.name())
                                .orElse(t.name().last())
                                .text()))
                        .toList();
        adapter.note(FindingCode.SYNTAX_ADAPTED, query.span(), "the locks of tables as FOR " + first.strength());
        return locked(query, query.body(), Optional.of(new Locking(first.strength(), of, first.waiting())));
    }

    private static Query locked(Query query, QueryBody body, Optional<Locking> lock) {
        return new Query(query.with(), query.recursive(), body, query.order(), query.paging(), lock, query.span());
    }

    /** The lock of a query at each of its tables. */
    private Query atTables(Query query) {
        if (query.locking().isEmpty()) {
            return query;
        }
        Locking lock = query.locking().get();
        List<TableRef.Table> tables = new ArrayList<>();
        if (query.body() instanceof Select select) {
            select.from().stream().flatMap(TableRef::tables).forEach(tables::add);
        }
        if (tables.isEmpty()) {
            throw new Untranslatable("FOR " + lock.strength() + " of more than tables");
        }
        if (lock.waiting().startsWith("WAIT")) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    query.span(),
                    lock.waiting() + " is left out: set the session's time limit for locks");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, query.span(), "FOR " + lock.strength() + " as locks of the tables");
        Set<String> names = tables.size() == 1 ? Set.of() : names(lock);
        Select select = (Select) query.body();
        List<TableRef> from =
                select.from().stream().map(t -> withLock(t, names, lock)).toList();
        return locked(query, select.withFrom(from), Optional.empty());
    }

    /** The names of the tables that are locked; empty for all. */
    private Set<String> names(Locking lock) {
        Set<String> names = new HashSet<>();
        for (QualifiedName name : lock.of()) {
            boolean column = adapter.from.has(SqlFeature.LOCKS_NAME_COLUMNS);
            if (column && name.parts().size() < 2) {
                throw new Untranslatable("FOR UPDATE OF " + name + ", whose table is not known");
            }
            List<Name> parts = name.parts();
            names.add(parts.get(column ? parts.size() - 2 : parts.size() - 1).key());
        }
        return names;
    }

    private static TableRef withLock(TableRef ref, Set<String> names, Locking lock) {
        if (ref instanceof TableRef.Join join) {
            return new TableRef.Join(
                    join.kind(),
                    withLock(join.left(), names, lock),
                    withLock(join.right(), names, lock),
                    join.on(),
                    join.using(),
                    join.span());
        }
        if (!(ref instanceof TableRef.Table table)) {
            return ref;
        }
        String name =
                table.alias().map(a -> a.name()).orElse(table.name().last()).key();
        return names.isEmpty() || names.contains(name)
                ? table.locked(new Locking(lock.strength(), List.of(), lock.waiting()))
                : table;
    }
}
