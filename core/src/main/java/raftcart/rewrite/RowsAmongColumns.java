package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.Signature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/**
 * A function that gives rows among the columns of a query is one of its tables, each row with those of the others
 * (PostgreSQL, "SQL Functions Returning Sets"); several of them go side by side, which is left to a person.
 */
final class RowsAmongColumns {
    private static final Name ROWS = Name.of("rows_");

    private RowsAmongColumns() {}

    static Query rewrite(Query query, QueryAdapter adapter) {
        boolean concerned = query.body() instanceof Select s
                && !adapter.to.has(SqlFeature.ROWS_AMONG_COLUMNS)
                && adapter.from.has(SqlFeature.ROWS_AMONG_COLUMNS)
                && s.groupBy().isEmpty()
                && s.items().stream().filter(i -> givesRows(i, adapter)).count() == 1;
        if (!concerned) {
            return query;
        }
        Select select = (Select) query.body();
        boolean counted = select.having().isPresent()
                || select.items().stream()
                        .anyMatch(i -> Aggregates.in(i.value(), adapter.from)
                                || ExprSearch.any(
                                        i.value(),
                                        e -> e instanceof Expr.Call c
                                                && c.suffix().over().isPresent()));
        if (counted) {
            throw new Untranslatable("rows among the columns, beside what is computed before them");
        }
        List<TableRef> from = new ArrayList<>(select.from());
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            if (!givesRows(item, adapter)) {
                items.add(item);
                continue;
            }
            Expr.Call call = (Expr.Call) item.value();
            Name column = item.alias().orElse(call.name().last());
            from.add(new TableRef.Function(
                    call,
                    !select.from().isEmpty(),
                    false,
                    Optional.of(new TableRef.Alias(ROWS, List.of(column), List.of())),
                    call.span()));
            adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "rows among the columns as a table");
            items.add(new Item(
                    new Expr.Column(new QualifiedName(List.of(ROWS, column)), false, call.span()),
                    Optional.of(column)));
        }
        return query.withBody(select.withItems(items).withFrom(from));
    }

    private static boolean givesRows(Item item, QueryAdapter adapter) {
        return item.value() instanceof Expr.Call call
                && adapter.from
                        .functions()
                        .recognise(call.name().toString(), call.arguments(), adapter::kind)
                        .filter(r -> r.signature().group() == Signature.Group.TABLE)
                        .isPresent();
    }
}
