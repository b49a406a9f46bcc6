package raftcart.rewrite;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;

/** Rows with JSON among their values, which a query makes of texts where VALUES may hold nothing but constants. */
final class JsonRows {
    private JsonRows() {}

    static QueryBody selected(List<List<Expr>> rows, Span span) {
        BitSet json = new BitSet();
        rows.forEach(row -> {
            for (int i = 0; i < row.size(); i++) {
                json.set(i, json.get(i) || isJson(row.get(i)));
            }
        });
        if (json.isEmpty()) {
            return new QueryBody.Values(rows, span);
        }
        List<List<Expr>> texts =
                rows.stream().map(r -> r.stream().map(JsonRows::text).toList()).toList();
        List<Name> columns = new ArrayList<>();
        List<QueryBody.Item> items = new ArrayList<>();
        for (int i = 0; i < rows.get(0).size(); i++) {
            columns.add(Name.of("column_" + (i + 1) + "_"));
            Expr column = Expr.Column.of(columns.get(i).text());
            items.add(QueryBody.Item.of(json.get(i) ? Expr.Call.of("json_of_text", column) : column));
        }
        TableRef.Alias alias = new TableRef.Alias(Name.of("rows_"), columns, List.of());
        TableRef values = new TableRef.Derived(
                raftcart.sql.tree.Query.of(new QueryBody.Values(texts, span)), false, Optional.of(alias), span);
        return QueryBody.Select.of(items, List.of(values), Optional.empty());
    }

    private static boolean isJson(Expr e) {
        return e instanceof Expr.Call call && call.is("json_of_text");
    }

    private static Expr text(Expr e) {
        return isJson(e) ? ((Expr.Call) e).arguments().get(0) : e;
    }
}
