package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.Truth;

/** Variables of PL/pgSQL that hold rows ("Row Types", "Record Types"), for a target whose rows say what they have. */
final class PlRecords {
    private final PlCode pl;
    private final QueryAdapter adapter;

    PlRecords(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    /** A row; nothing where only loops fill it, which declare it themselves. */
    Optional<Declaration> declared(Declaration.Row row, List<Statement> body) {
        List<ColumnFacts> columns = row.of().isPresent() ? ofTable(row) : ofQueries(row, body);
        if (columns.isEmpty()) {
            return Optional.empty();
        }
        if (!adapter.to.has(SqlFeature.ROW_VARIABLES)) {
            throw CodeAdapter.at(row.span(), "a variable for a row");
        }
        List<Parameter> fields = new ArrayList<>();
        Map<String, ColumnFacts> facts = new LinkedHashMap<>();
        for (ColumnFacts column : columns) {
            Name name = Name.of(column.name());
            facts.put(column.name().toLowerCase(Locale.ROOT), column);
            fields.add(new Parameter(
                    Mode.IN,
                    name,
                    pl.code()
                            .written(
                                    name,
                                    CodeResults.type(column)
                                            .orElseThrow(() -> CodeAdapter.at(
                                                    row.span(),
                                                    "a row, of which the type of " + column.name() + " is not known"))),
                    Optional.empty()));
        }
        pl.frame().hold(row.name(), columns);
        adapter.scope.add(Scope.Relation.ofVariables(row.name().text(), facts));
        return Optional.of(new Declaration.Row(row.name(), Optional.empty(), fields, row.span()));
    }

    private List<ColumnFacts> ofTable(Declaration.Row row) {
        return adapter.knowledge
                .table(row.of().get())
                .map(t -> List.copyOf(t.facts().values()))
                .orElseThrow(() ->
                        CodeAdapter.at(row.span(), "a row of " + row.of().get() + ", whose columns are not known"));
    }

    /** The columns of the first query or cursor that fills the row. */
    private List<ColumnFacts> ofQueries(Declaration.Row row, List<Statement> body) {
        List<List<ColumnFacts>> found = new ArrayList<>();
        StatementSearch.anyStatement(body, s -> {
            if (s instanceof CodeStatement.SelectInto into && isInto(into.targets(), row.name())) {
                found.add(adapter.finder.columns(into.query(), adapter.scope));
            } else if (s instanceof CodeStatement.Fetch fetch && isInto(fetch.targets(), row.name())) {
                found.add(pl.frame().cursor(fetch.cursor()));
            }
            return false;
        });
        if (found.stream().distinct().count() > 1 || found.stream().anyMatch(List::isEmpty)) {
            throw CodeAdapter.at(row.span(), "a record that is filled from several queries, or one that is not known");
        }
        return found.isEmpty() ? List.of() : found.get(0);
    }

    private static boolean isInto(List<Expr> targets, Name row) {
        return targets.size() == 1
                && targets.get(0) instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().matches(row);
    }

    /** The columns of the row that is the only target, if it is one. */
    Optional<List<ColumnFacts>> held(List<Expr> targets) {
        boolean single = targets.size() == 1
                && targets.get(0) instanceof Expr.Column c
                && c.name().parts().size() == 1;
        return single ? pl.frame().row(((Expr.Column) targets.get(0)).name().last()) : Optional.empty();
    }

    /** Variables, or a row, as the target calls them. */
    List<Expr> targets(List<Expr> targets) {
        if (held(targets).isPresent()) {
            return targets;
        }
        targets.forEach(pl.code()::known);
        return targets.stream().map(pl.code()::target).toList();
    }

    /** Statements by which variables, or the columns of a row, become NULL. */
    List<Statement> cleared(List<Expr> targets, Span span) {
        Optional<List<ColumnFacts>> row = held(targets);
        if (row.isPresent()) {
            List<Expr> nulls =
                    row.get().stream().map(c -> (Expr) Expr.Literal.ofNull()).toList();
            return List.of(new CodeStatement.Assign(targets.get(0), new Expr.Row(nulls, span), span));
        }
        return targets(targets).stream()
                .<Statement>map(t -> new CodeStatement.Assign(t, Expr.Literal.ofNull(), span))
                .toList();
    }

    /** The query that gives a row for the caller, where that is a variable that holds one. */
    Query given(CodeStatement.ReturnRows returned) {
        boolean single = returned.query().body() instanceof QueryBody.Select select
                && select.from().isEmpty()
                && select.items().size() == 1;
        if (!single) {
            return returned.query();
        }
        QueryBody.Select select = (QueryBody.Select) returned.query().body();
        Expr value = select.items().get(0).value();
        Optional<List<ColumnFacts>> row = held(List.of(value));
        if (row.isEmpty()) {
            return returned.query();
        }
        String name = ((Expr.Column) value).name().last().text();
        return returned.query()
                .withBody(select.withItems(row.get().stream()
                        .map(c -> Item.of(Expr.Column.of(name, c.name())))
                        .toList()));
    }

    /** A function whose one value is a row, as one that gives a row. */
    Optional<CodeStatement.CreateRoutine> ofOneRow(CodeStatement.CreateRoutine routine) {
        boolean row = routine.returns()
                .filter(t -> adapter.knowledge
                        .table(QualifiedName.of(t.name().split("\\.")))
                        .isPresent())
                .isPresent();
        if (!row || !adapter.to.has(SqlFeature.ROW_VARIABLES)) {
            return Optional.empty();
        }
        Statement body = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return statement instanceof CodeStatement.Return r && r.value().isPresent()
                        ? CodeStatement.Block.of(
                                List.of(given(r), new CodeStatement.Return(Optional.empty(), r.span())), r.span())
                        : super.statement(statement);
            }
        }.statement(routine.body());
        Parameter whole = new Parameter(Mode.OUT, Name.of(""), routine.returns().orElseThrow(), Optional.empty());
        return Optional.of(new CodeStatement.CreateRoutine(
                routine.name(),
                routine.replace(),
                routine.parameters(),
                Optional.empty(),
                List.of(whole),
                routine.traits(),
                body,
                routine.span()));
    }

    private static Statement given(CodeStatement.Return returned) {
        Expr value = returned.value().orElseThrow();
        Expr plain = value instanceof Expr.Cast cast ? cast.value() : value;
        boolean row = plain instanceof Expr.Row || plain instanceof Expr.Column;
        if (!row) {
            throw CodeAdapter.at(returned.span(), "a row that is computed");
        }
        List<Item> items =
                plain instanceof Expr.Row r ? r.items().stream().map(Item::of).toList() : List.of(Item.of(plain));
        return new CodeStatement.ReturnRows(
                Query.of(QueryBody.Select.of(items, List.of(), Optional.empty())), returned.span());
    }

    /** A row that becomes another of its kind, or the one that some values make. */
    Statement assigned(CodeStatement.Assign assign) {
        List<ColumnFacts> columns = held(List.of(assign.target())).orElseThrow();
        Expr value = assign.value() instanceof Expr.Cast cast ? cast.value() : assign.value();
        if (value instanceof Expr.Row row && row.items().size() == columns.size()) {
            List<Expr> items = new ArrayList<>();
            for (int i = 0; i < columns.size(); i++) {
                KnownColumn column = new KnownColumn(
                        Name.of(columns.get(i).name()), columns.get(i).type(), false, false);
                items.add(
                        new ValueAdapter(adapter).forColumn(pl.meant(row.items().get(i)), Optional.of(column)));
            }
            return new CodeStatement.Assign(assign.target(), new Expr.Row(items, row.span()), assign.span());
        }
        boolean alike = held(List.of(value))
                .filter(other -> other.stream()
                        .map(ColumnFacts::type)
                        .toList()
                        .equals(columns.stream().map(ColumnFacts::type).toList()))
                .isPresent();
        if (!alike) {
            throw CodeAdapter.at(assign.span(), "a row that is assigned");
        }
        return assign;
    }

    /** Whether a row is NULL: all of its columns are, or none of them is where it is asked whether it is not. */
    Optional<Expr> missing(Expr e) {
        boolean asks = e instanceof Expr.Is is && is.truth() == Truth.NULL;
        Optional<List<ColumnFacts>> columns = asks ? held(List.of(((Expr.Is) e).value())) : Optional.empty();
        return columns.map(all -> {
            Expr.Is is = (Expr.Is) e;
            String row = ((Expr.Column) is.value()).name().last().text();
            List<Expr> parts = all.stream()
                    .<Expr>map(c -> new Expr.Is(Expr.Column.of(row, c.name()), Truth.NULL, is.negated(), is.span()))
                    .toList();
            return new Expr.Junction(true, parts, is.span());
        });
    }
}
