package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** Temporary tables under names that begin with a number sign, where that is what makes them temporary. */
final class TemporaryNames {
    private TemporaryNames() {}

    private static boolean concerns(QualifiedName table, QueryAdapter adapter) {
        boolean named = adapter.to.has(SqlFeature.TEMPORARY_BY_NAME)
                && !table.last().text().startsWith("#");
        boolean without = adapter.to.has(SqlFeature.TEMPORARY_WITHOUT_SCHEMA)
                && table.parts().size() > 1;
        return (named || without) && !adapter.same() && adapter.knowledge.isTemporary(table);
    }

    /** The name of a table on the target. */
    static QualifiedName of(QualifiedName table, QueryAdapter adapter) {
        if (!concerns(table, adapter)) {
            return table;
        }
        Name own = table.last();
        return new QualifiedName(
                List.of(adapter.to.has(SqlFeature.TEMPORARY_BY_NAME) ? new Name("#" + own.text(), false) : own));
    }

    /** A table in FROM, which the columns go on to call by its own name. */
    static TableRef.Table of(TableRef.Table table, QueryAdapter adapter) {
        if (!concerns(table.name(), adapter)
                || adapter.scope.commonTable(table.name()).isPresent()) {
            return table;
        }
        Optional<TableRef.Alias> alias = !adapter.to.has(SqlFeature.TEMPORARY_BY_NAME)
                ? table.alias()
                : table.alias()
                        .or(() -> Optional.of(new TableRef.Alias(table.name().last(), List.of(), List.of())));
        return table.named(of(table.name(), adapter), alias);
    }

    /** A statement about temporary tables, its queries apart. */
    static Statement of(Statement statement, QueryAdapter adapter) {
        if (statement instanceof Statement.Insert insert && concerns(insert.table(), adapter)) {
            return insert.into(of(insert.table(), adapter));
        }
        if (statement instanceof DdlStatement.CreateTable table && concerns(table.name(), adapter)) {
            return table.withName(of(table.name(), adapter));
        }
        if (statement instanceof Statement.QueryStatement query) {
            return new Statement.QueryStatement(
                    query.query(), query.into().map(t -> of(t, adapter)), query.temporary(), query.span());
        }
        if (statement instanceof Statement.Truncate truncate) {
            List<QualifiedName> tables =
                    truncate.tables().stream().map(t -> of(t, adapter)).toList();
            return new Statement.Truncate(
                    tables, truncate.restart(), truncate.cascade(), truncate.leftOut(), truncate.span());
        }
        if (statement instanceof DdlStatement.CreateIndex index && concerns(index.table(), adapter)) {
            return index.on(of(index.table(), adapter));
        }
        if (statement instanceof DdlStatement.AlterTable alter && concerns(alter.name(), adapter)) {
            return new DdlStatement.AlterTable(
                    of(alter.name(), adapter), alter.ifExists(), alter.actions(), alter.span());
        }
        return statement;
    }
}
