package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/**
 * Functions of one query from which others read ("Functions Returning Sets", PostgreSQL), for a target where they are procedures:
 * the query itself takes the place of the call, with the arguments in it.
 */
final class RowFunctions {
    private final ExprAdapter adapter;

    private RowFunctions(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /**
     * A function of one query.
     *
     * @param rows the columns that it gives
     */
    record OfQuery(List<Parameter> parameters, List<Parameter> rows, Query query) {}

    /** What a routine is, where its rows are those of one query with columns that are named. */
    static Optional<OfQuery> of(CodeStatement.CreateRoutine routine) {
        if (!PlGiven.isOfOneQuery(routine.body())) {
            return Optional.empty();
        }
        Statement only = ((CodeStatement.Block) routine.body()).body().get(0);
        boolean named = only instanceof CodeStatement.ReturnRows rows
                && rows.query().with().isEmpty()
                && rows.query().body() instanceof QueryBody.Select select
                && select.items().size() == routine.rows().size()
                && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
        return named
                ? Optional.of(
                        new OfQuery(routine.parameters(), routine.rows(), ((CodeStatement.ReturnRows) only).query()))
                : Optional.empty();
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        boolean concerns = adapter.knowledge.code().signatures().hasQueries()
                && query.body() instanceof QueryBody.Select s
                && !s.from().isEmpty();
        if (!concerns) {
            return query;
        }
        QueryBody.Select select = (QueryBody.Select) query.body();
        RowFunctions functions = new RowFunctions(adapter);
        return query.withBody(
                select.withFrom(select.from().stream().map(functions::table).toList()));
    }

    private TableRef table(TableRef table) {
        if (table instanceof TableRef.Join join) {
            return new TableRef.Join(
                    join.kind(), table(join.left()), table(join.right()), join.on(), join.using(), join.span());
        }
        return table instanceof TableRef.Function f && f.call() instanceof Expr.Call call && !f.ordinality()
                ? adapter.knowledge
                        .code()
                        .signatures()
                        .query(call.name())
                        .flatMap(q -> inlined(q, f, call))
                        .orElse(table)
                : table;
    }

    private Optional<TableRef> inlined(OfQuery of, TableRef.Function function, Expr.Call call) {
        Optional<Map<String, Expr>> given = given(of, call);
        if (given.isEmpty() || hides(of)) {
            return Optional.empty();
        }
        Query query = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Column c && c.name().parts().size() == 1
                        ? given.get().getOrDefault(c.name().last().text().toLowerCase(Locale.ROOT), e)
                        : super.expr(e);
            }
        }.query(of.query());
        QueryBody.Select select = (QueryBody.Select) query.body();
        Name own = call.name().last();
        List<Name> aliases = function.alias().map(TableRef.Alias::columns).orElse(List.of());
        List<QueryBody.Item> items = new ArrayList<>();
        for (int i = 0; i < of.rows().size(); i++) {
            Name row = of.rows().get(i).name();
            Name column = i < aliases.size()
                    ? aliases.get(i)
                    : row.text().isEmpty()
                            ? function.alias().map(TableRef.Alias::name).orElse(own)
                            : row;
            items.add(new QueryBody.Item(select.items().get(i).value(), Optional.of(column)));
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, function.span(), "the query of the function " + own.text());
        Name alias = function.alias().map(TableRef.Alias::name).orElse(own);
        return Optional.of(new TableRef.Derived(
                query.withBody(select.withItems(items)),
                false,
                Optional.of(new TableRef.Alias(alias, List.of(), List.of())),
                function.span()));
    }

    /** True where a table of the query has, or may have, a column with the name of a parameter. */
    private boolean hides(OfQuery of) {
        boolean[] hidden = {false};
        new QueryMapper() {
            @Override
            public TableRef table(TableRef ref) {
                if (ref instanceof TableRef.Table t) {
                    hidden[0] |= adapter.knowledge
                            .table(t.name())
                            .map(k -> of.parameters().stream().anyMatch(p -> k.columns()
                                    .containsKey(p.name().key())))
                            .orElse(!of.parameters().isEmpty());
                }
                return super.table(ref);
            }
        }.query(of.query());
        return hidden[0];
    }

    /** The arguments by the names of the parameters; each of them may stand in several places. */
    private static Optional<Map<String, Expr>> given(OfQuery of, Expr.Call call) {
        Map<String, Expr> all = new HashMap<>();
        for (int i = 0; i < of.parameters().size(); i++) {
            Parameter parameter = of.parameters().get(i);
            Optional<Expr> argument =
                    i < call.arguments().size() ? Optional.of(call.arguments().get(i)) : parameter.initial();
            boolean steady = argument.filter(a -> !ExprSearch.any(
                            a,
                            e -> e instanceof Expr.Column
                                    || e instanceof Expr.Call
                                    || e instanceof Expr.Subquery
                                    || e instanceof Expr.NamedArgument
                                    || e instanceof Expr.Parameter))
                    .isPresent();
            if (!steady) {
                return Optional.empty();
            }
            boolean text = argument.get() instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
            all.put(
                    parameter.name().text().toLowerCase(Locale.ROOT),
                    text
                            ? new Expr.Cast(
                                    argument.get(),
                                    parameter.type(),
                                    false,
                                    argument.get().span())
                            : argument.get());
        }
        return call.arguments().size() <= of.parameters().size() ? Optional.of(all) : Optional.empty();
    }
}
