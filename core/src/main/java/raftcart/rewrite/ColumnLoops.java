package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.CodeStatement.ForRows;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/** Loops over rows for a target where the columns of a row are variables, which get the name of the row before their own. */
final class ColumnLoops {
    private ColumnLoops() {}

    /** The loop as the target has it, still in the terms of the source. */
    static ForRows fitted(ForRows loop, QueryAdapter adapter) {
        if (!adapter.to.has(SqlFeature.ROWS_OF_LOOPS_ARE_COLUMNS)
                || loop.query().isEmpty()) {
            return loop;
        }
        List<String> names = adapter.finder.columns(loop.query().get(), adapter.scope).stream()
                .map(Scope.ColumnFacts::name)
                .toList();
        boolean named = loop.query().get().body() instanceof QueryBody.Select s
                && s.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)
                && s.items().size() == names.size()
                && names.stream().noneMatch(String::isEmpty);
        if (!named) {
            throw CodeAdapter.at(loop.span(), "a loop over rows whose columns are not listed");
        }
        QueryBody.Select select = (QueryBody.Select) loop.query().get().body();
        List<QueryBody.Item> items = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            items.add(new QueryBody.Item(select.items().get(i).value(), Optional.of(column(loop.row(), names.get(i)))));
        }
        Query query = loop.query().get().withBody(select.withItems(items));
        Set<String> known = names.stream().map(n -> Name.of(n).key()).collect(Collectors.toSet());
        List<Statement> body = new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean part = e instanceof Expr.Column c
                        && c.name().parts().size() == 2
                        && c.name().parts().get(0).matches(loop.row())
                        && known.contains(c.name().last().key());
                return part
                        ? Expr.Column.of(column(
                                        loop.row(),
                                        ((Expr.Column) e).name().last().text())
                                .text())
                        : super.expr(e);
            }
        }.statements(loop.body());
        return new ForRows(
                loop.label(), Name.of(""), Optional.of(query), loop.cursor(), loop.arguments(), body, loop.span());
    }

    private static Name column(Name row, String name) {
        return Name.of(row.text() + "_" + name);
    }
}
