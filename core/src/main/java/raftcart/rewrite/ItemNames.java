package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;

/** Names for the items of a query that makes a table or view, as engines call what has no name in different ways. */
final class ItemNames {
    private final QueryAdapter adapter;

    ItemNames(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The query with a name for each of its items. */
    Query named(Query query) {
        boolean alike = adapter.same()
                || adapter.from.has(SqlFeature.NAMES_BY_FUNCTION) && adapter.to.has(SqlFeature.NAMES_BY_FUNCTION);
        return alike ? query : query.withBody(named(query.body()));
    }

    /** The first part of a set operation names the columns of all. */
    private QueryBody named(QueryBody body) {
        if (body instanceof QueryBody.SetOperation set) {
            return new QueryBody.SetOperation(set.kind(), set.all(), named(set.left()), set.right(), set.span());
        }
        if (!(body instanceof QueryBody.Select select)) {
            return body;
        }
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            boolean unnamed = item.alias().isEmpty()
                    && !(item.value() instanceof Expr.Column)
                    && !(item.value() instanceof Expr.Star);
            items.add(unnamed ? named(item, items.size() + 1) : item);
        }
        return select.withItems(items);
    }

    private Item named(Item item, int place) {
        if (item.value() instanceof Expr.Call call && adapter.from.has(SqlFeature.NAMES_BY_FUNCTION)) {
            return new Item(item.value(), Optional.of(Name.of(call.name().last().key())));
        }
        String name = "column_" + place;
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                item.value().span(),
                "the column has no name of its own and is called " + name + " here; engines call it in different ways");
        return new Item(item.value(), Optional.of(Name.of(name)));
    }
}
