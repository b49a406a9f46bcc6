package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.Span;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.Locking;

/** The locks of a query: the tables that they are on, named or by a column, and what to do about locks of others. */
final class LockAdapter {
    private final ExprAdapter adapter;
    private final Language from;
    private final Language to;
    private final List<Relation> relations;

    /** Adapts the locks of a query over the relations of the present scope. */
    LockAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
        this.from = adapter.from;
        this.to = adapter.to;
        this.relations = adapter.scope.relations();
    }

    Locking adapt(Locking lock, Query query) {
        Span span = query.span();
        if (!to.has(SqlFeature.FOR_UPDATE)) {
            return lock; // the writer says what the target has in its place
        }
        if (to.has(SqlFeature.LOCKS_WITHOUT_LIMITS) && query.paging().isPresent()) {
            throw new Untranslatable("FOR UPDATE of a limited number of rows");
        }
        if (lock.strength().equals("SHARE") && !to.has(SqlFeature.SHARED_LOCKS)) {
            throw new Untranslatable("FOR SHARE");
        }
        if (to.has(SqlFeature.LOCKS_ONE_TABLE) && relations.size() > 1) {
            throw new Untranslatable("FOR UPDATE of several tables");
        }
        return new Locking(lock.strength(), of(lock.of(), span), waiting(lock.waiting(), span));
    }

    private String waiting(String waiting, Span span) {
        if (waiting.equals("NOWAIT") && !to.has(SqlFeature.LOCKS_NOWAIT)) {
            throw new Untranslatable("FOR UPDATE NOWAIT");
        }
        if (waiting.startsWith("WAIT") && !to.has(SqlFeature.LOCKS_WAIT_SECONDS)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, span, waiting + " is left out: set the session's time limit for locks");
            return "";
        }
        return waiting;
    }

    private List<QualifiedName> of(List<QualifiedName> names, Span span) {
        if (names.isEmpty()) {
            return names;
        }
        boolean columns = from.has(SqlFeature.LOCKS_NAME_COLUMNS);
        Set<String> tables = new LinkedHashSet<>();
        List<QualifiedName> locked = new ArrayList<>();
        for (QualifiedName name : names) {
            QualifiedName table = columns ? tableOf(name) : name;
            if (tables.add(table.last().key())) {
                locked.add(table);
            }
        }
        if (locked.size() == relations.size()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a lock of all tables without their names");
            return List.of();
        }
        if (columns == to.has(SqlFeature.LOCKS_NAME_COLUMNS) && columns != to.has(SqlFeature.LOCKS_NAME_TABLES)) {
            return names;
        }
        if (to.has(SqlFeature.LOCKS_NAME_TABLES)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a lock by the names of tables");
            return locked;
        }
        if (!to.has(SqlFeature.LOCKS_NAME_COLUMNS)) {
            throw new Untranslatable("FOR UPDATE of some of the tables");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a lock by the names of columns");
        return locked.stream().map(this::anyColumn).toList();
    }

    private QualifiedName tableOf(QualifiedName column) {
        int parts = column.parts().size();
        if (parts > 1) {
            return new QualifiedName(column.parts().subList(parts - 2, parts - 1));
        }
        if (relations.size() > 1 && !relations.stream().allMatch(Relation::complete)) {
            throw new Untranslatable("FOR UPDATE OF " + column + ", whose table is not known");
        }
        return relations.stream()
                .filter(r -> relations.size() == 1
                        || r.columns().containsKey(column.last().key()))
                .findFirst()
                .map(r -> QualifiedName.of(r.name()))
                .orElseThrow(() -> new Untranslatable("FOR UPDATE OF " + column + ", whose table is not known"));
    }

    private QualifiedName anyColumn(QualifiedName table) {
        String column = adapter.scope
                .relation(table.last().text())
                .flatMap(r -> r.columns().values().stream().findFirst())
                .orElseThrow(() -> new Untranslatable("FOR UPDATE OF " + table + ", whose columns are not known"))
                .name();
        return new QualifiedName(List.of(table.last())).with(Name.of(column));
    }
}
