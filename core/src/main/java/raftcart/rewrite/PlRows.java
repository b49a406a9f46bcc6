package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.ForRange;
import raftcart.sql.tree.CodeStatement.ForRows;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.Truth;
import raftcart.type.LogicalType;

/** Rows of PL/pgSQL whose values go into variables, which are NULL where there is none, and loops over rows. */
final class PlRows {
    private final PlCode pl;
    private final QueryAdapter adapter;

    PlRows(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    List<Statement> select(CodeStatement.SelectInto into) {
        Span span = into.span();
        FilledVariables.refuseChains(into, adapter.from, adapter.to);
        PlRecords records = new PlRecords(pl);
        boolean held = records.held(into.targets()).isPresent();
        if (!held && !isListed(into)) {
            throw CodeAdapter.at(span, "a query into a row, or into variables whose columns are not listed");
        }
        List<Optional<KnownColumn>> known =
                held ? List.of() : into.targets().stream().map(pl.code()::known).toList();
        List<Expr> targets = records.targets(into.targets());
        boolean strict = into.expected() == Expected.EXACTLY_ONE;
        QueryBody.Select select = (QueryBody.Select) into.query().body();
        boolean total = select.groupBy().isEmpty()
                && select.having().isEmpty()
                && into.query().paging().isEmpty()
                && select.items().stream().allMatch(i -> Aggregates.ofRows(i.value(), adapter.from));
        List<Optional<LogicalType>> types =
                known.stream().map(k -> k.flatMap(KnownColumn::type)).toList();
        Query fitted = held ? into.query() : new ValueAdapter(adapter).fitted(into.query(), types);
        Query one = total || strict || into.query().paging().isPresent()
                ? fitted
                : fitted.withPaging(Optional.of(
                        new Query.Paging(Optional.empty(), Optional.of(Expr.Literal.number(1)), false, false)));
        List<Statement> all = new ArrayList<>();
        CodeStatement.SelectInto read = new CodeStatement.SelectInto(adapter.query(one), targets, Expected.FIRST, span);
        PlCursors cursors = new PlCursors(pl);
        if (!total && !strict && FilledVariables.areRead(into)) {
            return cursors.clearing(read, records.cleared(into.targets(), span), span);
        }
        if (!total && !strict) {
            all.addAll(records.cleared(into.targets(), span));
        }
        all.addAll(
                strict && !total
                        ? List.of(cursors.strict(read))
                        : pl.asksForFound() ? cursors.noting(read, span) : List.of(read));
        if (strict && pl.asksForFound()) {
            all.add(new CodeStatement.Assign(Expr.Column.of(PlCode.FOUND.text()), Expr.Literal.number(1), span));
        }
        return all;
    }

    private static boolean isListed(CodeStatement.SelectInto into) {
        return into.query().body() instanceof QueryBody.Select s
                && s.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)
                && s.items().size() == into.targets().size();
    }

    Statement loop(CodeStatement loop, Name label) {
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        pl.frame().enter();
        try {
            return loop instanceof ForRange range ? range(range, label) : rows((ForRows) loop, label);
        } finally {
            pl.frame().leave();
            adapter.scope = before;
        }
    }

    private Statement range(ForRange range, Name label) {
        if (!adapter.to.has(SqlFeature.LOOPS_OVER_NUMBERS) || isAssigned(range)) {
            return counted(range, label);
        }
        if (range.step().isPresent()) {
            return stepping(range, label);
        }
        Expr from = adapter.expr(pl.meant(range.from()));
        Expr to = adapter.expr(pl.meant(range.to()));
        declare(range);
        return new ForRange(
                Optional.of(label),
                range.variable(),
                range.reverse(),
                from,
                to,
                Optional.empty(),
                pl.statements(range.body()),
                range.span());
    }

    /** True for a loop whose variable its statements change, which on the source has no say in the rounds. */
    private static boolean isAssigned(ForRange range) {
        Name name = range.variable();
        return StatementSearch.anyStatement(
                range.body(),
                s -> s instanceof CodeStatement.Assign a && isOf(a.target(), name)
                        || s instanceof CodeStatement.SelectInto i
                                && i.targets().stream().anyMatch(t -> isOf(t, name))
                        || s instanceof CodeStatement.ChangeInto c
                                && c.targets().stream().anyMatch(t -> isOf(t, name))
                        || s instanceof CodeStatement.Fetch f
                                && f.targets().stream().anyMatch(t -> isOf(t, name))
                        || s instanceof Statement.CallProcedure c
                                && c.arguments().stream().anyMatch(a -> isOf(a, name)));
    }

    private static boolean isOf(Expr target, Name name) {
        return target instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().matches(name);
    }

    /** A loop with a counter of its own. */
    private Statement counted(ForRange range, Name label) {
        Expr from = adapter.expr(pl.meant(range.from()));
        Expr to = adapter.expr(pl.meant(range.to()));
        Optional<Expr> step = range.step().map(s -> adapter.expr(pl.meant(s)));
        declare(range);
        ForRange adapted = new ForRange(
                Optional.of(label),
                range.variable(),
                range.reverse(),
                from,
                to,
                step,
                pl.statements(range.body()),
                range.span());
        return CountedLoops.of(adapted, label, pl.code().written(range.variable(), new LogicalType.Int(32, false)));
    }

    private void declare(ForRange range) {
        Optional<LogicalType> whole = Optional.of(new LogicalType.Int(32, false));
        pl.frame().declare(new KnownColumn(range.variable(), whole, true, false));
        adapter.scope.add(Scope.Relation.ofVariables("", pl.frame().facts()));
    }

    /** A loop with steps, as one over the numbers of its steps, in each of which the variable is computed. */
    private Statement stepping(ForRange range, Name label) {
        Span span = range.span();
        Expr step = adapter.expr(pl.meant(range.step().orElseThrow()));
        Expr first = adapter.expr(pl.meant(range.reverse() ? range.to() : range.from()));
        Expr last = adapter.expr(pl.meant(range.reverse() ? range.from() : range.to()));
        if (!(step instanceof Expr.Literal) || !isSteady(first, range.body()) || !isSteady(last, range.body())) {
            throw CodeAdapter.at(span, "a loop with computed steps");
        }
        Name count = Name.of(label.text() + "steps_");
        Expr distance = new Expr.Binary(
                BinaryOperator.SUBTRACT, range.reverse() ? first : last, range.reverse() ? last : first, span);
        Expr rounds = new Expr.Binary(BinaryOperator.DIVIDE_WHOLE, distance, step, span);
        Expr none = new Expr.Binary(BinaryOperator.LESS, distance, Expr.Literal.number(0), span);
        Expr done = Expr.Case.of(none, Expr.Literal.number(-1), rounds);
        Expr moved = new Expr.Binary(BinaryOperator.MULTIPLY, Expr.Column.of(count.text()), step, span);
        Expr value =
                new Expr.Binary(range.reverse() ? BinaryOperator.SUBTRACT : BinaryOperator.ADD, first, moved, span);
        declare(range);
        Declaration variable = new Declaration.Variable(
                range.variable(),
                pl.code().written(range.variable(), new LogicalType.Int(32, false)),
                Optional.of(value),
                false,
                span);
        Statement body = new CodeStatement.Block(
                Optional.empty(), List.of(variable), List.of(), pl.statements(range.body()), List.of(), span);
        return new ForRange(
                Optional.of(label), count, false, Expr.Literal.number(0), done, Optional.empty(), List.of(body), span);
    }

    /** True for what is the same in each round: a constant, or a variable that nothing there may change. */
    private static boolean isSteady(Expr e, List<Statement> body) {
        return e instanceof Expr.Literal
                || e instanceof Expr.Column c
                        && !StatementSearch.anyStatement(
                                body,
                                s -> s instanceof CodeStatement.Assign a
                                                && a.target() instanceof Expr.Column t
                                                && t.name()
                                                        .last()
                                                        .matches(c.name().last())
                                        || s instanceof CodeStatement.SelectInto
                                        || s instanceof CodeStatement.Fetch
                                        || s instanceof Statement.CallProcedure);
    }

    private Statement rows(ForRows given, Name label) {
        if (given.cursor().isPresent()) {
            return ofCursor(given, label);
        }
        ForRows rows = ColumnLoops.fitted(given, adapter);
        Query query = rows.query().orElseThrow();
        List<Scope.ColumnFacts> columns = adapter.finder.columns(query, adapter.scope);
        Query adapted = adapter.query(query);
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        columns.forEach(c -> facts.put(c.name().toLowerCase(Locale.ROOT), c));
        adapter.scope.add(new Scope.Relation(rows.row().text(), facts, !facts.isEmpty()));
        return new ForRows(
                Optional.of(label),
                rows.row(),
                Optional.of(adapted),
                Optional.empty(),
                List.of(),
                pl.statements(rows.body()),
                rows.span());
    }

    private Statement ofCursor(ForRows rows, Name label) {
        Name cursor = rows.cursor().orElseThrow();
        if (!pl.frame().isCursor(cursor)) {
            throw CodeAdapter.at(rows.span(), "FOR over " + cursor.text() + ", which is no cursor that is known");
        }
        List<Expr> arguments =
                rows.arguments().stream().map(a -> adapter.expr(pl.meant(a))).toList();
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        pl.frame().cursor(cursor).forEach(c -> facts.put(c.name().toLowerCase(Locale.ROOT), c));
        adapter.scope.add(new Scope.Relation(rows.row().text(), facts, !facts.isEmpty()));
        pl.frame().isAt(cursor, rows.row());
        return new ForRows(
                Optional.of(label),
                rows.row(),
                Optional.empty(),
                rows.cursor(),
                arguments,
                pl.statements(rows.body()),
                rows.span());
    }

    /** How many rows a query has, for each of which its value is computed. */
    static Expr counted(Expr.Subquery query) {
        boolean plain = query.query().body() instanceof QueryBody.Select select
                && select.groupBy().isEmpty()
                && select.having().isEmpty()
                && !select.distinct()
                && query.query().paging().isEmpty()
                && select.items().size() == 1
                && !(select.items().get(0).value() instanceof Expr.Star);
        if (!plain) {
            throw CodeAdapter.at(query.span(), "PERFORM of a query of this kind");
        }
        QueryBody.Select select = (QueryBody.Select) query.query().body();
        if (select.from().isEmpty() && select.where().isEmpty()) {
            return query;
        }
        // COUNT does not compute what cannot be NULL, so that the rows are summed up by what the value is.
        Expr missing = new Expr.Is(select.items().get(0).value(), Truth.NULL, false, query.span());
        Expr each = Expr.Case.of(missing, Expr.Literal.number(1), Expr.Literal.number(1));
        Expr count = Expr.Call.of("coalesce", Expr.Call.of("sum", each), Expr.Literal.number(0));
        Query all = query.query()
                .withBody(select.withItems(List.of(QueryBody.Item.of(count))))
                .withOrder(List.of());
        return new Expr.Subquery(all, query.span());
    }

    /** A loop with one more statement at its beginning. */
    static Statement beginning(Statement loop, Statement first) {
        if (loop instanceof ForRange range) {
            return new ForRange(
                    range.label(),
                    range.variable(),
                    range.reverse(),
                    range.from(),
                    range.to(),
                    range.step(),
                    with(first, range.body()),
                    range.span());
        }
        ForRows rows = (ForRows) loop;
        return new ForRows(
                rows.label(),
                rows.row(),
                rows.query(),
                rows.cursor(),
                rows.arguments(),
                with(first, rows.body()),
                rows.span());
    }

    private static List<Statement> with(Statement first, List<Statement> rest) {
        List<Statement> all = new ArrayList<>(List.of(first));
        all.addAll(rest);
        return all;
    }

    /** A new row whose number goes into a variable: the engine says of the last row alone what it numbered it with. */
    List<Statement> changed(CodeStatement.ChangeInto into) {
        if (into.change() instanceof Statement.Update || into.change() instanceof Statement.Delete) {
            return new PlChanges(pl).changed(into);
        }
        boolean one = into.change() instanceof Statement.Insert insert
                && insert.returning().size() == 1
                && into.targets().size() == 1
                && insert.upsert().isEmpty()
                && insert.source()
                        .filter(q -> q.body() instanceof QueryBody.Values v
                                && v.rows().size() == 1)
                        .isPresent();
        if (!one) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        Statement.Insert insert = (Statement.Insert) into.change();
        boolean numbered = insert.returning().get(0).value() instanceof Expr.Column c
                && adapter.knowledge
                        .numbered(insert.table())
                        .filter(n -> n.column().matches(c.name().last())
                                && insert.columns().stream().noneMatch(n.column()::matches)
                                && !insert.columns().isEmpty())
                        .isPresent();
        if (!numbered) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        pl.code().known(into.targets().get(0));
        List<Statement> all = new ArrayList<>(pl.statement(insert.withoutReturning()));
        Expr last = new Expr.Call(QualifiedName.of("LAST_INSERT_ID"), false, List.of(), CallSuffix.NONE, into.span());
        all.add(new CodeStatement.Assign(pl.code().target(into.targets().get(0)), last, into.span()));
        return all;
    }
}
