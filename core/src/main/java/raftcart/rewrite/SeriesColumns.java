package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableRef;

/** What is known of the column of a function in FROM: that of a series between dates is a moment. */
final class SeriesColumns {
    private SeriesColumns() {}

    static Relation relation(TableRef table, KindFinder finder, Scope scope) {
        String name = table.alias().map(a -> a.name().text()).orElse("");
        boolean moments = table instanceof TableRef.Function f
                && f.call() instanceof Expr.Call call
                && call.name().last().key().equals("generate_series")
                && !call.arguments().isEmpty()
                && finder.kind(call.arguments().get(0), scope).isDate();
        List<Name> columns = table.alias().map(TableRef.Alias::columns).orElse(List.of());
        String column = columns.isEmpty() ? name : columns.get(0).text();
        return new Relation(
                name,
                moments
                        ? Map.of(
                                column.toLowerCase(Locale.ROOT),
                                new ColumnFacts(column, ValueKind.TIMESTAMP, Optional.empty(), true, false))
                        : Map.of(),
                false);
    }
}
