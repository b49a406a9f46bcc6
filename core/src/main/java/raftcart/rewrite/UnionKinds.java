package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryBody.SetOperation;

/**
 * Columns of a set operation that are texts in one part and numbers or dates in another: they become one kind, which is
 * not the same one on each engine (SQL:2016, 9.5; "Data type precedence (Transact-SQL)"; "UNION", MariaDB).
 */
final class UnionKinds {
    private final QueryAdapter adapter;

    UnionKinds(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The same operation, still the source's, whose parts have columns of the same kinds. */
    QueryBody alike(QueryBody body) {
        List<Select> parts = new ArrayList<>();
        if (adapter.same() || !(body instanceof SetOperation) || !collect(body, parts)) {
            return body;
        }
        List<List<Scope.ColumnFacts>> facts = parts.stream()
                .map(p -> adapter.finder.columns(Query.of(p), adapter.scope))
                .toList();
        int columns = facts.get(0).size();
        boolean even = facts.stream().allMatch(f -> f.size() == columns)
                && parts.stream().allMatch(p -> p.items().size() == columns);
        if (!even) {
            return body;
        }
        List<List<Item>> items = new ArrayList<>();
        parts.forEach(p -> items.add(new ArrayList<>(p.items())));
        for (int i = 0; i < columns; i++) {
            int column = i;
            List<ValueKind> kinds =
                    facts.stream().map(f -> f.get(column).kind()).toList();
            if (kinds.contains(ValueKind.TEXT) && kinds.stream().anyMatch(UnionKinds::isOther)) {
                convert(column, kinds, items);
            } else if (kinds.contains(ValueKind.DATE) && kinds.contains(ValueKind.TIMESTAMP)) {
                new TextMoments(adapter).columns(column, kinds, items);
            } else if (kinds.stream().allMatch(k -> k == ValueKind.TEXT) && !keepsAll(body)) {
                List<Expr> texts =
                        items.stream().map(p -> p.get(column).value()).toList();
                put(ExactTexts.compared(texts, texts, adapter).get(0), items.get(0), column);
                if (MadeTexts.mayDiffer(texts, adapter)) {
                    adapter.note(FindingCode.CASE_OF_TEXT, texts.get(0).span(), "texts that are no column's");
                }
            }
        }
        if (adapter.to.has(SqlFeature.UNION_NAMES_AGREE)) {
            nameAlike(items);
        }
        return with(body, items.iterator());
    }

    /** Gives the columns of all parts the names of the first, which the source takes alone. */
    private static void nameAlike(List<List<Item>> parts) {
        for (int i = 0; i < parts.get(0).size(); i++) {
            Optional<Name> wanted = name(parts.get(0).get(i));
            for (List<Item> part : parts) {
                Item item = part.get(i);
                boolean other = wanted.isPresent()
                        && !(item.value() instanceof Expr.Star)
                        && name(item).filter(wanted.get()::matches).isEmpty();
                part.set(i, other ? new Item(item.value(), wanted) : item);
            }
        }
    }

    /** True where no row is compared with another. */
    private static boolean keepsAll(QueryBody body) {
        return !(body instanceof SetOperation set)
                || set.kind() == SetOperation.Kind.UNION && set.all() && keepsAll(set.left()) && keepsAll(set.right());
    }

    private static boolean isOther(ValueKind kind) {
        return kind.isNumber() || kind.isDate();
    }

    private void convert(int column, List<ValueKind> kinds, List<List<Item>> items) {
        boolean texts = adapter.lost(SqlFeature.MIXED_RESULTS_ARE_TEXTS);
        boolean converts = adapter.from.has(SqlFeature.MIXED_RESULTS_ARE_NO_TEXTS);
        ValueKind wanted =
                kinds.stream().filter(UnionKinds::isOther).findFirst().orElseThrow();
        ResultKinds results = new ResultKinds(adapter);
        ConvertedResults converted = new ConvertedResults(adapter);
        for (int part = 0; part < kinds.size(); part++) {
            Item item = items.get(part).get(column);
            Expr value = item.value();
            boolean literal = value instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
            if (texts && isOther(kinds.get(part))) {
                value = results.asText(value);
            } else if (!texts && kinds.get(part) == ValueKind.TEXT && (converts || literal)) {
                value = converted.converted(value, wanted);
            }
            put(value, items.get(part), column);
        }
    }

    /** Sets another value in a column, under the name that it had. */
    static void put(Expr value, List<Item> items, int column) {
        Item item = items.get(column);
        if (value != item.value()) {
            items.set(column, new Item(value, name(item)));
        }
    }

    private static Optional<Name> name(Item item) {
        return item.alias()
                .or(() -> item.value() instanceof Expr.Column c
                        ? Optional.of(c.name().last())
                        : Optional.empty());
    }

    /** The parts from left to right; false where one of them is no plain SELECT. */
    private static boolean collect(QueryBody body, List<Select> parts) {
        if (body instanceof SetOperation set) {
            return collect(set.left(), parts) && collect(set.right(), parts);
        }
        return body instanceof Select select && parts.add(select);
    }

    private static QueryBody with(QueryBody body, Iterator<List<Item>> items) {
        if (body instanceof SetOperation set) {
            QueryBody left = with(set.left(), items);
            return new SetOperation(set.kind(), set.all(), left, with(set.right(), items), set.span());
        }
        return ((Select) body).withItems(items.next());
    }
}
