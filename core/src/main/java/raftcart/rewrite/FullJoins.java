package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef.Join;
import raftcart.sql.tree.UnaryOperator;

/** A FULL JOIN as the rows of the left join and, below them, those of the right table that have no partner. */
final class FullJoins {
    private final ExprAdapter adapter;

    FullJoins(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The query without a FULL JOIN; the same where there is none, or it does not stand alone. */
    Query rewrite(Query query) {
        boolean possible = !adapter.to.has(SqlFeature.FULL_JOIN)
                && query.locking().isEmpty()
                && query.body() instanceof Select select
                && select.from().size() == 1
                && select.from().get(0) instanceof Join join
                && join.kind() == Join.Kind.FULL
                && join.on().isPresent()
                && isPlain(select);
        if (!possible) {
            return query;
        }
        Select select = (Select) query.body();
        Optional<List<OrderItem>> order = order(query, select);
        if (order.isEmpty()) {
            return query;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "FULL JOIN as a left join and the rows it lacks");
        Join join = (Join) select.from().get(0);
        Select left =
                select.withFrom(List.of(with(join, Join.Kind.LEFT, join.on().get())));
        QueryBody both = new QueryBody.SetOperation(
                QueryBody.SetOperation.Kind.UNION, !select.distinct(), left, alone(select, join), select.span());
        return new Query(
                query.with(), query.recursive(), both, order.get(), query.paging(), query.locking(), query.span());
    }

    private static Join with(Join join, Join.Kind kind, Expr on) {
        return new Join(kind, join.left(), join.right(), Optional.of(on), List.of(), join.span());
    }

    /** The rows of the right table that no row of the left one goes with. */
    private static Select alone(Select select, Join join) {
        Span span = join.span();
        Expr never = new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(1), Expr.Literal.number(0), span);
        Query partners = Query.of(Select.of(
                List.of(Item.of(Expr.Literal.number(1))),
                List.of(join.left()),
                Optional.of(join.on().get())));
        Expr lonely = new Expr.Unary(UnaryOperator.NOT, new Expr.Exists(partners, span), span);
        Expr condition = select.where()
                .<Expr>map(w -> new Expr.Junction(true, List.of(lonely, w), span))
                .orElse(lonely);
        return select.withFrom(List.of(with(join, Join.Kind.RIGHT, never))).withWhere(Optional.of(condition));
    }

    /** True where each row of the join gives a row of the result. */
    private boolean isPlain(Select select) {
        return select.groupBy().isEmpty()
                && select.having().isEmpty()
                && select.windows().isEmpty()
                && select.qualify().isEmpty()
                && select.distinctOn().isEmpty()
                && select.hierarchy().isEmpty()
                && select.items().stream().noneMatch(i -> Aggregates.in(i.value(), adapter.from));
    }

    /** The order in terms of the columns of the result; empty where it is by something else. */
    private static Optional<List<OrderItem>> order(Query query, Select select) {
        List<OrderItem> order = new ArrayList<>();
        for (OrderItem item : query.order()) {
            Optional<Expr> column = column(item.value(), select);
            if (column.isEmpty()) {
                return Optional.empty();
            }
            order.add(item.withValue(column.get()));
        }
        return Optional.of(order);
    }

    private static Optional<Expr> column(Expr value, Select select) {
        if (value instanceof Expr.Literal) {
            return Optional.of(value);
        }
        for (Item item : select.items()) {
            Optional<Name> name = item.alias()
                    .or(() -> item.value() instanceof Expr.Column c
                            ? Optional.of(c.name().last())
                            : Optional.empty());
            boolean alias = value instanceof Expr.Column c
                    && c.name().parts().size() == 1
                    && name.filter(n -> n.matches(c.name().last())).isPresent();
            if (name.isPresent() && (alias || item.value().equals(value))) {
                return Optional.of(new Expr.Column(new QualifiedName(List.of(name.get())), false, value.span()));
            }
        }
        return Optional.empty();
    }
}
