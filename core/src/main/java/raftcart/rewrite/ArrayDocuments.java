package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/**
 * What is done with arrays ("Array Functions and Operators", PostgreSQL), for a target where they are JSON documents: items by
 * their places, which begin with 1, what is added, and searches through the rows that the items are.
 */
final class ArrayDocuments {
    private static final Name ITEMS = Name.of("items_");
    private static final Name ITEM = Name.of("item_");
    private static final Name PLACE = Name.of("place_");

    private final ExprAdapter adapter;
    private final ItemTypes types;

    private ArrayDocuments(ExprAdapter adapter) {
        this.adapter = adapter;
        this.types = new ItemTypes(adapter.finder, adapter.scope);
    }

    /** What an expression with arrays is on the target; empty where it has none, or is the same with them. */
    static Optional<Expr> adapted(Expr e, ExprAdapter adapter) {
        boolean concerns = adapter.lost(SqlFeature.ARRAYS) && adapter.writes("array_item");
        return concerns ? new ArrayDocuments(adapter).adapted(e) : Optional.empty();
    }

    /** An array in which the item at a place has become another; one behind the end is added, with NULLs before it. */
    static Expr put(Expr.Column array, Expr place, Expr value, ExprAdapter adapter) {
        ArrayDocuments documents = new ArrayDocuments(adapter);
        return Expr.Call.of("array_put", array, adapter.expr(place), documents.item(value, documents.itemType(array)))
                .at(array.span());
    }

    private Optional<Expr> adapted(Expr e) {
        if (e instanceof Expr.Subscript part && !part.slice() && types.isArray(part.array())) {
            return Optional.of(taken(part));
        }
        if (e instanceof Expr.ArrayItems items) {
            return Optional.of(made(items));
        }
        if (e instanceof Expr.Concat concat && concat.parts().stream().anyMatch(types::isArray)) {
            return Optional.of(joined(concat));
        }
        if (e instanceof Expr.Quantified q && isOfItems(q.right())) {
            return Optional.of(quantified(q));
        }
        if (e instanceof Expr.Cast cast && cast.type().array()) {
            return Optional.of(cast(cast));
        }
        if (e instanceof Expr.Binary binary && (types.isArray(binary.left()) || types.isArray(binary.right()))) {
            return compared(binary);
        }
        return e instanceof Expr.Call call ? called(call) : Optional.empty();
    }

    /** A comparison with the items as rows, of which NULL has none; the comparison is NULL then, and not false or true. */
    private Expr quantified(Expr.Quantified q) {
        Query items = rows(q.right(), List.of(QueryBody.Item.of(column(ITEM))), Optional.empty());
        Expr within = new Expr.Subquery(items, q.right().span());
        Expr compared = adapter.expr(new Expr.Quantified(q.operator(), q.left(), q.all(), within, q.span()));
        boolean same = adapter.askedForTrue && !q.all()
                || ArrayTexts.isConstant(q.right())
                || NeverNull.is(q.right(), adapter.scope);
        Expr given = new Expr.Is(q.right(), Truth.NULL, true, q.span());
        return same
                ? compared
                : new Expr.Case(
                        Optional.empty(),
                        List.of(new Expr.When(adapter.expr(given), compared)),
                        Optional.empty(),
                        q.span());
    }

    private boolean isOfItems(Expr right) {
        Expr plain = right instanceof Expr.Cast cast ? cast.value() : right;
        return types.isArray(right) && !(plain instanceof Expr.ArrayItems);
    }

    /** An item by its place; NULL where there is none. */
    private Expr taken(Expr.Subscript part) {
        LogicalType type = itemType(part.array());
        if (type instanceof LogicalType.Array) {
            throw new Untranslatable("an array within an array");
        }
        Expr array = adapter.expr(part.array());
        Expr place = part.index().orElseThrow();
        boolean constant = place instanceof Expr.Literal l && l.isDigits(9) && Integer.parseInt(l.text()) > 0;
        Expr item = constant
                ? Expr.Call.of(
                        "array_item_at",
                        array,
                        Expr.Literal.string("$[" + (Integer.parseInt(((Expr.Literal) place).text()) - 1) + "]"))
                : Expr.Call.of("array_item", array, adapter.expr(place));
        return typed(((Expr.Call) item).at(part.span()), type);
    }

    private Expr typed(Expr item, LogicalType type) {
        return KindFinder.kind(type) == ValueKind.TEXT
                ? Expr.Call.of("exact_text", item).at(item.span()) // documents compare by other rules than columns
                : new Expr.Cast(item, adapter.castType(type), false, item.span());
    }

    private LogicalType itemType(Expr array) {
        return types.of(array).orElseThrow(() -> new Untranslatable("an array of which the items are not known"));
    }

    private Expr made(Expr.ArrayItems items) {
        adapter.note(FindingCode.SYNTAX_CHECK, items.span(), "an array as a JSON array");
        return made(items, types.of(items));
    }

    private Expr made(Expr.ArrayItems items, Optional<LogicalType> type) {
        if (ArrayTexts.isConstant(items) && type.isPresent()) {
            return ArrayTexts.json(items, new LogicalType.Array(type.get()));
        }
        List<Expr> values = items.items().stream()
                .map(i -> type.map(t -> item(i, t)).orElseGet(() -> adapter.expr(i)))
                .toList();
        return Expr.Call.of("json_array", values.toArray(new Expr[0])).at(items.span());
    }

    /** A value as an item of an array. */
    private Expr item(Expr value, LogicalType type) {
        if (type instanceof LogicalType.Array) {
            throw new Untranslatable("an array within an array");
        }
        KnownColumn column = new KnownColumn(ITEM, Optional.of(type), false, false);
        return new ValueAdapter(adapter).forColumn(value, Optional.of(column));
    }

    private Expr array(Expr value, LogicalType type) {
        Expr bare = value instanceof Expr.Cast cast ? cast.value() : value;
        if (bare instanceof Expr.ArrayItems items) {
            return made(items, Optional.of(type));
        }
        return value instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? ArrayTexts.json(l, new LogicalType.Array(type))
                : adapter.expr(value);
    }

    /** Arrays, and items, one behind the other. */
    private Expr joined(Expr.Concat concat) {
        LogicalType type = concat.parts().stream()
                .flatMap(p -> types.of(p).stream())
                .findFirst()
                .orElseThrow(() -> new Untranslatable("an array of which the items are not known"));
        Expr all = null;
        boolean array = false;
        for (Expr part : concat.parts()) {
            boolean items = types.isArray(part) || part instanceof Expr.Literal;
            if (part instanceof Expr.Literal && !types.isArray(part)) {
                items = adapter.kind(part) == ValueKind.TEXT || adapter.kind(part) == ValueKind.NULL;
            }
            Expr adapted = items ? array(part, type) : item(part, type);
            String function = array ? items ? "array_concat" : "array_append" : "array_prepend";
            if (all != null && !array && !items) {
                throw new Untranslatable("items that are put together before an array");
            }
            all = all == null ? adapted : Expr.Call.of(function, all, adapted).at(concat.span());
            array |= items;
        }
        return all;
    }

    private Expr cast(Expr.Cast cast) {
        Optional<LogicalType> type = types.of(cast);
        if (type.isEmpty()) {
            throw new Untranslatable("an array of " + cast.type().name());
        }
        adapter.note(FindingCode.SYNTAX_CHECK, cast.span(), "an array as a JSON array");
        if (cast.value() instanceof Expr.ArrayItems items) {
            return made(items, type);
        }
        boolean text = cast.value() instanceof Expr.Literal;
        if (!text && !types.isArray(cast.value())) {
            throw new Untranslatable("a text as an array");
        }
        boolean other = !text
                && types.of(cast.value())
                        .filter(t -> KindFinder.kind(t) == KindFinder.kind(type.get()))
                        .isEmpty();
        if (other) {
            throw new Untranslatable("an array whose items become others");
        }
        return array(cast.value(), type.get());
    }

    private Optional<Expr> compared(Expr.Binary binary) {
        Optional<LogicalType> type = types.of(binary.left()).or(() -> types.of(binary.right()));
        String function =
                switch (binary.operator()) {
                    case EQUAL, NOT_EQUAL -> "array_equals";
                    case CONTAINS, CONTAINED -> "array_has_all";
                    case OVERLAPS -> "array_has_any";
                    default -> "";
                };
        if (function.isEmpty() || type.isEmpty() || !adapter.writes(function)) {
            return Optional.empty();
        }
        boolean turned = binary.operator() == BinaryOperator.CONTAINED;
        Expr left = array(turned ? binary.right() : binary.left(), type.get());
        Expr right = array(turned ? binary.left() : binary.right(), type.get());
        Expr all = Expr.Call.of(function, left, right).at(binary.span());
        return Optional.of(
                binary.operator() == BinaryOperator.NOT_EQUAL
                        ? new Expr.Unary(UnaryOperator.NOT, all, binary.span())
                        : all);
    }

    /** Functions that look at the items one by one. */
    private Optional<Expr> called(Expr.Call call) {
        if (call.is("array_of_query") && call.arguments().get(0) instanceof Expr.Subquery subquery) {
            return Optional.of(adapter.expr(gathered(subquery.query(), call.span())));
        }
        int count = call.arguments().size();
        boolean searches = count > 0 && types.isArray(call.arguments().get(0));
        if (!searches) {
            return Optional.empty();
        }
        Expr array = call.arguments().get(0);
        if (call.isAny("array_position") && count == 2) {
            Expr least = call(call, "min", column(PLACE), List.of());
            Query first = rows(
                    array,
                    List.of(QueryBody.Item.of(least)),
                    Optional.of(same(call.arguments().get(1))));
            return Optional.of(adapter.expr(new Expr.Subquery(first, call.span())));
        }
        if (call.isAny("array_remove") && count == 2) {
            Expr other = new Expr.Binary(
                    BinaryOperator.DIFFERENT, column(ITEM), call.arguments().get(1), call.span());
            return Optional.of(kept(call, column(ITEM), Optional.of(other)));
        }
        if (call.isAny("array_replace") && count == 3) {
            Expr.When when = new Expr.When(
                    same(call.arguments().get(1)), call.arguments().get(2));
            Expr item = new Expr.Case(Optional.empty(), List.of(when), Optional.of(column(ITEM)), call.span());
            return Optional.of(kept(call, item, Optional.empty()));
        }
        boolean truths = call.isAny("array_to_string") && itemType(array) instanceof LogicalType.Bool;
        if (truths) {
            throw new Untranslatable("truth values of an array as a text");
        }
        return Optional.empty();
    }

    private static Expr same(Expr value) {
        return new Expr.Binary(BinaryOperator.SAME, column(ITEM), value, value.span());
    }

    /** The items that are left, or what they have become. */
    private Expr kept(Expr.Call call, Expr item, Optional<Expr> condition) {
        Expr array = call.arguments().get(0);
        Expr all = call(call, "array_agg", item, List.of(new OrderItem(column(PLACE), false, OrderItem.Nulls.DEFAULT)));
        Query items = rows(array, List.of(QueryBody.Item.of(all)), condition);
        Expr some = adapter.expr(new Expr.Subquery(items, call.span()));
        Expr none = Expr.Call.of("json_array").at(call.span());
        Expr.When given = new Expr.When(
                new Expr.Is(adapter.expr(array), Truth.NULL, true, call.span()),
                Expr.Call.of("coalesce", some, none).at(call.span()));
        return new Expr.Case(Optional.empty(), List.of(given), Optional.empty(), call.span());
    }

    private static Expr call(Expr.Call of, String function, Expr argument, List<OrderItem> order) {
        CallSuffix plain = of.suffix();
        CallSuffix suffix = order.isEmpty() ? plain : plain.withOrder(order);
        return new Expr.Call(QualifiedName.of(function), false, List.of(argument), suffix, of.span());
    }

    /** {@code ARRAY(SELECT …)}: the one column of a query, in its order. */
    private Expr gathered(Query query, Span span) {
        boolean plain = query.body() instanceof QueryBody.Select s
                && s.items().size() == 1
                && !s.distinct()
                && s.groupBy().isEmpty()
                && s.having().isEmpty()
                && !(s.items().get(0).value() instanceof Expr.Star)
                && !Aggregates.in(s.items().get(0).value(), adapter.from)
                && query.paging().isEmpty()
                && query.with().isEmpty();
        if (!plain) {
            throw new Untranslatable("an array of the rows of such a query");
        }
        QueryBody.Select select = (QueryBody.Select) query.body();
        QueryBody.Item item = select.items().get(0);
        // In an aggregate neither the place nor the name of the item means it.
        List<OrderItem> order = query.order().stream()
                .map(o -> isItem(o.value(), item) ? o.withValue(item.value()) : o)
                .toList();
        CallSuffix suffix = order.isEmpty() ? CallSuffix.NONE : CallSuffix.NONE.withOrder(order);
        Expr all = new Expr.Call(QualifiedName.of("array_agg"), false, List.of(item.value()), suffix, span);
        Expr filled = new Expr.Call(
                QualifiedName.of("coalesce"),
                false,
                List.of(all, Expr.Call.of("json_array").at(span)),
                CallSuffix.NONE,
                span);
        return new Expr.Subquery(Query.of(select.withItems(List.of(QueryBody.Item.of(filled)))), span);
    }

    private static boolean isItem(Expr e, QueryBody.Item item) {
        return e instanceof Expr.Literal
                || e instanceof Expr.Column c
                        && c.name().parts().size() == 1
                        && item.alias().filter(c.name().last()::matches).isPresent();
    }

    /** A query of the items and places of an array. */
    static Query rows(Expr array, List<QueryBody.Item> items, Optional<Expr> where) {
        Expr.Call unnest =
                new Expr.Call(QualifiedName.of("unnest"), false, List.of(array), CallSuffix.NONE, array.span());
        TableRef.Alias alias = new TableRef.Alias(ITEMS, List.of(ITEM, PLACE), List.of());
        TableRef rows = new TableRef.Function(unnest, false, true, Optional.of(alias), array.span());
        return Query.of(QueryBody.Select.of(items, List.of(rows), where));
    }

    private static Expr column(Name name) {
        return Expr.Column.of(ITEMS.text(), name.text());
    }
}
