package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;
import raftcart.sql.tree.Window;

/**
 * One query in FROM that reads the rows before it. It can be joined if all it has in common with them is that expressions of
 * its own equal some of theirs: the first rows of each are numbered, aggregates are grouped. One without tables gives its
 * expressions to the query around it.
 */
final class LateralQuery {
    private static final Name ROW = Name.of("row_");

    private final ExprAdapter adapter;
    private final TableRef left;
    private final TableRef.Derived derived;
    private final String alias;
    private final Set<String> before = new HashSet<>();
    private final Set<String> own = new HashSet<>();
    private final List<Expr> keys = new ArrayList<>();
    private final List<Expr> values = new ArrayList<>();
    private final List<Expr> rest = new ArrayList<>();

    /** What stands in FROM instead, and the columns that it has on the source. */
    record Joined(TableRef table, List<Name> columns) {}

    LateralQuery(ExprAdapter adapter, TableRef left, TableRef.Derived derived) {
        this.adapter = adapter;
        this.left = left;
        this.derived = derived;
        this.alias = LateralQueries.name(derived);
        names(left, before);
    }

    private static void names(TableRef table, Set<String> names) {
        if (table instanceof Join join) {
            names(join.left(), names);
            names(join.right(), names);
        } else {
            names.add(LateralQueries.name(table));
        }
    }

    /** The join; empty where there is none. Expressions that take the place of columns are added to those that are named. */
    Optional<Joined> joined(Join join, NamedExpressions named) {
        Query query = derived.query();
        boolean values = query.body() instanceof QueryBody.Values
                && (join.on().isEmpty() || isAlways(join.on().get()));
        if (values && query.paging().isEmpty() && query.order().isEmpty()) {
            return values((QueryBody.Values) query.body(), named);
        }
        if (!(query.body() instanceof Select) || !query.with().isEmpty()) {
            return Optional.empty();
        }
        Select select = (Select) query.body();
        Optional<List<Name>> columns = columns(select);
        if (columns.isEmpty() || !isPlain(select, query)) {
            return Optional.empty();
        }
        boolean always = join.on().isEmpty() || isAlways(join.on().get());
        if (select.from().isEmpty()) {
            return always ? expressions(select, query, columns.get(), named) : Optional.empty();
        }
        select.from().forEach(t -> names(t, own));
        if (!parted(select) || select.items().stream().anyMatch(i -> isOuter(i.value()))) {
            return Optional.empty();
        }
        boolean total = select.groupBy().isEmpty()
                && select.items().stream().anyMatch(i -> Aggregates.ofRows(i.value(), adapter.from));
        if (total) {
            boolean plain = always && query.paging().isEmpty() && !select.distinct();
            return plain ? Optional.of(totals(select, columns.get(), named)) : Optional.empty();
        }
        return Optional.of(rows(join, select, columns.get()));
    }

    /** True where nothing is asked for that hangs on the rows before in other ways. */
    private boolean isPlain(Select select, Query query) {
        boolean paged = query.paging().isPresent();
        boolean counted = query.paging()
                .map(p -> p.offset().isEmpty()
                        && !p.percent()
                        && !p.ties()
                        && p.limit()
                                .filter(l -> l instanceof Expr.Literal n && n.kind() == LiteralKind.NUMBER)
                                .isPresent())
                .orElse(true);
        boolean grouped =
                select.groupBy().isEmpty() || select.groupBy().stream().allMatch(g -> g.kind() == Grouping.Kind.PLAIN);
        boolean windows = select.items().stream()
                .anyMatch(i -> ExprSearch.any(
                        i.value(),
                        e -> e instanceof Expr.Call c && c.suffix().over().isPresent()));
        return counted
                && grouped
                && !windows
                && !(paged && (select.distinct() || !select.groupBy().isEmpty()))
                && select.distinctOn().isEmpty()
                && select.hierarchy().isEmpty()
                && select.having().isEmpty()
                && select.windows().isEmpty()
                && select.qualify().isEmpty()
                && query.locking().isEmpty();
    }

    private static boolean isAlways(Expr on) {
        return on instanceof Expr.Literal l && l.text().equals("true")
                || on instanceof Expr.Binary b
                        && b.operator() == BinaryOperator.EQUAL
                        && b.left().equals(b.right());
    }

    /** The names of the columns; none where one has no name or all of a table are meant. */
    private Optional<List<Name>> columns(Select select) {
        List<Name> given = derived.alias().orElseThrow().columns();
        List<Name> names = new ArrayList<>();
        for (int i = 0; i < select.items().size(); i++) {
            Item item = select.items().get(i);
            Optional<Name> name = i < given.size()
                    ? Optional.of(given.get(i))
                    : item.alias()
                            .or(() -> item.value() instanceof Expr.Column c
                                    ? Optional.of(c.name().last())
                                    : Optional.empty());
            if (name.isEmpty()) {
                return Optional.empty();
            }
            names.add(name.get());
        }
        return Optional.of(names);
    }

    /** Without tables, there is one row with expressions, which stand where the columns did. */
    private Optional<Joined> expressions(Select select, Query query, List<Name> columns, NamedExpressions named) {
        boolean row = select.where().isEmpty()
                && query.paging().isEmpty()
                && select.groupBy().isEmpty()
                && select.items().stream().noneMatch(i -> Aggregates.in(i.value(), adapter.from));
        if (!row) {
            return Optional.empty();
        }
        for (int i = 0; i < columns.size(); i++) {
            named.put(alias, columns.get(i), select.items().get(i).value());
        }
        return Optional.of(new Joined(left, columns));
    }

    /** Each column of several rows is a choice by the number of the row. */
    private Optional<Joined> values(QueryBody.Values values, NamedExpressions named) {
        List<Name> columns = derived.alias().orElseThrow().columns();
        List<List<Expr>> rows = values.rows();
        if (columns.isEmpty() || columns.size() != rows.get(0).size()) {
            return Optional.empty();
        }
        for (int i = 0; i < columns.size(); i++) {
            List<Expr.When> choices = new ArrayList<>();
            for (int row = 0; row < rows.size(); row++) {
                choices.add(new Expr.When(
                        Expr.Literal.number(row + 1), rows.get(row).get(i)));
            }
            Expr choice = new Expr.Case(Optional.of(column(ROW)), choices, Optional.empty(), derived.span());
            named.put(alias, columns.get(i), rows.size() == 1 ? rows.get(0).get(i) : choice);
        }
        return Optional.of(new Joined(rows.size() == 1 ? left : numbered(rows.size()), columns));
    }

    /** The rows before, each once for every number. */
    private TableRef numbered(int count) {
        List<List<Expr>> numbers = new ArrayList<>();
        for (int row = 1; row <= count; row++) {
            numbers.add(List.of(Expr.Literal.number(row)));
        }
        TableRef.Alias name = new TableRef.Alias(derived.alias().orElseThrow().name(), List.of(ROW), List.of());
        Query query = Query.of(new QueryBody.Values(numbers, derived.span()));
        TableRef right = new TableRef.Derived(query, false, Optional.of(name), derived.span());
        return new Join(Join.Kind.CROSS, left, right, Optional.empty(), List.of(), derived.span());
    }

    /** Takes the conditions apart; false where one of them is no equality of both sides. */
    private boolean parted(Select select) {
        for (Expr condition : select.where().map(OldForms::conjuncts).orElse(List.of())) {
            if (!isOuter(condition)) {
                rest.add(condition);
                continue;
            }
            boolean equality = condition instanceof Expr.Binary b && b.operator() == BinaryOperator.EQUAL;
            if (!equality) {
                return false;
            }
            Expr.Binary binary = (Expr.Binary) condition;
            boolean right = isOuter(binary.right());
            Expr key = right ? binary.left() : binary.right();
            Expr value = right ? binary.right() : binary.left();
            if (isOuter(key) || isOwn(value) || !isOwn(key)) {
                return false;
            }
            keys.add(key);
            values.add(value);
        }
        return !ownTablesRead(select);
    }

    private boolean ownTablesRead(Select select) {
        return select.from().stream()
                .anyMatch(t -> t instanceof TableRef.Derived d && d.lateral() || t instanceof TableRef.Function);
    }

    /** True where a column of the rows before is named, by their name or because no table here has it. */
    private boolean isOuter(Expr e) {
        Scope inner = scope(((Select) derived.query().body()).from());
        Scope outer = scope(List.of(left));
        return ExprSearch.any(e, x -> x instanceof Expr.Column c && isOuter(c.name(), inner, outer));
    }

    private boolean isOuter(QualifiedName name, Scope inner, Scope outer) {
        if (name.parts().size() > 1) {
            String table = name.parts().get(name.parts().size() - 2).text().toLowerCase(Locale.ROOT);
            return before.contains(table) && !own.contains(table);
        }
        return inner.column(name).isEmpty() && outer.column(name).isPresent();
    }

    private boolean isOwn(Expr e) {
        Scope inner = scope(((Select) derived.query().body()).from());
        Scope outer = scope(List.of(left));
        return ExprSearch.any(e, x -> x instanceof Expr.Column c && !isOuter(c.name(), inner, outer));
    }

    private Scope scope(List<TableRef> tables) {
        Scope scope = new Scope(Optional.of(adapter.scope));
        tables.forEach(t -> adapter.finder.addTable(t, scope));
        return scope;
    }

    private Expr column(Name name) {
        return new Expr.Column(
                new QualifiedName(List.of(derived.alias().orElseThrow().name(), name)), false, derived.span());
    }

    private static Name key(int index) {
        return Name.of("key_" + (index + 1) + "_");
    }

    private List<Item> keyItems() {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            items.add(new Item(keys.get(i), Optional.of(key(i))));
        }
        return items;
    }

    private List<Expr> equalities() {
        List<Expr> equal = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            equal.add(new Expr.Binary(BinaryOperator.EQUAL, column(key(i)), values.get(i), derived.span()));
        }
        return equal;
    }

    private Joined rows(Join join, Select select, List<Name> columns) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            items.add(new Item(select.items().get(i).value(), Optional.of(columns.get(i))));
        }
        items.addAll(keyItems());
        List<Expr> on = equalities();
        Optional<Expr> limit = derived.query().paging().flatMap(Query.Paging::limit);
        if (limit.isPresent()) {
            Window window = new Window(Optional.empty(), keys, derived.query().order(), Optional.empty());
            Expr number = new Expr.Call(
                    QualifiedName.of("row_number"), true, List.of(), CallSuffix.NONE.withOver(window), derived.span());
            items.add(new Item(number, Optional.of(ROW)));
            on.add(new Expr.Binary(BinaryOperator.LESS_OR_EQUAL, column(ROW), limit.get(), derived.span()));
        }
        join.on().filter(c -> !isAlways(c)).ifPresent(on::add);
        List<Grouping> groups = new ArrayList<>(select.groupBy());
        if (!groups.isEmpty()) {
            keys.forEach(k -> groups.add(Grouping.of(k)));
        }
        boolean outer = join.kind() == Join.Kind.LEFT || join.kind() == Join.Kind.OUTER_APPLY;
        return new Joined(table(select.withItems(items).withGroupBy(groups), on, outer), columns);
    }

    private TableRef table(Select select, List<Expr> on, boolean outer) {
        Query query = Query.of(withWhere(select));
        TableRef.Alias name = new TableRef.Alias(derived.alias().orElseThrow().name(), List.of(), List.of());
        TableRef right = new TableRef.Derived(query, false, Optional.of(name), derived.span());
        Expr always =
                new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(1), Expr.Literal.number(1), derived.span());
        Expr condition =
                on.isEmpty() ? always : on.size() == 1 ? on.get(0) : new Expr.Junction(true, on, derived.span());
        return new Join(
                outer ? Join.Kind.LEFT : Join.Kind.INNER,
                left,
                right,
                Optional.of(condition),
                List.of(),
                derived.span());
    }

    private QueryBody withWhere(Select select) {
        Optional<Expr> where = rest.isEmpty()
                ? Optional.empty()
                : Optional.of(rest.size() == 1 ? rest.get(0) : new Expr.Junction(true, rest, derived.span()));
        return select.withWhere(where);
    }

    /** Aggregates of all rows are there also where there are none: what counts is zero then, and the rest NULL. */
    private Joined totals(Select select, List<Name> columns, NamedExpressions named) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Expr value = select.items().get(i).value();
            if (Aggregates.is(value, adapter.from) && !isCount(value)) {
                items.add(new Item(value, Optional.of(columns.get(i))));
            } else {
                named.put(alias, columns.get(i), new Totals(items).expr(value));
            }
        }
        items.addAll(keyItems());
        List<Grouping> groups = keys.stream().map(Grouping::of).toList();
        return new Joined(table(select.withItems(items).withGroupBy(groups), equalities(), true), columns);
    }

    private boolean isCount(Expr e) {
        return e instanceof Expr.Call call
                && (call.arguments().stream().anyMatch(Expr.Star.class::isInstance)
                        || adapter.from
                                .functions()
                                .recognise(call.name().last().text(), call.arguments(), x -> ValueKind.UNKNOWN)
                                .filter(r -> r.signature().name().matches("count|count_if|count_pairs|regr_count"))
                                .isPresent()
                        || call.function().equals("count"));
    }

    /** The aggregates within an expression as columns of the grouped query. */
    private final class Totals extends QueryMapper {
        private final List<Item> items;

        private Totals(List<Item> items) {
            this.items = items;
        }

        @Override
        public Expr expr(Expr e) {
            if (!Aggregates.is(e, adapter.from)) {
                return super.expr(e);
            }
            Name name = Name.of("total_" + (items.size() + 1) + "_");
            items.add(new Item(e, Optional.of(name)));
            Span span = e.span();
            return isCount(e)
                    ? Expr.Call.of("coalesce", column(name), Expr.Literal.number(0))
                            .at(span)
                    : column(name);
        }
    }
}
