package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableRef;

/**
 * The last number that the engine gave, asked for in an INSERT that makes it give further ones: to most engines it is that of
 * an earlier statement, to others it changes with the first of the new rows, or before it. There it is asked for first.
 */
final class LastNumbers extends QueryMapper {
    private static final Name BEFORE = Name.of("last_");
    private static final Name NUMBER = Name.of("id");

    private final ExprAdapter adapter;
    private final boolean fromTable;
    private Optional<Expr> asked = Optional.empty();

    private LastNumbers(ExprAdapter adapter, boolean fromTable) {
        this.adapter = adapter;
        this.fromTable = fromTable;
    }

    /** The INSERT with a common table that knows the number. */
    static Insert askedBefore(Insert insert, ExprAdapter adapter) {
        boolean moves = adapter.to.has(SqlFeature.LAST_NUMBER_MOVES) && !adapter.from.has(SqlFeature.LAST_NUMBER_MOVES);
        Optional<Query> source = insert.source().filter(q -> moves && ExprSearch.any(q, e -> isLastNumber(e, adapter)));
        if (source.isEmpty()) {
            return insert;
        }
        Insert wanted = insert;
        QueryBody body = source.get().body();
        if (body instanceof QueryBody.Values values && values.rows().size() == 1) {
            wanted = withoutDefaults(insert, values);
            body = wanted.source().orElseThrow().body();
            List<Item> items = ((QueryBody.Values) body)
                    .rows().get(0).stream().map(Item::of).toList();
            body = Select.of(items, List.of(), Optional.empty());
        }
        LastNumbers numbers = new LastNumbers(adapter, body instanceof Select);
        Query changed = source.get().withBody(numbers.body(body));
        Expr number = numbers.asked.orElseThrow();
        adapter.note(
                FindingCode.SYNTAX_ADAPTED, number.span(), "the last number is asked for before rows get further ones");
        Query query = Query.of(Select.of(List.of(new Item(number, Optional.of(NUMBER))), List.of(), Optional.empty()));
        List<CommonTable> with = new ArrayList<>(insert.with());
        with.add(new CommonTable(BEFORE, List.of(), query, ""));
        return wanted.withSource(changed).withCommonTables(with);
    }

    /** Says where the number is that of another row. */
    static void note(Expr.Call meant, ExprAdapter adapter) {
        boolean other =
                adapter.from.has(SqlFeature.LAST_NUMBER_IS_FIRST) != adapter.to.has(SqlFeature.LAST_NUMBER_IS_FIRST);
        if (meant.is("last_identity") && other) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    meant.span(),
                    "after an INSERT of several rows it is the first number on one engine and the last on the other");
        }
    }

    /** A query has no DEFAULT among its items; the columns do without a value as well. */
    static Insert withoutDefaults(Insert insert, QueryBody.Values values) {
        List<Expr> row = values.rows().get(0);
        if (row.stream().noneMatch(Expr.Default.class::isInstance)) {
            return insert;
        }
        if (insert.columns().size() != row.size()) {
            throw new Untranslatable("DEFAULT in columns that are not named, which a query cannot say");
        }
        List<Name> columns = new ArrayList<>();
        List<Expr> given = new ArrayList<>();
        for (int i = 0; i < row.size(); i++) {
            if (!(row.get(i) instanceof Expr.Default)) {
                columns.add(insert.columns().get(i));
                given.add(row.get(i));
            }
        }
        Query source = insert.source().orElseThrow();
        return insert.withColumns(columns)
                .withSource(source.withBody(new QueryBody.Values(List.of(given), values.span())));
    }

    /** True for a question for the last number. */
    static boolean isLastNumber(Expr e, ExprAdapter adapter) {
        boolean variable = e instanceof Expr.Parameter p
                && SystemVariables.function(p.text())
                        .filter("last_identity"::equals)
                        .isPresent();
        return variable
                || e instanceof Expr.Call call
                        && adapter.from
                                .functions()
                                .recognise(call.name().toString(), call.arguments(), adapter::kind)
                                .filter(f -> f.signature().name().equals("last_identity"))
                                .isPresent();
    }

    @Override
    public Expr expr(Expr e) {
        if (!isLastNumber(e, adapter)) {
            return super.expr(e);
        }
        asked = Optional.of(e);
        if (fromTable) {
            return Expr.Column.of(BEFORE.text(), NUMBER.text());
        }
        Select number = Select.of(
                List.of(Item.of(Expr.Column.of(NUMBER.text()))),
                List.of(TableRef.Table.of(QualifiedName.of(BEFORE.text()))),
                Optional.empty());
        return new Expr.Subquery(Query.of(number), e.span());
    }

    @Override
    public QueryBody body(QueryBody body) {
        if (body instanceof QueryBody.SetOperation || body instanceof QueryBody.Nested) {
            throw new Untranslatable("the last number in a set operation whose rows get further ones");
        }
        return super.body(body);
    }

    @Override
    protected QueryBody select(Select select) {
        boolean grouped = select.distinct()
                || !select.groupBy().isEmpty()
                || select.items().stream().anyMatch(i -> Aggregates.ofRows(i.value(), adapter.from));
        Optional<Expr> before = asked;
        asked = Optional.empty();
        Select changed = (Select) super.select(select);
        if (asked.isEmpty()) {
            asked = before;
            return changed;
        }
        if (grouped) {
            throw new Untranslatable("the last number in a query of groups whose rows get further ones");
        }
        List<TableRef> from = new ArrayList<>(changed.from());
        from.add(TableRef.Table.of(QualifiedName.of(BEFORE.text())));
        return changed.withFrom(from);
    }
}
