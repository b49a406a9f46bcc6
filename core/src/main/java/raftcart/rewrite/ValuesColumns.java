package raftcart.rewrite;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;

/**
 * The names that the columns of VALUES in FROM have on the source where none are given, written where the target gives
 * others; and columns that are named by their places ("Querying staged data", {@code $1} of Snowflake).
 */
final class ValuesColumns extends QueryMapper {
    private static final Map<SqlFeature, IntFunction<String>> NAMES = Map.of(
            SqlFeature.VALUES_NAME_COLUMN1, i -> "column" + (i + 1),
            SqlFeature.VALUES_NAME_C1, i -> "c" + (i + 1),
            SqlFeature.VALUES_NAME_COL0, i -> "col" + i);

    private final QueryAdapter adapter;
    private final boolean places;

    private ValuesColumns(QueryAdapter adapter, boolean places) {
        this.adapter = adapter;
        this.places = places;
    }

    /** The name of a column of VALUES, counted from 0; empty where the dialect has no rule for it. */
    static Optional<String> name(Language language, int place) {
        return NAMES.entrySet().stream()
                .filter(e -> language.has(e.getKey()))
                .map(e -> e.getValue().apply(place))
                .findFirst();
    }

    /** The columns of VALUES, by one of its rows. */
    static List<Scope.ColumnFacts> facts(List<Expr> row, Language language, Function<Expr, ValueKind> kinds) {
        return IntStream.range(0, row.size())
                .mapToObj(i -> new Scope.ColumnFacts(
                        name(language, i).orElse(""), kinds.apply(row.get(i)), Optional.empty(), false, false))
                .toList();
    }

    static Query rewrite(Query query, QueryAdapter adapter) {
        if (!(query.body() instanceof Select select) || name(adapter.from, 0).isEmpty()) {
            return query;
        }
        boolean places =
                adapter.from.has(SqlFeature.PLACES_BY_DOLLAR) && select.from().size() == 1;
        ValuesColumns mapper = new ValuesColumns(adapter, places && new Places(List.of()).in(select));
        List<TableRef> from = select.from().stream().map(mapper::table).toList();
        Select named = from.equals(select.from()) ? select : select.withFrom(from);
        if (!mapper.places) {
            return query.withBody(named);
        }
        Query all = Query.of(Select.of(
                List.of(Item.of(new Expr.Star(Optional.empty(), List.of(), select.span()))), from, Optional.empty()));
        Places columns = new Places(adapter.finder.columns(all, adapter.scope));
        return query.withBody(columns.select(named)).withOrder(columns.order(query.order()));
    }

    @Override
    public TableRef table(TableRef table) {
        boolean values = table instanceof TableRef.Derived d
                && d.query().body() instanceof QueryBody.Values
                && d.alias().filter(a -> !a.columns().isEmpty()).isEmpty();
        return values
                ? named((TableRef.Derived) table, (QueryBody.Values)
                        ((TableRef.Derived) table).query().body())
                : super.table(table);
    }

    private TableRef named(TableRef.Derived table, QueryBody.Values values) {
        boolean same = NAMES.keySet().stream().allMatch(f -> adapter.from.has(f) == adapter.to.has(f));
        if (same && table.alias().isPresent()) {
            return table;
        }
        adapter.note(
                FindingCode.SYNTAX_ADAPTED, table.span(), "the names that the columns of VALUES have on the source");
        Name name = table.alias()
                .map(TableRef.Alias::name)
                .orElseGet(() ->
                        Name.of("t_" + table.span().line() + "_" + table.span().column()));
        List<Name> columns = IntStream.range(0, values.rows().get(0).size())
                .mapToObj(i -> Name.of(name(adapter.from, i).orElseThrow()))
                .toList();
        return new TableRef.Derived(
                table.query(),
                table.lateral(),
                Optional.of(new TableRef.Alias(name, same ? List.of() : columns, List.of())),
                table.span());
    }

    @Override
    public Query query(Query query) {
        return query; // which has columns of its own
    }

    @Override
    public Expr expr(Expr e) {
        return e;
    }

    /** Columns in the place of their numbers. */
    private static final class Places extends QueryMapper {
        private final List<Scope.ColumnFacts> columns;
        private boolean found;

        Places(List<Scope.ColumnFacts> columns) {
            this.columns = columns;
        }

        boolean in(Select select) {
            select(select);
            return found;
        }

        @Override
        public Select select(Select select) {
            return (Select) super.select(select);
        }

        @Override
        public TableRef table(TableRef table) {
            return table;
        }

        @Override
        public Query query(Query query) {
            return query;
        }

        @Override
        public Expr expr(Expr e) {
            if (!(e instanceof Expr.Parameter p) || !p.text().matches("\\$\\d{1,4}")) {
                return super.expr(e);
            }
            found = true;
            int place = Integer.parseInt(p.text().substring(1)) - 1;
            return place >= 0
                            && place < columns.size()
                            && !columns.get(place).name().isEmpty()
                    ? new Expr.Column(QualifiedName.of(columns.get(place).name()), false, p.span())
                    : e;
        }
    }
}
