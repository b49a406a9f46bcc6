package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.rewrite.Knowledge.Numbered;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement.Insert;

/**
 * Rows without names of columns. To SQL Server they leave out the column that is numbered and those that are computed
 * ("INSERT (Transact-SQL)"), to SQLite, DuckDB and Firebird the computed ones; elsewhere there is a value for each column.
 */
final class ImplicitColumns {
    private final QueryAdapter adapter;

    ImplicitColumns(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The INSERT with the names of the columns that its rows fill, where they are not all. */
    Insert named(Insert insert) {
        boolean numbers = leavesOut(SqlFeature.NUMBERED_TAKE_NO_VALUE);
        boolean computed = leavesOut(SqlFeature.COMPUTED_TAKE_NO_VALUE);
        boolean concerns = (numbers || computed)
                && !adapter.same()
                && insert.columns().isEmpty()
                && insert.source().isPresent();
        if (!concerns) {
            return insert;
        }
        Optional<KnownTable> table = adapter.knowledge.table(insert.table());
        if (table.isEmpty()) {
            if (numbers) {
                adapter.note(
                        FindingCode.TYPES_UNKNOWN,
                        insert.span(),
                        "the columns of " + insert.table()
                                + " are not known; one that is numbered takes no value here");
            }
            return insert;
        }
        Optional<Name> number =
                numbers ? adapter.knowledge.numbered(insert.table()).map(Numbered::column) : Optional.empty();
        List<Name> all =
                table.get().columns().values().stream().map(KnownColumn::name).toList();
        List<Name> filled = all.stream()
                .filter(c -> number.filter(c::matches).isEmpty())
                .filter(c -> !computed || !adapter.knowledge.isComputed(insert.table(), c))
                .toList();
        if (filled.size() == all.size()) {
            return insert;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "the columns that the rows fill");
        return insert.withColumns(filled);
    }

    private boolean leavesOut(SqlFeature feature) {
        return adapter.from.has(feature) && !adapter.to.has(feature);
    }
}
