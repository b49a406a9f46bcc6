package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.ForRange;
import raftcart.sql.tree.CodeStatement.ForRows;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
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
        boolean listed = into.query().body() instanceof QueryBody.Select s
                && s.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)
                && s.items().size() == into.targets().size();
        if (!listed) {
            throw CodeAdapter.at(span, "a query into a row, or into variables whose columns are not listed");
        }
        if (into.expected() == Expected.EXACTLY_ONE) {
            throw CodeAdapter.at(span, "INTO STRICT");
        }
        List<Optional<KnownColumn>> known =
                into.targets().stream().map(pl.code()::known).toList();
        List<Expr> targets = into.targets().stream().map(pl.code()::target).toList();
        QueryBody.Select select = (QueryBody.Select) into.query().body();
        boolean total = select.groupBy().isEmpty()
                && select.having().isEmpty()
                && into.query().paging().isEmpty()
                && select.items().stream().allMatch(i -> Aggregates.ofRows(i.value(), adapter.from));
        List<Optional<LogicalType>> types =
                known.stream().map(k -> k.flatMap(KnownColumn::type)).toList();
        Query fitted = new ValueAdapter(adapter).fitted(into.query(), types);
        Query one = total || into.query().paging().isPresent()
                ? fitted
                : fitted.withPaging(Optional.of(
                        new Query.Paging(Optional.empty(), Optional.of(Expr.Literal.number(1)), false, false)));
        List<Statement> all = new ArrayList<>();
        if (!total) {
            targets.forEach(t -> all.add(new CodeStatement.Assign(t, Expr.Literal.ofNull(), span)));
        }
        all.add(new CodeStatement.SelectInto(adapter.query(one), targets, Expected.FIRST, span));
        if (pl.asksForFound()) {
            Expr rows = new Expr.Call(QualifiedName.of("FOUND_ROWS"), false, List.of(), CallSuffix.NONE, span);
            all.add(new CodeStatement.Assign(Expr.Column.of(PlCode.FOUND.text()), rows, span));
        }
        return all;
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
        Expr from = adapter.expr(pl.meant(range.from()));
        Expr to = adapter.expr(pl.meant(range.to()));
        Optional<LogicalType> whole = Optional.of(new LogicalType.Int(32, false));
        pl.frame().declare(new KnownColumn(range.variable(), whole, true, false));
        adapter.scope.add(new Scope.Relation("", pl.frame().facts(), true));
        return new ForRange(
                Optional.of(label),
                range.variable(),
                range.reverse(),
                from,
                to,
                pl.statements(range.body()),
                range.span());
    }

    private Statement rows(ForRows rows, Name label) {
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
}
