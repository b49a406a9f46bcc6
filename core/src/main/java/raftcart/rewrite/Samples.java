package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;

/** Samples of tables, drawn by random numbers where the target has no words for them. */
final class Samples {
    private final QueryAdapter adapter;

    Samples(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    TableRef adapt(TableRef.Table table) {
        if (table.sample().isEmpty()) {
            return table;
        }
        adapter.note(FindingCode.SAMPLE_DIFFERS, table.span(), "");
        TableRef.Sample sample = table.sample().get();
        boolean said = adapter.to.has(SqlFeature.TABLE_SAMPLE) && !sample.rows();
        if (said || sample.seed().isPresent() || !adapter.writes("random")) {
            return table;
        }
        Span span = table.span();
        Expr random = Expr.Call.of("random").at(span);
        TableRef all = new TableRef.Table(table.name(), Optional.empty(), Optional.empty(), table.only(), span);
        List<QueryBody.Item> star = List.of(QueryBody.Item.of(new Expr.Star(Optional.empty(), List.of(), span)));
        Expr share = new Expr.Binary(BinaryOperator.MULTIPLY, random, Expr.Literal.number(100), span);
        Optional<Expr> drawn = sample.rows()
                ? Optional.empty()
                : Optional.of(new Expr.Binary(BinaryOperator.LESS, share, sample.amount(), span));
        Query rows = Query.of(QueryBody.Select.of(star, List.of(all), drawn));
        Query query = sample.rows()
                ? rows.withOrder(List.of(new OrderItem(random, false, OrderItem.Nulls.DEFAULT)))
                        .withPaging(Optional.of(
                                new Query.Paging(Optional.empty(), Optional.of(sample.amount()), false, false)))
                : rows;
        Optional<TableRef.Alias> alias = table.alias()
                .or(() -> Optional.of(new TableRef.Alias(table.name().last(), List.of(), List.of())));
        return new TableRef.Derived(query, false, alias, span);
    }
}
