package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/** Reads T-SQL's {@code FOR XML PATH('')}, by which texts of several rows are put together without STRING_AGG. */
final class XmlPathParser {
    private static final String JOINED = "joined_texts";
    private static final Name ITEM = Name.of("item_");

    private final TokenCursor cursor;

    XmlPathParser(Parsing parsing) {
        this.cursor = parsing.cursor;
    }

    boolean at() {
        return cursor.atWords("FOR", "XML", "PATH")
                && cursor.peek(3).isSymbol("(")
                && cursor.peek(4).isString()
                && cursor.peek(4).value().isEmpty()
                && cursor.peek(5).isSymbol(")");
    }

    /** The query as one text, of whose rows nothing separates the values. */
    Query read(Query query) {
        for (int i = 0; i < 6; i++) {
            cursor.take();
        }
        if (cursor.takeSymbol(",")) {
            cursor.expectWords("TYPE");
        }
        boolean one = query.body() instanceof Select s
                && s.items().size() == 1
                && query.with().isEmpty()
                && isText(s.items().get(0));
        if (!one || query.paging().isPresent()) {
            throw cursor.byHand("FOR XML");
        }
        Select select = (Select) query.body();
        Item item = select.items().get(0);
        boolean direct = !select.distinct()
                && select.groupBy().isEmpty()
                && select.having().isEmpty();
        if (direct) {
            return Query.of(select.withItems(List.of(joined(item.value(), query.order()))));
        }
        if (!query.order().isEmpty() && !select.distinct()) {
            throw cursor.byHand("FOR XML of groups in an order");
        }
        Select rows = select.withItems(List.of(new Item(item.value(), Optional.of(ITEM))));
        List<OrderItem> order = query.order().isEmpty()
                ? List.of()
                : List.of(query.order().get(0).withValue(Expr.Column.of(ITEM.text())));
        TableRef derived =
                new TableRef.Derived(Query.of(rows), false, Optional.of(TableRef.Alias.of("rows_")), query.span());
        return Query.of(
                Select.of(List.of(joined(Expr.Column.of(ITEM.text()), order)), List.of(derived), Optional.empty()));
    }

    /** A named column would become an element of XML. */
    private static boolean isText(Item item) {
        boolean named =
                item.alias().filter(a -> !a.text().equalsIgnoreCase("text()")).isPresent();
        boolean column = item.value() instanceof Expr.Column && item.alias().isEmpty();
        return !named && !column && !(item.value() instanceof Expr.Star);
    }

    private static Item joined(Expr value, List<OrderItem> order) {
        CallSuffix suffix = new CallSuffix(false, order, true, Optional.empty(), "", Optional.empty());
        return Item.of(new Expr.Call(
                QualifiedName.of(JOINED),
                true,
                List.of(value),
                order.isEmpty() ? CallSuffix.NONE : suffix,
                value.span()));
    }

    /** {@code .value('.', 'nvarchar(max)')} after such a query, which leaves it as it is. */
    void passOverValue(Query query) {
        boolean value = cursor.peek().isSymbol(".")
                && cursor.peek(1).isWord("value")
                && cursor.peek(2).isSymbol("(");
        boolean joined = query.body() instanceof Select s
                && s.items().size() == 1
                && s.items().get(0).value() instanceof Expr.Call c
                && c.is(JOINED);
        if (!value || !joined) {
            return;
        }
        while (!cursor.atEnd() && !cursor.peek().isSymbol(")")) {
            cursor.take();
        }
        cursor.expectSymbol(")");
    }
}
