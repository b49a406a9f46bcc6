package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableParts.ColumnDefinition;

/**
 * A table that has both columns of its own and a query that fills it ("CREATE TABLE ... SELECT", MySQL), which most engines
 * want said in two statements.
 */
final class FilledTables {
    private FilledTables() {}

    /** The table and the INSERT of its rows; empty for a table of another kind, and where a column of the query is not defined. */
    static Optional<List<Statement>> parted(CreateTable table, QueryAdapter adapter) {
        boolean defined = table.columns().stream().anyMatch(c -> c.type().isPresent());
        if (adapter.same() || keptTogether(adapter) || !defined || table.query().isEmpty()) {
            return Optional.empty();
        }
        Query query = table.query().get();
        Optional<List<ColumnDefinition>> filled = adapter.from.has(SqlFeature.TABLES_FILLED_BY_NAME)
                ? byName(table, adapter.finder.columns(query, adapter.scope))
                : Optional.of(table.columns());
        if (filled.isEmpty()) {
            return Optional.empty();
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, table.span(), "a table and the INSERT that fills it");
        List<ColumnDefinition> columns = new ArrayList<>(table.columns());
        columns.removeAll(filled.get());
        columns.addAll(filled.get());
        List<Name> names = filled.get().stream().map(ColumnDefinition::name).toList();
        List<Statement> both =
                new ArrayList<>(List.of(table.withColumns(columns).withoutQuery()));
        if (table.withData()) {
            both.add(Insert.of(mode(table), table.name(), names, query, table.span()));
        }
        return Optional.of(both);
    }

    /** True where the target takes columns and query in one statement, with the source's meaning. */
    static boolean keptTogether(ExprAdapter adapter) {
        return adapter.from.has(SqlFeature.TABLES_FILLED_BY_NAME) && adapter.to.has(SqlFeature.TABLES_FILLED_BY_NAME);
    }

    /** What becomes of rows with a key that is there already, by the word before the query. */
    private static Insert.Mode mode(CreateTable table) {
        for (Insert.Mode mode : List.of(Insert.Mode.IGNORE, Insert.Mode.REPLACE)) {
            if (table.leftOut().stream().anyMatch(l -> l.matches("(?i)(.* )?" + mode))) {
                return mode;
            }
        }
        return Insert.Mode.INSERT;
    }

    /** The columns that the query's fill, in its order; they stand behind the others. */
    private static Optional<List<ColumnDefinition>> byName(CreateTable table, List<Scope.ColumnFacts> items) {
        List<ColumnDefinition> filled = new ArrayList<>();
        for (Scope.ColumnFacts item : items) {
            table.columns().stream()
                    .filter(c -> c.name().text().equalsIgnoreCase(item.name()))
                    .findFirst()
                    .ifPresent(filled::add);
        }
        return items.isEmpty() || filled.size() < items.size() ? Optional.empty() : Optional.of(filled);
    }
}
