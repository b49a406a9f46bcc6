package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;

/** Columns of the rows of a change, which RETURNING knows without the name that the rows have in FROM. */
final class OfChangedRows extends QueryMapper {
    private final Name rows;

    private OfChangedRows(Name rows) {
        this.rows = rows;
    }

    static List<QueryBody.Item> items(List<QueryBody.Item> items, Name rows) {
        OfChangedRows mapper = new OfChangedRows(rows);
        return items.stream()
                .map(i -> new QueryBody.Item(mapper.expr(i.value()), i.alias()))
                .toList();
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Star star && star.table().filter(this::isRows).isPresent()) {
            return new Expr.Star(Optional.empty(), star.except(), star.span());
        }
        boolean named = e instanceof Expr.Column c
                && c.name().parts().size() == 2
                && isRows(c.name().parts().get(0));
        return named
                ? new Expr.Column(
                        new QualifiedName(List.of(((Expr.Column) e).name().last())), false, e.span())
                : super.expr(e);
    }

    private boolean isRows(QualifiedName name) {
        return name.parts().size() == 1 && isRows(name.last());
    }

    private boolean isRows(Name name) {
        return name.matches(rows);
    }
}
