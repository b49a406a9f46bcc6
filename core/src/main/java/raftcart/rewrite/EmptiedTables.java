package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** TRUNCATE, which differs in what becomes of numbers and of tables that refer to each other ("TRUNCATE", PostgreSQL and MariaDB). */
final class EmptiedTables {
    private final QueryAdapter adapter;

    EmptiedTables(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    List<Statement> adapt(Statement.Truncate given) {
        boolean together =
                (given.tables().size() > 1 || given.cascade()) && !adapter.to.has(SqlFeature.TRUNCATES_TOGETHER);
        if (!together) {
            return List.of(truncate(given));
        }
        Set<QualifiedName> all = new LinkedHashSet<>(given.tables());
        if (given.cascade()) {
            given.tables().forEach(t -> addReferring(t, all));
        }
        List<QualifiedName> tables = adapter.knowledge.definitions().referringFirst(List.copyOf(all));
        List<Statement> emptied = new ArrayList<>();
        for (QualifiedName table : tables) {
            boolean referred = !adapter.knowledge.definitions().referring(table).isEmpty();
            emptied.add(referred ? delete(table, given) : truncate(table, given));
        }
        boolean some = given.cascade()
                && given.tables().stream()
                        .anyMatch(t -> adapter.knowledge.table(t).isEmpty());
        if (some) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    given.span(),
                    "tables that refer to one that is not known keep their rows, which CASCADE removes");
        }
        return emptied;
    }

    private void addReferring(QualifiedName table, Set<QualifiedName> all) {
        for (QualifiedName other : adapter.knowledge.definitions().referring(table)) {
            if (all.add(other)) {
                addReferring(other, all);
            }
        }
    }

    /** A table that others refer to is not truncated, whether they have rows or not. */
    private Statement delete(QualifiedName table, Statement.Truncate given) {
        adapter.note(
                FindingCode.SYNTAX_ADAPTED, given.span(), "rows of " + table + ", to which others refer, are deleted");
        if (given.restart() && adapter.knowledge.numbered(table).isPresent()) {
            adapter.note(FindingCode.SYNTAX_CHECK, given.span(), "the numbers of " + table + " go on");
        }
        return new Statement.Delete(
                List.of(),
                List.of(),
                TableRef.Table.of(table),
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of(),
                given.span());
    }

    private Statement truncate(QualifiedName table, Statement.Truncate given) {
        return truncate(new Statement.Truncate(List.of(table), given.restart(), false, List.of(), given.span()));
    }

    /** Whether the numbers of a table begin anew with its rows. */
    private Statement truncate(Statement.Truncate truncate) {
        boolean restarts = truncate.restart() || adapter.from.has(SqlFeature.TRUNCATE_RESTARTS);
        boolean numbered = truncate.tables().stream()
                .anyMatch(t -> adapter.knowledge.numbered(t).isPresent()
                        || adapter.knowledge.table(t).isEmpty());
        boolean says = restarts && (numbered || truncate.restart()) && adapter.to.has(SqlFeature.TRUNCATE_MAY_RESTART);
        boolean differs = restarts != adapter.to.has(SqlFeature.TRUNCATE_RESTARTS) && !says;
        boolean certain = truncate.tables().stream()
                .anyMatch(t -> adapter.knowledge.numbered(t).isPresent());
        if (differs && (certain || truncate.restart())) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    truncate.span(),
                    restarts ? "the numbers of the table go on" : "the numbers of the table begin anew");
        }
        return new Statement.Truncate(truncate.tables(), says, truncate.cascade(), List.of(), truncate.span());
    }
}
