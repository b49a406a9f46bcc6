package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Common tables that read themselves. Most engines take the types of their columns from the first rows: a path that
 * grows then does not fit, and a sum loses its fraction. Some follow the rows for a limited number of rounds only.
 */
final class RecursiveColumns {
    private static final int MANY_ROUNDS = 1000;
    private static final int FEW_ROUNDS = 100;

    private final QueryAdapter adapter;
    private final CommonTable table;

    RecursiveColumns(QueryAdapter adapter, CommonTable table) {
        this.adapter = adapter;
        this.table = table;
    }

    /** The adapted query with types for the columns that grow. */
    Query typed(Query adapted) {
        if (adapter.same()) {
            return adapted;
        }
        rounds();
        List<Select> given = new ArrayList<>();
        List<Select> written = new ArrayList<>();
        boolean plain = leaves(table.query().body(), given)
                && leaves(adapted.body(), written)
                && given.size() == written.size()
                && given.stream().noneMatch(RecursiveColumns::hasStar)
                && given.stream().map(s -> s.items().size()).distinct().count() == 1;
        if (!plain || adapter.to.has(SqlFeature.RECURSION_FITS_ALL_ROWS)) {
            return adapted;
        }
        List<Select> first = given.stream().filter(s -> !isFurther(s)).toList();
        List<Select> further = given.stream().filter(this::isFurther).toList();
        if (first.isEmpty() || further.isEmpty()) {
            return adapted;
        }
        List<Optional<TypeName>> types = new ArrayList<>();
        for (int i = 0; i < given.get(0).items().size(); i++) {
            types.add(type(i, first, further));
        }
        return types.stream().allMatch(Optional::isEmpty)
                ? adapted
                : adapted.withBody(with(adapted.body(), given.iterator(), types));
    }

    /** The same with queries for the rows of VALUES, whose columns can have types. */
    static CommonTable ofQueries(CommonTable table) {
        // Where none are named, VALUES names them.
        QueryBody body = table.columns().isEmpty()
                ? table.query().body()
                : ofQueries(table.query().body());
        return body == table.query().body()
                ? table
                : new CommonTable(table.name(), table.columns(), table.query().withBody(body), table.hint());
    }

    private static QueryBody ofQueries(QueryBody body) {
        if (body instanceof QueryBody.SetOperation set) {
            QueryBody left = ofQueries(set.left());
            QueryBody right = ofQueries(set.right());
            return left == set.left() && right == set.right()
                    ? set
                    : new QueryBody.SetOperation(set.kind(), set.all(), left, right, set.span());
        }
        return body instanceof QueryBody.Values values
                ? values.rows().stream()
                        .<QueryBody>map(r -> Select.of(r.stream().map(Item::of).toList(), List.of(), Optional.empty()))
                        .reduce((a, b) -> new QueryBody.SetOperation(
                                QueryBody.SetOperation.Kind.UNION, true, a, b, values.span()))
                        .orElse(body)
                : body;
    }

    private static boolean leaves(QueryBody body, List<Select> leaves) {
        if (body instanceof QueryBody.SetOperation set) {
            return leaves(set.left(), leaves) && leaves(set.right(), leaves);
        }
        return body instanceof Select select && leaves.add(select);
    }

    private static boolean hasStar(Select select) {
        return select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star);
    }

    private boolean isFurther(Select select) {
        return QueryAdapter.mentions(select, table);
    }

    /** The type that a column needs so that the further rows fit, if the first rows do not give it. */
    private Optional<TypeName> type(int column, List<Select> first, List<Select> further) {
        List<Scope.ColumnFacts> starts =
                first.stream().map(s -> facts(s, column)).toList();
        List<Scope.ColumnFacts> more =
                further.stream().map(s -> facts(s, column)).toList();
        boolean passedOn =
                further.stream().allMatch(s -> s.items().get(column).value() instanceof Expr.Column c && isOwn(c, s));
        boolean alike = starts.stream()
                        .allMatch(f -> f.type().isPresent()
                                && f.type().equals(starts.get(0).type()))
                && more.stream().allMatch(f -> f.type().equals(starts.get(0).type()));
        if (passedOn || alike || areCastAlike(column, first, further)) {
            return Optional.empty();
        }
        if (starts.stream().allMatch(f -> f.kind() == ValueKind.TEXT)
                && more.stream().allMatch(f -> f.kind() == ValueKind.TEXT)) {
            return Optional.of(adapter.written(adapter.to.types().growingText()));
        }
        boolean exact = starts.stream().allMatch(f -> f.kind() == ValueKind.INTEGER || f.kind() == ValueKind.DECIMAL);
        boolean floating = more.stream().anyMatch(f -> f.kind() == ValueKind.FLOAT);
        boolean wider = floating || more.stream().anyMatch(f -> f.kind() == ValueKind.DECIMAL);
        boolean cut = adapter.from.has(SqlFeature.FIRST_ROWS_GIVE_TYPES);
        if (exact && wider && cut && !adapter.to.has(SqlFeature.FIRST_ROWS_GIVE_TYPES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    further.get(0).items().get(column).value().span(),
                    "the source rounds this to the type of the first rows");
        }
        return exact && wider && !cut
                ? Optional.of(adapter.castType(
                        floating ? new LogicalType.Floating(64) : new LogicalType.Decimal(0, 0, false)))
                : Optional.empty();
    }

    /** True where the source says the same type in all rows. */
    private static boolean areCastAlike(int column, List<Select> first, List<Select> further) {
        List<Expr> values = Stream.concat(first.stream(), further.stream())
                .map(s -> s.items().get(column).value())
                .toList();
        return values.get(0) instanceof Expr.Cast whole
                && values.stream()
                        .allMatch(v -> v instanceof Expr.Cast c && c.type().equals(whole.type()));
    }

    private Scope.ColumnFacts facts(Select select, int column) {
        List<Scope.ColumnFacts> all = adapter.finder.columns(Query.of(select), adapter.scope);
        return column < all.size()
                ? all.get(column)
                : new Scope.ColumnFacts("", ValueKind.UNKNOWN, Optional.empty(), false, false);
    }

    /** True for a column of the table that reads itself, under whichever name it stands here. */
    private boolean isOwn(Expr.Column column, Select select) {
        boolean alone = select.from().size() == 1 && select.from().get(0) instanceof TableRef.Table;
        if (column.name().parts().size() < 2) {
            return alone;
        }
        String owner =
                column.name().parts().get(column.name().parts().size() - 2).text();
        return select.from().stream()
                .flatMap(t -> t.leaves().stream())
                .anyMatch(t -> t instanceof TableRef.Table named
                        && named.name().last().matches(table.name())
                        && ChangeAdapter.alias(t).text().equalsIgnoreCase(owner));
    }

    private QueryBody with(QueryBody body, Iterator<Select> given, List<Optional<TypeName>> types) {
        if (body instanceof QueryBody.SetOperation set) {
            QueryBody left = with(set.left(), given, types);
            return new QueryBody.SetOperation(set.kind(), set.all(), left, with(set.right(), given, types), set.span());
        }
        Select select = (Select) body;
        boolean untouched = isFurther(given.next()) && !adapter.to.has(SqlFeature.RECURSION_WANTS_SAME_TYPES);
        if (untouched) {
            return select;
        }
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < select.items().size(); i++) {
            Item item = select.items().get(i);
            items.add(types.get(i).map(t -> cast(item, t)).orElse(item));
        }
        return select.withItems(items);
    }

    private Item cast(Item item, TypeName type) {
        Optional<Name> name = item.alias()
                .or(() -> item.value() instanceof Expr.Column c
                        ? Optional.of(c.name().last())
                        : Optional.empty());
        boolean there = item.value() instanceof Expr.Cast c && c.type().equals(type);
        if (there) {
            return item;
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED,
                item.value().span(),
                "a type into which the further rows of " + table.name().text() + " fit");
        return new Item(new Expr.Cast(item.value(), type, false, item.value().span()), name);
    }

    /** Says where the target may end too early: rows that are counted, not found in another table. */
    void rounds() {
        List<Select> given = new ArrayList<>();
        leaves(table.query().body(), given);
        int most = most(adapter.to);
        int usual = most(adapter.from);
        boolean counts = given.stream()
                .filter(this::isFurther)
                .anyMatch(s -> s.from().size() == 1
                        && s.from().get(0) instanceof TableRef.Table
                        && !s.where().filter(w -> isBounded(w, most)).isPresent());
        if (most < usual && counts) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    table.query().span(),
                    table.name().text() + ": the target ends after " + most
                            + " rounds, perhaps with a mere warning, unless it is told otherwise");
        }
    }

    private static int most(Language language) {
        if (language.has(SqlFeature.RECURSION_OF_100_ROUNDS)) {
            return FEW_ROUNDS;
        }
        return language.has(SqlFeature.RECURSION_OF_1000_ROUNDS) ? MANY_ROUNDS : Integer.MAX_VALUE;
    }

    /** True for a condition that compares with a whole number of so few rounds. */
    private static boolean isBounded(Expr condition, int most) {
        return ExprSearch.any(
                condition,
                e -> e instanceof Expr.Binary b
                        && (b.operator() == BinaryOperator.LESS || b.operator() == BinaryOperator.LESS_OR_EQUAL)
                        && b.right() instanceof Expr.Literal l
                        && l.kind() == LiteralKind.NUMBER
                        && l.text().matches("\\d{1,4}")
                        && Integer.parseInt(l.text()) <= most);
    }
}
