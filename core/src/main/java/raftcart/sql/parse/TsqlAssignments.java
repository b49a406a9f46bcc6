package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/**
 * Queries that assign variables ("SELECT @local_variable"): each of their rows does, one after the other, so that the last one
 * counts, and what a variable had before may be a part of what it gets.
 */
final class TsqlAssignments {
    private static final Name ROW = Name.of("row_");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TsqlVariables variables;

    TsqlAssignments(Parsing parsing, TsqlVariables variables) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.variables = variables;
    }

    /** A query, for the caller or for variables. */
    void select(List<Statement> all) {
        int mark = cursor.mark();
        Span span = cursor.peek().span();
        Statement read = StatementParser.nested(parsing);
        if (!variables.assigns(cursor.taken(mark))) {
            boolean makes = read instanceof Statement.QueryStatement q && q.temporary();
            if (makes) {
                all.add(TsqlParser.drop(((Statement.QueryStatement) read).into().orElseThrow(), span));
            }
            all.add(read);
            return;
        }
        if (!(read instanceof Statement.QueryStatement statement)
                || !(statement.query().body() instanceof QueryBody.Select select)) {
            throw cursor.byHand("several queries that assign variables");
        }
        List<Expr> targets = new ArrayList<>();
        for (Item item : select.items()) {
            Name name = item.alias()
                    .filter(a -> variables.isNamed(new QualifiedName(List.of(a))))
                    .orElseThrow(() -> cursor.byHand("a query that gives rows and assigns variables"));
            targets.add(new Expr.Column(new QualifiedName(List.of(name)), false, span));
        }
        assign(statement.query(), select, targets, span, all);
    }

    private void assign(Query query, QueryBody.Select select, List<Expr> targets, Span span, List<Statement> all) {
        if (select.from().isEmpty() && select.where().isEmpty()) {
            for (int i = 0; i < targets.size(); i++) {
                all.add(new CodeStatement.Assign(
                        targets.get(i), select.items().get(i).value(), span));
            }
            return;
        }
        boolean builds = select.items().stream()
                .anyMatch(i -> ExprSearch.any(i.value(), e -> e instanceof Expr.Column c && isOneOf(c, targets)));
        if (builds) {
            all.add(built(query, select, targets, span));
            return;
        }
        List<Item> items = select.items().stream().map(i -> Item.of(i.value())).toList();
        all.add(new CodeStatement.SelectInto(query.withBody(select.withItems(items)), targets, Expected.LAST, span));
    }

    private static boolean isOneOf(Expr.Column column, List<Expr> targets) {
        return targets.stream().anyMatch(t -> ((Expr.Column) t).name().equals(column.name()));
    }

    /** Each row adds to what the variables have: the columns are read, and the values put together row by row. */
    private Statement built(Query query, QueryBody.Select select, List<Expr> targets, Span span) {
        List<Item> columns = new ArrayList<>();
        List<Statement> body = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            Expr value = new StatementMapper() {
                @Override
                public Expr expr(Expr e) {
                    if (e instanceof Expr.Column c) {
                        return variables.isNamed(c.name()) ? e : column(c, columns);
                    }
                    boolean whole = e instanceof Expr.Subquery || e instanceof Expr.Exists;
                    if (whole) {
                        throw cursor.byHand("a variable that is built from rows and from queries in them");
                    }
                    return super.expr(e);
                }
            }.expr(select.items().get(i).value());
            body.add(new CodeStatement.Assign(targets.get(i), value, span));
        }
        if (columns.isEmpty()) {
            columns.add(new Item(Expr.Literal.number(1), Optional.of(Name.of("value_1_"))));
        }
        return new CodeStatement.ForRows(
                Optional.empty(),
                ROW,
                Optional.of(query.withBody(select.withItems(columns))),
                Optional.empty(),
                List.of(),
                body,
                span);
    }

    private static Expr column(Expr.Column column, List<Item> columns) {
        for (Item item : columns) {
            if (item.value() instanceof Expr.Column c && c.name().equals(column.name())) {
                return Expr.Column.of(ROW.text(), item.alias().orElseThrow().text());
            }
        }
        Name name = Name.of("value_" + (columns.size() + 1) + "_");
        columns.add(new Item(column, Optional.of(name)));
        return Expr.Column.of(ROW.text(), name.text());
    }
}
