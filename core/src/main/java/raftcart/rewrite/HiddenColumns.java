package raftcart.rewrite;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;

/** Columns that variables of the same name hide on the target, and do not hide on the source. */
final class HiddenColumns {
    private HiddenColumns() {}

    /** Names that mean columns on the source mean variables on the target, where there are both. */
    static void refuse(Statement whole, boolean columnsFirst, Span span, CodeFrame frame, QueryAdapter adapter) {
        if (!columnsFirst) {
            return;
        }
        Set<QualifiedName> tables = tables(whole);
        Set<String> columns = new HashSet<>();
        tables.stream()
                .flatMap(t -> adapter.knowledge.table(t).stream())
                .forEach(t -> columns.addAll(t.columns().keySet()));
        Set<String> variables = new HashSet<>(frame.facts().keySet());
        StatementSearch.anyStatement(List.of(whole), s -> {
            if (s instanceof Block b) {
                b.declarations().forEach(d -> variables.add(d.name().text().toLowerCase(Locale.ROOT)));
            }
            return false;
        });
        variables.stream().filter(columns::contains).findFirst().ifPresent(v -> {
            throw CodeAdapter.at(span, v + ", a variable and a column: the target means the other one");
        });
        boolean unknown =
                tables.stream().anyMatch(t -> adapter.knowledge.table(t).isEmpty());
        if (unknown && !variables.isEmpty()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "a variable with the name of a column of a table that is not known here hides that on the target");
        }
    }

    private static Set<QualifiedName> tables(Statement whole) {
        Set<QualifiedName> tables = new HashSet<>();
        new StatementMapper() {
            @Override
            public TableRef table(TableRef ref) {
                if (ref instanceof TableRef.Table t) {
                    tables.add(t.name());
                }
                return super.table(ref);
            }

            @Override
            protected QualifiedName changed(QualifiedName table) {
                tables.add(table);
                return table;
            }
        }.statement(whole);
        return tables;
    }
}
