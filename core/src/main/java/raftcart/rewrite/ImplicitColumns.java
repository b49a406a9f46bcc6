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
 * ("INSERT (Transact-SQL)"), to SQLite, DuckDB and Firebird the computed ones, and to PostgreSQL there may be none for the last
 * ones ("INSERT"); elsewhere there is a value for each column. MySQL puts further columns between others ("ALTER TABLE").
 */
final class ImplicitColumns {
    private final QueryAdapter adapter;

    ImplicitColumns(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The INSERT with the names of the columns that its rows fill, where they are not all. */
    Insert named(Insert insert) {
        boolean numbers = adapter.lost(SqlFeature.NUMBERED_TAKE_NO_VALUE);
        boolean computed = adapter.lost(SqlFeature.COMPUTED_TAKE_NO_VALUE);
        boolean few = adapter.lost(SqlFeature.ROWS_MAY_BE_SHORT);
        boolean reordered = adapter.knowledge.isReordered(insert.table());
        boolean concerns = (numbers || computed || few || reordered)
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
        if (few) {
            filled = filled.subList(0, Math.min(filled.size(), insert.width().orElse(Integer.MAX_VALUE)));
        }
        if (filled.size() == all.size() && !reordered) {
            return insert;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, insert.span(), "the columns that the rows fill");
        return insert.withColumns(filled);
    }
}
